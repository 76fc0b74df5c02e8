import { useLocalSearchParams } from 'expo-router';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { useStore } from 'react-redux';
import { REFERENCE_HOOKS } from '@/catalogue';
import { shoppingList, type ShoppingLine } from '@/core/dressings';
import { writeTable } from '@/core/exchange';
import { takenBy, type Card } from '@/core/tying';
import { countStash, isLow, isStashLow, leftInPacket, leftOf, stashKey, tickStash, toTie } from '@/records';
import { nowOf, useAct, useApp, type Store } from '@/state';
import { selectCardOf, selectCatalogue, selectNamed, selectOwned, selectStash } from '@/state/answering';
import { saveFile } from '@/features/files';
import { hookName } from '@/features/matches';
import { Page, useSpeech, useWords } from '@/features/shell';
import { Button, Heading, Row, Say, Stepper, TickBox, WordLink } from '@/ui/primitives';
import { run } from '@/workers';
import { useNewestCards } from './newest-cards';
import { chiefUse, USES } from './stash-rows';

/** So many of each as a rule: an evening's. */
const USUAL = 6;
const MAKERLESS = REFERENCE_HOOKS[0]!.maker;

interface Shopping {
  lines: readonly ShoppingLine[];
  /** What so many of each of the flies take of a material, by its id. */
  taken: (each: number) => ReturnType<typeof takenBy>;
  /** Hooks of those flies that no packet holds, and packets that run low. */
  hooks: readonly { name: string; flies: string[]; left: number | null }[];
}

/** The flies that are tied next: the one it was opened from, those of the newest matches, and those that are to be tied for the box. */
function useNext(): readonly Card[] {
  const { dressing: asked } = useLocalSearchParams<{ dressing?: string }>();
  const flies = useApp((state) => state.records.entities.fly);
  const cardOf = useApp(selectCardOf);
  const { cards } = useNewestCards();
  return useMemo(() => {
    const all = [asked, ...toTie(flies).map(({ dressingId }) => dressingId)].map((id) => cardOf(id));
    // Of one dressing the card of its match stands, for it has the hook.
    return [
      ...new Map([...all, ...cards].flatMap((card) => (card ? [[card.dressing.id, card] as const] : []))).values(),
    ];
  }, [asked, cardOf, cards, flies]);
}

/** What the next flies lack, and what runs low: as it stood when the page was opened, so that what is ticked stays in sight. */
function useList(): Shopping | null {
  const stash = useApp(selectStash);
  const { dressings, hooks } = useApp(selectCatalogue);
  const { materials } = useApp(selectNamed);
  const records = useApp((state) => state.records.entities.stash);
  const packets = useApp((state) => state.records.entities.packet);
  const owned = useApp(selectOwned);
  const cards = useNext();
  const [opened] = useState({ stash, records });
  return useMemo(() => {
    if (opened.stash === null) return null;
    const flies = cards.flatMap(({ dressing }) => dressings.find(({ id }) => id === dressing.id) ?? []);
    const low = Object.values(opened.records)
      .filter(isStashLow)
      .map(({ shadeId, materialId }) => (shadeId && materials.some(({ id }) => id === shadeId) ? shadeId : materialId));
    const wanted = new Map<string, { name: string; flies: string[]; left: number | null }>();
    if (Object.keys(packets).length > 0)
      for (const { hook, dressing } of cards)
        if (hook.maker !== MAKERLESS && !(owned[hook.id]! > 0)) {
          const line = wanted.get(hook.id) ?? { name: hookName(hook), flies: [], left: null };
          line.flies.push(dressing.name);
          wanted.set(hook.id, line);
        }
    for (const packet of Object.values(packets)) {
      const hook = isLow(packet) ? hooks.find(({ id }) => id === packet.hookId) : undefined;
      if (hook && !wanted.has(hook.id))
        wanted.set(hook.id, {
          name: `${hook.makerName} ${hook.modelName} ${hook.size}`,
          flies: [],
          left: leftInPacket(packet),
        });
    }
    return {
      lines: shoppingList(flies, opened.stash, low, materials),
      taken: (each) => takenBy(cards, each),
      hooks: [...wanted.values()].sort((a, b) => a.name.localeCompare(b.name)),
    };
  }, [opened, cards, dressings, hooks, materials, owned, packets]);
}

