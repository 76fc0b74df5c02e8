import { useLocalSearchParams, useRouter } from 'expo-router';
import { useDeferredValue, useState } from 'react';
import { View } from 'react-native';
import { STYLES } from '@/catalogue';
import type { OrderId, Readiness, StageId, StyleId, WaterId } from '@/catalogue/ids';
import type { Dressing } from '@/core/dressings';
import { raised, type Speech } from '@/speech';
import { selectDevice, useApp } from '@/state';
import { libraryCard, selectCatalogue, selectDressings, selectOwnDressings } from '@/state/answering';
import { InList, AfterHead, Page, QuietBar, useRedLamp, useSpeech, useWide, useWords } from '@/features/shell';
import { OrderPick } from '@/features/stage';
import { FlyThumb, NaturalThumb } from '@/ui/drawings';
import { Button, Choose, Field, Heading, InView, Pick, Say, Tile, Toggle } from '@/ui/primitives';
import { ALL, answersFilter, dressingsByStage, type LibraryFilter } from './library-filter';
import { DressingFiles } from './dressing-files';
import { ReadyWord, useReadiness } from './ready';

const CELL = { phone: { width: 160, height: 104 }, wide: { width: 188, height: 122 } } as const;
const SKILLS = [1, 2, 3] as const;
const ANY = 'any';

/** The library: pick the natural, see the flies for each of its stages; or search through all of them. */
export function DressingsScreen() {
  const words = useWords();
  const speech = useSpeech();
  const { ids } = speech;
  const router = useRouter();
  const asked = useLocalSearchParams<{ order?: string }>();
  const dressings = useApp(selectDressings);
  const { materials } = useApp(selectCatalogue);
  const own = useApp(selectOwnDressings);
  const [filter, setFilter] = useState<LibraryFilter>({
    ...ALL,
    order: ids.orders.some((order) => order.id === asked.order) ? (asked.order as OrderId) : 'mayfly',
  });
  const [open, setOpen] = useState(false);
  const set = (more: Partial<LibraryFilter>) => setFilter({ ...filter, ...more });
  const searching = filter.search.trim() !== '';
  // A search goes through the whole library; without one a natural is looked at at a time.
  const taken = useDeferredValue(filter);
  const inUse = taken.search.trim() === '' ? taken : { ...taken, order: null, stage: null };
  const ownIds = new Set(own.map((dressing) => dressing.id));
  const ready = useReadiness(dressings);
  const shown = dressings.filter(
    (dressing) =>
      answersFilter(dressing, inUse, materials, ownIds, speech) &&
      (!inUse.ready || ready === null || ready.get(dressing.id) !== 'short'),
  );
  const groups = dressingsByStage(shown, inUse);
  const count = new Set(groups.flatMap((group) => group.dressings.map((dressing) => dressing.id))).size;
  const orders = ids.orders.filter((order) =>
    dressings.some((dressing) => dressing.stages.some((stage) => stage.startsWith(`${order.id}/`))),
  );
  const stages = ids.stages.filter(
    (stage) =>
      stage.order === filter.order && dressings.some((dressing) => dressing.stages.includes(stage.id as StageId)),
  );
  return (
    <Page
      column="list"
      title={words('place.dressings')}
      lead={words('dressing.library', { count: dressings.length, own: own.length })}
    >
      <View className="gap-3 px-5 pb-3">
        <View className="flex-row flex-wrap items-end gap-3">
          <View className="min-w-40 max-w-96 flex-1">
            <Field label={words('dressing.search')} value={filter.search} onType={(search) => set({ search })} />
          </View>
          <Button label={words(open ? 'drawer.filters-close' : 'drawer.filters')} onPress={() => setOpen(!open)} />
          <Button kind="main" label={words('dressing.new')} onPress={() => router.navigate('/dressings/new')} />
        </View>
        {open ? <Filters filter={filter} own={own.length} begun={ready !== null} onChange={set} /> : null}
      </View>
      {searching ? null : (
        <View className="max-w-[560px] flex-row gap-3 px-5">
          <OrderPick
            label={words('dressing.natural')}
            none={words('dressing.every-natural')}
            orders={orders.map(({ id }) => id as OrderId)}
            value={filter.order}
            onChange={(order) => set({ order, stage: null })}
          />
          {stages.length < 2 ? null : (
            <Pick
              label={words('dressing.stage')}
              none={words('dressing.every-stage')}
              choices={stages.map((stage) => ({
                id: stage.id as StageId,
                label: stageWord(speech, stage.id, stage.order),
              }))}
              value={filter.stage}
              onChange={(stage) => set({ stage })}
            />
          )}
        </View>
      )}
      <View className="px-5 pt-3">
        <Say live size="small" tone="soft">
          {words('dressing.shown', { count })}
        </Say>
      </View>
      {filter === taken ? null : <QuietBar />}
      <AfterHead>
        {groups.map((group) => (
          <View key={group.stage} className="pt-4">
            <View className="flex-row items-center gap-3 px-5 pb-2">
              <NaturalThumb stage={group.stage} colours={{}} width={72} height={38} />
              <Heading>{speech.name('stages', group.stage)}</Heading>
              <Say size="small" tone="soft">
                {words('dressing.n-for', { count: group.dressings.length })}
              </Say>
            </View>
            <View role="list" className="flex-row flex-wrap gap-3 px-5">
              {group.dressings.map((dressing) => (
                <InList
                  key={dressing.id}
                  record={{ kind: 'dressing', id: dressing.id }}
                  name={dressing.name}
                  data={dressing}
                >
                  <Cell
                    dressing={dressing}
                    own={ownIds.has(dressing.id)}
                    also={dressing.stages[0] !== group.stage}
                    ready={ready?.get(dressing.id) ?? 'unknown'}
                  />
                </InList>
              ))}
            </View>
          </View>
        ))}
        {groups.length === 0 ? <Say className="px-5 py-4">{words('dressing.none-found')}</Say> : null}
        <DressingFiles />
      </AfterHead>
    </Page>
  );
}

