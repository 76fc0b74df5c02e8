import { useState } from 'react';
import { View } from 'react-native';
import { chanceShort, fliesToCarry, HOURS_MOST, RATE_MOST } from '@/core/numbers';
import { MOST_FLIES, sameFlies } from '@/records';
import { useApp } from '@/state';
import { selectCatalogue } from '@/state/answering';
import { fromDressing, useStartSession } from '@/features/bench';
import { PickDressing } from '@/features/box';
import { NumberField } from '@/features/length-field';
import { useSpeech, useWords } from '@/features/shell';
import { Button, Choose, Fold, Say } from '@/ui/primitives';

/** One chance in so many of running short. */
const ONE_IN = ['3', '10', '20', '100'] as const;
/** An evening's rise, and what a careful hand loses: where the tier says nothing yet. */
const START = { hours: 4, rate: 1 } as const;

/** How many flies a spell of fishing takes, what of them lies in the boxes, and a session of the others. */
export function PlanSession() {
  const words = useWords();
  const speech = useSpeech();
  const start = useStartSession();
  const { dressings } = useApp(selectCatalogue);
  const flies = useApp((state) => state.records.entities.fly);
  const [hours, setHours] = useState<number | null>(START.hours);
  const [rate, setRate] = useState<number | null>(START.rate);
  const [oneIn, setOneIn] = useState<(typeof ONE_IN)[number]>('10');
  const [chosen, setChosen] = useState<string | null>(null);
  const dressing = dressings.find(({ id }) => id === chosen) ?? null;
  const known = hours !== null && rate !== null;
  const carry = known ? fliesToCarry({ hours, rate, risk: 1 / Number(oneIn) }) : null;
  const held = sameFlies(Object.entries(flies).filter(([, fly]) => fly.dressingId === chosen)).reduce(
    (sum, { left }) => sum + Math.max(0, left),
    0,
  );
  const missing = carry === null ? 0 : Math.max(0, carry - held);
  const tied = Math.min(missing, MOST_FLIES);
  return (
    <Fold wide title={words('plan.title')} line={words('plan.line')}>
      <View className="flex-row flex-wrap gap-4">
        <View className="min-w-32 flex-1">
          <NumberField label={words('plan.hours')} value={hours} onChange={setHours} range={[0, HOURS_MOST]} />
        </View>
        <View className="min-w-32 flex-1">
          <NumberField label={words('plan.rate')} value={rate} onChange={setRate} range={[0, RATE_MOST]} />
        </View>
      </View>
      <View className="gap-1">
        <Say size="small" tone="soft">
          {words('plan.risk')}
        </Say>
        <Choose
          label={words('plan.risk')}
          choices={ONE_IN.map((id) => ({ id, label: words('plan.one-in', { n: id }) }))}
          value={oneIn}
          onChange={setOneIn}
        />
      </View>
      {carry === null ? (
        <Say tone="soft">{words('plan.waits')}</Say>
      ) : (
        <View aria-live="polite">
          <Say size="lead" weight="medium">
            {words('plan.carry', { count: carry })}
          </Say>
          <Say tone="soft">
            {words('plan.why', {
              lost: speech.number(hours! * rate!, Number.isInteger(hours! * rate!) ? 0 : 1),
              percent: speech.number(100 * chanceShort(carry, hours! * rate!), 1),
            })}
          </Say>
        </View>
      )}
      <PickDressing value={dressing} recent={[]} onChange={setChosen} />
      {dressing && carry !== null ? (
        <View className="gap-3">
          <Say live>
            {speech.sentences([
              words('plan.held', { count: held }),
              missing === 0
                ? words('plan.enough')
                : missing > MOST_FLIES
                  ? words('plan.many', { count: missing, most: MOST_FLIES })
                  : words('plan.missing', { count: missing }),
            ])}
          </Say>
          {tied > 0 ? (
            <Button
              kind="main"
              label={words('plan.tie', { count: tied })}
              onPress={() => start((state) => fromDressing(state, dressing.id, null, tied))}
              className="self-start"
            />
          ) : null}
        </View>
      ) : null}
    </Fold>
  );
}
