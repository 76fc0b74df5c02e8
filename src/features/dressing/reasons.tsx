import { useState } from 'react';
import type { Reason } from '@/core/code';
import { useSpeech, useWords } from '@/features/shell';
import { Button, Say } from '@/ui/primitives';

/** How many reasons stand before the rest is asked for. */
const REASONS = 2;

/** What speaks for a dressing and what against: the first for it and what weighs most against it, the rest behind one tap. */
export function Reasons({ why, name, whole = false }: { why: readonly Reason[]; name: string; whole?: boolean }) {
  const words = useWords();
  const speech = useSpeech();
  const [all, setAll] = useState(whole);
  const against = (reason: Reason) => (reason.weight ?? 1) < 1;
  const heaviest = why.filter(against).sort((a, b) => a.weight! - b.weight!)[0];
  const first = new Set([why.find((reason) => !against(reason)), heaviest, ...why].filter(Boolean).slice(0, REASONS));
  const shown = all ? why : why.filter((reason) => first.has(reason));
  return (
    <>
      {shown.map((reason, index) => (
        <Say key={index} size="small" tone={against(reason) ? 'straw' : 'soft'}>
          {words(against(reason) ? 'dressing.against' : 'dressing.speaks-for', {
            weight: speech.number(reason.weight ?? 1, 2),
            why: reason.evidence
              ? speech.aside(speech.say(reason), speech.plain('evidence', reason.evidence))
              : speech.say(reason),
          })}
        </Say>
      ))}
      {why.length > shown.length ? (
        <Button
          kind="quiet"
          label={words('dressing.more-reasons', { count: why.length - shown.length })}
          spoken={speech.beside([words('dressing.more-reasons', { count: why.length - shown.length }), name])}
          onPress={() => setAll(true)}
          className="-ml-4 self-start"
        />
      ) : null}
    </>
  );
}
