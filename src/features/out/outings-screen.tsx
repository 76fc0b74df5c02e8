import { useRouter } from 'expo-router';
import { memo, useCallback, useDeferredValue, useMemo, useState } from 'react';
import { View } from 'react-native';
import { useStore } from 'react-redux';
import { outingsLatest, stagesFound, startOuting } from '@/records';
import {
  selectLatestOuting,
  selectLatestOutings,
  selectRunningOuting,
  useAct,
  useApp,
  usePainted,
  type Store,
} from '@/state';
import { selectCatalogue } from '@/state/answering';
import { InList, Page, QuietBar, useSpeech, useWords } from '@/features/shell';
import { Button, Choose, Field, Fold, Pick, Row, Say, TickBox } from '@/ui/primitives';
import { Rows } from '@/ui/primitives/rows';
import { CompareOutings, MOST_COMPARED } from './compare-outings';
import {
  ANY_OUTING,
  askableOf,
  findOutings,
  isAsked,
  wordsOfOuting,
  type OutingFilter,
  type StagesOf,
} from './find-outings';
import { OutingCalendar } from './outing-calendar';
import { NEW_WATER, WaterChoice, watersByName } from './water-choice';

const ROW_TALL = 64;

/** Outings, the latest first; one is begun here with a tap. */
export function OutingsScreen() {
  const words = useWords();
  const latest = useApp(selectLatestOuting);
  return (
    <Page column="list" title={words('place.out')} lead={words('out.lead')}>
      <Begin />
      {latest === null ? (
        <Say tone="soft" className="px-5">
          {words('out.none')}
        </Say>
      ) : (
        <Found />
      )}
    </Page>
  );
}

/** Which stages outings are of: what their dressings are for, and what was found on them. Worked out once it is asked. */
function useStages(): () => StagesOf {
  const { getState } = useStore() as unknown as Store;
  const { match, sample, dressing } = useApp((state) => state.records.entities);
  return useMemo(() => {
    let known: StagesOf | null = null;
    return () =>
      (known ??= {
        found: stagesFound({ match, sample }),
        of: new Map(selectCatalogue(getState()).dressings.map(({ id, stages }) => [id, stages])),
      });
    // eslint-disable-next-line react-hooks/exhaustive-deps -- own dressings are read through the store
  }, [match, sample, dressing, getState]);
}

