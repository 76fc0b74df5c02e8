export { AnswerPlate } from './answer-plate';
export { DressingScreen } from './dressing-screen';
export { DressingStep } from './dressing-step';
export { DressingsScreen } from './dressings-screen';
