import type { RegionId, StageId } from '@/catalogue/ids';
import { pathOf, smooth, type Mark, type Point } from '@/core/hooks/drawn';

export interface NaturalDrawing {
  marks: Mark[];
  bounds: { left: number; right: number; top: number; bottom: number };
}

export type RegionColours = Partial<Record<RegionId, string>>;

const INK = 'var(--ink)';
const WASH = 'var(--plane)';

/** What a kind of body looks like from the side, in shares of the body length; the head is at 0, the tip at −1. */
interface Form {
  /** Half-height of the body at shares from head to tip. */
  profile: readonly (readonly [u: number, half: number])[];
  /** How the body's middle line rises (+) or sinks from head to tip. */
  arch: number;
  rings: number;
  /** Where the thorax ends. */
  waist: number;
  eye: number;
  wing: 'none' | 'upright' | 'flat' | 'roof' | 'stone' | 'spent' | 'held-out' | 'sails' | 'pads' | 'buds';
  wingLength: number;
  tails: number;
  tailLength: number;
  legs: number;
  legLength: number;
  antennae: number;
  gills: boolean;
  case: boolean;
  plumes: boolean;
  /** A leg that is built for more than walking: to jump, to row or to pinch. */
  strong: 'none' | 'jump' | 'row' | 'pinch';
  /** Air sacs that show through a clear body. */
  sacs: boolean;
  /** What the body ends in: a forked fin, or a fan of plates. */
  fan: 'none' | 'fork' | 'plates';
  /** A coiled shell over the back. */
  shell: boolean;
}

const SLIM = [
  [0, 0.05],
  [0.06, 0.075],
  [0.14, 0.07],
  [0.22, 0.1],
  [0.36, 0.11],
  [0.5, 0.085],
  [0.75, 0.065],
  [0.95, 0.035],
  [1, 0.015],
] as const;
const STOUT = [
  [0, 0.06],
  [0.07, 0.1],
  [0.16, 0.11],
  [0.28, 0.13],
  [0.42, 0.125],
  [0.6, 0.11],
  [0.8, 0.08],
  [0.96, 0.04],
  [1, 0.02],
] as const;
const GRUB = [
  [0, 0.05],
  [0.06, 0.075],
  [0.16, 0.09],
  [0.35, 0.105],
  [0.6, 0.11],
  [0.82, 0.09],
  [0.97, 0.05],
  [1, 0.02],
] as const;
const WORM = [
  [0, 0.03],
  [0.05, 0.045],
  [0.3, 0.045],
  [0.6, 0.045],
  [0.9, 0.04],
  [1, 0.02],
] as const;
const COMMA = [
  [0, 0.06],
  [0.08, 0.13],
  [0.2, 0.16],
  [0.33, 0.13],
  [0.45, 0.075],
  [0.7, 0.06],
  [0.92, 0.045],
  [1, 0.02],
] as const;
const DOME = [
  [0, 0.06],
  [0.1, 0.11],
  [0.3, 0.16],
  [0.55, 0.17],
  [0.8, 0.13],
  [0.96, 0.05],
  [1, 0.02],
] as const;
const KEEL = [
  [0, 0.07],
  [0.1, 0.11],
  [0.3, 0.125],
  [0.6, 0.11],
  [0.85, 0.07],
  [1, 0.02],
] as const;
const FLAT = [
  [0, 0.035],
  [0.1, 0.055],
  [0.3, 0.07],
  [0.6, 0.07],
  [0.85, 0.05],
  [0.97, 0.03],
  [1, 0.015],
] as const;
const THREE = [
  [0, 0.06],
  [0.08, 0.1],
  [0.17, 0.08],
  [0.24, 0.03],
  [0.34, 0.085],
  [0.44, 0.06],
  [0.5, 0.025],
  [0.62, 0.13],
  [0.78, 0.15],
  [0.94, 0.08],
  [1, 0.02],
] as const;
const NEEDLE = [
  [0, 0.03],
  [0.05, 0.045],
  [0.12, 0.05],
  [0.25, 0.055],
  [0.4, 0.03],
  [0.7, 0.025],
  [0.95, 0.022],
  [1, 0.01],
] as const;

const BASE: Form = {
  profile: SLIM,
  arch: 0,
  rings: 9,
  waist: 0.36,
  eye: 0.028,
  wing: 'none',
  wingLength: 0,
  tails: 0,
  tailLength: 0,
  legs: 3,
  legLength: 0.3,
  antennae: 0.08,
  gills: false,
  case: false,
  plumes: false,
  strong: 'none',
  sacs: false,
  fan: 'none',
  shell: false,
};

