export { GlossaryScreen } from './glossary-screen';
export { Term } from './term';
export { TERM_IDS, type TermId } from './terms';
