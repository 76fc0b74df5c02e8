import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { holdsOwn, setBox, type BoxRecord } from '@/records';
import { useAct, useApp } from '@/state';
import { InList, Page, useSpeech, useWords } from '@/features/shell';
import { Button, Digits, Row, Say, Toggle } from '@/ui/primitives';
import { BoxMap } from './compartments';
import { EveryFly } from './every-fly';
import { fliesIn } from './in-box';
import { useLedger } from './use-ledger';

/** The fly boxes: what each holds, what has run out, and whether it is carried. */
export function BoxesScreen() {
  const words = useWords();
  const router = useRouter();
  const ledger = useLedger();
  const boxes = useApp((state) => state.records.entities.box);
  const ids = Object.keys(boxes).sort((a, b) => boxes[a]!.name.localeCompare(boxes[b]!.name));
  const mixed = holdsOwn(Object.values(boxes));
  const open = (id: string) => router.navigate({ pathname: '/box/[id]', params: { id } });
  return (
    <Page
      column="list"
      title={words('place.box')}
      lead={words('box.lead')}
      aside={
        <Button
          kind="main"
          label={words('box.new')}
          onPress={() => {
            const made = ledger.newBox(words('box.name-n', { n: ids.length + 1 }));
            if (made) open(made);
          }}
        />
      }
    >
      {ids.length === 0 ? (
        <View className="gap-2 px-5">
          <Say>{words('box.none')}</Say>
          <Say tone="soft">{words('box.none-hint')}</Say>
        </View>
      ) : null}
      <EveryFly />
      <View className={ids.length > 0 ? 'border-t border-line' : ''}>
        {ids.map((id) => (
          <InList key={id} record={{ kind: 'box', id }} name={boxes[id]!.name} data={boxes[id]}>
            <BoxRow id={id} box={boxes[id]!} marked={mixed && boxes[id]!.demo} />
          </InList>
        ))}
      </View>
    </Page>
  );
}

/** A box in a line: its grid, its name, what it holds, and whether it is carried. */
export function BoxRow({ id, box, marked }: { id: string; box: BoxRecord; marked: boolean }) {
  const words = useWords();
  const speech = useSpeech();
  const act = useAct();
  const flies = useApp((state) => state.records.entities.fly);
  const held = fliesIn(id, flies);
  const total = held.reduce((sum, item) => sum + item.left, 0);
  const gone = held.filter((item) => item.left === 0).length;
  return (
    <View className="flex-row flex-wrap items-center gap-4 border-b border-line px-5 py-1">
      <View className="min-w-[60%] flex-1">
        <Row
          wide={false}
          line={false}
          to={{ pathname: '/box/[id]', params: { id } }}
          spoken={words('box.open-what', { name: box.name, flies: total, kinds: held.length })}
        >
          <BoxMap box={box} slot={null} />
          <View className="min-w-0 flex-1">
            <Say size="lead" weight="serif">
              {box.name}
            </Say>
            <View className="flex-row flex-wrap items-baseline gap-1">
              <Digits>{String(total)}</Digits>
              <Say size="small">
                {speech.beside([words('box.flies-of', { count: held.length }), marked && words('matches.demo')])}
              </Say>
            </View>
            {gone > 0 ? (
              <Say size="small" tone="straw">
                {words('box.gone', { count: gone })}
              </Say>
            ) : null}
          </View>
        </Row>
      </View>
      <Toggle
        label={words(box.carried ? 'box.carried' : 'box.at-home')}
        spoken={words('box.carry-what', { name: box.name })}
        on={box.carried}
        onChange={(carried) => act(setBox, { boxId: id, carried })}
      />
    </View>
  );
}
