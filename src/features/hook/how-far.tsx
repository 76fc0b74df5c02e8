import { View } from 'react-native';
import type { Answer } from '@/core/answer';
import { Term } from '@/features/glossary';
import { useSpeech, useWords } from '@/features/shell';
import { Say } from '@/ui/primitives';
import { holdsLine } from './holds';

/** How far an answer holds; nothing where there is no answer to hold. */
export function HowFar({ answer, className = '' }: { answer: Answer; className?: string }) {
  const words = useWords();
  const line = holdsLine(answer, useSpeech());
  if (!line) return null;
  return (
    <View className={className}>
      <Term id="holds">{words('hook.holds')}</Term>
      <Say size="small">{line}</Say>
    </View>
  );
}
