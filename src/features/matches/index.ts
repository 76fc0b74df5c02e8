export { hookName, lengthDetail, matchTitle, offDigits, placeLine, stepLines } from './answer-line';
export { MatchesScreen, MatchList, selectMatchIds } from './matches-screen';
export { WriteMatch } from './carry';