/** The outings with what finds them again: a search as it is typed, water, month, fly and stage; as a list or by the days of a month; several beside each other. */
function Found() {
  const words = useWords();
  const speech = useSpeech();
  const { outing: outings, water: waters } = useApp((state) => state.records.entities);
  // The head of the list is painted before thousands of outings are put in order and laid out.
  const whole = usePainted();
  const few = useApp(selectLatestOutings);
  const ids = useMemo(() => (whole ? outingsLatest(outings) : few), [whole, outings, few]);
  const all = useMemo(() => Object.keys(outings).length, [outings]);
  const [filter, setFilter] = useState(ANY_OUTING);
  const [as, setAs] = useState<'list' | 'calendar'>('list');
  const [picked, setPicked] = useState<readonly string[] | null>(null);
  const [compared, setCompared] = useState<readonly string[] | null>(null);
  const taken = useDeferredValue(filter);
  const stages = useStages();
  const texting = taken.text.trim() !== '';
  const texts = useMemo(
    () =>
      new Map(
        (texting ? ids : []).map((id) => {
          const own = outings[id]!;
          return [id, wordsOfOuting(own, own.waterId ? waters[own.waterId]?.name : undefined, speech)];
        }),
      ),
    [ids, outings, waters, speech, texting],
  );
  const found = useMemo(
    () => (isAsked(taken) ? findOutings(ids, outings, taken, stages, (id) => texts.get(id) ?? '') : ids),
    [ids, outings, taken, stages, texts],
  );
  const set = (more: Partial<OutingFilter>) => setFilter({ ...filter, ...more });
  // Of more than can stand beside each other the first goes.
  const pick = useCallback(
    (id: string) =>
      setPicked((now) => {
        const others = (now ?? []).filter((own) => own !== id);
        return others.length < (now ?? []).length ? others : [...others, id].slice(-MOST_COMPARED);
      }),
    [],
  );
  return (
    <View className="gap-3">
      <View className="max-w-2xl flex-row px-5">
        <Field label={words('out.search')} value={filter.text} onType={(text) => set({ text })} />
      </View>
      <Narrow ids={ids} filter={filter} stages={stages} onSet={set} />
      <View className="flex-row flex-wrap items-center justify-between gap-2 px-5">
        <Choose
          label={words('journal.as')}
          choices={(['list', 'calendar'] as const).map((id) => ({ id, label: words(`journal.as-${id}`) }))}
          value={as}
          onChange={(next) => {
            setAs(next);
            setPicked(null);
          }}
        />
        {as === 'list' && all > 1 ? (
          <Button
            kind="quiet"
            label={words(picked ? 'journal.pick-done' : 'journal.pick')}
            className="-mr-4"
            onPress={() => {
              setPicked(picked ? null : []);
              setCompared(null);
            }}
          />
        ) : null}
      </View>
      <View className="flex-row flex-wrap items-center justify-between gap-2 px-5">
        <Say live size="small" tone="soft">
          {found.length === 0
            ? words('out.search-none')
            : words('out.outings-n', { count: isAsked(taken) ? found.length : all })}
        </Say>
        {isAsked(filter) ? (
          <Button
            kind="quiet"
            label={words('journal.all-again')}
            className="-mr-4"
            onPress={() => setFilter(ANY_OUTING)}
          />
        ) : null}
      </View>
      {filter === taken ? null : <QuietBar />}
      {picked ? (
        <View className="flex-row items-center justify-between gap-3 px-5">
          <Say size="small">{words('journal.picked', { count: picked.length, most: MOST_COMPARED })}</Say>
          <Button
            label={words('journal.compare')}
            disabled={picked.length < 2}
            onPress={() => {
              setCompared(picked);
              setPicked(null);
            }}
          />
        </View>
      ) : null}
      {compared ? <CompareOutings ids={compared} onClose={() => setCompared(null)} /> : null}
      {as === 'calendar' ? (
        <OutingCalendar ids={found} />
      ) : found.length > 0 ? (
        <Rows label={words('place.out')} rows={found} tall={ROW_TALL}>
          {(id) => <OutingRow id={id} picked={picked === null ? null : picked.includes(id)} onPick={pick} />}
        </Rows>
      ) : null}
    </View>
  );
}

interface NarrowProps {
  ids: readonly string[];
  filter: OutingFilter;
  stages: () => StagesOf;
  onSet: (more: Partial<OutingFilter>) => void;
}

/** Water, month, fly and stage: what there is of them is looked for once they are opened. */
function Narrow(props: NarrowProps) {
  const words = useWords();
  const speech = useSpeech();
  const water = useApp((state) => state.records.entities.water);
  const { waterId, month, fly, stage } = props.filter;
  return (
    <Fold
      wide
      title={words('journal.narrow')}
      line={
        speech.beside([
          waterId && water[waterId]?.name,
          month && speech.season(inMonth(month)),
          fly,
          stage && speech.name('stages', stage),
        ]) || words('journal.narrow-none')
      }
    >
      <NarrowBy {...props} />
    </Fold>
  );
}

/** A day of a month, whose name is told without its year. */
const inMonth = (month: string) => `2033-${month}-01`;

