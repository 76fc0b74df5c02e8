import { useEffect, useMemo, useRef } from 'react';
import { View } from 'react-native';
import type { StageId } from '@/catalogue/ids';
import { ANSWERS } from '@/catalogue';
import likelihoods from '@/catalogue/likelihoods.json';
import {
  byGroup,
  byStage,
  lookalike,
  nextSign,
  weightsOfEvidence,
  SURE,
  type AskedId,
  type WeightOfEvidence,
} from '@/core/belief';
import { keepBoth, saySign, skipSign, takeBack, weighAgain, type MatchRecord, type SampleRecord } from '@/records';
import { useAct, useAfterwards, useApp, useLater } from '@/state';
import { selectBelief, selectKey } from '@/state/answering';
import { useSpeech, useThumb, useWords } from '@/features/shell';
import { Button, Heading, OneStop, Option, Say } from '@/ui/primitives';
import { AllSigns } from './all-signs';
import { Answers } from './answers';
import { LengthChips } from './length-chips';
import { Terms } from '@/features/glossary';
import { plainOdds } from './odds';
import { Said } from './said';

interface KeyPanelProps {
  matchId: string;
  match: MatchRecord;
  sample: SampleRecord;
  /** A stage was taken. */
  onTake: (stage: StageId) => void;
}

const SHOWN = 4;
const LEAST = 0.03;
/** Two stages nearer than this are offered side by side. */
const CLOSE = 0.3;
const GROUPS_SHOWN = 3;
const SPOKEN = 2;

/** Focus is put there, Tab does not stop at it. */
const FOCUSABLE = { tabIndex: -1 } as object;

/** Month and water alone are no insect yet. */
const saysOf = (heard: readonly WeightOfEvidence[]) => heard.some(({ sign }) => sign !== 'month' && sign !== 'water');

/** What the key makes of the signs; null until it has been weighed. */
function useWeighed(sampleId: string, skipped: readonly AskedId[]) {
  const believed = useAfterwards(useLater((state) => selectBelief(state, sampleId)));
  const theKey = useApp(selectKey);
  // What is typed may leave the belief as it was for a moment: nothing is weighed again until it changes.
  return useMemo(() => {
    if (!believed) return null;
    const { sighting, belief } = believed;
    const heard = weightsOfEvidence(theKey, sighting, belief);
    const like = saysOf(heard) ? lookalike(theKey, sighting, belief) : null;
    const likeStage = like && theKey.ids[like.stage];
    return {
      sighting,
      stages: byStage(theKey, belief)
        .filter(({ p }, index) => index === 0 || p >= LEAST)
        .slice(0, SHOWN),
      heard,
      next: nextSign(theKey, sighting, belief, skipped),
      like: like && likeStage ? { stage: likeStage, separateBy: like.separateBy } : null,
      groups: sighting.south || !saysOf(heard) ? [] : byGroup(theKey, belief, LEAST).slice(0, GROUPS_SHOWN),
    };
  }, [believed, skipped, theKey]);
}

type Weighed = NonNullable<ReturnType<typeof useWeighed>>;

/** The key: signs in any order, each may be unknown and every answer taken back; odds of the stages, and what to look at next. */
export function KeyPanel({ matchId, match, sample, onTake }: KeyPanelProps) {
  const words = useWords();
  const speech = useSpeech();
  const act = useAct();
  const { sampleId } = match;
  const skipped = sample.skipped as AskedId[];
  const weighed = useWeighed(sampleId, skipped);
  if (!weighed) return null;
  const { sighting, stages, heard, next, like, groups } = weighed;
  const measured = sample.specimens.some((specimen) => specimen.body.mm !== null);
  const say = (sign: AskedId, answer: string | null) => act(saySign, { sampleId, sign, answer });
  return (
    <View className="gap-5">
      <OddsSpoken stages={saysOf(heard) ? stages : []} />
      {saysOf(heard) ? <StageOdds matchId={matchId} match={match} stages={stages} onTake={onTake} /> : null}
      {like ? (
        <Say size="small" tone="soft">
          {words('key.lookalike', { stage: speech.plain('stages', like.stage), ask: speech.ask(like.separateBy) })}
        </Say>
      ) : null}
      {measured ? null : <LengthChips sampleId={sampleId} sample={sample} />}
      {next ? (
        <NextQuestion
          sign={next.sign}
          onSkip={() => act(skipSign, { sampleId, sign: next.sign })}
          onSay={(answer) => say(next.sign, answer)}
        />
      ) : (
        <Say tone="soft">{words('key.nothing-more')}</Say>
      )}
      <Said
        pulls={heard}
        skipped={skipped}
        leftOut={sample.leftOut}
        onTakeBack={({ sign, answer }) => act(takeBack, { sampleId, sign, answer })}
        onAskAgain={(sign) => say(sign, null)}
        onUse={(what) => act(weighAgain, { sampleId, what })}
      />
      <AllSigns sampleId={sampleId} sample={sample} asked={next?.sign ?? null} heard={sighting.signs} onSay={say} />
      <GroupOdds groups={groups} south={sighting.south} />
    </View>
  );
}

