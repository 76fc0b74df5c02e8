import type { CardPart } from '@/core/tying';
import { at, curveOf, smooth, type Mark, type Point } from '@/core/hooks/drawn';
import { bodyMarks, nosed, PROFILE } from './bodies';
import {
  along,
  anglesAt,
  fan,
  fibres,
  hairs,
  INK,
  leaf,
  on,
  bandOutline,
  path,
  scatter,
  strand,
  towards,
  turns,
  type Stretch,
} from './brush';
import { trimOf, type Draw } from './draw';

const fnOf = (part: CardPart) => part.material?.function ?? null;
const uncut = (draw: Draw, part: CardPart) => (draw.state(part).cut ? 1 : 1.45);

function placeOf(draw: Draw, mm: number) {
  const { p, t, n } = at(draw.hook.curve, mm);
  return { p, up: Math.atan2(n[1], n[0]), rear: Math.atan2(t[1], t[0]), n, t };
}

const above = (p: Point, n: Point, mm: number): Point => [p[0] + n[0] * mm, p[1] + n[1] * mm];

function body(part: CardPart, draw: Draw, profile: (u: number) => number): Mark[] {
  if (part.from_mm === null || part.to_mm === null) return [];
  return bodyMarks(draw.stretch(part, profile), fnOf(part), draw.colour(part), part.amount.wound?.turns ?? null);
}

/** A ball or band at one station: egg balls, tags, collars. */
function band(part: CardPart, draw: Draw, thickMm: number, profile: (u: number) => number, forward = 0.35): Mark[] {
  const mm = part.mm ?? 0.6;
  const start = part.from_mm ?? 0;
  const stretch = {
    ...draw.stretch(part, profile, thickMm),
    from: start + mm * (1 - forward),
    to: start - mm * forward,
  };
  return bodyMarks(stretch, fnOf(part) === 'thread' ? 'body.thread' : fnOf(part), draw.colour(part), null);
}

function ribMarks(part: CardPart, draw: Draw): Mark[] {
  if (part.from_mm === null || part.to_mm === null || !part.count) return [];
  const under =
    draw.card.parts.find(
      (item) =>
        item.from_mm === part.from_mm && item.to_mm === part.to_mm && item.thick_mm !== null && item.part !== 'rib',
    ) ??
    draw.find('abdomen') ??
    draw.find('case');
  const stretch = {
    ...draw.stretch(part, PROFILE.taper, under?.thick_mm ?? draw.thick('abdomen')),
    from: part.from_mm,
    to: part.to_mm,
  };
  const flat = fnOf(part) === 'rib.tinsel' || fnOf(part) === 'rib.half-round';
  const d = turns(stretch, part.count, draw.card.ribs.find((rib) => rib.part === part.id)?.counter ? -0.6 : 0.6, 1.03);
  return [
    { d, stroke: INK, width: flat ? 3.2 : 2.2, opacity: 0.65 },
    { d, stroke: draw.colour(part), width: flat ? 2.4 : 1.3 },
  ];
}

function tail(part: CardPart, draw: Draw): Mark[] {
  const { p, rear } = draw.rearEnd ? { p: draw.rearEnd.p, rear: draw.rearEnd.angle } : placeOf(draw, part.from_mm ?? 0);
  const does = fnOf(part);
  const length = (part.mm ?? 1) * uncut(draw, part);
  const count = Math.min(9, Math.max(1, part.count ?? 5));
  const colour = draw.colour(part);
  if (does === 'tail.webby' && part.amount.unit === 'strands') return plume(p, rear, length, colour, 14, 0.35);
  if (does === 'tail.webby')
    return fibres(fan(p, rear - 0.05, 0.34, length, Math.max(5, count), 0.05, 0.8), colour, 2.2);
  if (part.material?.look === 'biot')
    return [0.12, -0.12]
      .slice(0, count)
      .flatMap((tilt) => leaf(p, rear - tilt, length, colour, { widths: [0.05, 0.06, 0.03], veins: 0, opacity: 1 }));
  if (does === 'body.herl') return plume(p, rear, length, colour, 8, 0.2);
  const split = does === 'tail.split';
  return fibres(fan(p, rear - (split ? 0.02 : 0.08), split ? 0.3 : 0.16, length, count, 0.03), colour, 1.5, 0.65);
}

/** Soft long fibres that wave: marabou and herl. */
function plume(p: Point, angle: number, length: number, colour: string, count: number, spread: number): Mark[] {
  const d = Array.from({ length: count }, (_, index) => {
    const a = angle + (scatter(index) - 0.5) * spread;
    const l = length * (0.65 + 0.35 * scatter(index, 0.382));
    const bow = 0.16 * (scatter(index, 0.755) - 0.5);
    return smooth([p, towards(p, a + bow, l * 0.35), towards(p, a - bow, l * 0.72), towards(p, a, l)], false);
  }).join('');
  return fibres(d, colour, 2.2, 0.4);
}

