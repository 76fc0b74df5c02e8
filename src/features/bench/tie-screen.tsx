import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { useApp } from '@/state';
import { selectAnswered } from '@/state/answering';
import { lowered } from '@/speech';
import { Missing, useSpeech, useTitle, useWords } from '@/features/shell';
import { BarButton, Button, Heading, Say } from '@/ui/primitives';
import { StepBar, StepView, useStepKeys } from './step-view';
import { TiedRow } from './tied-row';

/** The bench, full screen: one step at a time, next and back by space bar, pedal, arrows or a tap. */
export function TieScreen({ id }: { id: string }) {
  const words = useWords();
  const speech = useSpeech();
  const router = useRouter();
  const match = useApp((state) => state.records.entities.match[id]);
  const answered = useApp((state) => (match ? selectAnswered(state, id, match.leading) : null));
  const [index, setIndex] = useState(0);
  const card = answered?.status === 'answered' ? answered.answer.card : null;
  const count = card?.steps.length ?? 0;
  useTitle(words('tie.title', { dressing: card?.dressing.name ?? '' }));
  useStepKeys((by) => setIndex((now) => Math.min(Math.max(0, now + by), Math.max(0, count - 1))));
  if (!card) return <Missing what="match" list="/matches" />;
  const step = card.steps[Math.min(index, count - 1)]!;
  const next = card.steps[index + 1];
  const leave = () => router.navigate({ pathname: '/matches/[id]/[step]', params: { id, step: 'bench' } });
  const forward = () => (next ? setIndex(index + 1) : leave());
  return (
    <View className="flex-1 bg-ground">
      <View className="flex-row items-center justify-between px-5 pt-2">
        <Say size="small" tone="soft" lines={2} className="min-w-0 flex-1">
          {speech.beside([card.dressing.name, `${card.hook.maker_name} ${card.hook.size}`])}
        </Say>
        <Button kind="quiet" label={words('tie.leave')} onPress={leave} />
      </View>
      <StepBar card={card} at={index} />
      <StepView card={card} step={step} onTap={forward}>
        {next ? null : (
          <View className="mx-5 mb-6 gap-3 border-y border-line bg-plane px-5 py-4">
            <Heading size="small">{words('tied.title')}</Heading>
            <TiedRow card={card} />
          </View>
        )}
      </StepView>
      <TieBar
        back={index > 0 ? () => setIndex(index - 1) : null}
        forward={forward}
        label={
          next
            ? words('tie.next-what', {
                what: lowered(speech.stepTitle(next)),
              })
            : words('tie.done')
        }
      />
    </View>
  );
}

/** Back and on, at the foot: as broad as a hand that holds a bobbin needs. */
export function TieBar({
  back,
  forward,
  label,
}: {
  /** Null where there is nothing to go back to. */
  back: (() => void) | null;
  forward: () => void;
  label: string;
}) {
  const words = useWords();
  return (
    <View className="flex-row border-t border-line">
      <BarButton takes="third" disabled={back === null} onPress={() => back?.()}>
        <Say weight="medium" tone={back === null ? 'soft' : 'ink'}>
          {words('tie.back')}
        </Say>
      </BarButton>
      <BarButton main takes="rest" onPress={forward}>
        <Say weight="strong" tone="on-river" lines={1}>
          {label}
        </Say>
      </BarButton>
    </View>
  );
}