/** The likeliest stages with their odds, one of which is taken; two that are near may both be kept. */
function StageOdds({ matchId, match, stages, onTake }: Omit<KeyPanelProps, 'sample'> & Pick<Weighed, 'stages'>) {
  const words = useWords();
  const speech = useSpeech();
  const act = useAct();
  const leading = match.answers.find((answer) => answer.id === match.leading)!;
  const [first, second] = stages as [(typeof stages)[0], (typeof stages)[0] | undefined];
  return (
    <OneStop
      label={words('key.belief')}
      reached={(stages.find(({ stage }) => stage === leading.stage) ?? first).stage}
      className="gap-1"
    >
      {stages.map(({ stage, p }) => (
        <StageOption key={stage} stage={stage} p={p} on={leading.stage === stage} onTake={() => onTake(stage)} />
      ))}
      <Say size="small" tone="soft">
        {words('key.weights', { evidence: speech.plain('evidence', likelihoods.sources.signs.evidence) })}
      </Say>
      <Terms ids={['odds', 'evidence']} />
      {second && first.p < SURE && first.p - second.p < CLOSE ? (
        <Button
          kind="quiet"
          tall
          label={words('key.keep-both', {
            first: speech.plain('stages', first.stage),
            second: speech.plain('stages', second.stage),
          })}
          onPress={() => act(keepBoth, { matchId, first: first.stage, second: second.stage })}
          className="self-start"
        />
      ) : null}
    </OneStop>
  );
}

function StageOption({ stage, p, on, onTake }: { stage: StageId; p: number; on: boolean; onTake: () => void }) {
  const words = useWords();
  const speech = useSpeech();
  const odds = words('key.odds', plainOdds(p));
  return (
    <Option id={stage} on={on} spoken={speech.list([speech.name('stages', stage), odds])} onTake={onTake} look="told">
      <View className="flex-row items-baseline justify-between gap-3">
        <Say weight={on ? 'strong' : 'medium'} tone={on ? 'river' : 'ink'}>
          {speech.name('stages', stage)}
        </Say>
        <Say size="small" tone="soft">
          {odds}
        </Say>
      </View>
      <View aria-hidden className="h-1 bg-line">
        <View style={{ width: `${Math.round(p * 100)}%` }} className="h-1 bg-dawn" />
      </View>
    </Option>
  );
}

/** The likeliest stages for who does not see them: a region that stands, so that what changes in it is spoken. */
function OddsSpoken({ stages }: Pick<Weighed, 'stages'>) {
  const words = useWords();
  const speech = useSpeech();
  const odds = stages
    .slice(0, SPOKEN)
    .map(({ stage, p }) => speech.list([speech.name('stages', stage), words('key.odds', plainOdds(p))]));
  return (
    <View aria-live="polite" className="absolute h-px w-px overflow-hidden">
      <Say>{speech.clauses(odds)}</Say>
    </View>
  );
}

interface NextProps {
  sign: AskedId;
  onSkip: () => void;
  onSay: (answer: string | null) => void;
}

/** What to look at next, with its answers and a way past it. */
function NextQuestion({ sign, onSkip, onSay }: NextProps) {
  const words = useWords();
  const speech = useSpeech();
  const thumb = useThumb();
  const box = useRef<View>(null);
  const asked = useRef(sign);
  // The answer that was taken goes away with its question: who went there by keyboard goes on with the next.
  useEffect(() => {
    if (asked.current === sign) return;
    asked.current = sign;
    if (document.activeElement === document.body) (box.current as unknown as HTMLElement | null)?.focus();
  }, [sign]);
  return (
    <View className="gap-3">
      <View className={`items-center justify-between gap-3 ${thumb === 'right' ? 'flex-row' : 'flex-row-reverse'}`}>
        <View ref={box} {...FOCUSABLE} className="min-w-0 flex-1">
          <Heading level={3} size="lead">
            {speech.ask(sign)}
          </Heading>
        </View>
        <Button tall label={words('key.cannot-tell')} onPress={onSkip} />
      </View>
      <Answers sign={sign} answers={ANSWERS[sign]} value={null} onSay={onSay} />
    </View>
  );
}

/** The groups it may be of; where the key knows none, why. */
function GroupOdds({ groups, south }: Pick<Weighed, 'groups'> & { south: boolean }) {
  const words = useWords();
  const speech = useSpeech();
  if (south)
    return (
      <Say size="small" tone="straw">
        {speech.t('cli.south')}
      </Say>
    );
  if (groups.length === 0) return null;
  return (
    <View className="gap-1">
      <Heading level={3} size="small">
        {words('key.groups')}
      </Heading>
      {groups.map(({ group, p }) => (
        <View key={group.id} className="flex-row items-baseline justify-between gap-3">
          <Say size="small" className="min-w-0 flex-1">
            {speech.aside(group.name, group.scientific)}
          </Say>
          <Say size="small" tone="soft">
            {words('key.odds', plainOdds(p))}
          </Say>
        </View>
      ))}
    </View>
  );
}
