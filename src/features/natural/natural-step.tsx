import { createSelector } from '@reduxjs/toolkit';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { useEffect, useRef, useState } from 'react';
import { View } from 'react-native';
import { GROWING_ON, stageRow } from '@/catalogue';
import type { Method, SexId, StageId } from '@/catalogue/ids';
import {
  deleteMatch,
  dropAnswer,
  keepSecond,
  letLead,
  nameMatch,
  setSample,
  setStage,
  typeMeasure,
  type AnswerRecord,
  type MatchRecord,
  termName,
  type SampleRecord,
} from '@/records';
import { labOfHex, shadeOf } from '@/core/colour';
import { useAct, useAfterwards, useApp, type State } from '@/state';
import { type Answered } from '@/state/answering';
import { KeyPanel, WaterChips } from '@/features/key';
import { lengthDetail, WriteMatch } from '@/features/matches';
import { KeptPhotos } from '@/features/photo/screens';
import { CautionOfTheDay, Measured, useSpeech, useWords } from '@/features/shell';
import { Button, Choose, Field, Fold, Pick, Say, Toggle, When, WordLink } from '@/ui/primitives';
import { Colours, hexOf, regionsOf } from './colours';
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

type Part = 'kind' | 'length' | 'colours' | 'growing' | 'about';

/** Which parts of the natural are open: at first those that the answer waits for; the kind closes to its line once it is given. */
function useParts(stage: StageId | null, measured: boolean, keyAsked: boolean) {
  const [open, setOpen] = useState<Readonly<Partial<Record<Part, boolean>>>>({
    kind: stage === null || keyAsked,
    length: stage !== null && !measured,
  });
  const kind = useRef<View>(null);
  const [given, setGiven] = useState(0);
  // What was pressed goes away with its part: who went there by keyboard goes on from its line.
  useEffect(() => {
    if (given > 0 && document.activeElement === document.body) (kind.current as unknown as HTMLElement | null)?.focus();
  }, [given]);
  return {
    of: (part: Part) => ({
      open: open[part] ?? false,
      onToggle: (on: boolean) => setOpen({ ...open, [part]: on }),
      ...(part === 'kind' ? { own: kind } : {}),
    }),
    kindGiven: () => {
      setOpen({ ...open, kind: false, length: open.length || !measured });
      setGiven(given + 1);
    },
  };
}

/** The natural, each part a line once it is given: kind, length, colours, what it becomes, and where it was taken. */
export function NaturalStep({ matchId, match, sample, answered }: NaturalStepProps) {
  const words = useWords();
  const speech = useSpeech();
  const act = useAct();
  const leading = match.answers.find((item) => item.id === match.leading)!;
  const stage = leading.stage ?? null;
  const { key } = useLocalSearchParams<{ key?: string }>();
  const length = answered.status === 'answered' ? answered.answer.natural.length : null;
  const measured = length !== null || sample.specimens.length > 0 || sample.rough !== null;
  const parts = useParts(stage, measured && !sample.specimens.some(({ body }) => body.typed !== null), key === 'open');
  // The field that is typed in and the answer come first; what else is told of the sample follows.
  const calm = useAfterwards(sample);
  const calmLength = useAfterwards(length);
  const take = (id: StageId) => {
    act(setStage, { matchId, answerId: leading.id, stage: id });
    parts.kindGiven();
  };
  const kept = match.answers.flatMap((item) => (item.stage ? [speech.name('stages', item.stage)] : []));
  const { water, place } = sample;
  return (
    <View>
      <View className="gap-3 px-5 pb-4 pt-2">
        <KeptPhotos sampleId={match.sampleId} sample={calm} stage={stage} />
        <CautionOfTheDay ids={['taking-insects', 'wading']} />
      </View>
      <Fold
        wide
        title={words('key.title')}
        line={kept.length > 0 ? speech.list(kept) : words('natural.kind-none')}
        {...parts.of('kind')}
      >
        <Kind matchId={matchId} match={match} sample={calm} leading={leading} onTake={take} />
      </Fold>
      <Fold
        wide
        title={words('natural.lengths')}
        line={lengthLine(answered, sample, speech, words)}
        {...parts.of('length')}
      >
        <LengthPart sampleId={match.sampleId} sample={sample} stage={stage} answered={answered} />
      </Fold>
      <Fold
        wide
        title={words('natural.colours')}
        line={coloursLine(calm, stage, speech, words)}
        {...parts.of('colours')}
      >
        <ColoursPart sampleId={match.sampleId} sample={calm} stage={stage} />
      </Fold>
      {stage && calmLength ? (
        <Growing
          match={match}
          matchId={matchId}
          sample={calm}
          stage={stage}
          length={calmLength}
          {...parts.of('growing')}
        />
      ) : null}
      <Fold
        wide
        title={words('natural.about-it')}
        line={speech.beside([match.title, place, water && speech.name('waters', water)]) || words('natural.about-none')}
        {...parts.of('about')}
      >
        <AboutPart matchId={matchId} match={match} sample={sample} />
        <FromOuting sample={calm} />
      </Fold>
      <Elsewhere extra={calm.extra} />
    </View>
  );
}

