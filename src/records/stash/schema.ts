import { mixed, number, object, string, type InferType } from 'yup';
import { demo } from '../fields';
import { LEDGERS, type Tallies } from '../ledger';

const text = () => string().defined().default('');
const tally = () =>
  mixed<Tallies['stash']>()
    .default(() => LEDGERS.stash.none)
    .test('tally', 'tally', (value) => Number.isFinite(value?.count) && Array.isArray(value?.latest));

/** A material that is had, in a shade where it is known which. How much of it there is, is the sum of what came and went; one without a move is had, and nobody has counted it. */
export const stashSchema = object({
  demo: demo(),
  materialId: string().required(),
  /** A shipped shade, or one of the tier's own. */
  shadeId: string().nullable().defined().default(null),
  /** The word of a shade that nobody ships. */
  shade: text(),
  /** What stands on its packet. */
  label: text(),
  /** Its colour as it was measured; it stands beside what its label says. */
  hex: string()
    .nullable()
    .defined()
    .default(null)
    .matches(/^#[0-9a-f]{6}$/),
  /** From so little on it counts as low; null never. */
  low: number().min(0).nullable().defined().default(null),
  place: text(),
  note: text(),
  tally: tally(),
});

export type StashRecord = InferType<typeof stashSchema>;
