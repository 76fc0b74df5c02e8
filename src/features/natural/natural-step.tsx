import { useLocalSearchParams } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { GROWING_ON, stageRow } from '@/catalogue';
import type { Method, SexId, StageId } from '@/catalogue/ids';
import {
  dropAnswer,
  keepSecond,
  letLead,
  nameMatch,
  setSample,
  setStage,
  typeMeasure,
  type AnswerRecord,
  type MatchRecord,
  type SampleRecord,
} from '@/records';
import { useAct, useAfterwards, type Answered } from '@/state';
import { KeyPanel, WaterChips } from '@/features/key';
import { WriteMatch } from '@/features/matches';
import { KeptPhotos } from '@/features/photo';
import { CautionOfTheDay, Measured, useSpeech, useWords } from '@/features/shell';
import { Button, Chips, Field, Heading, Say, Toggle } from '@/ui/primitives';
import { Colours } from './colours';
import { BellyInWords } from '@/features/colour-words';
import { Growing } from './growing';
import { Lengths, MeasureField } from './lengths';
import { RoughLength } from './rough-length';
import { StagePicker } from '@/features/stage';

interface NaturalStepProps {
  matchId: string;
  match: MatchRecord;
  sample: SampleRecord;
  answered: Answered;
}

/** The natural: stage, lengths, colours, and what the water was. */
export function NaturalStep({ matchId, match, sample, answered }: NaturalStepProps) {
  const words = useWords();
  const speech = useSpeech();
  const { ids } = speech;
  const act = useAct();
  const leading = match.answers.find((item) => item.id === match.leading)!;
  const { sampleId } = match;
  const stage = leading.stage ?? null;
  // The key is open while no stage is known or when a link asks for it; else one tap away.
  const { key } = useLocalSearchParams<{ key?: string }>();
  const [asking, setAsking] = useState(stage === null || key === 'open');
  const length = answered.status === 'answered' ? answered.answer.natural.length : null;
  // The field that is typed in and the answer come first; what else is told of the sample follows.
  const calm = useAfterwards(sample);
  const calmLength = useAfterwards(length);
  const named = (kind: 'waters' | 'methods' | 'surfaces' | 'sexes') =>
    ids[kind].map((item) => ({ id: item.id, label: speech.name(kind, item.id) }));
  return (
    <View className="gap-8 px-5 py-4">
      <View className="gap-3">
        <KeptPhotos sampleId={match.sampleId} sample={calm} stage={stage} />
        <View className="flex-row items-center justify-between gap-3">
          <Heading>{words('key.title')}</Heading>
          <Button
            kind="quiet"
            tall
            className="-mr-4"
            label={words(asking ? 'key.close' : 'key.open')}
            onPress={() => setAsking(!asking)}
          />
        </View>
        <CautionOfTheDay ids={['taking-insects', 'wading']} />
        {asking ? <KeyPanel matchId={matchId} match={match} sample={calm} /> : null}
      </View>
      <StagePicker value={stage} onChange={(id) => act(setStage, { matchId, answerId: leading.id, stage: id })} />
      <Second matchId={matchId} match={match} leading={leading} />
      <View className="gap-3">
        <Heading>{words('natural.lengths')}</Heading>
        <Lengths sampleId={match.sampleId} sample={sample} outliers={length?.outliers ?? []} />
        <RoughLength sampleId={match.sampleId} sample={sample} stage={stage} chips={!asking} />
        {length && answered.status === 'answered' ? (
          <View className="gap-1">
            <Measured
              what={words('natural.lengths')}
              quantity={{ value: length.meanMm, sd: length.seMm, source: answered.answer.natural.lengthSource }}
              size="title"
              strong
              showSd
            />
            {length.n > 1 ? (
              <Say size="small" tone="soft">
                {words('natural.ci', { low: speech.length(length.ci95Mm[0]), high: speech.length(length.ci95Mm[1]) })}
              </Say>
            ) : null}
            {answered.old ? (
              <Say size="small" tone="straw">
                {words('natural.old')}
              </Say>
            ) : null}
          </View>
        ) : null}
        {stage === 'caddis/cased-larva' ? (
          <MeasureField
            label={words('natural.case')}
            measure={sample.case}
            onMeasure={(measure) => act(typeMeasure, { sampleId, of: 'case', measure })}
          />
        ) : null}
        {stage && stageRow(stage).traits.includes('overall') ? (
          <MeasureField
            label={words('natural.overall')}
            measure={sample.overall}
            onMeasure={(measure) => act(typeMeasure, { sampleId, of: 'overall', measure })}
          />
        ) : null}
        {stage && GROWING_ON.preserved.stages.includes(stage) ? (
          <View className="gap-1">
            <Toggle
              label={words('natural.preserved')}
              on={sample.preserved}
              onChange={(on) => act(setSample, { sampleId, preserved: on })}
            />
            {sample.preserved ? (
              <Say size="small" tone="soft">
                {words('natural.preserved-hint', { percent: Math.round(100 * GROWING_ON.preserved.shrinks) })}
              </Say>
            ) : null}
          </View>
        ) : null}
        <Say size="small" tone="soft">
          {words('natural.method')}
        </Say>
        <Chips
          compact
          label={words('natural.method')}
          choices={named('methods')}
          value={sample.method}
          onChange={(id) => act(setSample, { sampleId, method: id as Method })}
        />
      </View>
      {stage && calmLength ? (
        <Growing match={match} matchId={matchId} sample={calm} stage={stage} length={calmLength} />
      ) : null}
      <View className="gap-3">
        <Heading>{words('natural.colours')}</Heading>
        <Chips
          label={words('natural.surface')}
          choices={named('surfaces')}
          value={sample.surface}
          onChange={(id) => act(setSample, { sampleId, surface: id as 'dry' | 'wet' })}
        />
        <Colours
          sampleId={match.sampleId}
          colours={sample.colours}
          unread={sample.unread}
          surface={sample.surface}
          stage={stage}
        />
        {asking ? null : <BellyInWords sampleId={match.sampleId} colours={sample.colours} shades={sample.shades} />}
      </View>
      <View className="gap-3">
        <Heading>{words('natural.water')}</Heading>
        {asking ? null : <WaterChips sampleId={match.sampleId} sample={sample} />}
        <Say size="small" tone="soft">
          {words('natural.sex')}
        </Say>
        <Chips
          compact
          label={words('natural.sex')}
          choices={[{ id: 'none', label: words('natural.sex-none') }, ...named('sexes')]}
          value={sample.sex ?? 'none'}
          onChange={(id) => act(setSample, { sampleId, sex: id === 'none' ? null : (id as SexId) })}
        />
        <Field
          label={words('natural.name')}
          value={match.title}
          onType={(title) => act(nameMatch, { matchId, title })}
        />
        <Field
          label={words('natural.place')}
          value={sample.place}
          onType={(place) => act(setSample, { sampleId, place })}
        />
      </View>
      <WriteMatch matchId={matchId} />
    </View>
  );
}

