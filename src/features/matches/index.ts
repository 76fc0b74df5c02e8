export { hookName, lengthDetail, matchTitle, offDigits, placeLine, stepLines } from './answer-line';
export { MatchList } from './matches-screen';
export { MatchRow } from './match-row';
export { selectMatchIds, selectWaiting } from './select';
export { WriteMatch } from './carry';
