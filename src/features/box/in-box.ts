import { heldBy, leftIn } from '@/core/box';
import type { Hook } from '@/core/hooks';
import { heldOf, type BoxRecord, type FlyRecord } from '@/records';
import type { Speech } from '@/speech';
import type { Card } from '@/core/tying';
import { slotName, type Cell } from './compartments';

/** One fly as it lies in one box. */
export interface InBox {
  id: string;
  fly: FlyRecord;
  left: number;
  slot: string | null;
}

/** Flies of one box by compartment; `left` counts this box only. */
export function fliesIn(boxId: string, flies: Readonly<Record<string, FlyRecord>>): InBox[] {
  return Object.entries(flies)
    .flatMap(([id, fly]): InBox[] => {
      const places = fly.tally.places.filter((place) => place.boxId === boxId);
      return places.length === 0 ? [] : [{ id, fly, left: leftIn(places), slot: heldBy(places)[0]?.slot ?? null }];
    })
    .sort(
      (a, b) => (a.slot ?? '~').localeCompare(b.slot ?? '~', undefined, { numeric: true }) || a.id.localeCompare(b.id),
    );
}

/** The hook of a fly by its maker's name, or the length noted for it. */
export function hookLine(
  fly: Pick<FlyRecord, 'hookId' | 'lengthMm'>,
  hooks: ReadonlyMap<string, Hook>,
  speech: Speech,
): string {
  const hook = fly.hookId ? hooks.get(fly.hookId) : undefined;
  if (hook) return `${hook.makerName} ${hook.modelName} ${hook.size}`;
  return fly.lengthMm ? speech.length(fly.lengthMm) : '';
}

/** What stands for the size in a compartment: the packet's, or whole millimetres. */
export function sizeOf(
  fly: Pick<FlyRecord, 'hookId' | 'lengthMm'>,
  hooks: ReadonlyMap<string, Hook>,
  speech: Speech,
): string {
  const hook = fly.hookId ? hooks.get(fly.hookId) : undefined;
  if (hook) return hook.size;
  if (!fly.lengthMm) return '';
  return speech.unit === 'mm' ? `${Math.round(fly.lengthMm)}\u202f${speech.t('unit.mm')}` : speech.length(fly.lengthMm);
}

/** What every compartment of a box shows; one that was emptied keeps the fly that belongs there. */
export function cellsOf(
  boxId: string,
  held: readonly InBox[],
  hooks: ReadonlyMap<string, Hook>,
  speech: Speech,
  nameOf: (fly: FlyRecord) => string,
  cardOf: (id: string | null | undefined) => Card | undefined,
): Map<string, Cell> {
  const cells = new Map<string, Cell>();
  for (const { fly } of held) {
    for (const place of heldOf(fly)) {
      if (place.boxId !== boxId || !place.slot) continue;
      const there = cells.get(place.slot);
      if (there && place.left === 0) continue;
      cells.set(place.slot, {
        left: (there?.left ?? 0) + place.left,
        size: sizeOf(fly, hooks, speech),
        name: nameOf(fly),
        card: cardOf(fly.dressingId),
        stage: fly.dressingId ? null : (fly.stage ?? null),
      });
    }
  }
  return cells;
}

/** Box and compartment in words. */
export function placeName(box: BoxRecord | undefined, slot: string | null, speech: Speech): string {
  return speech.list([box?.name, slot ? slotName(slot) : null]);
}
