export { KeyPanel } from './key-panel';
export { Pictogram } from './pictogram';
export { LengthChips } from './length-chips';
export { WaterChips } from './water-chips';
export { plainOdds } from './odds';
