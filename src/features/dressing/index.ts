export { AnswerPlate } from './answer-plate';
export { DressingStep } from './dressing-step';
export { AtTheBench } from './what-counts';
