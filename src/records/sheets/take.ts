import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex } from '@noble/hashes/utils.js';
import type { IntentId, MoveId, StageId } from '@/catalogue/ids';
import type { DrawerRowRead } from '@/core/exchange/drawer-file';
import type { OwnGroup } from '@/core/exchange/groups-file';
import type { GivenTaping } from '@/core/exchange/model-file';
import type { CellValue, SheetRow } from '@/core/exchange/sheet';
import type { HookRow } from '@/core/hooks/hook';
import { command, enter, inPieces, type Around } from '../command';
import { USUAL_BOX } from '../box/commands';
import { heldOf, NO_KIND, slotFor, type FlyKind } from '../fly/queries';
import { takeGroups } from '../group/commands';
import { takeSaid } from '../import-duplicate';
import type { Entities } from '../kinds';
import { materialKey } from '../material/commands';
import { newAnswer } from '../match/schema';
import { takeHooks } from '../model/commands';
import { takePackets } from '../packet/commands';
import { specimen } from '../sample/schema';
import { takeStash, type StashIn } from '../stash/commands';
import type { RowSheetId } from './columns';

/** A row of a table of samples, matches, boxes, flies or materials, with what an archive knows of a sample beyond its table. */
export interface OwnRow extends SheetRow {
  /** What another program says of it in words of its own, by its terms. */
  extra?: Readonly<Record<string, string>>;
  /** Its insects one by one, mm. */
  specimens?: readonly { id: string | null; mm: number; halfMm: number | null; out: string | null }[];
  preserved?: boolean;
  /** How many rows before it say the very same: each is a sample of its own. */
  nth?: number;
  /** Its place is told in general: one that is noted here is the better one. */
  general?: boolean;
}

/** Rows of a table that were read, by what they are. */
export type SheetIn =
  | { sheet: RowSheetId; rows: readonly OwnRow[] }
  | { sheet: 'hooks'; rows: readonly HookRow[]; tapings: readonly GivenTaping[] }
  | { sheet: 'packets'; rows: readonly DrawerRowRead[] }
  | { sheet: 'stash'; rows: readonly StashIn[] }
  | { sheet: 'groups'; groups: readonly OwnGroup[] };

const PLAIN_ID = /^[\w:.~-]{1,120}$/;
const HASHED = 12;

/** An id out of what a row says, so that a row read again is the same record. */
const idFrom = (kind: string, said: unknown): string =>
  `${kind}-${bytesToHex(sha256(new TextEncoder().encode(JSON.stringify(said)))).slice(0, HASHED)}`;

/** The id that a cell names; one with characters that are none of an id's is told by what it says. */
const idIn = (kind: string, cell: string) => (PLAIN_ID.test(cell) ? cell : idFrom(kind, cell));

const text = (value: CellValue | null | undefined) => (typeof value === 'string' ? value : null);
const number = (value: CellValue | null | undefined) => (typeof value === 'number' ? value : null);
const map = (value: CellValue | null | undefined) => (value ?? {}) as Record<string, string>;

/** What a table says, without what it leaves empty. */
const saying = <T extends object>(said: T): T =>
  Object.fromEntries(Object.entries(said).filter(([, value]) => value !== null && value !== undefined)) as T;

/** The match that a table of samples makes for one, so that it can be opened. */
const madeMatch = (sampleId: string) => `match-${sampleId}`;

/** Insects of a row: those that have an id as they are, and of lengths alone those that the sample does not have yet. */
function specimensOf(draft: Entities, id: string, { cells, specimens = [] }: OwnRow) {
  const named = specimens.flatMap(({ id: own, mm, halfMm, out }) =>
    own === null ? [] : [{ ...specimen(own, mm), halfMm, out }],
  );
  const bare = [
    ...((cells.lengths_mm ?? []) as readonly number[]),
    ...specimens.flatMap(({ id: own, mm }) => (own === null ? [mm] : [])),
  ];
  return [...named, ...newSpecimens(draft, id, bare)];
}

/** Lengths that a sample does not have yet, as insects of it. */
function newSpecimens(draft: Entities, id: string, lengths: readonly number[]) {
  const here = draft.sample[id]?.specimens ?? [];
  const known = here.flatMap(({ body }) => (body.mm === null ? [] : [body.mm]));
  const taken = new Set(here.map((own) => own.id));
  const added = lengths.filter((mm) => {
    const at = known.findIndex((other) => Math.abs(other - mm) < 1e-6);
    if (at < 0) return true;
    known.splice(at, 1);
    return false;
  });
  let next = 1;
  return added.map((mm) => {
    while (taken.has(`t${next}`)) next++;
    taken.add(`t${next}`);
    return specimen(`t${next}`, mm);
  });
}

/** What tells samples apart that have no id. */
export const saidOf = ({ cells, extra = {} }: OwnRow) =>
  JSON.stringify([cells.when, cells.place, cells.water, cells.stage, cells.lengths_mm, extra]);

