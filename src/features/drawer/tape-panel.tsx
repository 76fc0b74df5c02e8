import { useState } from 'react';
import { View } from 'react-native';
import { readsAgainst, type Hook } from '@/core/hooks';
import { parseLength, readMillimetres } from '@/core/units';
import { MM_PER_INCH } from '@/core/constants';
import type { ModelRecord, TapingRecord } from '@/records';
import { selectDevice, useApp } from '@/state';
import { useScreenSize } from '@/features/screen-size';
import { useSpeech, useWords } from '@/features/shell';
import { Button, Choose, Field, Heading, Say } from '@/ui/primitives';
import { GlassTape } from './glass-tape';
import { useDrawer } from './use-drawer';

const DIMENSIONS = ['shankMm', 'gapeMm', 'overallMm', 'wireMm'] as const;
type Dimension = (typeof DIMENSIONS)[number];
const WIRE_RANGE_MM = [0.02, 12] as const;

interface TapePanelProps {
  modelId: string;
  model: ModelRecord;
  sizes: readonly string[];
  hooks: readonly Hook[];
  start: string | null;
}

/** One hook of a packet measured: by calliper and micrometer, or laid on the glass; what it reads is said beside its label. */
export function TapePanel({ modelId, model, sizes, hooks, start }: TapePanelProps) {
  const words = useWords();
  const speech = useSpeech();
  const drawer = useDrawer();
  const { hand } = useApp(selectDevice);
  const screen = useScreenSize();
  const [size, setSize] = useState(
    start && sizes.includes(start) ? start : (sizes[Math.floor(sizes.length / 2)] ?? ''),
  );
  const [how, setHow] = useState<TapingRecord['how']>('calliper');
  const [typed, setTyped] = useState<Partial<Record<Dimension, string>>>({});
  const read = (dimension: Dimension): { mm: number | null; error: string | null } => {
    const text = (typed[dimension] ?? '').trim();
    if (text === '') return { mm: null, error: null };
    const bare = speech.unit === 'mm' ? 'mm' : 'in';
    if (dimension === 'wireMm') {
      const mm = readMillimetres(text, bare === 'mm' ? 1 : MM_PER_INCH);
      return mm !== null && mm >= WIRE_RANGE_MM[0] && mm <= WIRE_RANGE_MM[1]
        ? { mm, error: null }
        : {
            mm: null,
            error: words('tape.wire-range', {
              low: speech.length(WIRE_RANGE_MM[0], true),
              high: speech.length(WIRE_RANGE_MM[1]),
            }),
          };
    }
    const parsed = parseLength(text, bare);
    return parsed.ok ? { mm: parsed.mm, error: null } : { mm: null, error: speech.say(parsed.fault, 'fault') };
  };
  const readings = Object.fromEntries(DIMENSIONS.map((dimension) => [dimension, read(dimension)])) as Record<
    Dimension,
    ReturnType<typeof read>
  >;
  const any = DIMENSIONS.some((dimension) => readings[dimension].mm !== null);
  const wrong = DIMENSIONS.some((dimension) => readings[dimension].error !== null);
  const hook = hooks.find((item) => item.size === size);
  const against = readsAgainst(size, readings.shankMm.mm, readings.gapeMm.mm);
  const own = Object.entries(model.tally).sort(([, a], [, b]) => b.at.localeCompare(a.at));
  return (
    <View className="gap-4 border-y border-line bg-plane px-5 py-4">
      <Heading>{words('tape.title')}</Heading>
      <Say size="small" tone="soft">
        {words('tape.lead')}
      </Say>
      <Choose
        label={words('tape.size')}
        choices={sizes.map((id) => ({ id, label: id }))}
        value={size}
        onChange={setSize}
      />
      <Choose
        label={words('tape.how')}
        choices={[
          { id: 'calliper', label: words('tape.calliper') },
          { id: 'glass', label: words('tape.glass') },
        ]}
        value={how}
        onChange={setHow}
      />
      {how === 'calliper' ? (
        <View className="gap-3">
          <View className={`flex-wrap gap-3 ${hand === 'left' ? 'flex-row-reverse' : 'flex-row'}`}>
            {DIMENSIONS.map((dimension) => (
              <View key={dimension} className="min-w-32 flex-1 basis-32">
                <Field
                  label={words(`tape.${dimension}`)}
                  value={typed[dimension] ?? ''}
                  numeric
                  error={readings[dimension].error}
                  hint={words(`tape.${dimension}-hint`)}
                  onType={(text) => setTyped((now) => ({ ...now, [dimension]: text }))}
                />
              </View>
            ))}
          </View>
          {against.long !== null || against.wide !== null ? (
            <Say live weight="medium">
              {against.long !== null && against.wide !== null
                ? words('tape.both', {
                    label: size,
                    long: speech.number(against.long, 1),
                    wide: speech.number(against.wide, 1),
                  })
                : against.long !== null
                  ? words('tape.long', { label: size, long: speech.number(against.long, 1) })
                  : words('tape.wide', { label: size, wide: speech.number(against.wide!, 1) })}
            </Say>
          ) : null}
          <Button
            kind="main"
            label={words('tape.keep')}
            disabled={!any || wrong}
            className="self-start"
            onPress={() => {
              drawer.tape(modelId, {
                size,
                how,
                ...(Object.fromEntries(DIMENSIONS.map((dimension) => [dimension, readings[dimension].mm])) as Record<
                  Dimension,
                  number | null
                >),
              });
              setTyped({});
            }}
          />
        </View>
      ) : screen.pxPerMm === null ? (
        <Say size="small" tone="straw">
          {words(`screen.why.${screen.why}`)}
        </Say>
      ) : hook ? (
        <GlassTape
          key={size}
          hook={hook}
          pxPerMm={screen.pxPerMm}
          times={own.filter(([, taping]) => taping.size === size && taping.how === 'glass').length}
          left={hand === 'left'}
          onKeep={(readingsMm) => drawer.tape(modelId, { size, how: 'glass', wireMm: null, ...readingsMm })}
        />
      ) : null}
      <Say size="small" tone="straw">
        {speech.caution('hook-point')}
      </Say>
      {own.length > 0 ? (
        <View className="gap-1">
          <Heading size="small" level={3}>
            {words('tape.done')}
          </Heading>
          {own.map(([id, taping]) => (
            <View key={id} className="flex-row items-center justify-between gap-3 border-b border-line">
              <Say size="small" className="min-w-0 flex-1">
                {words('tape.one', {
                  size: taping.size,
                  how: words(`tape.${taping.how}`),
                  what: speech.list(
                    DIMENSIONS.flatMap((dimension) =>
                      taping[dimension]
                        ? [`${words(`tape.${dimension}`)} ${speech.length(taping[dimension], dimension === 'wireMm')}`]
                        : [],
                    ),
                  ),
                })}
              </Say>
              <Button
                kind="quiet"
                label={words('tape.remove')}
                spoken={words('tape.remove-what', { size: taping.size })}
                onPress={() => drawer.untape(modelId, id)}
              />
            </View>
          ))}
        </View>
      ) : null}
    </View>
  );
}
