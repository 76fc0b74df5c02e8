export { createI18n, createSpeech, headlineParts, textsOf, type IdKind, type Speech } from './speech';
export { lowered, raised } from './letters';
