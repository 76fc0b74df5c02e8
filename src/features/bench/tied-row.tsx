import { useState } from 'react';
import { View } from 'react-native';
import type { Card } from '@/core/tying';
import { isLow, leftInPacket, tiedKind } from '@/records';
import { useApp } from '@/state';
import { useLedger } from '@/features/box';
import { hookName } from '@/features/matches';
import { SaidBack, useSpeech, useWords } from '@/features/shell';
import { Button, Pick, Say, Stepper } from '@/ui/primitives';

const NO_BOX = 'none';
const NEW_BOX = 'new';
const MOST = 60;

/** What came off the vise: so many flies into a box, and as many hooks out of their packet. */
export function TiedRow({ card }: { card: Card }) {
  const words = useWords();
  const speech = useSpeech();
  const ledger = useLedger();
  const boxes = useApp((state) => state.records.entities.box);
  const packets = useApp((state) => state.records.entities.packet);
  const [count, setCount] = useState(1);
  const [chosen, setChosen] = useState<string | null>(null);
  const [said, setSaid] = useState<string | null>(null);
  const carried = Object.entries(boxes).sort(
    ([, a], [, b]) => Number(b.carried) - Number(a.carried) || a.name.localeCompare(b.name),
  );
  // A box that has gone meanwhile is not chosen any more.
  const boxId = chosen !== null && (chosen === NO_BOX || boxes[chosen]) ? chosen : (carried[0]?.[0] ?? NEW_BOX);
  const firstBox = words('box.name-n', { n: 1 });
  const own = Object.values(packets).filter((packet) => packet.hookId === card.hook.id);
  const left = own.reduce((sum, packet) => sum + leftInPacket(packet), 0);
  const tied = () => {
    const taken = Math.min(count, left);
    ledger.tied(
      tiedKind(card.dressing, card.hook),
      boxId === NO_BOX ? null : boxId === NEW_BOX ? { newBox: firstBox } : boxId,
      count,
    );
    setSaid(
      speech.beside([
        words(boxId === NO_BOX ? 'tied.said' : boxId === NEW_BOX ? 'tied.said-new' : 'tied.said-box', {
          count,
          box: boxes[boxId]?.name ?? firstBox,
        }),
        taken > 0 ? words('tied.said-hooks', { count: taken, left: left - taken }) : '',
      ]),
    );
  };
  return (
    <View className="gap-3">
      <View className="flex-row flex-wrap items-center gap-4">
        <Stepper label={words('tied.count')} value={count} low={1} high={MOST} onChange={setCount} />
        <Button label={words('tied.note', { count })} disabled={boxId === NO_BOX && left === 0} onPress={tied} />
      </View>
      {carried.length > 0 ? (
        <View className="flex-row">
          <Pick
            label={words('tied.into')}
            choices={[
              ...carried.map(([id, box]) => ({ id, label: box.name })),
              { id: NO_BOX, label: words('tied.no-box') },
            ]}
            value={boxId}
            onChange={setChosen}
          />
        </View>
      ) : null}
      <Say size="small" tone={own.some(isLow) ? 'straw' : 'soft'}>
        {speech.beside([
          words(left > 0 ? 'tied.hooks' : 'tied.no-hooks', { hook: hookName(card.hook), count: left }),
          own.some(isLow) && words('packets.low'),
        ])}
      </Say>
      {boxId === NO_BOX ? (
        <Say size="small" tone="straw">
          {words(left === 0 ? 'tied.nothing-kept' : 'tied.hooks-only')}
        </Say>
      ) : null}
      {said ? <SaidBack text={said} label="tied" onBack={() => setSaid(null)} /> : null}
    </View>
  );
}
