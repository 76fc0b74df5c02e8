import type { Chance } from '../../src/standins/camera/chance';
import type { Drawing } from './drawing';

/**
 * A second hand, unlike the first: bodies of overlapping segments that bulge, heads as ellipses, jointed legs, tails as ribbons that leave the end of the abdomen together,
 * wings with a dark fore edge and cross-veins. What is true is written from its own plan: the front of the head to the end of the last segment.
 */
const BODIES = [
  '#a39a55',
  '#6b5a2f',
  '#7b2f1e',
  '#c7b98a',
  '#3d3a35',
  '#8f6f3a',
  '#5f6a3c',
  '#b7ab62',
  '#84502d',
  '#d3c59b',
  '#4e4636',
];
const WINGS = ['#7f8a92', '#a5a08a', '#5d6266', '#8f8f6e', '#b3a98c', '#6d5f4c'];
/** The whole of it must lie on the card. */
const MOST_LONG_MM = 44;

type Point = [number, number];
const fixed = (value: number) => value.toFixed(3);
const path = (points: readonly Point[]) =>
  points.map(([x, y], index) => `${index === 0 ? 'M' : 'L'}${fixed(x)} ${fixed(y)}`).join('');

interface Axis {
  at(mm: number): { x: number; y: number; heading: number };
}

/** A body's middle, head at the left: level at the front, bent evenly by `bend` radians along the abdomen. */
function axisOf(bodyMm: number, bend: number): Axis {
  const bent = 0.35 * bodyMm;
  return {
    at(mm) {
      if (mm <= bent) return { x: mm, y: 0, heading: 0 };
      const turn = bend / (bodyMm - bent);
      const way = mm - bent;
      if (Math.abs(turn) < 1e-6) return { x: mm, y: 0, heading: 0 };
      return { x: bent + Math.sin(turn * way) / turn, y: (1 - Math.cos(turn * way)) / turn, heading: turn * way };
    },
  };
}

interface Plan {
  bodyMm: number;
  axis: Axis;
  hex: string;
  dark: string;
  thorax: string;
  /** Half-width at the thorax and at the end of the abdomen. */
  thick: number;
  end: number;
  /** At the thorax, mm from the head. */
  shoulder: number;
}

function plan(dice: Chance, low: number, high: number, stout: readonly [number, number], bends: number): Plan {
  const bodyMm = Math.exp(dice.between(Math.log(low), Math.log(high)));
  const thick = (dice.between(...stout) * bodyMm) / 2 + 0.06;
  const hex = dice.pick(BODIES);
  return {
    bodyMm,
    axis: axisOf(bodyMm, dice.between(-bends, bends)),
    hex,
    dark: dice.pick(['#2b241d', '#47382a', '#1f2022', '#5a4a38']),
    thorax: dice.pick(['#3f3529', '#5c4c36', hex, '#2e2a27']),
    thick,
    end: thick * dice.between(0.3, 0.55),
    shoulder: 0.24 * bodyMm,
  };
}

/** A closed shape about a stretch of the middle. */
function about({ axis }: Plan, from: number, to: number, half: (u: number) => number): string {
  const side = (sign: number): Point[] =>
    Array.from({ length: 13 }, (_, index) => {
      const u = index / 12;
      const { x, y, heading } = axis.at(from + (to - from) * u);
      return [x - sign * Math.sin(heading) * half(u), y + sign * Math.cos(heading) * half(u)];
    });
  return `${path([...side(1), ...side(-1).reverse()])}Z`;
}