function shuck(part: CardPart, draw: Draw): Mark[] {
  const { p, rear } = placeOf(draw, part.from_mm ?? 0);
  const length = (part.mm ?? 1) * uncut(draw, part);
  const colour = draw.colour(part);
  if (fnOf(part) === 'shuck.crinkled' || fnOf(part) === 'shuck.flash' || fnOf(part) === 'wing.tuft') {
    const d = Array.from({ length: 9 }, (_, index) => {
      const a = rear + (scatter(index) - 0.5) * 0.4;
      const l = length * (0.75 + 0.25 * scatter(index, 0.382));
      return smooth(
        Array.from({ length: 7 }, (_, k) =>
          towards(
            towards(p, a, (l * k) / 6),
            a + Math.PI / 2,
            k === 0 ? 0 : 0.09 * length * 0.5 * (k % 2 === 0 ? 1 : -1) * (0.5 + scatter(index + k)),
          ),
        ),
        false,
      );
    }).join('');
    return [
      ...leaf(p, rear, length * 0.92, colour, { widths: [0.08, 0.16, 0.1], veins: 0, opacity: 0.35 }),
      ...fibres(d, colour, 1.2, 0.5),
    ];
  }
  return plume(p, rear, length, colour, 12, 0.42);
}

function extendedBody(part: CardPart, draw: Draw): Mark[] {
  const stretch = extendedStretch(part, draw);
  const does = fnOf(part);
  const colour = draw.colour(part);
  if (does === 'wing.hair') {
    const d = Array.from({ length: 16 }, (_, index) => {
      const v = ((index + 0.5) / 16 - 0.5) * 1.8;
      return smooth([on(stretch, 1, v), on(stretch, 0.5, v), on(stretch, 0.02, v * 0.5)], false);
    }).join('');
    return [
      { d: path(bandOutline(stretch), true), fill: colour, opacity: 0.85, stroke: INK, width: 0.6 },
      { d, stroke: INK, width: 0.5, opacity: 0.45 },
      { d: turns(stretch, 6, 0.8), stroke: INK, width: 1, opacity: 0.7 },
      { d: turns(stretch, 6, -0.8), stroke: INK, width: 1, opacity: 0.5 },
    ];
  }
  return bodyMarks(stretch, does, colour, null);
}

/** A body that stands out behind the bend, a little raised, thinner to its tip. */
export function extendedStretch(part: CardPart, draw: Draw): Stretch {
  const { p, rear } = placeOf(draw, part.from_mm ?? 0);
  const length = part.mm ?? 1;
  const soft = fnOf(part) === 'tail.webby';
  const spine: Point[] = Array.from({ length: 13 }, (_, index) => {
    const u = index / 12;
    const angle = rear - 0.1 + (soft ? 0.12 * Math.sin(Math.PI * u) : -0.1 * u);
    return towards(p, angle, length * u);
  });
  const half = (part.thick_mm ?? 1) / 2;
  return {
    at: along(curveOf(spine)),
    from: length,
    to: 0,
    half: (u) => half * (soft ? 0.45 + 0.55 * u : 0.55 + 0.45 * u),
  };
}

function upright(part: CardPart, draw: Draw): Mark[] {
  const { p, n } = placeOf(draw, part.from_mm ?? 0);
  const origin = above(p, n, draw.thick('thorax') * 0.3);
  const length = (part.mm ?? 1) * uncut(draw, part);
  const colour = draw.colour(part);
  if (fnOf(part) === 'wing.tuft')
    return [...plumeWing(origin, 1.98, length, colour), ...plumeWing(origin, 1.72, length * 0.97, colour)];
  if ((part.count ?? 1) < 2)
    return leaf(origin, 1.84, length, colour, { widths: [0.04, 0.2, 0.24], veins: 6, opacity: 0.7, blunt: true });
  const narrow = part.material?.look === 'tips';
  const widths = narrow ? ([0.03, 0.13, 0.09] as const) : ([0.05, 0.17, 0.17] as const);
  return [
    ...leaf(origin, 1.98, length * 0.97, colour, { widths, veins: 3 }),
    ...leaf(origin, 1.74, length, colour, { widths, veins: 3 }),
  ];
}

/** A plume of CDC: a soft leaf with barbs that stand away. */
function plumeWing(origin: Point, angle: number, length: number, colour: string): Mark[] {
  const d = Array.from({ length: 18 }, (_, index) => {
    const u = 0.12 + 0.85 * scatter(index);
    const side = index % 2 === 0 ? 1 : -1;
    return strand(
      towards(origin, angle, length * u),
      angle + side * (0.55 - 0.3 * u),
      length * 0.3 * (1.1 - u * 0.6),
      0,
    );
  }).join('');
  return [
    ...leaf(origin, angle, length, colour, { widths: [0.04, 0.1, 0.07], veins: 0, opacity: 0.5 }),
    ...fibres(d, colour, 1.3, 0.35),
    { d: strand(origin, angle, length), stroke: INK, width: 0.7, opacity: 0.6 },
  ];
}

const LIES_BACK: ReadonlySet<string> = new Set([
  'needle-adult',
  'small-adult',
  'wide-terrestrial',
  'detached-body',
  'swimmer-bug',
]);

