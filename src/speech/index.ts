export { createI18n, createSpeech, headlineParts, textsOf, type IdKind, type Speech } from './speech';
export { cardMarkdown, cardSheet, sheetText, type CardSheet } from './card-sheet';
export { amountLines } from './amount-lines';
export { cardFacts, partColourLine, partCount, partNamed } from './card-facts';
export { railLabels } from './rail-label';
export { foundBy } from './found-by';
