import { createSelector } from '@reduxjs/toolkit';
import { labOfShade, STAGES } from '@/catalogue';
import type { MoveId } from '@/catalogue/ids';
import { byStage } from '@/core/belief';
import { carriedFly, freeSlot, heldBy, leftIn, matchBox, wantedLength, type BoxMatch, type BoxWanted, type CarriedFly, type Held, type Move } from '@/core/box';
import { hexOfLab, labOfHex } from '@/core/colour';
import { sampleFor, selectCatalogue } from './answers';
import { selectEye } from './eye';
import { selectBelief } from './belief';
import { selectKey } from './own-groups';
import { takeFromPackets } from './hooks';
import { flySchema, type Entities, type FlyRecord, type MatchRecord, type SampleRecord } from './records/schemas';
import type { State } from './store';

/** Moves of a fly, oldest first. */
export function movesOf(fly: FlyRecord): Move[] {
  return Object.entries(fly.moves).sort(([a, one], [b, other]) => one.at.localeCompare(other.at) || a.localeCompare(b)).map(([, move]) => move);
}

/** Where a fly lies and how many, over every box. */
export function heldOf(fly: FlyRecord): Held[] {
  return heldBy(movesOf(fly));
}

const selectFlies = (state: State) => state.records.entities.fly;
const selectBoxes = (state: State) => state.records.entities.box;

/** What a fly is called where it has no name of its own: its dressing. */
export const selectFlyName = createSelector([selectCatalogue], (catalogue) => {
  const names = new Map(catalogue.dressings.map((dressing) => [dressing.id, dressing.name]));
  return (fly: FlyRecord): string => fly.name || names.get(fly.dressingId ?? '') || '';
});

/** Every fly of the boxes that are carried, worked out for ranking; a fly that lies only in a box at home is left out. */
export const selectCarried = createSelector([selectFlies, selectBoxes, selectCatalogue, selectFlyName], (flies, boxes, catalogue, nameOf): CarriedFly[] => {
  const carried = new Set(Object.entries(boxes).filter(([, box]) => box.carried).map(([id]) => id));
  return Object.entries(flies).flatMap(([id, fly]) => {
    const moves = movesOf(fly);
    if (!moves.some((move) => carried.has(move.boxId))) return [];
    const lab = fly.shade ? labOfShade(fly.shade) : null;
    return [carriedFly({ id, name: nameOf(fly), dressing: fly.dressingId ?? null, hook: fly.hookId ?? null, stage: fly.stage ?? null, lengthMm: fly.lengthMm ?? null, hex: lab ? hexOfLab(lab) : null, ride: fly.ride ?? null, left: leftIn(moves, carried), place: '' }, catalogue)];
  });
});

const LEAST = 0.01;
const BELLY = 'abdomen-belly';

/** What is known of a match's natural, as the box takes it: the stages kept or, while none is, every stage by its odds. */
export function wantedBy(state: State, match: MatchRecord, sample: SampleRecord): BoxWanted {
  const believed = selectBelief(state, match.sampleId);
  const odds = believed ? byStage(selectKey(state), believed.belief) : [];
  const kept = match.answers.flatMap((answer) => answer.stage ?? []);
  const among = odds.filter(({ stage }) => kept.includes(stage));
  const total = among.reduce((sum, { p }) => sum + p, 0);
  const belief = kept.length === 0 ? odds.filter(({ p }) => p >= LEAST) : kept.length === 1 || total === 0 ? kept.map((stage) => ({ stage, p: 1 / kept.length })) : among.map(({ stage, p }) => ({ stage, p: p / total }));
  const stage = belief[0]?.stage ?? null;
  return { belief, length: stage ? wantedLength(sampleFor(sample, stage, selectEye(state)), stage, STAGES) : null, belly: bellyOf(sample) };
}

function bellyOf(sample: SampleRecord): BoxWanted['belly'] {
  const hex = sample.colours[BELLY];
  return hex ? labOfHex(hex) : sample.shades[BELLY] ? labOfShade(sample.shades[BELLY]) : null;
}

let last: { inputs: readonly unknown[]; result: BoxMatch } | null = null;

/** The flies carried, in the order they answer a match; null while nothing is carried. */
export function selectBoxMatch(state: State, matchId: string): BoxMatch | null {
  const match = state.records.entities.match[matchId];
  const sample = match && state.records.entities.sample[match.sampleId];
  const flies = selectCarried(state);
  if (!match || !sample || flies.length === 0) return null;
  const inputs = [match, sample, flies, selectBelief(state, match.sampleId), selectEye(state)];
  if (last && last.inputs.every((input, index) => input === inputs[index])) return last.result;
  last = { inputs, result: matchBox(flies, wantedBy(state, match, sample), STAGES) };
  return last.result;
}

/** What a fly is: a dressing on a hook, or one not tied here. */
export type FlyKind = Pick<FlyRecord, 'name' | 'dressingId' | 'dressingRev' | 'hookId' | 'stage' | 'lengthMm' | 'shade' | 'ride'>;

/** A kind of which nothing is known. */
export const NO_KIND: FlyKind = { name: '', dressingId: null, dressingRev: null, hookId: null, stage: null, lengthMm: null, shade: null, ride: null };

/** Whether a fly of the box is of this kind, so that more of it are the same fly. */
export function sameKind(fly: FlyRecord, kind: FlyKind): boolean {
  return fly.name === kind.name && fly.dressingId === kind.dressingId && fly.hookId === kind.hookId && fly.stage === kind.stage && fly.lengthMm === kind.lengthMm && fly.shade === kind.shade && fly.ride === kind.ride;
}

interface Stamp {
  at: string;
  newId: (kind: string) => string;
}

/** Flies put into a box; the same fly in the same box is topped up. */
export function putFly(draft: Entities, { kind, boxId, slot, count, why, at, newId }: { kind: FlyKind; boxId: string; slot: string | null; count: number; why: MoveId } & Stamp): void {
  const known = Object.entries(draft.fly).find(([, fly]) => sameKind(fly, kind) && Object.values(fly.moves).some((item) => item.boxId === boxId));
  const id = known?.[0] ?? newId('fly');
  if (!known) draft.fly[id] = flySchema.cast({ ...kind });
  draft.fly[id]!.moves[newId('move')] = { at, boxId, slot, count, why };
}

/** Where more of a kind go in a box: where it lies already, else the first free compartment; null when the box is full. */
export function slotFor({ fly, box }: Pick<Entities, 'fly' | 'box'>, boxId: string, kind: FlyKind): string | null {
  const places = Object.values(fly).flatMap((own) => heldOf(own).filter((held) => held.boxId === boxId).map((held) => ({ own, held })));
  const there = places.find(({ own, held }) => sameKind(own, kind) && held.slot !== null);
  return there ? there.held.slot : freeSlot(box[boxId]!, places.filter(({ held }) => held.left > 0).map(({ held }) => held.slot));
}

/** Flies tied at the bench: into a box where one is named, and as many hooks out of their packets as are there. */
export function noteTied(draft: Entities, { kind, boxId, count, at, newId }: { kind: FlyKind; boxId: string | null; count: number } & Stamp): void {
  if (boxId !== null) putFly(draft, { kind, boxId, slot: slotFor(draft, boxId, kind), count, why: 'tied', at, newId });
  if (kind.hookId) takeFromPackets(draft, { hookId: kind.hookId, count, at, newId });
}