/** Ten segments that bulge, a humped thorax, a head with an eye: the last segment ends where the body does. */
function bodyOf(own: Plan, dice: Chance, seen: 'side' | 'flat'): string {
  const { bodyMm, axis, hex, dark, thorax, thick, end } = own;
  const abdomen = 0.36 * bodyMm;
  const step = (bodyMm - abdomen) / 10;
  const segments = Array.from({ length: 10 }, (_, index) => {
    const [wide, narrow] = [0, 1].map((more) => thick * 0.88 + (end - thick * 0.88) * ((index + more) / 10)) as [
      number,
      number,
    ];
    const last = index === 9;
    return `<path d="${about(own, abdomen + index * step - (index === 0 ? step : 0.12 * step), abdomen + (index + 1) * step, (u) => (wide + (narrow - wide) * u) * (0.96 + 0.06 * Math.sin(Math.PI * u)) * (last && u > 0.7 ? Math.sqrt(Math.max(0.15, 1 - ((u - 0.7) / 0.3) ** 2)) : 1))}" fill="${hex}" stroke="${dark}" stroke-opacity="0.35" stroke-width="${fixed(0.004 * bodyMm)}"/>`;
  }).join('');
  const chest = `<path d="${about(own, 0.09 * bodyMm, 0.4 * bodyMm, (u) => thick * (0.72 + 0.34 * Math.sin(Math.PI * Math.min(1, 0.1 + u * 0.95))))}" fill="${thorax}"/>`;
  const head = axis.at(0.07 * bodyMm);
  const eyes = seen === 'side' ? [0] : [-1, 1];
  const face = `<ellipse cx="${fixed(head.x)}" cy="${fixed(head.y)}" rx="${fixed(0.07 * bodyMm)}" ry="${fixed(thick * 0.78)}" fill="${thorax}"/>${eyes.map((sign) => `<circle cx="${fixed(head.x - 0.01 * bodyMm)}" cy="${fixed(head.y + sign * thick * 0.5 - (seen === 'side' ? 0.15 * thick : 0))}" r="${fixed(thick * 0.34)}" fill="#241a14"/>`).join('')}`;
  const light =
    dice.next() < 0.4
      ? `<path d="${about(own, 0.45 * bodyMm, 0.8 * bodyMm, () => thick * 0.08)}" fill="#fff" fill-opacity="0.75" transform="translate(0 ${fixed(-thick * 0.3)})"/>`
      : '';
  return segments + chest + face + light;
}

/** Tails that leave the end together, narrower than it, and part on their way; each a ribbon that thins. */
function tailsOf(
  { bodyMm, axis, dark, hex, end }: Plan,
  dice: Chance,
  count: number,
  longest: number,
): { svg: string; longMm: number } {
  const long = Math.min(MOST_LONG_MM - bodyMm, dice.between(0.5, longest) * bodyMm);
  const root = Math.min(end * (count > 2 ? 0.3 : 0.4), Math.max(0.035, dice.between(0.005, 0.011) * bodyMm));
  const together = dice.between(0.04, 0.3);
  const spread = dice.between(0.04, 0.42);
  const drift = dice.between(-0.25, 0.25);
  const from = axis.at(bodyMm - 0.04 * bodyMm);
  const ink = dice.pick([dark, dark, hex]);
  const svg = Array.from({ length: count }, (_, tail) => {
    const lane = count === 1 ? 0 : (tail / (count - 1)) * 2 - 1;
    const points = Array.from({ length: 22 }, (_, index) => {
      const u = index / 21;
      const away =
        Math.max(0, u - together) * lane * spread * long * (0.5 + 0.5 * u) + lane * Math.min(end * 0.5, root * 1.4);
      const bow = drift * u * u * long;
      const way = u * (long + 0.04 * bodyMm);
      return {
        x: from.x + Math.cos(from.heading) * way - Math.sin(from.heading) * (away + bow),
        y: from.y + Math.sin(from.heading) * way + Math.cos(from.heading) * (away + bow),
        half: root * (1 - 0.8 * u),
      };
    });
    const side = (sign: number): Point[] =>
      points.map(({ x, y, half }) => [
        x - sign * Math.sin(from.heading) * half,
        y + sign * Math.cos(from.heading) * half,
      ]);
    return `<path d="${path([...side(1), ...side(-1).reverse()])}Z" fill="${ink}"/>`;
  }).join('');
  return { svg, longMm: long };
}

/** A leg of three joints. */
function leg(
  { bodyMm, axis, dark, thick }: Plan,
  dice: Chance,
  at: number,
  side: number,
  reach: number,
  fringe = 0,
): string {
  const { x, y } = axis.at(at);
  const hip: Point = [x, y + side * thick * dice.between(0.2, 0.8)];
  const lean = dice.between(-0.9, 0.9);
  const knee: Point = [hip[0] + lean * reach * 0.35, hip[1] + side * reach * 0.45];
  const ankle: Point = [knee[0] + dice.between(-0.5, 0.6) * reach * 0.4, knee[1] + side * reach * 0.4];
  const foot: Point = [ankle[0] + dice.between(-0.3, 0.5) * reach * 0.3, ankle[1] + side * reach * 0.18];
  const thin = Math.max(0.05, 0.011 * bodyMm);
  const hairs =
    fringe === 0
      ? ''
      : Array.from({ length: fringe }, (_, index) => {
          const u = index / fringe;
          const [hx, hy] = [knee[0] + (ankle[0] - knee[0]) * u, knee[1] + (ankle[1] - knee[1]) * u];
          return `M${fixed(hx)} ${fixed(hy)}l${fixed(reach * 0.16)} ${fixed(side * reach * 0.07)}`;
        }).join('');
  return `<g fill="none" stroke="${dark}" stroke-linecap="round" stroke-linejoin="round"><path d="${path([hip, knee])}" stroke-width="${fixed(thin * 2.2)}"/><path d="${path([knee, ankle, foot])}" stroke-width="${fixed(thin * 1.3)}"/>${hairs ? `<path d="${hairs}" stroke-width="${fixed(thin * 0.5)}"/>` : ''}</g>`;
}

