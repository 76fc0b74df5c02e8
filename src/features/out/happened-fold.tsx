import { useEffect, useMemo, useState } from 'react';
import { View } from 'react-native';
import { useStore } from 'react-redux';
import { DEEPEST_MM, LONGEST_FISH_MM, type OutingEvent } from '@/core/outing';
import { tellFish, type Entered, type OutingRecord } from '@/records';
import type { Speech } from '@/speech';
import { useAct, type Store } from '@/state';
import { inOrder, outingEvents } from '@/state/answering';
import { NumberField } from '@/features/length-field';
import { useSpeech, useWords } from '@/features/shell';
import { Button, Digits, Field, Fold, Row, Say, Toggle } from '@/ui/primitives';

const FIRST = 12;
const CM = 10;

/** Every entry of an outing: those held beside it at once, and what lies in the store as soon as it is read. */
function useEvents(
  id: string,
  outing: OutingRecord,
): [Entered<OutingEvent>[], (id: string, next: Entered<OutingEvent>) => void] {
  const { ports } = useStore() as unknown as Store;
  const { tally } = outing;
  const [stored, setStored] = useState<readonly Entered<OutingEvent>[]>([]);
  const more = tally.events > tally.latest.length;
  useEffect(() => {
    if (!more) return undefined;
    let here = true;
    void outingEvents(ports, id).then((read) => here && setStored(read));
    return () => void (here = false);
  }, [ports, id, more]);
  const all = useMemo(() => inOrder({ tally }, more ? stored : []), [tally, stored, more]);
  // One that lies only in the store is shown as it is told now.
  return [all, (entry, next) => setStored((own) => own.map((one) => (one.id === entry ? next : one)))];
}

/** What an entry says, in words: `took, First-light dun`. */
function useTold(outing: OutingRecord): (event: OutingEvent) => string {
  const words = useWords();
  const speech = useSpeech();
  return ({ what, fly, seen, rise, waterC }) => {
    if (what === 'seen') return words(`key.seen-name.${seen}`);
    if (what === 'rise') return words(`key.rise-name.${rise}`);
    if (what === 'temperature') return words('out.water-is', { c: speech.number(waterC ?? 0, 1) });
    const name = outing.team.find((own) => own.id === fly)?.name ?? words('out.unknown');
    return speech.pair(words(`out.logged.${what}`), name);
  };
}

function fishText({ fishMm, species, depthMm, released }: OutingEvent, speech: Speech): string {
  return speech.beside([
    species,
    fishMm !== undefined && speech.t('ui.out.fish-cm', { cm: speech.number(fishMm / CM, 0) }),
    depthMm !== undefined && speech.t('ui.out.fish-deep', { cm: speech.number(depthMm / CM, 0) }),
    released !== undefined && speech.t(released ? 'ui.out.fish-back' : 'ui.out.fish-kept'),
  ]);
}

/** What happened, entry by entry with its time; of a fish more can be told here after the fact. */
export function HappenedFold({ id, outing }: { id: string; outing: OutingRecord }) {
  const words = useWords();
  const speech = useSpeech();
  const told = useTold(outing);
  const [all, onTold] = useEvents(id, outing);
  const [editing, setEditing] = useState<string | null>(null);
  const [every, setEvery] = useState(false);
  const latest = [...all].reverse();
  if (outing.tally.events === 0) return null;
  return (
    <Fold wide title={words('out.happened')} line={words('out.happened-n', { count: outing.tally.events })}>
      <View className="border-t border-line">
        {latest.slice(0, every ? undefined : FIRST).map(({ id: entry, event }) => {
          const time = event.at.slice(11, 16);
          const fish = event.what === 'took' || event.what === 'lost-fish';
          const more = fishText(event, speech);
          const line = (
            <>
              <Digits size="small" tone="soft">
                {time}
              </Digits>
              <View className="min-w-0 flex-1">
                <Say weight={fish ? 'medium' : undefined}>{told(event)}</Say>
                {more ? (
                  <Say size="small" tone="soft">
                    {more}
                  </Say>
                ) : null}
              </View>
            </>
          );
          return (
            <View key={entry}>
              {fish ? (
                <Row
                  wide={false}
                  spoken={words('out.tell-fish', { what: speech.beside([told(event), more]), time })}
                  onPress={() => setEditing(editing === entry ? null : entry)}
                >
                  {line}
                </Row>
              ) : (
                <View className="min-h-touch flex-row items-center gap-3 border-b border-line py-1">{line}</View>
              )}
              {editing === entry ? (
                <FishForm
                  outingId={id}
                  entry={entry}
                  event={event}
                  onDone={(next) => {
                    if (next) onTold(entry, next);
                    setEditing(null);
                  }}
                />
              ) : null}
            </View>
          );
        })}
      </View>
      {latest.length > FIRST ? (
        <Button
          kind="quiet"
          className="-ml-4 self-start"
          label={words(every ? 'box.fewer' : 'out.happened-all', { count: latest.length })}
          onPress={() => setEvery(!every)}
        />
      ) : null}
    </Fold>
  );
}

function FishForm({
  outingId,
  entry,
  event,
  onDone,
}: {
  outingId: string;
  entry: string;
  event: OutingEvent;
  onDone: (next: Entered<OutingEvent> | null) => void;
}) {
  const words = useWords();
  const act = useAct();
  const [fishMm, setFish] = useState(event.fishMm ?? null);
  const [depthMm, setDepth] = useState(event.depthMm ?? null);
  const [species, setSpecies] = useState(event.species ?? '');
  const [released, setReleased] = useState(event.released ?? true);
  return (
    <View className="gap-3 border-b border-line py-3">
      <View className="flex-row flex-wrap gap-3">
        <View className="min-w-36 flex-1">
          <Field label={words('out.species')} value={species} onType={setSpecies} />
        </View>
        <View className="min-w-28 flex-1">
          <NumberField
            label={words('out.length-cm')}
            value={fishMm === null ? null : fishMm / CM}
            range={[1, LONGEST_FISH_MM / CM]}
            onChange={(cm) => setFish(cm === null ? null : cm * CM)}
          />
        </View>
        <View className="min-w-28 flex-1">
          <NumberField
            label={words('out.depth-cm')}
            value={depthMm === null ? null : depthMm / CM}
            range={[0, DEEPEST_MM / CM]}
            onChange={(cm) => setDepth(cm === null ? null : cm * CM)}
          />
        </View>
      </View>
      <View className="flex-row flex-wrap items-center gap-3">
        <Toggle label={words('out.released')} on={released} onChange={setReleased} />
        <Button
          kind="main"
          label={words('out.tell')}
          onPress={() => {
            const next = act(tellFish, {
              outingId,
              id: entry,
              event,
              species: species.trim(),
              released,
              ...(fishMm === null ? {} : { fishMm }),
              ...(depthMm === null ? {} : { depthMm }),
            });
            onDone(next);
          }}
        />
      </View>
    </View>
  );
}
