import { boolean, mixed, number, object, string } from 'yup';

/** One move of before, inside its fly. */
export interface MoveV2 {
  at: string;
  boxId: string;
  slot: string | null;
  count: number;
  why: string;
}

/** Frozen: a fly with its moves inside. Read by the migration `moves-apart` only. */
export const flyV2 = object({
  demo: boolean().default(false),
  name: string().defined().default(''),
  dressingId: string().nullable().defined().default(null),
  dressingRev: number().nullable().defined().default(null),
  hookId: string().nullable().defined().default(null),
  choices: mixed().default({}),
  stage: string().nullable().defined().default(null),
  lengthMm: number().nullable().defined().default(null),
  shade: string().nullable().defined().default(null),
  ride: string().nullable().defined().default(null),
  moves: mixed<Record<string, MoveV2>>().default({}),
});
