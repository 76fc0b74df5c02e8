import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { tallyOf } from '@/core/session';
import { endBatch, leftOf, ownedIn, type BatchRecord, type Into } from '@/records';
import { useAct, useApp } from '@/state';
import { selectNamed } from '@/state/answering';
import { hookName } from '@/features/matches';
import { Missing, Page, useSpeech, useWords } from '@/features/shell';
import { Button, Heading, Pick, Row, Say, Stepper, TickBox } from '@/ui/primitives';
import { useSpent, type TakenLine } from './spent';

const NO_BOX = 'none';
const NEW_BOX = 'new';

/** The end of a session on one sheet: what was made, what went with it, and where it goes; one step, taken back as one. */
export function EndScreen({ id }: { id: string }) {
  const batch = useApp((state) => state.records.entities.batch[id]);
  if (!batch || batch.ended !== null) return <Missing what="batch" list="/vise" />;
  return <Sheet id={id} batch={batch} />;
}

function Sheet({ id, batch }: { id: string; batch: BatchRecord }) {
  const words = useWords();
  const speech = useSpeech();
  const router = useRouter();
  const act = useAct();
  const boxes = useApp((state) => state.records.entities.box);
  const packets = useApp((state) => state.records.entities.packet);
  const owned = useMemo(() => ownedIn(packets), [packets]);
  const carried = Object.entries(boxes).sort(
    ([, a], [, b]) => Number(b.carried) - Number(a.carried) || a.name.localeCompare(b.name),
  );
  const usual = carried[0]?.[0] ?? NEW_BOX;
  const [into, setInto] = useState<Record<string, string>>({});
  const [lost, setLost] = useState<Record<string, number>>({});
  const [kept, setKept] = useState<ReadonlySet<string>>(new Set());
  const spent = useSpent(batch);
  const firstBox = words('box.name-n', { n: 1 });
  const placeOf = (item: string): string => into[item] ?? usual;
  const lostOf = (item: string, spoiled: number) => lost[item] ?? spoiled;
  const rows = batch.items
    .map((item) => ({ item, ...tallyOf(batch, item) }))
    .filter(({ made, spoiled, begun }) => made + spoiled + begun > 0);
  const begun = rows.reduce((sum, row) => sum + row.begun, 0);
  const whys = Object.values(batch.flies).flatMap(({ state, why, item }) =>
    state === 'spoiled' ? [{ item, why: why ?? 'other' }] : [],
  );
  const end = () => {
    const place = (item: string): Into | null => {
      const to = placeOf(item);
      return to === NO_BOX ? null : to === NEW_BOX ? { newBox: firstBox } : to;
    };
    act(endBatch, {
      batchId: id,
      into: Object.fromEntries(rows.map(({ item }) => [item.id, place(item.id)])),
      hooksLost: Object.fromEntries(rows.map(({ item, spoiled }) => [item.id, lostOf(item.id, spoiled)])),
      takes: spent.flatMap(({ stashId, count }) => (kept.has(stashId) ? [] : [{ stashId, count }])),
    });
    router.navigate({ pathname: '/vise/[id]', params: { id } });
  };
  return (
    <Page
      back={{ href: { pathname: '/vise/[id]', params: { id } }, label: words('vise.session') }}
      title={words('vise.end')}
      lead={words('vise.end-lead')}
    >
      <View className="border-t border-line">
        {rows.map(({ item, made, spoiled }) => {
          const left = owned[item.card.hook.id] ?? 0;
          const hooks = made + lostOf(item.id, spoiled);
          const why = whys.filter((own) => own.item === item.id);
          return (
            <View key={item.id} className="gap-3 border-b border-line px-5 py-4">
              <View>
                <Say weight="serif" size="lead">
                  {item.card.dressing.name}
                </Say>
                <Say size="small" tone="soft">
                  {hookName(item.card.hook)}
                </Say>
              </View>
              <Say weight="medium">
                {speech.beside([
                  words('vise.made', { count: made }),
                  spoiled > 0 && words('vise.spoiled-n', { count: spoiled }),
                ])}
              </Say>
              {why.length > 0 ? (
                <Say size="small" tone="soft">
                  {speech.list([...new Set(why.map((own) => words(`vise.spoils.${own.why}`)))])}
                </Say>
              ) : null}
              {made > 0 ? (
                <View className="flex-row">
                  <Pick
                    label={words('vise.into', { fly: item.card.dressing.name })}
                    choices={[
                      ...carried.map(([box, { name }]) => ({ id: box, label: name })),
                      ...(carried.length === 0
                        ? [{ id: NEW_BOX, label: words('vise.new-box', { box: firstBox }) }]
                        : []),
                      { id: NO_BOX, label: words('tied.no-box') },
                    ]}
                    value={placeOf(item.id)}
                    onChange={(box) => setInto({ ...into, [item.id]: box! })}
                  />
                </View>
              ) : null}
              {spoiled > 0 ? (
                <View className="flex-row flex-wrap items-center gap-3">
                  <Say className="min-w-[50%] flex-1">{words('vise.hooks-lost')}</Say>
                  <Stepper
                    label={words('vise.hooks-lost')}
                    value={lostOf(item.id, spoiled)}
                    low={0}
                    high={spoiled}
                    onChange={(count) => setLost({ ...lost, [item.id]: count })}
                  />
                </View>
              ) : null}
              <Say size="small" tone="soft">
                {left === 0
                  ? words('vise.no-packet')
                  : words('vise.hooks-go', { count: Math.min(hooks, left), left: Math.max(0, left - hooks) })}
              </Say>
            </View>
          );
        })}
      </View>
      {spent.length > 0 ? (
        <View className="px-5 pt-5">
          <Heading>{words('vise.stash-goes')}</Heading>
          {spent.map((own) => (
            <SpentRow
              key={own.stashId}
              own={own}
              on={!kept.has(own.stashId)}
              onChange={(on) => {
                const next = new Set(kept);
                if (on) next.delete(own.stashId);
                else next.add(own.stashId);
                setKept(next);
              }}
            />
          ))}
        </View>
      ) : null}
      <View className="gap-3 px-5 pt-5">
        <Say size="small" tone="soft">
          {words(spent.length > 0 ? 'vise.stash-rest' : 'vise.stash-none')}
        </Say>
        {begun > 0 ? (
          <Say size="small" tone="straw">
            {words('vise.left-begun', { count: begun })}
          </Say>
        ) : null}
        {rows.length === 0 ? <Say>{words('vise.nothing')}</Say> : null}
        <Button
          kind="main"
          label={words('vise.end-now')}
          disabled={rows.length === 0}
          onPress={end}
          className="self-start"
        />
      </View>
    </Page>
  );
}

/** A counted material that leaves the stash, ticked unless it is to stay. */
function SpentRow({ own, on, onChange }: { own: TakenLine; on: boolean; onChange: (on: boolean) => void }) {
  const words = useWords();
  const left = useApp((state) => leftOf(state.records.entities.stash[own.stashId]!)) ?? 0;
  const name = useApp(selectNamed).materials.find(({ id }) => id === own.material)?.name ?? own.material;
  const said = words('vise.stash-line', { name, count: own.count, left: Math.max(0, left - own.count) });
  return (
    <Row wide={false} ticked={on} spoken={said} onPress={() => onChange(!on)}>
      <TickBox on={on} />
      <Say className="min-w-0 flex-1">{said}</Say>
    </Row>
  );
}
