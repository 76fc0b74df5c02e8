import { useMemo } from 'react';
import { Pressable, View } from 'react-native';
import ids from '@/catalogue/ids.json';
import type { FoundId, DoingId, RiseFormId, SeenId, StageId } from '@/catalogue/ids';
import { ANSWERS } from '@/catalogue';
import { byGroup, byStage, lookalike, nextSign, pulls, SURE, type AskedId } from '@/core/belief';
import { change, newAnswer, selectBelief, selectKey, useAfterwards, useApp, useAppDispatch, useLater, type AnswerRecord, type Entities, type MatchRecord, type SampleRecord } from '@/state';
import { useSpeech, useThumb, useWords } from '@/features/shell';
import { Button, Chips, Heading, Say, Toggle } from '@/ui/primitives';
import { LengthChips } from './length-chips';
import { plainOdds } from './odds';
import { Pictogram } from './pictogram';

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
const PULL_BITS = 0.4;

function put(sample: SampleRecord, sign: AskedId, answer: string | null): void {
  sample.skipped = sample.skipped.filter((other) => other !== sign);
  if (sign === 'found') sample.found = answer as FoundId | null;
  else if (sign === 'doing') sample.doing = answer as DoingId | null;
  else if (answer === null) delete sample.signs[sign];
  else sample.signs[sign] = answer;
}

