import { createSelector } from '@reduxjs/toolkit';
import { REFERENCE_HOOKS } from '@/catalogue';
import type { Source } from '@/catalogue/ids';
import type { DrawerRowRead, GivenTaping } from '@/core/exchange';
import { completeModel, scaleNumber, tapedOf, type Hook, type HookRow } from '@/core/hooks';
import { makerSchema, modelSchema, sizeRecord, type Entities, type MakerRecord, type ModelRecord, type PacketRecord } from './records/schemas';
import type { State } from './store';

/** The model of a hook: `maker:model` of `maker:model:size`. */
export function modelIdOf(id: string): string {
  return id.slice(0, id.lastIndexOf(':'));
}

/** Sizes of a model, the biggest hook first; labels that cannot be read last, by name. */
export function sizesOf(model: ModelRecord): string[] {
  return Object.keys(model.sizes).sort((a, b) => {
    const [one, other] = [a, b].map((size) => scaleNumber({ size, labels: model.labels }));
    if (one === null || other === null) return Number(one === null) - Number(other === null) || a.localeCompare(b);
    return one! - other!;
  });
}

/** The rows of a model as a hooks file has them: its own values, without what was taped. */
export function rowsOf(model: ModelRecord, maker: MakerRecord | undefined): HookRow[] {
  return sizesOf(model).map((size): HookRow => {
    const own = model.sizes[size]!;
    return {
      maker: model.makerId, makerName: maker?.name ?? model.makerId, model: model.slug, modelName: model.name, size, bend: model.bend, eye: model.eye, point: model.point, barb: model.barb, wire: model.wire ?? null,
      xLong: model.xLong, xHeavy: model.xHeavy, labels: model.labels, shankMm: own.shankMm ?? null, gapeMm: own.gapeMm ?? null, biteMm: own.biteMm ?? null, wireMm: own.wireMm ?? null, eyeMm: own.eyeMm ?? null, massMg: own.massMg ?? null,
      source: own.source as Source, ...(model.retired || own.retired || maker?.retired ? { retired: true } : {}),
    };
  });
}

/** What was taped of every size, beside its own row. */
function withTapings(rows: HookRow[], model: ModelRecord, maker: MakerRecord | undefined): HookRow[] {
  const tapings = Object.values(model.tapings);
  if (tapings.length === 0) return rows;
  const bare = completeModel(rows, maker?.xLabel ?? 'number');
  return rows.map((row) => {
    const own = tapings.filter((taping) => taping.size === row.size);
    const hook = bare.find((item) => item.size === row.size);
    if (own.length === 0) return row;
    const ends = hook ? { gapeMm: hook.gape.value, wireMm: hook.wireDiameter.value, eyeMm: hook.eyeOuter.value } : null;
    return { ...row, taped: tapedOf(own.map((taping) => ({ how: taping.how, shankMm: taping.shankMm ?? null, gapeMm: taping.gapeMm ?? null, overallMm: taping.overallMm ?? null, wireMm: taping.wireMm ?? null })), ends) };
  });
}

const hooksOfModel = new WeakMap<ModelRecord, { maker: MakerRecord | undefined; hooks: Hook[] }>();

/** Hooks of one model, remembered until it or its maker changes. */
function hooksOf(model: ModelRecord, maker: MakerRecord | undefined): Hook[] {
  const known = hooksOfModel.get(model);
  if (known && known.maker === maker) return known.hooks;
  const hooks = completeModel(withTapings(rowsOf(model, maker), model, maker), maker?.xLabel ?? 'number');
  hooksOfModel.set(model, { maker, hooks });
  return hooks;
}

const selectModels = (state: State) => state.records.entities.model;
const selectMakers = (state: State) => state.records.entities.maker;
const selectPackets = (state: State) => state.records.entities.packet;

/** Every hook: the tier's makers, and the maker-less range after them. */
export const selectHooks = createSelector([selectModels, selectMakers], (models, makers): readonly Hook[] => [...Object.values(models).flatMap((model) => hooksOf(model, makers[model.makerId])), ...REFERENCE_HOOKS]);

/** How many hooks a packet holds: the sum of its ledger, never below 0. */
export function leftInPacket(packet: PacketRecord): number {
  return Math.max(0, Object.values(packet.moves).reduce((sum, move) => sum + move.count, 0));
}

export function isLow(packet: PacketRecord): boolean {
  return packet.low !== null && packet.low !== undefined && leftInPacket(packet) <= packet.low;
}