const FORMS: Record<string, Partial<Form>> = {
  'mayfly/nymph': { profile: STOUT, tails: 3, tailLength: 0.55, wing: 'pads', gills: true, antennae: 0.2 },
  'mayfly/mature-nymph': {
    profile: STOUT,
    tails: 3,
    tailLength: 0.5,
    wing: 'pads',
    wingLength: 0.3,
    gills: true,
    antennae: 0.2,
  },
  'mayfly/emerger': { profile: SLIM, tails: 3, tailLength: 0.7, wing: 'flat', wingLength: 0.55 },
  'mayfly/cripple': { profile: SLIM, tails: 3, tailLength: 0.7, wing: 'flat', wingLength: 0.5 },
  'mayfly/dun': { wing: 'upright', wingLength: 1.02, tails: 2, tailLength: 1, arch: 0.05 },
  'mayfly/drowned-dun': { wing: 'flat', wingLength: 0.95, tails: 2, tailLength: 0.9 },
  'mayfly/spinner': { wing: 'upright', wingLength: 1.02, tails: 2, tailLength: 1.6, arch: 0.06, eye: 0.036 },
  'mayfly/diver': { wing: 'flat', wingLength: 0.95, tails: 2, tailLength: 1.5 },
  'mayfly/spent': { wing: 'spent', wingLength: 1, tails: 2, tailLength: 1.5 },
  'caddis/cased-larva': { profile: GRUB, case: true, legLength: 0.22, antennae: 0, waist: 0.28 },
  'caddis/free-larva': {
    profile: GRUB,
    arch: 0.16,
    rings: 10,
    tails: 2,
    tailLength: 0.06,
    legLength: 0.17,
    antennae: 0,
    waist: 0.3,
  },
  'caddis/pupa': { profile: COMMA, arch: 0.12, wing: 'buds', wingLength: 0.45, legLength: 0.5, antennae: 0.9 },
  'caddis/emerging-pupa': {
    profile: COMMA,
    arch: 0.05,
    wing: 'buds',
    wingLength: 0.55,
    legLength: 0.45,
    antennae: 0.9,
  },
  'caddis/adult': { wing: 'roof', wingLength: 1.28, antennae: 1.15, legLength: 0.4 },
  'caddis/egg-layer': { wing: 'roof', wingLength: 1.28, antennae: 1.15, legLength: 0.4 },
  'caddis/diver': { wing: 'roof', wingLength: 1.28, antennae: 1.15, legLength: 0.4 },
  'caddis/spent': { wing: 'spent', wingLength: 1.15, antennae: 1, legLength: 0.35 },
  'stonefly/nymph': {
    profile: STOUT,
    tails: 2,
    tailLength: 0.55,
    wing: 'pads',
    wingLength: 0.2,
    antennae: 0.38,
    legLength: 0.36,
    waist: 0.44,
  },
  'stonefly/adult': {
    profile: SLIM,
    wing: 'stone',
    wingLength: 1.22,
    tails: 2,
    tailLength: 0.18,
    antennae: 0.6,
    legLength: 0.36,
  },
  'stonefly/egg-layer': {
    profile: SLIM,
    wing: 'stone',
    wingLength: 1.22,
    tails: 2,
    tailLength: 0.18,
    antennae: 0.6,
    legLength: 0.36,
  },
  'midge/larva': { profile: WORM, arch: 0.08, rings: 12, legs: 0, antennae: 0, waist: 0.2, eye: 0.014 },
  'midge/pupa': {
    profile: COMMA,
    arch: 0.14,
    rings: 8,
    legs: 0,
    plumes: true,
    wing: 'buds',
    wingLength: 0.26,
    antennae: 0,
  },
  'midge/emerger': {
    profile: COMMA,
    arch: 0.06,
    rings: 8,
    legs: 2,
    legLength: 0.2,
    plumes: true,
    wing: 'flat',
    wingLength: 0.4,
  },
  'midge/adult': { profile: NEEDLE, arch: 0.04, wing: 'stone', wingLength: 0.72, legLength: 0.55, antennae: 0.22 },
  'midge/cluster': { profile: NEEDLE, wing: 'held-out', wingLength: 0.5, legLength: 0.35 },
  'crane-fly/adult': { profile: NEEDLE, wing: 'held-out', wingLength: 0.95, legLength: 1.05, antennae: 0.12 },
  'crane-fly/drowned': { profile: NEEDLE, wing: 'flat', wingLength: 0.95, legLength: 1.05, antennae: 0.12 },
  'crane-fly/larva': { profile: GRUB, rings: 10, legs: 0, antennae: 0 },
  'black-fly/larva': {
    profile: [
      [0, 0.06],
      [0.1, 0.06],
      [0.4, 0.05],
      [0.7, 0.09],
      [0.9, 0.11],
      [1, 0.04],
    ],
    legs: 0,
    antennae: 0.12,
  },
  'black-fly/pupa': { profile: COMMA, legs: 0, plumes: true },
  'black-fly/adult': { profile: COMMA, wing: 'stone', wingLength: 1.05, legLength: 0.35 },
  'hawthorn-fly/adult': { profile: SLIM, wing: 'stone', wingLength: 0.95, legLength: 0.7 },
  'damselfly/nymph': {
    profile: NEEDLE,
    tails: 3,
    tailLength: 0.3,
    wing: 'pads',
    wingLength: 0.16,
    eye: 0.045,
    legLength: 0.3,
  },
  'damselfly/adult': { profile: NEEDLE, wing: 'stone', wingLength: 0.72, eye: 0.035 },
  'dragonfly/nymph': { profile: KEEL, wing: 'pads', wingLength: 0.25, eye: 0.05, legLength: 0.4 },
  'alderfly/larva': { profile: STOUT, tails: 1, tailLength: 0.35, gills: true },
  'alderfly/adult': { wing: 'roof', wingLength: 1.3, antennae: 0.6 },
  'beetle/adult': { profile: DOME, rings: 0, legLength: 0.3, antennae: 0.2, waist: 0.3 },
  'beetle/larva': { profile: STOUT, tails: 2, tailLength: 0.2 },
  'ant/worker': { profile: THREE, rings: 0, antennae: 0.22, legLength: 0.36 },
  'ant/winged': { profile: THREE, rings: 0, antennae: 0.22, legLength: 0.36, wing: 'flat', wingLength: 1 },
  'water-boatman/adult': {
    profile: KEEL,
    rings: 0,
    legs: 2,
    legLength: 0.25,
    antennae: 0,
    eye: 0.045,
    wing: 'stone',
    wingLength: 0.78,
    strong: 'row',
  },
  'water-boatman/nymph': { profile: KEEL, rings: 4, legs: 2, legLength: 0.25, antennae: 0, eye: 0.045, strong: 'row' },
  'grasshopper/adult': {
    profile: STOUT,
    wing: 'stone',
    wingLength: 0.95,
    legs: 2,
    legLength: 0.3,
    antennae: 0.3,
    strong: 'jump',
  },
  'caterpillar/larva': { profile: GRUB, rings: 11, arch: 0.08, legLength: 0.12 },
  'shrimp/adult': {
    profile: [
      [0, 0.06],
      [0.08, 0.1],
      [0.3, 0.13],
      [0.55, 0.13],
      [0.8, 0.09],
      [1, 0.03],
    ],
    arch: 0.26,
    rings: 11,
    legs: 7,
    legLength: 0.2,
    antennae: 0.3,
    waist: 0.55,
  },
  'hog-louse/adult': { profile: FLAT, rings: 8, legs: 6, legLength: 0.28, antennae: 0.45, tails: 2, tailLength: 0.12 },
  'leech/adult': {
    profile: [
      [0, 0.02],
      [0.05, 0.035],
      [0.3, 0.05],
      [0.7, 0.06],
      [0.92, 0.045],
      [0.97, 0.06],
      [1, 0.05],
    ],
    rings: 16,
    legs: 0,
    antennae: 0,
    arch: 0.06,
    eye: 0,
    waist: 0.12,
  },
  'phantom-midge/larva': { profile: WORM, rings: 9, legs: 0, antennae: 0, sacs: true },
  'phantom-midge/pupa': { profile: COMMA, arch: 0.1, legs: 0, plumes: true },
  'phantom-midge/adult': { profile: NEEDLE, wing: 'stone', wingLength: 0.72, legLength: 0.5, antennae: 0.22 },
  'water-moth/larva': { profile: GRUB, rings: 11, legLength: 0.1 },
  'other/larva': { profile: GRUB, arch: 0.1, rings: 10, legLength: 0.12, antennae: 0.05 },
  'other/pupa': { profile: COMMA, arch: 0.1, rings: 7, legs: 0, antennae: 0, wing: 'buds', wingLength: 0.3 },
  'other/adult': { profile: STOUT, wing: 'stone', wingLength: 0.95, legLength: 0.34, antennae: 0.14 },
  'damselfly/climbing': {
    profile: NEEDLE,
    wing: 'pads',
    wingLength: 0.3,
    eye: 0.045,
    legLength: 0.34,
    fan: 'plates',
    tailLength: 0.28,
    arch: 0.05,
  },
  'dragonfly/adult': {
    profile: [
      [0, 0.05],
      [0.05, 0.065],
      [0.12, 0.07],
      [0.22, 0.085],
      [0.32, 0.05],
      [0.42, 0.03],
      [0.7, 0.028],
      [0.92, 0.034],
      [1, 0.015],
    ],
    waist: 0.3,
    wing: 'sails',
    wingLength: 0.72,
    eye: 0.05,
    legLength: 0.16,
    antennae: 0.03,
  },
  'backswimmer/adult': {
    profile: [
      [0, 0.05],
      [0.08, 0.09],
      [0.25, 0.12],
      [0.5, 0.115],
      [0.8, 0.06],
      [1, 0.02],
    ],
    rings: 0,
    arch: 0.05,
    legs: 2,
    legLength: 0.2,
    antennae: 0,
    eye: 0.05,
    wing: 'stone',
    wingLength: 0.8,
    strong: 'row',
  },
  'land-fly/adult': {
    profile: [
      [0, 0.07],
      [0.08, 0.11],
      [0.18, 0.1],
      [0.3, 0.15],
      [0.42, 0.13],
      [0.6, 0.15],
      [0.82, 0.12],
      [1, 0.03],
    ],
    rings: 5,
    waist: 0.42,
    eye: 0.055,
    wing: 'stone',
    wingLength: 0.88,
    legLength: 0.38,
    antennae: 0.05,
  },
  'wasp/adult': {
    profile: [
      [0, 0.06],
      [0.08, 0.1],
      [0.18, 0.09],
      [0.3, 0.14],
      [0.42, 0.1],
      [0.48, 0.025],
      [0.58, 0.13],
      [0.75, 0.15],
      [0.92, 0.08],
      [1, 0.01],
    ],
    waist: 0.47,
    rings: 6,
    wing: 'stone',
    wingLength: 0.72,
    legLength: 0.34,
    antennae: 0.26,
    eye: 0.045,
  },
  'cicada/adult': {
    profile: [
      [0, 0.1],
      [0.06, 0.15],
      [0.2, 0.18],
      [0.4, 0.18],
      [0.65, 0.15],
      [0.9, 0.07],
      [1, 0.02],
    ],
    rings: 6,
    wing: 'roof',
    wingLength: 1.15,
    legLength: 0.2,
    antennae: 0.06,
    eye: 0.05,
  },
  'spider/adult': {
    profile: [
      [0, 0.05],
      [0.1, 0.1],
      [0.26, 0.11],
      [0.36, 0.045],
      [0.48, 0.18],
      [0.68, 0.23],
      [0.9, 0.15],
      [1, 0.03],
    ],
    rings: 0,
    waist: 0.36,
    legs: 4,
    legLength: 0.85,
    antennae: 0.12,
    eye: 0.02,
  },
  'crayfish/young': {
    profile: [
      [0, 0.05],
      [0.1, 0.09],
      [0.3, 0.12],
      [0.48, 0.11],
      [0.7, 0.085],
      [0.92, 0.05],
      [1, 0.03],
    ],
    rings: 7,
    waist: 0.48,
    legs: 5,
    legLength: 0.22,
    antennae: 0.6,
    fan: 'plates',
    tailLength: 0.16,
    strong: 'pinch',
  },
  'water-flea/adult': {
    profile: [
      [0, 0.09],
      [0.08, 0.17],
      [0.25, 0.3],
      [0.5, 0.36],
      [0.78, 0.28],
      [0.94, 0.1],
      [1, 0.03],
    ],
    rings: 0,
    waist: 0.2,
    legs: 0,
    antennae: 0.5,
    eye: 0.055,
    tails: 1,
    tailLength: 0.16,
  },
  'worm/adult': {
    profile: [
      [0, 0.022],
      [0.06, 0.034],
      [0.24, 0.036],
      [0.28, 0.045],
      [0.36, 0.045],
      [0.4, 0.036],
      [0.8, 0.034],
      [1, 0.014],
    ],
    rings: 26,
    waist: 0.1,
    legs: 0,
    antennae: 0,
    arch: -0.05,
    eye: 0,
  },
  'snail/adult': {
    profile: [
      [0, 0.06],
      [0.1, 0.09],
      [0.5, 0.08],
      [0.85, 0.05],
      [1, 0.015],
    ],
    rings: 0,
    legs: 0,
    antennae: 0.16,
    eye: 0.018,
    waist: 0.2,
    shell: true,
  },
  'fish/fry': {
    profile: [
      [0, 0.03],
      [0.08, 0.07],
      [0.22, 0.095],
      [0.4, 0.1],
      [0.6, 0.075],
      [0.85, 0.035],
      [1, 0.025],
    ],
    rings: 0,
    waist: 0.24,
    legs: 0,
    antennae: 0,
    eye: 0.042,
    fan: 'fork',
    tailLength: 0.18,
  },
  'water-moth/adult': { wing: 'roof', wingLength: 1.2, antennae: 0.6 },
};

