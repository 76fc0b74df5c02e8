import { differenceInMinutes } from 'date-fns/differenceInMinutes';
import equal from 'fast-deep-equal';
import type { IntentId, RegionId, StageId } from '@/catalogue/ids';
import { LENGTH_RANGE_MM, Z95 } from '@/core/constants';
import { swapKey } from '@/core/tying/swap-key';
import { command, found, type Around } from '../command';
import type { Entities } from '../kinds';
import { latelySeen, runningOuting } from '../outing/queries';
import { sampleSchema, type SampleRecord } from '../sample/schema';
import { matchSchema, newAnswer, type AnswerRecord, type MatchRecord } from './schema';

/** The first answer of every match: two tabs that make none, and two tiers that share one, mean the same. */
const FIRST_ANSWER = 'a1';

interface OfMatch {
  matchId: string;
}
interface OfAnswer extends OfMatch {
  answerId: string;
}

/** An answer of a match; throws when it is gone. */
function answerOf({ match }: Entities, { matchId, answerId }: OfAnswer): AnswerRecord {
  return found(Object.fromEntries(found(match, matchId).answers.map((answer) => [answer.id, answer])), answerId);
}

interface Begun {
  sample?: Partial<SampleRecord>;
  stage?: StageId | null;
  parentId?: string | null;
  /** When the natural was taken; now as a rule. */
  when?: string;
}

/** A sample and its match; their ids. */
export function beginMatch(
  draft: Entities,
  { sample = {}, stage = null, parentId = null, when }: Begun,
  { now, newId }: Around,
): { matchId: string; sampleId: string } {
  const [sampleId, matchId] = [newId('sample'), newId('match')];
  const at = when ?? now;
  draft.sample[sampleId] = sampleSchema.cast({ ...sample, when: at });
  draft.match[matchId] = matchSchema.cast({
    opened: at,
    sampleId,
    answers: [{ id: FIRST_ANSWER, stage }],
    leading: FIRST_ANSWER,
    parentId,
  });
  return { matchId, sampleId };
}

/** So many of the newest are looked at for one that was begun and left. */
const NEWEST = 20;
/** After so long an empty match of another tab is not about to be filled there. */
const LEFT_MINUTES = 60;

/** What a natural has from the outing it is found on: where that is, and what was seen there lately. */
function foundOn(draft: Entities, outingId: string | null | undefined, now: string): Partial<SampleRecord> {
  const outing = outingId ? draft.outing[outingId] : undefined;
  if (!outing) return {};
  const place = (outing.waterId && draft.water[outing.waterId]?.name) || '';
  return { outingId, place, ...latelySeen(outing, now) };
}

/** What was seen about a natural that has an outing: its water says that, and no word of the insect. */
const seenOf = ({ outingId, seen, rise }: SampleRecord) => (outingId ? { seen, rise } : {});

/** Whether nothing was ever said of a match or its natural: it is as it was begun. */
function isUntouched(draft: Entities, match: MatchRecord, sample: SampleRecord): boolean {
  const begun = {
    opened: match.opened,
    sampleId: match.sampleId,
    answers: [{ id: FIRST_ANSWER, stage: null }],
    leading: FIRST_ANSWER,
  };
  return (
    equal(match, matchSchema.cast(begun)) &&
    equal(
      sample,
      sampleSchema.cast({ ...foundOn(draft, sample.outingId, sample.when), ...seenOf(sample), when: sample.when }),
    )
  );
}

/** A match for an insect in the hand; an empty one is taken up again as of now, if this tab began it (`own`) or it was left long ago. */
export const newMatch = command<{ own?: string | null }, { matchId: string; sampleId: string }>(
  'new-match',
  (draft, { own = null }, around) => {
    const on = foundOn(draft, runningOuting(draft.outing), around.now);
    for (const matchId of Object.keys(draft.match).slice(-NEWEST).reverse()) {
      const { sampleId, opened } = draft.match[matchId]!;
      if (matchId !== own && !(differenceInMinutes(around.now, opened) >= LEFT_MINUTES)) continue;
      const sample = draft.sample[sampleId];
      if (!sample || !isUntouched(draft, draft.match[matchId]!, sample)) continue;
      draft.match[matchId]!.opened = around.now;
      draft.sample[sampleId] = sampleSchema.cast({
        ...on,
        seen: [...new Set([...(on.seen ?? []), ...sample.seen])],
        rise: on.rise ?? sample.rise,
        when: around.now,
      });
      return { matchId, sampleId };
    }
    return beginMatch(draft, { sample: on }, around);
  },
);

/** A match for what this insect will be, or was: its length is reckoned, with the ± of the range and of the mean it is reckoned from. */
export const followMatch = command<
  OfMatch & {
    stage: StageId;
    lowMm: number;
    usualMm: number;
    highMm: number;
    seMm: number;
    shades: Partial<Record<RegionId, string>>;
  },
  string
>(
  'follow-match',
  (draft, { matchId, stage, lowMm, usualMm, highMm, seMm, shades }, around) => {
    const from = found(draft.sample, found(draft.match, matchId).sampleId);
    const [least, most] = LENGTH_RANGE_MM;
    const rough = {
      mm: Math.min(most, Math.max(least, usualMm)),
      halfMm: Math.hypot((highMm - lowMm) / 2, Z95 * seMm),
      how: 'grown' as const,
    };
    return beginMatch(
      draft,
      {
        sample: { place: from.place, water: from.water, rough, shades: shades as Record<string, string> },
        stage,
        parentId: matchId,
        when: from.when,
      },
      around,
    ).matchId;
  },
  { label: 'new-match' },
);

