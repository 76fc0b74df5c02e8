import { MATERIALS } from '../src/catalogue';
import type { Answer, Dressed } from '../src/core/answer';
import { reason, type Reason } from '../src/core/code';
import type { Card } from '../src/core/tying';
import type { Speech } from '../src/speech';
import { worded } from './json';

const significant = (value: number) => String(Number(value.toPrecision(4)));

function batchOut(card: Card, speech: Speech) {
  if (card.batch === null) return null;
  const amount = (unit: string, value: number | null) =>
    value === null
      ? speech.t('batch.by-eye')
      : unit === 'count'
        ? significant(value)
        : unit === 'mg'
          ? `${significant(value)} mg`
          : speech.length(value);
  return {
    count: card.batch.count,
    lines: card.batch.lines.map((line) => ({
      material: line.material,
      per_fly: amount(line.unit, line.each),
      total: amount(line.unit, line.all),
      waste: line.waste,
    })),
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
