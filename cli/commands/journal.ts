import { DRESSINGS } from '../../src/catalogue';
import { flyStats, outingFaults, NONE_LOGGED, type Flown } from '../../src/core/outing';
import { roundAll } from '../../src/core/units';
import {
  hoursOn,
  matchesOf,
  outingsLatest,
  timesOf,
  type Entities,
  type OutingRecord,
  type TeamFly,
} from '../../src/records';
import { readAnyBackup } from '../../src/records/backup';
import type { Speech } from '../../src/speech';
import { inputFault } from '../args';
import type { Answered, Command } from '../command';
import { entitiesOf } from '../entities';
import type { Reader } from '../read';
import { columns, fold } from '../text';
import { backupBytes } from './backup';

const VERBS = ['stats', 'check'] as const;

/** When a journal ends: a fly of an outing that was never ended fished until the last thing that happened there. */
const lastOf = ({ start, end, tally }: OutingRecord) => end ?? tally.latest[0]?.event.at ?? start;

/** What a fly of an outing did, put to what stands under a key already. */
function put(all: Map<string, Flown>, key: string, kind: string | null, own: OutingRecord, fly: TeamFly): void {
  const known = all.get(key) ?? { fly: key, kind, hours: 0, takes: 0, hooked: 0, refused: 0 };
  const counts = own.tally.of[fly.id] ?? NONE_LOGGED;
  all.set(key, {
    ...known,
    hours: known.hours + hoursOn(own, fly, lastOf(own)),
    takes: known.takes + counts.took + counts['lost-fish'],
    hooked: known.hooked + counts.took,
    refused: known.refused + counts.refused,
  });
}

/** What each fly did over all outings, by its dressing, or by its name where it has none. */
function flown({ outing }: Entities): Flown[] {
  const styles = new Map(DRESSINGS.map(({ id, style }) => [id, style]));
  const all = new Map<string, Flown>();
  for (const own of Object.values(outing))
    for (const fly of own.team) {
      const key = fly.dressingId ?? fly.name;
      put(all, key, styles.get(key) ?? null, own, fly);
    }
  return [...all.values()].sort((a, b) => b.takes - a.takes || a.fly.localeCompare(b.fly));
}

/** What came of flies by why their match was tied as it was: each fly of an outing goes with the first natural found there that it is for. */
function byIntent({ outing, match, sample }: Entities): Flown[] {
  const stagesOf = new Map(DRESSINGS.map(({ id, stages }) => [id, stages as readonly string[]]));
  const all = new Map<string, Flown>();
  for (const [id, own] of Object.entries(outing)) {
    const answers = matchesOf({ match, sample }, id).flatMap((matchId) => {
      const { answers: given, leading } = match[matchId]!;
      return given.filter((answer) => answer.id === leading && answer.stage);
    });
    for (const fly of own.team) {
      const stages = stagesOf.get(fly.dressingId ?? '') ?? [];
      const answer = answers.find(({ stage }) => stages.includes(stage!));
      if (answer) put(all, answer.offset.intent, null, own, fly);
    }
  }
  return [...all.values()].sort((a, b) => a.fly.localeCompare(b.fly));
}

function stats(entities: Entities, speech: Speech): Answered {
  const outings = Object.values(entities.outing);
  const flies = flyStats(flown(entities));
  const events = outings.reduce((sum, { tally }) => sum + tally.events, 0);
  return {
    json: roundAll({
      outings: outings.length,
      events,
      flies: flies.map(({ fly, hours, takes, hooked, refused, perHour, rate, toward }) => ({
        fly,
        hours,
        takes,
        takes_per_hour: perHour,
        hooked,
        refused,
        rate,
        shrunk_toward: toward,
      })),
      offsets: flyStats(byIntent(entities)).map(({ fly, rate, takes, refused }) => ({
        intent: fly,
        ...rate,
        n: takes + refused,
      })),
    }),
    text: () =>
      [
        speech.t('cli.journal', { count: outings.length, events }),
        '',
        columns(
          flies.map(({ fly, hours, takes, refused, perHour }) => [
            fly,
            speech.t('cli.journal-fly', {
              hours: hours.toFixed(1),
              takes,
              refused,
              mean: perHour.mean.toFixed(2),
              low: perHour.low.toFixed(2),
              high: perHour.high.toFixed(2),
            }),
          ]),
        ),
      ].join('\n'),
    exit: 0,
  };
}

function check(path: string, { outing }: Entities, speech: Speech): Answered {
  const all = outingsLatest(outing).map((id) => timesOf(id, outing[id]!));
  const problems = all.flatMap((times) =>
    outingFaults(times, all).map((fault) => ({
      line: null,
      column: null,
      record: times.id,
      rule: fault.code,
      message: speech.say(fault, 'fault'),
      got: times.start,
      accepted: null,
    })),
  );
  const bad = new Set(problems.map(({ record }) => record)).size;
  return {
    json: { file: path, rows: all.length, good: all.length - bad, bad, problems },
    text: [
      speech.t('cli.journal-check', { count: all.length, bad }),
      ...problems.map(({ record, message }) => fold(`- ${record}: ${message}`, 2)),
    ].join('\n'),
    exit: bad > 0 ? 2 : 0,
  };
}

function entitiesFrom(read: Reader, path: string): Entities | null {
  const bytes = backupBytes(read, 'file', path);
  if (bytes === null) return null;
  const result = readAnyBackup(bytes);
  if (result.ok) return entitiesOf(result.backup);
  return read.fault(inputFault('file', result.fault.code, path, { params: result.fault.params }));
}

export const journalCommand: Command = {
  name: 'journal',
  summary: 'what each fly did on the outings of a backup, and whether their times can be',
  flags: [],
  words: ['stats|check', 'FILE'],
  example: 'aubade journal stats aubade-2033-06-01.zip',
  shape: '{ outings, events, flies[], offsets[] }',
  run(read, speech) {
    const [verb, path] = read.words;
    const known = read.id<(typeof VERBS)[number]>(
      'journal',
      verb ?? '',
      VERBS.map((id) => ({ id, name: id })),
    );
    if (known === null) return null;
    if (path === undefined) return read.fault(inputFault('file', 'flag-missing', null));
    const entities = entitiesFrom(read, path);
    if (entities === null) return null;
    return known === 'stats' ? stats(entities, speech) : check(path, entities, speech);
  },
};
