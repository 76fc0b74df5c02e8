import { NUMBER_STEP, SUIT } from '../constants';
import type { HookAnswer } from './answer-shape';

export interface RankedHooks {
  /** Best first. */
  hooks: HookAnswer[];
  giant: boolean;
}

/** Steps within which hooks count as equally good, wider where the length is less certain. */
export function bandSteps(relativeSe: number): number {
  return Math.max(SUIT.bandSteps, relativeSe / NUMBER_STEP);
}

const byId = (a: HookAnswer, b: HookAnswer) => (a.id < b.id ? -1 : a.id > b.id ? 1 : 0);

/** Orders scored hooks: owned and in the band, then cost, then length, then id; a giant takes the longest. Source: formulas §4. */
export function rankHooks(scored: readonly HookAnswer[], targetMm: number, relativeSe: number): RankedHooks {
  const giant = scored.length > 0 && scored.every((hook) => hook.carry_mm < SUIT.giantBelow * targetMm);
  const best = Math.min(...scored.map((hook) => hook.steps!));
  const inBand = (hook: HookAnswer) => hook.owned > 0 && hook.steps! <= best + bandSteps(relativeSe);
  const hooks = [...scored].sort((a, b) => {
    if (giant && a.carry_mm !== b.carry_mm) return b.carry_mm - a.carry_mm;
    return Number(inBand(b)) - Number(inBand(a)) || a.steps! - b.steps! || Math.abs(a.length_steps!) - Math.abs(b.length_steps!) || byId(a, b);
  });
  const pinned = hooks.findIndex((hook) => hook.pinned);
  if (pinned > 0) hooks.unshift(...hooks.splice(pinned, 1));
  return { hooks, giant };
}

/** The best hook of every maker, keyed by maker, in ranked order. */
export function bestByMaker(hooks: readonly HookAnswer[]): Record<string, HookAnswer> {
  const best: Record<string, HookAnswer> = {};
  for (const hook of hooks) best[hook.maker] ??= hook;
  return best;
}
