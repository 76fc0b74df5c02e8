import type { OrderId, StageId } from '@/catalogue/ids';
import type { OwnGroup } from '@/core/exchange';
import { command, found } from '../command';
import { takeSaid } from '../import-duplicate';
import { groupRecords } from './queries';
import { groupSchema, type GroupRecord } from './schema';

interface OfGroup {
  groupId: string;
}
type StageEntry = GroupRecord['stages'][number];

/** Stages a new group begins with. */
const FIRST_STAGES: readonly StageId[] = ['mayfly/nymph', 'mayfly/dun'];

const entry = (stage: StageId): StageEntry => ({ stage, leastMm: null, usualMm: null, mostMm: null, shades: [] });

export const newGroup = command<{ name: string }, string>(
  'new-group',
  (draft, { name }, { newId }) => {
    const id = newId('group');
    draft.group[id] = groupSchema.cast({
      order: FIRST_STAGES[0]!.split('/')[0],
      name,
      stages: FIRST_STAGES.map(entry),
    });
    return id;
  },
  { label: 'group' },
);

const TYPED = ['name', 'scientific', 'note'] as const;

export const setGroup = command<
  OfGroup & Partial<Pick<GroupRecord, 'name' | 'scientific' | 'note' | 'regions' | 'waters' | 'months'>>
>('group', (draft, { groupId, ...fields }) => void Object.assign(found(draft.group, groupId), fields), {
  field: ({ groupId, ...fields }) =>
    TYPED.some((name) => name in fields) ? `${groupId}/${Object.keys(fields).join()}` : null,
});

/** Another order: its stages begin anew with the first of it. */
export const setGroupOrder = command<OfGroup & { order: OrderId; stage: StageId }>(
  'group-order',
  (draft, { groupId, order, stage }) =>
    void Object.assign(found(draft.group, groupId), { order, stages: [entry(stage)] }),
  { label: 'group' },
);

export const addGroupStage = command<OfGroup & { stage: StageId }>(
  'group-stage',
  (draft, { groupId, stage }) => {
    const own = found(draft.group, groupId);
    if (!own.stages.some((item) => item.stage === stage)) own.stages.push(entry(stage));
  },
  { label: 'group' },
);

export const setGroupStage = command<OfGroup & { entry: StageEntry }>(
  'group-stage-set',
  (draft, { groupId, entry: next }) => {
    const own = found(draft.group, groupId);
    own.stages = own.stages.map((item) => (item.stage === next.stage ? next : item));
  },
  { label: 'group', field: ({ groupId, entry: { stage } }) => `${groupId}/${stage}` },
);

/** A stage taken out; the last one stays. */
export const dropGroupStage = command<OfGroup & { stage: StageId }>(
  'group-stage-drop',
  (draft, { groupId, stage }) => {
    const own = found(draft.group, groupId);
    if (own.stages.length > 1) own.stages = own.stages.filter((item) => item.stage !== stage);
  },
  { label: 'group' },
);

export const deleteGroup = command<OfGroup>('delete-group', (draft, { groupId }) => void delete draft.group[groupId]);

/** Groups of a file: one that is there already is changed in what the file says of it, not doubled. */
export const takeGroups = command<{ groups: readonly OwnGroup[] }>('groups-in', (draft, { groups }, around) => {
  for (const [id, read] of Object.entries(groupRecords(groups))) takeSaid(draft, 'group', id, read, around);
});
