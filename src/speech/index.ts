export { createI18n, createSpeech, headlineParts, textsOf, type IdKind, type Speech } from './speech';
