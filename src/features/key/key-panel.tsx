import { useMemo } from 'react';
import { Pressable, View } from 'react-native';
import type { StageId } from '@/catalogue/ids';
import { ANSWERS } from '@/catalogue';
import likelihoods from '@/catalogue/likelihoods.json';
import { byGroup, byStage, lookalike, nextSign, pulls, SURE, type AskedId, type Pull } from '@/core/belief';
import {
  keepBoth,
  saySign,
  setStage,
  skipSign,
  takeBack,
  weighAgain,
  type MatchRecord,
  type SampleRecord,
} from '@/records';
import { selectBelief, selectKey, useAct, useAfterwards, useApp, useLater } from '@/state';
import { useSpeech, useThumb, useWords } from '@/features/shell';
import { Button, Heading, Say } from '@/ui/primitives';
import { AllSigns } from './all-signs';
import { Answers } from './answers';
import { LengthChips } from './length-chips';
import { plainOdds } from './odds';
import { Said } from './said';

interface KeyPanelProps {
  matchId: string;
  match: MatchRecord;
  sample: SampleRecord;
}

const SHOWN = 4;
const LEAST = 0.03;
/** Two stages nearer than this are offered side by side. */
const CLOSE = 0.3;
const GROUPS_SHOWN = 3;

/** Month and water alone are no insect yet. */
const saysOf = (heard: readonly Pull[]) => heard.some(({ sign }) => sign !== 'month' && sign !== 'water');

/** The key: signs in any order, each may be unknown and every answer taken back; odds of the stages, and what to look at next. */
export function KeyPanel({ matchId, match, sample }: KeyPanelProps) {
  const words = useWords();
  const speech = useSpeech();
  const act = useAct();
  const believed = useAfterwards(useLater((state) => selectBelief(state, match.sampleId)));
  const theKey = useApp(selectKey);
  const thumb = useThumb();
  // What is typed may leave the belief as it was for a moment: nothing is weighed again until it changes.
  const weighed = useMemo(() => {
    if (!believed) return null;
    const { sighting, belief } = believed;
    const heard = pulls(theKey, sighting, belief);
    return {
      stages: byStage(theKey, belief)
        .filter(({ p }, index) => index === 0 || p >= LEAST)
        .slice(0, SHOWN),
      heard,
      next: nextSign(theKey, sighting, belief, sample.skipped as AskedId[]),
      like: saysOf(heard) ? lookalike(theKey, sighting, belief) : null,
      groups: sighting.south ? [] : byGroup(theKey, belief, LEAST).slice(0, GROUPS_SHOWN),
    };
  }, [believed, sample.skipped, theKey]);
  if (!believed || !weighed) return null;
  const { sighting } = believed;
  const skipped = sample.skipped as AskedId[];
  const { stages, heard, next, like, groups } = weighed;
  const [first, second] = stages as [(typeof stages)[0], (typeof stages)[0] | undefined];
  const leading = match.answers.find((answer) => answer.id === match.leading)!;
  const measured = sample.specimens.some((specimen) => specimen.body.mm !== null);
  const told = saysOf(heard);
  const { sampleId } = match;
  const say = (sign: AskedId, answer: string | null) => act(saySign, { sampleId, sign, answer });
  const take = (stage: StageId) => act(setStage, { matchId, answerId: leading.id, stage });
  return (
    <View className="gap-5">
      {told ? (
        <View role="radiogroup" aria-label={words('key.belief')} className="gap-1">
          {stages.map(({ stage, p }) => {
            const odds = words('key.odds', plainOdds(p));
            const on = leading.stage === stage;
            return (
              <Pressable
                key={stage}
                role="radio"
                aria-checked={on}
                aria-label={speech.list([speech.name('stages', stage), odds])}
                onPress={() => take(stage)}
                className={`min-h-touch justify-center gap-1 rounded-control border px-3 py-2 ${on ? 'border-river bg-plane' : 'border-line'}`}
              >
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
              </Pressable>
            );
          })}
          <Say size="small" tone="soft">
            {words('key.weights', { evidence: speech.plain('evidence', likelihoods.sources.signs.evidence) })}
          </Say>
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
        </View>
      ) : null}
      {like && theKey.ids[like.stage] ? (
        <Say size="small" tone="soft">
          {words('key.lookalike', {
            stage: speech.plain('stages', theKey.ids[like.stage]!),
            ask: speech.ask(like.separateBy),
          })}
        </Say>
      ) : null}
      {measured ? null : <LengthChips sampleId={match.sampleId} sample={sample} />}
      {next ? (
        <View className="gap-3">
          <View className={`items-center justify-between gap-3 ${thumb === 'right' ? 'flex-row' : 'flex-row-reverse'}`}>
            <Heading level={3} size="lead" className="min-w-0 flex-1">
              {speech.ask(next.sign)}
            </Heading>
            <Button
              tall
              label={words('key.cannot-tell')}
              onPress={() => act(skipSign, { sampleId, sign: next.sign })}
            />
          </View>
          <Answers
            sign={next.sign}
            answers={ANSWERS[next.sign]}
            value={null}
            onSay={(answer) => say(next.sign, answer)}
          />
        </View>
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
      <AllSigns
        sampleId={match.sampleId}
        sample={sample}
        asked={next?.sign ?? null}
        heard={sighting.signs}
        onSay={say}
      />
      {groups.length > 0 ? (
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
      ) : sighting.south ? (
        <Say size="small" tone="straw">
          {speech.t('cli.south')}
        </Say>
      ) : null}
    </View>
  );
}
