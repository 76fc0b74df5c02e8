import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { shoppingList, type ShoppingLine } from '@/core/dressings';
import { writeTable } from '@/core/exchange';
import { countStash, isStashLow, leftOf, stashKey, tickStash } from '@/records';
import { useAct, useApp } from '@/state';
import { selectAnswered, selectCatalogue, selectNamed, selectStash } from '@/state/answering';
import { saveFile } from '@/features/files';
import { selectMatchIds } from '@/features/matches';
import { Page, useSpeech, useWords } from '@/features/shell';
import { Button, Heading, Row, Say, TickBox, WordLink } from '@/ui/primitives';
import { chiefUse, USES } from './stash-rows';

/** So many of the newest matches are looked at: what is tied next. */
const MATCHES = 30;

/** What the newest matches' flies lack, and what runs low: as it stood when the page was opened, so that what is ticked stays in sight. */
function useList(): readonly ShoppingLine[] | null {
  const stash = useApp(selectStash);
  const { dressings } = useApp(selectCatalogue);
  const { materials } = useApp(selectNamed);
  const records = useApp((state) => state.records.entities.stash);
  const ids = useApp(selectMatchIds);
  const wanted = useApp((state) => {
    const flies = ids.slice(0, MATCHES).flatMap((id) => {
      const match = state.records.entities.match[id];
      const answered = match && selectAnswered(state, id, match.leading);
      return answered?.status === 'answered' && answered.answer.dressing ? [answered.answer.dressing.id] : [];
    });
    return [...new Set(flies)].join();
  });
  const [opened] = useState({ stash, records });
  return useMemo(() => {
    if (opened.stash === null) return null;
    const flies = wanted.split(',').flatMap((id) => dressings.find((own) => own.id === id) ?? []);
    const low = Object.values(opened.records)
      .filter(isStashLow)
      .map(({ shadeId, materialId }) => (shadeId && materials.some(({ id }) => id === shadeId) ? shadeId : materialId));
    return shoppingList(flies, opened.stash, low, materials);
  }, [opened, wanted, dressings, materials]);
}

/** What to buy, by what it is for; ticked in the shop it lies in the stash. */
export function ShoppingScreen() {
  const words = useWords();
  const speech = useSpeech();
  const list = useList();
  const [got, setGot] = useState<ReadonlySet<string>>(new Set());
  const act = useAct();
  const records = useApp((state) => state.records.entities.stash);
  const tick = (line: ShoppingLine) => {
    const on = !got.has(line.id);
    const { of } = line.material;
    const item = { materialId: of ?? line.id, shadeId: of === undefined ? null : line.id };
    const here = records[stashKey(item)];
    const left = here ? leftOf(here) : null;
    // What is there already is one more, or one less; what is not counted is had or not.
    if (left !== null) act(countStash, { id: stashKey(item), left: Math.max(0, left + (on ? 1 : -1)) });
    else if (!line.low) act(tickStash, { items: [item], on });
    const next = new Set(got);
    if (on) next.add(line.id);
    else next.delete(line.id);
    setGot(next);
  };
  const why = ({ short, instead, low }: ShoppingLine) =>
    speech.beside([
      short.length > 0 && words('shopping.short', { flies: speech.list(short) }),
      instead.length > 0 && words('shopping.instead', { flies: speech.list(instead) }),
      low && words('shopping.low'),
    ]);
  const unit = ({ material }: ShoppingLine) => words(`shopping.unit.${material.counted}`);
  const groups = USES.flatMap((use) => {
    const lines = (list ?? []).filter(({ material }) => chiefUse(material) === use);
    return lines.length > 0 ? [{ use, lines }] : [];
  });
  const csv = () =>
    writeTable(
      ['material', 'amount', 'for', 'why'],
      groups.flatMap(({ use, lines }) =>
        lines.map((line) => ({
          material: line.material.name,
          amount: unit(line),
          for: words(`stash.for.${use}`),
          why: why(line),
        })),
      ),
    );
  return (
    <Page
      column="list"
      back={{ href: '/drawer/materials', label: words('stash.title') }}
      title={words('shopping.title')}
      lead={list && list.length > 0 ? words('shopping.lead', { count: list.length }) : undefined}
    >
      {list === null ? (
        <View className="gap-2 px-5 py-4">
          <Say>{words('ready.unknown')}</Say>
          <WordLink to="/drawer/materials">{words('ready.begin')}</WordLink>
        </View>
      ) : list.length === 0 ? (
        <Say className="px-5 py-4">{words('shopping.none')}</Say>
      ) : (
        <>
          {groups.map(({ use, lines }) => (
            <View key={use} className="pt-4">
              <Heading size="small" className="px-5 pb-1">
                {words(`stash.for.${use}`)}
              </Heading>
              <View role="list" aria-label={words(`stash.for.${use}`)} className="border-t border-line">
                {lines.map((line) => (
                  <View key={line.id} role="listitem">
                    <Row
                      ticked={got.has(line.id)}
                      spoken={words('shopping.got', { name: line.material.name })}
                      onPress={() => tick(line)}
                    >
                      <TickBox on={got.has(line.id)} />
                      <View className="min-w-0 flex-1">
                        <Say weight="medium">{line.material.name}</Say>
                        <Say size="small" tone={line.short.length > 0 ? 'dawn' : 'soft'}>
                          {why(line)}
                        </Say>
                      </View>
                      <Say size="small" tone="soft">
                        {unit(line)}
                      </Say>
                    </Row>
                  </View>
                ))}
              </View>
            </View>
          ))}
          <View className="flex-row flex-wrap gap-3 px-5 py-5">
            <Button label={words('shopping.csv')} onPress={() => saveFile('aubade-shopping.csv', csv(), 'text/csv')} />
          </View>
        </>
      )}
    </Page>
  );
}
