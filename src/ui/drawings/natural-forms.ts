/** What a kind of body looks like from the side, in shares of the body length; the head is at 0, the tip at −1. */
export interface Form {
  /** Half-height of the body at shares from head to tip. */
  profile: readonly (readonly [u: number, half: number])[];
  /** How the body's middle line rises (+) or sinks from head to tip. */
  arch: number;
  rings: number;
  /** Where the thorax ends. */
  waist: number;
  eye: number;
  /** Length and half-height of the head, in shares of the body; null where no head stands apart. */
  head: readonly [length: number, half: number] | null;
  /** One outline without a thorax that stands apart: a worm, a fish. */
  whole: boolean;
  /** Light goes through it. */
  clear: boolean;
  wing:
    | 'none'
    | 'upright'
    | 'flat'
    | 'crumpled'
    | 'roof'
    | 'stone'
    | 'spent'
    | 'held-out'
    | 'sails'
    | 'pads'
    | 'buds'
    | 'shell';
  wingLength: number;
  tails: number;
  tailLength: number;
  legs: number;
  legLength: number;
  /** How far the knee stands above the hip, in shares of the leg. */
  knee: number;
  /** Soft feet under the abdomen. */
  stubs: number;
  antennae: number;
  gills: boolean;
  /** The house it lives in: of grains, or cut from leaves. */
  case: 'none' | 'grains' | 'leaves';
  plumes: boolean;
  /** A leg that is built for more than walking: to jump, to row or to pinch. */
  strong: 'none' | 'jump' | 'row' | 'pinch';
  /** Air sacs that show through a clear body. */
  sacs: boolean;
  /** What the body ends in: a forked fin, or a fan of plates. */
  fan: 'none' | 'fork' | 'plates';
  /** A coiled shell over the back. */
  shell: boolean;
  /** The skin that it climbs out of, still on its tail. */
  shuck: boolean;
  /** Eggs at the tip. */
  eggs: boolean;
  /** A film of air about it. */
  air: boolean;
  /** Fins of a fish. */
  fins: boolean;
  /** It swims on its back. */
  upside: boolean;
  /** Gut and eggs show through. */
  brood: boolean;
  /** Suckers at both ends, or the saddle of a worm. */
  band: 'none' | 'suckers' | 'saddle';
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
const HUMPED = [
  [0, 0.03],
  [0.06, 0.045],
  [0.12, 0.055],
  [0.2, 0.085],
  [0.29, 0.06],
  [0.4, 0.042],
  [0.7, 0.042],
  [0.92, 0.035],
  [1, 0.012],
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

export const BASE: Form = {
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
  knee: -0.18,
  stubs: 0,
  head: [0.1, 0],
  whole: false,
  clear: false,
  antennae: 0.08,
  gills: false,
  case: 'none',
  plumes: false,
  strong: 'none',
  sacs: false,
  fan: 'none',
  shell: false,
  shuck: false,
  eggs: false,
  air: false,
  fins: false,
  upside: false,
  brood: false,
  band: 'none',
};

const STONE_ADULT: Partial<Form> = {
  profile: SLIM,
  wing: 'stone',
  wingLength: 1.22,
  tails: 2,
  tailLength: 0.18,
  antennae: 0.6,
  legLength: 0.36,
};

export const FORMS: Record<string, Partial<Form>> = {
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
  'mayfly/emerger': { profile: SLIM, tails: 0, wing: 'flat', wingLength: 0.55, shuck: true },
  'mayfly/cripple': { profile: SLIM, tails: 0, wing: 'crumpled', wingLength: 0.5, shuck: true },
  'mayfly/dun': { wing: 'upright', wingLength: 1.02, tails: 2, tailLength: 1, arch: 0.05 },
  'mayfly/drowned-dun': { wing: 'flat', wingLength: 0.95, tails: 2, tailLength: 0.9 },
  'mayfly/spinner': { wing: 'upright', wingLength: 1.02, tails: 2, tailLength: 1.6, arch: 0.06, eye: 0.036 },
  'mayfly/diver': { wing: 'stone', wingLength: 0.95, tails: 2, tailLength: 1.5, air: true },
  'mayfly/spent': { wing: 'spent', wingLength: 1, tails: 2, tailLength: 1.5 },
  'caddis/cased-larva': { profile: GRUB, case: 'grains', legLength: 0.22, antennae: 0, waist: 0.28 },
  'caddis/free-larva': {
    profile: GRUB,
    arch: 0.16,
    rings: 10,
    gills: true,
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
  'caddis/egg-layer': { wing: 'roof', wingLength: 1.1, antennae: 1.15, legLength: 0.4, eggs: true },
  'caddis/diver': { wing: 'roof', wingLength: 1.28, antennae: 1.15, legLength: 0.4, air: true },
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
  'stonefly/adult': STONE_ADULT,
  'stonefly/egg-layer': { ...STONE_ADULT, eggs: true },
  'midge/larva': {
    profile: WORM,
    arch: 0.08,
    rings: 12,
    legs: 0,
    antennae: 0,
    waist: 0.2,
    eye: 0.012,
    head: [0.07, 0.036],
    stubs: 1,
  },
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
    legs: 3,
    legLength: 0.2,
    wing: 'flat',
    wingLength: 0.4,
    shuck: true,
  },
  'midge/adult': {
    profile: HUMPED,
    wing: 'stone',
    wingLength: 0.72,
    legLength: 0.6,
    knee: 0.2,
    antennae: 0.22,
    waist: 0.3,
  },
  'midge/cluster': { profile: HUMPED, wing: 'held-out', wingLength: 0.5, legLength: 0.35, knee: 0.2, waist: 0.3 },
  'crane-fly/adult': {
    profile: HUMPED,
    wing: 'held-out',
    wingLength: 0.95,
    legLength: 1.05,
    knee: 0.2,
    antennae: 0.12,
    waist: 0.3,
  },
  'crane-fly/drowned': {
    profile: HUMPED,
    wing: 'flat',
    wingLength: 0.95,
    legLength: 0.95,
    knee: -0.4,
    antennae: 0.12,
    waist: 0.3,
  },
  'crane-fly/larva': {
    profile: GRUB,
    rings: 11,
    legs: 0,
    antennae: 0,
    whole: true,
    head: [0.06, 0.04],
    eye: 0,
    tails: 2,
    tailLength: 0.05,
  },
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
  'hawthorn-fly/adult': { profile: SLIM, wing: 'stone', wingLength: 0.95, legLength: 0.75, knee: -0.35 },
  'damselfly/nymph': {
    profile: NEEDLE,
    fan: 'plates',
    tailLength: 0.3,
    wing: 'pads',
    wingLength: 0.16,
    eye: 0.045,
    legLength: 0.3,
  },
  'damselfly/adult': { profile: NEEDLE, wing: 'stone', wingLength: 0.72, eye: 0.035 },
  'dragonfly/nymph': { profile: KEEL, wing: 'pads', wingLength: 0.25, eye: 0.05, head: [0.13, 0.085], legLength: 0.4 },
  'alderfly/larva': { profile: STOUT, tails: 1, tailLength: 0.35, gills: true },
  'alderfly/adult': { wing: 'roof', wingLength: 1.3, antennae: 0.6 },
  'beetle/adult': {
    profile: DOME,
    rings: 0,
    legLength: 0.28,
    antennae: 0.16,
    waist: 0.3,
    wing: 'shell',
    wingLength: 0.76,
    head: [0.11, 0.07],
  },
  'beetle/larva': { profile: STOUT, tails: 2, tailLength: 0.2 },
  'ant/worker': { profile: THREE, rings: 0, antennae: 0.22, legLength: 0.36 },
  'ant/winged': { profile: THREE, rings: 0, antennae: 0.22, legLength: 0.36, wing: 'flat', wingLength: 1 },
  'water-boatman/adult': {
    profile: KEEL,
    rings: 0,
    legs: 2,
    legLength: 0.25,
    antennae: 0,
    eye: 0.032,
    head: [0.1, 0.085],
    wing: 'shell',
    wingLength: 0.76,
    strong: 'row',
  },
  'water-boatman/nymph': {
    profile: KEEL,
    rings: 4,
    legs: 2,
    legLength: 0.25,
    antennae: 0,
    eye: 0.032,
    head: [0.1, 0.085],
    strong: 'row',
  },
  'grasshopper/adult': {
    profile: STOUT,
    wing: 'stone',
    wingLength: 0.95,
    legs: 2,
    legLength: 0.3,
    antennae: 0.3,
    strong: 'jump',
  },
  'caterpillar/larva': {
    profile: GRUB,
    rings: 11,
    arch: 0.08,
    legLength: 0.1,
    antennae: 0,
    waist: 0.26,
    stubs: 5,
    eye: 0.016,
    head: [0.09, 0.07],
  },
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
    eye: 0.022,
    head: [0.1, 0.075],
  },
  'hog-louse/adult': {
    profile: FLAT,
    rings: 8,
    legs: 7,
    legLength: 0.26,
    waist: 0.2,
    eye: 0.014,
    antennae: 0.45,
    tails: 2,
    tailLength: 0.12,
  },
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
    whole: true,
    band: 'suckers',
    head: null,
    waist: 0.12,
  },
  'phantom-midge/larva': {
    profile: WORM,
    rings: 9,
    legs: 0,
    antennae: 0.05,
    sacs: true,
    clear: true,
    whole: true,
    head: [0.08, 0.036],
    eye: 0.016,
    fan: 'fork',
    tailLength: 0.07,
  },
  'phantom-midge/pupa': { profile: COMMA, arch: 0.1, legs: 0, plumes: true },
  'phantom-midge/adult': {
    profile: HUMPED,
    wing: 'stone',
    wingLength: 0.72,
    legLength: 0.5,
    knee: 0.2,
    antennae: 0.3,
    waist: 0.3,
  },
  'water-moth/larva': {
    profile: GRUB,
    case: 'leaves',
    legLength: 0.14,
    antennae: 0,
    waist: 0.28,
    eye: 0.016,
  },
  'other/larva': { profile: GRUB, arch: 0.1, rings: 10, legLength: 0.12, antennae: 0, waist: 0.26, eye: 0.018 },
  'other/pupa': {
    profile: COMMA,
    arch: 0.1,
    rings: 7,
    legs: 0,
    antennae: 0,
    wing: 'buds',
    wingLength: 0.3,
    plumes: true,
  },
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
    head: [0.11, 0.075],
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
    eye: 0.034,
    head: [0.1, 0.08],
    wing: 'shell',
    wingLength: 0.78,
    upside: true,
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
    head: [0.12, 0.1],
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
    head: [0.12, 0.1],
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
    head: [0.1, 0.13],
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
    eye: 0.016,
    head: null,
    knee: 0.2,
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
      [0, 0.12],
      [0.1, 0.19],
      [0.25, 0.24],
      [0.5, 0.35],
      [0.74, 0.32],
      [0.92, 0.14],
      [1, 0.02],
    ],
    rings: 0,
    waist: 0.2,
    legs: 0,
    antennae: 0.5,
    eye: 0.055,
    tails: 1,
    tailLength: 0.16,
    whole: true,
    head: null,
    clear: true,
    brood: true,
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
    whole: true,
    band: 'saddle',
    head: null,
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
    whole: true,
    head: null,
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
    whole: true,
    head: null,
    fins: true,
  },
  'water-moth/adult': { wing: 'roof', wingLength: 1.2, antennae: 0.6 },
};

/** Half-height at a share, rounded between the points of a profile as a body is. */
export function profileAt(profile: Form['profile'], u: number): number {
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
