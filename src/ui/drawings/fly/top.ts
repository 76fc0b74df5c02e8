import type { CardPart } from '@/core/tying';
import { at, smooth, type Mark, type Point } from '@/core/hooks/drawn';
import { bodyMarks, PROFILE } from './bodies';
import {
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
import type { Draw } from './draw';

const fnOf = (part: CardPart) => part.material?.function ?? null;
const REAR = Math.PI;

/** Where a distance along the hook lies, seen from above: the bend goes down and away. */
function xOf(draw: Draw, mm: number): number {
  return at(draw.hook.curve, mm).p[0];
}

/** Flat insects are wider than they are deep, shrimps narrower. */
function widthFactor(draw: Draw): number {
  if (draw.style === 'shrimp') return 0.6;
  if (draw.card.weights.some((weight) => weight.kind === 'sides') || draw.style === 'stone-nymph') return 1.3;
  return draw.style === 'wide-terrestrial' || draw.style === 'swimmer-bug' ? 1.12 : 1;
}

function stretchOf(
  part: CardPart,
  draw: Draw,
  profile: (u: number) => number,
  thickMm = part.thick_mm ?? draw.thick('abdomen'),
): Stretch {
  const half = (thickMm / 2) * widthFactor(draw);
  return {
    at: (s) => ({ p: [xOf(draw, s), 0], t: [-1, 0], n: [0, 1] }),
    from: part.from_mm ?? 0,
    to: part.to_mm ?? 0,
    half: (u) => half * profile(u),
  };
}

const both = (marks: (side: 1 | -1) => Mark[]): Mark[] => [...marks(1), ...marks(-1)];

function body(part: CardPart, draw: Draw, profile: (u: number) => number): Mark[] {
  if (part.from_mm === null || part.to_mm === null) return [];
  return bodyMarks(stretchOf(part, draw, profile), fnOf(part), draw.colour(part), part.amount.wound?.turns ?? null);
}

function ball(part: CardPart, draw: Draw, thickMm: number, forward: number): Mark[] {
  const mm = part.mm ?? 0.6;
  const start = part.from_mm ?? 0;
  const stretch: Stretch = {
    ...stretchOf(part, draw, PROFILE.ball, thickMm),
    from: start + mm * (1 - forward),
    to: start - mm * forward,
  };
  return bodyMarks(stretch, fnOf(part) === 'thread' ? 'body.thread' : fnOf(part), draw.colour(part), null);
}

/** Where something behind the bend starts. */
function rearOf(draw: Draw, part: CardPart): Point {
  const extended = draw.find('extended-body');
  const x = xOf(draw, part.from_mm ?? 0);
  return [
    extended && draw.state(extended).there === 'yes' && part.part === 'tail'
      ? xOf(draw, extended.from_mm ?? 0) - (extended.mm ?? 0) * 0.98
      : x,
    0,
  ];
}

function tail(part: CardPart, draw: Draw): Mark[] {
  const p = rearOf(draw, part);
  const length = part.mm ?? 1;
  const colour = draw.colour(part);
  const count = Math.min(9, Math.max(1, part.count ?? 5));
  if (fnOf(part) === 'tail.split') {
    const middle = count % 2 === 1 && count <= 3 ? strand(p, REAR, length) : '';
    const each = Math.max(1, Math.floor(count / 2));
    return fibres(
      middle + fan(p, REAR - 0.42, 0.12, length, each) + fan(p, REAR + 0.42, 0.12, length, each),
      colour,
      1.5,
      0.65,
    );
  }
  if (part.material?.look === 'biot')
    return both((side) =>
      count === 1 && side === -1
        ? []
        : leaf(p, REAR + side * 0.32, length, colour, { widths: [0.05, 0.06, 0.03], veins: 0, opacity: 1 }),
    );
  return fibres(
    fan(p, REAR, fnOf(part) === 'tail.webby' ? 0.3 : 0.22, length, fnOf(part) === 'tail.webby' ? 9 : count, 0.04, 0.85),
    colour,
    fnOf(part) === 'tail.webby' ? 2 : 1.5,
    0.5,
  );
}

function extended(part: CardPart, draw: Draw): Mark[] {
  const x = xOf(draw, part.from_mm ?? 0);
  const length = part.mm ?? 1;
  const half = ((part.thick_mm ?? 1) / 2) * (fnOf(part) === 'tail.webby' ? 0.8 : 1);
  const stretch: Stretch = {
    at: (s) => ({
      p: [x - s, fnOf(part) === 'tail.webby' ? 0.12 * length * Math.sin((s / length) * 4) * (s / length) : 0],
      t: [-1, 0],
      n: [0, 1],
    }),
    from: length,
    to: 0,
    half: (u) => half * (0.55 + 0.45 * u),
  };
  if (fnOf(part) === 'wing.hair')
    return [
      { d: path(bandOutline(stretch), true), fill: draw.colour(part), stroke: INK, width: 0.6, opacity: 0.9 },
      { d: turns(stretch, 6, 0.8), stroke: INK, width: 1, opacity: 0.7 },
      { d: turns(stretch, 6, -0.8), stroke: INK, width: 1, opacity: 0.5 },
    ];
  return bodyMarks(stretch, fnOf(part), draw.colour(part), null);
}

const IN_V: ReadonlySet<string> = new Set(['small-adult', 'wide-terrestrial', 'needle-adult', 'sunk-spinner']);

function wing(part: CardPart, draw: Draw): Mark[] {
  const p: Point = [xOf(draw, part.from_mm ?? 0), 0];
  const length = part.mm ?? 1;
  const colour = draw.colour(part);
  const does = fnOf(part);
  if (does === 'wing.post') {
    if ((part.count ?? 1) < 2)
      return leaf(p, REAR - 0.02, length * 0.3, colour, {
        widths: [0.3, 0.34, 0.28],
        veins: 3,
        opacity: 0.7,
        blunt: true,
      });
    return both((side) => leaf(p, REAR + side * 0.5, length * 0.42, colour, { widths: [0.07, 0.1, 0.08], veins: 2 }));
  }
  if (does === 'wing.tuft')
    return draw.style === 'upright-dun'
      ? both((side) =>
          leaf(p, REAR + side * 0.7, length * 0.45, colour, { widths: [0.1, 0.16, 0.1], veins: 2, opacity: 0.7 }),
        )
      : fibres(fan(p, REAR, 0.5, length, 16, 0.03, 0.8), colour, 1.4, 0.4);
  if (does === 'wing.spent') {
    if (part.material?.look === 'straw')
      return leaf(p, REAR, length, colour, { widths: [0.06, 0.065, 0.06], veins: 2, blunt: true, opacity: 1 });
    const angle = IN_V.has(draw.style)
      ? 0.26
      : draw.style === 'detached-body'
        ? 0.85
        : draw.style === 'down-wing'
          ? 0.8
          : draw.style === 'stone-adult'
            ? 0.1
            : Math.PI / 2 - 0.08;
    return both((side) =>
      part.count === 1 && side === -1
        ? []
        : leaf(p, REAR - side * angle, length, colour, { widths: [0.03, 0.11, 0.12], veins: 5, opacity: 0.65 }),
    );
  }
  if (does === 'wing.hair' || part.amount.unit === 'compressed-mm')
    return fibres(fan(p, REAR, 0.55, length, 26, 0.02, 0.88), colour, 1.4, 0.45);
  if (draw.style === 'soft-wet')
    return leaf(p, REAR, length, colour, { widths: [0.04, 0.09, 0.07], veins: 4, opacity: 0.95 });
  const wide = draw.style === 'down-wing' ? ([0.08, 0.17, 0.2] as const) : ([0.07, 0.13, 0.13] as const);
  return [
    ...leaf(p, REAR, length, colour, { widths: wide, veins: 4, opacity: 0.95, blunt: true }),
    { d: path([p, [p[0] - length * 0.97, 0]]), stroke: INK, width: 0.8, opacity: 0.7 },
  ];
}

function hackle(part: CardPart, draw: Draw): Mark[] {
  const length = part.mm ?? 1;
  const colour = draw.colour(part);
  const start = part.from_mm ?? 0;
  const soft = fnOf(part) === 'hackle.soft' || fnOf(part) === 'hackle.cdc-loop';
  const postPart = draw.find('post');
  if (postPart && postPart.material?.function === 'wing.post' && part.part === 'hackle')
    return fibres(
      Array.from({ length: 34 }, (_, index) =>
        strand(
          [xOf(draw, postPart.from_mm ?? 0), 0],
          (index / 34) * 2 * Math.PI,
          length * (0.93 + 0.07 * scatter(index)),
        ),
      ).join(''),
      colour,
      1.1,
      0.45,
    );
  const reach = part.to_mm !== null ? part.to_mm : Math.max(0.25, start - Math.max(0.35, (part.count ?? 3) * 0.16));
  const d = Array.from({ length: soft ? 16 : 34 }, (_, index) => {
    const p: Point = [xOf(draw, start + (reach - start) * scatter(index)), 0];
    const side = index % 2 === 0 ? 1 : -1;
    const lean = soft ? 0.35 + 0.65 * scatter(index, 0.382) : Math.PI / 2 + (scatter(index, 0.382) - 0.5) * 0.8;
    return strand(p, REAR + side * lean, length * (0.9 + 0.1 * scatter(index, 0.755)), side * (soft ? -0.16 : 0.02));
  }).join('');
  return fibres(d, colour, soft ? 1.6 : 1.1, soft ? 0.35 : 0.5);
}

function legs(part: CardPart, draw: Draw): Mark[] {
  const length = part.mm ?? 1;
  const colour = draw.colour(part);
  const does = fnOf(part);
  const x = xOf(draw, part.from_mm ?? 0);
  const pairs = Math.min(4, Math.max(1, Math.ceil((part.count ?? 6) / 2)));
  const edge = (draw.thick('thorax') / 2) * widthFactor(draw) * 0.8;
  if (does === 'body.dubbed') return [];
  if (does === 'hackle.soft') {
    const under = draw.find('abdomen');
    return under && under.from_mm !== null
      ? fibres(hairs(stretchOf(under, draw, PROFILE.taper), 24, length, 0.25), colour, 1.3, 0.45)
      : [];
  }
  if (does === 'hackle.cdc-loop') return hackle(part, draw);
  if (part.material?.look === 'biot')
    return both((side) =>
      leaf([x, side * edge], REAR - side * 1.05, length, colour, { widths: [0.04, 0.06, 0.04], veins: 0, opacity: 1 }),
    );
  return both((side) => {
    const d = Array.from({ length: pairs }, (_, index) => {
      const a: Point = [x - (index - (pairs - 1) / 2) * 0.35, side * edge];
      const lean = pairs === 1 ? 0.55 : 0.5 + (1 - index / Math.max(1, pairs - 1)) * 1.5;
      const out = REAR - side * lean;
      if (does === 'legs.rubber')
        return smooth([a, towards(a, out, length * 0.5), towards(a, out + side * 0.25, length)], false);
      const knee = towards(a, out, length * 0.45);
      const shin = towards(knee, out + side * 0.45, length * 0.4);
      return path([a, knee, shin, towards(shin, out + side * 0.9, length * 0.15)]);
    }).join('');
    return fibres(d, colour, does === 'legs.rubber' ? 2.4 : does === 'legs.knotted' ? 2 : 1.4, 0.6);
  });
}

function cover(part: CardPart, draw: Draw, kind: 'abdomen' | 'thorax'): Mark[] {
  const under = draw.find(kind) ?? draw.find('abdomen');
  if (!under || under.from_mm === null || under.to_mm === null) return [];
  const foam = part.material?.look === 'foam';
  const stretch: Stretch = {
    ...stretchOf(under, draw, kind === 'thorax' ? PROFILE.round : PROFILE.taper),
    from: part.from_mm ?? under.from_mm,
    to: part.to_mm ?? under.to_mm,
  };
  const share = foam ? 0.95 : 0.82;
  const held: Stretch = { ...stretch, half: (u) => stretch.half(u) * share };
  if (fnOf(part) === 'tail.webby') return bodyMarks(held, 'tail.webby', draw.colour(part), null);
  return [
    {
      d: path(bandOutline(held), true),
      fill: draw.colour(part),
      stroke: INK,
      width: 0.9,
      opacity: part.material?.look === 'cord' ? 0.6 : 0.97,
    },
    {
      d: smooth([on(held, 0.06, 0), on(held, 0.5, 0), on(held, 0.94, 0)], false),
      stroke: 'var(--plane)',
      width: 1.2,
      opacity: 0.45,
    },
  ];
}

function gills(part: CardPart, draw: Draw): Mark[] {
  const under = draw.find('abdomen');
  if (part.to_mm !== null && under && under.from_mm !== null && draw.style !== 'grub')
    return fibres(hairs(stretchOf(under, draw, PROFILE.taper), 20, part.mm ?? 0.5, 0.5), draw.colour(part), 1.3, 0.4);
  if (part.to_mm !== null) return [];
  const p: Point = [xOf(draw, part.from_mm ?? 0), 0];
  return both((side) => fibres(fan(p, side * 0.75, 0.6, (part.mm ?? 0.6) * 0.9, 5, 0.05), draw.colour(part), 1.6, 0.4));
}

/** Thread behind a bead, where the style keeps room. */
function neck(part: CardPart, draw: Draw): Mark[] {
  const bead = draw.find('bead');
  const thorax = draw.find('thorax') ?? draw.find('abdomen');
  const front = (bead?.from_mm ?? 0) + (bead?.mm ?? 0);
  if (!bead || !thorax || thorax.to_mm === null || thorax.to_mm - front < 0.1) return [];
  const half = Math.max(draw.card.hook.wire_mm, draw.thick('thorax') * 0.38);
  return bodyMarks(
    { ...stretchOf(part, draw, PROFILE.even), from: thorax.to_mm, to: front, half: () => half },
    'body.thread',
    draw.colour(part),
    null,
  );
}

/** A part from above, in its place; what waits is not drawn here. */
export function topMarks(part: CardPart, draw: Draw): Mark[] {
  if (draw.state(part).there !== 'yes') return [];
  const x = xOf(draw, part.from_mm ?? 0);
  const colour = draw.colour(part);
  switch (part.part) {
    case 'abdomen':
      return body(
        part,
        draw,
        draw.style === 'wide-terrestrial' ? PROFILE.ball : draw.style === 'grub' ? PROFILE.spindle : PROFILE.taper,
      );
    case 'thorax':
      return body(part, draw, draw.style === 'wide-terrestrial' ? PROFILE.ball : PROFILE.round);
    case 'case':
      return body(part, draw, PROFILE.even);
    case 'underbody':
      return part.to_mm === null || part.thick_mm === null ? [] : body(part, draw, PROFILE.even);
    case 'rib': {
      if (part.from_mm === null || part.to_mm === null || !part.count) return [];
      const d = turns(
        stretchOf({ ...part, thick_mm: draw.thick('abdomen') }, draw, PROFILE.taper),
        part.count,
        draw.card.ribs.find((rib) => rib.part === part.id)?.counter ? 0.6 : -0.6,
        1.02,
      );
      return [
        { d, stroke: INK, width: 2, opacity: 0.6 },
        { d, stroke: colour, width: 1.3 },
      ];
    }
    case 'tail':
      return tail(part, draw);
    case 'shuck':
      return fibres(fan([x, 0], REAR, 0.34, part.mm ?? 1, 12, 0.06, 0.8), colour, 1.6, 0.4);
    case 'larva-head':
      return leaf([x, 0], REAR, part.mm ?? 1, colour, { widths: [0.26, 0.3, 0.24], veins: 0, opacity: 1, blunt: true });
    case 'egg-mass':
      return ball(part, draw, draw.thick('abdomen') * 1.25, 0.2);
    case 'tag':
      return fnOf(part) === 'body.foam'
        ? leaf([x, 0], REAR, part.mm ?? 0.8, colour, { widths: [0.3, 0.36, 0.3], veins: 0, blunt: true, opacity: 1 })
        : fnOf(part) === 'tail.webby' || fnOf(part) === 'legs.fibre'
          ? tail(part, draw)
          : ball(part, draw, draw.thick('abdomen') * 1.06, 0.4);
    case 'collar':
      return fnOf(part) === 'hackle.soft' ? hackle(part, draw) : ball(part, draw, draw.thick('thorax') * 1.06, 0);
    case 'wing':
      return wing(part, draw);
    case 'hair-wing':
      return fibres(
        fan(
          [x, 0],
          draw.style === 'overhang' ? REAR : 0,
          0.6,
          (part.mm ?? 1) * (draw.style === 'overhang' ? 1 : 0.6),
          20,
          0.02,
          0.86,
        ),
        colour,
        1.4,
        0.45,
      );
    case 'tuft':
      return draw.style === 'down-wing' || draw.style === 'stone-adult'
        ? fibres(fan([x, 0], REAR, 0.4, part.mm ?? 1, 16, 0.03, 0.8), colour, 1.5, 0.4)
        : part.to_mm !== null
          ? leaf([x, 0], 0, Math.abs(x - xOf(draw, part.to_mm)) + 0.3, colour, {
              widths: [0.2, 0.3, 0.2],
              veins: 3,
              opacity: 0.7,
              blunt: true,
            })
          : fibres(fan([x, 0], 0, 0.7, (part.mm ?? 1) * 0.55, 14, 0.03, 0.8), colour, 1.5, 0.4);
    case 'wing-buds':
      return both((side) =>
        leaf([x, side * draw.thick('thorax') * 0.35], REAR - side * 0.22, part.mm ?? 1, colour, {
          widths: [0.08, 0.14, 0.1],
          veins: 2,
          opacity: 0.95,
        }),
      );
    case 'post': {
      const r = Math.max(0.3, (part.mm ?? 1) * 0.1);
      return [
        {
          d: smooth(Array.from({ length: 12 }, (_, index): Point => towards([x, 0], (index / 12) * 2 * Math.PI, r))),
          fill: colour,
          stroke: INK,
          width: 1,
        },
      ];
    }
    case 'hackle':
    case 'second-hackle':
      return hackle(part, draw);
    case 'stacked-hackle':
      return fibres(
        Array.from({ length: 26 }, (_, index) =>
          strand([x, 0], (index / 26) * 2 * Math.PI, (part.mm ?? 1) * (0.9 + 0.1 * scatter(index))),
        ).join(''),
        colour,
        1.1,
        0.45,
      );
    case 'bead': {
      const r = (part.mm ?? 1) / 2;
      return [
        {
          d: smooth(
            Array.from({ length: 24 }, (_, index): Point =>
              towards([xOf(draw, (part.from_mm ?? 0) + r), 0], (index / 24) * 2 * Math.PI, r),
            ),
          ),
          fill: colour,
          stroke: INK,
          width: 1.2,
          opacity: part.material?.look === 'glass' ? 0.75 : 1,
        },
      ];
    }
    case 'legs':
      return legs(part, draw);
    case 'back':
      return draw.style === 'cased-larva' ? [] : cover(part, draw, part.base === 'part:thorax' ? 'thorax' : 'abdomen');
    case 'wing-case':
      return cover(part, draw, 'thorax');
    case 'cheeks': {
      const thorax = draw.find('thorax');
      if (!thorax || thorax.from_mm === null) return [];
      const stretch = stretchOf(thorax, draw, PROFILE.round);
      return both((side) => [
        {
          d: smooth([
            on(stretch, 0.05, side * 0.7),
            on(stretch, 0.5, side * 1.12),
            on(stretch, 0.95, side * 0.7),
            on(stretch, 0.5, side * 0.6),
          ]),
          fill: colour,
          stroke: INK,
          width: 0.8,
        },
      ]);
    }
    case 'gills':
      return gills(part, draw);
    case 'antennae':
      return draw.style === 'curved-pupa'
        ? both((side) =>
            fibres(strand([x, side * 0.2], REAR - side * 0.2, part.mm ?? 1, -side * 0.1), colour, 1.1, 0.7),
          )
        : both((side) =>
            fibres(
              strand([x, side * 0.1], side * 0.42, part.mm ?? 1, side * 0.1),
              colour,
              part.material?.look === 'biot' ? 2.4 : 1.1,
              0.7,
            ),
          );
    case 'halo': {
      const thorax = draw.find('thorax');
      return thorax && thorax.from_mm !== null
        ? [
            {
              d: hairs(stretchOf(thorax, draw, PROFILE.round), 30, part.mm ?? 0.5, 0.35),
              stroke: colour,
              width: 1,
              opacity: 0.8,
            },
          ]
        : [];
    }
    case 'head': {
      if (draw.find('bead')) return neck(part, draw);
      const length = part.mm ?? 0.5;
      const half = Math.max(0.16, Math.min(draw.thick('thorax') * 0.32, length * 0.5));
      const stretch: Stretch = {
        ...stretchOf(part, draw, PROFILE.even),
        from: length,
        to: 0.06,
        half: (u) => half * (0.95 - 0.5 * u),
      };
      return [{ d: path(bandOutline(stretch, 10), true), fill: colour, stroke: INK, width: 1 }];
    }
    case 'extended-body':
      return extended(part, draw);
    default:
      return [];
  }
}