function takeSamples(draft: Entities, rows: readonly OwnRow[], around: Around): void {
  const opened = new Set(Object.values(draft.match).map(({ sampleId }) => sampleId));
  for (const row of rows) {
    const { cells, extra = {} } = row;
    const named = text(cells.sample);
    const id = named ? idIn('sample', named) : idFrom('sample', [saidOf(row), row.nth ?? 0]);
    const measure = (value: CellValue | null | undefined) =>
      value == null ? null : { mm: number(value), typed: null };
    takeSaid(
      draft,
      'sample',
      id,
      saying({
        when: text(cells.when),
        place: row.general && draft.sample[id]?.place ? null : text(cells.place),
        water: text(cells.water),
        surface: text(cells.surface),
        method: text(cells.method),
        sex: text(cells.sex),
        specimens: specimensOf(draft, id, row),
        preserved: row.preserved || null,
        case: measure(cells.case_mm),
        overall: measure(cells.overall_mm),
        colours: map(cells.colours),
        shades: map(cells.colour_words),
        signs: map(cells.signs),
        rise: text(cells.rise),
        seen: (cells.seen ?? []) as readonly string[],
        found: text(cells.found),
        doing: text(cells.doing),
        extra,
      }),
      around,
    );
    if (opened.has(id)) continue;
    opened.add(id);
    takeSaid(
      draft,
      'match',
      madeMatch(id),
      {
        opened: draft.sample[id]!.when,
        sampleId: id,
        answers: [newAnswer('a', text(cells.stage) as StageId | null)],
        leading: 'a',
      },
      around,
    );
  }
}

const MOST_ANSWERS = 4;

function takeMatches(draft: Entities, rows: readonly OwnRow[], around: Around): void {
  const byMatch = new Map<string, OwnRow[]>();
  for (const row of rows) {
    const { match, sample, opened, title } = row.cells;
    const id = text(match) ? idIn('match', text(match)!) : idFrom('match', [sample, opened, title]);
    byMatch.set(id, [...(byMatch.get(id) ?? []), row]);
  }
  for (const [id, own] of byMatch) {
    const { cells } = own[0]!;
    const sampleId = idIn('sample', text(cells.sample)!);
    const sample = draft.sample[sampleId];
    if (!sample) continue;
    const here = draft.match[id];
    const room = MOST_ANSWERS - (here?.answers.length ?? 0);
    const named = own.map((row, index) => ({ ...row, id: text(row.cells.answer) ?? String.fromCharCode(97 + index) }));
    const known = named.filter((row) => here?.answers.some((answer) => answer.id === row.id));
    const answers = [...known, ...named.filter((row) => !known.includes(row)).slice(0, room)];
    if (!here && answers.length === 0) continue;
    takeSaid(
      draft,
      'match',
      id,
      saying({
        title: text(cells.title),
        opened: text(cells.opened) ?? (here ? null : sample.when),
        sampleId,
        answers: answers.map((row) => {
          const before = here?.answers.find((answer) => answer.id === row.id);
          return saying({
            ...(before ? { id: row.id } : newAnswer(row.id, null)),
            stage: text(row.cells.stage),
            hookId: text(row.cells.hook),
            dressingId: text(row.cells.dressing),
            offset: {
              sizes: number(row.cells.sizes) ?? before?.offset.sizes ?? 0,
              intent: (text(row.cells.intent) ?? before?.offset.intent ?? 'exact') as IntentId,
            },
          });
        }),
        leading: (answers.find((row) => row.cells.leads === true) ?? (here ? undefined : answers[0]))?.id ?? null,
        parentId: text(cells.follows) === null ? null : idIn('match', text(cells.follows)!),
      }),
      around,
    );
    const made = draft.match[madeMatch(sampleId)];
    // What stood in for it until now has nothing of its own.
    if (
      made &&
      madeMatch(sampleId) !== id &&
      made.title === '' &&
      made.answers.length === 1 &&
      !made.answers[0]!.dressingId
    )
      delete draft.match[madeMatch(sampleId)];
  }
}

/** Boxes by their ids and by their names, the first of a name. */
function boxesOf(draft: Entities): Map<string, string> {
  const boxes = new Map<string, string>();
  for (const [id, { name }] of Object.entries(draft.box)) if (!boxes.has(name)) boxes.set(name, id);
  for (const id of Object.keys(draft.box)) boxes.set(id, id);
  return boxes;
}

function takeBoxes(draft: Entities, rows: readonly OwnRow[], around: Around): void {
  const boxes = boxesOf(draft);
  for (const { cells } of rows) {
    const name = text(cells.name)!;
    const named = text(cells.box);
    const id = named ? idIn('box', named) : (boxes.get(name) ?? idFrom('box', name));
    takeSaid(
      draft,
      'box',
      id,
      saying({
        ...(draft.box[id] ? {} : USUAL_BOX),
        ...saying({ name, rows: number(cells.rows), columns: number(cells.columns), carried: cells.carried }),
      }),
      around,
    );
  }
}

