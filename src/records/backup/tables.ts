import { HOOK_COLUMNS } from '@/core/exchange/column-map';
import { groupsTable } from '@/core/exchange/groups-file';
import { hooksTable } from '@/core/exchange/hooks-file';
import { writeTable } from '@/core/exchange/table';
import { secondsOn } from '../batch/queries';
import { heldOf } from '../fly/queries';
import { ownGroups } from '../group/queries';
import type { Entities } from '../kinds';
import type { EventOp, EventTypes, OwnerKind } from '../ledger';
import { rowsOf } from '../model/queries';
import { leftInPacket } from '../packet/queries';
import type { SampleRecord } from '../sample/schema';
import { leftOf } from '../stash/queries';

type Cell = string | number | null;
type Row = Record<string, Cell>;

/** Records of one kind as a table of plain cells, to be read by a spreadsheet; the JSON beside it is what is read back. */
export interface BackupTable {
  headings: readonly string[];
  rows: Row[];
}

const BETWEEN = ' ';
const pairs = (map: Readonly<Record<string, string | undefined>>) =>
  Object.entries(map)
    .map(([key, value]) => `${key}=${value}`)
    .join(BETWEEN);

/** Lengths that count, mm: of every individual that was measured and not left out. */
function lengthsOf({ specimens }: SampleRecord): number[] {
  return specimens.flatMap(({ body, out }) => (out === null && body.mm !== null ? [body.mm] : []));
}

const rounded = (value: number) => Math.round(value * 1000) / 1000;

function meanOf(lengths: readonly number[]): number | null {
  return lengths.length === 0 ? null : rounded(lengths.reduce((sum, mm) => sum + mm, 0) / lengths.length);
}

const eventsOf = <K extends OwnerKind>(events: readonly EventOp[], kind: K) =>
  events.filter((op): op is EventOp & { kind: K; event: EventTypes[K] } => op.kind === kind && op.on);

/** A table from rows that all name the same columns, in that order. */
function table(headings: readonly string[], rows: Row[]): BackupTable {
  return { headings, rows };
}

