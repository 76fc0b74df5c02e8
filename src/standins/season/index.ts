export { season, temperatures, type SeasonOuting, type World } from './season';
