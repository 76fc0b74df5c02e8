import type { Card } from '../src/core/tying';
import type { Speech } from '../src/speech';
import { cardSheet } from '../src/speech/card';
import { materialName, unusedSchools } from './shapes';
import { columns, fold } from './text';

/** A card as a page of readable text, 80 columns: the sheet of the screen and the print, folded. */
export function cardText(card: Card, speech: Speech): string {
  const sheet = cardSheet(card, speech);
  const lines = [
    sheet.title,
    fold(sheet.sub, 2),
    ...sheet.notes.map((note) => fold(speech.t('cli.note', { text: note }), 2)),
    ...unusedSchools(card).map((note) => fold(speech.t('cli.note', { text: speech.say(note) }), 2)),
    ...sheet.sections.flatMap((section) => [
      '',
      section.title,
      ...section.lines.map((line) => fold(/^\s/.test(line) ? `  ${line}` : line, /^\s/.test(line) ? 8 : 4)),
    ]),
  ];
  if (card.batch) {
    lines.push(
      '',
      speech.t(card.batch.minutes ? 'cli.batch-minutes' : 'cli.batch', {
        count: card.batch.count,
        minutes: Math.round(card.batch.minutes ?? 0),
      }),
    );
    lines.push(
      columns(
        card.batch.lines.map((line) => [
          materialName(line.material, card),
          line.each === null
            ? speech.t('batch.by-eye')
            : `${Number(line.all!.toPrecision(3))}${line.unit === 'count' ? '' : ` ${line.unit}`}`,
        ]),
      ),
    );
  }
  return lines.join('\n');
}
