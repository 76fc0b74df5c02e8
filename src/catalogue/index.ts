export { ANSWERS, CASE, COLOUR_WORDS, GROUPS, GROWING_ON, KEY, labOfShade } from './key';
export { KNOWN } from './known-ids';
export {
  catalogueOf,
  demoRows,
  DRESSINGS,
  faceOf,
  hooksFromRows,
  MATERIALS,
  REFERENCE_HOOKS,
  REFERENCE_ROWS,
  SHADES,
  SHIPPED_MAKERS,
  shippedSchool,
  stageRow,
  STAGES,
  STYLES,
  tailsOf,
  TOOLS,
  WAY_DRESSINGS,
  WAYS,
  WORKS,
  type Maker,
} from './shipped';
export { shippedIn, shippedTexts, type Texts } from './texts';