function wing(part: CardPart, draw: Draw): Mark[] {
  const does = fnOf(part);
  const { p, n, rear } = placeOf(draw, part.from_mm ?? 0);
  const length = (part.mm ?? 1) * uncut(draw, part);
  const colour = draw.colour(part);
  if (does === 'wing.post') return upright(part, draw);
  if (does === 'wing.tuft' && draw.style === 'upright-dun') return upright(part, draw);
  const back = above(p, n, draw.thick('abdomen') * 0.5);
  if (does === 'wing.tuft') return plumeWing(back, rear - 0.3, length, colour);
  if (does === 'wing.spent') {
    if (LIES_BACK.has(draw.style))
      return leaf(back, rear - 0.22, length, colour, { widths: [0.03, 0.09, 0.1], veins: 4, opacity: 0.6 });
    if (draw.style === 'sunk-spinner')
      return leaf(back, rear - 0.14, length, colour, { widths: [0.03, 0.1, 0.1], veins: 4, opacity: 0.65 });
    if (part.material?.look === 'straw')
      return leaf(back, rear - 0.05, length, colour, {
        widths: [0.05, 0.055, 0.05],
        veins: 2,
        opacity: 1,
        blunt: true,
      });
    // Spread flat, seen nearly along the water: short and wide, one before and one behind the body.
    const low = above(p, n, draw.thick('thorax') * 0.1);
    return [
      ...leaf(above(p, n, draw.thick('thorax') * 0.35), rear - 0.62, length * 0.5, colour, {
        widths: [0.06, 0.22, 0.2],
        veins: 3,
        opacity: 0.45,
      }),
      ...leaf(low, rear + 0.55, length * 0.6, colour, { widths: [0.06, 0.2, 0.2], veins: 4, opacity: 0.75 }),
    ];
  }
  if (does === 'wing.hair' || part.amount.unit === 'compressed-mm') {
    const base = above(p, n, draw.thick('abdomen') * 0.35);
    return fibres(fan(base, rear - 0.2, 0.28, length, 22, 0.03, 0.86), colour, 1.5, 0.45);
  }
  if (does === 'wing.bud')
    return leaf(back, rear - 0.1, length, colour, { widths: [0.05, 0.1, 0.07], veins: 5, opacity: 0.95 });
  // Down-wing: a roof along the back, its lower edge at the belly for a sedge, flat for a stonefly.
  const roof = draw.style === 'down-wing';
  return leaf(back, rear - (roof ? 0.06 : 0.1), length, colour, {
    widths: roof ? [0.07, 0.17, 0.16] : [0.05, 0.08, 0.08],
    veins: 5,
    opacity: 0.95,
    blunt: true,
  });
}

function post(part: CardPart, draw: Draw): Mark[] {
  const { p } = placeOf(draw, part.from_mm ?? 0);
  const tall = (part.mm ?? 1) * uncut(draw, part);
  const w = Math.max(0.3, (part.mm ?? 1) * 0.09);
  const top = p[1] + tall;
  const d = smooth([
    [p[0] - w * 0.7, p[1]],
    [p[0] - w * 1.3, top],
    [p[0], top + w * 0.3],
    [p[0] + w * 1.3, top],
    [p[0] + w * 0.7, p[1]],
  ]);
  const lines = [-0.6, 0, 0.6]
    .map((v) =>
      path([
        [p[0] + w * v * 0.6, p[1] + tall * 0.15],
        [p[0] + w * v, top * 0.96],
      ]),
    )
    .join('');
  return [
    { d, fill: draw.colour(part), stroke: INK, width: 1 },
    { d: lines, stroke: INK, width: 0.5, opacity: 0.4 },
  ];
}

function tuft(part: CardPart, draw: Draw): Mark[] {
  const length = part.mm ?? 1;
  const colour = draw.colour(part);
  const start = part.from_mm ?? 0;
  const { p, n, rear } = placeOf(draw, start);
  // A loop over the thorax: both ends are held.
  if (part.to_mm !== null && draw.state(part).there === 'yes') {
    const front = placeOf(draw, part.to_mm);
    const lift = draw.thick('thorax') * 0.5;
    const d = Array.from({ length: 9 }, (_, index) => {
      const high = lift + length * (0.16 + 0.04 * index);
      return smooth(
        [
          above(p, n, lift * 0.6),
          above([(p[0] + front.p[0]) / 2 - 0.2, (p[1] + front.p[1]) / 2], n, high),
          above(front.p, front.n, lift * 0.4),
        ],
        false,
      );
    }).join('');
    return fibres(d, colour, 1.8, 0.4);
  }
  const base = above(p, n, draw.thick('thorax') * 0.3);
  if (draw.style === 'down-wing' || draw.style === 'stone-adult')
    return plumeWing(above(p, n, draw.thick('abdomen') * 0.4), rear - 0.16, length, colour);
  const angle = draw.style === 'low-emerger' || draw.style === 'hanging-emerger' ? 1.35 : 1.9;
  if (part.amount.unit === 'compressed-mm')
    return fibres(fan(base, angle + 0.35, 0.4, length, 20, 0.02, 0.9), colour, 1.5, 0.4);
  return [...plumeWing(base, angle, length, colour), ...plumeWing(base, angle + 0.28, length * 0.94, colour)];
}

/** Half-thickness of wound soft hackle at its root, as a share of the thorax. */
const STEM_OF_THORAX = 0.4;
/** Barbs that stand round one turn, by how they are wound; and how far they lean before and behind it, radians. */
const BARBS = { collar: 24, palmer: 16, soft: 11, plume: 12 } as const;
const SPLAY = 0.3;
/** The least of a barb that is seen, where it points at the reader. */
const SEEN = 0.55;
/** Lean of a soft barb to the rear. */
const SWEPT = { least: 0.5, more: 0.5 } as const;
/** What scissors leave of a barb beyond the body, as a share of its length. */
const STUB = 0.1;

