import { useState } from 'react';
import { View } from 'react-native';
import { useStore } from 'react-redux';
import { dailyOf, daysMissing, readingsOf, readLogger, type LoggerRead } from '@/core/logger';
import { hasDemo, takeTemperatures, type WaterRecord } from '@/records';
import { nowOf, useAct, useApp, type Store } from '@/state';
import { demoLogger } from '@/features/demo';
import { chooseFile } from '@/features/files';
import { useSpeech, useWords } from '@/features/shell';
import { Button, Fold, Say, Stepper } from '@/ui/primitives';
import { aheadText } from './came';

/** Of one outing so many readings are kept: one for every quarter of an hour of a long day. */
const PER_OUTING = 60;
const MOST_BYTES = 20_000_000;
const MOST_SHIFT_H = 14;

/** A water's temperatures as a logger had them: its table is read in any order of columns, unit and zone; what is wrong with it is said before anything is taken. */
export function TemperatureFold({ id, water }: { id: string; water: WaterRecord }) {
  const words = useWords();
  const speech = useSpeech();
  const act = useAct();
  const { getState, ports } = useStore() as unknown as Store;
  const demo = useApp((state) => hasDemo(state.records.entities));
  const [text, setText] = useState<string | null>(null);
  const [shiftH, setShift] = useState(0);
  const [fault, setFault] = useState<'none' | 'big' | null>(null);
  const [taken, setTaken] = useState<number | null>(null);
  const days = Object.keys(water.daily).sort();
  const missing = daysMissing(water.daily);
  const line =
    days.length === 0
      ? words('out.temps-none')
      : speech.beside([
          words('out.temps-days', { count: days.length }),
          words('out.temps-span', { from: speech.month(days[0]!), to: speech.month(days[days.length - 1]!) }),
          missing > 0 && words('out.temps-missing', { count: missing }),
        ]);
  const asked = { zone: water.place?.zone ?? null, now: nowOf(getState(), ports), shiftH };
  const read = text === null ? null : readLogger(text, asked);
  const open = (next: string) => {
    setTaken(null);
    setShift(0);
    setText(next);
    setFault(readLogger(next, { ...asked, shiftH: 0 }) === null ? 'none' : null);
  };
  const choose = async () => {
    const file = await chooseFile('.csv,.txt,.tsv,text/*');
    if (!file) return;
    if (file.size > MOST_BYTES) return setFault('big');
    open(await file.text());
  };
  const take = (own: LoggerRead) => {
    const daily = dailyOf(own.readings);
    const { outing } = getState().records.entities;
    const temps = Object.fromEntries(
      Object.entries(outing)
        .filter(([, { waterId, end }]) => waterId === id && end)
        .flatMap(([outingId, { start, end }]) => {
          const within = readingsOf(own.readings, start, end!, PER_OUTING);
          return within.length > 0 ? [[outingId, within]] : [];
        }),
    );
    act(takeTemperatures, { waterId: id, daily, temps });
    setTaken(Object.keys(daily).length);
    setText(null);
  };
  return (
    <Fold wide title={words('out.temps', { water: water.name })} line={line}>
      <Say size="small" tone="soft">
        {words('out.temps-why')}
      </Say>
      <View className="flex-row flex-wrap gap-2">
        <Button label={words('out.temps-read')} onPress={() => void choose()} />
        {demo ? (
          <Button
            kind="quiet"
            label={words('out.temps-demo')}
            onPress={() => open(demoLogger(nowOf(getState(), ports)))}
          />
        ) : null}
      </View>
      {fault ? (
        <Say live tone="dawn">
          {words(`out.temps-fault-${fault}`)}
        </Say>
      ) : null}
      {taken === null ? null : <Say live>{words('out.temps-taken', { count: taken })}</Say>}
      {read ? (
        <View className="gap-3">
          <Say weight="medium" live>
            {speech.sentences([
              words('out.temps-found', {
                count: read.readings.length,
                from: speech.moment(read.readings[0]?.at ?? ''),
                to: speech.moment(read.readings[read.readings.length - 1]?.at ?? ''),
              }),
              words('out.temps-columns', {
                when: speech.list(read.columns.when),
                temperature: read.columns.temperature,
                unit: read.unit,
                count: read.everyMin,
              }),
              read.zoneH !== null && words('out.temps-zone', { h: aheadText(read.zoneH) }),
            ])}
          </Say>
          {read.said.map((one) => (
            <Say key={one.code} size="small" tone="straw">
              {speech.say(one, 'fault')}
            </Say>
          ))}
          <Stepper
            shown
            label={words('out.temps-shift')}
            value={shiftH}
            low={-MOST_SHIFT_H}
            high={MOST_SHIFT_H}
            onChange={setShift}
          />
          <Button
            kind="main"
            className="self-start"
            disabled={read.readings.length === 0}
            label={words('out.temps-take')}
            onPress={() => take(read)}
          />
        </View>
      ) : null}
    </Fold>
  );
}