function NarrowBy({ ids, filter, stages: of, onSet }: NarrowProps) {
  const words = useWords();
  const speech = useSpeech();
  const { outing, water } = useApp((state) => state.records.entities);
  const { waters, months, flies, stages } = useMemo(() => askableOf(ids, outing, of()), [ids, outing, of]);
  const pick = (key: 'waterId' | 'month' | 'fly' | 'stage', all: readonly string[], name: (id: string) => string) =>
    all.length > 1 ? (
      <View key={key} className="min-w-40 flex-1">
        <Pick
          label={words(`journal.by-${key}`)}
          none={words('journal.any')}
          choices={all.map((id) => ({ id, label: name(id) }))}
          value={filter[key]}
          onChange={(next) => onSet({ [key]: next })}
        />
      </View>
    ) : null;
  return (
    <View className="flex-row flex-wrap gap-3">
      {pick('waterId', waters, (id) => water[id]?.name ?? '')}
      {pick('month', months, (month) => speech.season(inMonth(month)))}
      {pick('fly', flies, (fly) => fly)}
      {pick('stage', stages, (stage) => speech.name('stages', stage))}
    </View>
  );
}

/** Where it goes, and off; the one that goes on instead, where there is one. */
function Begin() {
  const words = useWords();
  const act = useAct();
  const router = useRouter();
  const waters = useApp((state) => state.records.entities.water);
  const running = useApp(selectRunningOuting);
  const latest = useApp(selectLatestOuting);
  const last = useApp((state) => (latest === null ? null : (state.records.entities.outing[latest]?.waterId ?? null)));
  const [chosen, setChosen] = useState<string | null>(null);
  const [name, setName] = useState('');
  const water = chosen ?? (last !== null && waters[last] ? last : (watersByName(waters)[0]?.[0] ?? NEW_WATER));
  if (running !== null)
    return (
      <View className="px-5 pb-6">
        <Button
          kind="main"
          tall
          className="self-start"
          label={words('out.go-on')}
          onPress={() => router.navigate({ pathname: '/out/[id]', params: { id: running } })}
        />
      </View>
    );
  const start = () => {
    const id = act(startOuting, {
      water: water !== NEW_WATER ? water : name.trim() === '' ? null : { name: name.trim() },
    });
    if (id !== null) router.navigate({ pathname: '/out/[id]', params: { id } });
  };
  return (
    <View className="flex-row flex-wrap items-end gap-3 px-5 pb-6">
      <WaterChoice value={water} onChange={setChosen} name={name} onName={setName} />
      <Button kind="main" label={words('out.begin')} onPress={start} />
    </View>
  );
}

/** Drawn anew only when it changes: where the list lies is measured several times before it is painted. */
const OutingRow = memo(function OutingRow({
  id,
  picked,
  onPick,
}: {
  id: string;
  picked: boolean | null;
  onPick: (id: string) => void;
}) {
  const words = useWords();
  const speech = useSpeech();
  const outing = useApp((state) => state.records.entities.outing[id]);
  const water = useApp((state) => (outing?.waterId ? state.records.entities.water[outing.waterId] : undefined));
  if (!outing) return null;
  const { took, refused } = outing.tally.all;
  const name = water?.name ?? words('out.somewhere');
  const line = (
    <View className="min-w-0 flex-1">
      <Say weight="medium">{name}</Say>
      <Say size="small" tone="soft">
        {speech.beside([
          speech.day(outing.start, true),
          words('out.came.took', { count: took }),
          refused > 0 && words('out.came.refused', { count: refused }),
          outing.end === null && words('out.running'),
        ])}
      </Say>
    </View>
  );
  return (
    <InList record={{ kind: 'outing', id }} name={water?.name ?? ''} data={outing}>
      {picked === null ? (
        <Row tall to={{ pathname: '/out/[id]', params: { id } }}>
          {line}
        </Row>
      ) : (
        <Row
          tall
          ticked={picked}
          spoken={speech.beside([name, speech.day(outing.start, true)])}
          onPress={() => onPick(id)}
        >
          <TickBox on={picked} />
          {line}
        </Row>
      )}
    </InList>
  );
});
