export { Button, Chips, Stepper, Toggle, type Choice } from './controls';
export { Field } from './field';
export { Pick } from './pick';
export { DragHandle, DragList, DragRow, type DragWords } from './drag-list';
export { Fold } from './fold';
export { Facts } from './facts';
export { Digits, Heading, Say } from './text';
export { useRowsInView } from './use-rows-in-view';
export { InView } from './in-view';
