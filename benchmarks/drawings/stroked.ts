import type { Chance } from '../../src/standins/camera/chance';
import type { Drawing } from './drawing';

const BODIES = ['#8c7a3f', '#4a3b2a', '#6e6f3c', '#c9b878', '#2b2622', '#9a5a33', '#7d8168', '#b58a52', '#5c6650'];

/** The first hand: plain strokes about an outline, legs across the body, veined wings over it, rings, a highlight. */
export function stroked(dice: Chance): Drawing {
  const bodyMm = Math.exp(dice.between(Math.log(4.5), Math.log(26)));
  const curl = dice.between(-1, 1) * (dice.next() < 0.35 ? 1.9 : 0.5);
  const hex = dice.pick(BODIES);
  const dark = dice.pick(['#3a2f22', '#5b4a33', '#2a2521']);
  const steps = 60;
  const points: [number, number][] = [[0, 0]];
  for (let i = 0; i < steps; i++) {
    const heading = curl * ((i + 0.5) / steps - 0.5);
    const [x, y] = points[i]!;
    points.push([x + (Math.cos(heading) * bodyMm) / steps, y + (Math.sin(heading) * bodyMm) / steps]);
  }
  const middle = [0, 1].map(
    (axis) => (Math.max(...points.map((p) => p[axis]!)) + Math.min(...points.map((p) => p[axis]!))) / 2,
  );
  const line = points.map(([x, y]): [number, number] => [x - middle[0]!, y - middle[1]!]);
  const stout = dice.between(0.05, 0.11) * bodyMm + 0.12;
  const half = (u: number) =>
    stout *
    (u < 0.08 ? Math.sqrt(u / 0.08) * 0.8 : u < 0.34 ? 1.05 : 0.95 - 0.5 * ((u - 0.34) / 0.66)) *
    (u > 0.97 ? Math.sqrt(Math.max(0, (1 - u) / 0.03)) : 1);
  const normal = (i: number) => {
    const [a, b] = [line[Math.max(0, i - 1)]!, line[Math.min(steps, i + 1)]!];
    const length = Math.hypot(b[0] - a[0], b[1] - a[1]);
    return [-(b[1] - a[1]) / length, (b[0] - a[0]) / length] as const;
  };
  const side = (sign: number) =>
    line.map(
      ([x, y], i) =>
        `${(x + sign * half(i / steps) * normal(i)[0]).toFixed(3)},${(y + sign * half(i / steps) * normal(i)[1]).toFixed(3)}`,
    );
  const outline = `M${side(1).join('L')}L${side(-1).reverse().join('L')}Z`;
  const hair = Math.max(0.07, 0.012 * bodyMm);
  const legs = Array.from({ length: 6 }, (_, leg) => {
    const i = Math.round(steps * (0.16 + 0.08 * (leg >> 1)));
    const sign = leg % 2 ? 1 : -1;
    const [x, y] = line[i]!;
    const [nx, ny] = normal(i);
    const out = bodyMm * dice.between(0.22, 0.4);
    // Some legs start on the far side and cross the body.
    const start = dice.next() < 0.4 ? -0.6 : 0.5;
    return `<path d="M${x + sign * start * stout * nx},${y + sign * start * stout * ny}q${sign * out * nx * 0.6 + dice.between(-1, 1)},${sign * out * ny * 0.6} ${sign * out * nx + dice.between(-0.15, 0.25) * bodyMm},${sign * out * ny}" stroke="${dark}" stroke-width="${hair * 1.6}" fill="none" stroke-linecap="round"/>`;
  }).join('');
  const end = line[steps]!;
  const tails = Array.from(
    { length: dice.pick([0, 2, 3]) },
    (_, tail) =>
      `<path d="M${end[0]},${end[1]}q${bodyMm * 0.3},${(tail - 1) * bodyMm * 0.08} ${bodyMm * dice.between(0.5, 0.9)},${(tail - 1) * bodyMm * 0.22}" stroke="${dark}" stroke-width="${hair}" fill="none" transform="rotate(${(curl * 90) / Math.PI} ${end[0]} ${end[1]})"/>`,
  ).join('');
  const head = line[0]!;
  const feelers = [-1, 1]
    .map(
      (sign) =>
        `<path d="M${head[0]},${head[1]}q${-bodyMm * 0.15},${sign * bodyMm * 0.06} ${-bodyMm * 0.3},${sign * bodyMm * 0.14}" stroke="${dark}" stroke-width="${hair}" fill="none" transform="rotate(${(-curl * 90) / Math.PI} ${head[0]} ${head[1]})"/>`,
    )
    .join('');
  const shoulder = line[Math.round(steps * 0.24)]!;
  const wings =
    dice.next() < 0.5
      ? [-1, 1]
          .map(
            (sign) =>
              `<g transform="translate(${shoulder[0]} ${shoulder[1]}) rotate(${sign * dice.between(12, 75)})"><ellipse cx="${bodyMm * 0.4}" cy="0" rx="${bodyMm * 0.42}" ry="${bodyMm * 0.13}" fill="#9aa0a2" fill-opacity="${dice.between(0.12, 0.4)}" stroke="#6d7072" stroke-width="${hair * 0.6}" stroke-opacity="0.7"/><path d="M0 0L${bodyMm * 0.8} 0M${bodyMm * 0.1} 0Q${bodyMm * 0.4} ${bodyMm * 0.08} ${bodyMm * 0.76} ${bodyMm * 0.05}" stroke="#6d7072" stroke-width="${hair * 0.5}" stroke-opacity="0.6" fill="none"/></g>`,
          )
          .join('')
      : '';
  const rings = Array.from({ length: 7 }, (_, ring) => {
    const i = Math.round(steps * (0.4 + 0.07 * ring));
    const [x, y] = line[i]!;
    const [nx, ny] = normal(i);
    const h = half(i / steps) * 0.9;
    return `<path d="M${x - h * nx},${y - h * ny}L${x + h * nx},${y + h * ny}" stroke="#000" stroke-opacity="0.22" stroke-width="${bodyMm * 0.008}"/>`;
  }).join('');
  const eyes = [-1, 1]
    .map(
      (sign) =>
        `<circle cx="${line[3]![0] + sign * stout * 0.5 * normal(3)[0]}" cy="${line[3]![1] + sign * stout * 0.5 * normal(3)[1]}" r="${stout * 0.28}" fill="#1c1714"/>`,
    )
    .join('');
  const glare =
    dice.next() < 0.5
      ? `<ellipse cx="${line[30]![0]}" cy="${line[30]![1] - stout * 0.3}" rx="${bodyMm * 0.05}" ry="${stout * 0.12}" fill="#fff" fill-opacity="0.9"/>`
      : '';
  const thorax = `<clipPath id="front"><path d="M${side(1).slice(0, 21).join('L')}L${side(-1).slice(0, 21).reverse().join('L')}Z"/></clipPath>`;
  const svg = `<defs>${thorax}</defs>${tails}${feelers}<path d="${outline}" fill="${hex}" stroke="${dark}" stroke-width="${0.006 * bodyMm}"/><g clip-path="url(#front)"><rect x="-50" y="-50" width="100" height="100" fill="${dark}" fill-opacity="0.75"/></g>${rings}${glare}${eyes}${legs}${wings}`;
  return { kind: 'stroked', svg, bodyMm, hex, view: 'belly', longMm: bodyMm, thickMm: 2 * 1.05 * stout, head, end };
}
