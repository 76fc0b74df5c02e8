/**
 * Photographs drawn by other means than the simulated camera: the printed card's own SVG with an insect of plain SVG strokes, turned, slanted, lit, shaded and blurred by
 * the browser, then saved as JPEG. Outlines, legs across the body, veined wings over it and a finger on the card are theirs alone. `npm run bench:drawn [COUNT]`.
 */
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import sharp from 'sharp';
import { FIELD_CARDS } from '../src/catalogue/field-cards';
import { deltaE, labOfHex } from '../src/core/colour';
import { measurePhoto, photographOf } from '../src/core/photo';
import { fieldCardSvg } from '../src/core/photo/card';
import { chance } from '../src/standins/camera/chance';
import { CHROMIUM } from '../tools/browser';

const COUNT = Number(process.argv[2] ?? 60);
const KEEP = process.argv[3];
const Z95 = 1.96;
const Z99 = 2.576;
const BODIES = ['#8c7a3f', '#4a3b2a', '#6e6f3c', '#c9b878', '#2b2622', '#9a5a33', '#7d8168', '#b58a52', '#5c6650'];
const GROUNDS = ['#7a6249', '#4b5548', '#94938c', '#343436', '#a88d63'];

interface Drawn {
  html: string;
  width: number;
  height: number;
  bodyMm: number;
  hex: string;
}

