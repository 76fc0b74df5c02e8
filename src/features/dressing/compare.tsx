import { useEffect, useRef } from 'react';
import { View } from 'react-native';
import type { Dressed } from '@/core/answer';
import type { Criterion, Dressing } from '@/core/dressings';
import type { Reason } from '@/core/code';
import { useApp } from '@/state';
import { libraryCard, selectDressing } from '@/state/answering';
import { useRedLamp, useSpeech, useWords } from '@/features/shell';
import { FlyThumb } from '@/ui/drawings';
import { Button, Digits, Heading, Say } from '@/ui/primitives';

const PICTURE = { width: 160, height: 112 } as const;

/** Two dressings side by side: their plates, what they are, and every criterion with what it did to each score. */
export function Compare({ pair, onClose }: { pair: readonly [Dressed, Dressed]; onClose: () => void }) {
  const words = useWords();
  const speech = useSpeech();
  const one = useApp((state) => selectDressing(state, pair[0].id));
  const two = useApp((state) => selectDressing(state, pair[1].id));
  const table = useRef<View>(null);
  // It opens above what was tapped: who asked for it sees it.
  useEffect(() => (table.current as unknown as HTMLElement | null)?.scrollIntoView?.({ block: 'start' }), []);
  if (!one || !two) return null;
  const criteria = [...new Set(pair.flatMap((dressed) => dressed.criteria))];
  const cell = (dressed: Dressed, criterion: Criterion): Reason | undefined =>
    dressed.why[dressed.criteria.indexOf(criterion)];
  const facts: [string, (dressing: Dressing) => string][] = [
    [words('compare.style'), (dressing) => speech.plain('styles', dressing.style)],
    [
      words('dressing.lengths'),
      (dressing) =>
        words('dressing.range', {
          low: speech.length(dressing.length_mm[0]),
          high: speech.length(dressing.length_mm[1]),
        }),
    ],
    [words('dressing.ride'), (dressing) => speech.plain('rides', dressing.ride)],
    [
      words('compare.weight'),
      (dressing) =>
        speech.list(
          dressing.weights.map((weight) =>
            weight.metal
              ? `${speech.plain('metals', weight.metal)} ${speech.plain('weight-kinds', weight.kind)}`
              : speech.plain('weight-kinds', weight.kind),
          ),
        ) || words('compare.none'),
    ],
    [
      words('compare.parts'),
      (dressing) => words('compare.parts-n', { parts: dressing.parts.length, steps: dressing.steps.length }),
    ],
    [
      words('dressing.skill'),
      (dressing) =>
        speech.list([
          words(`dressing.skill-n.${dressing.skill}`),
          dressing.minutes && words('dressing.minutes', { minutes: dressing.minutes }),
        ]),
    ],
  ];
  return (
    <View ref={table} role="table" aria-label={words('compare.title')} className="border-y border-line bg-plane py-3">
      <View className="flex-row items-center justify-between gap-3 px-5">
        <Heading>{words('compare.title')}</Heading>
        <Button kind="quiet" label={words('compare.close')} onPress={onClose} />
      </View>
      <View role="row" className="flex-row gap-3 px-5 pb-2">
        {(
          [
            [pair[0], one],
            [pair[1], two],
          ] as const
        ).map(([dressed, dressing]) => (
          <View key={dressed.id} role="columnheader" className="min-w-0 flex-1 items-start gap-1">
            <Picture dressing={dressing} />
            <Say weight="serif" size="lead">
              {dressed.name}
            </Say>
            <Digits tone="soft">{speech.number(dressed.score, 2)}</Digits>
          </View>
        ))}
      </View>
      {facts.map(([title, value]) => (
        <Line key={title} title={title} one={value(one)} two={value(two)} />
      ))}
      {criteria.map((criterion) => {
        const [a, b] = [cell(pair[0], criterion), cell(pair[1], criterion)];
        const say = (why: Reason | undefined) =>
          why ? speech.beside([speech.number(why.weight ?? 1, 2), speech.say(why)]) : '';
        return (
          <Line
            key={criterion}
            title={words(`picking.criterion.${criterion}`)}
            one={say(a)}
            two={say(b)}
            better={(a?.weight ?? 1) === (b?.weight ?? 1) ? null : (a?.weight ?? 1) > (b?.weight ?? 1) ? 'one' : 'two'}
          />
        );
      })}
    </View>
  );
}

function Picture({ dressing }: { dressing: Dressing }) {
  const red = useRedLamp();
  return <FlyThumb card={libraryCard(dressing) ?? undefined} plain={red} {...PICTURE} />;
}

function Line({
  title,
  one,
  two,
  better = null,
}: {
  title: string;
  one: string;
  two: string;
  better?: 'one' | 'two' | null;
}) {
  return (
    <View role="row" className="border-t border-line px-5 py-2">
      <View role="rowheader">
        <Say size="small" tone="soft">
          {title}
        </Say>
      </View>
      <View className="flex-row gap-3">
        <View role="cell" className="min-w-0 flex-1">
          <Say size="small" weight={better === 'one' ? 'strong' : 'sans'}>
            {one}
          </Say>
        </View>
        <View role="cell" className="min-w-0 flex-1">
          <Say size="small" weight={better === 'two' ? 'strong' : 'sans'}>
            {two}
          </Say>
        </View>
      </View>
    </View>
  );
}