/** Tables by name. Every heading stands in docs/formats/backup.md. */
export const TABLES = {
  samples: ({ sample, match }: Entities) => {
    const stages = new Map(
      Object.values(match).map((own) => [
        own.sampleId,
        own.answers.find((answer) => answer.id === own.leading)?.stage ?? null,
      ]),
    );
    return table(
      [
        'sample',
        'when',
        'place',
        'water',
        'stage',
        'surface',
        'method',
        'sex',
        'individuals',
        'mean_mm',
        'lengths_mm',
        'case_mm',
        'overall_mm',
        'rough_mm',
        'colours',
        'colour_words',
        'signs',
        'rise',
        'seen',
        'found',
        'doing',
        'photos',
      ],
      Object.entries(sample).map(([id, own]) => {
        const lengths = lengthsOf(own);
        return {
          sample: id,
          when: own.when,
          place: own.place,
          water: own.water,
          stage: stages.get(id) ?? null,
          surface: own.surface,
          method: own.method,
          sex: own.sex,
          individuals: lengths.length,
          mean_mm: meanOf(lengths),
          lengths_mm: lengths.join(BETWEEN),
          case_mm: own.case.mm,
          overall_mm: own.overall.mm,
          rough_mm: own.rough?.mm ?? null,
          colours: pairs(own.colours),
          colour_words: pairs(own.shades),
          signs: pairs(own.signs),
          rise: own.rise,
          seen: own.seen.join(BETWEEN),
          found: own.found,
          doing: own.doing,
          photos: own.photos.length,
        };
      }),
    );
  },
  matches: ({ match }: Entities) =>
    table(
      [
        'match',
        'title',
        'opened',
        'sample',
        'answer',
        'leads',
        'stage',
        'hook',
        'dressing',
        'sizes',
        'intent',
        'follows',
      ],
      Object.entries(match).flatMap(([id, own]) =>
        own.answers.map((answer) => ({
          match: id,
          title: own.title,
          opened: own.opened,
          sample: own.sampleId,
          answer: answer.id,
          leads: answer.id === own.leading ? 'yes' : 'no',
          stage: answer.stage,
          hook: answer.hookId,
          dressing: answer.dressingId,
          sizes: answer.offset.sizes,
          intent: answer.offset.intent,
          follows: own.parentId,
        })),
      ),
    ),
  boxes: ({ box }: Entities) =>
    table(
      ['box', 'name', 'rows', 'columns', 'carried'],
      Object.entries(box).map(([id, own]) => ({
        box: id,
        name: own.name,
        rows: own.rows,
        columns: own.columns,
        carried: own.carried ? 'yes' : 'no',
      })),
    ),
  flies: ({ fly, box }: Entities) =>
    table(
      [
        'fly',
        'name',
        'dressing',
        'revision',
        'hook',
        'stage',
        'length_mm',
        'colour_words',
        'ride',
        'box',
        'compartment',
        'left',
        'low',
      ],
      Object.entries(fly).flatMap(([id, own]) =>
        heldOf(own).map((place) => ({
          fly: id,
          name: own.name,
          dressing: own.dressingId,
          revision: own.dressingRev,
          hook: own.hookId,
          stage: own.stage,
          length_mm: own.lengthMm,
          colour_words: own.shade,
          ride: own.ride,
          box: box[place.boxId]?.name ?? place.boxId,
          compartment: place.slot,
          left: place.left,
          low: own.low,
        })),
      ),
    ),
  'fly-moves': (_: Entities, events: readonly EventOp[]) =>
    table(
      ['fly', 'at', 'box', 'compartment', 'count', 'why', 'result', 'match'],
      eventsOf(events, 'fly').map(({ owner, event }) => ({
        fly: owner,
        at: event.at,
        box: event.boxId,
        compartment: event.slot,
        count: event.count,
        why: event.why,
        result: event.result ?? null,
        match: event.matchId ?? null,
      })),
    ),
  packets: ({ packet }: Entities) =>
    table(
      ['packet', 'maker', 'model', 'size', 'count', 'low', 'label', 'note'],
      Object.entries(packet).map(([id, own]) => {
        const [maker, model, size] = own.hookId.split(':') as [string, string, string];
        return {
          packet: id,
          maker,
          model,
          size,
          count: leftInPacket(own),
          low: own.low,
          label: own.label,
          note: own.note,
        };
      }),
    ),
  'packet-moves': (_: Entities, events: readonly EventOp[]) =>
    table(
      ['packet', 'at', 'count', 'why'],
      eventsOf(events, 'packet').map(({ owner, event }) => ({
        packet: owner,
        at: event.at,
        count: event.count,
        why: event.why,
      })),
    ),
  stash: ({ stash }: Entities) =>
    table(
      ['material', 'shade', 'hex', 'label', 'amount', 'low', 'place', 'note'],
      Object.values(stash).map((own) => ({
        material: own.materialId,
        shade: own.shadeId ?? own.shade,
        hex: own.hex,
        label: own.label,
        amount: leftOf(own),
        low: own.low,
        place: own.place,
        note: own.note,
      })),
    ),
  'stash-moves': (_: Entities, events: readonly EventOp[]) =>
    table(
      ['stash', 'at', 'count', 'why'],
      eventsOf(events, 'stash').map(({ owner, event }) => ({
        stash: owner,
        at: event.at,
        count: event.count,
        why: event.why,
      })),
    ),
  sessions: ({ batch }: Entities) =>
    table(
      ['session', 'opened', 'ended', 'for', 'water', 'dressing', 'hook', 'wanted', 'made', 'spoiled', 'minutes', 'why'],
      Object.entries(batch).flatMap(([id, own]) =>
        own.items.map((item) => {
          const flies = Object.values(own.flies).filter((fly) => fly.item === item.id);
          const spoiled = flies.filter(({ state }) => state === 'spoiled');
          return {
            session: id,
            opened: own.opened,
            ended: own.ended,
            for: own.forName,
            water: own.forWater,
            dressing: item.card.dressing.id,
            hook: item.card.hook.id,
            wanted: item.count,
            made: flies.filter(({ state }) => state === 'made').length,
            spoiled: spoiled.length,
            minutes: rounded(flies.reduce((sum, fly) => sum + secondsOn(item, fly).seconds, 0) / 60),
            why: spoiled.map(({ why }) => why).join(BETWEEN),
          };
        }),
      ),
    ),
  inspections: ({ batch }: Entities) =>
    table(
      ['session', 'dressing', 'fly', 'part', 'mm', 'card_mm', 'how'],
      Object.entries(batch).flatMap(([id, own]) =>
        Object.values(own.measured).map(({ item, n, kind, mm, targetMm, how }) => ({
          session: id,
          dressing: own.items.find((one) => one.id === item)?.card.dressing.id ?? null,
          fly: n,
          part: kind,
          mm: rounded(mm),
          card_mm: rounded(targetMm),
          how,
        })),
      ),
    ),
  waters: ({ water }: Entities) =>
    table(
      [
        'water',
        'name',
        'kind',
        'flies',
        'barb',
        'lead',
        'bead',
        'weight',
        'indicator',
        'hook_largest',
        'hook_longest_mm',
        'permit',
        'note',
      ],
      Object.entries(water).map(([id, own]) => ({
        water: id,
        name: own.name,
        kind: own.kind,
        flies: own.maxFlies,
        barb: own.barbRule,
        lead: own.lead ? 'yes' : 'no',
        bead: own.bead ? 'yes' : 'no',
        weight: own.weight ? 'yes' : 'no',
        indicator: own.indicator ? 'yes' : 'no',
        hook_largest: own.hookLargest,
        hook_longest_mm: own.hookLongestMm,
        permit: own.permit,
        note: own.note,
      })),
    ),
  outings: ({ outing, water }: Entities) =>
    table(
      [
        'outing',
        'start',
        'end',
        'water',
        'level',
        'clarity',
        'wind',
        'sky',
        'rig',
        'current_mm_s',
        'air_c',
        'water_c',
        'took',
        'refused',
        'note',
      ],
      Object.entries(outing).map(([id, own]) => ({
        outing: id,
        start: own.start,
        end: own.end,
        water: own.waterId === null || own.waterId === undefined ? null : (water[own.waterId]?.name ?? own.waterId),
        level: own.level,
        clarity: own.clarity,
        wind: own.wind,
        sky: own.sky,
        rig: own.rig,
        current_mm_s: own.currentMmS,
        air_c: own.airC,
        water_c: own.waterC,
        took: own.tally.all.took,
        refused: own.tally.all.refused,
        note: own.note,
      })),
    ),
  'outing-events': ({ outing }: Entities, events: readonly EventOp[]) =>
    table(
      ['outing', 'at', 'what', 'fly', 'seen', 'fish_mm', 'species', 'depth_mm', 'released'],
      eventsOf(events, 'outing').map(({ owner, event }) => ({
        outing: owner,
        at: event.at,
        what: event.what,
        fly: outing[owner]?.team.find(({ id }) => id === event.fly)?.name ?? null,
        seen: event.seen ?? event.rise ?? event.waterC ?? null,
        fish_mm: event.fishMm ?? null,
        species: event.species ?? null,
        depth_mm: event.depthMm ?? null,
        released: event.released === undefined ? null : event.released ? 'yes' : 'no',
      })),
    ),
  trials: ({ trial }: Entities) =>
    table(
      ['trial', 'at', 'what', 'dressing', 'hook', 'seconds', 'depth_mm'],
      Object.entries(trial).map(([id, own]) => ({
        trial: id,
        at: own.at,
        what: own.what,
        dressing: own.dressingId,
        hook: own.hookId,
        seconds: own.seconds.join(' '),
        depth_mm: own.depthMm,
      })),
    ),
  hooks: ({ model, maker }: Entities) =>
    table(HOOK_COLUMNS, hooksTable(Object.values(model).flatMap((own) => rowsOf(own, maker[own.makerId]))).rows),
  'taped-hooks': (_: Entities, events: readonly EventOp[]) =>
    table(
      ['model', 'at', 'size', 'how', 'shank_mm', 'gape_mm', 'overall_mm', 'wire_mm'],
      eventsOf(events, 'model').map(({ owner, event }) => ({
        model: owner,
        at: event.at,
        size: event.size,
        how: event.how,
        shank_mm: event.shankMm,
        gape_mm: event.gapeMm,
        overall_mm: event.overallMm,
        wire_mm: event.wireMm,
      })),
    ),
  materials: ({ material }: Entities) =>
    table(
      ['material', 'name', 'like', 'functions', 'hex'],
      Object.entries(material).map(([id, own]) => ({
        material: id,
        name: own.name,
        like: own.like,
        functions: own.functions.join(BETWEEN),
        hex: own.hex,
      })),
    ),
  dressings: ({ dressing }: Entities) =>
    table(
      ['dressing', 'name', 'stages', 'ride', 'shortest_mm', 'longest_mm', 'from'],
      Object.entries(dressing).map(([id, own]) => ({
        dressing: id,
        name: own.name,
        stages: own.stages.join(BETWEEN),
        ride: own.ride,
        shortest_mm: own.length_mm[0],
        longest_mm: own.length_mm[1],
        from: own.base,
      })),
    ),
  groups: ({ group }: Entities) => groupsTable(ownGroups(group)),
  guesses: (_: Entities, events: readonly EventOp[]) =>
    table(
      ['at', 'guess_mm', 'true_mm'],
      eventsOf(events, 'eye').map(({ event }) => ({ at: event.at, guess_mm: event.guessMm, true_mm: event.trueMm })),
    ),
} as const satisfies Record<string, (entities: Entities, events: readonly EventOp[]) => BackupTable>;

export type TableName = keyof typeof TABLES;
export const TABLE_NAMES = Object.keys(TABLES) as TableName[];

/** A table as CSV: comma, dot, CRLF, cells that a spreadsheet would run guarded (docs/formats/csv.md). */
export const csvOf = ({ headings, rows }: BackupTable) => writeTable(headings, rows);