/** The body that a hackle stands on at a place, half its thickness. */
function surfaceAt(draw: Draw, mm: number): number {
  const halves = draw.card.parts.flatMap((part) =>
    part.thick_mm !== null &&
    part.from_mm !== null &&
    part.to_mm !== null &&
    mm <= part.from_mm + 1e-6 &&
    mm >= part.to_mm - 1e-6 &&
    draw.state(part).there === 'yes'
      ? [part.thick_mm / 2]
      : [],
  );
  return Math.max(draw.card.hook.wire_mm / 2, ...halves.map((half) => half * 0.85));
}

function hackle(part: CardPart, draw: Draw): Mark[] {
  const length = part.mm ?? 1;
  const start = part.from_mm ?? 0;
  const does = fnOf(part);
  const soft = does === 'hackle.soft';
  const cdc = does === 'hackle.cdc-loop';
  const colour = draw.colour(part);
  const trim = trimOf(draw, part);
  const postPart = draw.find('post');
  if (postPart && postPart.material?.function === 'wing.post' && part.part === 'hackle') {
    const { p, n } = placeOf(draw, postPart.from_mm ?? 0);
    const origin = above(p, n, draw.thick('thorax') * 0.7);
    return fibres(
      fan(origin, 0, 0.34, length, 9, 0.03) + fan(origin, Math.PI, 0.34, length, 9, -0.03),
      colour,
      1.2,
      0.45,
    );
  }
  const reach = part.to_mm !== null ? part.to_mm : Math.max(0.25, start - Math.max(0.35, (part.count ?? 3) * 0.16));
  const wound = Math.max(
    1,
    Math.round(draw.card.hackles.find((item) => item.part === part.id)?.turns ?? part.count ?? 3),
  );
  const palmered = Math.abs(reach - start) > 2.2;
  const barbs = soft ? BARBS.soft : cdc ? BARBS.plume : palmered ? BARBS.palmer : BARBS.collar;
  // Each turn has its barbs all round: those toward the reader and away from him are seen short.
  const lines = Array.from({ length: wound * barbs }, (_, index) => {
    const mm = start + (reach - start) * ((Math.floor(index / barbs) + 0.5) / wound);
    const { p, rear } = placeOf(draw, mm);
    const surface = surfaceAt(draw, mm);
    const round = 2 * Math.PI * scatter(index);
    const height = Math.cos(round);
    const side = height >= 0 ? -1 : 1;
    const low = side > 0;
    const aside = Math.abs(Math.sin(round));
    const cut =
      (low && (trim === 'flat-below' || trim === 'both')) ||
      (!low && trim === 'both') ||
      (low && trim === 'v-below' && aside < 0.55);
    const full = length * (0.88 + 0.12 * scatter(index, 0.57)) * (SEEN + (1 - SEEN) * Math.abs(height));
    const l = cut ? Math.min(full, length * STUB) : full;
    const lean =
      soft || cdc
        ? SWEPT.least + SWEPT.more * scatter(index, 0.755)
        : Math.PI / 2 + (scatter(index, 0.755) - 0.5) * 2 * SPLAY;
    const base = towards(p, rear + side * (Math.PI / 2), surface * Math.abs(height));
    return strand(base, rear + side * lean, l, side * (soft ? -0.18 : cdc ? -0.1 : 0.02));
  }).join('');
  // Cut above and below, the barbs that are left point at the reader: seen end on, they are short.
  if (trim === 'both' && !palmered) {
    const { p, rear } = placeOf(draw, (start + reach) / 2);
    const ends = Array.from({ length: 26 }, (_, index) =>
      strand(
        p,
        rear + (scatter(index) - 0.5) * 1.5 + (index % 2 === 0 ? 0 : Math.PI),
        length * (0.18 + 0.34 * scatter(index, 0.382)),
      ),
    ).join('');
    return [...fibres(lines, colour, 1.1, 0.5), ...fibres(ends, colour, 1.3, 0.5)];
  }
  const marks = fibres(lines, colour, soft || cdc ? 1.6 : 1.1, soft || cdc ? 0.35 : 0.5);
  if (part.to_mm === null || palmered || (!soft && !cdc)) return marks;
  // The stem and its down, or the loop, hide the wire that they are wound on.
  const neck = Math.max(draw.card.hook.wire_mm, draw.thick('thorax') * STEM_OF_THORAX);
  return [
    ...bodyMarks(
      { at: along(draw.hook.curve), from: start, to: reach, half: (u) => neck * (1 - 0.3 * u) },
      'body.thread',
      colour,
      null,
    ),
    ...marks,
  ];
}

/** Barbs stacked on a loop: a flat brush over the thorax. */
function stacked(part: CardPart, draw: Draw): Mark[] {
  const { p, n } = placeOf(draw, part.from_mm ?? 0);
  const origin = above(p, n, draw.thick('thorax') * 0.6);
  const length = part.mm ?? 1;
  return fibres(
    fan(origin, 0.12, 0.5, length, 11, 0.04) + fan(origin, Math.PI - 0.12, 0.5, length, 11, -0.04),
    draw.colour(part),
    1.2,
    0.45,
  );
}