/** A second stage kept beside the first while the tier is not sure. */
function Second({ matchId, match, leading }: { matchId: string; match: MatchRecord; leading: AnswerRecord }) {
  const words = useWords();
  const speech = useSpeech();
  const act = useAct();
  const [open, setOpen] = useState(false);
  const others = match.answers.filter((item) => item.id !== leading.id);
  if (!leading.stage) return null;
  if (others.length === 0) {
    return open ? (
      <View className="gap-3 border-l-4 border-river pl-4">
        <StagePicker
          value={null}
          onChange={(stage: StageId) => {
            act(keepSecond, { matchId, stage });
            setOpen(false);
          }}
        />
      </View>
    ) : (
      <Button kind="quiet" label={words('natural.second')} onPress={() => setOpen(true)} className="self-start" />
    );
  }
  return (
    <View className="gap-2">
      <Say size="small" tone="soft">
        {words('natural.two')}
      </Say>
      <View className="flex-row flex-wrap gap-2">
        {others.map((item) => {
          const stage = item.stage ? speech.plain('stages', item.stage) : '';
          return (
            <View key={item.id} className="flex-row flex-wrap gap-2">
              <Button
                label={words('natural.lead', { stage })}
                onPress={() => act(letLead, { matchId, answerId: item.id })}
              />
              <Button
                kind="quiet"
                label={words('natural.second-drop', { stage })}
                onPress={() => act(dropAnswer, { matchId, answerId: item.id })}
              />
            </View>
          );
        })}
      </View>
    </View>
  );
}
