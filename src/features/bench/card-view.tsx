import { View } from 'react-native';
import { NUMBER_STEP, SD_STEPS } from '@/core/constants';
import type { Card, CardPart, CardStep } from '@/core/tying';
import type { Quantity } from '@/core/quantity';
import { Measured, useRedLamp, useSpeech, useWords } from '@/features/shell';
import { amountLines, cardFacts, partColourLine, partCount } from '@/speech/card';
import { Digits, Fold, Heading, Say } from '@/ui/primitives';
import { AimLine } from './aim-line';

/** A part's length as a quantity: as sure as the hook it is a share of. */
export function partQuantity(card: Card, mm: number): Quantity {
  const about = card.hook.estimated.includes('shank_mm');
  return {
    value: mm,
    sd: mm * NUMBER_STEP * (about ? SD_STEPS.about : SD_STEPS.known),
    source: about ? 'model' : 'measured',
  };
}

/** A part's colour: a swatch dry and one wet, and its name. Under the red lamp the name alone. */
function PartColour({ part }: { part: CardPart }) {
  const speech = useSpeech();
  const red = useRedLamp();
  const line = partColourLine(part, speech);
  if (line === null || !part.colour) return null;
  return (
    <View className="flex-row items-center gap-2">
      {red ? null : (
        <View className="flex-row overflow-hidden rounded-control border border-line">
          <View className="h-4 w-4" style={{ backgroundColor: part.colour.hex }} />
          {part.colour.wet ? <View className="h-4 w-4" style={{ backgroundColor: part.colour.wet.hex }} /> : null}
        </View>
      )}
      <Say size="small" tone="soft" className="min-w-0 flex-1">
        {line}
      </Say>
    </View>
  );
}

/** Every part in millimetres, with its range, rule and colour. */
export function CardParts({ card }: { card: Card }) {
  const words = useWords();
  const speech = useSpeech();
  const rule = (base: string, factor: number | null) => {
    const name = base.startsWith('part:')
      ? speech.plain('parts', base.slice(5))
      : base.startsWith('landmark:')
        ? speech.plain('bases', 'landmark')
        : speech.plain('bases', base);
    return factor === null || base === 'rest'
      ? name
      : words('dressing.rule', { factor: speech.number(factor, 2).replace(/0$/, ''), base: name });
  };
  return (
    <View role="table" aria-label={words('dressing.parts')} className="border-t border-line">
      {card.parts.map((part) => (
        <View
          key={part.id}
          role="row"
          className="flex-row items-center justify-between gap-3 border-b border-line px-5 py-2"
        >
          <View role="cell" className="min-w-0 flex-1">
            <Say weight="medium">
              {[speech.name('parts', part.part), part.mm === null ? null : partCount(part, speech)]
                .filter(Boolean)
                .join(' ')}
            </Say>
            <Say size="small" tone="soft">
              {speech.beside([
                part.material?.name,
                rule(part.base, part.factor),
                part.optional ? words('dressing.optional') : null,
              ])}
            </Say>
            <PartColour part={part} />
            {amountLines(part, speech).map((line) => (
              <Say key={line} size="small">
                {line}
              </Say>
            ))}
            {part.mm === null ? null : <AimLine kind={part.part} mm={part.mm} />}
          </View>
          <View role="cell" className="items-end">
            {part.mm === null ? (
              <Digits size="lead">{partCount(part, speech) ?? ''}</Digits>
            ) : (
              <Measured
                what={speech.name('parts', part.part)}
                quantity={partQuantity(card, part.mm)}
                size="lead"
                strong
              />
            )}
            {part.range_mm && speech.length(part.range_mm[0]) !== speech.length(part.range_mm[1]) ? (
              <Say size="small" tone="soft">
                {words('dressing.range', {
                  low: speech.length(part.range_mm[0]),
                  high: speech.length(part.range_mm[1]),
                })}
              </Say>
            ) : null}
          </View>
        </View>
      ))}
    </View>
  );
}

/** What to look at before the next step, when there is something to look at. */
export function StepCheck({ step, size = 'small' }: { step: CardStep; size?: 'small' | 'lead' }) {
  const speech = useSpeech();
  const words = useWords();
  const check = speech.stepCheck(step);
  if (!check) return null;
  return (
    <Say size={size}>
      <Say size={size} tone="sedge" weight="strong">
        {`${words('bench.look')} `}
      </Say>
      {check}
    </Say>
  );
}

/** The caution of a step, beside it, every time. */
export function StepCaution({ step }: { step: CardStep }) {
  const speech = useSpeech();
  const words = useWords();
  if (!step.caution) return null;
  return (
    <View className="border-l-4 border-straw pl-3">
      <Say size="small" tone="straw" weight="medium">
        {words('bench.care')}
      </Say>
      <Say size="small">{speech.caution(step.caution)}</Say>
    </View>
  );
}

