import type { Card } from '../src/core/tying';
import type { Speech } from '../src/speech';
import { amountLines } from '../src/speech';
import { materialName, unusedSchools } from './shapes';
import { columns, fold } from './text';

/** A card as a page of readable text, 80 columns. */
export function cardText(card: Card, speech: Speech): string {
  const { hook } = card;
  const range = (pair: [number, number] | null) => (pair ? speech.t('cli.range', { low: speech.length(pair[0]), high: speech.length(pair[1]) }) : '');
  const lines = [
    speech.t('cli.on', { dressing: card.dressing.name, hook: `${hook.maker_name} ${hook.model_name} ${hook.size}` }),
    fold(speech.t('cli.room', { room: speech.length(card.room_mm), used: speech.length(card.used_mm), fits: card.fits ? speech.t('cli.fits') : speech.t('cli.over', { part: card.over!.part, mm: speech.length(card.over!.mm) }) })),
    ...card.hook_reasons.map((why) => fold(speech.t('cli.note', { text: speech.say(why) }), 2)),
    ...unusedSchools(card).map((note) => fold(speech.t('cli.note', { text: speech.say(note) }), 2)),
    '',
    columns(card.parts.map((part) => [
      speech.name('parts', part.part),
      part.mm === null ? (part.count === null ? '' : `${part.count}`) : speech.length(part.mm),
      range(part.range_mm),
      [part.material?.name, part.count && part.mm !== null ? `× ${part.count}` : '', part.optional ? speech.t('cli.optional') : ''].filter(Boolean).join(' '),
    ])),
    ...card.parts.flatMap((part) => amountLines(part, speech).map((line) => fold(`  ${speech.name('parts', part.part)}: ${line}`, 4))),
    ...card.threads.flatMap((thread) => thread.reasons.map((why) => fold(`  ${thread.name}: ${speech.say(why)}`, 4))),
    ...card.assemblies.flatMap((assembly) => ['', `${speech.worded(assembly.name)} × ${assembly.count}`, ...stepsText(assembly.steps, speech)]),
    '',
    ...stepsText(card.steps, speech),
  ];
  if (card.batch) {
    lines.push('', speech.t(card.batch.minutes ? 'cli.batch-minutes' : 'cli.batch', { count: card.batch.count, minutes: Math.round(card.batch.minutes ?? 0) }));
    lines.push(columns(card.batch.lines.map((line) => [materialName(line.material), line.each === null ? speech.t('batch.by-eye') : `${Number(line.all!.toPrecision(3))}${line.unit === 'count' ? '' : ` ${line.unit}`}`])));
  }
  return lines.join('\n');
}

/** Steps of a card or of what is made beforehand, folded to the page. */
function stepsText(steps: Card['steps'], speech: Speech): string[] {
  return steps.flatMap((step) => {
    const detail = [...(step.mm !== null && step.do !== 'cut' ? [speech.length(step.mm)] : []), ...speech.stepDetail(step)];
    const check = speech.stepCheck(step);
    return [
      fold(`${String(step.n).padStart(2)}. ${speech.stepTitle(step)}: ${detail.join('; ')}`.replace(/: $/, ''), 4),
      ...(check ? [fold(`    ${speech.t('cli.look', { text: check })}`, 10)] : []),
      ...(step.caution ? [fold(`    ${speech.t('cli.care', { text: speech.caution(step.caution) })}`, 10)] : []),
    ];
  });
}
