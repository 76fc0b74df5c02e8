import { SHIPPED, sampleOf } from '../../../../tools/test-catalogue';
import type { Choices, Schools } from '../../answer';

/** Cards of the golden table: one for each way of measuring, on hooks of every bend. `schools` where a rule of theirs is read. */
const CARDS: { dressing: string; hook: string; mm?: number; schools?: Schools; bead?: 'drilled' }[] = [
  { dressing: 'first-light-dun', hook: 'reference:standard-dry:14', schools: { 'hackle-gauge': 'one-under' } },
  {
    dressing: 'first-light-dun',
    hook: 'reference:standard-dry:20',
    schools: { 'hackle-gauge': 'same', 'hackle-trim': 'flat-below' },
  },
  ...(['gape', 'half', 'shank', 'overall'] as const).map((tail) => ({
    dressing: 'rough-herl-nymph',
    hook: 'reference:long-3x:12',
    schools: { 'nymph-tail': tail },
  })),
  ...(['half', 'abdomen', 'fly', 'one-and-half'] as const).map((shuck) => ({
    dressing: 'auldry-low-emerger',
    hook: 'reference:curved-shank:14',
    schools: { 'shuck-length': shuck },
  })),
  { dressing: 'herl-bead-nymph', hook: 'reference:long-3x:10', schools: { 'bead-seat': 'back-one-eye' } },
  { dressing: 'staith-two-strand-jig', hook: 'reference:jig:14' },
  { dressing: 'auldry-bright-ring-pupa', hook: 'reference:curved-shank:12', mm: 11 },
  { dressing: 'ellanmere-hatching-wet', hook: 'reference:standard-dry:10' },
  { dressing: 'hair-roof-adult', hook: 'reference:standard-dry:12' },
  { dressing: 'half-out-dun', hook: 'reference:curved-shank:12' },
  { dressing: 'gravel-house', hook: 'reference:long-3x:8' },
  { dressing: 'gravel-house', hook: 'reference:long-3x:10', schools: { taper: 'side-strips' } },
  { dressing: 'silt-burrower', hook: 'reference:long-3x:6' },
  { dressing: 'glass-head-worm', hook: 'reference:continuous-curve:12' },
  { dressing: 'looping-strip-leech', hook: 'reference:long-3x:6' },
  { dressing: 'ellanmere-plume-raft', hook: 'reference:standard-dry:14' },
  { dressing: 'staith-looped-emerger', hook: 'reference:curved-shank:12' },
  { dressing: 'trailing-crane', hook: 'reference:standard-dry:10' },
  { dressing: 'first-light-post-dun', hook: 'reference:standard-dry:16' },
  { dressing: 'tufted-net-larva', hook: 'reference:continuous-curve:10' },
  { dressing: 'staith-plume-dun', hook: 'reference:standard-dry:16' },
  { dressing: 'silver-diver', hook: 'reference:standard-dry:14' },
  { dressing: 'glass-head-worm', hook: 'reference:continuous-curve:22' },
  { dressing: 'glass-head-worm', hook: 'reference:continuous-curve:18' },
  { dressing: 'swollen-pad-bead', hook: 'reference:standard-dry:12' },
  { dressing: 'washed-dun', hook: 'reference:standard-dry:14' },
  { dressing: 'river-jaw-larva', hook: 'reference:long-3x:10' },
  { dressing: 'herl-bead-nymph', hook: 'reference:standard-dry:14', bead: 'drilled' },
];

type CardFor = typeof import('../../answer').cardFor;

const round = (value: unknown): unknown => {
  if (typeof value === 'number') return Number(value.toPrecision(5));
  if (Array.isArray(value)) return value.map(round);
  return value !== null && typeof value === 'object'
    ? Object.fromEntries(Object.entries(value).map(([key, item]) => [key, round(item)]))
    : value;
};

/** The millimetres, turns, milligrams and minutes of every card, one card at a time. */
export function* goldenCards(cardFor: CardFor, noChoices: Choices): Generator<unknown> {
  for (const asked of CARDS) yield figuresOf(asked, cardFor, noChoices);
}

function figuresOf(
  { dressing: id, hook: hookId, mm, schools = {}, bead }: (typeof CARDS)[number],
  cardFor: CardFor,
  noChoices: Choices,
): unknown {
  const shipped = SHIPPED.dressings.find((item) => item.id === id)!;
  const dressing = bead
    ? { ...shipped, weights: shipped.weights.map((weight) => ({ ...weight, bead_kind: bead })) }
    : shipped;
  const hook = SHIPPED.hooks.find((item) => item.id === hookId)!;
  const sample = sampleOf(dressing.stages[0]!, {
    lengthsMm: [mm ?? Math.sqrt(dressing.length_mm[0] * dressing.length_mm[1])],
    colours: { 'abdomen-belly': { hex: '#7a6a3c', lab: [45, 2, 26], source: 'typed' } },
  });
  const card = cardFor({ dressing, hook, sample, choices: { ...noChoices, schools }, catalogue: SHIPPED, count: 12 });
  return round({
    id: `${id} ${hookId} ${JSON.stringify(schools)} ${bead ?? ''}`.trim(),
    room: [card.room_mm, card.used_mm, card.face_mm],
    parts: card.parts.map((part) => [
      part.id,
      part.mm,
      part.from_mm,
      part.to_mm,
      part.thick_mm,
      part.wide_mm,
      part.count,
      part.cut_mm,
      ...Object.values(part.amount),
    ]),
    threads: card.threads.map((thread) => [
      thread.diameter_mm,
      thread.head_turns,
      thread.reasons.map((why) => [why.code, why.params]),
    ]),
    weights: card.weights.map((weight) => [
      weight.diameter_mm,
      weight.range_mm,
      weight.bore_mm,
      weight.bore_needed_mm,
      weight.wire_mm,
      weight.turns,
      weight.length_mm,
      weight.mass_mg,
      weight.warnings.map((why) => why.code),
    ]),
    ribs: card.ribs.map((rib) => [rib.turns, rib.pitch_mm, rib.cut_mm]),
    hackles: card.hackles.map((hackle) => [hackle.barb_mm, hackle.gauge, hackle.turns, hackle.stem_mm]),
    layers: card.layers.map((layer) => [layer.dry.hex, layer.wet.hex]),
    steps: card.steps.map((step) => [step.do, step.at?.mm ?? null, step.mm, step.turns, step.wait_s]),
    batch: [card.batch!.minutes, card.batch!.lines],
  });
}
