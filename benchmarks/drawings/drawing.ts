import { FIELD_CARDS } from '../../src/catalogue/field-cards';
import type { View } from '../../src/core/photo';
import { fieldCardSvg, type ImagePoint } from '../../src/core/photo/card';
import type { Chance } from '../../src/standins/camera/chance';

/** An insect as SVG, in millimetres about its own middle, with what is true of it. */
export interface Drawing {
  kind: string;
  svg: string;
  /** Front of the head to the end of the abdomen, along the middle. */
  bodyMm: number;
  /** Of the abdomen. */
  hex: string;
  view: View;
  /** With tails, wings and feelers, along its length. */
  longMm: number;
  /** Across it where it is stoutest. */
  thickMm: number;
  /** Front of the head and end of the abdomen, in its own millimetres. */
  head: ImagePoint;
  end: ImagePoint;
}

/** A drawing on the card, as a page of its own, with unseen marks by id: the corners of the card's plan and the insect's two ends. */
export interface Scene extends Omit<Drawing, 'svg' | 'longMm' | 'thickMm' | 'head' | 'end'> {
  html: string;
  width: number;
  height: number;
}

const GROUNDS = ['#7a6249', '#4b5548', '#94938c', '#343436', '#a88d63'];
/** What is longer than this lies along the card. */
const ALONG_MM = 26;
/** The middle of what lies on a card is above it by this share of its thickness: pressed, soft, or round and stiff. */
const RAISED = [0.15, 0.5] as const;

/** Places of the card that are looked up where they were drawn, mm. */
export const CORNERS: readonly ImagePoint[] = [
  [10, 5],
  [75, 5],
  [75, 49],
  [10, 49],
];
const mark = (id: string, [x, y]: ImagePoint) => `<circle id="mark-${id}" cx="${x}" cy="${y}" r="0.01" fill="none"/>`;

/** The printed card's own SVG with the insect above it: turned, slanted, lit, shaded and blurred by the browser, with a finger on the card in some. */
export function photographed({ svg, longMm, thickMm, head, end, ...drawing }: Drawing, dice: Chance): Scene {
  const width = dice.pick([1800, 2200, 2600, 3000]);
  const height = Math.round(width * 0.75);
  const along = longMm > ALONG_MM;
  const [cx, cy] = [42.8 + dice.between(-5, 5) * (along ? 0.2 : 1), 27 + dice.between(-2, 2)];
  const turned = longMm > 13 ? dice.pick([0, 180]) + dice.between(-10, 10) : dice.between(0, 360);
  const insect = `<g transform="translate(${cx} ${cy}) rotate(${turned})" style="filter:drop-shadow(${dice.between(0.1, 0.5)}px ${dice.between(0.1, 0.5)}px ${dice.between(0.1, 0.4)}px rgba(0,0,0,${dice.between(0.15, 0.45)}))">${svg}${mark('head', head)}${mark('end', end)}</g>`;
  // Cut out along its dashes, or with paper of the page left about it.
  const rim = dice.pick([0, 0, 9]);
  const page = fieldCardSvg(FIELD_CARDS, 'wallet', 'a4', {
    title: 'Aubade field card',
    print: 'print at 100 %',
    check: '50 mm',
  });
  const [left, top] = /data-corner-mm="([\d.]+) ([\d.]+)"/.exec(page)!.slice(1).map(Number) as [number, number];
  const [across, down] = [85.6 + 2 * rim, 53.98 + 2 * rim];
  const px = (dice.between(0.6, 0.78) * width) / (85.6 + rim);
  const sheet = page.replace(
    /width="210mm" height="297mm" viewBox="[^"]+"/,
    `width="${across * px}" height="${down * px}" viewBox="${left - rim} ${top - rim} ${across} ${down}"`,
  );
  const marked = sheet.replace(
    /<\/svg>\s*$/,
    `<g transform="translate(${left} ${top})">${CORNERS.map((at, index) => mark(`corner-${index}`, at)).join('')}</g></svg>`,
  );
  const layer = `<svg xmlns="http://www.w3.org/2000/svg" style="position:absolute;left:0;top:0" width="${across * px}" height="${down * px}" viewBox="${left - rim} ${top - rim} ${across} ${down}"><g transform="translate(${left} ${top})">${insect}</g></svg>`;
  const [tiltX, tiltY] = [dice.between(-24, 24), dice.between(-24, 24)];
  const warm = dice.pick(['255,214,170', '255,240,225', '255,255,255', '214,228,255', '255,196,137']);
  const uneven = dice.between(0, 0.45);
  const angle = dice.between(0, 360);
  const shade =
    dice.next() < 0.3
      ? `<div style="position:absolute;inset:-20%;background:linear-gradient(${dice.between(0, 360)}deg,rgba(0,0,0,0) ${dice.between(40, 60)}%,rgba(0,0,0,${dice.between(0.2, 0.35)}) ${dice.between(62, 75)}%);mix-blend-mode:multiply"></div>`
      : '';
  const finger =
    dice.next() < 0.25
      ? `<div style="position:absolute;left:${dice.pick([-12, 70])}mm;top:40mm;width:26mm;height:16mm;border-radius:9mm;background:#c79a7c"></div>`.replace(
          /([-\d.]+)mm/g,
          (_, mm: string) => `${Number(mm) * px}px`,
        )
      : '';
  const blur = dice.between(0, 1.5);
  const raised = dice.between(...RAISED) * thickMm * px;
  const ground = `repeating-linear-gradient(${dice.between(0, 180)}deg,${dice.pick(GROUNDS)} 0 31px,#0002 31px 33px),${dice.pick(GROUNDS)}`;
  const turn = `rotateX(${tiltX}deg) rotateY(${tiltY}deg) rotate(${dice.pick([0, 180]) + dice.between(-14, 14)}deg)`;
  const place = `position:absolute;left:${(width - across * px) / 2}px;top:${(height - down * px) / 2}px;width:${across * px}px;height:${down * px}px`;
  const html = `<!doctype html><body style="margin:0;width:${width}px;height:${height}px;overflow:hidden;background:${ground}"><div style="position:absolute;inset:0;filter:blur(${blur}px)"><div style="position:absolute;inset:0;perspective:${width * 0.9}px"><div style="${place};background:#fff;transform:${turn};box-shadow:${px}px ${px}px ${2 * px}px #0006">${marked}${finger}</div><div style="${place};transform:${turn} translateZ(${raised}px)">${layer}</div></div></div><div style="position:absolute;inset:0;background:rgb(${warm});mix-blend-mode:multiply"></div><div style="position:absolute;inset:0;background:linear-gradient(${angle}deg,rgba(0,0,0,${uneven}),rgba(0,0,0,0));mix-blend-mode:multiply"></div>${shade}</body>`;
  return { ...drawing, html, width, height };
}
