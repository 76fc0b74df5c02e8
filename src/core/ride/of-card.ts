import type { FunctionId, PartId } from '@/catalogue/ids';
import { FIBRE_DENSITY, HOOK_STEEL, METAL_DENSITY, TIED } from '../constants';
import { hookMass } from '../hooks';
import type { Card, CardPart } from '../card/card-shape';
import type { Material } from '../materials';
import type { Afloat } from './float';

/** What a part weighs and fills, and how the water bears it. mg, mm³. */
export interface RidePart extends Afloat {
  part: string;
  kind: PartId;
  /** Its length, or that of its barbs. */
  mm: number;
  massMg: number;
  volumeMm3: number;
  /** What it shows the water below when it sinks, mm². */
  areaMm2: number;
}

/** A fly as the water has it. */
export interface FlyInWater {
  hookMg: number;
  parts: RidePart[];
  /** Mass in front that it dives with: bead, wound metal. */
  weightMg: number;
  lengthMm: number;
  thickMm: number;
}

/** g/m³, as threads are told, in mg/mm³. */
const PER_MM3 = 1e-6;
const round = (mm: number) => (Math.PI / 4) * mm ** 2;

/** Gape of a hook that was written by hand without one, as a share of its shank. */
const USUAL_GAPE = 0.6;

type Does = Pick<Material, 'floats' | 'absorbency' | 'density_g_cm3'>;
/** What is known of a material that is not in the catalogue: no more than that it is stuff. */
const ANY: Does = { floats: false, absorbency: 0.5, density_g_cm3: 1.2 };

const BODIES: ReadonlySet<PartId> = new Set([
  'abdomen',
  'thorax',
  'head',
  'case',
  'underbody',
  'egg-mass',
  'tag',
  'extended-body',
]);
const BESIDE: ReadonlySet<FunctionId> = new Set(['wing.spent', 'legs.fibre', 'legs.knotted', 'legs.rubber']);

/** Part of a stretch of the hook that lies in its front third. */
function frontOf(card: Card, part: CardPart): number {
  const [low, high] = [part.to_mm ?? part.from_mm ?? 0, part.from_mm ?? 0];
  const third = card.hook.shank_mm / 3;
  if (high - low < 0.1) return low < third ? 1 : 0;
  return Math.max(0, Math.min(third, high) - low) / (high - low);
}

