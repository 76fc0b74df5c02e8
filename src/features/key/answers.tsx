import { View } from 'react-native';
import type { AskedId } from '@/core/belief';
import { useSpeech } from '@/features/shell';
import { Say, Tile } from '@/ui/primitives';
import { Pictogram } from './pictogram';

interface AnswersProps {
  sign: AskedId;
  answers: readonly string[];
  value: string | null;
  /** The answer that was given taken again takes it back. */
  onSay: (answer: string | null) => void;
}

/** The answers of one sign, each drawn and in words. */
export function Answers({ sign, answers, value, onSay }: AnswersProps) {
  const speech = useSpeech();
  return (
    <View role="group" aria-label={speech.ask(sign)} className="flex-row flex-wrap gap-2">
      {answers.map((answer) => {
        const on = answer === value;
        return (
          <View key={answer} className="min-h-touch min-w-[46%] flex-1">
            <Tile
              across
              on={on}
              spoken={`${speech.ask(sign)} ${speech.answer(sign, answer)}`}
              onPress={() => onSay(on ? null : answer)}
            >
              <Pictogram sign={sign} answer={answer} />
              <Say size="small" weight={on ? 'strong' : 'medium'} className="min-w-0 flex-1">
                {speech.answer(sign, answer)}
              </Say>
            </Tile>
          </View>
        );
      })}
      {answers.length % 2 === 1 ? <View aria-hidden className="min-w-[46%] flex-1" /> : null}
    </View>
  );
}