/** A natural from the side, to scale; of a raft several insects as they cling together. */
export function naturalMarks(
  stage: StageId | null,
  bodyMm: number,
  colours: RegionColours,
  caseMm: number | null = null,
): NaturalDrawing {
  const one = insectMarks(stage, bodyMm, colours, caseMm);
  if (stage !== 'midge/cluster') return one;
  const places = RAFT.map(([x, y]) => [x * bodyMm, y * bodyMm] as const);
  const reach = (pick: 0 | 1) => places.map((place) => place[pick]);
  return {
    marks: places.flatMap(([dx, dy]) => one.marks.map((mark) => ({ ...mark, d: moved(mark.d, dx, dy) }))),
    bounds: {
      left: one.bounds.left + Math.min(...reach(0)),
      right: one.bounds.right + Math.max(...reach(0)),
      top: one.bounds.top + Math.max(...reach(1)),
      bottom: one.bounds.bottom + Math.min(...reach(1)),
    },
  };
}

/** A natural from the side, to scale: head at 0, the tip of the abdomen at −`bodyMm`. Parametric outlines; regions in their measured colours. */
function insectMarks(
  stage: StageId | null,
  bodyMm: number,
  colours: RegionColours,
  caseMm: number | null = null,
): NaturalDrawing {
  const form: Form = { ...BASE, ...(stage ? FORMS[stage] : {}) };
  const L = bodyMm;
  const line = (u: number): number => form.arch * 4 * u * (1 - u) * L;
  const half = (u: number): number => profileAt(form.profile, u) * L;
  const top = (u: number, k = 1): Point => [-u * L, line(u) + half(u) * k];
  const bottom = (u: number, k = 1): Point => [-u * L, line(u) - half(u) * k];
  const spread = (from: number, to: number, count: number) =>
    Array.from({ length: count + 1 }, (_, index) => from + ((to - from) * index) / count);
  const piece = (from: number, to: number): Point[] => [
    ...spread(from, to, 14).map((u) => top(u)),
    ...spread(to, from, 14).map((u) => bottom(u)),
  ];
  const belly = colours['abdomen-belly'] ?? colours['abdomen-back'] ?? WASH;
  const back = colours['abdomen-back'] ?? belly;
  const thorax = colours['thorax-back'] ?? colours['thorax-belly'] ?? back;
  const wingColour = colours.wing ?? WASH;
  const marks: Mark[] = [];
  const put = (d: string, more: Omit<Mark, 'd'>) => marks.push({ d, ...more });

  for (let i = 0; i < form.tails; i++) {
    // A dun lifts its tails; the others follow the body.
    const a =
      Math.PI + (form.wing === 'upright' ? -0.18 : Math.atan(4 * form.arch) + 0.02) + (i - (form.tails - 1) / 2) * 0.16;
    const start: Point = [-L, line(1)];
    const t = form.tailLength * L;
    put(
      smooth(
        [
          start,
          [start[0] + Math.cos(a) * t * 0.5, start[1] + Math.sin(a) * t * 0.5 + 0.02 * L],
          [start[0] + Math.cos(a - 0.1) * t, start[1] + Math.sin(a - 0.1) * t + 0.06 * L],
        ],
        false,
      ),
      { stroke: colours.tails ?? INK, width: 1.2 },
    );
  }
  if (form.wing === 'upright') {
    for (const [lean, scale, shade] of [
      [0.42, 0.9, 0.5],
      [0.3, 1, 0.85],
    ] as const)
      wingLeaf(
        put,
        [-0.24 * L, line(0.24) + half(0.24) * 0.8],
        Math.PI / 2 + lean,
        form.wingLength * L * scale,
        0.2,
        wingColour,
        shade,
        8,
      );
  }
  if (form.wing === 'sails') {
    for (const [u, lean] of [
      [0.2, 0.55],
      [0.27, 0.95],
    ] as const)
      wingLeaf(put, [-u * L, half(u) * 0.7], Math.PI / 2 + lean, form.wingLength * L, 0.1, wingColour, 0.65, 7);
  }
  if (form.wing === 'held-out')
    wingLeaf(put, [-0.25 * L, half(0.25) * 0.7], Math.PI / 2 + 0.95, form.wingLength * L, 0.12, wingColour, 0.6, 6);
  if (form.fan !== 'none') {
    const t = form.tailLength * L;
    const root = line(1);
    const blade = (lean: number, scale: number): string =>
      smooth([
        [-L * 0.97, root + half(1) * 0.6],
        [-L - Math.cos(lean - 0.25) * t * scale * 0.6, root + Math.sin(lean + 0.22) * t * scale * 0.75],
        [-L - Math.cos(lean) * t * scale, root + Math.sin(lean) * t * scale],
        [-L - Math.cos(lean) * t * scale * 0.55, root + Math.sin(lean - 0.2) * t * scale * 0.5],
        [-L * 0.97, root - half(1) * 0.6],
      ]);
    put(
      (form.fan === 'fork'
        ? [blade(0.55, 1), blade(-0.55, 1)]
        : [blade(0.42, 0.92), blade(-0.42, 0.92), blade(0, 1)]
      ).join(''),
      { fill: colours.tails ?? WASH, stroke: INK, width: 1 },
    );
  }
  const legBase = spread(
    form.waist * 0.35,
    Math.min(0.8, form.legs > 3 ? 0.75 : form.waist * 0.95),
    Math.max(1, form.legs - 1),
  );
  if (form.legs > 0) {
    const d = legBase
      .slice(0, form.legs)
      .map((u, index) => {
        const [x, y] = bottom(u, 0.7);
        const l = form.legLength * L;
        const way = index < form.legs / 3 ? 1 : index < (2 * form.legs) / 3 ? -0.2 : -1;
        return pathOf([
          [x, y],
          [x + way * l * 0.35, y - l * 0.18],
          [x + way * l * 0.7, y - l * 0.62],
          [x + way * l * 0.95, y - l * 0.68],
        ]);
      })
      .join('');
    put(d, { stroke: colours.legs ?? INK, width: 1.8 });
    put(d, { stroke: INK, width: 0.8, opacity: 0.7 });
  }
  if (form.case) {
    const c = caseMm ?? L * 1.2;
    const shown = 0.25 * L;
    put(pathOf(piece(0, 0.4), true), { fill: colours['thorax-belly'] ?? thorax, stroke: INK, width: 1 });
    const tube: Point[] = [
      [-shown, 0.115 * c],
      [-shown - c * 0.5, 0.1 * c],
      [-shown - c, 0.06 * c],
      [-shown - c, -0.06 * c],
      [-shown - c * 0.5, -0.1 * c],
      [-shown, -0.115 * c],
    ];
    put(pathOf(tube, true), { fill: colours.case ?? WASH, stroke: INK, width: 1.2 });
    const grains = Array.from({ length: 34 }, (_, index) => {
      const u = ((index * 0.5698) % 1) * 0.94 + 0.03;
      const v = (((index * 0.7549) % 1) - 0.5) * 1.7 * (0.105 - 0.045 * u);
      const r = c * (0.012 + 0.008 * ((index * 0.27) % 1));
      const [x, y] = [-shown - u * c, v * c];
      return smooth([
        [x - r, y],
        [x, y + r * 0.8],
        [x + r, y],
        [x, y - r * 0.9],
      ]);
    }).join('');
    put(grains, { stroke: INK, width: 0.7, opacity: 0.6 });
    eye(put, form, L, line);
    return { marks, bounds: { left: -shown - c, right: 0.15 * L, top: 0.2 * L, bottom: -0.3 * L } };
  }
  put(pathOf(piece(form.waist, 1), true), { fill: belly, stroke: INK, width: 1.1 });
  if (back !== belly)
    put(
      pathOf(
        [...spread(form.waist, 1, 14).map((u) => top(u)), ...spread(1, form.waist, 14).map((u) => top(u, 0.25))],
        true,
      ),
      { fill: back, opacity: 0.9 },
    );
  if (form.rings > 0)
    put(
      spread(form.waist, 0.96, form.rings)
        .slice(1)
        .map((u) => pathOf([top(u, 0.96), [-(u - 0.012) * L, line(u)], bottom(u, 0.96)]))
        .join(''),
      { stroke: INK, width: 0.8, opacity: 0.5 },
    );
  if (form.gills)
    put(
      spread(form.waist + 0.05, 0.85, 6)
        .map((u) =>
          smooth(
            [top(u, 0.6), [-(u + 0.03) * L, line(u) + half(u) * 1.25], [-(u + 0.06) * L, line(u) + half(u) * 0.9]],
            false,
          ),
        )
        .join(''),
      { stroke: colours.gills ?? INK, width: 1.1, opacity: 0.8 },
    );
  put(pathOf(piece(0.1, form.waist), true), { fill: thorax, stroke: INK, width: 1.1 });
  const snout = 0.022 * L;
  put(
    smooth([
      top(0.12),
      top(0.06),
      [snout * 0.7, line(0) + half(0) * 0.75],
      [snout, line(0)],
      [snout * 0.7, line(0) - half(0) * 0.75],
      bottom(0.06),
      bottom(0.12),
    ]),
    { fill: colours.head ?? thorax, stroke: INK, width: 1.1 },
  );
  if (form.wing === 'pads') {
    const w = Math.max(form.wingLength, 0.2);
    put(smooth([top(0.18, 0.95), top(0.2 + w * 0.6, 1.08), top(0.2 + w, 0.7), top(0.24 + w * 0.4, 0.35)]), {
      fill: form.wingLength >= 0.3 ? 'var(--ink)' : (colours['thorax-back'] ?? back),
      opacity: 0.8,
      stroke: INK,
      width: 0.9,
    });
  }
  if (form.wing === 'buds')
    put(
      smooth([
        bottom(0.16, 0.1),
        bottom(0.2 + form.wingLength * 0.5, 0.75),
        bottom(0.2 + form.wingLength, 1.1),
        bottom(0.22 + form.wingLength * 0.3, 0.95),
      ]),
      { fill: colours.wing ?? back, stroke: INK, width: 0.9, opacity: 0.9 },
    );
  if (form.wing === 'flat')
    wingLeaf(
      put,
      [-0.2 * L, line(0.2) + half(0.2) * 0.8],
      Math.PI - 0.28,
      form.wingLength * L,
      0.13,
      wingColour,
      0.7,
      6,
    );
  // Spread flat on the water and seen along it: both wings are short, one beyond the body and one before it.
  if (form.wing === 'spent') {
    wingLeaf(
      put,
      [-0.24 * L, line(0.24) + half(0.24) * 0.5],
      Math.PI - 0.66,
      form.wingLength * L * 0.46,
      0.2,
      wingColour,
      0.4,
      5,
    );
    wingLeaf(put, [-0.24 * L, line(0.24)], Math.PI + 0.5, form.wingLength * L * 0.55, 0.2, wingColour, 0.75, 7);
  }
  if (form.wing === 'stone')
    wingLeaf(
      put,
      [-0.2 * L, line(0.2) + half(0.2) * 0.95],
      Math.PI - 0.05,
      form.wingLength * L,
      0.07,
      wingColour,
      0.8,
      6,
    );
  if (form.wing === 'roof') {
    const w = form.wingLength * L;
    const roof: Point[] = [
      [-0.13 * L, half(0.2) * 1.1],
      [-0.13 * L - w * 0.45, 0.2 * L],
      [-0.13 * L - w * 0.88, 0.17 * L],
      [-0.1 * L - w, 0.02 * L],
      [-0.13 * L - w * 0.75, -0.1 * L],
      [-0.13 * L - w * 0.3, -0.06 * L],
    ];
    put(smooth(roof), { fill: wingColour, stroke: INK, width: 1.1, opacity: 0.95 });
    put(
      [0.12, 0.06, 0.0, -0.05]
        .map((y, index) =>
          smooth(
            [
              [-0.18 * L, half(0.2) * 0.8],
              [-0.13 * L - w * 0.5, y * L + 0.03 * L],
              [-0.12 * L - w * (0.95 - 0.06 * index), y * L],
            ],
            false,
          ),
        )
        .join(''),
      { stroke: INK, width: 0.7, opacity: 0.45 },
    );
  }
  // A shell is wound from its mouth: each turn is smaller by a fifth and ends in the point of the coil.
  if (form.shell) {
    const r = 0.3 * L;
    const turn = (round: number): Point => [
      -0.52 * L + Math.cos(-2.4 + round) * r * 0.8 ** (round / 1.6),
      0.29 * L + Math.sin(-2.4 + round) * r * 0.8 ** (round / 1.6),
    ];
    put(
      smooth(
        Array.from({ length: 14 }, (_, at) => [
          -0.52 * L + Math.cos((at / 14) * 2 * Math.PI) * r,
          0.29 * L + Math.sin((at / 14) * 2 * Math.PI) * r,
        ]),
      ),
      { fill: back, stroke: INK, width: 1.2 },
    );
    put(
      smooth(
        Array.from({ length: 22 }, (_, at) => turn(at * 0.7)),
        false,
      ),
      { stroke: INK, width: 0.9, opacity: 0.7 },
    );
  }
  if (form.sacs)
    put(
      [0.16, 0.84]
        .map((u) =>
          smooth([
            [-(u - 0.035) * L, line(u)],
            [-u * L, line(u) + half(u) * 0.6],
            [-(u + 0.035) * L, line(u)],
            [-u * L, line(u) - half(u) * 0.6],
          ]),
        )
        .join(''),
      { fill: INK, opacity: 0.75 },
    );
  if (form.strong === 'pinch') {
    for (const lift of [0.02, -0.07])
      put(
        smooth([
          bottom(0.14, 0.4),
          [0.12 * L, (lift - 0.06) * L],
          [0.24 * L, (lift + 0.045) * L],
          [0.42 * L, (lift + 0.02) * L],
          [0.29 * L, lift * L],
          [0.43 * L, (lift - 0.035) * L],
          [0.25 * L, (lift - 0.05) * L],
        ]),
        { fill: colours.legs ?? thorax, stroke: INK, width: 1.1 },
      );
  } else if (form.strong !== 'none') {
    const leg: Point[] =
      form.strong === 'jump'
        ? [bottom(0.42, 0.2), [-0.78 * L, 0.24 * L], [-0.98 * L, -0.26 * L], [-1.1 * L, -0.28 * L]]
        : [bottom(0.4, 0.6), [-0.5 * L, -0.26 * L], [-0.98 * L, -0.3 * L]];
    put(pathOf(leg), { stroke: colours.legs ?? INK, width: 3 });
    put(pathOf(leg), { stroke: INK, width: 1, opacity: 0.7 });
  }
  if (form.plumes)
    put(
      Array.from({ length: 5 }, (_, index) =>
        smooth(
          [
            [-0.05 * L, half(0.05)],
            [0.02 * L + index * 0.012 * L, 0.13 * L],
            [(index - 2) * 0.035 * L + 0.03 * L, 0.2 * L],
          ],
          false,
        ),
      ).join(''),
      { stroke: colours.gills ?? INK, width: 1.2 },
    );
  if (form.antennae > 0)
    put(
      [0.35, 0.6]
        .map((a) =>
          smooth(
            [
              [-0.02 * L, line(0) + half(0) * 0.6],
              [Math.cos(a) * form.antennae * L * 0.5, line(0) + Math.sin(a) * form.antennae * L * 0.55],
              [Math.cos(a * 0.8) * form.antennae * L, line(0) + Math.sin(a * 0.7) * form.antennae * L],
            ],
            false,
          ),
        )
        .join(''),
      { stroke: INK, width: 0.9 },
    );
  eye(put, form, L, line);
  const wingTop = form.shell
    ? 0.62
    : form.wing === 'flat'
      ? 0.16 + 0.32 * form.wingLength
      : form.wing === 'spent'
        ? 0.36 * form.wingLength
        : form.wing === 'upright'
          ? form.wingLength + 0.1
          : form.wing === 'sails'
            ? form.wingLength * 0.95
            : form.wing === 'held-out'
              ? form.wingLength * 0.65
              : 0.25;
  return {
    marks,
    bounds: {
      left:
        -L *
        Math.max(
          form.legs > 0 ? legBase[legBase.length - 1]! + form.legLength * 0.95 : 0,
          form.strong === 'jump' ? 1.15 : 1 + form.tailLength,
          form.wing === 'none' || form.wing === 'pads' || form.wing === 'buds' ? 1 : 0.2 + form.wingLength,
        ),
      right:
        L *
        Math.max(
          form.strong === 'pinch' ? 0.45 : 0.1,
          form.legs > 1 ? form.legLength * 0.95 - legBase[0]! : 0,
          form.antennae,
        ),
      top: L * Math.max(wingTop, form.arch + 0.2, form.antennae * 0.5, ...form.profile.map(([, tall]) => tall + 0.04)),
      bottom:
        -L *
        Math.max(
          ...form.profile.map(([, tall]) => tall + 0.04),
          0.15 + Math.max(0, -form.arch),
          form.legs > 0
            ? 0.7 * Math.max(...legBase.map((u) => profileAt(form.profile, u))) + form.legLength * 0.7
            : 0.15,
          form.wing === 'spent' ? form.wingLength * 0.32 : 0,
          form.strong === 'none' ? 0 : 0.34,
        ),
    },
  };
}

