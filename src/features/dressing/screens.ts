export { DressingEditor } from './dressing-editor';
export { DressingScreen } from './dressing-screen';
export { DressingsScreen } from './dressings-screen';
export { NewDressingScreen } from './new-dressing';
