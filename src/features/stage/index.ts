export { OrderPick } from './order-pick';
export { StagePicker } from './stage-picker';
