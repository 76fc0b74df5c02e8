import { useRouter } from 'expo-router';
import { useState } from 'react';
import { ScrollView, useWindowDimensions, View } from 'react-native';
import { formatLength } from '@/core/units';
import { useApp } from '@/state';
import { selectAnswered } from '@/state/answering';
import {
  Missing,
  PageHeading,
  useKeyDown,
  useRedLamp,
  useSpeech,
  useTitle,
  useWide,
  useWidth,
  useWords,
} from '@/features/shell';
import { flyMarks, Plate } from '@/ui/drawings';
import { BarButton, Button, Digits, Heading, Say, TapArea } from '@/ui/primitives';
import { StepCaution, StepCheck } from './card-view';
import { TiedRow } from './tied-row';

/** The bench, full screen: one step at a time, next and back by space bar, pedal, arrows or a tap. */
export function TieScreen({ id }: { id: string }) {
  const words = useWords();
  const speech = useSpeech();
  const router = useRouter();
  const red = useRedLamp();
  const { height, width: across } = useWindowDimensions();
  // The fly beside its words where there is room, on a phone that lies on its side too.
  const beside = useWide() || across > height;
  const match = useApp((state) => state.records.entities.match[id]);
  const answered = useApp((state) => (match ? selectAnswered(state, id, match.leading) : null));
  const [index, setIndex] = useState(0);
  const [mend, setMend] = useState(false);
  const [width, box] = useWidth();
  const card = answered?.status === 'answered' ? answered.answer.card : null;
  const count = card?.steps.length ?? 0;
  useTitle(words('tie.title', { dressing: card?.dressing.name ?? '' }));
  const go = (by: number) => {
    setMend(false);
    setIndex((now) => Math.min(Math.max(0, now + by), Math.max(0, count - 1)));
  };
  useKeyDown((event) => {
    // What has the focus answers its own keys: a button the space bar, a choice the arrows too.
    const at = event.target as HTMLElement | null;
    if (
      (event.key === ' ' && at?.closest?.('button, [role=radio], select')) ||
      (event.key.startsWith('Arrow') && at?.closest?.('[role=radio], select'))
    )
      return;
    const by = { ' ': 1, PageDown: 1, ArrowRight: 1, PageUp: -1, ArrowLeft: -1 }[event.key];
    if (by === undefined || event.ctrlKey || event.metaKey || event.altKey) return;
    event.preventDefault();
    go(by);
  });
  if (!card) return <Missing what="match" list="/matches" />;
  const step = card.steps[Math.min(index, count - 1)]!;
  const next = card.steps[index + 1];
  const part = card.parts.find((item) => item.id === step.part);
  const big = step.mm !== null && !['cut', 'free-eye', 'coat', 'tie-off', 'check'].includes(step.do) ? step.mm : null;
  const text = big === null ? null : formatLength(big, speech.unit);
  const forward = () => {
    setMend(false);
    if (next) setIndex(index + 1);
    else router.navigate({ pathname: '/matches/[id]/[step]', params: { id, step: 'bench' } });
  };
  return (
    <View className="flex-1 bg-ground">
      <View className="flex-row items-center justify-between px-5 pt-2">
        <Say size="small" tone="soft" lines={2} className="min-w-0 flex-1">
          {speech.beside([card.dressing.name, `${card.hook.maker_name} ${card.hook.size}`])}
        </Say>
        <Button
          kind="quiet"
          label={words('tie.leave')}
          onPress={() => router.navigate({ pathname: '/matches/[id]/[step]', params: { id, step: 'bench' } })}
        />
      </View>
      <View aria-hidden className="flex-row gap-1 px-5">
        {card.steps.map((item, place) => (
          <View
            key={item.n}
            className={`h-1 flex-1 ${place < index ? 'bg-river' : place === index ? 'bg-dawn' : 'bg-line'}`}
          />
        ))}
      </View>
      <ScrollView className="flex-1" contentContainerClassName={beside ? 'flex-row' : ''}>
        <View className={beside ? 'w-3/5' : ''}>
          <TapArea onTap={forward} {...box}>
            {width > 0 ? (
              <Plate
                label={words('tie.fly', { fly: card.dressing.name, n: step.n })}
                width={width}
                natural={null}
                measuredMm={null}
                fly={flyMarks(card, { upTo: step.n, plain: red })}
                partName={(kind) => speech.plain('parts', kind)}
                digits={(mm) => formatLength(mm, speech.unit).digits}
                ringAt={step.at?.mm ?? null}
                only={step.part ?? ''}
                maxHeight={beside ? height - 150 : 250}
              />
            ) : null}
          </TapArea>
        </View>
        <View aria-live="polite" className={`gap-3 px-5 pb-6 ${beside ? 'w-2/5 pt-4' : ''}`}>
          <View>
            <Say size="small" tone="soft">
              {speech.beside([words('tie.step', { n: step.n, count }), step.kind && speech.name('parts', step.kind)])}
            </Say>
            <PageHeading>{speech.stepTitle(step)}</PageHeading>
          </View>
          {text ? (
            <View className="flex-row items-end gap-3">
              <Digits size="bench" tone="dawn" strong>
                {text.digits}
              </Digits>
              <View className="pb-1">
                <Say tone="soft">{speech.t(`unit.${text.unit}`)}</Say>
                {part?.range_mm ? (
                  <Say size="small" tone="soft">
                    {words('tie.range', {
                      low: formatLength(part.range_mm[0], speech.unit).digits,
                      high: formatLength(part.range_mm[1], speech.unit).digits,
                    })}
                  </Say>
                ) : null}
              </View>
            </View>
          ) : null}
          {speech.stepDetail(step).map((line) => (
            <Say key={line} size="lead">
              {line}
            </Say>
          ))}
          {step.check ? (
            <View className="border-t border-line pt-3">
              <StepCheck step={step} size="lead" />
            </View>
          ) : null}
          {step.mend.length > 0 ? (
            mend ? (
              <Say tone="soft">{speech.clauses(speech.stepMends(step))}</Say>
            ) : (
              <Button kind="quiet" label={words('bench.mend')} onPress={() => setMend(true)} className="self-start" />
            )
          ) : null}
          <StepCaution step={step} />
          {next ? null : (
            <View className="gap-3 border-y border-line bg-plane px-5 py-4">
              <Heading size="small">{words('tied.title')}</Heading>
              <TiedRow card={card} />
            </View>
          )}
        </View>
      </ScrollView>
      <View className="flex-row border-t border-line">
        <BarButton
          takes="third"
          disabled={index === 0}
          onPress={() => {
            setMend(false);
            setIndex(Math.max(0, index - 1));
          }}
        >
          <Say weight="medium" tone={index === 0 ? 'soft' : 'ink'}>
            {words('tie.back')}
          </Say>
        </BarButton>
        <BarButton main takes="rest" onPress={forward}>
          <Say weight="strong" tone="on-river" lines={1}>
            {next
              ? words('tie.next-what', {
                  what: `${speech.stepTitle(next).charAt(0).toLowerCase()}${speech.stepTitle(next).slice(1)}`,
                })
              : words('tie.done')}
          </Say>
        </BarButton>
      </View>
    </View>
  );
}