/** That a step has a caution which stands in full above. */
function StepCare({ step }: { step: CardStep }) {
  const speech = useSpeech();
  const words = useWords();
  if (!step.caution) return null;
  return (
    <Say size="small" tone="straw" weight="medium">
      {words('bench.care-mark', { what: speech.plain('cautions', step.caution) })}
    </Say>
  );
}

/** What is made beforehand, each with its own steps. */
export function CardAssemblies({ card }: { card: Card }) {
  const words = useWords();
  const speech = useSpeech();
  return card.assemblies.map((assembly) => (
    <View key={assembly.id}>
      <Heading className="px-5">{words('bench.assembly', { name: speech.worded(assembly.name) })}</Heading>
      <Say size="small" tone="soft" className="px-5 pb-2">
        {words('bench.assembly-count', { count: assembly.count, spare: assembly.spare })}
      </Say>
      <StepList steps={assembly.steps} />
    </View>
  ));
}

/** The steps of a card in order; `cautionsTold` where its cautions stand in full on the same page. */
export function CardSteps({ card, cautionsTold = false }: { card: Card; cautionsTold?: boolean }) {
  return <StepList steps={card.steps} cautionsTold={cautionsTold} />;
}

/** The cautions of a card's steps, each once: named in a line, in full when it is opened. */
export function CardCautions({ card }: { card: Card }) {
  const words = useWords();
  const speech = useSpeech();
  const ids = [
    ...new Set(
      [...card.assemblies.flatMap(({ steps }) => steps), ...card.steps].flatMap(({ caution }) => caution ?? []),
    ),
  ];
  if (ids.length === 0) return null;
  return (
    <Fold
      wide
      title={words('bench.care')}
      line={words('bench.care-line', {
        what: speech.list(ids.map((id) => speech.name('cautions', id))),
        ending: speech.t('caution.ending'),
      })}
    >
      {ids.map((id) => (
        <View key={id} className="border-l-4 border-straw pl-3">
          <Say size="small">{speech.caution(id)}</Say>
        </View>
      ))}
    </Fold>
  );
}

/** Steps in order: what, where, the check, the mend, the caution. */
function StepList({ steps, cautionsTold = false }: { steps: readonly CardStep[]; cautionsTold?: boolean }) {
  const words = useWords();
  const speech = useSpeech();
  return (
    <View role="list" className="border-t border-line">
      {steps.map((step) => (
        <View key={step.n} role="listitem" className="flex-row gap-4 border-b border-line px-5 py-3">
          <View className="w-8">
            <Digits size="lead" tone="soft">
              {String(step.n)}
            </Digits>
          </View>
          <View className="min-w-0 flex-1 gap-1">
            <Say weight="strong">{speech.stepTitle(step)}</Say>
            <Say size="small" tone="soft">
              {speech.beside([
                step.mm !== null && speech.showsLength(step) ? speech.length(step.mm) : null,
                ...speech.stepDetail(step),
                step.reversible ? null : speech.t('step.cannot-undo'),
              ])}
            </Say>
            <StepCheck step={step} />
            {step.mend.length > 0 ? (
              <Say size="small" tone="soft">
                {speech.pair(words('bench.mend'), speech.clauses(speech.stepMends(step)))}
              </Say>
            ) : null}
            {cautionsTold ? <StepCare step={step} /> : <StepCaution step={step} />}
          </View>
        </View>
      ))}
    </View>
  );
}

/** Thread, weight, rib, hackle, stations and what is seen: the small print of a card. */
export function CardExtras({ card }: { card: Card }) {
  const words = useWords();
  const speech = useSpeech();
  const marks = card.landmarks
    .filter((mark) => mark.id !== 'behind-eye' && (mark.id !== 'behind-bead' || mark.mm > 0))
    .map((mark) => `${speech.name('landmarks', mark.id)} ${speech.length(mark.mm)}`);
  const groups: [string, string[]][] = [
    ...cardFacts(card, speech).map(({ title, lines }): [string, string[]] => [title, lines]),
    [words('bench.landmarks'), marks],
  ];
  return (
    <View className="gap-4 px-5">
      {groups
        .filter(([, lines]) => lines.length > 0)
        .map(([title, lines]) => (
          <View key={title} className="gap-1">
            <Heading level={3} size="small">
              {title}
            </Heading>
            {lines.map((line) => (
              <Say key={line} size="small" tone="soft">
                {line}
              </Say>
            ))}
          </View>
        ))}
    </View>
  );
}
