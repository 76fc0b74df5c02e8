import { useDeferredValue, useMemo, useState } from 'react';
import { View } from 'react-native';
import { deleteMatches } from '@/records';
import { useAct, useApp, writeBundle, type Store } from '@/state';
import { saveFile } from '@/features/files';
import { Page, QuietBar, useNewMatch, useSpeech, useWide, useWords } from '@/features/shell';
import { Button, Field, Fold, Heading, Pick, Say } from '@/ui/primitives';
import { RowPlace } from '@/ui/primitives/rows';
import { useRowsInView } from '@/ui/primitives/use-rows-in-view';
import { useStore } from 'react-redux';
import { ReadMatch } from './carry';
import { ANY_MATCH, askableOf, findMatches, monthOfMatch, wordsOfMatch, type MatchFilter } from './find-matches';
import { MatchRow } from './match-row';
import { selectMatchIds, selectWaiting } from './select';

/** Matches in a list; two beside each other where there is room. */
export function MatchList({ ids, narrow = false }: { ids: readonly string[]; narrow?: boolean }) {
  const two = useWide() && !narrow;
  return (
    <View className={`border-t border-line ${two ? 'flex-row flex-wrap' : ''}`}>
      {ids.map((id) => (
        <View key={id} className={two ? 'w-1/2' : ''}>
          <MatchRow id={id} />
        </View>
      ))}
    </View>
  );
}

/** Several matches that are picked; null while none can be. */
type Picked = ReadonlySet<string> | null;

/** Height of a row of which nothing is known yet, px. */
const ROW_PX = 118;

type Row = { month: string } | { ids: readonly string[] };

/** Months as headings, and under each its matches, so many beside one another. */
function rowsOf(ids: readonly string[], monthOf: (id: string) => string, across: number): Row[] {
  const rows: Row[] = [];
  let month: string | null = null;
  let open: string[] = [];
  for (const id of ids) {
    if (monthOf(id) !== month) {
      month = monthOf(id);
      rows.push({ month });
      open = [];
    }
    if (open.length === 0 || open.length === across) rows.push({ ids: (open = []) });
    open.push(id);
  }
  return rows;
}

interface ListProps {
  ids: readonly string[];
  picked: Picked;
  onPick: (id: string) => void;
}

/** Every match under its month: only the rows in view are worked out and drawn. */
function AllMatches({ ids, picked, onPick }: ListProps) {
  const speech = useSpeech();
  const across = useWide() ? 2 : 1;
  const { match, sample } = useApp((state) => state.records.entities);
  const all = useMemo(
    () => rowsOf(ids, (id) => monthOfMatch(sample[match[id]?.sampleId ?? '']), across),
    [across, ids, match, sample],
  );
  const { list, rows, height, onHeight } = useRowsInView(all.length, ROW_PX);
  return (
    <View ref={list} style={{ height }}>
      {rows.map(({ key, index, top }) => {
        const row = all[index];
        if (!row) return null;
        return (
          <RowPlace key={key} top={top} onHeight={(tall) => onHeight(index, tall)} className="flex-row">
            {'month' in row ? (
              <View className="grow border-b border-line px-5 pb-2 pt-5">
                <Heading size="small">{speech.month(row.month)}</Heading>
              </View>
            ) : (
              row.ids.map((id) => (
                <View key={id} className={across === 2 ? 'w-1/2' : 'w-full'}>
                  <MatchRow id={id} picked={picked === null ? null : picked.has(id)} onPick={() => onPick(id)} />
                </View>
              ))
            )}
          </RowPlace>
        );
      })}
    </View>
  );
}

/** Matches by what is asked for; the text may lag behind what is typed. */
function useFound(ids: readonly string[], filter: MatchFilter): readonly string[] {
  const speech = useSpeech();
  const words = useWords();
  const { match, sample } = useApp((state) => state.records.entities);
  const texting = filter.text.trim() !== '';
  const texts = useMemo(
    () =>
      new Map(
        (texting ? ids : []).map((id) => [id, wordsOfMatch(match[id]!, sample[match[id]!.sampleId], speech, words)]),
      ),
    [ids, match, sample, speech, texting, words],
  );
  return useMemo(
    () => findMatches(ids, { match, sample }, filter, (id) => texts.get(id) ?? ''),
    [filter, ids, match, sample, texts],
  );
}

export function MatchesScreen() {
  const words = useWords();
  const ids = useApp(selectMatchIds);
  const newMatch = useNewMatch();
  // What is looked at is taken next: no other action is filled beside it.
  const [reading, setReading] = useState(false);
  return (
    <Page
      column="list"
      title={words('place.matches')}
      aside={<Button kind={reading ? 'plain' : 'main'} label={words('matches.new')} onPress={newMatch} />}
    >
      {ids.length === 0 ? (
        <View className="gap-2 px-5">
          <Say>{words('matches.none')}</Say>
          <Say tone="soft">{words('matches.none-hint')}</Say>
        </View>
      ) : (
        <Found ids={ids} />
      )}
      <ReadMatch onOpen={setReading} />
    </Page>
  );
}