/** A stage without the name of its order, which stands above it. */
function stageWord(speech: Speech, stage: string, order: string): string {
  const word = speech.name('stages', stage).replace(new RegExp(`^${speech.name('orders', order)} `), '');
  return raised(word);
}

function Filters({
  filter,
  own,
  begun,
  onChange,
}: {
  filter: LibraryFilter;
  own: number;
  /** Whether it is known what is had to tie with. */
  begun: boolean;
  onChange: (more: Partial<LibraryFilter>) => void;
}) {
  const words = useWords();
  const speech = useSpeech();
  const { ids } = speech;
  return (
    <View className="gap-3 rounded-control border border-edge bg-plane p-3">
      <View className="gap-1">
        <Heading size="small" level={3}>
          {words('dressing.waters')}
        </Heading>
        <Choose
          label={words('dressing.waters')}
          choices={[
            { id: ANY, label: words('drawer.any') },
            ...ids.waters.map((water) => ({ id: water.id, label: water.name })),
          ]}
          value={filter.water ?? ANY}
          onChange={(id) => onChange({ water: id === ANY ? null : (id as WaterId) })}
        />
      </View>
      <View className="gap-1">
        <Heading size="small" level={3}>
          {words('dressing.skill-most')}
        </Heading>
        <Choose
          label={words('dressing.skill-most')}
          choices={[
            { id: ANY, label: words('drawer.any') },
            ...SKILLS.map((skill) => ({ id: String(skill), label: words(`dressing.skill-n.${skill}`) })),
          ]}
          value={filter.skill === null ? ANY : String(filter.skill)}
          onChange={(id) => onChange({ skill: id === ANY ? null : (Number(id) as 1 | 2 | 3) })}
        />
      </View>
      <View className="flex-row">
        <Pick
          label={words('drawer.filter.style')}
          none={words('drawer.any')}
          choices={STYLES.map((style) => ({ id: style.id as StyleId, label: speech.name('styles', style.id) }))}
          value={filter.style}
          onChange={(style) => onChange({ style })}
        />
      </View>
      {begun ? (
        <Toggle label={words('ready.only')} on={filter.ready} onChange={(ready) => onChange({ ready })} />
      ) : null}
      {own > 0 ? (
        <Toggle label={words('dressing.only-mine')} on={filter.mine} onChange={(mine) => onChange({ mine })} />
      ) : null}
    </View>
  );
}

function Cell({ dressing, own, also, ready }: { dressing: Dressing; own: boolean; also: boolean; ready: Readiness }) {
  const words = useWords();
  const speech = useSpeech();
  const wide = useWide();
  const size = wide ? CELL.wide : CELL.phone;
  const range = words('dressing.range', {
    low: speech.length(dressing.length_mm[0]),
    high: speech.length(dressing.length_mm[1]),
  });
  return (
    <View role="listitem" style={{ width: size.width }}>
      <Tile to={{ pathname: '/dressings/[id]', params: { id: dressing.id } }}>
        <InView {...size}>
          <CellPicture dressing={dressing} {...size} />
        </InView>
        <View className="gap-1 px-3 pb-2">
          <Say weight="serif">{dressing.name}</Say>
          <Say size="small" tone="soft">
            {speech.beside([range, words(`dressing.rides.${dressing.ride}`)])}
          </Say>
          <ReadyWord ready={ready} />
          {own ? (
            <Say size="small" tone="dawn">
              {words('dressing.own')}
            </Say>
          ) : also ? (
            <Say size="small" tone="soft">
              {words('dressing.also', { stage: speech.plain('stages', dressing.stages[0]!) })}
            </Say>
          ) : null}
        </View>
      </Tile>
    </View>
  );
}

/** Made when it comes near the screen: a card is worked out for it. */
function CellPicture({ dressing, width, height }: { dressing: Dressing; width: number; height: number }) {
  const red = useRedLamp();
  const { hand } = useApp(selectDevice);
  return <FlyThumb card={libraryCard(dressing, hand) ?? undefined} width={width} height={height} plain={red} />;
}
