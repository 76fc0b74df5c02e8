import type { CautionId, LevelId, RideId } from '@/catalogue/ids';
import type { Coded, Param } from '../code';
import type { Hook, StageRow, Style } from '../hooks';
import type { Material } from '../materials';
import type { Dressing, DressingPart, DressingStep } from './dressing';
import { referenceRangeOf } from './hook-range';
import { switchedWays, type Switched } from './left-out';

/** One failure: which dressing, which step (from 1) or part, which rule. */
export interface DressingFault extends Coded {
  dressing: string;
  step: number | null;
  part: string | null;
}

/** Lays a dressing out on a hook: given by tying, so that the checker does not depend on it. */
export type LaysOut = (
  dressing: Dressing,
  hook: Hook,
  naturalMm: number,
  switched: Switched,
) => {
  fits: boolean;
  overMm: number;
  part: string | null;
  sizes: ReadonlyMap<string, number>;
  gapeMm: number;
  eyeMm: number;
  abdomenMm: number | null;
  carryMm: number;
};

export interface CheckCatalogue {
  styles: readonly Style[];
  stages: readonly StageRow[];
  materials: readonly Material[];
}

const BODY_VERBS: ReadonlySet<string> = new Set(['wind', 'dub', 'fold']);
const HACKLE_MIN_GAPE = 1.2;
const UNORDERED_THICKNESS: ReadonlySet<string> = new Set(['wide-terrestrial', 'shrimp']);

class Findings {
  readonly faults: DressingFault[] = [];
  constructor(private readonly dressing: Dressing) {}
  add(code: string, where: { step?: number | null; part?: string | null }, params: Record<string, Param> = {}) {
    this.faults.push({ code, dressing: this.dressing.id, step: where.step ?? null, part: where.part ?? null, params });
  }
}

function steps(dressing: Dressing): (DressingStep & { n: number })[] {
  return dressing.steps.map((step, index) => ({ ...step, n: index + 1 }));
}

function checkMaterials(dressing: Dressing, materials: readonly Material[], found: Findings): void {
  const known = new Set(materials.map((material) => material.id));
  const threads = new Set(dressing.threads.map((thread) => thread.material));
  const byId = new Map(dressing.parts.map((part) => [part.id, part]));
  for (const part of dressing.parts) {
    if (part.material !== null && !known.has(part.material))
      found.add('material-unknown', { part: part.id }, { material: part.material });
    if (!dressing.steps.some((step) => step.part === part.id)) found.add('part-without-step', { part: part.id });
  }
  for (const step of steps(dressing)) {
    if (step.part !== null && !byId.has(step.part))
      found.add('step-part-unknown', { step: step.n }, { part: step.part });
    if (step.material === null || step.do === 'coat' || step.do === 'tint') continue;
    const part = step.part === null ? undefined : byId.get(step.part);
    const partsOwn =
      part?.material === step.material || dressing.parts.some((other) => other.material === step.material);
    if (!partsOwn && !threads.has(step.material))
      found.add('step-material-without-part', { step: step.n }, { material: step.material });
  }
}

/** Cautions that materials carry stand at their steps, and the last step frees the eye. */
function checkCautions(dressing: Dressing, materials: readonly Material[], found: Findings): void {
  const all = steps(dressing);
  for (const step of all) {
    const caution = materials.find((material) => material.id === step.material)?.caution ?? null;
    if (caution !== null && step.caution !== caution)
      found.add('caution-missing', { step: step.n }, { caution: { kind: 'cautions', id: caution } });
    if (
      step.caution !== null &&
      !ALLOWED_ANYWHERE.has(step.caution) &&
      caution === null &&
      !dressing.cautions.includes(step.caution)
    )
      found.add('caution-unlisted', { step: step.n }, { caution: { kind: 'cautions', id: step.caution } });
  }
  if (all[all.length - 1]?.do !== 'free-eye') found.add('eye-not-freed', { step: all.length });
}

