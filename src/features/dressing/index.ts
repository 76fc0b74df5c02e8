export { AnswerPlate } from './answer-plate';
export { CardColours } from './card-colours';
export { DressingStep } from './dressing-step';
export { AtTheBench } from './what-counts';