/** Half-height at a share, rounded between the points of a profile as a body is. */
function profileAt(profile: Form['profile'], u: number): number {
  const i = Math.max(
    1,
    profile.findIndex(([at]) => at >= u),
  );
  const [before, a, b, after] = [
    profile[Math.max(0, i - 2)]!,
    profile[i - 1]!,
    profile[i]!,
    profile[Math.min(profile.length - 1, i + 1)]!,
  ];
  const t = Math.min(1, Math.max(0, (u - a[0]) / (b[0] - a[0])));
  const slope = (from: readonly [number, number], to: readonly [number, number]) =>
    to[0] === from[0] ? 0 : ((to[1] - from[1]) / (to[0] - from[0])) * (b[0] - a[0]);
  const [m0, m1] = [slope(before, b), slope(a, after)];
  return Math.max(
    0.004,
    (2 * t ** 3 - 3 * t ** 2 + 1) * a[1] +
      (t ** 3 - 2 * t ** 2 + t) * m0 +
      (3 * t ** 2 - 2 * t ** 3) * b[1] +
      (t ** 3 - t ** 2) * m1,
  );
}

/** A drawing beside itself: every place of a path moved. */
function moved(d: string, dx: number, dy: number): string {
  let x = false;
  return d.replace(/-?\d*\.?\d+(?:e-?\d+)?/g, (number) => {
    x = !x;
    return String(Number((Number(number) + (x ? dx : -dy)).toFixed(4)));
  });
}

