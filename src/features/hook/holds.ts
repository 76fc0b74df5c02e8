import type { Answer } from '@/core/answer';
import type { Speech } from '@/speech';

function sizeOf(id: string | null): string {
  return id === null ? '' : id.slice(id.lastIndexOf(':') + 1).replace(/-0$/, '/0');
}

/** How far the first hook holds, in one sentence. */
export function holdsLine(answer: Answer, speech: Speech): string | null {
  const { holds } = answer;
  const first = answer.hooks[0];
  if (!holds || !first) return null;
  const key = holds.below && holds.above ? 'both' : holds.above ? 'above-only' : holds.below ? 'below-only' : 'only';
  return speech.t(`holds.${key}`, {
    hook: `${first.maker_name} ${first.size}`,
    low: speech.length(holds.low_mm),
    high: speech.length(holds.high_mm),
    below: sizeOf(holds.below),
    above: sizeOf(holds.above),
  });
}
