/** Insects that a key is asked about, drawn from its weights as they are written, not from what it makes of them. */
import { KEY } from '../src/catalogue/key';
import { written, type AskedId, type Key } from '../src/core/belief';
import { tailsAt } from '../src/core/naturals/tails';
import { chance } from '../src/standins/camera/chance';

export interface World {
  name: string;
  /** Every weight is moved by up to this share. */
  moved: number;
  /** Weights are raised to this power: below 1 naturals vary more than is written, above 1 less. */
  strength: number;
  /** Share of insects in which all signs of one cause look like another stage of the order. */
  dependent: number;
  /** Observers err this many times as often as is written. */
  errors: number;
}

export const AS_WRITTEN: World = { name: 'as written', moved: 0, strength: 1, dependent: 0, errors: 1 };
export const WORLDS: readonly World[] = [
  AS_WRITTEN,
  { ...AS_WRITTEN, name: 'moved by 30 %', moved: 0.3 },
  { ...AS_WRITTEN, name: 'weaker, to the 0.8th', strength: 0.8 },
  { ...AS_WRITTEN, name: 'stronger, to the 1.3th', strength: 1.3 },
  { ...AS_WRITTEN, name: 'a cause in ten of another stage', dependent: 0.1 },
  { ...AS_WRITTEN, name: 'errors doubled', errors: 2 },
  { ...AS_WRITTEN, name: 'moved, dependent, errors doubled', moved: 0.3, dependent: 0.1, errors: 2 },
];

function draw(weights: readonly number[], random: () => number): number {
  let left = random() * weights.reduce((sum, value) => sum + value, 0);
  for (let index = 0; index < weights.length; index++) {
    left -= weights[index]!;
    if (left <= 0) return index;
  }
  return weights.length - 1;
}

export interface Met {
  stage: number;
  /** What can be answered of it; a sign that is not there to be seen is missing. */
  signs: Partial<Record<AskedId, string>>;
  month: number;
  water: string | null;
  mm: number;
}

const COUNTED = ['1', '2', '3'];

/** A world's insects, one after another. */
export function naturals(world: World, seed: number, key: Key = KEY): () => Met {
  const { next: random } = chance(seed);
  const asked = Object.keys(key.answers) as AskedId[];
  const rows = new Map<string, number[]>();
  const rowOf = (stage: number, sign: AskedId) => {
    const id = `${stage} ${sign}`;
    const known = rows.get(id);
    if (known) return known;
    const row = written(key.data.stages[key.ids[stage]!]?.signs[sign], key.answers[sign]).map(
      (value) => (value * (1 + world.moved * (2 * random() - 1))) ** world.strength,
    );
    const sum = row.reduce((total, value) => total + value, 0);
    const made = row.map((value) => value / sum);
    rows.set(id, made);
    return made;
  };
  const order = (stage: number) => key.ids[stage]!.split('/')[0]!;
  const others = key.ids.map((_, stage) =>
    key.ids.flatMap((__, other) => (other !== stage && order(other) === order(stage) ? [other] : [])),
  );
  return () => {
    const stage = draw(key.prior, random);
    const { group, entry } = key.members[stage]![Math.floor(random() * key.members[stage]!.length)]!;
    const months = entry.months ?? group.months;
    const month =
      /\/(nymph|larva|cased-larva|free-larva)$/.test(entry.stage) || months.length === 0
        ? 1 + Math.floor(random() * 12)
        : months[Math.floor(random() * months.length)]!;
    const like = new Map<string, number>();
    const truth: Partial<Record<AskedId, string>> = {};
    const said: Partial<Record<AskedId, string>> = {};
    // What a sign needs is drawn before it.
    for (const sign of [...asked].sort(
      (a, b) => Number(!!key.data.signs[a]!.needs) - Number(!!key.data.signs[b]!.needs),
    )) {
      const { factor, needs, error } = key.data.signs[sign]!;
      if (needs && !needs.answers.includes(truth[needs.sign]!)) continue;
      if (!like.has(factor))
        like.set(
          factor,
          others[stage]!.length > 0 && random() < world.dependent
            ? others[stage]![Math.floor(random() * others[stage]!.length)]!
            : stage,
        );
      const answers = key.answers[sign];
      let answer = answers[draw(rowOf(like.get(factor)!, sign), random)]!;
      if (sign === 'tails' && COUNTED.includes(answer)) {
        const own = tailsAt(group, entry.stage);
        if (own.length > 0) answer = String(own[Math.floor(random() * own.length)]);
      }
      truth[sign] = answer;
      const mistake = key.data.mistakes.find(
        (item) => item.sign === sign && item.from === answer && item.stages.includes(entry.stage),
      );
      if (mistake && random() < mistake.rate) answer = mistake.to;
      said[sign] = random() < error * world.errors ? answers[Math.floor(random() * answers.length)]! : answer;
    }
    const [low, typical, high] = entry.length_mm ?? [4, 8, 14];
    return {
      stage,
      signs: said,
      month,
      water: group.waters.length > 0 ? group.waters[Math.floor(random() * group.waters.length)]! : null,
      mm: Math.max(0.5, typical + (random() + random() + random() - 1.5) * ((high - low) / 3)),
    };
  };
}