/** So few are seen at a glance: nothing to search. */
const FEW = 4;

/** The matches with what finds them again: a search as it is typed, water, kind and month; and several picked at once. */
function Found({ ids }: { ids: readonly string[] }) {
  const words = useWords();
  const [filter, setFilter] = useState(ANY_MATCH);
  const taken = useDeferredValue(filter);
  const found = useFound(ids, taken);
  const [picked, setPicked] = useState<Picked>(null);
  const waiting = useApp(selectWaiting);
  const set = (more: Partial<MatchFilter>) => setFilter({ ...filter, ...more });
  const toggle = (id: string) => {
    const next = new Set(picked);
    if (!next.delete(id)) next.add(id);
    setPicked(next);
  };
  const asked = filter.text.trim() !== '' || filter.place !== null || filter.order !== null || filter.month !== null;
  return (
    <View>
      {ids.length > FEW ? <Narrow ids={ids} filter={filter} onSet={set} /> : null}
      {waiting.length > 0 && !asked && ids.length > FEW ? (
        <Fold wide title={words('matches.waiting')} line={words('matches.waiting-line', { count: waiting.length })}>
          <View className="-mx-5">
            <MatchList ids={waiting} />
          </View>
        </Fold>
      ) : null}
      <View className="min-h-target flex-row items-center justify-between gap-3 px-5">
        <Say live size="small" tone="soft">
          {found.length === 0 ? words('matches.none-found') : words('matches.found', { count: found.length })}
        </Say>
        {asked ? <Button kind="quiet" label={words('matches.all-again')} onPress={() => setFilter(ANY_MATCH)} /> : null}
        {asked || ids.length < 2 ? null : (
          <Button
            kind="quiet"
            label={words(picked ? 'matches.pick-done' : 'matches.pick')}
            className="-mr-4"
            onPress={() => setPicked(picked ? null : new Set())}
          />
        )}
      </View>
      {filter === taken ? null : <QuietBar />}
      {picked ? <PickedBar found={found} picked={picked} onPicked={setPicked} /> : null}
      <AllMatches ids={found} picked={picked} onPick={toggle} />
    </View>
  );
}

/** A landmark that React Native has no name for. */
const SEARCH = { role: 'search' } as object;

/** The search line, and under it water, kind and month as far as there are several. */
function Narrow({
  ids,
  filter,
  onSet,
}: {
  ids: readonly string[];
  filter: MatchFilter;
  onSet: (more: Partial<MatchFilter>) => void;
}) {
  const words = useWords();
  const speech = useSpeech();
  const { match, sample } = useApp((state) => state.records.entities);
  const { places, orders, months } = useMemo(() => askableOf(ids, { match, sample }), [ids, match, sample]);
  const named = (list: readonly string[], name: (id: string) => string) => list.map((id) => ({ id, label: name(id) }));
  return (
    <View {...SEARCH} className="gap-3 px-5 pb-2">
      <Field label={words('matches.search')} value={filter.text} onType={(text) => onSet({ text })} />
      <View className="flex-row flex-wrap gap-3">
        {places.length > 1 ? (
          <Pick
            label={words('matches.where')}
            none={words('matches.where-any')}
            choices={named(places, (place) => place)}
            value={filter.place}
            onChange={(place) => onSet({ place })}
          />
        ) : null}
        {orders.length > 1 ? (
          <Pick
            label={words('matches.kind')}
            none={words('matches.kind-any')}
            choices={named(orders, (order) => speech.name('orders', order))}
            value={filter.order}
            onChange={(order) => onSet({ order })}
          />
        ) : null}
        {months.length > 1 ? (
          <Pick
            label={words('matches.when')}
            none={words('matches.when-any')}
            choices={named(months, (month) => speech.month(month))}
            value={filter.month}
            onChange={(month) => onSet({ month })}
          />
        ) : null}
      </View>
    </View>
  );
}

/** What is done with those that are picked. */
function PickedBar({
  found,
  picked,
  onPicked,
}: {
  found: readonly string[];
  picked: ReadonlySet<string>;
  onPicked: (picked: Picked) => void;
}) {
  const words = useWords();
  const act = useAct();
  const store = useStore() as unknown as Store;
  // What went meanwhile is picked no more.
  const chosen = found.filter((id) => picked.has(id));
  const write = async () => {
    const text = await writeBundle(store, chosen);
    if (text !== null) saveFile('aubade-matches.json', text);
  };
  return (
    <View className="flex-row flex-wrap items-center gap-3 border-y border-line bg-plane px-5 py-2">
      <Say live weight="medium">
        {chosen.length === 0 ? words('matches.pick-none') : words('matches.picked', { count: chosen.length })}
      </Say>
      <Button label={words('matches.pick-all')} onPress={() => onPicked(new Set(found))} />
      <Button label={words('matches.write-picked')} disabled={chosen.length === 0} onPress={() => void write()} />
      <Button
        label={words('matches.delete-picked')}
        disabled={chosen.length === 0}
        onPress={() => {
          act(deleteMatches, { matchIds: chosen });
          onPicked(null);
        }}
      />
    </View>
  );
}
