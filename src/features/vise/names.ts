import type { Running } from '@/core/session';
import type { Card } from '@/core/tying';
import { raised, type Speech } from '@/speech';
import { partNamed } from '@/speech/card';

/** A fly of a session by name: its dressing, and its number where more than one is tied. */
export function flyName({ items }: Pick<Running<Card>, 'items'>, item: string, n: number, speech: Speech): string {
  const own = items.find(({ id }) => id === item);
  if (!own) return '';
  return own.count === 1 && n === 1
    ? own.card.dressing.name
    : speech.t('ui.vise.fly', { name: own.card.dressing.name, n });
}

/** A wait as it counts down: minutes and seconds. */
export function countdown(ms: number): string {
  const seconds = Math.max(0, Math.ceil(ms / 1000));
  return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;
}

/** A part of a card as it begins a line. */
export const partTitle = (card: Card, part: string, speech: Speech): string => raised(partNamed(card, part, speech));