/** Optional parts are switches; bundles, assemblies and tools name what is there. */
function checkNames(dressing: Dressing, found: Findings): void {
  const byId = new Map(dressing.parts.map((part) => [part.id, part]));
  const switched = new Set(dressing.switches.flatMap((item) => item.parts));
  for (const item of dressing.switches)
    for (const id of item.parts) if (!byId.has(id)) found.add('switch-part-unknown', { part: id }, { name: item.name });
  for (const part of dressing.parts)
    if (part.optional !== switched.has(part.id)) found.add('optional-unswitched', { part: part.id });
  for (const bundle of dressing.bundles) {
    for (const id of bundle.parts) {
      if (byId.get(id)?.material !== bundle.material)
        found.add('bundle-material', { part: id }, { material: bundle.material });
    }
  }
  const used = new Set(dressing.steps.flatMap((step) => step.assembly ?? []));
  const threads = new Set(dressing.threads.map((thread) => thread.material));
  for (const assembly of dressing.assemblies) {
    if (!byId.has(assembly.part)) found.add('step-part-unknown', {}, { part: assembly.part });
    if (!used.has(assembly.id)) found.add('assembly-unused', { part: assembly.part }, { name: assembly.name });
    for (const step of assembly.steps) {
      if (step.material === null || step.do === 'coat' || step.do === 'tint') continue;
      if (!threads.has(step.material) && !dressing.parts.some((part) => part.material === step.material))
        found.add('step-material-without-part', { part: assembly.part }, { material: step.material });
    }
  }
  for (const step of steps(dressing))
    if (step.assembly !== null && !dressing.assemblies.some((assembly) => assembly.id === step.assembly))
      found.add('assembly-unknown', { step: step.n }, { name: step.assembly });
  for (const step of [
    ...steps(dressing),
    ...dressing.assemblies.flatMap((assembly) => assembly.steps.map((step) => ({ ...step, n: null }))),
  ]) {
    if (step.tool !== null && dressing.tools.length > 0 && !dressing.tools.includes(step.tool))
      found.add('tool-unlisted', { step: step.n }, { tool: step.tool });
  }
}

/** Where a ride can be: none of a dressing's levels may contradict all of them. */
const LEVELS_OF_RIDE: Record<RideId, readonly LevelId[]> = {
  high: ['surface', 'air', 'film'],
  film: ['film', 'surface', 'rising'],
  hanging: ['film', 'rising'],
  under: ['rising', 'drift', 'going-down', 'drowned', 'film', 'bed'],
  sink: ['bed', 'drift', 'rising', 'going-down'],
};

const PLUMES: ReadonlySet<string> = new Set(['wing.tuft', 'hackle.cdc-loop']);

/** Hooks the style is meant for, room kept for the head, level and ride, and no glue where it spoils. Source: domain §4, §5. */
function checkFit(dressing: Dressing, catalogue: CheckCatalogue, found: Findings): void {
  const style = catalogue.styles.find((item) => item.id === dressing.style)!;
  for (const { bend } of dressing.hooks) {
    const column = bend === 'curved-shank' || bend === 'continuous-curve' ? bend : 'straight';
    if (style.path[column] === null)
      found.add(
        'hook-not-for-style',
        {},
        { bend: { kind: 'bends', id: bend }, style: { kind: 'styles', id: style.id } },
      );
  }
  if (dressing.head_room !== null && dressing.head_room < style.reserve - 1e-9)
    found.add('head-room-short', {}, { eyes: dressing.head_room, reserve: style.reserve });
  if (dressing.levels.length > 0 && !dressing.levels.some((level) => LEVELS_OF_RIDE[dressing.ride].includes(level)))
    found.add(
      'level-ride',
      {},
      { level: { kind: 'levels', id: dressing.levels[0]! }, ride: { kind: 'rides', id: dressing.ride } },
    );
  const shown = dressing.threads.some((thread) => thread.role === 'show-through');
  const isGlue = (id: string | null) =>
    catalogue.materials
      .find((material) => material.id === id)
      ?.functions.some((does) => does === 'coat.glue' || does === 'coat.varnish' || does === 'wax') ?? false;
  for (const step of steps(dressing)) {
    if (step.do !== 'coat' || !isGlue(step.material)) continue;
    const part = dressing.parts.find((item) => item.id === step.part);
    if (part?.function && PLUMES.has(part.function)) found.add('glue-on-plume', { step: step.n, part: part.id });
    const body = steps(dressing).find((other) => other.part === part?.id && BODY_VERBS.has(other.do));
    if (shown && part?.part === 'abdomen' && body && step.n < body.n)
      found.add('glue-under-show', { step: step.n, part: part.id });
  }
}