/** The key: signs in any order, each may be unknown and every answer taken back; odds of the stages, and what to look at next. */
export function KeyPanel({ matchId, match, sample }: KeyPanelProps) {
  const words = useWords();
  const speech = useSpeech();
  const dispatch = useAppDispatch();
  const believed = useAfterwards(useLater((state) => selectBelief(state, match.sampleId)));
  const theKey = useApp(selectKey);
  const thumb = useThumb();
  // What is typed may leave the belief as it was for a moment: nothing is weighed again until it changes.
  const weighed = useMemo(() => {
    if (!believed) return null;
    const { sighting, belief } = believed;
    const heard = pulls(theKey, sighting, belief);
    return {
      stages: byStage(theKey, belief).filter(({ p }, index) => index === 0 || p >= LEAST).slice(0, SHOWN), heard, next: nextSign(theKey, sighting, belief, sample.skipped as AskedId[]),
      like: heard.length > 0 ? lookalike(theKey, sighting, belief) : null, groups: sighting.south ? [] : byGroup(theKey, belief, LEAST).slice(0, GROUPS_SHOWN),
    };
  }, [believed, sample.skipped, theKey]);
  if (!believed || !weighed) return null;
  const { sighting } = believed;
  const skipped = sample.skipped as AskedId[];
  const { stages, heard, next, like, groups } = weighed;
  const [first, second] = stages as [(typeof stages)[0], (typeof stages)[0] | undefined];
  const leading = match.answers.find((answer) => answer.id === match.leading)!;
  const measured = sample.specimens.some((specimen) => specimen.body.mm !== null);
  const told = heard.length + sample.seen.length > 0 || sample.rise !== null || sighting.lengthMm !== null;
  const say = (sign: AskedId, answer: string | null) => dispatch(change('sign', (draft: Entities) => put(draft.sample[match.sampleId] as SampleRecord, sign, answer)));
  const take = (stage: StageId) => dispatch(change('stage', (draft) => void ((draft.match[matchId]!.answers.find((answer) => answer.id === leading.id) as AnswerRecord).stage = stage)));
  const keepBoth = () => dispatch(change('answer', (draft) => {
    const kept = draft.match[matchId]!;
    const lead = kept.answers.find((answer) => answer.id === kept.leading)!;
    lead.stage = first.stage;
    kept.answers = [...kept.answers.filter((answer) => answer.id === kept.leading), newAnswer(lead.id === 'a2' ? 'a1' : 'a2', second!.stage)];
  }));
  return (
    <View className="gap-5">
      {told ? <View role="radiogroup" aria-label={words('key.belief')} className="gap-1">
        {stages.map(({ stage, p }) => {
          const odds = words('key.odds', plainOdds(p));
          const on = leading.stage === stage;
          return (
            <Pressable key={stage} role="radio" aria-checked={on} aria-label={`${speech.name('stages', stage)}, ${odds}`} onPress={() => take(stage)} className={`min-h-touch justify-center gap-1 rounded-control border px-3 py-2 ${on ? 'border-river bg-plane' : 'border-line'}`}>
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
        {second && first.p < SURE && first.p - second.p < CLOSE ? <Button kind="quiet" tall label={words('key.keep-both', { first: speech.plain('stages', first.stage), second: speech.plain('stages', second.stage) })} onPress={keepBoth} className="self-start" /> : null}
      </View> : null}
      {like && theKey.ids[like.stage] ? (
        <Say size="small" tone="soft">
          {words('key.lookalike', { stage: speech.plain('stages', theKey.ids[like.stage]!), ask: speech.ask(like.separateBy) })}
        </Say>
      ) : null}
      {measured ? null : <LengthChips sampleId={match.sampleId} sample={sample} />}
      {next ? (
        <View className="gap-3">
          <View className={`items-center justify-between gap-3 ${thumb === 'right' ? 'flex-row' : 'flex-row-reverse'}`}>
            <Heading level={3} size="lead" className="min-w-0 flex-1">{speech.ask(next.sign)}</Heading>
            <Button tall label={words('key.cannot-tell')} onPress={() => dispatch(change('sign', (draft) => void draft.sample[match.sampleId]!.skipped.push(next.sign)))} />
          </View>
          <View className="flex-row flex-wrap gap-3">
            {ANSWERS[next.sign].map((answer) => (
              <Pressable key={answer} role="button" aria-label={`${speech.ask(next.sign)} ${speech.answer(next.sign, answer)}`} onPress={() => say(next.sign, answer)} className="min-h-touch min-w-[46%] flex-1 flex-row items-center gap-2 rounded-control border border-edge bg-plane px-2 py-1">
                <Pictogram sign={next.sign} answer={answer} />
                <Say size="small" weight="medium" className="min-w-0 flex-1">
                  {speech.answer(next.sign, answer)}
                </Say>
              </Pressable>
            ))}
          </View>
        </View>
      ) : (
        <Say tone="soft">{words('key.nothing-more')}</Say>
      )}
      {heard.length + skipped.length > 0 ? (
        <View className="gap-2">
          <Heading level={3} size="small">{words('key.said')}</Heading>
          {heard.map(({ sign, answer, bits }) => (
            <View key={sign} className="flex-row items-center justify-between gap-3 border-b border-line">
              <Say size="small" className="min-w-0 flex-1">
                {speech.answer(sign, answer)}
              </Say>
              <Say size="small" tone={bits > PULL_BITS ? 'sedge' : bits < -PULL_BITS ? 'dawn' : 'soft'}>
                {words(bits > 2 ? 'key.strongly-for' : bits > PULL_BITS ? 'key.for' : bits < -2 ? 'key.strongly-against' : bits < -PULL_BITS ? 'key.against' : 'key.neither')}
              </Say>
              <Button kind="quiet" tall spoken={words('key.take-back-what', { what: speech.answer(sign, answer) })} label={words('key.take-back')} onPress={() => say(sign, null)} />
            </View>
          ))}
          {skipped.map((sign) => (
            <View key={sign} className="flex-row items-center justify-between gap-3 border-b border-line">
              <Say size="small" tone="soft" className="min-w-0 flex-1">
                {words('key.skipped', { ask: speech.ask(sign) })}
              </Say>
              <Button kind="quiet" tall spoken={words('key.ask-again-what', { ask: speech.ask(sign) })} label={words('key.ask-again')} onPress={() => say(sign, null)} />
            </View>
          ))}
        </View>
      ) : null}
      <OnTheWater sampleId={match.sampleId} sample={sample} />
      {groups.length > 0 ? (
        <View className="gap-1">
          <Heading level={3} size="small">{words('key.groups')}</Heading>
          {groups.map(({ group, p }) => (
            <View key={group.id} className="flex-row items-baseline justify-between gap-3">
              <Say size="small" className="min-w-0 flex-1">
                {`${group.name} (${group.scientific})`}
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

/** What the water says before any specimen: things seen, and how fish rise. */
function OnTheWater({ sampleId, sample }: { sampleId: string; sample: SampleRecord }) {
  const words = useWords();
  const dispatch = useAppDispatch();
  const toggle = (seen: SeenId, on: boolean) => dispatch(change('sign', (draft) => {
    const own = draft.sample[sampleId]!;
    own.seen = on ? [...own.seen, seen] : own.seen.filter((other) => other !== seen);
  }));
  return (
    <View className="gap-3">
      <Heading level={3} size="small">{words('key.seen')}</Heading>
      <View className="flex-row flex-wrap gap-3">
        {ids.seen.filter((seen) => seen.id !== 'rises').map((seen) => (
          <Toggle key={seen.id} tall label={words(`key.seen-name.${seen.id}`)} on={sample.seen.includes(seen.id as SeenId)} onChange={(on) => toggle(seen.id as SeenId, on)} />
        ))}
      </View>
      <Heading level={3} size="small">{words('key.rise')}</Heading>
      <Chips compact tall label={words('key.rise')} choices={[{ id: '', label: words('key.rise-unseen') }, ...ids['rise-forms'].map((rise) => ({ id: rise.id, label: words(`key.rise-name.${rise.id}`) }))]} value={sample.rise ?? ''} onChange={(rise) => dispatch(change('sign', (draft) => void (draft.sample[sampleId]!.rise = rise === '' ? null : (rise as RiseFormId))))} />
    </View>
  );
}