function bead(part: CardPart, draw: Draw): Mark[] {
  const r = (part.mm ?? 1) / 2;
  const { p } = placeOf(draw, (part.from_mm ?? 0) + r);
  const circle = Array.from({ length: 24 }, (_, index): Point => towards(p, (index / 24) * 2 * Math.PI, r));
  const glass = part.material?.look === 'glass';
  return [
    { d: smooth(circle), fill: draw.colour(part), stroke: INK, width: 1.2, opacity: glass ? 0.75 : 1 },
    {
      d: smooth([towards(p, 2.5, r * 0.62), towards(p, 2.0, r * 0.7), towards(p, 1.5, r * 0.62)], false),
      stroke: 'var(--plane)',
      width: glass ? 2.4 : 1.6,
      opacity: 0.85,
    },
  ];
}

function legs(part: CardPart, draw: Draw): Mark[] {
  const length = (part.mm ?? 1) * uncut(draw, part);
  const colour = draw.colour(part);
  const does = fnOf(part);
  const { p, t, n } = placeOf(draw, part.from_mm ?? 0);
  const pairs = Math.min(4, Math.max(1, Math.ceil((part.count ?? 6) / 2)));
  if (does === 'body.dubbed' || does === 'hackle.soft') {
    const under = draw.find('abdomen');
    if (!under || under.from_mm === null || under.to_mm === null) return [];
    return fibres(hairs(draw.stretch(under, PROFILE.spindle), 16, length, 0.15, [-1]), colour, 1.3, 0.45);
  }
  if (does === 'hackle.cdc-loop') return hackle(part, draw);
  if (does === 'legs.knotted') {
    const trailing = draw.style === 'detached-body' || draw.style === 'small-adult';
    const d = Array.from({ length: pairs }, (_, index) => {
      const a: Point = [p[0] + t[0] * index * 0.25, p[1] + t[1] * index * 0.25 - 0.1];
      if (draw.style === 'overhang') {
        const knee = towards(a, 2.35, length * 0.45);
        return path([a, knee, towards(knee, Math.PI + 1.0, length * 0.55)]);
      }
      const knee = towards(a, Math.PI + (trailing ? 0.5 : 0.9) + index * 0.16, length * 0.4);
      const shin = towards(knee, Math.PI + 0.08 + index * 0.1, length * 0.4);
      return path([a, knee, shin, towards(shin, Math.PI + 0.35, length * 0.2)]);
    }).join('');
    return fibres(d, colour, 2, 0.7);
  }
  if (does === 'legs.rubber') {
    const d = Array.from({ length: pairs }, (_, index) => {
      const a: Point = [p[0] + t[0] * (index - (pairs - 1) / 2) * 0.3, p[1] - n[1] * draw.thick('thorax') * 0.2];
      const out = pairs === 1 ? Math.PI + 0.7 : Math.PI + 0.45 + (index / Math.max(1, pairs - 1)) * 1.9;
      return smooth([a, towards(a, out - 0.15, length * 0.5), towards(a, out + 0.12, length)], false);
    }).join('');
    return fibres(d, colour, 2.4, 0.5);
  }
  if (part.material?.look === 'biot')
    return leaf(above(p, n, -draw.thick('abdomen') * 0.2), Math.PI + 0.75, length, colour, {
      widths: [0.04, 0.06, 0.04],
      veins: 0,
      opacity: 1,
    });
  const d = Array.from({ length: pairs + 2 }, (_, index) => {
    const shift = (index - (pairs + 1) / 2) * length * 0.1;
    const a: Point = [p[0] + t[0] * shift, p[1] - draw.thick('thorax') * 0.25];
    if (does === 'legs.fibre' && draw.style === 'small-adult')
      return smooth(
        [
          a,
          towards(a, (index % 2 === 0 ? -0.35 : Math.PI + 0.35) - 0.1 * index, length * 0.6),
          towards(a, index % 2 === 0 ? -0.75 : Math.PI + 0.75, length),
        ],
        false,
      );
    return smooth([a, towards(a, -2.1 - index * 0.14, length * 0.55), towards(a, -2.35 - index * 0.16, length)], false);
  }).join('');
  return fibres(d, colour, 1.4, 0.6);
}

