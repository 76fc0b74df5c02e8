import type { BarbRuleId } from '@/catalogue/ids';
import { reason, type Reason } from '../code';
import { sizeLabelOf } from '../hooks/size-label';

/** What is allowed on a water, as the tier noted it; null where nothing is said. */
export interface WaterRules {
  maxFlies: number | null;
  barbRule: BarbRuleId;
  lead: boolean;
  bead: boolean;
  weight: boolean;
  indicator: boolean;
  /** No hook with a larger number on its packet. */
  hookLargest: number | null;
  /** From the front of the eye to the outside of the bend. */
  hookLongestMm: number | null;
}

/** What a hook brings to the water: its packet's number, null where that is none, and its length over all. */
export interface RuledHook {
  name: string;
  barb: string | null;
  number: number | null;
  overallMm: number | null;
}

/** What a dressing brings. */
export interface RuledDressing {
  name: string;
  lead: boolean;
  bead: boolean;
  weight: boolean;
}

/** What a fly brings to the water. */
export type RuledFly = RuledHook & RuledDressing;

/** Where a hook breaks the rules of a water. Like all of them the tier's own notes: to be checked, never a verdict. */
export function hookFaults(hook: RuledHook, rules: WaterRules): Reason[] {
  const { name: fly, barb, number, overallMm } = hook;
  const { barbRule, hookLargest, hookLongestMm } = rules;
  return [
    ...(barb === 'barbed' && barbRule !== 'any' ? [reason(`rule-${barbRule}`, { fly })] : []),
    // The number falls as hooks grow.
    ...(hookLargest !== null && number !== null && number < hookLargest
      ? [reason('rule-hook-number', { fly, most: sizeLabelOf(hookLargest) })]
      : []),
    ...(hookLongestMm !== null && overallMm !== null && overallMm > hookLongestMm
      ? [reason('rule-hook-long', { fly, mm: { mm: overallMm }, most: { mm: hookLongestMm } })]
      : []),
  ];
}

/** Where what a dressing is weighted with breaks them. */
export function dressingFaults({ name: fly, lead, bead, weight }: RuledDressing, rules: WaterRules): Reason[] {
  return [
    ...(lead && !rules.lead ? [reason('rule-lead', { fly })] : []),
    ...(bead && !rules.bead
      ? [reason('rule-bead', { fly })]
      : weight && !lead && !rules.weight
        ? [reason('rule-weight', { fly })]
        : []),
  ];
}

/** Where a team breaks the rules of its water, each with its fly. */
export function ruleFaults(team: readonly RuledFly[], rules: WaterRules, indicator = false): Reason[] {
  return [
    ...(rules.maxFlies !== null && team.length > rules.maxFlies
      ? [reason('rule-flies', { count: team.length, most: rules.maxFlies })]
      : []),
    ...(indicator && !rules.indicator ? [reason('rule-indicator')] : []),
    ...team.flatMap((fly) => [...hookFaults(fly, rules), ...dressingFaults(fly, rules)]),
  ];
}
