import { array, mixed, number, object, string, ValidationError } from 'yup';
import type { Coded } from '../code';
import { readJson } from '../archive';
import type { Card } from '../card/card-shape';

const amount = () => number().min(0).nullable().default(null);
const id = () => string().required();

/** What a session needs of a card that was written as JSON; all else is carried along as it is. */
const cardSchema = object({
  dressing: object({ id: id() }).required(),
  hook: object({
    id: id(),
    shank_mm: number().positive().required(),
    wire_mm: number().positive().required(),
    gape_mm: number().positive().nullable().default(null),
    mass_mg: number().positive().nullable().default(null),
  }).required(),
  minutes: amount(),
  parts: array(
    object({
      id: string().default(''),
      part: id(),
      material: object({ id: id() }).nullable().default(null),
      count: amount(),
      spare: amount(),
      cut_mm: amount(),
      thick_mm: amount(),
      wide_mm: amount(),
      mm: amount(),
      from_mm: number().nullable().default(null),
      to_mm: number().nullable().default(null),
      amount: mixed().nullable(),
    }),
  ).required(),
  threads: array(
    object({
      role: id(),
      material: id(),
      diameter_mm: number().positive().required(),
      finish_turns: number().min(0).required(),
    }),
  ).default([]),
  ribs: array(
    object({
      part: string().default('rib'),
      material: id(),
      cut_mm: number().min(0).required(),
      turns: number().min(0).default(0),
    }),
  ).default([]),
  hackles: array(
    object({
      part: id(),
      material: id(),
      stem_mm: number().min(0).required(),
      turns: number().min(0).default(0),
      barb_mm: number().min(0).default(0),
      trim: string().default('full'),
    }),
  ).default([]),
  weights: array(
    object({
      kind: id(),
      metal: string().nullable().default(null),
      diameter_mm: amount(),
      bead_kind: string().nullable().default(null),
      wire_mm: amount(),
      turns: amount(),
      length_mm: amount(),
      mass_mg: number().min(0).default(0),
    }),
  ).default([]),
  bundles: array(object({ parts: array(id()).required(), amount: amount() })).default([]),
  assemblies: array(
    object({ name: id(), count: number().min(0).required(), spare: number().min(0).default(0) }),
  ).default([]),
  steps: array(
    object({
      n: number().integer().min(1).required(),
      do: id(),
      part: string().nullable().default(null),
      turns: amount(),
      wait_s: amount(),
    }),
  )
    .min(1)
    .required(),
});

/** The card of a match, where that is what was written. */
const cardIn = (value: unknown): unknown =>
  typeof value === 'object' && value !== null && 'card' in value && !('dressing' in value && 'parts' in value)
    ? value.card
    : value;

/** A card as `card --json` writes it, or the one of a match as `match --json` does, for a session. What it may leave out is filled in; a fault names where it is wrong. */
export function readCard(text: string): { ok: true; card: Card } | { ok: false; fault: Coded } {
  const json = readJson(text);
  if (!json.ok) return json;
  try {
    const card = cardSchema.validateSync(cardIn(json.value));
    const parts = card.parts.map((part) => ({
      ...part,
      id: part.id || part.part,
      amount: part.amount ?? {
        unit: 'count',
        need: part.count,
        take: part.count === null ? null : part.count + (part.spare ?? 0),
        dubbingMg: null,
        loop: null,
        noodleMm: null,
      },
    }));
    return { ok: true, card: { ...card, parts } as unknown as Card };
  } catch (wrong) {
    if (!(wrong instanceof ValidationError)) throw wrong;
    return { ok: false, fault: { code: 'card-not-read', params: { at: wrong.path ?? '' } } };
  }
}
