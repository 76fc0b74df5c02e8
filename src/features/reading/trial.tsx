import { useEffect, useMemo, useRef, useState, type ReactNode } from 'react';
import { View } from 'react-native';
import { Provider, useStore } from 'react-redux';
import { modelIdOf, type Kind, type ReadRecord } from '@/records';
import { setAside, useApp, type Store, type Foreseen } from '@/state';
import { selectCardOf } from '@/state/answering';
import { MatchRow } from '@/features/matches';
import { InList, NotDrawn, useWords } from '@/features/shell';
import { FlyThumb } from '@/ui/drawings';
import { Say } from '@/ui/primitives';

/** A record of a file that no screen can draw, and what the screen said. */
export interface Undrawn extends Pick<ReadRecord, 'kind' | 'id' | 'name'> {
  why: string;
}

/** So many are drawn of a file: the first of each kind, a few at a time so that the page goes on. */
const MOST = 60;
const AT_ONCE = 4;
const OWN_DRESSING = 'dressing_';

/** Draws what a file would bring once, out of sight, before anything of it is kept: what cannot be drawn is told. `failed` is null until it is done. */
export function useTrial(foreseen: Foreseen | null): { trial: ReactNode; failed: readonly Undrawn[] | null } {
  const [done, setDone] = useState<{ of: Foreseen; failed: readonly Undrawn[] } | null>(null);
  const over = foreseen !== null && done?.of === foreseen;
  return {
    trial:
      foreseen && !over ? <Trial foreseen={foreseen} onDone={(failed) => setDone({ of: foreseen, failed })} /> : null,
    failed: over ? done.failed : null,
  };
}

/** Sets aside what could not be drawn, once the rest was taken: each by what its screen said, named on the Data page. */
export async function asideAfter(store: Store, failed: readonly Undrawn[] | null): Promise<void> {
  for (const { kind, id, why } of failed ?? []) await setAside(store, [{ kind, id }], why).catch(() => undefined);
}

/** What of a file is drawn, by how it stands in a list: a natural with the match that opens it. */
function drawnOf({ adds, changes, after }: Foreseen): { kind: Kind; id: string }[] {
  const read = [...adds, ...changes];
  const of = (kind: Kind) => read.flatMap((record) => (record.kind === kind ? [record.id] : []));
  const samples = new Set(of('sample'));
  const matches = new Set(of('match'));
  if (samples.size > 0)
    for (const [id, { sampleId }] of Object.entries(after.match)) if (samples.has(sampleId)) matches.add(id);
  return [
    ...[...matches].slice(0, MOST).map((id) => ({ kind: 'match' as const, id })),
    ...of('dressing')
      .slice(0, MOST)
      .map((id) => ({ kind: 'dressing' as const, id })),
    ...of('packet')
      .slice(0, MOST)
      .map((id) => ({ kind: 'packet' as const, id })),
    ...(['fly', 'box', 'group'] as const).flatMap((kind) =>
      of(kind)
        .slice(0, MOST)
        .map((id) => ({ kind, id })),
    ),
  ];
}

function Trial({ foreseen, onDone }: { foreseen: Foreseen; onDone: (failed: readonly Undrawn[]) => void }) {
  const store = useStore() as unknown as Store;
  const drawn = useMemo(() => drawnOf(foreseen), [foreseen]);
  const failed = useRef(new Map<string, Undrawn>());
  const [at, setAt] = useState(0);
  // The store as it would be, which nothing that is drawn can change.
  const trial = useMemo(() => {
    const now = store.getState();
    const state = { ...now, records: { ...now.records, entities: foreseen.after } };
    return { ...store, getState: () => state, subscribe: () => () => undefined, dispatch: <A,>(action: A) => action };
  }, [store, foreseen]);
  useEffect(() => {
    const on = setTimeout(() => {
      if (at < drawn.length) setAt(at + AT_ONCE);
      else onDone([...failed.current.values()]);
    });
    return () => clearTimeout(on);
    // Told once, when all are drawn.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [at, drawn]);
  const hear = (record: { kind: Kind; id: string }, why: string) => {
    const { name = '' } =
      [...foreseen.adds, ...foreseen.changes].find(({ kind, id }) => kind === record.kind && id === record.id) ?? {};
    failed.current.set(`${record.kind}/${record.id}`, { ...record, name, why });
  };
  return (
    <Provider store={trial as unknown as Parameters<typeof Provider>[0]['store']}>
      <NotDrawn value={hear}>
        <View className="hidden">
          {drawn.slice(at, at + AT_ONCE).map(({ kind, id }) => (
            <Drawn key={`${kind}/${id}`} kind={kind} id={id} />
          ))}
        </View>
      </NotDrawn>
    </Provider>
  );
}

function Drawn({ kind, id }: { kind: Kind; id: string }) {
  if (kind === 'match') return <MatchRow id={id} />;
  return (
    <InList record={{ kind, id }} name="" data={id}>
      {kind === 'dressing' ? <DrawnDressing id={id} /> : <DrawnWords kind={kind} id={id} />}
    </InList>
  );
}

function DrawnDressing({ id }: { id: string }) {
  const cardOf = useApp(selectCardOf);
  return <FlyThumb card={cardOf(id.replace(OWN_DRESSING, ''))} width={120} height={80} plain={false} />;
}

/** What is told of a packet, a fly, a box or a group in a line. */
function DrawnWords({ kind, id }: { kind: Kind; id: string }) {
  const words = useWords();
  const entities = useApp((state) => state.records.entities);
  const record = entities[kind][id] as { name?: string; label?: string; hookId?: string | null; months?: number[] };
  const model = record.hookId ? entities.model[modelIdOf(record.hookId)] : undefined;
  return (
    <Say>
      {[record.name, record.label, model?.name, words(`reading.kind.${kind}`), ...(record.months ?? [])].join(' ')}
    </Say>
  );
}
