import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { Line } from 'react-native-svg';
import type { Bias } from '@/core/session';
import { measuredIn } from '@/records';
import { useApp } from '@/state';
import { useSpeech, useWords } from '@/features/shell';
import { Heading, Pick, Say } from '@/ui/primitives';
import { token } from '@/ui/tokens';
import { Scatter } from './scatter';

/** The axis reaches at least so far on both sides, as a share; what lies further out stands at its rim. */
const [LEAST_REACH, MOST_REACH] = [0.15, 0.5];
const LEAST_FLIES = 6;

/** How one kind of part comes out from the first fly of a session to its last. */
export function Drift({ biases }: { biases: readonly Bias[] }) {
  const words = useWords();
  const speech = useSpeech();
  const batches = useApp((state) => state.records.entities.batch);
  const measured = useMemo(() => measuredIn(batches), [batches]);
  const [chosen, setChosen] = useState<string | null>(null);
  // What drifts is looked at first.
  const shown = biases.find(({ kind }) => kind === chosen) ?? biases.find(({ drift }) => drift !== null) ?? biases[0];
  if (!shown) return null;
  const { kind, drift, n } = shown;
  const own = measured.filter((one) => one.kind === kind);
  const reach = Math.min(MOST_REACH, Math.max(LEAST_REACH, ...own.map(({ off }) => Math.abs(off)))) * 1.1;
  const within = (share: number) => Math.max(-reach, Math.min(reach, share));
  const part = speech.name('parts', kind);
  const said =
    drift === null
      ? words('hands.no-drift', { part, count: n })
      : words(drift.perFly > 0 ? 'hands.drift-long' : 'hands.drift-short', {
          part,
          percent: speech.number(100 * Math.abs(drift.perFly), 1),
        });
  return (
    <View className="gap-3">
      <Heading className="px-5">{words('hands.drift')}</Heading>
      <View className="flex-row px-5">
        <Pick
          label={words('hands.drift-of')}
          choices={biases.map((bias) => ({ id: bias.kind, label: speech.name('parts', bias.kind) }))}
          value={kind}
          onChange={setChosen}
        />
      </View>
      <Say live className="px-5">
        {said}
      </Say>
      <Scatter
        label={said}
        flies={Math.max(LEAST_FLIES, ...own.map(({ nth }) => nth))}
        values={[-reach, reach]}
        dots={own.map(({ nth, off }) => ({ at: nth, value: within(off) }))}
        named={{
          fly: (at) => words('hands.nth', { n: at }),
          value: (at) =>
            at === 0 ? words('hands.card') : `${at > 0 ? '+' : '−'}${speech.number(100 * Math.abs(at), 0)} %`,
        }}
        under={(x, y) =>
          drift === null ? null : (
            <Line
              x1={x(drift.from[0])}
              x2={x(drift.to[0])}
              y1={y(within(drift.from[1]))}
              y2={y(within(drift.to[1]))}
              stroke={token('dawn')}
              strokeWidth={2}
            />
          )
        }
      />
      <Say size="small" tone="soft" className="px-5">
        {words(drift === null ? 'hands.drift-key' : 'hands.drift-key-line')}
      </Say>
    </View>
  );
}