function back(part: CardPart, draw: Draw, kind: 'abdomen' | 'thorax'): Mark[] {
  const under = draw.find(kind) ?? draw.find('abdomen');
  if (!under || under.from_mm === null || under.to_mm === null) return [];
  const foam = part.material?.look === 'foam' || fnOf(part) === 'body.foam';
  const colour = draw.colour(part);
  const to = part.to_mm ?? under.to_mm;
  const from = part.from_mm ?? under.from_mm;
  const stretch: Stretch = {
    ...draw.stretch(
      under,
      kind === 'thorax'
        ? PROFILE.round
        : draw.find('thorax') || draw.find('bead')
          ? PROFILE.taper
          : nosed(PROFILE.taper),
    ),
    from,
    to,
  };
  // A strip of hide lies on the back; the flank stays seen.
  if (fnOf(part) === 'tail.webby') {
    const strip: Stretch = {
      ...stretch,
      half: (u) => stretch.half(u) * 0.45,
      at: (s) => {
        const place = stretch.at(s);
        return { ...place, p: above(place.p, place.n, stretch.half((s - from) / (to - from || 1)) * 0.72) };
      },
    };
    return bodyMarks(strip, 'tail.webby', colour, null);
  }
  const lift = foam ? 1.55 : 1.14;
  const shares = Array.from({ length: 17 }, (_, index) => index / 16);
  const dome = (u: number) =>
    foam ? 0.45 + (lift - 0.45) * Math.sin(Math.PI * Math.min(1, Math.max(0, 0.06 + 0.9 * u))) : lift;
  const outline = [
    ...shares.map((u) => on(stretch, u, dome(u))),
    ...shares.reverse().map((u) => on(stretch, u, foam ? 0.35 : 0.42)),
  ];
  const stub =
    foam && draw.state(part).cut
      ? leaf(
          placeOf(draw, to).p,
          Math.atan2(-placeOf(draw, to).t[1], -placeOf(draw, to).t[0]) + 0.5,
          Math.min(0.9, (part.mm ?? 1) * 0.2),
          colour,
          { widths: [0.3, 0.34, 0.3], veins: 0, blunt: true, opacity: 1 },
        )
      : [];
  const d = smooth([on(stretch, 0.06, lift * 0.95), on(stretch, 0.5, lift), on(stretch, 0.94, lift * 0.95)], false);
  return [
    {
      d: path(outline, true),
      fill: colour,
      stroke: INK,
      width: 0.9,
      opacity: part.material?.look === 'cord' ? 0.6 : 0.96,
    },
    ...(foam ? [] : [{ d, stroke: 'var(--plane)', width: 1.1, opacity: 0.5 }]),
    ...stub,
  ];
}

function cheeks(part: CardPart, draw: Draw): Mark[] {
  const thorax = draw.find('thorax');
  if (!thorax || thorax.from_mm === null || thorax.to_mm === null) return [];
  const stretch = draw.stretch(thorax, PROFILE.round);
  return [
    {
      d: smooth([on(stretch, 0.05, 0.35), on(stretch, 0.45, 0.5), on(stretch, 0.95, -0.05), on(stretch, 0.5, -0.45)]),
      fill: draw.colour(part),
      stroke: INK,
      width: 0.9,
    },
  ];
}

function gills(part: CardPart, draw: Draw): Mark[] {
  const colour = draw.colour(part);
  const length = part.mm ?? 0.5;
  const under = draw.find('abdomen');
  if (part.to_mm !== null && under && under.from_mm !== null && under.to_mm !== null) {
    const sides: readonly (1 | -1)[] = draw.style === 'grub' ? [-1] : fnOf(part) === 'hackle.soft' ? [-1, 1] : [1];
    return fibres(hairs(draw.stretch(under, PROFILE.taper), 26, length, 0.7, sides), colour, 1.3, 0.4);
  }
  const { p, n } = placeOf(draw, part.from_mm ?? 0);
  if (part.material?.look === 'biot')
    return [0.35, -0.2].flatMap((a) =>
      leaf(above(p, n, 0.1), 1.5 + a, length, colour, { widths: [0.08, 0.12, 0.08], veins: 0, opacity: 1 }),
    );
  const forward = fnOf(part) === 'legs.fibre' || fnOf(part) === 'tail.stiff' ? 0.55 : 0.95;
  return fibres(fan(above(p, n, 0.12), forward, 0.8, length, 9, 0.05), colour, 1.7, 0.4);
}

function antennae(part: CardPart, draw: Draw): Mark[] {
  const { p, n, rear } = placeOf(draw, part.from_mm ?? 0);
  const length = part.mm ?? 1;
  if (part.material?.look === 'biot')
    return leaf([p[0] + 0.3, p[1] - 0.05], -0.25, length, draw.colour(part), {
      widths: [0.06, 0.1, 0.03],
      veins: 0,
      opacity: 1,
    });
  const origin = above(p, n, draw.thick('thorax') * 0.35);
  const backward = draw.style === 'curved-pupa';
  return fibres(
    backward ? fan(origin, rear - 0.3, 0.2, length, 2, -0.1) : fan(origin, 0.42, 0.28, length, 2, 0.1),
    draw.colour(part),
    1.1,
    0.7,
  );
}

function beard(part: CardPart, draw: Draw): Mark[] {
  const { p } = placeOf(draw, (part.from_mm ?? 0) + 0.3);
  return fibres(
    fan([p[0], p[1] - draw.thick('thorax') * 0.2], Math.PI + 0.42, 0.3, part.mm ?? 1, 7, -0.06),
    draw.colour(part),
    1.5,
    0.5,
  );
}

function halo(part: CardPart, draw: Draw): Mark[] {
  const thorax = draw.find('thorax');
  if (!thorax || thorax.from_mm === null || thorax.to_mm === null) return [];
  return [
    {
      d: hairs(draw.stretch(thorax, PROFILE.round), 34, part.mm ?? 0.5, 0.35),
      stroke: draw.colour(part),
      width: 1,
      opacity: 0.8,
    },
  ];
}

