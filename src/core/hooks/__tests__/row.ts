import type { HookRow } from '../hook';

/** A hook of which only its label is known. */
export const LABEL_ROW: HookRow = {
  maker: 'm',
  makerName: 'M',
  model: 'x',
  modelName: 'X',
  size: '12',
  bend: 'round',
  eye: 'down',
  point: 'straight',
  barb: 'barbed',
  wire: null,
  xLong: 0,
  xHeavy: 0,
  labels: 'bigger-smaller',
  shankMm: null,
  gapeMm: null,
  biteMm: null,
  wireMm: null,
  eyeMm: null,
  massMg: null,
  source: 'typed',
};
