import { array, number, object, string, type InferType } from 'yup';
import { KNOWN } from '@/catalogue/known-ids';
import { demo, text } from '../fields';

/** A material of the tier's own: `like` is the shipped one that it behaves like. */
export const materialSchema = object({
  demo: demo(),
  base: text(),
  name: string().required(),
  functions: array(string().oneOf(KNOWN.functions).required()).default([]),
  like: text(),
  hex: string()
    .matches(/^#[0-9a-f]{6}$/)
    .required(),
  /** Of a blend: what goes in, in twentieths. Empty for what is bought as it is. */
  recipe: array(
    object({
      id: string().required(),
      name: string().required(),
      twentieths: number().integer().min(1).max(20).required(),
    }),
  ).default([]),
});

export type MaterialRecord = InferType<typeof materialSchema>;
