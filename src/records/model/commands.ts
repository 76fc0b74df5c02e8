import type { GivenTaping } from '@/core/exchange';
import type { HookRow } from '@/core/hooks';
import { command, enter, found, type Around } from '../command';
import type { Entities } from '../kinds';
import { takeSaid, type Said } from '../import-duplicate';
import { makerSchema, type MakerRecord } from '../maker/schema';
import { modelSchema, sizeRecord, type ModelRecord, type SizeRecord, type TapingRecord } from './schema';

/** A model made in place: its names, bend and what its label says of length and wire. */
export interface NewModel {
  makerName: string;
  modelName: string;
  bend: ModelRecord['bend'];
  xLong: number;
}

/** A model of which little is known, and its maker; one that is there stays as it is. */
export function madeModel(draft: Entities, id: string, { makerName, modelName, bend, xLong }: NewModel): void {
  const [makerId, slug] = id.split(':') as [string, string];
  draft.maker[makerId] ??= makerSchema.cast({ name: makerName });
  draft.model[id] ??= modelSchema.cast({
    makerId,
    slug,
    name: modelName,
    bend,
    eye: bend === 'jig' ? 'jig-60' : 'down',
    point: 'straight',
    barb: bend === 'jig' ? 'none' : 'barbed',
    xLong,
  });
}

interface OfModel {
  modelId: string;
}
const named = (id: string, fields: object) => `${id}/${Object.keys(fields).join()}`;

export const setModel = command<
  OfModel & { fields: Partial<Omit<ModelRecord, 'demo' | 'makerId' | 'slug' | 'sizes' | 'tally'>> }
>('model', (draft, { modelId, fields }) => void Object.assign(found(draft.model, modelId), fields), {
  field: ({ modelId, fields }) => named(modelId, fields),
});

export const setMaker = command<{ makerId: string; fields: Partial<Omit<MakerRecord, 'demo'>> }>(
  'maker',
  (draft, { makerId, fields }) => void Object.assign(found(draft.maker, makerId), fields),
  { field: ({ makerId, fields }) => named(makerId, fields) },
);

export const setSize = command<OfModel & { size: string; fields: Partial<SizeRecord> }>(
  'size',
  (draft, { modelId, size, fields }) => void Object.assign(found(found(draft.model, modelId).sizes, size), fields),
  { field: ({ modelId, size, fields }) => named(`${modelId}/${size}`, fields) },
);

/** A size by its label alone; one that is there stays as it is. */
export const addSize = command<OfModel & { size: string }>(
  'add-size',
  (draft, { modelId, size }) => void (found(draft.model, modelId).sizes[size] ??= sizeRecord({ source: 'label' })),
  { label: 'size' },
);

export const deleteSize = command<OfModel & { size: string }>(
  'delete-size',
  (draft, { modelId, size }) => void delete found(draft.model, modelId).sizes[size],
);

/** A model, and its maker with the last one. */
export const deleteModel = command<OfModel>('delete-model', (draft, { modelId }) => {
  const { makerId } = found(draft.model, modelId);
  delete draft.model[modelId];
  if (!Object.values(draft.model).some((other) => other.makerId === makerId)) delete draft.maker[makerId];
});

/** One hook that was measured. */
export const tapeHook = command<OfModel & { taping: Omit<TapingRecord, 'at'> }>(
  'tape',
  (draft, { modelId, taping }, around) =>
    void enter(
      draft,
      { kind: 'model', owner: modelId, id: around.newId('taping'), event: { at: around.now, ...taping } },
      around,
    ),
);

export const untapeHook = command<OfModel & { tapingId: string }>(
  'untape',
  (draft, { modelId, tapingId }, around) =>
    void enter(
      draft,
      {
        kind: 'model',
        owner: modelId,
        id: tapingId,
        event: found(found(draft.model, modelId).tally, tapingId),
        on: false,
      },
      around,
    ),
);

const DIMENSIONS = ['shankMm', 'gapeMm', 'biteMm', 'wireMm', 'eyeMm', 'massMg'] as const;

/** What a row of a file says of a size; of one that is not known (`known` undefined) all of it. */
function saidOfSize(known: SizeRecord | undefined, row: HookRow): Partial<SizeRecord> {
  const given = Object.fromEntries(
    DIMENSIONS.flatMap((name) => (row[name] === null || row[name] === undefined ? [] : [[name, row[name]]])),
  );
  const retired = row.retired === undefined ? {} : { retired: row.retired };
  if (!known) return sizeRecord({ ...given, source: row.source, ...retired });
  // A row that gives no dimension says nothing of where those that are known come from.
  return { ...given, ...(Object.keys(given).length > 0 ? { source: row.source } : {}), ...retired };
}

/** What a row says of its model: of one that is known, nothing of what a file leaves to the usual. */
function saidOfModel(known: boolean, row: HookRow): Said<'model'> {
  const shape = {
    makerId: row.maker,
    slug: row.model,
    name: row.modelName,
    bend: row.bend,
    eye: row.eye,
    point: row.point,
    barb: row.barb,
    wire: row.wire,
    xLong: row.xLong,
    xHeavy: row.xHeavy,
    labels: row.labels,
  };
  const unsaid = new Set<string>(known ? (row.unsaid ?? []) : []);
  // A file without a column of names has the slug in its place.
  if (known && row.modelName === row.model) unsaid.add('name');
  return Object.fromEntries(Object.entries(shape).filter(([field]) => !unsaid.has(field)));
}

/** What rows of a file say of each model, its sizes with it, by the model's id. */
function saidOfModels(
  models: Entities['model'],
  rows: readonly HookRow[],
): Map<string, Said<'model'> & { sizes: Record<string, Partial<SizeRecord>> }> {
  const said = new Map<string, Said<'model'> & { sizes: Record<string, Partial<SizeRecord>> }>();
  for (const row of rows) {
    const id = `${row.maker}:${row.model}`;
    const before = said.get(id);
    const sizes = before?.sizes ?? {};
    sizes[row.size] = { ...sizes[row.size], ...saidOfSize(models[id]?.sizes[row.size], row) };
    said.set(id, { ...before, ...saidOfModel(id in models || before !== undefined, row), sizes });
  }
  return said;
}

/** The catalogue that a list of hooks makes where there is none: its makers and models. */
export function putHooks(draft: Entities, rows: readonly HookRow[], demo = false): void {
  for (const row of rows) draft.maker[row.maker] ??= makerSchema.cast({ demo, name: row.makerName });
  for (const [id, said] of saidOfModels({}, rows)) draft.model[id] = modelSchema.cast({ ...said, demo });
}

/** Joins hooks measured by another tier to the models they are of; the same measurement twice is one. */
function putTapings(draft: Entities, tapings: readonly GivenTaping[], around: Around): void {
  for (const { id, maker, model, ...taping } of tapings) {
    const record = draft.model[`${maker}:${model}`];
    if (record && !record.tally[id])
      enter(draft, { kind: 'model', owner: `${maker}:${model}`, id, event: taping }, around);
  }
}

/** Hooks of a file, and what was measured of them: a hook that is known is brought up to date, another is added; makers and models with them. */
export const takeHooks = command<{ rows: readonly HookRow[]; tapings?: readonly GivenTaping[] }>(
  'hooks-in',
  (draft, { rows, tapings = [] }, around) => {
    for (const row of rows)
      if (!draft.maker[row.maker]) takeSaid(draft, 'maker', row.maker, { name: row.makerName }, around);
    for (const [id, said] of saidOfModels(draft.model, rows)) takeSaid(draft, 'model', id, said, around);
    putTapings(draft, tapings, around);
  },
);
