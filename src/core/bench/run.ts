import type { Schools } from '../answer/answer-shape';
import { scoreHook, styleUse } from '../answer/score-hook';
import { AS_A_RULE, referenceRangeOf, switchedWays, type CheckCatalogue, type Dressing, type RangeHook, type Switched } from '../dressings';
import { buildCard, type Card } from '../tying';
import type { Way } from '../ways';
import type { BenchHook, Refusal, Tied } from './bench-shape';
import { benchSteps, madeBeforehand } from './bench-steps';
import { laws } from './laws';
import { contradictions } from './sentences';
import { tie } from './tie';

export interface BenchCatalogue extends CheckCatalogue {
  ways: readonly Way[];
  /** For each natural a dressing is made for the tails it may have; empty where nothing says so. */
  tailsOf?: (dressing: Dressing) => readonly (readonly number[])[];
}

/** The hook a card is for, as the bench sees it. */
export function benchHook(card: Card): BenchHook {
  const mark = (id: string) => card.landmarks.find((item) => item.id === id)?.mm ?? 0;
  const bead = card.parts.find((part) => part.part === 'bead');
  return {
    shankMm: card.hook.shank_mm, gapeMm: card.hook.gape_mm, wireMm: card.hook.wire_mm, eyeMm: card.hook.eye_mm, tieDownMm: mark('into-bend'),
    bead: bead ? { frontMm: bead.from_mm ?? 0, rearMm: mark('behind-bead') } : null,
  };
}

/** Ties a card: what stands on the hook after every step, and what hands cannot do. */
export function tieCard(dressing: Dressing, card: Card, catalogue: Pick<BenchCatalogue, 'materials'>): Tied {
  const hook = benchHook(card);
  const onCard = new Set(card.parts.map((part) => part.id));
  return tie(benchSteps({ dressing: { ...dressing, parts: dressing.parts.filter((part) => onCard.has(part.id)) }, card, materials: catalogue.materials, hook }), hook, madeBeforehand(dressing));
}

/** A card of a dressing on one hook of its range, as the checker makes it; in the tier's schools and with its switches where these are given. */
export function cardOnHook(dressing: Dressing, { hook, naturalMm }: RangeHook, catalogue: BenchCatalogue, schools: Schools = {}, switched: Switched = AS_A_RULE): Card {
  const style = catalogue.styles.find((item) => item.id === dressing.style)!;
  const use = styleUse(style, dressing, schools);
  const scored = scoreHook(hook, use, { targetMm: null, bodyWidthMm: null }, 0, true)!;
  const stage = catalogue.stages.find((row) => row.id === dressing.stages[0])!;
  return buildCard({ dressing, hook: scored, use, catalogue, natural: { stage: stage.id, measuredMm: naturalMm, bodyWidthMm: stage.girth * naturalMm, colours: {}, tails: [] }, choices: { schools, hand: 'right', barbRule: 'any', ...switched }, count: null });
}

/** Everything the bench refuses in a dressing over its hooks: each rule, step and part once, as it was first found. */
export function benchFaults(dressing: Dressing, catalogue: BenchCatalogue): Refusal[] {
  const style = catalogue.styles.find((item) => item.id === dressing.style)!;
  const known = new Map<string, Refusal>();
  for (const { range, switched } of referenceRangeOf(dressing, style).flatMap((range) => switchedWays(dressing).map((switched) => ({ range, switched })))) {
    const card = cardOnHook(dressing, range, catalogue, {}, switched);
    const found = [
      ...tieCard(dressing, card, catalogue).refusals,
      ...laws({ dressing, card, style, materials: catalogue.materials, naturalMm: range.naturalMm, tails: catalogue.tailsOf?.(dressing) ?? [] }),
      ...contradictions(card),
    ];
    for (const refusal of found) {
      const key = `${refusal.rule} ${refusal.step ?? ''} ${refusal.part ?? ''}`;
      if (!known.has(key)) known.set(key, refusal);
    }
  }
  return [...known.values()];
}