const legsOf = (own: Plan, dice: Chance, sides: readonly number[], reach: number, fringe = 0) =>
  [0.14, 0.24, 0.34]
    .flatMap((share) =>
      sides.map((side) =>
        leg(own, dice, share * own.bodyMm, side, reach * own.bodyMm * dice.between(0.8, 1.2), fringe),
      ),
    )
    .join('');

/** A wing from its root: fore edge dark, main veins and cross-veins. Degrees from the body's length, toward the tail at 0. */
function wing(
  own: Plan,
  dice: Chance,
  degrees: number,
  long: number,
  wide: number,
  ink: string,
  opacity: number,
  root = own.shoulder,
): string {
  const { x, y } = own.axis.at(root);
  const [l, w] = [long, wide];
  const shape = `M0 0C${fixed(l * 0.25)} ${fixed(-w * 0.35)} ${fixed(l * 0.75)} ${fixed(-w * 0.4)} ${fixed(l)} ${fixed(-w * 0.05)}C${fixed(l * 0.95)} ${fixed(w * 0.5)} ${fixed(l * 0.4)} ${fixed(w * 0.75)} 0 0Z`;
  const veins = [-0.2, 0.05, 0.3]
    .map((lane) => `M0 0Q${fixed(l * 0.5)} ${fixed(w * lane * 1.2)} ${fixed(l * 0.92)} ${fixed(w * lane)}`)
    .join('');
  const across = Array.from(
    { length: 9 },
    (_, index) => `M${fixed(l * (0.2 + 0.08 * index))} ${fixed(-w * 0.22)}l${fixed(0.03 * l)} ${fixed(w * 0.5)}`,
  ).join('');
  return `<g transform="translate(${fixed(x)} ${fixed(y)}) rotate(${fixed(degrees)})"><path d="${shape}" fill="${ink}" fill-opacity="${fixed(opacity)}"/><path d="${veins}" fill="none" stroke="${ink}" stroke-opacity="0.8" stroke-width="${fixed(0.006 * own.bodyMm)}"/><path d="${across}" fill="none" stroke="${ink}" stroke-opacity="0.5" stroke-width="${fixed(0.003 * own.bodyMm)}"/><path d="M0 0C${fixed(l * 0.25)} ${fixed(-w * 0.35)} ${fixed(l * 0.75)} ${fixed(-w * 0.4)} ${fixed(l)} ${fixed(-w * 0.05)}" fill="none" stroke="${own.dark}" stroke-opacity="0.7" stroke-width="${fixed(0.01 * own.bodyMm)}"/></g>`;
}

/** A wing of the far side is the near one's mirror image. */
const sided = (side: number, drawn: string) =>
  side > 0 ? drawn : drawn.replace(/rotate\(([^)]+)\)/, 'rotate($1) scale(1 -1)');

/** Its own middle at the middle of its length. */
function centred(own: Plan, svg: string, behindMm: number, parts: Pick<Drawing, 'kind' | 'view'>): Drawing {
  const longMm = own.bodyMm + behindMm;
  const end = own.axis.at(own.bodyMm);
  return {
    ...parts,
    svg: `<g transform="translate(${fixed(-longMm / 2)} 0)">${svg}</g>`,
    bodyMm: own.bodyMm,
    hex: own.hex,
    longMm,
    thickMm: 2 * own.thick,
    head: [-longMm / 2, 0],
    end: [end.x - longMm / 2, end.y],
  };
}

/** A dun from the side, its wings upright, laid back or half open. */
export function dun(dice: Chance): Drawing {
  const own = plan(dice, 4.5, 16, [0.12, 0.19], 0.5);
  const tails = tailsOf(own, dice, dice.pick([2, 3]), 1.3);
  const ink = dice.pick(WINGS);
  const opacity = dice.between(0.3, 0.85);
  const degrees = -dice.pick([dice.between(70, 115), dice.between(45, 75), dice.between(14, 40)]);
  const long = own.bodyMm * dice.between(0.85, 1.15);
  const wide = long * dice.between(0.34, 0.46);
  const fore = wing(own, dice, degrees, long, wide, ink, opacity);
  const other =
    dice.next() < 0.5 ? wing(own, dice, degrees + dice.between(-10, 10), long, wide, ink, opacity * 0.7) : '';
  const hind =
    dice.next() < 0.6 ? wing(own, dice, degrees + 18, long * 0.38, wide * 0.5, ink, opacity, 0.32 * own.bodyMm) : '';
  const before = `${tails.svg}${legsOf(own, dice, [1], 0.42)}`;
  const body = bodyOf(own, dice, 'side');
  return centred(
    own,
    dice.next() < 0.7 ? `${before}${other}${body}${hind}${fore}` : `${before}${other}${hind}${fore}${body}`,
    tails.longMm,
    { kind: 'dun', view: 'side' },
  );
}

