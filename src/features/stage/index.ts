export { StagePicker } from './stage-picker';
