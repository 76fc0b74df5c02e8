import type { StageId } from '@/catalogue/ids';
import type { AskedId, Key, KeyData, KeySource } from './key-data';

function normalised(values: readonly number[]): number[] {
  const sum = values.reduce((total, value) => total + value, 0);
  return values.map((value) => value / sum);
}

/** Weights as a distribution over all answers: what is not named shares what is left, nothing falls under the floor. */
function distribution(weights: Readonly<Record<string, number>> | undefined, answers: readonly string[], { floor, contrast }: Pick<KeyData, 'floor' | 'contrast'>): number[] {
  if (!weights) return answers.map(() => 1 / answers.length);
  const named = answers.filter((answer) => weights[answer] !== undefined);
  const left = Math.max(0, 1 - named.reduce((sum, answer) => sum + weights[answer]!, 0));
  const share = answers.length > named.length ? left / (answers.length - named.length) : 0;
  const sharp = normalised(answers.map((answer) => (weights[answer] ?? share) ** contrast));
  return normalised(sharp.map((value) => Math.max(floor, value)));
}

/**
 * Makes the key ready: every sign of every stage as a floored distribution, with the known mistakes of observers worked in.
 * Source: domain §2.
 */
export function prepareKey(source: KeySource): Key {
  const { answers, data, groups } = source;
  const ids = source.stages.map((stage) => stage.id);
  const asked = Object.keys(answers) as AskedId[];
  const table = Object.fromEntries(asked.map((sign) => [sign, ids.map((id) => {
    const row = distribution(data.stages[id]?.signs[sign], answers[sign], data);
    for (const mistake of data.mistakes) {
      if (mistake.sign !== sign || !mistake.stages.includes(id)) continue;
      const [from, to] = [answers[sign].indexOf(mistake.from), answers[sign].indexOf(mistake.to)];
      const moved = row[from]! * mistake.rate;
      row[from] = row[from]! - moved;
      row[to] = row[to]! + moved;
    }
    return row;
  })])) as unknown as Key['table'];
  return {
    ...source,
    ids,
    prior: ids.map((id) => data.stages[id]?.prior ?? 0.1),
    table,
    members: ids.map((id: StageId) => groups.flatMap((group) => group.stages.flatMap((entry) => (entry.stage === id ? [{ group, entry }] : [])))),
  };
}