/** Cautions of the act itself: the hook in the vise, blades and needles in the hand. */
const ALLOWED_ANYWHERE: ReadonlySet<CautionId> = new Set(['hook-point', 'blade', 'needle', 'sharp-pieces']);

function checkFactors(dressing: Dressing, found: Findings): void {
  for (const part of dressing.parts) {
    if (
      part.factor !== null &&
      (part.low === null || part.high === null || part.low > part.factor || part.factor > part.high)
    )
      found.add('factor-range', { part: part.id });
    if (part.factor === null && part.count === null && part.base !== 'eye-judged')
      found.add('base-missing', { part: part.id });
  }
}

function thickness(part: DressingPart | undefined): number | null {
  return part?.thick?.base === 'girth' ? part.thick.factor : null;
}

function checkProportions(dressing: Dressing, catalogue: CheckCatalogue, layOut: LaysOut, found: Findings): void {
  const abdomen = dressing.parts.find((part) => part.part === 'abdomen');
  const thorax = dressing.parts.find((part) => part.part === 'thorax');
  const thickA = thickness(abdomen);
  const thickT = thickness(thorax);
  if (thickA !== null && thickT !== null && thickT <= thickA && !UNORDERED_THICKNESS.has(dressing.style))
    found.add('thorax-thin', { part: thorax!.id });
  const style = catalogue.styles.find((item) => item.id === dressing.style)!;
  const seen = new Set<string>();
  const once = (code: string, part: string, params: Record<string, Param>) => {
    if (seen.has(`${code}:${part}`)) return;
    seen.add(`${code}:${part}`);
    found.add(code, { part }, params);
  };
  for (const { hook, naturalMm, way } of referenceRangeOf(dressing, style).flatMap((range) =>
    switchedWays(dressing).map((way) => ({ ...range, way })),
  )) {
    const laid = layOut(dressing, hook, naturalMm, way);
    if (!laid.fits) once('no-room', laid.part ?? '', { mm: { mm: laid.overMm }, shank: { mm: hook.shank.value } });
    for (const part of dressing.parts) {
      const mm = laid.sizes.get(part.id);
      if (mm === undefined) continue;
      if (part.part === 'head' && mm > laid.eyeMm + 1e-9) once('head-long', part.id, {});
      if (part.function === 'hackle.stiff' && part.part === 'hackle' && mm < HACKLE_MIN_GAPE * laid.gapeMm - 1e-9)
        once('hackle-short', part.id, {});
      if (
        part.part === 'tail' &&
        dressing.stages.includes('mayfly/dun') &&
        laid.abdomenMm !== null &&
        mm < laid.abdomenMm - 1e-9
      )
        once('tail-short', part.id, {});
      if (part.part === 'wing' && part.function === 'wing.post' && dressing.style !== 'post-dun') {
        const hackle = Math.max(
          0,
          ...dressing.parts.filter((other) => other.part === 'hackle').map((other) => laid.sizes.get(other.id) ?? 0),
        );
        if (mm < hackle) once('wing-below-hackle', part.id, {});
      }
    }
  }
}

/** What a dressing's record lacks: names, materials, cautions, rules, room and proportions over its hook range; empty when it passes. What hands cannot tie is the bench's. Source: formulas §12. */
export function checkDressing(dressing: Dressing, catalogue: CheckCatalogue, layOut: LaysOut): DressingFault[] {
  const found = new Findings(dressing);
  checkMaterials(dressing, catalogue.materials, found);
  checkCautions(dressing, catalogue.materials, found);
  checkFactors(dressing, found);
  checkNames(dressing, found);
  checkFit(dressing, catalogue, found);
  checkProportions(dressing, catalogue, layOut, found);
  return found.faults;
}
