/**
 * Photographs drawn by other means than the simulated camera: insects of plain SVG by two hands, on the printed card's own SVG, photographed by the browser and saved as
 * JPEG. `npm run bench:drawn [COUNT] [FOLDER]`: with a folder the pictures are kept there, and taken from there the next time.
 */
import { existsSync, mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, type Page } from '@playwright/test';
import type { ImagePoint } from '../src/core/photo/card';
import { homography, project } from '../src/core/photo/find/homography';
import { CHROMIUM } from '../tools/browser';
import { CORNERS, sceneOf } from './drawings';
import { byTool } from './in-processes';
import type { Read } from './read-drawn';

const COUNT = Number(process.argv[2] ?? 400);
const KEEP = process.argv[3];
const PROCESSES = 2;
const Z95 = 1.96;
const Z99 = 2.576;
const SURE = 0.9;

/** Where the two ends are seen on the card, mm: what is raised above it is seen aside of where it lies. */
async function endsSeen(page: Page): Promise<{ head: ImagePoint; end: ImagePoint }> {
  const at = (id: string) =>
    page.locator(`#mark-${id}`).evaluate((node): [number, number] => {
      const { left, right, top, bottom } = node.getBoundingClientRect();
      return [(left + right) / 2, (top + bottom) / 2];
    });
  const seen = await Promise.all(CORNERS.map((_, index) => at(`corner-${index}`)));
  const toCard = homography(seen, [...CORNERS])!;
  return { head: project(toCard, await at('head')), end: project(toCard, await at('end')) };
}

async function drawAll(folder: string): Promise<void> {
  const missing = Array.from({ length: COUNT }, (_, index) => index + 1).filter(
    (seed) => !existsSync(join(folder, `${seed}.json`)),
  );
  if (missing.length === 0) return;
  const browser = await chromium.launch(CHROMIUM);
  const page = await browser.newPage();
  for (const seed of missing) {
    const { html, width, height, ...truth } = sceneOf(seed);
    await page.setViewportSize({ width, height });
    await page.setContent(html);
    writeFileSync(join(folder, `${seed}.jpg`), await page.screenshot({ type: 'jpeg', quality: 90 }));
    writeFileSync(join(folder, `${seed}.json`), JSON.stringify({ seed, ...truth, ...(await endsSeen(page)) }));
  }
  await browser.close();
}

const readAll = (folder: string, seeds: readonly number[]): Promise<Read[]> =>
  byTool('benchmarks/read-drawn.ts', seeds, folder);

function at(values: readonly number[], share: number): number {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? NaN;
}

interface Found extends Read {
  found: NonNullable<Read['found']>;
  off: number;
}

/** Within what is wanted: 3 %, or 0.2 mm. */
const NEAR = { share: 0.03, mm: 0.2 } as const;
const ofNear = ({ off, bodyMm }: { off: number; bodyMm: number }) => off / Math.max(NEAR.share * bodyMm, NEAR.mm);
const holds = ({ off, found }: Pick<Found, 'off' | 'found'>, z: number) => off <= z * found.sdMm;
const far = ({ off, bodyMm }: Pick<Found, 'off' | 'bodyMm'>) => off > Math.max(0.05 * bodyMm, 0.35);

