export { AnswerPlate } from './answer-plate';
export { DressingEditor } from './dressing-editor';
export { DressingScreen } from './dressing-screen';
export { DressingStep } from './dressing-step';
export { DressingsScreen } from './dressings-screen';
export { AtTheBench } from './what-counts';
export { NewDressingScreen } from './new-dressing';
