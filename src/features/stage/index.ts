export { OrderTiles } from './order-tiles';
export { StagePicker } from './stage-picker';
