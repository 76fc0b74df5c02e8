export { hookName, lengthDetail, matchTitle, offDigits, placeLine, stepLines } from './answer-line';
export { MatchList } from './matches-screen';
export { selectMatchIds, selectWaiting } from './select';
export { WriteMatch } from './carry';
