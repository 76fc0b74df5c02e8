export { workOut, type WaysCatalogue, type WorkedOut } from './compile';
export { printPart, readPart, type LineFault } from './text';
export {
  SLOTS,
  type Phase,
  type Slot,
  type Way,
  type WayDressing,
  type WayPart,
  type WayRule,
  type WayShare,
} from './way';
export { isWritten, readWays, writeWays, type WrittenWayDressing } from './read';
export {
  addByWay,
  asksOf,
  bareByWay,
  materialsOf,
  putBack,
  recordOf,
  reworked,
  setPart,
  takeOut,
  wayPartOf,
  waysOf,
  withFields,
  withWayPart,
  type AskedField,
  type NewPart,
  type TakenOut,
} from './edit';
export { mergeDressings } from './merge';
