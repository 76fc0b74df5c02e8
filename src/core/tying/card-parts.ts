import type { CardPart } from '../card/card-shape';
import type { Dressing } from '../dressings';
import type { HookAnswer } from '../hook-score';
import type { Material } from '../materials';
import { partColour } from './card-colours';
import type { CardNatural } from './card-input';
import { bodyOf, ribOf } from './card-ribs';
import { countOf, follows, tailsOn } from './counted';
import type { LaidPart, LayOut } from './lay-out';
import { cutLength, partAmount } from './part-amount';

/** Butt kept on a part that is measured before it is bound, mm. */
const BUTT_MM = 20;

/** What a card's parts are made of: the dressing laid out on a hook, and the natural where there is one. */
export interface PartsOn {
  dressing: Dressing;
  laid: LayOut;
  hook: HookAnswer;
  material: (id: string | null) => Material | null;
  natural: CardNatural | null;
}

function amountOf(item: LaidPart, own: Material | null, { dressing, laid, hook }: PartsOn): CardPart['amount'] {
  const does = (act: string) => dressing.steps.some((step) => step.part === item.part.id && step.do === act);
  return partAmount({
    part: item.part,
    material: own,
    crossedMm: item.part.part === 'rib' ? bodyOf(item, laid)?.thickMm : null,
    mm: item.mm,
    fromMm: item.fromMm,
    toMm: item.toMm,
    thickMm: item.thickMm,
    wireMm: hook.wire_mm,
    shankMm: hook.shank_mm,
    gapeMm: hook.gape_mm,
    looped: does('loop'),
    woundByStep: does('wind'),
  });
}

/** One part in millimetres, with what it is made of, its colour, how much of it and how long to cut it. */
function partOf(item: LaidPart, on: PartsOn): CardPart {
  const { part } = item;
  const own = on.material(part.material);
  const amount = amountOf(item, own, on);
  const measured = part.method === 'measure-then-bind' && item.mm !== null ? item.mm + BUTT_MM : null;
  const wound = cutLength(amount, Math.max(item.thickMm ?? 0, on.hook.wire_mm), own);
  return {
    id: part.id,
    part: part.part,
    base: part.base,
    factor: part.factor,
    mm: item.mm,
    range_mm: item.rangeMm,
    from_mm: item.fromMm,
    to_mm: item.toMm,
    thick_mm: item.thickMm,
    wide_mm: item.wideMm,
    count: follows(part) ? tailsOn(part, on.natural) : countOf(item),
    tails: follows(part) ? [...(on.natural?.tails ?? [])] : null,
    spare: part.spare,
    material:
      own && part.function
        ? { id: own.id, name: own.name, function: part.function, ...(own.look ? { look: own.look } : {}) }
        : null,
    colour: partColour(part, own, on.natural),
    method: part.method,
    optional: part.optional,
    cut_mm: ribOf(item, on.laid)?.cut_mm ?? wound ?? measured,
    amount,
  };
}

/** Every part of the dressing as it is on this hook. */
export function partsOf(on: PartsOn): CardPart[] {
  return on.laid.parts.map((item) => partOf(item, on));
}
