import { mkdirSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import sharp from 'sharp';
import { DRESSINGS } from '../src/catalogue';
import { flyMarks } from '../src/ui/drawings/fly/fly-marks';
import { fitInto, svgPicture, type PlacedMarks } from '../src/ui/drawings/to-svg';
import { cardOnCommonHook, platePairs } from './plate-pixels';

/** Prints the ten pairs of plates that are most alike, and writes one sheet of all plates outside the repository. `--top` draws them from above. */
const CELL = { width: 300, height: 220, columns: 8 } as const;

async function main(): Promise<void> {
  const view = process.argv.includes('--top') ? 'top' : 'side';
  const started = process.argv.includes('--sheet-only') ? [] : (await platePairs()).slice(0, 10);
  for (const pair of started)
    console.log(
      `${pair.iou.toFixed(3)}  ${pair.deltaE === null ? '   ' : pair.deltaE.toFixed(1).padStart(5)}  ${pair.a}  ${pair.b}`,
    );
  const rows = Math.ceil(DRESSINGS.length / CELL.columns);
  const placed: PlacedMarks[] = [];
  const names: string[] = [];
  DRESSINGS.forEach((dressing, index) => {
    const drawing = flyMarks(cardOnCommonHook(dressing), { view });
    const [column, row] = [index % CELL.columns, Math.floor(index / CELL.columns)];
    const fit = fitInto(drawing.bounds, CELL.width, CELL.height - 26, 14);
    placed.push({
      marks: drawing.marks,
      scale: fit.scale,
      x: fit.x + column * CELL.width,
      y: fit.y + row * CELL.height,
    });
    names.push(
      `<text x="${column * CELL.width + CELL.width / 2}" y="${(row + 1) * CELL.height - 8}" font-family="sans-serif" font-size="15" text-anchor="middle" fill="var(--ink)">${dressing.id}</text>`,
    );
  });
  const svg = svgPicture({
    width: CELL.columns * CELL.width,
    height: rows * CELL.height,
    theme: 'morning',
    title: 'Plates',
    placed,
    more: names.join(''),
  });
  const folder = join(tmpdir(), 'aubade-plates');
  mkdirSync(folder, { recursive: true });
  const file = join(folder, `plates-${view}.png`);
  writeFileSync(file, await sharp(Buffer.from(svg), { limitInputPixels: false }).png().toBuffer());
  console.log(file);
}

void main();
