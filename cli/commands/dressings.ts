import { DRESSINGS, KNOWN, MATERIALS, STAGES, STYLES, tailsOf, TOOLS, WAYS, WORKS } from '../../src/catalogue';
import type { StageId, WaterId } from '../../src/catalogue/ids';
import ids from '../../src/catalogue/ids.json';
import { askedFor, rankDressings, readiness, type Dressing, type RankedDressing } from '../../src/core/dressings';
import { reason } from '../../src/core/code';
import type { Material } from '../../src/core/materials';
import { readDressings } from '../../src/core/exchange';
import { dressingFaults } from '../../src/core/faults';
import type { Speech } from '../../src/speech';
import { inputFault, type Flag } from '../args';
import type { Answered, Command } from '../command';
import { worded } from '../json';
import { DRESSINGS_FLAG } from '../own-dressings';
import type { Reader } from '../read';
import { STASH_FLAG, stashFrom, withStash } from '../stash';
import { columns, fold } from '../text';
import { dressingPin } from './match';

const FLAGS: readonly Flag[] = [
  { name: 'order', takes: 'one', value: 'ID', help: 'order of the natural' },
  { name: 'stage', takes: 'one', value: 'ID', help: 'life stage' },
  { name: 'length', takes: 'one', value: 'LEN', help: 'body of the natural' },
  { name: 'water', takes: 'one', value: 'fast|slow|still', help: 'water to fish' },
  { name: 'ride', takes: 'one', value: 'ID', help: 'only this ride' },
  STASH_FLAG,
  { name: 'all', takes: 'nothing', help: 'check the shipped library' },
  DRESSINGS_FLAG,
];

const CATALOGUE = { styles: STYLES, stages: STAGES, materials: MATERIALS, ways: WAYS, tools: TOOLS, tailsOf };

/** What dressings are judged by, with the materials of the tier's own. */
const withMaterials = (materials: readonly Material[]) => ({ ...CATALOGUE, materials });

interface Summarised {
  json: unknown;
  dressing: Dressing;
  score: number | null;
}

function summary(
  dressing: Dressing,
  ranked: RankedDressing | null,
  have: ReadonlySet<string> | null,
  materials: readonly Material[],
  speech: Speech,
): Summarised {
  const ready = readiness(dressing, have, materials);
  const why = ranked?.why ?? (ready.reason ? [ready.reason] : []);
  return {
    dressing,
    score: ranked?.score ?? null,
    json: worded(
      {
        id: dressing.id,
        name: dressing.name,
        stages: dressing.stages.map((id) => ({ order: id.split('/')[0], stage: id.split('/')[1] })),
        length_mm: dressing.length_mm,
        ride: dressing.ride,
        waters: dressing.waters,
        minutes: dressing.minutes,
        skill: dressing.skill,
        evidence: dressing.evidence,
        score: ranked?.score ?? null,
        why,
      },
      speech,
    ),
  };
}

function list(read: Reader, speech: Speech): Answered | null {
  const order = read.flagId<string>('order', ids.orders);
  const stage = read.stage() as StageId | null;
  const length = read.length('length', read.one('length'));
  const water = read.flagId<WaterId>('water', ids.waters);
  const ride = read.flagId<string>('ride', ids.rides);
  const have = stashFrom(read);
  if (read.faults.length > 0) return null;
  const { dressings, materials } = withStash(read);
  const library = dressings.filter((dressing) => ride === null || dressing.ride === ride);
  const rows = stage
    ? rankDressings(
        library,
        askedFor(stage, { lengthMm: length, water, picking: { stash: have } }),
        withMaterials(materials),
      ).map((ranked) => summary(ranked.dressing, ranked, have, materials, speech))
    : [...library]
        .filter((dressing) => order === null || dressing.stages.some((id) => id.startsWith(`${order}/`)))
        .sort((a, b) => (a.id < b.id ? -1 : 1))
        .map((dressing) => summary(dressing, null, have, materials, speech));
  return {
    json: { dressings: rows.map((row) => row.json) },
    text:
      rows.length === 0
        ? speech.t('cli.no-dressing')
        : columns(
            rows.map(({ dressing, score }) => [
              dressing.id,
              score === null ? '' : score.toFixed(2),
              `${speech.length(dressing.length_mm[0])}–${speech.length(dressing.length_mm[1])}`,
              dressing.stages.map((id) => speech.plain('stages', id)).join(', '),
            ]),
          ),
    exit: 0,
  };
}

