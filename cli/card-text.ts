import type { Card } from '../src/core/tying';
import type { Speech } from '../src/speech';
import { materialName, unusedSchools } from './shapes';
import { columns, fold } from './text';

/** A card as a page of readable text, 80 columns. */
export function cardText(card: Card, speech: Speech): string {
  const { hook } = card;
  const range = (pair: [number, number] | null) => (pair ? `${speech.length(pair[0])} to ${speech.length(pair[1])}` : '');
  const lines = [
    `${card.dressing.name} on ${hook.maker_name} ${hook.model_name} ${hook.size}`,
    fold(`room ${speech.length(card.room_mm)}, used ${speech.length(card.used_mm)}: ${card.fits ? 'fits' : `does not fit, ${card.over!.part} is ${speech.length(card.over!.mm)} too long`}`),
    ...unusedSchools(card).map((note) => fold(`note: ${speech.say(note)}`, 2)),
    '',
    columns(card.parts.map((part) => [
      speech.name('parts', part.part),
      part.mm === null ? (part.count === null ? '' : `${part.count}`) : speech.length(part.mm),
      range(part.range_mm),
      [part.material?.name, part.count && part.mm !== null ? `× ${part.count}` : '', part.optional ? '(optional)' : ''].filter(Boolean).join(' '),
    ])),
    '',
    ...card.steps.flatMap((step) => {
      const detail = [...(step.mm !== null && step.do !== 'cut' ? [speech.length(step.mm)] : []), ...speech.stepDetail(step)];
      const check = speech.stepCheck(step);
      return [
        fold(`${String(step.n).padStart(2)}. ${speech.stepTitle(step)}: ${detail.join('; ')}`.replace(/: $/, ''), 4),
        ...(check ? [fold(`    look: ${check}`, 10)] : []),
        ...(step.caution ? [fold(`    care: ${speech.caution(step.caution)}`, 10)] : []),
      ];
    }),
  ];
  if (card.batch) {
    lines.push('', `batch of ${card.batch.count}${card.batch.minutes ? `, about ${Math.round(card.batch.minutes)} min` : ''}`);
    lines.push(columns(card.batch.lines.map((line) => [materialName(line.material), line.each === null ? speech.t('batch.by-eye') : `${Number(line.all!.toPrecision(3))}${line.unit === 'count' ? '' : ` ${line.unit}`}`])));
  }
  return lines.join('\n');
}
