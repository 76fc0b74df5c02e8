import {
  believe,
  NOTHING_SEEN,
  ranked,
  beforeSigns,
  tableFor,
  withEachAnswer,
  type Belief,
  type Sighting,
  type BeforeSigns,
} from './believe';
import type { AskedId, Key } from './key-data';

function entropyBits(p: readonly number[]): number {
  let bits = 0;
  for (const value of p) if (value > 0) bits -= value * Math.log2(value);
  return bits;
}

/** What each stage says of a sign as things stand: of its tails what its groups say, by how likely each is. */
function rowsOf(key: Key, sighting: Sighting, belief: Belief, sign: AskedId): readonly (readonly number[])[] | null {
  if (sign !== 'tails') return tableFor(key, sign, sighting.signs)?.[sign] ?? null;
  return key.members.map((members, stage) =>
    members.length === 0
      ? key.table.tails[stage]!
      : key.answers.tails.map((_, index) =>
          members.reduce((sum, { tails }, member) => sum + belief.groupWeights[stage]![member]! * tails[index]!, 0),
        ),
  );
}

/** Expected loss of doubt over the stages, bits, if this sign were looked for; where it may not be there to be seen, nothing is lost. */
export function gainBits(
  key: Key,
  sighting: Sighting,
  belief: Belief,
  sign: AskedId,
  before: BeforeSigns = beforeSigns(key, sighting),
): number {
  const rows = rowsOf(key, sighting, belief, sign);
  if (rows === null) return 0;
  const after = withEachAnswer(key, before, sighting, sign);
  const now = entropyBits(belief.p);
  return after.reduce((gain, p, index) => {
    let chance = 0;
    for (let stage = 0; stage < rows.length; stage++) chance += belief.p[stage]! * rows[stage]![index]!;
    return chance < 1e-6 ? gain : gain + chance * (now - entropyBits(p));
  }, 0);
}

/** The unanswered sign that is worth most now; null when all are answered or nothing is left to gain. `skip` are signs the tier cannot tell. */
export function nextSign(
  key: Key,
  sighting: Sighting,
  belief: Belief,
  skip: readonly AskedId[] = [],
): { sign: AskedId; bits: number } | null {
  const open = (Object.keys(key.answers) as AskedId[]).filter(
    (sign) => sighting.signs[sign] === undefined && !skip.includes(sign),
  );
  const before = beforeSigns(key, sighting);
  const best = open
    .map((sign) => ({ sign, bits: gainBits(key, sighting, belief, sign, before) }))
    .sort((a, b) => b.bits - a.bits)[0];
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
    const rows = rowsOf(key, sighting, belief, sign);
    if (rows === null) return 0;
    const [a, b] = [rows[first]!, rows[second]!];
    return a.reduce((sum, value, index) => sum + (value - b[index]!) * Math.log(value / b[index]!), 0);
  };
  const separateBy = [...(open.length > 0 ? open : all)].sort((x, y) => apart(y) - apart(x))[0]!;
  return { stage: second, separateBy };
}

/** What else than a sign was said of an insect. */
export type Otherwise = 'length' | 'case-length' | 'belly' | 'water' | 'month' | 'seen' | 'rise';
export interface WeightOfEvidence {
  sign: AskedId | Otherwise;
  /** The answer's id; of what is no sign the number or the word as it was given, empty for a length and a colour. */
  answer: string;
  stage: number;
  bits: number;
}

/** Everything that was said, each with the sighting as it would be without it. */
function saidOf(key: Key, sighting: Sighting): { sign: WeightOfEvidence['sign']; answer: string; without: Sighting }[] {
  const signs = (Object.entries(sighting.signs) as [AskedId, string][]).flatMap(([sign, answer]) => {
    if (!key.answers[sign]?.includes(answer)) return [];
    const { [sign]: _heard, ...others } = sighting.signs;
    return [{ sign, answer, without: { ...sighting, signs: others } }];
  });
  const other = (sign: Otherwise, field: keyof Sighting, answer: string) =>
    sighting[field] === null ? [] : [{ sign, answer, without: { ...sighting, [field]: NOTHING_SEEN[field] } }];
  return [
    ...signs,
    ...other('length', 'lengthMm', ''),
    ...other('case-length', 'caseMm', ''),
    ...other('belly', 'belly', ''),
    ...other('water', 'water', sighting.water ?? ''),
    ...other('month', 'month', String(sighting.month ?? '')),
    ...sighting.seen.map((seen) => ({
      sign: 'seen' as const,
      answer: seen,
      without: { ...sighting, seen: sighting.seen.filter((item) => item !== seen) },
    })),
    ...other('rise', 'rise', sighting.rise ?? ''),
  ];
}

/** Nearer to certain than this is not told apart. */
const NEVER = 1e-12;

/** How hard everything that was said pulls for the first stage against the rest, bits: the odds with it over the odds without it, + pulls toward it. */
export function weightsOfEvidence(key: Key, sighting: Sighting, belief: Belief): WeightOfEvidence[] {
  const first = ranked(belief.p)[0]!;
  const odds = ({ p }: Belief) =>
    Math.max(NEVER, p[first]!) /
    Math.max(
      NEVER,
      p.reduce((sum, value, stage) => (stage === first ? sum : sum + value), 0),
    );
  const now = odds(belief);
  return saidOf(key, sighting)
    .map(({ sign, answer, without }) => ({
      sign,
      answer,
      stage: first,
      bits: Math.log2(now / odds(believe(key, without))),
    }))
    .sort((a, b) => Math.abs(b.bits) - Math.abs(a.bits));
}
