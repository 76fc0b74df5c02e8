import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { useStore } from 'react-redux';
import { modelIdOf, type Command, type Entities, type Kind, type Reading, type ReadRecord } from '@/records';
import { foresee, nowOf, useApp, type Store, type Foreseen } from '@/state';
import { useSpeech, useWords } from '@/features/shell';
import { Say } from '@/ui/primitives';

const SHOWN = 6;

/** What a command would add and change if it were run now; null while there is nothing to run. */
export function useForesee<I>(command: Command<I, unknown>, input: I | null): Foreseen | null {
  const { clocks, getState, ports } = useStore() as unknown as Store;
  const entities = useApp((state) => state.records.entities);
  const [foreseen, setForeseen] = useState<{ of: I; in: Entities; reading: Foreseen } | null>(null);
  useEffect(() => {
    if (input === null) return;
    let here = true;
    const around = { now: nowOf(getState(), ports), at: ports.now() };
    void foresee(entities, clocks, around, command, input, () => here).then(
      (reading) => here && reading && setForeseen({ of: input, in: entities, reading }),
    );
    return () => void (here = false);
  }, [clocks, command, entities, getState, input, ports]);
  return foreseen && foreseen.of === input ? foreseen.reading : null;
}

/** What a file would do before it is taken: what is new, what of yours it changes and in what, and how much stays as it is. `held` is how many records it holds, all of one kind where `of` names it. */
export function ReadingReport({ reading, held, of }: { reading: Reading; held: number; of?: Kind }) {
  const words = useWords();
  const speech = useSpeech();
  const { adds, changes, drops } = reading;
  const counted = (records: readonly ReadRecord[]) =>
    records.filter(({ kind }) => of === undefined || kind === of).length;
  const same = Math.max(0, held - counted(adds) - counted(changes));
  const models = useApp((state) => state.records.entities.model);
  const makers = useApp((state) => state.records.entities.maker);
  /** A packet without a label and a fly without a name of its own are called as their hook is. */
  const called = ({ kind, name }: ReadRecord) => {
    if ((kind !== 'packet' && kind !== 'fly') || !name.includes(':')) return name;
    const [maker, , size] = name.split(':') as [string, string, string];
    const model = models[modelIdOf(name)];
    return model ? `${makers[maker]?.name ?? maker} ${model.name} ${size}` : name.replaceAll(':', ' ');
  };
  const line = (record: ReadRecord) => {
    const { kind, fields, when } = record;
    // Most that have a day have it beside a name of their own, or no name at all.
    const what = speech.beside([
      called(record) || words(`reading.kind.${kind}`),
      when !== null && (kind === 'sample' || called(record) === '') && speech.day(when, true),
    ]);
    return fields.length === 0
      ? what
      : words('reading.changes', { what, fields: speech.list(fields.map((field) => words(`reading.field.${field}`))) });
  };
  const list = (label: string, records: readonly ReadRecord[]) =>
    records.length === 0 ? null : (
      <View className="gap-1">
        <Say size="small" weight="medium">
          {words(label, { count: records.length })}
        </Say>
        {records.slice(0, SHOWN).map((record) => (
          <Say key={`${record.kind}/${record.id}`} size="small">
            {line(record)}
          </Say>
        ))}
        {records.length > SHOWN ? (
          <Say size="small" tone="soft">
            {words('reading.more', { count: records.length - SHOWN })}
          </Say>
        ) : null}
      </View>
    );
  return (
    <View role="group" aria-label={words('reading.title')} className="gap-2">
      {list('reading.adds', adds)}
      {list('reading.changed', changes)}
      {list('reading.drops', drops)}
      {same > 0 ? (
        <Say size="small" tone="soft">
          {words('reading.same', { count: same })}
        </Say>
      ) : null}
      {adds.length + changes.length + drops.length === 0 ? <Say size="small">{words('reading.nothing')}</Say> : null}
    </View>
  );
}