/** One drawing as a page: everything in millimetres of the card inside its SVG. */
function drawn(seed: number): Drawn {
  const dice = chance(seed * 7919);
  const bodyMm = Math.exp(dice.between(Math.log(4.5), Math.log(26)));
  const curl = dice.between(-1, 1) * (dice.next() < 0.35 ? 1.9 : 0.5);
  const hex = dice.pick(BODIES);
  const dark = dice.pick(['#3a2f22', '#5b4a33', '#2a2521']);
  const width = dice.pick([1800, 2200, 2600, 3000]);
  const height = Math.round(width * 0.75);
  const steps = 60;
  const points: [number, number][] = [[0, 0]];
  for (let i = 0; i < steps; i++) {
    const heading = curl * ((i + 0.5) / steps - 0.5);
    const [x, y] = points[i]!;
    points.push([x + (Math.cos(heading) * bodyMm) / steps, y + (Math.sin(heading) * bodyMm) / steps]);
  }
  const middle = [0, 1].map((axis) => (Math.max(...points.map((p) => p[axis]!)) + Math.min(...points.map((p) => p[axis]!))) / 2);
  const line = points.map(([x, y]): [number, number] => [x - middle[0]!, y - middle[1]!]);
  const stout = dice.between(0.05, 0.11) * bodyMm + 0.12;
  const half = (u: number) => stout * (u < 0.08 ? Math.sqrt(u / 0.08) * 0.8 : u < 0.34 ? 1.05 : 0.95 - 0.5 * ((u - 0.34) / 0.66)) * (u > 0.97 ? Math.sqrt(Math.max(0, (1 - u) / 0.03)) : 1);
  const normal = (i: number) => {
    const [a, b] = [line[Math.max(0, i - 1)]!, line[Math.min(steps, i + 1)]!];
    const length = Math.hypot(b[0] - a[0], b[1] - a[1]);
    return [-(b[1] - a[1]) / length, (b[0] - a[0]) / length] as const;
  };
  const side = (sign: number) => line.map(([x, y], i) => `${(x + sign * half(i / steps) * normal(i)[0]).toFixed(3)},${(y + sign * half(i / steps) * normal(i)[1]).toFixed(3)}`);
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
  const tails = Array.from({ length: dice.pick([0, 2, 3]) }, (_, tail) => `<path d="M${end[0]},${end[1]}q${bodyMm * 0.3},${(tail - 1) * bodyMm * 0.08} ${bodyMm * dice.between(0.5, 0.9)},${(tail - 1) * bodyMm * 0.22}" stroke="${dark}" stroke-width="${hair}" fill="none" transform="rotate(${(curl * 90) / Math.PI} ${end[0]} ${end[1]})"/>`).join('');
  const head = line[0]!;
  const feelers = [-1, 1].map((sign) => `<path d="M${head[0]},${head[1]}q${-bodyMm * 0.15},${sign * bodyMm * 0.06} ${-bodyMm * 0.3},${sign * bodyMm * 0.14}" stroke="${dark}" stroke-width="${hair}" fill="none" transform="rotate(${(-curl * 90) / Math.PI} ${head[0]} ${head[1]})"/>`).join('');
  const shoulder = line[Math.round(steps * 0.24)]!;
  const wings = dice.next() < 0.5 ? [-1, 1].map((sign) => `<g transform="translate(${shoulder[0]} ${shoulder[1]}) rotate(${sign * dice.between(12, 75)})"><ellipse cx="${bodyMm * 0.4}" cy="0" rx="${bodyMm * 0.42}" ry="${bodyMm * 0.13}" fill="#9aa0a2" fill-opacity="${dice.between(0.12, 0.4)}" stroke="#6d7072" stroke-width="${hair * 0.6}" stroke-opacity="0.7"/><path d="M0 0L${bodyMm * 0.8} 0M${bodyMm * 0.1} 0Q${bodyMm * 0.4} ${bodyMm * 0.08} ${bodyMm * 0.76} ${bodyMm * 0.05}" stroke="#6d7072" stroke-width="${hair * 0.5}" stroke-opacity="0.6" fill="none"/></g>`).join('') : '';
  const rings = Array.from({ length: 7 }, (_, ring) => {
    const i = Math.round(steps * (0.4 + 0.07 * ring));
    const [x, y] = line[i]!;
    const [nx, ny] = normal(i);
    const h = half(i / steps) * 0.9;
    return `<path d="M${x - h * nx},${y - h * ny}L${x + h * nx},${y + h * ny}" stroke="#000" stroke-opacity="0.22" stroke-width="${bodyMm * 0.008}"/>`;
  }).join('');
  const eyes = [-1, 1].map((sign) => `<circle cx="${line[3]![0] + sign * stout * 0.5 * normal(3)[0]}" cy="${line[3]![1] + sign * stout * 0.5 * normal(3)[1]}" r="${stout * 0.28}" fill="#1c1714"/>`).join('');
  const glare = dice.next() < 0.5 ? `<ellipse cx="${line[30]![0]}" cy="${line[30]![1] - stout * 0.3}" rx="${bodyMm * 0.05}" ry="${stout * 0.12}" fill="#fff" fill-opacity="0.9"/>` : '';
  const thorax = `<clipPath id="front"><path d="M${side(1).slice(0, 21).join('L')}L${side(-1).slice(0, 21).reverse().join('L')}Z"/></clipPath>`;
  const [cx, cy] = [42.8 + dice.between(-5, 5), 27 + dice.between(-2, 2)];
  const turned = bodyMm > 13 ? dice.pick([0, 180]) + dice.between(-10, 10) : dice.between(0, 360);
  const insect = `<g transform="translate(${cx} ${cy}) rotate(${turned})" style="filter:drop-shadow(${dice.between(0.1, 0.5)}px ${dice.between(0.1, 0.5)}px ${dice.between(0.1, 0.4)}px rgba(0,0,0,${dice.between(0.15, 0.45)}))"><defs>${thorax}</defs>${tails}${feelers}<path d="${outline}" fill="${hex}" stroke="${dark}" stroke-width="${0.006 * bodyMm}"/><g clip-path="url(#front)"><rect x="-50" y="-50" width="100" height="100" fill="${dark}" fill-opacity="0.75"/></g>${rings}${glare}${eyes}${legs}${wings}</g>`;
  // Cut out along its dashes, or with paper of the page left about it.
  const rim = dice.pick([0, 0, 9]);
  const page = fieldCardSvg(FIELD_CARDS, 'wallet', 'a4', { title: 'Aubade field card', print: 'print at 100 %', check: '50 mm' });
  const [left, top] = /data-corner-mm="([\d.]+) ([\d.]+)"/.exec(page)!.slice(1).map(Number) as [number, number];
  const [across, down] = [85.6 + 2 * rim, 53.98 + 2 * rim];
  const px = (dice.between(0.6, 0.78) * width) / (85.6 + rim);
  const sheet = page.replace(/width="210mm" height="297mm" viewBox="[^"]+"/, `width="${across * px}" height="${down * px}" viewBox="${left - rim} ${top - rim} ${across} ${down}"`).replace('</svg>', `<g transform="translate(${left} ${top})">${insect}</g></svg>`);
  const [tiltX, tiltY] = [dice.between(-24, 24), dice.between(-24, 24)];
  const warm = dice.pick(['255,214,170', '255,240,225', '255,255,255', '214,228,255', '255,196,137']);
  const uneven = dice.between(0, 0.45);
  const angle = dice.between(0, 360);
  const shade = dice.next() < 0.3 ? `<div style="position:absolute;inset:-20%;background:linear-gradient(${dice.between(0, 360)}deg,rgba(0,0,0,0) ${dice.between(40, 60)}%,rgba(0,0,0,${dice.between(0.2, 0.35)}) ${dice.between(62, 75)}%);mix-blend-mode:multiply"></div>` : '';
  const finger = dice.next() < 0.25 ? `<div style="position:absolute;left:${dice.pick([-12, 70])}mm;top:40mm;width:26mm;height:16mm;border-radius:9mm;background:#c79a7c"></div>`.replace(/([-\d.]+)mm/g, (_, mm: string) => `${Number(mm) * px}px`) : '';
  const html = `<!doctype html><body style="margin:0;width:${width}px;height:${height}px;overflow:hidden;background:repeating-linear-gradient(${dice.between(0, 180)}deg,${dice.pick(GROUNDS)} 0 31px,#0002 31px 33px),${dice.pick(GROUNDS)}"><div style="position:absolute;inset:0;filter:blur(${dice.between(0, 1.3)}px)"><div style="position:absolute;inset:0;perspective:${width * 0.9}px"><div style="position:absolute;left:${(width - across * px) / 2}px;top:${(height - down * px) / 2}px;width:${across * px}px;height:${down * px}px;background:#fff;transform:rotateX(${tiltX}deg) rotateY(${tiltY}deg) rotate(${dice.pick([0, 180]) + dice.between(-14, 14)}deg);box-shadow:${px}px ${px}px ${2 * px}px #0006">${sheet}${finger}</div></div></div><div style="position:absolute;inset:0;background:rgb(${warm});mix-blend-mode:multiply"></div><div style="position:absolute;inset:0;background:linear-gradient(${angle}deg,rgba(0,0,0,${uneven}),rgba(0,0,0,0));mix-blend-mode:multiply"></div>${shade}</body>`;
  return { html, width, height, bodyMm, hex };
}

