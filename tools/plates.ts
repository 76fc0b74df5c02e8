import { mkdirSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import sharp from 'sharp';
import { DRESSINGS, STAGES } from '../src/catalogue';
import { flyMarks } from '../src/ui/drawings/fly/fly-marks';
import { naturalMarks } from '../src/ui/drawings/natural-marks';
import { fitInto, svgPicture } from '../src/ui/drawings/to-svg';
import { cardOnCommonHook, platePairs } from './plate-pixels';

/**
 * Prints the ten pairs of plates that are most alike, and writes one sheet of all plates outside the repository. `--top` draws them from
 * above, `--naturals` draws the naturals instead; words after it choose by id.
 */
const CELL = { width: 300, height: 220, columns: 8 } as const;

type Drawn = Pick<ReturnType<typeof flyMarks>, 'marks' | 'bounds'>;

async function writeSheet(name: string, drawn: readonly (readonly [id: string, drawing: Drawn])[]): Promise<void> {
  const names: string[] = [];
  const placed = drawn.map(([id, { marks, bounds }], index) => {
    const [column, row] = [index % CELL.columns, Math.floor(index / CELL.columns)];
    const fit = fitInto(bounds, CELL.width, CELL.height - 26, 14);
    names.push(
      `<text x="${column * CELL.width + CELL.width / 2}" y="${(row + 1) * CELL.height - 8}" font-family="sans-serif" font-size="15" text-anchor="middle" fill="var(--ink)">${id}</text>`,
    );
    return { marks, scale: fit.scale, x: fit.x + column * CELL.width, y: fit.y + row * CELL.height };
  });
  const svg = svgPicture({
    width: CELL.columns * CELL.width,
    height: Math.ceil(drawn.length / CELL.columns) * CELL.height,
    theme: 'morning',
    title: 'Plates',
    placed,
    more: names.join(''),
  });
  const folder = join(tmpdir(), 'aubade-plates');
  mkdirSync(folder, { recursive: true });
  const file = join(folder, `${name}.png`);
  writeFileSync(file, await sharp(Buffer.from(svg), { limitInputPixels: false }).png().toBuffer());
  console.log(file);
}

async function main(): Promise<void> {
  const words = process.argv.slice(2).filter((word) => !word.startsWith('--'));
  if (process.argv.includes('--naturals'))
    return writeSheet(
      'naturals',
      STAGES.filter(({ id }) => words.length === 0 || words.some((word) => id.includes(word))).map(({ id }) => [
        id,
        naturalMarks(id, 10, {}, 12),
      ]),
    );
  const view = process.argv.includes('--top') ? 'top' : 'side';
  const started = process.argv.includes('--sheet-only') ? [] : (await platePairs()).slice(0, 10);
  for (const pair of started)
    console.log(
      `${pair.iou.toFixed(3)}  ${pair.deltaE === null ? '   ' : pair.deltaE.toFixed(1).padStart(5)}  ${pair.a}  ${pair.b}`,
    );
  await writeSheet(
    `plates-${view}`,
    DRESSINGS.map((dressing) => [dressing.id, flyMarks(cardOnCommonHook(dressing), { view })]),
  );
}

void main();
