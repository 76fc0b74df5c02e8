import ids from '../../src/catalogue/ids.json';
import type { FaunaId, WaterId } from '../../src/catalogue/ids';
import { ANSWERS, CASE, GROWING_ON, KEY } from '../../src/catalogue/key';
import likelihoods from '../../src/catalogue/likelihoods.json';
import { insectOf, NOTHING_NOTED, sightingOf, type Natural } from '../../src/core/case';
import { BELLY } from '../../src/core/constants';
import {
  believe,
  byGroup,
  byStage,
  growingOn,
  leadsTo,
  lookalike,
  nextSign,
  weightsOfEvidence,
  SURE,
  type Sighting,
} from '../../src/core/belief';
import { roundAll } from '../../src/core/units';
import type { Speech } from '../../src/speech';
import type { Command } from '../command';
import type { Reader } from '../read';
import { whenOf } from '../sample';
import { answersOf, ASKED, signsOf } from '../signs';
import { columns, fold } from '../text';

function sightingFrom(read: Reader): Sighting {
  const heard = signsOf(read);
  const month = read.number('month', [1, 12], true) ?? (heard.has('month') ? Number(heard.get('month')) : null);
  const water = read.flagId<WaterId>('water', ids.waters) ?? heard.get('water') ?? null;
  for (const [flag, entries] of [
    ['found', ids.found],
    ['doing', ids.doing],
    ['light', ids.lights],
  ] as const) {
    const id = read.flagId<string>(flag, entries);
    if (id) heard.set(flag, id);
  }
  const length = read.length('length', read.one('length'));
  const caseLength = read.length('case-length', read.one('case-length'));
  const belly = read.colour('belly', read.one('belly'));
  heard.delete('month');
  heard.delete('water');
  const natural: Natural = {
    ...NOTHING_NOTED,
    when: whenOf(month),
    water: water as WaterId | null,
    signs: Object.fromEntries(heard),
    seen: read.many('seen').flatMap((seen) => read.id<string>('seen', seen, ids.seen) ?? []),
    rise: read.flagId<string>('rise', ids['rise-forms']),
    specimens: length === null ? [] : [insectOf(length)],
    case: { mm: caseLength },
    colours: belly ? { [BELLY]: belly.hex } : {},
  };
  return sightingOf(natural, { south: read.has('south'), fauna: read.flagId<FaunaId>('region', ids.faunas) }, CASE);
}

const split = (stage: string) => ({ order: stage.split('/')[0]!, stage: stage.split('/')[1]! });

/** `StageOut` of docs/cli.md. */
function stageOut(sighting: Sighting, speech: Speech) {
  const belief = believe(KEY, sighting);
  const odds = byStage(KEY, belief);
  const next = nextSign(KEY, sighting, belief);
  const like = lookalike(KEY, sighting, belief);
  const becomes =
    sighting.lengthMm && 'mm' in sighting.lengthMm
      ? growingOn(GROWING_ON, odds[0]!.stage, sighting.lengthMm.mm, (stage) =>
          leadsTo(KEY, belief, odds[0]!.stage, stage),
        ).filter((grown) => grown.direction === 'later')
      : [];
  return {
    posterior: odds.map(({ stage, p }) => ({ ...split(stage), p })),
    groups: sighting.south
      ? []
      : byGroup(KEY, belief).map(({ group, p }) => ({
          id: group.id,
          name: group.name,
          scientific: group.scientific,
          p,
        })),
    because: weightsOfEvidence(KEY, sighting, belief).map(({ sign, answer, stage, bits }) => ({
      sign,
      answer,
      for: KEY.ids[stage]!,
      bits,
    })),
    next: next
      ? {
          sign: next.sign,
          question: speech.ask(next.sign),
          answers: ANSWERS[next.sign].map((id) => ({ id, text: speech.answer(next.sign, id) })),
          gain_bits: next.bits,
        }
      : null,
    lookalike: like ? { ...split(KEY.ids[like.stage]!), p: belief.p[like.stage]!, separate_by: like.separateBy } : null,
    certain: odds[0]!.p >= SURE,
    becomes:
      becomes.length > 0
        ? becomes.map((grown) => ({ ...split(grown.stage), length_mm: [grown.lowMm, grown.highMm] }))
        : null,
  };
}

