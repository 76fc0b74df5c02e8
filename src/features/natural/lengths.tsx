import { useState } from 'react';
import { View } from 'react-native';
import Minus from 'lucide-react-native/icons/minus';
import Plus from 'lucide-react-native/icons/plus';
import X from 'lucide-react-native/icons/x';
import { methodHalfWidth, bimodality } from '@/core/naturals';
import { formatLength, parseLength } from '@/core/units';
import type { Coded } from '@/core/code';
import { counts } from '@/core/case';
import { Z95 } from '@/core/constants';
import {
  addSpecimen,
  dropSpecimen,
  hasDemo,
  nudgeSpecimen,
  setSpecimen,
  tellSexesApart,
  typeMeasure,
  type Measure,
  type SampleRecord,
} from '@/records';
import { useAct, useApp } from '@/state';
import { DemoCalliper } from '@/features/demo';
import { useSpeech, useWords } from '@/features/shell';
import { Button, Choose, Field, IconButton, Say, Toggle } from '@/ui/primitives';

function readMeasure(text: string, inches: boolean, before: number | null): Measure {
  if (text.trim() === '') return { mm: null, typed: null };
  const parsed = parseLength(text, inches ? 'in' : 'mm');
  return parsed.ok ? { mm: parsed.mm, typed: null } : { mm: before, typed: text };
}

/** What is wrong with a measure as it was typed; null when it could be read. */
function measureFault(measure: Measure, inches: boolean): Coded | null {
  if (measure.typed === null || measure.typed === undefined) return null;
  const parsed = parseLength(measure.typed, inches ? 'in' : 'mm');
  return parsed.ok ? null : parsed.fault;
}

interface MeasureFieldProps {
  label: string;
  measure: Measure;
  onMeasure: (measure: Measure) => void;
  onEnter?: () => void;
  big?: boolean;
  hideLabel?: boolean;
  autoFocus?: boolean;
  hint?: string;
}

/** One length: typed in the reader's unit, kept as typed while it cannot be read. */
export function MeasureField({
  label,
  measure,
  onMeasure,
  onEnter,
  big,
  hideLabel,
  autoFocus,
  hint,
}: MeasureFieldProps) {
  const speech = useSpeech();
  const inches = speech.unit !== 'mm';
  const fault = measureFault(measure, inches);
  const text = measure.mm === null || measure.mm === undefined ? null : formatLength(measure.mm, speech.unit);
  // Two decimals of a calliper are kept at rest.
  const shown =
    text === null
      ? ''
      : speech.unit === 'mm'
        ? String(Number(measure.mm!.toFixed(2)))
        : `${text.digits}${speech.unit === 'in-fraction' ? '"' : ''}`;
  return (
    <Field
      label={label}
      hideLabel={hideLabel}
      numeric
      big={big}
      autoFocus={autoFocus}
      hint={hint}
      unit={inches ? speech.t('unit.in') : speech.t('unit.mm')}
      value={measure.typed ?? shown}
      error={fault ? speech.say(fault, 'fault') : null}
      onEnter={onEnter}
      onType={(typed) => onMeasure(readMeasure(typed, inches, measure.mm ?? null))}
    />
  );
}

const NUDGE_MM = 0.1;

/** Body lengths of one or several individuals: field, nudges of 0.1, and a calliper that types value, Enter, next one. */
export function Lengths({
  sampleId,
  sample,
  outliers,
}: {
  sampleId: string;
  sample: SampleRecord;
  outliers: readonly number[];
}) {
  const words = useWords();
  const speech = useSpeech();
  const act = useAct();
  const demo = useApp((state) => hasDemo(state.records.entities));
  const [leaving, setLeaving] = useState(false);
  const [fresh, setFresh] = useState<string | null>(null);
  const add = () => setFresh(act(addSpecimen, { sampleId }));
  const nudge = (specimenId: string, byMm: number) => act(nudgeSpecimen, { sampleId, specimenId, byMm });
  const sexes = sample.specimens.some((item) => item.sex !== null);
  const onEnter = (index: number) => {
    if (index === sample.specimens.length - 1) add();
  };
  return (
    <View className="gap-3">
      <Say size="small" tone="soft">
        {words('natural.from-front')}
      </Say>
      {sample.specimens.map((specimen, index) => {
        const n = index + 1;
        const measured =
          sample.specimens.slice(0, n).filter((item) => item.body.mm !== null && counts(sample, item)).length - 1;
        const far = specimen.body.mm !== null && counts(sample, specimen) && outliers.includes(measured);
        return (
          <View key={specimen.id} className="gap-1">
            <View className="flex-row items-start gap-2">
              <MeasureField
                label={words('natural.length-n', { n })}
                hideLabel
                big
                measure={specimen.body}
                onMeasure={(measure) => act(typeMeasure, { sampleId, of: { specimenId: specimen.id }, measure })}
                onEnter={() => onEnter(index)}
                autoFocus={fresh === specimen.id}
              />
              <IconButton
                edged
                icon={Minus}
                label={words('natural.down', { n })}
                onPress={() => nudge(specimen.id, -NUDGE_MM)}
              />
              <IconButton
                edged
                icon={Plus}
                label={words('natural.up', { n })}
                onPress={() => nudge(specimen.id, NUDGE_MM)}
              />
              <IconButton
                icon={X}
                tone="soft"
                label={words('natural.remove', { n })}
                onPress={() => act(dropSpecimen, { sampleId, specimenId: specimen.id })}
              />
            </View>
            <Apart
              specimen={specimen}
              n={n}
              sexes={sexes}
              asking={leaving}
              set={(more) => act(setSpecimen, { sampleId, specimenId: specimen.id, ...more })}
            />
            {far ? (
              <Say size="small" tone="straw">
                {words('natural.outlier')}
              </Say>
            ) : null}
          </View>
        );
      })}
      <BimodalOffer sampleId={sampleId} sample={sample} />
      <View className="flex-row flex-wrap items-center gap-3">
        <Button
          label={sample.specimens.length === 0 ? speech.t('ui.step.give-length') : words('natural.add')}
          onPress={add}
        />
        {sample.specimens.length > 1 ? (
          <Toggle label={words('natural.leave-out')} on={leaving} onChange={setLeaving} />
        ) : null}
      </View>
      <Say size="small" tone="soft">
        {words('natural.calliper')}
      </Say>
      {demo ? (
        <DemoCalliper
          aroundMm={sample.specimens.find((item) => item.body.mm !== null)?.body.mm ?? 8}
          next={() => {
            const last = sample.specimens[sample.specimens.length - 1];
            if (!last || last.body.mm !== null) add();
            return words('natural.length-n', { n: sample.specimens.length + (!last || last.body.mm !== null ? 1 : 0) });
          }}
        />
      ) : null}
    </View>
  );
}

