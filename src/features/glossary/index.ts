export { GlossaryScreen } from './glossary-screen';
export { Term, Terms } from './term';
export { TERM_IDS, type TermId } from './terms';