function text(out: ReturnType<typeof stageOut>, sighting: Sighting, speech: Speech): string {
  const percent = (p: number) => `${Math.round(p * 100)} %`;
  const lines = [
    columns(
      out.posterior
        .filter(({ p }) => p >= 0.01)
        .slice(0, 6)
        .map(({ order, stage, p }) => [speech.name('stages', `${order}/${stage}`), percent(p)]),
    ),
  ];
  lines.push(
    '',
    fold(speech.t('ui.key.weights', { evidence: speech.plain('evidence', likelihoods.sources.signs.evidence) })),
  );
  if (out.because.length > 0)
    lines.push(
      '',
      columns(
        out.because.map(({ sign, answer, bits }) => [
          speech.said(sign, answer),
          `${bits >= 0 ? '+' : '-'}${Math.abs(bits).toFixed(1)} bits`,
        ]),
      ),
    );
  if (out.groups.length > 0)
    lines.push('', columns(out.groups.slice(0, 5).map((group) => [group.name, group.scientific, percent(group.p)])));
  if (sighting.south) lines.push('', speech.t('cli.south'));
  if (out.next) lines.push('', `${speech.t('cli.next')}: ${out.next.question}`);
  if (out.lookalike)
    lines.push(
      `${speech.t('cli.lookalike')}: ${speech.plain('stages', `${out.lookalike.order}/${out.lookalike.stage}`)} (${speech.ask(out.lookalike.separate_by)})`,
    );
  for (const grown of out.becomes ?? [])
    lines.push(
      `${speech.t('cli.becomes')} ${speech.plain('stages', `${grown.order}/${grown.stage}`)}, ${speech.t('cli.range', { low: speech.length(grown.length_mm[0]!), high: speech.length(grown.length_mm[1]!) })}`,
    );
  return lines.join('\n');
}

export const stageCommand: Command = {
  name: 'stage',
  summary: 'tell the order and stage of an insect by its signs',
  flags: [
    { name: 'sign', takes: 'many', value: 'NAME=ANSWER', help: 'a sign; unknown takes it back' },
    { name: 'seen', takes: 'many', value: 'ID', help: 'seen on the water' },
    { name: 'rise', takes: 'one', value: 'ID', help: 'form of the rises' },
    { name: 'region', takes: 'one', value: 'ID', help: 'palearctic-west, nearctic-east, nearctic-west' },
    { name: 'found', takes: 'one', value: 'ID', help: 'where it was' },
    { name: 'doing', takes: 'one', value: 'ID', help: 'what it was doing' },
    { name: 'light', takes: 'one', value: 'ID', help: 'first-light, day, last-light, night' },
    { name: 'water', takes: 'one', value: 'ID', help: 'fast, slow, still' },
    { name: 'month', takes: 'one', value: '1-12', help: 'month of the calendar' },
    { name: 'north', takes: 'nothing', help: 'north of the equator (the default)' },
    { name: 'south', takes: 'nothing', help: 'south of the equator' },
    { name: 'length', takes: 'one', value: 'LEN', help: 'body length' },
    { name: 'case-length', takes: 'one', value: 'LEN', help: 'case, front rim to rear' },
    { name: 'belly', takes: 'one', value: 'COL', help: 'colour of the belly' },
    { name: 'list-signs', takes: 'nothing', help: 'every sign with its answers' },
  ],
  words: [],
  example: 'aubade stage --sign wings=cloudy-upright --sign tails=2 --month 5 --length 8.2',
  shape: '{ posterior[], groups[], because[], next, lookalike, certain, becomes }',
  run(read, speech) {
    if (read.has('list-signs')) {
      const signs = ASKED.map((id) => ({
        id,
        question: speech.ask(id),
        answers: answersOf(id).map((answer) => ({
          id: answer,
          text: id === 'month' ? answer : speech.answer(id, answer),
        })),
      }));
      return {
        json: { signs },
        text: signs
          .map(
            (sign) =>
              `${sign.id}: ${sign.question}\n${columns(sign.answers.map((answer) => [`  ${answer.id}`, answer.text]))}`,
          )
          .join('\n'),
        exit: 0,
      };
    }
    const sighting = sightingFrom(read);
    if (read.faults.length > 0) return null;
    const out = stageOut(sighting, speech);
    return { json: roundAll(out), text: () => text(out, sighting, speech), exit: 0 };
  },
};
