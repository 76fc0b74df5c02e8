import { useMemo } from 'react';
import { spentOf, tallyOf } from '@/core/session';
import { leftOf, stashKey, type BatchRecord } from '@/records';
import { useApp } from '@/state';
import { selectNamed } from '@/state/answering';

/** A counted material of the stash that goes with a session. */
export interface TakenLine {
  stashId: string;
  material: string;
  count: number;
}

/** What of the stash went with the flies of a session, where its amount is known. */
export function useSpent(batch: BatchRecord): TakenLine[] {
  const stash = useApp((state) => state.records.entities.stash);
  const { materials } = useApp(selectNamed);
  return useMemo(() => {
    const byId = new Map(materials.map((material) => [material.id, material]));
    const flies = batch.items.map((item) => {
      const { made, spoiled } = tallyOf(batch, item);
      return { card: item.card, flies: made + spoiled };
    });
    return spentOf(flies, (id) => byId.get(id)).flatMap(({ material, count }) => {
      const own = byId.get(material);
      const keys = [
        stashKey({ materialId: own?.of ?? material, shadeId: own?.of === undefined ? null : material }),
        stashKey({ materialId: own?.of ?? material, shadeId: null }),
      ];
      const stashId = keys.find((key) => stash[key] && leftOf(stash[key]) !== null);
      return stashId === undefined ? [] : [{ stashId, material, count: Math.min(count, leftOf(stash[stashId]!)!) }];
    });
  }, [batch, stash, materials]);
}
