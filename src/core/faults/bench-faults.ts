import { scoreHook, styleUse, type Schools } from '../hook-score';
import {
  AS_A_RULE,
  referenceRangeOf,
  switchedWays,
  type CheckCatalogue,
  type Dressing,
  type RangeHook,
  type Switched,
} from '../dressings';
import { buildCard, type Card } from '../tying';
import type { Way } from '../ways';
import type { Refusal } from '../bench/bench-shape';
import { laws } from '../bench/laws';
import { contradictions } from '../bench/sentences';
import { tieCard } from '../bench/tie-card';

export interface BenchCatalogue extends CheckCatalogue {
  ways: readonly Way[];
  /** For each natural a dressing is made for the tails it may have; empty where nothing says so. */
  tailsOf?: (dressing: Dressing) => readonly (readonly number[])[];
}

/** A card of a dressing on one hook of its range, as the checker makes it; in the tier's schools and with its switches where these are given. */
export function cardOnHook(
  dressing: Dressing,
  { hook, naturalMm }: RangeHook,
  catalogue: BenchCatalogue,
  schools: Schools = {},
  switched: Switched = AS_A_RULE,
): Card {
  const style = catalogue.styles.find((item) => item.id === dressing.style)!;
  const use = styleUse(style, dressing, schools);
  const scored = scoreHook(hook, use, { targetMm: null, bodyWidthMm: null }, 0, true)!;
  const stage = catalogue.stages.find((row) => row.id === dressing.stages[0])!;
  return buildCard({
    dressing,
    hook: scored,
    use,
    catalogue,
    natural: { stage: stage.id, measuredMm: naturalMm, bodyWidthMm: stage.girth * naturalMm, colours: {}, tails: [] },
    choices: { schools, hand: 'right', barbRule: 'any', swaps: {}, ...switched },
    count: null,
  });
}

/** Everything the bench refuses in a dressing over its hooks: each rule, step and part once, as it was first found. */
export function benchFaults(dressing: Dressing, catalogue: BenchCatalogue): Refusal[] {
  const style = catalogue.styles.find((item) => item.id === dressing.style)!;
  const known = new Map<string, Refusal>();
  for (const { range, switched } of referenceRangeOf(dressing, style).flatMap((range) =>
    switchedWays(dressing).map((switched) => ({ range, switched })),
  )) {
    const card = cardOnHook(dressing, range, catalogue, {}, switched);
    const found = [
      ...tieCard(dressing, card, catalogue).refusals,
      ...laws({
        dressing,
        card,
        style,
        materials: catalogue.materials,
        naturalMm: range.naturalMm,
        stages: catalogue.stages.filter(({ id }) => dressing.stages.includes(id)),
        tails: catalogue.tailsOf?.(dressing) ?? [],
      }),
      ...contradictions(card),
    ];
    for (const refusal of found) {
      const key = `${refusal.rule} ${refusal.step ?? ''} ${refusal.part ?? ''}`;
      if (!known.has(key)) known.set(key, refusal);
    }
  }
  return [...known.values()];
}
