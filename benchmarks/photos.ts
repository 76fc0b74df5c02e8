/** How well photographs are measured, the stage told as the app tells it: simulated ones over the whole range of light, slant, blur and size. `npm run bench:photos [COUNT]` prints the table, docs/accuracy.md keeps it. */
import { deltaE, labOfHex } from '../src/core/colour';
import { stageRow } from '../src/catalogue';
import { anyScene, type Scene } from '../src/standins/camera';
import type { Measured } from '../tools/measure-scenes';
import { byTool } from './in-processes';

const COUNT = Number(process.argv[2] ?? 300);
const WIDEST = Number(process.argv[3] ?? 4000);
const CHUNK = 6;
const PROCESSES = 2;
const Z95 = 1.96;
const Z99 = 2.576;

const measured = (scenes: readonly Scene[]): Promise<Measured[]> =>
  byTool(
    'tools/measure-scenes.ts',
    scenes.map((scene) => ({
      scene,
      asked: { winged: stageRow(scene.insects[0]!.stage).traits.includes('winged') },
    })),
  );

interface Row {
  seed: number;
  truth: number;
  error: number;
  sd: number;
  deltaE: number | null;
}

function quantile(values: readonly number[], share: number): number {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? NaN;
}

async function main(): Promise<void> {
  const seeds = Array.from({ length: COUNT }, (_, index) => index + 1);
  const chunks = Array.from({ length: Math.ceil(COUNT / CHUNK) }, (_, index) =>
    seeds.slice(index * CHUNK, (index + 1) * CHUNK),
  );
  const rows: Row[] = [];
  const refused = new Map<string, number>();
  let next = 0;
  const work = async () => {
    for (let own = chunks[next++]; own; own = chunks[next++]) {
      const results = await measured(own.map((seed) => anyScene(seed, WIDEST)));
      results.forEach((result, index) => {
        const truth = result.truths[0]!;
        const insect = result.insects[0];
        if (!insect) return void refused.set(result.refused!.code, (refused.get(result.refused!.code) ?? 0) + 1);
        const belly = insect.regions['abdomen-belly'];
        rows.push({
          seed: own![index]!,
          truth: truth.bodyMm,
          error: insect.bodyMm - truth.bodyMm,
          sd: insect.sdMm,
          deltaE: belly ? deltaE(belly.lab, labOfHex(truth.colours.abdomen)) : null,
        });
      });
    }
  };
  await Promise.all(Array.from({ length: PROCESSES }, work));
  // Errors as shares of what is allowed at that length, so that one line holds for all sizes.
  const ofMedian = rows.map((row) => Math.abs(row.error) / Math.max(0.01 * row.truth, 0.08));
  const of95 = rows.map((row) => Math.abs(row.error) / Math.max(0.03 * row.truth, 0.2));
  const colours = rows.flatMap((row) => row.deltaE ?? []);
  const wrong = rows.filter(
    (row) => Math.abs(row.error) > Math.max(0.05 * row.truth, 0.35) && Math.abs(row.error) > Z99 * row.sd,
  );
  const count = [...refused.values()].reduce((sum, value) => sum + value, 0);
  const percent = (share: number) => `${(100 * share).toFixed(1)} %`;
  process.stdout.write(`
photographs (${COUNT})                                   wanted      found
length error, median, of max(1 %, 0.08 mm)       ≤ 1         ${quantile(ofMedian, 0.5).toFixed(2)}
length error, 95th, of max(3 %, 0.20 mm)         ≤ 1         ${quantile(of95, 0.95).toFixed(2)}
length error, median                                         ${percent(
    quantile(
      rows.map((row) => Math.abs(row.error) / row.truth),
      0.5,
    ),
  )}
belly colour, ΔE00 median                        ≤ 2         ${quantile(colours, 0.5).toFixed(2)}
belly colour, ΔE00 95th                          ≤ 5         ${quantile(colours, 0.95).toFixed(2)}
stated ± (95 %) holds the truth                  90–99 %     ${percent(rows.filter((row) => Math.abs(row.error) <= Z95 * row.sd).length / rows.length)}
refused                                          ≤ 5 %       ${percent(count / COUNT)}${count > 0 ? ` (${[...refused].map(([code, n]) => `${code} ${n}`).join(', ')})` : ''}
confidently wrong                                none        ${wrong.length}${wrong.length > 0 ? ` (seeds ${wrong.map((row) => row.seed).join(', ')})` : ''}
no belly colour given                                        ${rows.length - colours.length}
`);
}

void main();
