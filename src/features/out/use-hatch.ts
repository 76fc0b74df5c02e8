import { useMemo } from 'react';
import {
  bandSeen,
  hourOf,
  hoursSince,
  nextUp,
  proposeMoves,
  shownBands,
  upNow,
  worthAFly,
  worthOf,
  clockOf,
  type Band,
  type HatchMove,
} from '@/core/hatch';
import type { OutingRecord } from '@/records';
import { useApp } from '@/state';
import { selectHatch, selectTieable, type Hatch } from '@/state/answering';
import { useSpeech, useWords } from '@/features/shell';

/** A move of the strip as the tier has it: proposed, shifted, or left out. */
export interface PlannedMove extends HatchMove {
  /** Left out on purpose. */
  out: boolean;
}

export interface Day extends Hatch {
  shown: readonly Band[];
  moves: readonly PlannedMove[];
  /** When each band was noted, h. */
  seen: Readonly<Record<string, number[]>>;
  took: readonly number[];
  now: number | null;
  /** What is up and what comes next, in words. */
  glance: string;
}

/** The day of an outing: its bands, the moves they ask for out of the boxes that are carried, and the glance. */
export function useDay(outing: OutingRecord, clock: string): Day {
  const words = useWords();
  const speech = useSpeech();
  const hatch = useApp((state) => selectHatch(state, outing));
  const carried = useApp(selectTieable);
  const moves = useMemo(
    () =>
      proposeMoves(hatch.bands, carried, Math.max(hatch.light.firstLight, hourOf(outing.start)))
        .map((move): PlannedMove => {
          const own = outing.plan.find(({ id }) => id === move.id);
          return own
            ? { ...move, at: own.at ? hoursSince(outing.start, own.at) : move.at, out: !own.at }
            : { ...move, out: false };
        })
        .sort((a, b) => a.at - b.at),
    [hatch, carried, outing.plan, outing.start],
  );
  const { seen, took } = useMemo(() => {
    const bySeen: Record<string, number[]> = {};
    const takes: number[] = [];
    for (const { event } of outing.tally.latest) {
      const band = bandSeen(event);
      if (band) (bySeen[band] ??= []).push(hoursSince(outing.start, event.at));
      if (event.what === 'took') takes.push(hoursSince(outing.start, event.at));
    }
    return { seen: bySeen, took: takes };
  }, [outing.tally, outing.start]);
  const now = outing.end === null && clock.slice(0, 10) === outing.start.slice(0, 10) ? hourOf(clock) : null;
  const name = ({ id }: Pick<Band, 'id'>) => words(`hatch.name.${id}`);
  const up = now === null ? [] : upNow(hatch.bands, now);
  const next = nextUp(hatch.bands, now ?? 0);
  // What is over by more than an hour is not looked at any more.
  const shown = shownBands(hatch.bands).filter(({ spans }) => now === null || spans[spans.length - 1]![1] > now - 1);
  const worth = worthAFly(hatch.bands);
  const likely = worth.filter(({ p }) => worthOf(p) === 'likely');
  const glance =
    now === null
      ? worth.length === 0
        ? words('hatch.none')
        : likely.length > 0
          ? words('hatch.was', { bands: speech.list(likely.map(name)) })
          : words('hatch.was-perhaps', { bands: speech.list(worth.map(name)) })
      : speech.sentences([
          up.length === 0 ? words('hatch.none-now') : words('hatch.now', { bands: speech.list(up.map(name)) }),
          next && words('hatch.next', { band: name(next.band), time: clockOf(next.at) }),
        ]);
  return { ...hatch, shown, moves, seen, took, now, glance };
}
