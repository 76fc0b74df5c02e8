import type { VerbId } from '@/catalogue/ids';
/**
 * Every constant of docs/formulas.md, in one place. Lengths mm, masses mg, densities mg/mm³ unless said.
 * Source: formulas §1–§8. "~" values are typical and may be changed by a tier's own data later.
 */

/** Ratio of one size number to the next (12 to 13): formulas §1. */
export const Q = 0.919;
/** One number step as a natural logarithm, |ln q|. */
export const NUMBER_STEP = -Math.log(Q);
/** Numbers in one packet step: the next size normally stocked. */
export const NUMBERS_PER_PACKET = 2;

export const REFERENCE = {
  size: 14,
  shankMm: 7.0,
  wire: { factor: 0.11, power: 0.67 },
  eyeHole: { factor: 0.17, power: 0.65 },
  gape: { factor: 0.79, power: 0.87 },
  throatPerGape: 0.9,
} as const;

export const WIRE_CLASS = { lightBelow: 0.96, heavyAbove: 1.09, perX: 1.058 } as const;

/** Steel, mg/mm³; the share of the shank added for point, barb and bend transitions. */
export const HOOK_STEEL = { density: 7.8, pointShare: 0.4 } as const;

/** Half-widths at 95 %, mm; `eye` is a share of the length: formulas §2. */
export const METHOD_HALF_WIDTH_MM = { calliper: 0.05, typed: 0.2, ruler: 0.5, glass: 0.3, photo: 0.3 } as const;
export const EYE_HALF_WIDTH_SHARE = 0.15;
export const Z95 = 1.96;
export const PRIOR_CV = 0.07;
export const PRIOR_WEIGHT = 4;
export const OUTLIER = { from: 5, scale: 0.6745, limit: 3.5 } as const;

export const POSTURE_CV = { soft: 0.07, pupa: 0.03, other: 0.02 } as const;

/** Bodies from other lengths, when the body itself was not measured: formulas §2, domain §2. */
export const BODY_FROM = { caseRatio: 1.2, overallCaddis: 1.33, overallOther: 1.3 } as const;

/** Cluster: body at which one raft stands for one insect's worth of water. */
export const RAFT_MM = 11;
/** Below this body a crane fly is tied whole on a small-adult hook: ids, note under Stages. */
export const CRANE_FLY_WHOLE_BELOW_MM = 13;

/** Share of the eye that reads as head: formulas §3. */
export const EYE_SHARE = { straight: 0.5, curved: 0.25, jig: 0 } as const;
export const EYE_READING = { 'as-measured': 0, default: 1, 'as-it-looks': 2 } as const;
export const JIG_BEAD_SHARE = 0.5;

export const SUIT = {
  wirePerClass: 1,
  bendPerPlace: 0.25,
  bendNotListed: 1,
  clearEnough: 0.6,
  clearCost: 4,
  bandSteps: 1,
  noneFitsOver: 3,
  giantBelow: 0.85,
  pinnedWithin: 3,
} as const;

/** Repeatability of a shank in number steps: a calliper ±3 %, a label about half a number. */
export const SD_STEPS = { known: 0.18, about: 0.5 } as const;

export const LABEL_SD_STEPS = 0.5;
export const MODEL_SLOPE_CV = 0.12;

export const BEAD_SIZES_MM = [1.5, 2.0, 2.4, 2.8, 3.2, 3.8, 4.6] as const;
/** Low, default and high diameter as a share of the hook's own gape: formulas §7. */
export const BEAD_SHARE = { plain: [0.45, 0.55, 0.7], jig: [0.45, 0.6, 0.75] } as const;
export const BEAD_BORE = { clearance: 0.05, barbUp: 0.5, drilled: 0.85, countersunk: 0.425, slotted: 0 } as const;
export const BEAD_SOLID = { drilled: 0.8, countersunk: 0.75, slotted: 0.7, glass: 0.5 } as const;
export const METAL_DENSITY = { tungsten: 17, brass: 8.5, glass: 2.5, lead: 11.3, tin: 7.3 } as const;