/** What to buy, by what it is for; ticked in the shop it lies in the stash. */
export function ShoppingScreen() {
  const words = useWords();
  const speech = useSpeech();
  const shopping = useList();
  const list = shopping?.lines ?? null;
  const { getState, ports } = useStore() as unknown as Store;
  const [each, setEach] = useState(USUAL);
  const [failed, setFailed] = useState(false);
  const taken = useMemo(() => shopping?.taken(each) ?? new Map(), [shopping, each]);
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
  const amount = ({ id }: ShoppingLine) =>
    speech.list(
      (taken.get(id) ?? []).map(({ unit: of, all }: { unit: string; all: number }) =>
        of === 'mm'
          ? speech.unit === 'mm'
            ? words('shopping.takes.cm', { count: Math.ceil(all / 10) })
            : words('shopping.takes.long', { long: speech.length(all) })
          : words(`shopping.takes.${of}`, { count: Math.ceil(all) }),
      ),
    );
  const hookWhy = ({ flies, left }: Shopping['hooks'][number]) =>
    left === null
      ? words('shopping.short', { flies: speech.list(flies) })
      : words('shopping.hooks-left', { count: left });
  const groups = USES.flatMap((use) => {
    const lines = (list ?? []).filter(({ material }) => chiefUse(material) === use);
    return lines.length > 0 ? [{ use, lines }] : [];
  });
  const csv = () =>
    writeTable(
      ['material', 'amount', 'takes', 'for', 'why'],
      [
        ...groups.flatMap(({ use, lines }) =>
          lines.map((line) => ({
            material: line.material.name,
            amount: unit(line),
            takes: amount(line),
            for: words(`stash.for.${use}`),
            why: why(line),
          })),
        ),
        ...(shopping?.hooks ?? []).map((hook) => ({
          material: hook.name,
          amount: words('shopping.unit.hook'),
          takes: hook.flies.length > 0 ? words('shopping.takes.count', { count: hook.flies.length * each }) : '',
          for: words('shopping.hooks'),
          why: hookWhy(hook),
        })),
      ],
    );
  const said = (name: string, ...about: string[]) => speech.beside([words('shopping.box-to-tick', { name }), ...about]);
  const print = () =>
    run('tying-card-pdf', {
      page: 'a4',
      printed: 1,
      card: {
        title: words('shopping.title'),
        sub: speech.beside([speech.day(nowOf(getState(), ports), true), words('shopping.each-line', { count: each })]),
        natural: [],
        sections: [
          ...groups.map(({ use, lines }) => ({
            title: words(`stash.for.${use}`),
            lines: lines.map((line) => said(line.material.name, unit(line), amount(line), why(line))),
          })),
          ...(shopping && shopping.hooks.length > 0
            ? [{ title: words('shopping.hooks'), lines: shopping.hooks.map((hook) => said(hook.name, hookWhy(hook))) }]
            : []),
        ],
        bars: [],
        drawing: null,
        words: { check: null, enlarged: '', trueSize: '', notes: words('paper.notes') },
      },
    }).then(
      (bytes) => {
        setFailed(false);
        saveFile('aubade-shopping.pdf', bytes as Uint8Array<ArrayBuffer>, 'application/pdf');
      },
      () => setFailed(true),
    );
  return (
    <Page
      column="list"
      back={{ href: '/drawer/materials', label: words('stash.title') }}
      title={words('shopping.title')}
      lead={
        shopping && list!.length + shopping.hooks.length > 0
          ? words('shopping.lead', { count: list!.length + shopping.hooks.length })
          : undefined
      }
    >
      {list === null ? (
        <View className="gap-2 px-5 py-4">
          <Say>{words('ready.unknown')}</Say>
          <WordLink to="/drawer/materials">{words('ready.begin')}</WordLink>
        </View>
      ) : list.length + shopping!.hooks.length === 0 ? (
        <Say className="px-5 py-4">{words('shopping.none')}</Say>
      ) : (
        <>
          <View className="px-5 pt-4">
            <Stepper label={words('shopping.each')} value={each} low={1} high={60} onChange={setEach} shown />
          </View>
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
                      <View className="items-end">
                        <Say size="small">{unit(line)}</Say>
                        {amount(line) === '' ? null : (
                          <Say size="small" tone="soft">
                            {amount(line)}
                          </Say>
                        )}
                      </View>
                    </Row>
                  </View>
                ))}
              </View>
            </View>
          ))}
          {shopping!.hooks.length > 0 ? (
            <View className="pt-4">
              <Heading size="small" className="px-5 pb-1">
                {words('shopping.hooks')}
              </Heading>
              <View role="list" aria-label={words('shopping.hooks')} className="border-t border-line">
                {shopping!.hooks.map((hook) => (
                  <View key={hook.name} role="listitem">
                    <Row to="/drawer/packets" spoken={speech.sentences([hook.name, hookWhy(hook)])}>
                      <View className="min-w-0 flex-1">
                        <Say weight="medium">{hook.name}</Say>
                        <Say size="small" tone="soft">
                          {hookWhy(hook)}
                        </Say>
                      </View>
                      <Say size="small" tone="river">
                        {words('shopping.count-in')}
                      </Say>
                    </Row>
                  </View>
                ))}
              </View>
            </View>
          ) : null}
          <View className="flex-row flex-wrap gap-3 px-5 py-5">
            <Button label={words('shopping.print')} onPress={() => void print()} />
            <Button label={words('shopping.csv')} onPress={() => saveFile('aubade-shopping.csv', csv(), 'text/csv')} />
          </View>
          {failed ? (
            <Say live size="small" tone="dawn" className="px-5">
              {words('shopping.print-failed')}
            </Say>
          ) : null}
        </>
      )}
    </Page>
  );
}