function partOf(card: Card, part: CardPart, does: Does, posted: boolean): RidePart {
  const { part: kind } = part;
  const use = part.material?.function ?? null;
  const length = part.mm ?? 0;
  const own: RidePart = {
    part: part.id,
    kind,
    mm: length,
    massMg: 0,
    volumeMm3: 0,
    areaMm2: 0,
    lyingMm: 0,
    tips: 0,
    airMm3: 0,
    front: frontOf(card, part),
    sheds: does.floats,
    absorbency: does.absorbency,
  };
  const stuff = (volumeMm3: number, more: Partial<RidePart> = {}): RidePart => ({
    ...own,
    volumeMm3,
    massMg: volumeMm3 * does.density_g_cm3,
    ...more,
  });
  const hackle = card.hackles.find((one) => one.part === part.id);
  if (hackle) {
    const barbs = hackle.turns * TIED.barbs;
    const volume = barbs * hackle.barb_mm * round(TIED.barbMm) * TIED.taper;
    const area = 0.5 * barbs * hackle.barb_mm * TIED.barbMm;
    // Wound round a post barbs lie; their outline bears, for one takes what the next one would.
    if (posted) return stuff(volume, { lyingMm: Math.PI * hackle.barb_mm, areaMm2: area });
    const stands = use === 'hackle.stiff' && hackle.trim === 'full';
    return stuff(volume, {
      tips: stands ? barbs * TIED.onWater : 0,
      lyingMm: hackle.trim === 'full' && use === 'hackle.stiff' ? 0 : 2 * hackle.barb_mm * (does.floats ? 1 : 0),
      areaMm2: area,
    });
  }
  if (use === 'body.foam') {
    const wide = part.wide_mm ?? TIED.strip.wide * (card.hook.gape_mm ?? USUAL_GAPE * card.hook.shank_mm);
    const volume =
      BODIES.has(kind) && part.thick_mm !== null
        ? 0.8 * round(part.thick_mm) * length
        : wide * TIED.strip.thickMm * length;
    return stuff(volume, { airMm3: volume, lyingMm: length });
  }
  if (kind === 'bead' || kind === 'weight') return own;
  if (kind === 'rib') {
    const wound = card.ribs.find((one) => one.part === part.id);
    const wire = use === 'rib.wire' || use === 'rib.half-round';
    const volume = (wound ? Math.PI * 1.2 * wound.turns : length) * round(TIED.ribMm);
    return { ...stuff(volume), ...(wire ? { massMg: volume * TIED.ribDensity } : {}) };
  }
  if (BODIES.has(kind)) {
    const thick = part.thick_mm ?? 3 * card.hook.wire_mm;
    const core = kind === 'extended-body' ? 0 : card.hook.wire_mm;
    const shell = Math.max(0, round(thick) - round(core)) * length;
    const massMg = part.amount.dubbingMg ?? shell * TIED.fill * does.density_g_cm3;
    return {
      ...own,
      massMg,
      volumeMm3: massMg / does.density_g_cm3,
      lyingMm: length,
      airMm3: use === 'wing.hair' ? shell * TIED.airShare : 0,
    };
  }
  const count = part.count ?? part.amount.need ?? 1;
  if (kind === 'tail' || kind === 'shuck') {
    const fibres = Math.max(1, Math.min(30, count));
    const split = use === 'tail.split' || use === 'tail.stiff';
    return stuff(fibres * length * round(TIED.fibreMm), {
      lyingMm: length * (use === 'tail.split' ? 2 : 1),
      tips: split ? fibres : 0,
      areaMm2: fibres * length * TIED.fibreMm * 0.3,
    });
  }
  // Hair, yarn and plume are bunches: they stand over the water, lie on it to both sides, or hold air and hang the fly from it.
  const plume = use === 'wing.tuft' || use === 'hackle.cdc-loop';
  const airy = plume || use === 'wing.hair';
  const beside = use !== null && BESIDE.has(use);
  return stuff(length * round(TIED.hairMm) * TIED.fill ** 2, {
    airMm3: airy && does.floats ? length * round(TIED.hairMm) * TIED.airShare : 0,
    lyingMm: (beside ? 2 : plume ? 1 : 0) * length,
    areaMm2: length * TIED.hairMm * 0.3,
  });
}

/** What weighs and bears nothing. */
const borne = (part: string, kind: PartId, massMg: number, volumeMm3: number): RidePart => ({
  part,
  kind,
  mm: 0,
  massMg,
  volumeMm3,
  areaMm2: 0,
  lyingMm: 0,
  tips: 0,
  airMm3: 0,
  front: 1,
  sheds: false,
  absorbency: 0,
});

/** What a card's fly weighs and fills, and what bears it; what no card measures is about. */
export function flyInWater(card: Card, materials: readonly Material[]): FlyInWater {
  const known = new Map(materials.map((material) => [material.id, material]));
  const posted = card.steps.some((step) => step.do === 'post');
  const parts = card.parts.map((part) => {
    const { id = null } = part.material ?? {};
    return partOf(card, part, (id === null ? undefined : known.get(id)) ?? ANY, posted);
  });
  const metal = card.weights.filter(({ kind }) => kind !== 'hook-wire');
  const weightMg = metal.reduce((sum, { mass_mg }) => sum + mass_mg, 0);
  const [thread] = card.threads;
  const threadFibre = known.get(thread?.material ?? '')?.fibre ?? 'nylon';
  const threadMg = ((thread?.denier ?? 70) / 9000) * TIED.threadMm;
  parts.push(borne('thread', 'head', threadMg, threadMg / (PER_MM3 * FIBRE_DENSITY[threadFibre])));
  for (const { mass_mg, metal: of } of metal)
    parts.push(borne('weight', 'weight', mass_mg, mass_mg / METAL_DENSITY[of ?? 'lead']));
  const { shank_mm, gape_mm, wire_mm, eye_mm } = card.hook;
  const hookMg =
    card.hook.mass_mg ?? hookMass(shank_mm, gape_mm ?? USUAL_GAPE * shank_mm, wire_mm, eye_mm ?? 3 * wire_mm);
  const thick = Math.max(card.hook.wire_mm, ...card.parts.map(({ thick_mm }) => thick_mm ?? 0));
  return { hookMg, parts, weightMg, lengthMm: card.hook.shank_mm, thickMm: thick };
}

export const hookVolume = (hookMg: number): number => hookMg / HOOK_STEEL.density;
