import type { Reason } from '../code';
import { recheckCounts, rechecks, type Dressing, type EndOfRange } from '../dressings';
import { readSizeLabel } from '../hooks';
import type { Card } from '../tying';
import { answer, NO_CHOICES } from './answer';
import type { Catalogue } from './answer-shape';
import { naturalOf } from './natural-of';

/** What a card asks of bead, thread, gauge and wire. A gauge is a hook number, 1/0 being 0. */
export function endOf(card: Card | null, lengthMm: number): EndOfRange {
  const bead = card?.weights.find((weight) => weight.kind === 'bead');
  const over = card?.threads
    .find((thread) => thread.head_turns !== null)
    ?.reasons.find((why) => why.code === 'thread-bulk-over');
  const gauge = readSizeLabel(card?.hackles[0]?.gauge ?? '');
  return {
    lengthMm,
    shankMm: card?.hook.shank_mm ?? 0,
    beadMm: bead?.diameter_mm ?? null,
    beadRangeMm: bead?.range_mm ?? null,
    headTurns: over ? Number(over.params.turns) : null,
    headBudget: over ? Number(over.params.budget) : null,
    gauge: gauge.kind === 'number' ? gauge.n : null,
    weightWireMm: card?.weights.find((weight) => weight.kind === 'wound' || weight.kind === 'sides')?.wire_mm ?? null,
    hookWireMm: card?.hook.wire_mm ?? 0,
  };
}

/** What does not scale at the two ends of a dressing's range, and the parts to be counted again after `parent`. Source: domain §13. */
export function lookAgain(dressing: Dressing, parent: Dressing | undefined, catalogue: Catalogue): Reason[] {
  const choices = { ...NO_CHOICES, dressingPin: dressing.id, added: dressing.switches.map((item) => item.id) };
  const only = { ...catalogue, dressings: [dressing] };
  const counts = parent ? recheckCounts(parent, dressing) : null;
  return [
    ...dressing.length_mm.flatMap((mm) => rechecks(endOf(answer(naturalOf(dressing, mm), choices, only).card, mm))),
    ...(counts ? [counts] : []),
  ];
}
