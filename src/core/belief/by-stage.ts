import type { StageId } from '@/catalogue/ids';
import { ranked, type Belief } from './believe';
import type { Key, NaturalGroup } from './key-data';

export interface StageOdds {
  stage: StageId;
  p: number;
}

/** The belief as stages with their odds, likeliest first. */
export function byStage(key: Key, belief: Belief): StageOdds[] {
  return ranked(belief.p).map((index) => ({ stage: key.ids[index]!, p: belief.p[index]! }));
}

/** The belief as groups of naturals, likeliest first; groups under `least` are left out. */
export function byGroup(key: Key, belief: Belief, least = 0.01): { group: NaturalGroup; p: number }[] {
  const odds = new Map<NaturalGroup, number>();
  key.members.forEach((members, stage) =>
    members.forEach(({ group }, index) =>
      odds.set(group, (odds.get(group) ?? 0) + belief.p[stage]! * belief.groupWeights[stage]![index]!),
    ),
  );
  return [...odds]
    .map(([group, p]) => ({ group, p }))
    .filter(({ p }) => p >= least)
    .sort((a, b) => b.p - a.p || a.group.id.localeCompare(b.group.id));
}

/** Share of the kinds that remain which must know a stage for it to be offered. */
const OFFERED = 0.1;

/** Whether a stage leads to another among the kinds that remain: no film emerger where those that climb out are left. */
export function leadsTo(key: Key, belief: Belief, from: StageId, to: StageId): boolean {
  const stage = key.ids.indexOf(from);
  const members = key.members[stage]!;
  if (members.length === 0) return true;
  const share = members.reduce(
    (sum, { group }, index) =>
      sum + (group.stages.some((entry) => entry.stage === to) ? belief.groupWeights[stage]![index]! : 0),
    0,
  );
  return share >= OFFERED;
}