/** Fibre densities, g/m³, and how a twisted bundle packs: formulas §8. */
export const FIBRE_DENSITY = { nylon: 1.14e6, polyester: 1.38e6, 'gel-spun': 0.97e6, silk: 1.34e6 } as const;
export const BUNDLE_PACKING = 0.65;
export const FLAT_WIDTHS = 4;
export const WOUND_SPARE_MM = 60;
export const LOOP = { shortening: 0.8, spareHeightMm: 25, spareMm: 60 } as const;
/** mg/mm³ of packed dubbing and the share lost while dubbing. */
export const DUBBING = { density: 0.1, loss: 1.3 } as const;

/** Mean of a tapered body's diameter over its greatest: it starts at 0.62 of it. */
export const TAPER_MEAN = 0.81;
/** Compressed bunch of hair on a reference 14, mm, and how it grows with the shank: 1.5 mm on a 12, 0.9 on a 16; on large hooks no more of the gape than on a 12. Source: domain §7. */
export const HAIR_BUNCH = { mm: 1.2, power: 1.5, mostPerGape: 0.32 } as const;
/** Fibres on 10 mm of stem, one side; a pinch of dubbing, mg; the thinnest noodle that holds, mm, and its bare end, mm. Source: domain §7, typical. */
export const FIBRES_PER_MM = 2.5;
export const PINCH_MG = 1;
export const NOODLE = { leastMm: 0.4, spareMm: 10 } as const;
/** Grams that a denier of thread holds. Source: domain §5, the lower figures. */
export const GRAMS_PER_DENIER = { nylon: 5, polyester: 5, 'gel-spun': 28, silk: 3.5 } as const;
export const GRAMS_PER_DENIER_AT_MOST = { nylon: 6.5, polyester: 6.5, 'gel-spun': 35, silk: 4.5 } as const;
type Labels = readonly (readonly [label: number, denier: number])[];
const SPUN_LABELS: Labels = [
  [6, 135],
  [8, 70],
  [10, 60],
  [12, 50],
  [14, 45],
  [16, 40],
];
/** Labels of spools by fibre, thick to fine, with their denier: about, for they differ by maker. Source: domain §5. */
export const AUGHT: Readonly<Record<keyof typeof FIBRE_DENSITY, Labels>> = {
  nylon: SPUN_LABELS,
  polyester: SPUN_LABELS,
  'gel-spun': [
    [6, 100],
    [12, 50],
    [18, 30],
  ],
  silk: [],
};
/** Turns that finish a slick thread at least, and so many or fewer where resin or wire holds them. Source: domain §4. */
export const FINISH = { slick: 7, covered: 3 } as const;
/** Pull that flares hair on a reference 14, g: typical. */
export const FLARING_PULL_G = 350;
/** Diameter of a neat head, in diameters of the hook's wire: typical. */
export const HEAD_WIRES = 2;
/** Turns of thread that hold a wound part at its start and end, and a bound one. */
export const HOLDING_TURNS = { wound: 4, bound: 5 } as const;

/** What is this near a mark on the hook stands at it, mm. */
export const AT_MM = 0.15;

/** The accepted span of any typed length, after conversion: formulas §11. */
export const LENGTH_RANGE_MM = [0.5, 120] as const;
export const MM_PER_INCH = 25.4;

/** Refractive index of water and the sky-grey of trapped air: formulas §9. */
export const WATER_INDEX = 1.33;
export const WET_SCATTER_LOSS = 0.55;
/** Share of what lies beneath that fur covers, dry and matted by water: formulas §9. */
export const MATTED = { dry: 0.95, wet: 0.7 } as const;
/** Share of a part under water that mirrors the sky while it holds air, 20–40 %, and the sky's grey: formulas §9; the grey is typical. */
export const AIR_SHARE = 0.3;
export const SKY_GREY = '#b7c0c8';
/** A hackle gauge reads barb = 1.75 × reference gape; a hackle one packet under in gapes of this hook: formulas §8. */
export const GAUGE_BARB_PER_GAPE = 1.75;
export const GAUGE_ONE_UNDER = 1.51;