const REASONS = ['damaged', 'other-kind', 'misread'] as const;

/** What sets one insect apart: its sex where sexes are told, and why it is left out of the mean. */
function Apart({
  specimen,
  n,
  sexes,
  asking,
  set,
}: {
  specimen: SampleRecord['specimens'][number];
  n: number;
  sexes: boolean;
  asking: boolean;
  set: (more: Partial<SampleRecord['specimens'][number]>) => void;
}) {
  const words = useWords();
  const speech = useSpeech();
  if (specimen.out !== null && specimen.out !== undefined) {
    return (
      <View className="flex-row items-center justify-between gap-3">
        <Say size="small" tone="straw" className="min-w-0 flex-1">
          {words('natural.out', { why: words(`natural.out-why.${specimen.out}`) })}
        </Say>
        <Button
          kind="quiet"
          label={words('natural.count-again')}
          spoken={words('natural.count-again-n', { n })}
          onPress={() => set({ out: null })}
        />
      </View>
    );
  }
  if (specimen.body.mm === null) return null;
  if (!sexes && !asking) return null;
  return (
    <View className="gap-2">
      {sexes ? (
        <Choose
          label={words('natural.sex-n', { n })}
          choices={SEXES.map((id) => ({ id, label: speech.name('sexes', id) }))}
          value={specimen.sex ?? null}
          onChange={(sex) => set({ sex })}
        />
      ) : null}
      {asking ? (
        <Choose
          label={words('natural.leave-out-why', { n })}
          choices={REASONS.map((id) => ({ id, label: words(`natural.out-why.${id}`) }))}
          value={null}
          onChange={(out) => set({ out })}
        />
      ) : null}
    </View>
  );
}

const SEXES = ['female', 'male'] as const;

/** Two heaps of lengths: an offer to tell males and females apart, and a choice of whom to match once they are. */
function BimodalOffer({ sampleId, sample }: { sampleId: string; sample: SampleRecord }) {
  const words = useWords();
  const speech = useSpeech();
  const act = useAct();
  const order = useApp(
    (state) =>
      Object.values(state.records.entities.match)
        .find((match) => match.sampleId === sampleId)
        ?.answers[0]?.stage?.split('/')[0] ?? 'mayfly',
  );
  const all = sample.specimens.filter((item) => item.body.mm !== null && item.out === null);
  if (all.some((item) => item.sex !== null)) return null;
  const heaps = bimodality(
    all.map((item) => item.body.mm!),
    methodHalfWidth(sample.method, all[0]?.body.mm ?? 0) / Z95,
  );
  if (!heaps) return null;
  const apart = () =>
    act(tellSexesApart, {
      sampleId,
      among: all.map((item) => item.id),
      longer: heaps.longer.map((index) => all[index]!.id),
      order,
    });
  return (
    <View className="gap-2 border-l-4 border-river pl-3">
      <Say size="small">
        {words('natural.two-heaps', {
          short: speech.length(heaps.shorterMm),
          shorter: heaps.shorter.length,
          long: speech.length(heaps.longerMm),
          longer: heaps.longer.length,
        })}
      </Say>
      <Button label={words('natural.tell-apart')} onPress={apart} className="self-start" />
    </View>
  );
}