export const nameMatch = command<OfMatch & { title: string }>(
  'title',
  ({ match }, { matchId, title }) => void (found(match, matchId).title = title),
  { field: ({ matchId }) => `${matchId}/title` },
);

export const setStage = command<OfAnswer & { stage: StageId }>(
  'stage',
  (draft, { stage, ...of }) => void (answerOf(draft, of).stage = stage),
);

/** A second answer beside the one that leads; its id is its own, whatever was dropped before. */
function addAnswer(match: MatchRecord, stage: StageId, { newId }: Around): void {
  match.answers.push(newAnswer(newId('answer'), stage));
}

/** A second stage kept while the tier is not sure. */
export const keepSecond = command<OfMatch & { stage: StageId }>(
  'second',
  ({ match }, { matchId, stage }, around) => addAnswer(found(match, matchId), stage, around),
  { label: 'answer' },
);

/** The two likeliest stages kept: one leads, the other is the only one beside it. */
export const keepBoth = command<OfMatch & { first: StageId; second: StageId }>(
  'keep-both',
  ({ match }, { matchId, first, second }, around) => {
    const own = found(match, matchId);
    own.answers = own.answers.filter((answer) => answer.id === own.leading);
    own.answers[0]!.stage = first;
    addAnswer(own, second, around);
  },
  { label: 'answer' },
);

/** An answer dropped; the one that leads stays. */
export const dropAnswer = command<OfAnswer>(
  'drop-answer',
  ({ match }, { matchId, answerId }) => {
    const own = found(match, matchId);
    if (answerId !== own.leading) own.answers = own.answers.filter((answer) => answer.id !== answerId);
  },
  { label: 'answer' },
);

export const letLead = command<OfAnswer>('lead', (draft, of) => {
  answerOf(draft, of);
  found(draft.match, of.matchId).leading = of.answerId;
});

export const pinHook = command<OfAnswer & { hookId: string | null }>(
  'pin-hook',
  (draft, { hookId, ...of }) => void (answerOf(draft, of).hookId = hookId),
  { label: ({ hookId }) => (hookId ? 'pin-hook' : 'unpin-hook') },
);

export const pinDressing = command<OfAnswer & { dressingId: string | null }>(
  'pin-dressing',
  (draft, { dressingId, ...of }) => void (answerOf(draft, of).dressingId = dressingId),
  { label: ({ dressingId }) => (dressingId ? 'pin-dressing' : 'unpin-dressing') },
);

/** A size on purpose; without an intent it says what it is. */
export const setOffset = command<OfAnswer & { sizes: number; intent?: IntentId | null }>(
  'offset',
  (draft, { sizes, intent = null, ...of }) =>
    void (answerOf(draft, of).offset = {
      sizes,
      intent: intent ?? (sizes === 0 ? 'exact' : sizes > 0 ? 'bigger' : 'smaller'),
    }),
);

/** What the fly is to be on purpose; a larger or smaller one is so by one size at least, an exact one by none. */
export const setIntent = command<OfAnswer & { intent: IntentId }>(
  'intent',
  (draft, { intent, ...of }) => {
    const answer = answerOf(draft, of);
    const { sizes } = answer.offset;
    answer.offset = {
      sizes:
        intent === 'bigger'
          ? Math.max(1, sizes)
          : intent === 'smaller'
            ? Math.min(-1, sizes)
            : intent === 'exact'
              ? 0
              : sizes,
      intent,
    };
  },
  { label: 'offset' },
);

/** Schools for this card alone. */
export const setCardSchools = command<OfAnswer & { schools: Record<string, string> }>(
  'card-schools',
  (draft, { schools, ...of }) => void (answerOf(draft, of).schools = schools),
  { label: 'schools' },
);

/** Parts left out and parts put in, by hand. */
export const setSwitches = command<OfAnswer & { without: string[]; added: string[] }>(
  'part',
  (draft, { without, added, ...of }) => void Object.assign(answerOf(draft, of), { without, added }),
);

/** A material of a dressing tied in another for this card; `by` null: as the dressing, or the stash, has it. */
export const swapMaterial = command<OfAnswer & { dressing: string; material: string; by: string | null }>(
  'swap-material',
  (draft, { dressing, material, by, ...of }) => {
    const { swaps } = answerOf(draft, of);
    if (by === null) delete swaps[swapKey(dressing, material)];
    else swaps[swapKey(dressing, material)] = by;
  },
  { label: ({ by }) => (by === null ? 'unswap-material' : 'swap-material') },
);

/** A match with its natural and its photographs, unless another match is of the same natural. */
function remove(draft: Entities, matchId: string): void {
  const { sampleId } = found(draft.match, matchId);
  delete draft.match[matchId];
  if (Object.values(draft.match).some((other) => other.sampleId === sampleId)) return;
  for (const photo of draft.sample[sampleId]?.photos ?? []) delete draft.photo[photo];
  delete draft.sample[sampleId];
}

export const deleteMatch = command<OfMatch>('delete-match', (draft, { matchId }) => remove(draft, matchId));

/** Several at once, taken back at once. */
export const deleteMatches = command<{ matchIds: readonly string[] }>('delete-matches', (draft, { matchIds }) => {
  for (const matchId of matchIds) remove(draft, matchId);
});
