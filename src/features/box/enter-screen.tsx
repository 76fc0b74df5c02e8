import { useState } from 'react';
import { View } from 'react-native';
import { freeSlot } from '@/core/box';
import { heldOf, sameKind, type FlyRecord } from '@/records';
import { useApp } from '@/state';
import { selectCardOf, selectCatalogue, selectFlyName } from '@/state/answering';
import { Missing, Page, useSpeech, useWords } from '@/features/shell';
import { Button, Choose, Say } from '@/ui/primitives';
import { Compartments, slotName } from './compartments';
import { cellsOf, fliesIn } from './in-box';
import { OtherFly } from './other-fly';
import { PickDressing } from './pick-dressing';
import { PickSizes } from './pick-sizes';
import { useLedger, type Chosen } from './use-ledger';

/** Flies into a box, fast: a dressing, its sizes, how many of each; compartments follow by themselves. */
export function EnterScreen({ id }: { id: string }) {
  const words = useWords();
  const speech = useSpeech();
  const ledger = useLedger();
  const box = useApp((state) => state.records.entities.box[id]);
  const flies = useApp((state) => state.records.entities.fly);
  const { hooks, dressings } = useApp(selectCatalogue);
  const nameOf = useApp(selectFlyName);
  const cardOf = useApp(selectCardOf);
  const [how, setHow] = useState<'tied' | 'other'>('tied');
  const [dressingId, setDressingId] = useState<string | null>(null);
  const [chosen, setChosen] = useState<readonly Chosen[]>([]);
  const [start, setStart] = useState<string | null>(null);
  const [done, setDone] = useState<string | null>(null);
  if (!box) return <Missing what="box" list="/box" />;
  const byId = new Map(hooks.map((hook) => [hook.id, hook]));
  const held = fliesIn(id, flies);
  const cells = cellsOf(id, held, byId, speech, nameOf, cardOf);
  // A kind that lies here already goes to its own compartment; the rest to free ones, from the one tapped on.
  const slots = allot(
    chosen,
    held.map((item) => item.fly),
    new Set([...cells].flatMap(([slot, cell]) => (cell.left > 0 ? [slot] : []))),
    box,
    start,
    id,
  );
  const dressing = dressings.find((item) => item.id === dressingId);
  const put = () => {
    ledger.putIn(
      id,
      chosen.map(({ kind, count }, index) => ({ kind, count, slot: slots[index] ?? null })),
      how === 'tied' ? 'tied' : 'got',
    );
    setDone(
      words('box.put-done', {
        count: chosen.reduce((sum, item) => sum + item.count, 0),
        name: nameOf(chosen[0]!.kind),
        slots: speech.list([...new Set(slots.flatMap((slot) => (slot ? [slotName(slot)] : [])))]),
      }),
    );
    setChosen([]);
    setDressingId(null);
    setStart(null);
  };
  return (
    <Page
      column="list"
      back={{ href: { pathname: '/box/[id]', params: { id } }, label: box.name }}
      title={words('box.add-title')}
    >
      <View className="gap-5 px-5">
        <Choose
          tall
          label={words('box.how')}
          choices={[
            { id: 'tied', label: words('box.how-tied') },
            { id: 'other', label: words('box.how-other') },
          ]}
          value={how}
          onChange={(next) => {
            setHow(next);
            setChosen([]);
          }}
        />
        {done ? (
          <Say live tone="sedge" weight="medium">
            {done}
          </Say>
        ) : null}
        {how === 'tied' ? (
          <>
            <PickDressing
              value={dressing ?? null}
              recent={[...new Set(held.flatMap((item) => item.fly.dressingId ?? []))]}
              onChange={(next) => {
                setDressingId(next);
                setChosen([]);
                setDone(null);
              }}
            />
            {dressing ? (
              <PickSizes
                key={dressing.id}
                dressing={dressing}
                flies={Object.values(flies)}
                chosen={chosen}
                onChange={setChosen}
              />
            ) : null}
          </>
        ) : (
          <OtherFly
            chosen={chosen[0] ?? null}
            onChange={(next) => {
              setChosen(next ? [next] : []);
              setDone(null);
            }}
          />
        )}
        {chosen.length > 0 ? (
          <View className="gap-3">
            <Say size="small" tone="soft">
              {words('box.where', {
                slots: speech.list(slots.map((slot) => (slot ? slotName(slot) : words('box.loose')))),
              })}
            </Say>
            <Button
              kind="main"
              tall
              label={words('box.put', { count: chosen.reduce((sum, item) => sum + item.count, 0) })}
              onPress={put}
            />
            <Compartments
              box={box}
              cells={cells}
              lit={new Set(slots.flatMap((slot) => slot ?? []))}
              onPress={setStart}
            />
          </View>
        ) : null}
      </View>
    </Page>
  );
}

/** A compartment for every kind to be put in; null when the box is full. */
function allot(
  chosen: readonly Chosen[],
  flies: readonly FlyRecord[],
  taken: ReadonlySet<string>,
  box: { rows: number; columns: number },
  start: string | null,
  boxId: string,
): (string | null)[] {
  const own = chosen
    .map(({ kind }) => flies.find((fly) => sameKind(fly, kind)))
    .map((fly) => (fly && heldOf(fly).find((place) => place.boxId === boxId)?.slot) ?? null);
  const full = new Set<string | null>([...taken, ...own]);
  return chosen.map((_, index) => {
    if (start && index === 0) return start;
    const slot = own[index] ?? freeSlot(box, full);
    full.add(slot);
    return slot;
  });
}
