export { createI18n, createSpeech, headlineParts, type IdKind, type Speech } from './speech';
