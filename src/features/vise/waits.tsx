import { View } from 'react-native';
import type { Running } from '@/core/session';
import type { Card } from '@/core/tying';
import { dryNow, stopTimer, type BatchRecord } from '@/records';
import { useAct } from '@/state';
import { useSpeech, useWords } from '@/features/shell';
import { Button, Digits, Say } from '@/ui/primitives';
import { countdown, flyName } from './names';

/** How long after its end a wait is still told as over. */
const OVER_MS = 120_000;

/** So many stand at the foot of the vise, the soonest first. */
const MOST = 2;

export interface Wait {
  id: string;
  name: string;
  ends: number;
  /** The fly that lies; null for a timer of one's own. */
  fly: { item: string; n: number } | null;
}

/** Everything that is waited for in a session: flies that dry or cure, and timers of one's own, the soonest first. */
export function waitsOf(batch: BatchRecord, running: Running<Card>, speech: ReturnType<typeof useSpeech>): Wait[] {
  const flies = Object.entries(batch.flies).flatMap(([id, { item, n, wetUntil, state }]) =>
    wetUntil === null || state === 'spoiled'
      ? []
      : [{ id, name: flyName(running, item, n, speech), ends: wetUntil, fly: { item, n } }],
  );
  const own = Object.entries(batch.timers).map(([id, { name, ends }]) => ({ id, name, ends, fly: null }));
  return [...flies, ...own].sort((a, b) => a.ends - b.ends);
}

/** Waits as they run down, seen from a bench away; one that is over says so for a while. */
export function Waits({
  batchId,
  waits,
  now,
  onOver,
}: {
  batchId: string;
  waits: readonly Wait[];
  now: number;
  /** A wait was ended by its button, which is gone with it. */
  onOver: () => void;
}) {
  const words = useWords();
  const act = useAct();
  const all = waits.filter(({ ends, fly }) => ends > now || (fly === null ? true : now - ends < OVER_MS));
  const shown = all.slice(0, MOST);
  if (shown.length === 0) return null;
  return (
    <View role="list" aria-label={words('vise.waits')} className="border-t border-line">
      {shown.map(({ id, name, ends, fly }) => {
        const over = ends <= now;
        return (
          <View
            key={id}
            role="listitem"
            className="min-h-touch flex-row flex-wrap items-center gap-x-4 border-b border-line px-5 py-1"
          >
            <View className="min-w-24">
              {over ? (
                <Say live tone="sedge" weight="strong" size="lead">
                  {words(fly ? 'vise.dry' : 'vise.over')}
                </Say>
              ) : (
                <Digits size="bench" tone="straw">
                  {countdown(ends - now)}
                </Digits>
              )}
            </View>
            <Say className="min-w-[40%] flex-1">{name}</Say>
            {fly && !over ? (
              <Button
                kind="quiet"
                label={words('vise.is-dry')}
                spoken={words('vise.is-dry-spoken', { fly: name })}
                onPress={() => {
                  act(dryNow, { batchId, ...fly });
                  onOver();
                }}
              />
            ) : null}
            {fly === null ? (
              <Button
                kind="quiet"
                label={words('vise.timer-off')}
                spoken={words('vise.timer-off-spoken', { name })}
                onPress={() => {
                  act(stopTimer, { batchId, id });
                  onOver();
                }}
              />
            ) : null}
          </View>
        );
      })}
      {all.length > MOST ? (
        <Say size="small" tone="soft" className="px-5 py-1">
          {words('vise.more-waits', { count: all.length - MOST })}
        </Say>
      ) : null}
    </View>
  );
}
