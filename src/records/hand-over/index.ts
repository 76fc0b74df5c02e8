export { keysThatGo, type Goes } from './choose';
export { canSeal, handOverOf, linkOf, newHandOver, seal, unseal, type HandOver } from './seal';