/** What tells kinds of fly apart, as one text. */
const kindKey = ({ name, dressingId, hookId, stage, lengthMm, shade, ride }: FlyKind) =>
  JSON.stringify([name, dressingId, hookId, stage, lengthMm, shade, ride]);

function takeFlies(draft: Entities, rows: readonly OwnRow[], around: Around): void {
  const boxes = boxesOf(draft);
  const kinds = new Map(Object.entries(draft.fly).map(([id, fly]) => [kindKey(fly), id]));
  for (const { cells } of rows) {
    const kind: FlyKind = {
      ...NO_KIND,
      ...saying({
        name: text(cells.name),
        dressingId: text(cells.dressing),
        dressingRev: number(cells.revision),
        hookId: text(cells.hook),
        stage: text(cells.stage),
        lengthMm: number(cells.length_mm),
        shade: text(cells.colour_words),
        ride: text(cells.ride),
      }),
    } as FlyKind;
    const named = text(cells.fly);
    const id = named ? idIn('fly', named) : (kinds.get(kindKey(kind)) ?? idFrom('fly', kind));
    kinds.set(kindKey(kind), id);
    const fresh = !draft.fly[id];
    takeSaid(draft, 'fly', id, { ...kind, ...saying({ low: number(cells.low) }) }, around);
    const wanted = text(cells.box);
    let boxId = wanted === null ? [...boxes.values()][0] : boxes.get(wanted);
    if (boxId === undefined) {
      // A box of which the table alone knows.
      boxId = idFrom('box', wanted ?? '');
      takeSaid(draft, 'box', boxId, { ...USUAL_BOX, name: wanted ?? '1' }, around);
      boxes.set(wanted ?? '1', boxId);
    }
    const held = heldOf(draft.fly[id]!);
    const slot =
      text(cells.compartment) ?? held.find((place) => place.boxId === boxId)?.slot ?? slotFor(draft, boxId, kind);
    const left = held.find((place) => place.boxId === boxId && place.slot === slot)?.left ?? 0;
    const by = (number(cells.left) ?? (fresh ? 1 : left)) - left;
    const why: MoveId = fresh ? 'got' : 'counted';
    if (by !== 0 || fresh)
      enter(
        draft,
        { kind: 'fly', owner: id, id: around.newId('move'), event: { at: around.now, boxId, slot, count: by, why } },
        around,
      );
  }
}

function takeMaterials(draft: Entities, rows: readonly OwnRow[], around: Around): void {
  const names = new Map(Object.entries(draft.material).map(([id, own]) => [own.name, id]));
  for (const { cells } of rows) {
    const name = text(cells.name)!;
    const named = text(cells.material);
    const id = named ? idIn('material', named) : (names.get(name) ?? materialKey(idFrom('own', name)));
    takeSaid(
      draft,
      'material',
      id,
      { name, like: text(cells.like), functions: (cells.functions ?? []) as readonly string[], hex: text(cells.hex) },
      around,
    );
  }
}

const TAKES: Readonly<Record<RowSheetId, (draft: Entities, rows: readonly OwnRow[], around: Around) => void>> = {
  samples: takeSamples,
  matches: takeMatches,
  boxes: takeBoxes,
  flies: takeFlies,
  materials: takeMaterials,
};

/** What undo calls those that have a name of their own. */
const LABELS: Readonly<Record<string, string>> = {
  hooks: 'hooks-in',
  packets: 'packets-in',
  stash: 'stash',
  groups: 'groups-in',
};

/** Takes the rows of a table in as one change: what is there is edited in what the table says, the rest is added, and read twice it changes nothing. */
export const takeTable = command<SheetIn>(
  'table-in',
  (draft, input, around) => {
    if (input.sheet === 'hooks') return takeHooks.run(draft, input, around);
    if (input.sheet === 'packets') return takePackets.run(draft, input, around);
    if (input.sheet === 'stash') return takeStash.run(draft, input, around);
    if (input.sheet === 'groups') return takeGroups.run(draft, input, around);
    TAKES[input.sheet](draft, input.rows, around);
  },
  {
    label: ({ sheet }) => LABELS[sheet] ?? 'table-in',
    parts: (input) =>
      'rows' in input && input.sheet !== 'packets'
        ? (inPieces<unknown>(input.rows).map((rows, index) => ({
            ...input,
            rows,
            ...(input.sheet === 'hooks' && index > 0 ? { tapings: [] } : {}),
          })) as SheetIn[])
        : [input],
  },
);

/** Matches of a table whose natural is not here: they are left out until its table is read. */
export function withoutSample({ sample }: Pick<Entities, 'sample'>, input: SheetIn): number {
  if (input.sheet !== 'matches') return 0;
  return input.rows.filter(({ cells }) => !(idIn('sample', text(cells.sample)!) in sample)).length;
}
