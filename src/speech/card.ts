/** The second door: what speech says of a card, a hook and the library, read when one is shown. */
export { cardMarkdown, cardSheet, sheetText, type CardSheet } from './card-sheet';
export { amountLines } from './amount-lines';
export { cardFacts, partColourLine, partCount, partNamed } from './card-facts';
export { railLabels } from './rail-label';
export { foundBy } from './found-by';
