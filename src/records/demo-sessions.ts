import cards from '@/catalogue/demo-cards.json';
import { sessions } from '@/catalogue/demo-sessions.json';
import type { Card } from '@/core/card/card-shape';
import { layOutOf } from '@/core/session/lay-out';
import { flyKey, type RunningFly, type SpoilId } from '@/core/session/running';
import { handsOn } from '@/core/session/session';
import { inspectKey } from './batch/queries';
import { batchSchema, type BatchMeasure, type BatchRecord } from './batch/schema';
import type { Entities } from './kinds';

interface DemoFly {
  item: number;
  state: RunningFly['state'];
  /** Its time beside the usual of its place in the line. */
  pace: number;
  /** Of one that is begun: steps done. */
  done?: number;
  /** Of one that was spoiled. */
  step?: number;
  why?: SpoilId;
  /** By what share its parts are off their card. */
  off?: Record<string, number>;
}

/** Dressings that the valley's sessions are tied from, each with its card (`demo-cards.json`; written by `demo-sessions.test.ts`). */
const DEMO_CARDS: Readonly<Record<string, Card>> = cards as unknown as Record<string, Card>;

/** The valley's evenings at the vise: three that are ended, with flies that were inspected, and one that is half done. */
export function layOutVise(entities: Entities): void {
  const madeOf = new Map<string, number>();
  for (const { key, opened, ended, mode, for: whom, laid = 0, items, flies } of sessions as {
    key: string;
    opened: string;
    ended: string | null;
    mode: BatchRecord['mode'];
    for: string[];
    laid?: number;
    items: { dressing: string; count: number }[];
    flies: DemoFly[];
  }[]) {
    // A card that is still to be written leaves its session out, so that it can be written.
    if (items.some(({ dressing }) => !DEMO_CARDS[dressing])) continue;
    const own = items.map(({ dressing, count }, at) => ({
      id: `i${at + 1}`,
      matchId: null,
      card: DEMO_CARDS[dressing]!,
      count,
      made: madeOf.get(dressing) ?? 0,
    }));
    const numbers = new Map<string, number>();
    const stand: Record<string, RunningFly> = {};
    const measured: Record<string, BatchMeasure> = {};
    let at: BatchRecord['at'] = null;
    for (const { item: nth, state, pace, done, step, why, off = {} } of flies) {
      const { id: item, card, made } = own[nth - 1]!;
      const n = (numbers.get(item) ?? 0) + 1;
      numbers.set(item, n);
      const upTo = state === 'made' ? card.steps.length : state === 'spoiled' ? step! - 1 : done!;
      const hands = handsOn(card, made + n - 1);
      stand[flyKey(item, n)] = {
        item,
        n,
        done: upTo,
        state,
        wetUntil: null,
        spent: Object.fromEntries(
          card.steps.slice(0, upTo).map(({ n: of }, place) => [of, Math.round(hands[place]! * pace)]),
        ),
        spoiledAt: state === 'spoiled' ? step! : null,
        why: why ?? null,
      };
      for (const [part, share] of Object.entries(off)) {
        const { part: kind, mm: targetMm } = card.parts.find(({ id }) => id === part)!;
        const mm = Math.round(100 * targetMm! * (1 + share)) / 100;
        measured[inspectKey(item, n, part)] = { item, n, part, kind, mm, targetMm: targetMm!, how: 'calliper' };
      }
      if (state === 'begun') at = { item, n, since: null, beforeS: 0, chosen: false };
    }
    for (const { id, card } of own)
      madeOf.set(
        card.dressing.id,
        (madeOf.get(card.dressing.id) ?? 0) +
          Object.values(stand).filter(({ item, state }) => item === id && state === 'made').length,
      );
    entities.batch[`batch_demo-${key}`] = batchSchema.cast({
      demo: true,
      opened,
      ended,
      mode,
      forName: whom[0],
      forWater: whom[1],
      said: whom[2],
      items: own,
      ticks: Object.fromEntries(
        layOutOf(own, () => undefined)
          .slice(0, ended === null ? laid : undefined)
          .map(({ id }) => [id, true]),
      ),
      flies: stand,
      measured,
      at,
    });
  }
}