/** One hook in another maker's: weights of length, gape and wire, the cost of another bend, how near is close. Source: docs/cli.md. */
export const CONVERT = {
  weights: {
    length: { length: 1, gape: 0.5, wire: 1 },
    gape: { length: 0.5, gape: 1, wire: 1 },
    ride: { length: 1, gape: 0.5, wire: 2 },
  },
  otherBend: 0.5,
  closeWithin: 1.5,
  sameMm: 0.05,
  sameMassShare: 0.05,
} as const;

/** Half-widths at 95 % of a hook taped on the calibrated glass, once or twice and from three times on, and of its wire by micrometer. */
export const TAPE_HALF_MM = { glass: 0.3, glassThrice: 0.2, micrometer: 0.01 } as const;

/** Stocked wire for weighting, and what is left bare of it in eyes: formulas §7, domain §3. */
export const WEIGHT_WIRES_MM = [0.25, 0.38, 0.51, 0.64, 0.76] as const;
export const COVER = { bareEyes: 2, rampEyes: 1 } as const;

/** Tippet: (11 − X) · 0.0254 mm, X about a third of the number; the eye's hole takes 2.2 of it: formulas §10. */
export const TIPPET = { zeroX: 11, mmPerX: 0.0254, numbersPerX: 3, holePerTippet: 2.2 } as const;

/** Probability from which a size within its model counts as settled. */
export const SETTLED = 0.8;

/** The bench: what still counts as the same place; bare wire that is still a gap; how near glue may come to a plume, mm. Source: domain §4, §5, typical. */
export const BENCH = {
  slackMm: 0.1,
  bareMm: 0.25,
  plumeMm: 1,
  leastDubbedMm: 0.4,
  reachSlack: 0.02,
  mostPieces: 2,
} as const;
/** Width that a hackle's stem takes on a reference 14, mm, and how it goes with the shank: thinner stems have shorter barbs. Typical; measured by nobody here. */
export const STEM = { stiffMm: 0.3, softMm: 0.6, openMm: 0.25, power: 0.5 } as const;
/** Turns of thread that a whip takes behind a bead, side by side; the least of a dubbed part, mm. Source: ways of work, typical. */
export const WHIP = { laysBehindBead: 2, layMm: 0.2 } as const;

/** How the key weighs what is no sign; typical values, graded heard. Source: domain §2. */
export const BELIEF = {
  /** Lengths that any natural may have, mm, and the share of naturals outside their group's range. */
  lengthLeastMm: 0.5,
  lengthMostMm: 120,
  lengthOther: 0.03,
  lengthLeastSd: 0.3,
  /** A bound said by eye is good to this share of it. */
  eyeShare: 0.08,
  /** A case over its larva: least, usual, most. */
  caseOverLarva: [1.05, 1.2, 1.5],
  /** Naturals of a colour nobody wrote, and the colours there are, cubic units of L*a*b*. */
  colourOther: 0.25,
  colourVolume: 800_000,
  /** A month beside the season against one within it (height, springs, tailwaters), one further off, and a water where it is not at home. */
  monthBeside: 0.45,
  monthOutside: 0.08,
  waterOutside: 0.25,
  /** How often tiers ask in each month. */
  asked: [0.4, 0.5, 0.8, 1, 1, 1, 1, 1, 1, 0.8, 0.5, 0.4],
} as const;

/** The region that a tier matches and names. */
export const BELLY = 'abdomen-belly';