function table(name: string, rows: readonly Read[]): string {
  const found = rows.flatMap((row): Found[] =>
    row.found ? [{ ...row, found: row.found, off: Math.abs(row.found.bodyMm - row.bodyMm) }] : [],
  );
  const colours = found.flatMap((row) => row.found.deltaE ?? []);
  const wrong = found.filter((row) => far(row) && !holds(row, Z99));
  const sure = found.filter((row) => row.found.confidence >= SURE);
  const refused = rows.filter((row) => !row.found);
  const shown = found.filter((row) => row.shown);
  const unasked = found.filter((row) => !row.shown && ofNear(row) > 1);
  const told = found.map((row): Found =>
    row.shown ? { ...row, found: { ...row.found, ...row.shown }, off: Math.abs(row.shown.bodyMm - row.bodyMm) } : row,
  );
  const toldWrong = told.filter((row) => far(row) && !holds(row, Z99));
  const ratio = (values: readonly number[], share: number) => at(values, share).toFixed(2);
  const worst = [...found].sort((a, b) => b.off / b.bodyMm - a.off / a.bodyMm)[0];
  return `
${name.padEnd(49)}wanted      found
length error, median, of max(1 %, 0.08 mm)       ≤ 1         ${ratio(
    found.map((row) => row.off / Math.max(0.01 * row.bodyMm, 0.08)),
    0.5,
  )}
length error, 95th, of max(3 %, 0.20 mm)         ≤ 1         ${ratio(found.map(ofNear), 0.95)}
the end is asked for                                         ${shown.length} of ${found.length}, ${shown.filter((row) => ofNear(row) > 1).length} of them farther off than that
and was not, though farther off                              ${unasked.length}${unasked.length > 0 ? ` (${unasked.map((row) => row.seed).join(', ')})` : ''}
once it is shown: taps that took                             ${shown.map((row) => row.shown!.taps).filter((taps) => taps === 1).length} one, ${shown.filter((row) => row.shown!.taps === 2).length} two
once it is shown: median, 95th of the same       ≤ 1, ≤ 1    ${ratio(
    told.map((row) => row.off / Math.max(0.01 * row.bodyMm, 0.08)),
    0.5,
  )}, ${ratio(told.map(ofNear), 0.95)}
once it is shown: ± (95 %) holds the truth       93–98 %     ${((100 * told.filter((row) => holds(row, Z95)).length) / told.length).toFixed(1)} %
once it is shown: confidently wrong              none        ${toldWrong.length}${toldWrong.length > 0 ? ` (${toldWrong.map((row) => row.seed).join(', ')})` : ''}
belly colour, ΔE00 median, 95th                  ≤ 2, ≤ 5    ${ratio(colours, 0.5)}, ${ratio(colours, 0.95)}
belly colour told and more than 8 off            none        ${found.filter((row) => (row.found.deltaE ?? 0) > 8).length}
veiled or no belly colour                                    ${found.filter((row) => row.found.deltaE === null).length}
stated ± (95 %) holds the truth                  93–98 %     ${((100 * found.filter((row) => holds(row, Z95)).length) / found.length).toFixed(1)} %
stated ± (95 %), median, widest                              ${(
    100 *
    at(
      found.map((row) => (Z95 * row.found.sdMm) / row.bodyMm),
      0.5,
    )
  ).toFixed(1)} %, ${(100 * Math.max(...found.map((row) => (Z95 * row.found.sdMm) / row.bodyMm))).toFixed(0)} %
confidence ${SURE} and more                                     ${sure.length} of ${found.length}
refused                                          ≤ 5 %       ${refused.length} of ${rows.length}${refused.length > 0 ? ` (${refused.map((row) => `${row.seed} ${row.refused}`).join(', ')})` : ''}
confidently wrong                                none        ${wrong.length}${wrong.length > 0 ? ` (${wrong.map((row) => row.seed).join(', ')})` : ''}
worst                                                        ${worst ? `${worst.seed}: ${worst.bodyMm.toFixed(1)} mm read as ${worst.found.bodyMm.toFixed(1)} ± ${(Z95 * worst.found.sdMm).toFixed(1)}` : 'none'}
`;
}

async function main(): Promise<void> {
  const folder = KEEP ?? mkdtempSync(join(tmpdir(), 'aubade-drawn-'));
  mkdirSync(folder, { recursive: true });
  await drawAll(folder);
  const seeds = Array.from({ length: COUNT }, (_, index) => index + 1);
  const parts = await Promise.all(
    Array.from({ length: PROCESSES }, (_, own) =>
      readAll(
        folder,
        seeds.filter((seed) => seed % PROCESSES === own),
      ),
    ),
  );
  const rows = parts.flat().sort((a, b) => a.seed - b.seed);
  if (KEEP) {
    for (const row of rows)
      process.stdout.write(
        `${row.seed} ${row.kind}: ${row.bodyMm.toFixed(2)} ${row.found ? `${row.found.bodyMm.toFixed(2)} ± ${(Z95 * row.found.sdMm).toFixed(2)} ${((100 * (row.found.bodyMm - row.bodyMm)) / row.bodyMm).toFixed(1)} % sure ${row.found.confidence.toFixed(2)} ΔE ${row.found.deltaE?.toFixed(1) ?? '-'} ${row.found.said}${row.shown ? ` shown ${row.shown.bodyMm.toFixed(2)} ± ${(Z95 * row.shown.sdMm).toFixed(2)} in ${row.shown.taps}` : ''}` : row.refused}\n`,
      );
  } else rmSync(folder, { recursive: true });
  for (const kind of [...new Set(rows.map((row) => row.kind))])
    process.stdout.write(
      table(
        `${kind} (${rows.filter((row) => row.kind === kind).length})`,
        rows.filter((row) => row.kind === kind),
      ),
    );
  process.stdout.write(table(`photographs drawn by other means (${COUNT})`, rows));
}

void main();
