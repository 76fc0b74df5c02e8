import { boolean, number, object, type InferType } from 'yup';
import { demo, note } from '../fields';

export const BOX_SIDE = [1, 12] as const;

const side = () => number().integer().min(BOX_SIDE[0]).max(BOX_SIDE[1]).required();

/** A fly box: rows and columns of compartments; one that stays at home answers nothing on the water. */
export const boxSchema = object({
  demo: demo(),
  name: note().required(),
  rows: side(),
  columns: side(),
  carried: boolean().default(true),
});

export type BoxRecord = InferType<typeof boxSchema>;