async function main(): Promise<void> {
  const browser = await chromium.launch(CHROMIUM);
  const page = await browser.newPage();
  const rows: { seed: number; bodyMm: number; found: number; sd: number; deltaE: number }[] = [];
  const refused: string[] = [];
  for (let seed = 1; seed <= COUNT; seed++) {
    const scene = drawn(seed);
    await page.setViewportSize({ width: scene.width, height: scene.height });
    await page.setContent(scene.html);
    const jpeg = await page.screenshot({ type: 'jpeg', quality: 90 });
    if (KEEP) writeFileSync(join(KEEP, `${seed}.jpg`), jpeg);
    const { data, info } = await sharp(jpeg).ensureAlpha().raw().toBuffer({ resolveWithObject: true });
    const result = measurePhoto(photographOf({ width: info.width, height: info.height, rgba: data }), { view: 'belly', surface: 'dry', printedScale: 1 }, FIELD_CARDS);
    const insect = result.insects[0];
    if (!insect) {
      refused.push(`${seed} ${result.refused!.code}`);
      continue;
    }
    const belly = insect.regions['abdomen-belly'];
    rows.push({ seed, bodyMm: scene.bodyMm, found: insect.bodyMm, sd: insect.sdMm, deltaE: belly ? deltaE(belly.lab, labOfHex(scene.hex)) : NaN });
    if (KEEP) process.stdout.write(`${seed}: ${scene.bodyMm.toFixed(2)} ${insect.bodyMm.toFixed(2)} ±${(Z95 * insect.sdMm).toFixed(2)} overall ${insect.overallMm.toFixed(1)} n ${result.insects.length} dE ${rows.at(-1)!.deltaE.toFixed(1)} ${scene.hex} marks ${result.card!.residualMm.toFixed(3)}\n`);
  }
  await browser.close();
  const sorted = (values: number[]) => values.sort((a, b) => a - b);
  const at = (values: number[], share: number) => sorted(values)[Math.min(values.length - 1, Math.floor(share * values.length))] ?? NaN;
  const off = rows.map((row) => Math.abs(row.found - row.bodyMm));
  const wrong = rows.filter((row, index) => off[index]! > Math.max(0.05 * row.bodyMm, 0.35) && off[index]! > Z99 * row.sd);
  process.stdout.write(`
photographs drawn by other means (${COUNT})          wanted      found
length error, median, of max(1 %, 0.08 mm)       ≤ 1         ${at(rows.map((row, index) => off[index]! / Math.max(0.01 * row.bodyMm, 0.08)), 0.5).toFixed(2)}
length error, 95th, of max(3 %, 0.20 mm)         ≤ 1         ${at(rows.map((row, index) => off[index]! / Math.max(0.03 * row.bodyMm, 0.2)), 0.95).toFixed(2)}
belly colour, ΔE00 median                        ≤ 2         ${at(rows.flatMap((row) => (Number.isNaN(row.deltaE) ? [] : row.deltaE)), 0.5).toFixed(2)}
belly colour, ΔE00 95th                          ≤ 5         ${at(rows.flatMap((row) => (Number.isNaN(row.deltaE) ? [] : row.deltaE)), 0.95).toFixed(2)}
stated ± (95 %) holds the truth                  90–99 %     ${((100 * rows.filter((row, index) => off[index]! <= Z95 * row.sd).length) / rows.length).toFixed(1)} %
refused                                          ≤ 5 %       ${refused.length} of ${COUNT}${refused.length > 0 ? ` (${refused.join(', ')})` : ''}
confidently wrong                                none        ${wrong.length}${wrong.length > 0 ? ` (seeds ${wrong.map((row) => row.seed).join(', ')})` : ''}
`);
}

void main();
