import { Link } from 'expo-router';
import { View } from 'react-native';
import type { Answer, Dressed } from '@/core/answer';
import { change, useAppDispatch, type AnswerRecord, type Entities, type SampleRecord } from '@/state';
import { useSpeech, useWide, useWords } from '@/features/shell';
import { Digits, Heading, Say, Toggle } from '@/ui/primitives';
import { AnswerPlate } from './answer-plate';

interface DressingStepProps {
  matchId: string;
  record: AnswerRecord;
  sample: SampleRecord;
  answer: Answer;
}

const OFFERED = 6;

/** The dressing for this stage with its reasons, and the runners-up. */
export function DressingStep({ matchId, record, sample, answer }: DressingStepProps) {
  const words = useWords();
  const wide = useWide();
  const dispatch = useAppDispatch();
  const pin = (id: string | null) => dispatch(change(id ? 'pin-dressing' : 'unpin-dressing', (draft: Entities) => {
    draft.match[matchId]!.answers.find((item) => item.id === record.id)!.dressingId = id;
  }));
  return (
    <View className="gap-6 py-4">
      <AnswerPlate stage={record.stage ?? null} sample={sample} answer={answer} switches maxHeight={wide ? 520 : 420} />
      {answer.dressing ? <Offer dressing={answer.dressing} first onPin={pin} /> : null}
      <View className="gap-1">
        <Heading className="px-5 pb-1">{words('dressing.others')}</Heading>
        {answer.alternatives.slice(0, OFFERED).map((dressing) => (
          <Offer key={dressing.id} dressing={dressing} onPin={pin} />
        ))}
      </View>
    </View>
  );
}

function Offer({ dressing, first = false, onPin }: { dressing: Dressed; first?: boolean; onPin: (id: string | null) => void }) {
  const words = useWords();
  const speech = useSpeech();
  return (
    <View className={`gap-1 border-line px-5 py-3 ${first ? 'border-y bg-plane' : 'border-b'}`}>
      <View className="flex-row items-start justify-between gap-3">
        <View className="min-w-0 flex-1">
          <Heading level={first ? 2 : 3} size={first ? 'title' : 'lead'}>{dressing.name}</Heading>
          <View className="flex-row items-baseline gap-2">
            <Say size="small" tone="soft">
              {words('dressing.score')}
            </Say>
            <Digits tone="soft">{dressing.score.toFixed(2)}</Digits>
          </View>
        </View>
        <Toggle label={words(dressing.pinned ? 'dressing.unpin' : 'dressing.pin')} spoken={`${words(dressing.pinned ? 'dressing.unpin' : 'dressing.pin')} ${dressing.name}`} on={dressing.pinned} onChange={(on) => onPin(on ? dressing.id : null)} />
      </View>
      {dressing.why.map((why, index) => (
        <Say key={index} size="small" tone={(why.weight ?? 1) < 1 ? 'straw' : 'soft'}>
          {`${(why.weight ?? 1) < 1 ? '–' : '+'} ${speech.say(why)}${why.evidence ? ` (${speech.plain('evidence', why.evidence)})` : ''}`}
        </Say>
      ))}
      <Link href={{ pathname: '/dressings/[id]', params: { id: dressing.id } }} className="min-h-target self-start py-3 font-medium text-small text-river">
        {words('dressing.open')}
      </Link>
    </View>
  );
}