/** Insects of a raft, beside and over one another: shares of the body's length. */
const RAFT = [
  [-0.42, 0.16],
  [0.36, 0.1],
  [-0.05, -0.08],
] as const;

type Put = (d: string, more: Omit<Mark, 'd'>) => void;

function wingLeaf(
  put: Put,
  base: Point,
  angle: number,
  length: number,
  width: number,
  fill: string,
  opacity: number,
  veins: number,
): void {
  const to = (u: number, v: number): Point => [
    base[0] + Math.cos(angle) * length * u - Math.sin(angle) * length * v,
    base[1] + Math.sin(angle) * length * u + Math.cos(angle) * length * v,
  ];
  put(
    smooth([
      to(0, 0.02),
      to(0.25, width * 0.75),
      to(0.6, width * 1.1),
      to(0.9, width * 0.75),
      to(1, 0),
      to(0.85, -width * 0.62),
      to(0.5, -width * 0.75),
      to(0.15, -width * 0.35),
    ]),
    { fill, opacity, stroke: INK, width: 1.1 },
  );
  const lines = Array.from({ length: veins }, (_, index) => {
    const v = ((index + 0.5) / veins) * 1.6 - 0.7;
    return smooth([to(0.03, 0), to(0.45, v * width * 0.8), to(0.93, v * width * 0.75)], false);
  }).join('');
  const cross = [0.35, 0.52, 0.68, 0.82]
    .map((u) => pathOf([to(u, width * 0.5), to(u + 0.02, 0), to(u, -width * 0.35)]))
    .join('');
  put(lines, { stroke: INK, width: 0.6, opacity: 0.5 });
  put(cross, { stroke: INK, width: 0.5, opacity: 0.3 });
}

function eye(put: Put, form: Form, L: number, line: (u: number) => number): void {
  if (form.eye === 0) return;
  const r = form.eye * L;
  const [x, y] = [-0.045 * L, line(0.04) + 0.02 * L];
  put(
    smooth([
      [x - r, y],
      [x, y + r],
      [x + r, y],
      [x, y - r],
    ]),
    { fill: INK },
  );
}