/** Hooks owned, by hook id, over every packet. */
export const selectOwned = createSelector([selectPackets], (packets): Record<string, number> => {
  const owned: Record<string, number> = {};
  for (const packet of Object.values(packets)) {
    const left = leftInPacket(packet);
    if (left > 0) owned[packet.hookId] = (owned[packet.hookId] ?? 0) + left;
  }
  return owned;
});

/** Puts rows of a file into the catalogue: a hook that is known is brought up to date, another is added; makers and models with them. */
export function takeHooks(draft: Entities, rows: readonly HookRow[], demo = false): void {
  for (const row of rows) {
    const id = `${row.maker}:${row.model}`;
    draft.maker[row.maker] ??= makerSchema.cast({ demo, name: row.makerName });
    const model = draft.model[id];
    const shape = { makerId: row.maker, slug: row.model, name: row.modelName, bend: row.bend, eye: row.eye, point: row.point, barb: row.barb, wire: row.wire, xLong: row.xLong, xHeavy: row.xHeavy, labels: row.labels };
    if (model) Object.assign(model, shape);
    else draft.model[id] = modelSchema.cast({ demo, ...shape });
    draft.model[id]!.sizes[row.size] = sizeRecord({ shankMm: row.shankMm, gapeMm: row.gapeMm, biteMm: row.biteMm, wireMm: row.wireMm, eyeMm: row.eyeMm, massMg: row.massMg, source: row.source, retired: row.retired ?? false });
  }
}

/** Joins hooks measured by another tier to the models they are of; the same measurement twice is one. */
export function takeTapings(draft: Entities, tapings: readonly GivenTaping[]): void {
  for (const { id, maker, model, ...taping } of tapings) {
    const record = draft.model[`${maker}:${model}`];
    if (record && !record.tapings[id]) record.tapings[id] = taping;
  }
}

/** A packet of a hook: one that is in the drawer is topped up, another is added. */
export function putPacket(draft: Entities, { hookId: hook, count, at, newId }: { hookId: string; count: number; at: string; newId: (kind: string) => string }): string {
  const known = Object.entries(draft.packet).find(([, packet]) => packet.hookId === hook && packet.label === '');
  const id = known?.[0] ?? newId('packet');
  draft.packet[id] ??= { demo: false, hookId: hook, label: '', note: '', low: null, moves: {} };
  draft.packet[id]!.moves[newId('move')] = { at, count, why: 'got' };
  return id;
}

/**
 * Packets of a drawer file put into the drawer: one that is there, by its hook and its label, is counted again to what the file says
 * and keeps its ledger; another is added. Rows of the same packet add up.
 */
export function takePackets(draft: Entities, rows: readonly DrawerRowRead[], { at, newId }: { at: string; newId: (kind: string) => string }): void {
  const wanted = new Map<string, DrawerRowRead>();
  for (const row of rows) {
    const key = JSON.stringify([row.hookId, row.label ?? '']);
    const same = wanted.get(key);
    wanted.set(key, same ? { ...same, count: same.count + row.count, low: row.low ?? same.low, note: row.note ?? same.note } : row);
  }
  for (const { hookId: hook, count, low, label, note } of wanted.values()) {
    const known = Object.values(draft.packet).find((packet) => packet.hookId === hook && packet.label === (label ?? ''));
    const packet = known ?? { demo: false, hookId: hook, label: label ?? '', note: '', low: null, moves: {} };
    const by = count - leftInPacket(packet);
    if (by !== 0) packet.moves[newId('move')] = { at, count: by, why: known ? 'counted' : 'got' };
    packet.low = low ?? packet.low ?? null;
    packet.note = note ?? packet.note;
    if (!known) draft.packet[newId('packet')] = packet;
  }
}

/** Takes hooks that were tied on out of their packets, the one that holds least first so that packets run out; how many were there. */
export function takeFromPackets(draft: Entities, { hookId: hook, count, at, newId }: { hookId: string; count: number; at: string; newId: (kind: string) => string }): number {
  const packets = Object.values(draft.packet).filter((packet) => packet.hookId === hook && leftInPacket(packet) > 0).sort((a, b) => leftInPacket(a) - leftInPacket(b));
  let open = count;
  for (const packet of packets) {
    const taken = Math.min(open, leftInPacket(packet));
    if (taken === 0) break;
    packet.moves[newId('move')] = { at, count: -taken, why: 'tied' };
    open -= taken;
  }
  return count - open;
}
