import { answer, secondsTo, type Answer } from '../../src/core/answer';
import type { Speech } from '../../src/speech';
import { inputFault } from '../args';
import { catalogueFor, ownedFrom } from '../catalogue';
import { cardText } from '../card-text';
import type { Command } from '../command';
import { libraryFor } from '../own-dressings';
import type { Reader } from '../read';
import { CHOICE_FLAGS, choicesFrom, chosenFor, NATURAL_FLAGS, naturalFrom } from '../sample';
import { matchOut, unusedSchools } from '../shapes';
import { columns, fold } from '../text';

const TOP = 12;

/** A pinned hook by id; a wrong one names the nearest. */
export function hookPin(read: Reader, hooks: readonly { id: string }[], name = 'hook'): string | null {
  const text = read.one(name);
  if (text === null) return null;
  const wanted = text.trim().toLowerCase().replaceAll('/', '-');
  const found = hooks.find((hook) => hook.id.toLowerCase() === wanted);
  return found
    ? found.id
    : read.fault(
        inputFault(name, 'hook-unknown', text, {
          params: {
            nearest: read.nearest(
              wanted,
              hooks.map((hook) => hook.id),
            ),
          },
        }),
      );
}

/** A dressing by id or name. */
export function dressingPin(read: Reader, text: string | null, field = 'dressing'): string | null {
  if (text === null) return null;
  const wanted = text.trim().toLowerCase();
  const library = libraryFor(read);
  const found = library.find((dressing) => dressing.id === wanted || dressing.name.toLowerCase() === wanted);
  return found
    ? found.id
    : read.fault(
        inputFault(field, 'dressing-unknown', text, {
          params: {
            nearest: read.nearest(
              wanted,
              library.map((dressing) => dressing.id),
            ),
          },
          allowed: library.map((dressing) => dressing.id),
        }),
      );
}

function text(result: Answer, top: number, speech: Speech): string {
  const { natural } = result;
  const hookName = (hook: { maker_name: string; model_name: string; size: string }) =>
    `${hook.maker_name} ${hook.model_name} ${hook.size}`;
  const lines = [
    fold(
      speech.t('cli.measured', {
        stage: speech.name('stages', natural.stage),
        mean: speech.length(natural.length.meanMm),
        low: speech.length(natural.length.ci95Mm[0]),
        high: speech.length(natural.length.ci95Mm[1]),
        n: natural.length.n,
        style: speech.plain('styles', result.style.id),
        target: speech.length(result.target_mm),
      }),
      2,
    ),
  ];
  if (result.none_fits) lines.push(fold(speech.say(result.none_fits.message), 2));
  lines.push(
    '',
    columns(
      result.hooks
        .slice(0, top)
        .map((hook) => [
          hookName(hook),
          `${hook.estimated.includes('shank_mm') ? `${speech.t('about')} ` : ''}${speech.length(hook.carry_mm)}`,
          speech.t('cli.reads', { n: hook.reads.toFixed(1) }),
          `${hook.length_steps! >= 0 ? '+' : '−'}${Math.abs(hook.length_steps!).toFixed(1)}`,
          [
            `${Math.round(hook.probability! * 100)} %`,
            hook.pinned ? speech.t('cli.pinned') : '',
            hook.owned > 0 ? speech.t('cli.in-drawer', { count: hook.owned }) : '',
          ]
            .filter(Boolean)
            .join(' '),
        ]),
    ),
  );
  if (result.dressing)
    lines.push(
      '',
      fold(
        speech.t('cli.dressing', {
          name: result.dressing.name,
          why: result.dressing.why.map((reason) => speech.say(reason)).join('; '),
        }),
        2,
      ),
    );
  const others = secondsTo(result);
  if (others.length > 0)
    lines.push(
      fold(
        speech.t('cli.also', {
          names: others
            .slice(0, 4)
            .map((other) => other.name)
            .join(', '),
        }),
        2,
      ),
    );
  for (const warning of result.warnings) lines.push(fold(speech.t('cli.note', { text: speech.say(warning) }), 2));
  if (result.card) lines.push('', cardText(result.card, speech));
  return lines.join('\n');
}

export const matchCommand: Command = {
  name: 'match',
  summary: 'one natural: hooks of every maker, a dressing, a card',
  flags: [
    ...NATURAL_FLAGS,
    { name: 'overall-length', takes: 'one', value: 'LEN', help: 'with folded wings' },
    { name: 'case-length', takes: 'one', value: 'LEN', help: 'case, front rim to rear' },
    { name: 'sex', takes: 'one', value: 'male|female|mixed', help: 'of the individuals' },
    { name: 'method', takes: 'one', value: 'calliper|typed|ruler|glass|photo|eye', help: 'how it was measured' },
    { name: 'surface', takes: 'one', value: 'dry|wet', help: 'surface of the colours' },
    { name: 'water', takes: 'one', value: 'fast|slow|still', help: 'water to fish' },
    { name: 'barbless', takes: 'nothing', help: 'the same as --barb barbless' },
    { name: 'intent', takes: 'one', value: 'ID', help: 'why the size is offset' },
    { name: 'owned', takes: 'nothing', help: 'only hooks in the drawer' },
    { name: 'drawer', takes: 'one', value: 'FILE', help: 'maker,model,size,count' },
    { name: 'only-catalogue', takes: 'nothing', help: '--catalogue replaces the shipped hooks' },
    { name: 'maker', takes: 'many', value: 'ID', help: 'only these makers' },
    { name: 'hook', takes: 'one', value: 'ID', help: 'pin a hook' },
    { name: 'dressing', takes: 'one', value: 'ID', help: 'pin a dressing' },
    { name: 'top', takes: 'one', value: 'N', help: 'hooks to list (12)' },
    ...CHOICE_FLAGS,
  ],
  words: [],
  example: 'aubade match --order mayfly --stage dun --length 8.2 --length 8.6 --length 8.0',
  shape: '{ natural, style, hooks[], by_maker, none_fits, holds, dressing, alternatives[], card, warnings[] }',
  run(read, speech) {
    const noted = naturalFrom(read);
    for (const name of ['stage'] as const) read.needed(name);
    if (
      read.many('length').length + read.many('case-length').length + read.many('overall-length').length === 0 &&
      !read.faults.some((fault) => fault.field.endsWith('length'))
    )
      read.fault(inputFault('length', 'length-needed', null));
    const choices = choicesFrom(read, ownedFrom(read));
    const catalogue = catalogueFor(read, choices.schools['x-label']);
    const makers = [
      ...new Map(catalogue.hooks.map((hook) => [hook.maker, { id: hook.maker, name: hook.makerName }])).values(),
    ];
    const wanted = read.many('maker').flatMap((maker) => read.id<string>('maker', maker, makers) ?? []);
    const pin = hookPin(read, catalogue.hooks);
    const dressing = dressingPin(read, read.one('dressing'));
    const top = read.number('top', [1, 100000], true) ?? TOP;
    if (read.faults.length > 0 || noted === null) return null;
    const answered = answer(
      noted.sample,
      chosenFor(noted, { ...choices, makers: wanted, hookPin: pin, dressingPin: dressing }),
      catalogue,
      top,
    );
    const result = { ...answered, warnings: [...answered.warnings, ...unusedSchools(answered.card)] };
    return { json: matchOut(result, top, speech), text: () => text(result, top, speech), exit: 0 };
  },
};
