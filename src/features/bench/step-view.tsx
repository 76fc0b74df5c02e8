import { useState, type ReactNode } from 'react';
import { ScrollView, useWindowDimensions, View } from 'react-native';
import type { Card, CardStep } from '@/core/tying';
import { formatLength } from '@/core/units';
import { PageHeading, useKeyDown, useRedLamp, useSpeech, useWide, useWidth, useWords } from '@/features/shell';
import { flyMarks, Plate } from '@/ui/drawings';
import { BarButton, Button, Digits, Say, TapArea } from '@/ui/primitives';
import { AimLine } from './aim-line';
import { StepCaution, StepCheck } from './card-view';

/** Steps by space bar, pedal or arrows; what has the focus answers its own keys. */
export function useStepKeys(go: (by: 1 | -1) => void): void {
  useKeyDown((event) => {
    // A button answers the space bar, a choice the arrows too.
    const at = event.target as HTMLElement | null;
    if (
      (event.key === ' ' && at?.closest?.('button, [role=radio], select, input')) ||
      (event.key.startsWith('Arrow') && at?.closest?.('[role=radio], select, input'))
    )
      return;
    const by = ({ ' ': 1, PageDown: 1, ArrowRight: 1, PageUp: -1, ArrowLeft: -1 } as const)[event.key];
    if (by === undefined || event.ctrlKey || event.metaKey || event.altKey) return;
    event.preventDefault();
    go(by);
  });
}

/** How far a fly is, a stroke a step. */
export function StepBar({ card, at }: { card: Card; at: number }) {
  return (
    <View aria-hidden className="flex-row gap-1 px-5">
      {card.steps.map((item, place) => (
        <View key={item.n} className={`h-1 flex-1 ${place < at ? 'bg-river' : place === at ? 'bg-dawn' : 'bg-line'}`} />
      ))}
    </View>
  );
}

/** One step as it is tied from: the fly as it is after it, its length in big figures, what to do, to look at and to mend. A tap on the fly goes on. */
export function StepView({
  card,
  step,
  over,
  children,
  onTap,
}: {
  card: Card;
  step: CardStep;
  /** Beside the number of the step. */
  over?: string;
  children?: ReactNode;
  onTap: () => void;
}) {
  const words = useWords();
  const speech = useSpeech();
  const red = useRedLamp();
  const { height, width: across } = useWindowDimensions();
  // The fly beside its words where there is room, on a phone that lies on its side too.
  const beside = useWide() || across > height;
  const [mend, setMend] = useState<number | null>(null);
  const [width, box] = useWidth();
  const part = card.parts.find((item) => item.id === step.part);
  const big = step.mm !== null && !['cut', 'free-eye', 'coat', 'tie-off', 'check'].includes(step.do) ? step.mm : null;
  const text = big === null ? null : formatLength(big, speech.unit);
  return (
    <ScrollView className="flex-1" contentContainerClassName={beside ? 'flex-row' : ''}>
      <View className={beside ? 'w-3/5' : ''}>
        <TapArea onTap={onTap} {...box}>
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
      <View className={beside ? 'w-2/5 pt-4' : ''}>
        <View aria-live="polite" className="gap-3 px-5 pb-6">
          <View>
            <Say size="small" tone="soft">
              {speech.beside([
                over,
                words('tie.step', { n: step.n, count: card.steps.length }),
                step.kind && speech.name('parts', step.kind),
              ])}
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
          {big !== null && big === part?.mm ? <AimLine kind={part.part} mm={big} /> : null}
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
            mend === step.n ? (
              <Say tone="soft">{speech.clauses(speech.stepMends(step))}</Say>
            ) : (
              <Button kind="quiet" label={words('bench.mend')} onPress={() => setMend(step.n)} className="self-start" />
            )
          ) : null}
          <StepCaution step={step} />
        </View>
        {children}
      </View>
    </ScrollView>
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
