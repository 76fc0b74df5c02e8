import { useEffect, useMemo, useRef, useState, type ComponentType, type ReactNode } from 'react';
import { View } from 'react-native';
import { Provider, useStore } from 'react-redux';
import type { Kind, ReadRecord } from '@/records';
import { setAside, type Foreseen, type Store } from '@/state';
import { NotDrawn } from '@/features/shell';

/** A record of a file that no screen can draw, and what the screen said. */
export interface Undrawn extends Pick<ReadRecord, 'kind' | 'id' | 'name'> {
  why: string;
}

/** Kinds of record that stand in a list of their own. */
export const LISTED = ['match', 'dressing', 'packet', 'fly', 'box', 'group'] as const satisfies readonly Kind[];
export type Listed = (typeof LISTED)[number];
export type ListRow = ComponentType<{ kind: Listed; id: string }>;

/** So many of each kind are drawn of a file, a few at a time so that the page goes on. */
const MOST = 60;
const AT_ONCE = 4;

/** Draws what a file would bring once, as it stands in its list, out of sight, before anything of it is kept: what cannot be drawn is told. `failed` is null until it is done. */
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

/** What of a file is drawn; a natural by the matches that open it. */
function drawnOf({ adds, changes, after }: Foreseen) {
  const read = [...adds, ...changes];
  const samples = new Set(read.flatMap(({ kind, id }) => (kind === 'sample' ? [id] : [])));
  const opening = Object.entries(after.match).flatMap(([id, { sampleId }]) => (samples.has(sampleId) ? [id] : []));
  return LISTED.flatMap((kind) => {
    const own = read.flatMap((record) => (record.kind === kind ? [record.id] : []));
    const ids = new Set(kind === 'match' ? [...own, ...opening] : own);
    return [...ids].slice(0, MOST).map((id) => ({ kind, id }));
  });
}

function Trial({ foreseen, onDone }: { foreseen: Foreseen; onDone: (failed: readonly Undrawn[]) => void }) {
  const store = useStore() as unknown as Store;
  const [row, setRow] = useState<{ Row: ListRow } | null>(null);
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
    let here = true;
    // Where the lists are not on this device yet nothing is drawn: each stands behind its own boundary.
    const load = async () => {
      const { listRow } = await import('./trial-rows');
      const Row = await listRow();
      if (here) setRow({ Row });
    };
    load().catch(() => here && onDone([]));
    return () => void (here = false);
    // Asked for once.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, []);
  useEffect(() => {
    if (!row) return;
    const on = setTimeout(() => {
      if (at < drawn.length) setAt(at + AT_ONCE);
      else onDone([...failed.current.values()]);
    });
    return () => clearTimeout(on);
    // Told once, when all are drawn.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [at, row]);
  const hear = (record: { kind: Kind; id: string }, why: string) => {
    const { name = '' } =
      [...foreseen.adds, ...foreseen.changes].find(({ kind, id }) => kind === record.kind && id === record.id) ?? {};
    failed.current.set(`${record.kind}/${record.id}`, { ...record, name, why });
  };
  if (!row) return null;
  return (
    <Provider store={trial as unknown as Parameters<typeof Provider>[0]['store']}>
      <NotDrawn value={hear}>
        <View className="hidden">
          {drawn.slice(at, at + AT_ONCE).map(({ kind, id }) => (
            <row.Row key={`${kind}/${id}`} kind={kind} id={id} />
          ))}
        </View>
      </NotDrawn>
    </Provider>
  );
}