function head(part: CardPart, draw: Draw): Mark[] {
  const bead = draw.find('bead');
  if (bead) {
    // Behind a bead the thread fills what the style reserves.
    const rear =
      part.from_mm ??
      Math.min(
        ...draw.card.parts
          .filter(
            (item) =>
              item.to_mm !== null &&
              item.from_mm !== null &&
              item.to_mm < item.from_mm &&
              item.part !== 'rib' &&
              item.part !== 'back',
          )
          .map((item) => item.to_mm!),
      );
    const front = part.to_mm ?? (bead.from_mm ?? 0) + (bead.mm ?? 0);
    if (!Number.isFinite(rear) || rear - front < 0.1) return [];
    const neck = Math.max(draw.card.hook.wire_mm, draw.thick('thorax') * 0.38);
    return bodyMarks(
      { at: along(draw.hook.curve), from: rear, to: front, half: () => neck },
      'body.thread',
      draw.colour(part),
      null,
    );
  }
  const length = part.mm ?? 0.5;
  const half = Math.max(0.16, Math.min(draw.thick('thorax') * 0.32, length * 0.5));
  const stretch: Stretch = {
    at: along(draw.hook.curve),
    from: length,
    to: 0.06,
    half: (u) => half * (0.95 - 0.55 * u),
  };
  return [{ d: path(bandOutline(stretch, 10), true), fill: draw.colour(part), stroke: INK, width: 1 }];
}

function larvaHead(part: CardPart, draw: Draw): Mark[] {
  const { p, rear } = placeOf(draw, part.from_mm ?? 0);
  const L = (part.mm ?? 1) * uncut(draw, part);
  const tip = towards(p, rear, L);
  return [
    ...leaf(p, rear, L, draw.colour(part), { widths: [0.26, 0.3, 0.24], veins: 0, opacity: 1, blunt: true }),
    {
      d: smooth([towards(tip, rear + 2.2, L * 0.22), tip, towards(tip, rear - 2.2, L * 0.22)]),
      fill: INK,
      opacity: 0.7,
    },
  ];
}

function weight(part: CardPart, draw: Draw): Mark[] {
  const own = draw.card.weights.find((item) => item.kind === 'wound' || item.kind === 'sides');
  if (!own || own.length_mm === null) return [];
  const wire = own.wire_mm ?? 0.4;
  const middle = Math.max(own.length_mm / 2 + draw.card.hook.eye_mm, part.from_mm ?? draw.card.hook.shank_mm / 2);
  const half = draw.card.hook.wire_mm / 2 + (own.kind === 'wound' ? wire : wire * 0.6);
  const stretch: Stretch = {
    at: along(draw.hook.curve),
    from: middle + own.length_mm / 2,
    to: middle - own.length_mm / 2,
    half: () => half,
  };
  return own.kind === 'wound'
    ? bodyMarks(stretch, 'body.wire', draw.colour(part), own.turns)
    : [{ d: path(bandOutline(stretch, 8), true), fill: draw.colour(part), stroke: INK, width: 0.8 }];
}

/** What is caught in but not yet wound: a strand, a feather or a strip that waits behind. */
function waiting(part: CardPart, draw: Draw): Mark[] {
  const step = draw.card.steps.find((item) => item.part === part.id && item.at !== null);
  const { p, n, rear } = placeOf(draw, step?.at?.mm ?? part.from_mm ?? 0);
  const colour = draw.colour(part);
  const length = Math.max(draw.card.hook.shank_mm * 0.9, part.mm ?? 0);
  const origin = above(p, n, 0.15);
  const does = fnOf(part) ?? '';
  if (does.startsWith('hackle'))
    return [
      { d: strand(origin, rear - 0.5, length), stroke: INK, width: 0.9 },
      ...fibres(
        Array.from({ length: 16 }, (_, index) =>
          strand(
            towards(origin, rear - 0.5, length * (0.25 + 0.05 * index)),
            rear - 0.5 + (index % 2 === 0 ? 0.6 : -0.6),
            (part.mm ?? 2) * 0.55,
          ),
        ).join(''),
        colour,
        1,
        0.4,
      ),
    ];
  if (does.startsWith('back') || does === 'wing.bud' || does === 'body.foam')
    return leaf(origin, rear - 0.12, length, colour, {
      widths: [0.06, 0.07, 0.06],
      veins: 0,
      blunt: true,
      opacity: 0.95,
    });
  return fibres(
    strand(origin, rear + 0.28, length, -0.12),
    colour,
    does.startsWith('rib') || does === 'body.wire' ? 1.2 : 2.4,
    0.5,
  );
}

/** Nearly as thick as it is long. */
function isStout(part: CardPart): boolean {
  return part.thick_mm !== null && part.mm !== null && part.thick_mm > 0.6 * part.mm;
}

/** How a body swells: by its kind of fly; one with nothing in front of it runs down to the head. */
function profileOf(part: CardPart, draw: Draw): (u: number) => number {
  const own =
    draw.style === 'grub' || draw.style === 'shrimp'
      ? PROFILE.spindle
      : draw.style === 'wide-terrestrial'
        ? PROFILE.ball
        : isStout(part)
          ? PROFILE.spindle
          : PROFILE.taper;
  return draw.find('thorax') || draw.find('bead') ? own : nosed(own);
}