/** The outing a natural was found on, as a link; nothing where it was on none. */
function FromOuting({ sample: { outingId } }: { sample: SampleRecord }) {
  const words = useWords();
  const speech = useSpeech();
  const outing = useApp((state) => (outingId ? state.records.entities.outing[outingId] : undefined));
  const water = useApp((state) => (outing?.waterId ? state.records.entities.water[outing.waterId] : undefined));
  if (!outingId || !outing) return null;
  return (
    <WordLink to={{ pathname: '/out/[id]', params: { id: outingId } }}>
      {words('natural.on-outing', {
        water: water?.name ?? words('out.somewhere'),
        day: speech.day(outing.start, true),
      })}
    </WordLink>
  );
}

/** What another program says of it, by its own terms; nothing where none does. */
function Elsewhere({ extra }: Pick<SampleRecord, 'extra'>) {
  const words = useWords();
  const said = Object.entries(extra);
  if (said.length === 0) return null;
  return (
    <Fold wide title={words('natural.elsewhere')} line={words('natural.elsewhere-line', { count: said.length })}>
      <View className="gap-2 px-5 pb-4">
        {said.map(([term, value]) => (
          <View key={term}>
            <Say size="small" tone="soft">
              {termName(term)}
            </Say>
            <Say>{value}</Say>
          </View>
        ))}
      </View>
    </Fold>
  );
}

/** The length in a line: its mean and how it was had. */
function lengthLine(
  answered: Answered,
  sample: SampleRecord,
  speech: ReturnType<typeof useSpeech>,
  words: Words,
): string {
  if (answered.status === 'answered') return lengthDetail(answered.answer, speech, words);
  const { rough } = sample;
  return rough
    ? words('rough.about', { mm: `${speech.length(rough.mm)} ± ${speech.spread(rough.halfMm)}` })
    : words('natural.length-none');
}

/** The colours that are known, each region with its word. */
function coloursLine(
  sample: SampleRecord,
  stage: StageId | null,
  speech: ReturnType<typeof useSpeech>,
  words: Words,
): string {
  const known = regionsOf(sample, stage).flatMap((region) => {
    const hex = hexOf(sample, region);
    return hex
      ? [
          words('natural.colour-line', {
            region: speech.plain('regions', region),
            shade: speech.shade(shadeOf(labOfHex(hex))),
          }),
        ]
      : [];
  });
  return known.length > 0 ? speech.list(known.slice(0, COLOURS_SAID)) : words('natural.colours-none');
}

const COLOURS_SAID = 3;
type Words = ReturnType<typeof useWords>;

/** What it is: the signs that tell it, or order and stage for who knows. */
function Kind({
  matchId,
  match,
  sample,
  leading,
  onTake,
}: Pick<NaturalStepProps, 'matchId' | 'match' | 'sample'> & {
  leading: AnswerRecord;
  onTake: (stage: StageId) => void;
}) {
  const words = useWords();
  const { key } = useLocalSearchParams<{ key?: string }>();
  const stage = leading.stage ?? null;
  // The key is open while no stage is known or when a link asks for it; else one tap away.
  const [asking, setAsking] = useState(stage === null || key === 'open');
  return (
    <>
      {stage === null ? null : (
        <Button
          kind="quiet"
          tall
          className="-ml-4 self-start"
          label={words(asking ? 'key.close' : 'key.open')}
          onPress={() => setAsking(!asking)}
        />
      )}
      {asking || stage === null ? <KeyPanel matchId={matchId} match={match} sample={sample} onTake={onTake} /> : null}
      <StagePicker value={stage} onChange={onTake} />
      <Second matchId={matchId} match={match} leading={leading} />
    </>
  );
}

