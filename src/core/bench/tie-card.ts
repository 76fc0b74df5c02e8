import type { Dressing } from '../dressings';
import type { Material } from '../materials';
import type { Card } from '../card/card-shape';
import type { BenchHook, Tied } from './bench-shape';
import { benchSteps, madeBeforehand } from './bench-steps';
import { tie } from './tie';

/** The hook a card is for, as the bench sees it. */
function benchHook(card: Card): BenchHook {
  const mark = (id: string) => card.landmarks.find((item) => item.id === id)?.mm ?? 0;
  const bead = card.parts.find((part) => part.part === 'bead');
  return {
    shankMm: card.hook.shank_mm,
    gapeMm: card.hook.gape_mm,
    wireMm: card.hook.wire_mm,
    eyeMm: card.hook.eye_mm,
    tieDownMm: mark('into-bend'),
    bead: bead ? { frontMm: bead.from_mm ?? 0, rearMm: mark('behind-bead') } : null,
  };
}

/** Ties a card: what stands on the hook after every step, and what hands cannot do. */
export function tieCard(dressing: Dressing, card: Card, catalogue: { materials: readonly Material[] }): Tied {
  const hook = benchHook(card);
  const onCard = new Set(card.parts.map((part) => part.id));
  return tie(
    benchSteps({
      dressing: { ...dressing, parts: dressing.parts.filter((part) => onCard.has(part.id)) },
      card,
      materials: catalogue.materials,
      hook,
    }),
    hook,
    madeBeforehand(dressing),
  );
}
