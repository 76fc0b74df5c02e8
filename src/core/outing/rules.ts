import type { BarbRuleId } from '@/catalogue/ids';
import { reason, type Reason } from '../code';

/** What is allowed on a water, as the tier noted it; null where nothing is said. */
export interface WaterRules {
  maxFlies: number | null;
  barbRule: BarbRuleId;
  lead: boolean;
  bead: boolean;
  weight: boolean;
}

/** What a fly brings to the water. */
export interface RuledFly {
  name: string;
  barb: string | null;
  lead: boolean;
  bead: boolean;
  weight: boolean;
}

/** Where a team breaks the rules of its water, each with its fly. They are the tier's own notes: to be checked, never a verdict. */
export function ruleFaults(team: readonly RuledFly[], rules: WaterRules): Reason[] {
  const faults: Reason[] = [];
  if (rules.maxFlies !== null && team.length > rules.maxFlies)
    faults.push(reason('rule-flies', { count: team.length, most: rules.maxFlies }));
  for (const fly of team) {
    const say = (code: string) => faults.push(reason(code, { fly: fly.name }));
    if (fly.barb === 'barbed' && rules.barbRule === 'barbless') say('rule-barbless');
    else if (fly.barb === 'barbed' && rules.barbRule === 'flattened') say('rule-flattened');
    if (fly.lead && !rules.lead) say('rule-lead');
    if (fly.bead && !rules.bead) say('rule-bead');
    else if (fly.weight && !fly.lead && !rules.weight) say('rule-weight');
  }
  return faults;
}
