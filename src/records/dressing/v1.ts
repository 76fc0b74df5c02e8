import { array, boolean, mixed, number, object, string } from 'yup';

const text = () => string().nullable().defined();
const amount = () => number().nullable().defined();

/** Frozen: dressings before they had switches, bundles, assemblies, tools and ancestry. Read by the migration `dressings-whole` only. */
export const dressingV1 = object({
  demo: boolean().default(false),
  base: text().default(null),
  id: string().required(),
  rev: number().required(),
  name: string().required(),
  stages: array(string().required()).min(1).required(),
  style: string().required(),
  ride: string().required(),
  waters: array(string().required()).min(1).required(),
  length_mm: mixed().required(),
  minutes: amount(),
  skill: number().required(),
  evidence: string().required(),
  taper: string().required(),
  threads: array(mixed()).required(),
  weights: array(mixed()).default([]),
  layers: array(mixed()).default([]),
  parts: array(
    object({
      id: string().required(),
      part: string().required(),
      base: string().required(),
      optional: boolean().required(),
    }),
  )
    .min(1)
    .required(),
  steps: array(object({ do: string().required() }))
    .min(1)
    .required(),
  cautions: array(string().required()).required(),
  parent: text(),
});