/** A spinner on its back or belly with its wings out flat, clear. */
export function spent(dice: Chance): Drawing {
  const own = plan(dice, 4.5, 16, [0.11, 0.17], 0.35);
  const tails = tailsOf(own, dice, dice.pick([2, 3]), 1.9);
  const ink = dice.pick(WINGS);
  const opacity = dice.between(0.1, 0.4);
  const long = own.bodyMm * dice.between(0.8, 1.1);
  const wings = [-1, 1]
    .flatMap((side) => {
      const degrees = side * dice.between(58, 108);
      return [
        sided(side, wing(own, dice, degrees, long, long * 0.36, ink, opacity)),
        dice.next() < 0.6
          ? sided(side, wing(own, dice, degrees - side * 22, long * 0.36, long * 0.16, ink, opacity, 0.33 * own.bodyMm))
          : '',
      ];
    })
    .join('');
  const body = bodyOf(own, dice, 'flat');
  const legs = legsOf(own, dice, [-1, 1], 0.3);
  return centred(
    own,
    dice.next() < 0.5 ? `${tails.svg}${wings}${legs}${body}` : `${tails.svg}${legs}${body}${wings}`,
    tails.longMm,
    { kind: 'spent', view: 'belly' },
  );
}

/** A sedge or a stonefly from below: wings behind the body and past its end, long feelers; some with two short tails. */
export function downWinged(dice: Chance): Drawing {
  const own = plan(dice, 5, 18, [0.16, 0.24], 0.12);
  const stonefly = dice.next() < 0.4;
  const ink = dice.pick(WINGS);
  const opacity = dice.between(0.35, 0.9);
  const long = own.bodyMm * dice.between(0.86, 1.08);
  const [apart, wide] = stonefly ? [dice.between(0, 4), 0.2] : [dice.between(5, 14), 0.3];
  const wings = [-1, 1]
    .map((side) => sided(side, wing(own, dice, side * apart, long, long * wide, ink, opacity)))
    .join('');
  const tails = stonefly
    ? tailsOf(own, dice, 2, 0.6)
    : { svg: '', longMm: Math.max(0, own.shoulder + long - own.bodyMm) };
  const thin = Math.max(0.05, 0.011 * own.bodyMm);
  const feel = own.bodyMm * dice.between(0.4, 1.1);
  const feelers = [-1, 1]
    .map(
      (side) =>
        `<path d="M${fixed(0.04 * own.bodyMm)} ${fixed(side * own.thick * 0.4)}q${fixed(-feel * 0.5)} ${fixed(side * feel * 0.05)} ${fixed(-feel)} ${fixed(side * feel * dice.between(0.1, 0.4))}" fill="none" stroke="${own.dark}" stroke-width="${fixed(thin)}"/>`,
    )
    .join('');
  return centred(
    own,
    `${feelers}${tails.svg}${wings}${legsOf(own, dice, [-1, 1], 0.4)}${bodyOf(own, dice, 'flat')}`,
    tails.longMm,
    { kind: 'down-winged', view: 'belly' },
  );
}

/** A crawler or swimmer with fringes of hair on its legs and tails. */
export function hairLegged(dice: Chance): Drawing {
  const own = plan(dice, 4.5, 16, [0.17, 0.27], 0.6);
  const tails = tailsOf(own, dice, dice.pick([2, 3]), 0.8);
  const end = own.axis.at(own.bodyMm);
  const thin = Math.max(0.03, 0.005 * own.bodyMm);
  const fringe = Array.from({ length: 16 }, (_, index) => {
    const way = tails.longMm * (0.15 + 0.05 * index);
    const [x, y] = [end.x + Math.cos(end.heading) * way, end.y + Math.sin(end.heading) * way];
    return `M${fixed(x)} ${fixed(y)}l${fixed(0.05 * own.bodyMm)} ${fixed(0.04 * own.bodyMm)}M${fixed(x)} ${fixed(y)}l${fixed(0.05 * own.bodyMm)} ${fixed(-0.04 * own.bodyMm)}`;
  }).join('');
  return centred(
    own,
    `${tails.svg}<path d="${fringe}" stroke="${own.dark}" stroke-width="${fixed(thin)}" fill="none"/>${legsOf(own, dice, [-1, 1], 0.36, 11)}${bodyOf(own, dice, 'flat')}`,
    tails.longMm,
    { kind: 'hair-legged', view: 'belly' },
  );
}
