import type { StageId } from '@/catalogue/ids';
import { tailsAt } from '../naturals/tails';
import type { AskedId, Key, KeyData, KeySource, Table } from './key-data';

/** Weights as a distribution over all answers: what is not named shares what is left; even where a sign does not apply. */
export function written(
  weights: Readonly<Record<string, number>> | null | undefined,
  answers: readonly string[],
): number[] {
  if (!weights) return answers.map(() => 1 / answers.length);
  const named = answers.filter((answer) => weights[answer] !== undefined);
  const left = Math.max(0, 1 - named.reduce((sum, answer) => sum + weights[answer]!, 0));
  const share = answers.length > named.length ? left / (answers.length - named.length) : 0;
  const full = answers.map((answer) => weights[answer] ?? share);
  const sum = full.reduce((total, value) => total + value, 0);
  return full.map((value) => value / sum);
}

/** What observers say of what is there: known mistakes, then any answer by their error. */
function observed(
  row: readonly number[],
  sign: AskedId,
  stage: StageId,
  { data, answers }: Pick<KeySource, 'data' | 'answers'>,
): number[] {
  const said = [...row];
  for (const mistake of data.mistakes) {
    if (mistake.sign !== sign || !mistake.stages.includes(stage)) continue;
    const [from, to] = [answers[sign].indexOf(mistake.from), answers[sign].indexOf(mistake.to)];
    const moved = said[from]! * mistake.rate;
    said[from] = said[from]! - moved;
    said[to] = said[to]! + moved;
  }
  const error = data.signs[sign]?.error ?? 0;
  return said.map((value) => (1 - error) * value + error / said.length);
}

/** A stage's tails where its group has so many: what is counted is counted of these. Source: domain §2. */
function tailsOfGroup(row: readonly number[], tails: readonly number[], answers: readonly string[]): readonly number[] {
  if (tails.length === 0) return row;
  const counted = ['1', '2', '3'].reduce((sum, answer) => sum + row[answers.indexOf(answer)]!, 0);
  return row.map((value, index) =>
    /^[123]$/.test(answers[index]!) ? (tails.includes(Number(answers[index])) ? counted / tails.length : 0) : value,
  );
}

/** Share of observers of a stage who say that it has what a sign needs. */
function having(
  needs: NonNullable<KeyData['signs'][string]['needs']>,
  table: Table,
  stage: number,
  answers: KeySource['answers'],
): number {
  return needs.answers.reduce(
    (sum, answer) => sum + table[needs.sign][stage]![answers[needs.sign].indexOf(answer)]!,
    0,
  );
}

/**
 * Makes the key ready: every sign of every stage as a distribution of what observers say, their error worked in. Source: domain §2.
 */
export function prepareKey(source: KeySource): Key {
  const { answers, data, groups } = source;
  const ids = source.stages.map((stage) => stage.id);
  const asked = Object.keys(answers) as AskedId[];
  const tables = (row: (sign: AskedId, id: StageId, stage: number) => number[]): Table =>
    Object.fromEntries(asked.map((sign) => [sign, ids.map((id, stage) => row(sign, id, stage))])) as unknown as Table;
  const table = tables((sign, id) => observed(written(data.stages[id]?.signs[sign], answers[sign]), sign, id, source));
  const alone = tables((sign, _, stage) => {
    const needs = data.signs[sign]?.needs;
    const row = table[sign][stage]!;
    // Who answers it has seen, or thinks he has seen, what it needs.
    const there = needs ? having(needs, table, stage, answers) : 1;
    return row.map((value) => there * value);
  });
  return {
    ...source,
    ids,
    prior: ids.map((id) => data.stages[id]?.prior ?? 0.1),
    table,
    alone,
    members: source.stages.map(({ id, traits }) =>
      groups.flatMap((group) =>
        group.stages.flatMap((entry) =>
          entry.stage === id
            ? [
                {
                  group,
                  entry,
                  young: traits.includes('young'),
                  tails: answers.tails
                    ? observed(
                        tailsOfGroup(
                          written(data.stages[id]?.signs.tails, answers.tails),
                          tailsAt(group, id),
                          answers.tails,
                        ),
                        'tails',
                        id,
                        source,
                      )
                    : [],
                },
              ]
            : [],
        ),
      ),
    ),
  };
}
