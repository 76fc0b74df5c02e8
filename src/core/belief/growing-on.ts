import type { StageId } from '@/catalogue/ids';

/** Body length of a later stage over an earlier one: src/catalogue/growing-on.json. */
export interface GrowingOn {
  preserved: { shrinks: number; stages: readonly string[] };
  steps: readonly { from: string; to: string; ratio: readonly number[] }[];
}

/** Another stage of the same insect: `later` it will be, `earlier` it was. Lengths mm. */
export interface Grown {
  stage: StageId;
  direction: 'later' | 'earlier';
  lowMm: number;
  usualMm: number;
  highMm: number;
}

interface Factor {
  direction: 'later' | 'earlier';
  low: number;
  usual: number;
  high: number;
}

/** Every stage that can be reached by steps in one direction, with its length range. */
function reach(data: GrowingOn, from: StageId, direction: 'later' | 'earlier'): Map<string, Factor> {
  const found = new Map<string, Factor>();
  const queue: { stage: string; factor: Factor }[] = [{ stage: from, factor: { direction, low: 1, usual: 1, high: 1 } }];
  for (let next = queue.shift(); next; next = queue.shift()) {
    for (const step of data.steps) {
      const [low, usual, high] = step.ratio as [number, number, number];
      const [here, there, ratio] = direction === 'later' ? [step.from, step.to, [low, usual, high]] : [step.to, step.from, [1 / high, 1 / usual, 1 / low]];
      if (here !== next.stage || there === from || found.has(there)) continue;
      const factor: Factor = { direction, low: next.factor.low * ratio[0]!, usual: next.factor.usual * ratio[1]!, high: next.factor.high * ratio[2]! };
      found.set(there, factor);
      queue.push({ stage: there, factor });
    }
  }
  return found;
}

/**
 * What an insect of this stage and length will be and was, both ways: from a nymph the dun and spinner, from an adult the nymph to
 * tie. Stages that are left out of `offered` (a film emerger of a kind that climbs out) are not named. Source: domain §2.
 */
export function growingOn(data: GrowingOn, stage: StageId, lengthMm: number, offered: (stage: StageId) => boolean = () => true): Grown[] {
  return (['later', 'earlier'] as const).flatMap((direction) =>
    [...reach(data, stage, direction)].filter(([id]) => offered(id as StageId)).map(([id, factor]): Grown => ({
      stage: id as StageId,
      direction,
      lowMm: lengthMm * factor.low,
      usualMm: lengthMm * factor.usual,
      highMm: lengthMm * factor.high,
    })));
}

/** Length before the spirit shrank it: soft larvae lose about 4 %. */
export function unshrunk(data: GrowingOn, stage: StageId, preservedMm: number): number {
  return data.preserved.stages.includes(stage) ? preservedMm / (1 - data.preserved.shrinks) : preservedMm;
}
