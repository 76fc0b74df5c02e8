import { MATERIALS } from '../src/catalogue';
import type { Answer, Dressed } from '../src/core/answer';
import { reason, type Reason } from '../src/core/code';
import type { BatchLine, Card } from '../src/core/tying';
import type { Speech } from '../src/speech';
import { worded } from './json';

const significant = (value: number) => String(Number(value.toPrecision(4)));

/** An amount of a batch in words; of beads their size and hole with it. */
function amountOut({ unit, bead }: Pick<BatchLine, 'unit' | 'bead'>, value: number | null, speech: Speech): string {
  if (value === null) return speech.t('batch.by-eye');
  if (unit === 'mg') return `${significant(value)} mg`;
  if (unit === 'mm') return speech.length(value);
  return bead === null
    ? significant(value)
    : speech
        .t('cli.session-bead', {
          count: Number(significant(value)),
          mm: speech.length(bead.mm),
          kind: bead.kind ? speech.plain('bead-kinds', bead.kind) : '',
        })
        .trim();
}

/** Lines of one batch, or of several together: what each takes, once where they take alike. */
export function linesOut(batches: readonly (readonly BatchLine[])[], speech: Speech) {
  const known = new Map<string, BatchLine[]>();
  for (const line of batches.flat()) {
    const key = JSON.stringify([line.material, line.unit, line.bead]);
    known.set(key, [...(known.get(key) ?? []), line]);
  }
  return [...known.values()].map((lines) => {
    const [first] = lines as [BatchLine];
    const sum = (of: (line: BatchLine) => number) => lines.reduce((all, line) => all + of(line), 0);
    const total = first.all === null ? null : sum(({ all }) => all!);
    return {
      material: first.material,
      per_fly: speech.list([...new Set(lines.map((line) => amountOut(line, line.each, speech)))]),
      total: amountOut(first, total, speech),
      waste: total ? sum(({ all, waste }) => all! * waste) / total : 0,
    };
  });
}

function batchOut(card: Card, speech: Speech) {
  if (card.batch === null) return null;
  return {
    count: card.batch.count,
    lines: linesOut([card.batch.lines], speech),
    minutes: card.batch.minutes,
    prepare: card.batch.prepare.map((reason) => speech.say(reason)),
  };
}

/** `Card` of docs/cli.md. */
export function cardOut(card: Card, speech: Speech): unknown {
  return worded(
    {
      ...card,
      steps: stepsOut(card.steps, speech),
      assemblies: card.assemblies.map((assembly) => ({ ...assembly, steps: stepsOut(assembly.steps, speech) })),
      cautions: card.cautions.map((caution) => ({
        id: caution.id,
        text: speech.caution(caution.id),
        step: caution.step,
      })),
      batch: batchOut(card, speech),
    },
    speech,
  );
}

/** Steps with their codes and tools in words. */
function stepsOut(steps: Card['steps'], speech: Speech): unknown[] {
  return steps.map((step) => ({
    ...step,
    mend: speech.stepMends(step),
    check: speech.stepCheck(step),
    orientation: speech.stepOrientation(step),
    tool: step.tool && speech.tool(step.tool),
  }));
}

/** Schools that were asked for and have no place in the dressing of a card, each as a warning. */
export function unusedSchools(card: Card | null): Reason[] {
  return (card?.schools_unused ?? []).map((id) => reason('school-not-on-card', { school: { kind: 'schools', id } }));
}

/** `Dressed` of docs/cli.md. */
function dressedOut({ criteria: _criteria, ...dressed }: Dressed): Omit<Dressed, 'criteria'> {
  return dressed;
}

/** `MatchOut` of docs/cli.md. */
export function matchOut(answer: Answer, top: number, speech: Speech): unknown {
  const [order, stage] = answer.natural.stage.split('/');
  const { length } = answer.natural;
  return {
    ...(worded(
      {
        natural: {
          order,
          stage,
          length: {
            n: length.n,
            values_mm: length.valuesMm,
            mean_mm: length.meanMm,
            sd_mm: length.sdMm,
            ci95_mm: length.ci95Mm,
            spread_mm: length.spreadMm,
            se_mm: length.seMm,
            hatch_sd_mm: length.hatchSdMm,
            outliers: length.outliers,
            method: length.method,
          },
          case_mm: answer.natural.case_mm,
          overall_mm: answer.natural.overall_mm,
          colours: answer.natural.colours,
          water: answer.natural.water,
          offset: answer.natural.offset,
        },
        style: answer.style,
        hooks: answer.hooks.slice(0, top),
        by_maker: answer.by_maker,
        none_fits: answer.none_fits && {
          nearest: answer.none_fits.nearest,
          message: speech.say(answer.none_fits.message),
        },
        holds: answer.holds,
        dressing: answer.dressing && dressedOut(answer.dressing),
        alternatives: answer.alternatives.map(dressedOut),
      },
      speech,
    ) as object),
    card: answer.card ? cardOut(answer.card, speech) : null,
    warnings: worded(answer.warnings, speech),
  };
}

/** Name of a material of a card by id. */
export function materialName(id: string, card: Card): string {
  return (
    card.parts.find((part) => part.material?.id === id)?.material?.name ??
    MATERIALS.find((material) => material.id === id)?.name ??
    id
  );
}