function why(read: Reader, speech: Speech): Answered | null {
  const id = dressingPin(read, read.words[1] ?? null);
  if (read.words[1] === undefined) read.fault(inputFault('dressing', 'flag-missing', null));
  read.needed('stage');
  const stage = read.stage() as StageId | null;
  const length = read.length('length', read.one('length'));
  const water = read.flagId<WaterId>('water', ids.waters);
  const have = stashFrom(read);
  if (read.faults.length > 0 || id === null || stage === null) return null;
  const asked = askedFor(stage, { lengthMm: length, water, picking: { stash: have } });
  const { dressings, materials } = withStash(read);
  const catalogue = withMaterials(materials);
  const ranked = rankDressings(dressings, asked, catalogue);
  const own =
    ranked.find((item) => item.dressing.id === id) ??
    rankDressings(
      dressings.filter((dressing) => dressing.id === id),
      asked,
      catalogue,
    )[0]!;
  const chosen = ranked[0]?.dressing.id === id;
  return {
    json: worded({ id, chosen, score: own.score, reasons: own.why }, speech),
    text: [
      `${own.dressing.name}: ${chosen ? 'chosen' : `not chosen; first is ${ranked[0]!.dressing.name}`}, score ${own.score.toFixed(2)}`,
      ...own.why.map((item) => fold(`- ${speech.say(item)}`, 2)),
    ].join('\n'),
    exit: 0,
  };
}

interface Problem {
  line: number | null;
  column: string | null;
  record: string | null;
  rule: string;
  message: string;
  got: string | null;
  accepted: string | null;
}

/** What the checker finds in a dressing that has the right shape. */
function faultsOf(dressing: Dressing, materials: readonly Material[], speech: Speech): Problem[] {
  return dressingFaults(dressing, withMaterials(materials)).map((fault) => ({
    line: null,
    column: fault.step === null ? (fault.part === null ? null : `parts.${fault.part}`) : `steps[${fault.step - 1}]`,
    record: dressing.id,
    rule: fault.code,
    message: speech.say(
      reason(fault.code, {
        ...fault.params,
        step: fault.step,
        part: fault.part ?? (fault.params.part as string | undefined) ?? '',
      }),
      'check',
    ),
    got: null,
    accepted: null,
  }));
}

function check(read: Reader, speech: Speech): Answered | null {
  const path = read.words[1] ?? null;
  if (path === null && !read.has('all')) {
    read.fault(inputFault('file', 'flag-missing', null));
    return null;
  }
  const text = path === null ? null : read.file('file', path);
  const found =
    path === null
      ? { dressings: [...DRESSINGS], problems: [], materials: [], count: DRESSINGS.length, fault: null, version: null }
      : text === null
        ? null
        : readDressings(text, KNOWN, WORKS);
  if (found?.fault)
    read.fault(
      inputFault('file', found.fault, found.version === null ? null : String(found.version), {
        params: { version: found.version },
      }),
    );
  if (found === null || read.faults.length > 0) return null;
  const misshapen: Problem[] = found.problems.map(({ record, path: column, message }) => ({
    line: null,
    column,
    record,
    rule: 'schema',
    message,
    got: null,
    accepted: null,
  }));
  const perRecord = found.dressings.map((dressing) => faultsOf(dressing, [...MATERIALS, ...found.materials], speech));
  const bad =
    new Set(misshapen.map((problem) => problem.record)).size +
    perRecord.filter((problems) => problems.length > 0).length;
  const problems = [...misshapen, ...perRecord.flat()];
  const file = path ?? 'src/catalogue/dressings';
  return {
    json: { file, rows: found.count, good: found.count - bad, bad, problems },
    text: [
      `${file}: ${found.count} dressings, ${found.count - bad} good, ${bad} bad`,
      ...problems.map((problem) =>
        fold(`- ${problem.record} ${problem.column ?? ''} ${problem.rule}: ${problem.message}`, 2),
      ),
    ].join('\n'),
    exit: bad > 0 ? 2 : 0,
  };
}

export const dressingsCommand: Command = {
  name: 'dressings',
  summary: 'the library: list, why ID, check FILE',
  flags: FLAGS,
  words: ['list|why|check', 'ID|FILE'],
  example: 'aubade dressings --order mayfly --stage dun --length 8.2',
  shape: '{ dressings: Summary[] } | { id, chosen, score, reasons[] } | { file, rows, good, bad, problems[] }',
  run(read, speech) {
    const verb = read.words[0];
    if (verb === undefined || verb === 'list') return list(read, speech);
    if (verb === 'why') return why(read, speech);
    if (verb === 'check') return check(read, speech);
    read.fault(
      inputFault('command', 'command-unknown', `dressings ${verb}`, {
        params: { nearest: `dressings ${read.nearest(verb, ['list', 'why', 'check'])}` },
        allowed: ['list', 'why', 'check'],
      }),
    );
    return null;
  },
};
