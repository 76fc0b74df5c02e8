import type { Card } from '../card/card-shape';
import { woundCut } from './amounts';
import { turnsLaid } from './counted';
import type { LaidPart, LayOut } from './lay-out';

/** The body a rib crosses: the part named in its `to`. */
export function bodyOf(item: LaidPart, laid: LayOut): LaidPart | undefined {
  return laid.parts.find((other) => `part:${other.part.id}` === item.part.to);
}

/** A rib as it is wound. */
export function ribOf(item: LaidPart, laid: LayOut): Card['ribs'][number] | null {
  const { part } = item;
  if (
    part.part !== 'rib' ||
    part.count === null ||
    part.count === 0 ||
    item.fromMm === null ||
    item.toMm === null ||
    part.material === null
  )
    return null;
  const body = bodyOf(item, laid);
  const turns = turnsLaid(item) ?? part.count;
  const pitch = Math.abs(item.fromMm - item.toMm) / turns;
  return {
    part: part.id,
    material: part.material,
    turns,
    pitch_mm: pitch,
    cut_mm: woundCut(turns, body?.thickMm ?? 1, pitch),
    counter: part.counter,
  };
}