/** Lengths as they are measured, by eye or by fingers, and what they come to. */
function LengthPart({
  sampleId,
  sample,
  stage,
  answered,
}: Pick<NaturalStepProps, 'sample' | 'answered'> & { sampleId: string; stage: StageId | null }) {
  const words = useWords();
  const speech = useSpeech();
  const act = useAct();
  const length = answered.status === 'answered' ? answered.answer.natural.length : null;
  return (
    <>
      <Lengths sampleId={sampleId} sample={sample} outliers={length?.outliers ?? []} />
      <RoughLength sampleId={sampleId} sample={sample} stage={stage} chips />
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
      <WholeLengths sampleId={sampleId} sample={sample} stage={stage} />
      <View className="flex-row">
        <Pick
          label={words('natural.method')}
          choices={speech.ids.methods.map((item) => ({ id: item.id, label: speech.name('methods', item.id) }))}
          value={sample.method}
          onChange={(id) => act(setSample, { sampleId, method: id as Method })}
        />
      </View>
    </>
  );
}

/** Lengths that some stages are told by: of the case, with the wings, and what spirit took. */
function WholeLengths({ sampleId, sample, stage }: { sampleId: string; sample: SampleRecord; stage: StageId | null }) {
  const words = useWords();
  const act = useAct();
  return (
    <>
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
    </>
  );
}

/** Colours by region, and whether they were seen dry or wet. */
function ColoursPart({ sampleId, sample, stage }: { sampleId: string; sample: SampleRecord; stage: StageId | null }) {
  const words = useWords();
  const speech = useSpeech();
  const act = useAct();
  return (
    <>
      <Say size="small" tone="soft">
        {words('natural.surface')}
      </Say>
      <Choose
        label={words('natural.surface')}
        choices={speech.ids.surfaces.map((item) => ({ id: item.id, label: speech.name('surfaces', item.id) }))}
        value={sample.surface}
        onChange={(id) => act(setSample, { sampleId, surface: id as 'dry' | 'wet' })}
      />
      <Colours
        sampleId={sampleId}
        colours={sample.colours}
        shades={sample.shades}
        unread={sample.unread}
        surface={sample.surface}
        stage={stage}
      />
    </>
  );
}

function DeleteMatch({ matchId }: { matchId: string }) {
  const words = useWords();
  const router = useRouter();
  const act = useAct();
  return (
    <Button
      kind="quiet"
      label={words('matches.delete')}
      className="-ml-4 self-start"
      onPress={() => {
        router.navigate('/matches');
        act(deleteMatch, { matchId });
      }}
    />
  );
}

const selectPlaces = createSelector([(state: State) => state.records.entities.sample], (samples) =>
  [...new Set(Object.values(samples).flatMap(({ place }) => place.trim() || []))].sort((a, b) => a.localeCompare(b)),
);

/** Where it was taken: typed, or one of the waters from before. */
function PlaceField({ sampleId, place }: { sampleId: string; place: string }) {
  const words = useWords();
  const act = useAct();
  const before = useApp(selectPlaces).filter((name) => name !== place);
  const set = (next: string) => act(setSample, { sampleId, place: next });
  return (
    <View className="flex-row flex-wrap gap-3">
      <View className="min-w-[55%] flex-1">
        <Field label={words('natural.place')} value={place} onType={set} />
      </View>
      {before.length > 0 ? (
        <Pick
          label={words('natural.place-before')}
          none={words('natural.place-pick')}
          choices={before.map((name) => ({ id: name, label: name }))}
          value={null}
          onChange={(name) => (name === null ? undefined : set(name))}
        />
      ) : null}
    </View>
  );
}

/** Its name, where and in what water it was taken, its sex, and the file of all of it. */
function AboutPart({ matchId, match, sample }: Pick<NaturalStepProps, 'matchId' | 'match' | 'sample'>) {
  const words = useWords();
  const speech = useSpeech();
  const act = useAct();
  const { sampleId } = match;
  return (
    <>
      <Field label={words('natural.name')} value={match.title} onType={(title) => act(nameMatch, { matchId, title })} />
      <PlaceField sampleId={sampleId} place={sample.place} />
      <When label={words('natural.when')} value={sample.when} onChange={(when) => act(setSample, { sampleId, when })} />
      <Say size="small" tone="soft">
        {words('natural.water')}
      </Say>
      <WaterChips sampleId={sampleId} sample={sample} />
      <Say size="small" tone="soft">
        {words('natural.sex')}
      </Say>
      <Choose
        label={words('natural.sex')}
        choices={[
          { id: 'none', label: words('natural.sex-none') },
          ...speech.ids.sexes.map((item) => ({ id: item.id, label: speech.name('sexes', item.id) })),
        ]}
        value={sample.sex ?? 'none'}
        onChange={(id) => act(setSample, { sampleId, sex: id === 'none' ? null : (id as SexId) })}
      />
      <WriteMatch matchId={matchId} />
      <DeleteMatch matchId={matchId} />
    </>
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
            <View key={item.id} className="max-w-full flex-row flex-wrap gap-2">
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