/** Minutes a fly takes until the tier's own record says (few, ordinary and many materials), and how the hand learns: domain §9, the middles of its ranges. */
export const LEARNING = {
  few: 3,
  ordinary: 6,
  minutes: { few: 5, ordinary: 8.5, many: 16 },
  first: { flies: 6, factor: 1.5 },
  after: { flies: 24, factor: 0.8 },
} as const;
/** At the vise, typical: a fly taken out and another put in, s; reaching for a material, s, and its share of a step at most; quick and slow hands beside the usual. */
export const SESSION = { viseS: 15, reachS: 8, reachShare: 0.25, quick: 0.8, slow: 1.25 } as const;
/** The pace of a session is that of its own steps and of so many usual minutes beside them, and never beyond these; a step that took so many times the usual, and longer than `awayS`, was left alone for a while, and one that took under `tappedShare` of it was tapped on: both count as usual. A fly is timed where so much of its usual time was. Typical. */
export const PACE = {
  priorMin: 8,
  least: 0.4,
  most: 3,
  awayTimes: 5,
  awayS: 240,
  tappedShare: 0.1,
  timedShare: 0.5,
} as const;
/** Flies spoiled of those that are tied, where the tier's own record is short: so many of so many, weighed with it. Typical. */
export const SPOILAGE = { spoiled: 1, of: 12 } as const;
/** A habit of the hands is told from `least` flies on, a drift from `leastDrift`, minutes of one's own from `leastMinutes`; it is certain where chance makes it once in twenty and it is off by `matters`. Quick and slow hold four of five flies (1.28 standard deviations), and no fly takes less than `quickest` of the usual. Typical. */
export const HANDS = {
  least: 5,
  leastDrift: 6,
  leastMinutes: 3,
  chance: 0.05,
  matters: 0.03,
  reach: 1.28,
  quickest: 0.4,
} as const;
/** How long one act takes beside another: typical. What is not named takes one. */
export const VERB_SHARE: Readonly<Partial<Record<VerbId, number>>> = {
  wind: 3,
  dub: 4,
  loop: 4,
  post: 3,
  divide: 3,
  bind: 2,
  'catch-in': 2,
  fold: 2,
  finish: 2,
  'lay-weight': 2,
  'seat-bead': 1.5,
  coat: 1.5,
  check: 0.5,
};

/** How a fly rides and sinks: formulas §10. Forces mN, lengths mm, masses mg, water at 10 and 20 °C. */
export const WATER = {
  /** Surface tension, mN/mm, and kinematic viscosity, mm²/s, at 10 °C. */
  tension: 0.0742,
  viscosity: 1.31,
  /** mg in a mm³, and mN that a mg weighs. */
  density: 1,
  gravity: 0.00980665,
} as const;
/** Contact angles, degrees, of what sheds water and of what takes it; what a bare fibre measures across at its tip. Typical. */
export const WETTING = { sheds: 115, takes: 0, tipMm: 0.07 } as const;
/** Foam and trapped air lift so much a mm³, mg. */
export const FOAM_LIFT = 0.9;
/** A material of absorbency 1 loses its repellence to 1/e in so many seconds: a model until a cup test. */
export const SOAKS_S = 60;
/** A fly hangs where what lies behind its front third bears less than this share of it: about how much of a hook's mass lies there. */
export const BEHIND_SHARE = 0.5;
/** Sinking freely no quicker than so, mm/s, it fishes just under the film. */
export const UNDER_MM_S = 150;
/** Drag: how square a fly meets the water head first and level; how far its tippet slows it until a drop test says. */
export const SINKING = {
  headFirst: 0.5,
  level: 1,
  tether: { mean: 0.55, low: 0.4, high: 0.7 },
  driftMm: 5000,
} as const;
/** What of a fly there is no measure for: barbs of a turn and how thick one is, which share of them stands on the water, fibres of a bunch, how full a dubbed or wound body is, thread on a fly, wire of a rib. About. */
export const TIED = {
  barbs: 22,
  barbMm: 0.04,
  onWater: 0.5,
  fibreMm: 0.06,
  taper: 0.6,
  fill: 0.35,
  threadMm: 250,
  ribMm: 0.1,
  ribDensity: 8.5,
  hairMm: 1.1,
  airShare: 0.5,
  strip: { wide: 0.6, thickMm: 1.5 },
} as const;
