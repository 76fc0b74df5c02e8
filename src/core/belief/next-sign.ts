import { believe, ranked, standing, withEachAnswer, type Belief, type Sighting, type Standing } from './believe';
import type { AskedId, Key } from './key-data';

function entropyBits(p: readonly number[]): number {
  let bits = 0;
  for (const value of p) if (value > 0) bits -= value * Math.log2(value);
  return bits;
}

/** Expected loss of doubt over the stages, bits, if this sign were answered. */
export function gainBits(key: Key, sighting: Sighting, belief: Belief, sign: AskedId, stands: Standing = standing(key, sighting)): number {
  const after = withEachAnswer(key, stands, sighting, sign);
  const rows = key.table[sign];
  return after.reduce((gain, p, index) => {
    let chance = 0;
    for (let stage = 0; stage < rows.length; stage++) chance += belief.p[stage]! * rows[stage]![index]!;
    return chance < 1e-6 ? gain : gain - chance * entropyBits(p);
  }, entropyBits(belief.p));
}

/** The unanswered sign that is worth most now; null when all are answered or nothing is left to gain. `skip` are signs the tier cannot tell. */
export function nextSign(key: Key, sighting: Sighting, belief: Belief, skip: readonly AskedId[] = []): { sign: AskedId; bits: number } | null {
  const open = (Object.keys(key.answers) as AskedId[]).filter((sign) => sighting.signs[sign] === undefined && !skip.includes(sign));
  const stands = standing(key, sighting);
  const best = open.map((sign) => ({ sign, bits: gainBits(key, sighting, belief, sign, stands) })).sort((a, b) => b.bits - a.bits)[0];
  return best && best.bits > MIN_BITS ? best : null;
}

const MIN_BITS = 0.01;

/** The stage nearest to the first, and the sign that would part them best: answered signs count too, when none is open. */
export function lookalike(key: Key, sighting: Sighting, belief: Belief): { stage: number; separateBy: AskedId } | null {
  const [first, second] = ranked(belief.p);
  if (first === undefined || second === undefined || belief.p[second]! < 1e-4) return null;
  const all = Object.keys(key.answers) as AskedId[];
  const open = all.filter((sign) => sighting.signs[sign] === undefined);
  const apart = (sign: AskedId) => {
    const [a, b] = [key.table[sign][first]!, key.table[sign][second]!];
    return a.reduce((sum, value, index) => sum + (value - b[index]!) * Math.log(value / b[index]!), 0);
  };
  const separateBy = [...(open.length > 0 ? open : all)].sort((x, y) => apart(y) - apart(x))[0]!;
  return { stage: second, separateBy };
}

/** How hard each answered sign pulls for the first stage against the rest, bits; + pulls toward it. */
export function pulls(key: Key, sighting: Sighting, belief: Belief): { sign: AskedId; answer: string; stage: number; bits: number }[] {
  const first = ranked(belief.p)[0]!;
  const rest = 1 - belief.p[first]!;
  return (Object.entries(sighting.signs) as [AskedId, string][]).flatMap(([sign, answer]) => {
    const index = key.answers[sign]?.indexOf(answer) ?? -1;
    if (index < 0) return [];
    // Without this sign, so that the rest is weighed as it stood before it was heard.
    const { [sign]: _heard, ...others } = sighting.signs;
    const before = believe(key, { ...sighting, signs: others }).p;
    const weight = before.reduce((sum, p, stage) => (stage === first ? sum : sum + p), 0) || rest || 1;
    const other = before.reduce((sum, p, stage) => (stage === first ? sum : sum + p * key.table[sign][stage]![index]!), 0) / weight;
    return [{ sign, answer, stage: first, bits: Math.log2(key.table[sign][first]![index]! / other) }];
  }).sort((a, b) => Math.abs(b.bits) - Math.abs(a.bits));
}
