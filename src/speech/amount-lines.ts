import { sizeLabelOf } from '@/core/hooks';
import type { CardPart } from '@/core/tying';
import type { Speech } from './speech';

/** Largest hook that is named, as a size number (5/0), and the least dubbing that is weighed, mg. */
const LARGEST = -4;
const LEAST_MG = 0.05;

/** What a part takes of its material, in the words a tier cuts by: turns, pieces, loop, noodle, dubbing, stem. */
export function amountLines(part: CardPart, speech: Speech): string[] {
  const word = (key: string, params: Record<string, unknown> = {}) => speech.t(`ui.amount.${key}`, params);
  const { amount } = part;
  const lines: string[] = [];
  if (amount.wound)
    lines.push(
      word('wound', {
        count: Math.max(1, Math.round(amount.wound.turns)),
        turns: Math.max(1, Math.round(amount.wound.turns)),
        pitch: speech.length(amount.wound.pitchMm, true),
        length: speech.length(amount.wound.lengthMm),
      }),
    );
  if (amount.pieces !== null)
    lines.push(
      word(
        amount.pieces > 1
          ? 'pieces'
          : amount.onePieceTo !== null && amount.onePieceTo >= LARGEST
            ? 'one-piece'
            : 'one-piece-any',
        {
          count: amount.pieces,
          take: amount.take ?? amount.pieces,
          size: amount.onePieceTo === null ? '' : sizeLabelOf(amount.onePieceTo),
        },
      ),
    );
  if (part.tails !== null)
    lines.push(part.tails.length > 1 ? word('tails', { counts: speech.list(part.tails) }) : word('tails-own'));
  // Thread hangs from its spool: nothing of it is cut beforehand.
  const spooled = part.material?.function === 'body.thread' || part.material?.function === 'thread';
  if (part.cut_mm !== null && !spooled)
    lines.push(word(part.method === 'measure-then-bind' ? 'cut-measured' : 'cut', { mm: speech.length(part.cut_mm) }));
  if (amount.loop)
    lines.push(
      word('loop', { height: speech.length(amount.loop.heightMm), thread: speech.length(amount.loop.threadMm) }),
    );
  if (amount.noodleMm !== null)
    lines.push(
      (amount.dubbingMg ?? 0) < LEAST_MG
        ? word('noodle-least', { mm: speech.length(amount.noodleMm) })
        : word('noodle', {
            mm: speech.length(amount.noodleMm),
            mg: (amount.dubbingMg ?? 0).toFixed(1),
            count: amount.pinches ?? 1,
          }),
    );
  if (amount.unit === 'compressed-mm' && amount.need !== null)
    lines.push(word('compressed', { mm: speech.length(amount.need, true) }));
  if (amount.stemMm !== null && amount.take !== null)
    lines.push(word('stem', { count: amount.take, mm: speech.length(amount.stemMm) }));
  else if (part.spare !== null && part.spare > 0 && part.count !== null)
    lines.push(word('spare', { count: part.count + part.spare }));
  return lines;
}