/** A part from the side, at the stage its fly has reached. */
export function sideMarks(part: CardPart, draw: Draw): Mark[] {
  const { there } = draw.state(part);
  if (there === 'no') return [];
  if (there === 'waiting') return waiting(part, draw);
  switch (part.part) {
    case 'abdomen':
      return body(part, draw, profileOf(part, draw));
    case 'thorax':
      return body(part, draw, draw.style === 'wide-terrestrial' ? PROFILE.ball : PROFILE.round);
    case 'case':
      return body(part, draw, PROFILE.even);
    case 'underbody':
      return part.to_mm === null || part.thick_mm === null ? [] : body(part, draw, PROFILE.even);
    case 'rib':
      return ribMarks(part, draw);
    case 'tail':
      return tail(part, draw);
    case 'shuck':
      return shuck(part, draw);
    case 'larva-head':
      return larvaHead(part, draw);
    case 'egg-mass':
      return band(part, draw, draw.thick('abdomen') * 1.25, PROFILE.ball, 0.2);
    case 'tag':
      return fnOf(part) === 'tail.webby' || fnOf(part) === 'legs.fibre'
        ? tail(part, draw)
        : fnOf(part) === 'body.foam'
          ? spot(part, draw)
          : band(part, draw, draw.thick('abdomen') * 1.06, PROFILE.ball, 0.4);
    case 'collar':
      return fnOf(part)?.startsWith('hackle.')
        ? hackle(part, draw)
        : part.to_mm !== null
          ? body({ ...part, thick_mm: part.thick_mm ?? draw.thick('thorax') * 1.06 }, draw, PROFILE.even)
          : band(part, draw, draw.thick('thorax') * 1.06, PROFILE.even, 0);
    case 'wing':
      return wing(part, draw);
    case 'hair-wing': {
      const { p, n, rear } = placeOf(draw, part.from_mm ?? 0);
      const over = draw.style === 'overhang';
      return fibres(
        fan(above(p, n, 0.1), over ? rear - 0.35 : 1.15, over ? 0.25 : 0.5, part.mm ?? 1, 20, 0.03, 0.86),
        draw.colour(part),
        1.5,
        0.45,
      );
    }
    case 'tuft':
      return tuft(part, draw);
    case 'wing-buds':
      return wingBuds(part, draw);
    case 'post':
      return post(part, draw);
    case 'hackle':
    case 'second-hackle':
      return hackle(part, draw);
    case 'stacked-hackle':
      return stacked(part, draw);
    case 'bead':
      return bead(part, draw);
    case 'weight':
      return weight(part, draw);
    case 'legs':
      return legs(part, draw);
    case 'back':
      return draw.style === 'cased-larva'
        ? sticks(part, draw)
        : back(part, draw, part.base === 'part:thorax' ? 'thorax' : 'abdomen');
    case 'wing-case':
      return back(part, draw, 'thorax');
    case 'cheeks':
      return cheeks(part, draw);
    case 'beard':
      return beard(part, draw);
    case 'gills':
      return gills(part, draw);
    case 'antennae':
      return antennae(part, draw);
    case 'halo':
      return halo(part, draw);
    case 'head':
      return head(part, draw);
    case 'extended-body':
      return extendedBody(part, draw);
    case 'coat': {
      const under = draw.find('abdomen');
      if (!under || under.from_mm === null) return [];
      const stretch: Stretch = { ...draw.stretch(under, PROFILE.taper), to: 0.4 };
      return [
        {
          d: smooth([on(stretch, 0.05, 0.5), on(stretch, 0.4, 0.62), on(stretch, 0.75, 0.8)], false),
          stroke: 'var(--plane)',
          width: 2,
          opacity: 0.75,
        },
      ];
    }
    default:
      return [];
  }
}

function spot(part: CardPart, draw: Draw): Mark[] {
  const { p, n, rear } = placeOf(draw, part.from_mm ?? 0);
  return leaf(above(p, n, draw.thick('abdomen') * 0.5), rear, part.mm ?? 0.8, draw.colour(part), {
    widths: [0.25, 0.3, 0.25],
    veins: 0,
    blunt: true,
    opacity: 1,
  });
}

/** Sticks along a case, at odd angles. */
function sticks(part: CardPart, draw: Draw): Mark[] {
  const host = draw.find('case');
  if (!host || host.from_mm === null || host.to_mm === null) return [];
  const stretch = draw.stretch(host, PROFILE.even);
  return [
    [0.1, 0.7, 0.5],
    [0.3, -0.5, 0.2],
    [0.05, -0.1, -0.15],
    [0.45, 0.9, -0.35],
  ].flatMap(([u, v, tilt]) =>
    leaf(
      on(stretch, u!, v!),
      anglesAt(stretch, u!).rear + Math.PI + tilt! * 0.3,
      (part.mm ?? 2) * 0.8,
      draw.colour(part),
      { widths: [0.05, 0.055, 0.05], veins: 1, blunt: true, opacity: 1 },
    ),
  );
}

function wingBuds(part: CardPart, draw: Draw): Mark[] {
  const { p, n, rear } = placeOf(draw, part.from_mm ?? 0);
  return leaf(above(p, n, -draw.thick('thorax') * 0.05), rear + 0.5, part.mm ?? 1, draw.colour(part), {
    widths: [0.1, 0.2, 0.14],
    veins: 3,
    opacity: 0.95,
  });
}
