import ChevronRight from 'lucide-react-native/icons/chevron-right';
import { View } from 'react-native';
import { lookFor, sizesToLookFor } from '@/core/box';
import { useBestFly } from '@/features/box';
import { plainOdds } from '@/features/key';
import { useSpeech, useThumb, useWords } from '@/features/shell';
import { useLater } from '@/state';
import { selectLikely, type LikelyAnswer } from '@/state/answering';
import { BarButton, Row, Say } from '@/ui/primitives';
import { token } from '@/ui/tokens';
import { STEPS, type Step } from './steps';

interface StripLine {
  head: string;
  detail: string;
  /** Where it is told in full. */
  to: Step;
}

/** What a match comes to without a box: sizes and dressing, or what is still to be told. */
function useLikelyLine(likely: LikelyAnswer | null): StripLine | null {
  const words = useWords();
  const speech = useSpeech();
  if (!likely) return null;
  const stage = speech.name('stages', likely.stage);
  const odds = likely.p === null ? null : words('key.odds', plainOdds(likely.p));
  const about = odds ? words('strip.likely', { stage, odds }) : stage;
  const look = likely.answer && lookFor(likely.answer);
  if (!likely.answer) return { head: about, detail: words('strip.length'), to: 'natural' };
  if (!look || !likely.answer.dressing) return { head: words('dressing.none'), detail: about, to: 'dressing' };
  const span = sizesToLookFor(look);
  const first = likely.answer.hooks[0];
  const sizes = span
    ? span.largest === span.smallest
      ? span.largest
      : words('strip.sizes', span)
    : (first?.size ?? words('hook.no-hooks'));
  return {
    head: words('strip.answer', { sizes, dressing: likely.answer.dressing.name }),
    detail: about,
    to: 'hook',
  };
}

/** The answer so far in two lines, from the first odds on, and the way to the next step; the phone's foot of every step. */
export function MatchBar({ matchId, step }: { matchId: string; step: Step }) {
  const words = useWords();
  const thumb = useThumb();
  const best = useBestFly(matchId);
  const likely = useLater((state) => selectLikely(state, matchId));
  const told = useLikelyLine(likely);
  const line: StripLine | null =
    best && !(best.none && told) ? { head: best.name, detail: best.detail, to: 'water' } : told;
  const next = likely?.p === null && likely.answer ? STEPS[STEPS.indexOf(step) + 1] : undefined;
  const shown = line && (line.to !== step || step === 'natural') ? line : null;
  if (!shown && !next) return null;
  const side = thumb === 'right' ? 'flex-row' : 'flex-row-reverse';
  return (
    <View className={`items-stretch border-t border-river bg-plane ${side}`}>
      <View className="min-w-0 flex-1" aria-live="polite">
        {shown?.to === step ? (
          <View className="min-h-16 justify-center px-5 py-2">
            <StripLines line={shown} />
          </View>
        ) : shown ? (
          <StripLink matchId={matchId} line={shown} ofBox={shown.to === 'water' && best !== null} />
        ) : null}
      </View>
      {next ? (
        <BarButton
          to={{ pathname: '/matches/[id]/[step]', params: { id: matchId, step: next } }}
          spoken={words('strip.next', { step: words(`step.${next}`) })}
        >
          <Say weight="strong" tone="river">
            {words(`step.${next}`)}
          </Say>
          <ChevronRight size={22} color={token('river')} aria-hidden />
        </BarButton>
      ) : null}
    </View>
  );
}

function StripLink({ matchId, line, ofBox }: { matchId: string; line: StripLine; ofBox: boolean }) {
  const words = useWords();
  const speech = useSpeech();
  return (
    <Row
      tall
      line={false}
      to={{ pathname: '/matches/[id]/[step]', params: { id: matchId, step: line.to } }}
      spoken={
        ofBox ? words('box.strip', { fly: line.head, place: line.detail }) : speech.sentences([line.head, line.detail])
      }
    >
      <View className="min-w-0 flex-1">
        <StripLines line={line} />
      </View>
    </Row>
  );
}

function StripLines({ line }: { line: StripLine }) {
  return (
    <>
      <Say weight="serif" lines={2}>
        {line.head}
      </Say>
      {line.detail ? (
        <Say size="small" tone="soft" lines={2}>
          {line.detail}
        </Say>
      ) : null}
    </>
  );
}
