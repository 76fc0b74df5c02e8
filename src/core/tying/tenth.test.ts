import { readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { ModuleKind, ScriptTarget, transpileModule } from 'typescript';
import { goldenCards } from './__tests__/golden-table';
import golden from './__tests__/golden.json';

/** Declarations whose numbers fit a fly; those of hooks and matching are tested beside them. */
const FIT =
  /^(JIG_BEAD_SHARE|BEAD_SIZES_MM|BEAD_SHARE|BEAD_BORE|BEAD_SOLID|METAL_DENSITY|FIBRE_DENSITY|FLAT_WIDTHS|WOUND_SPARE_MM|LOOP|DUBBING|TAPER_MEAN|HAIR_BUNCH|FIBRES_PER_MM|PINCH_MG|NOODLE|HEAD_WIRES|GAUGE_BARB_PER_GAPE|GAUGE_ONE_UNDER|STEM|WHIP)$/;
const FILES: [file: string, names: RegExp][] = [
  ['../constants.ts', FIT],
  ['./card-parts.ts', /^BUTT_MM$/],
  ['./card-hackles.ts', /^(HACKLE_PITCH_MM|HACKLE_GRIP_MM)$/],
  ['../card/lay.ts', /^LOOP_TURNS$/],
  ['./part-amount.ts', /^CDC_TURNS$/],
  ['./batch.ts', /^(LOSS|FIRST)$/],
  ['./schools.ts', /^(NYMPH_TAIL|SHUCK)$/],
];

interface Literal {
  file: string;
  name: string;
  at: number;
  text: string;
}

/** Every number other than 0 of a declaration, with its place in the file. */
const literals = FILES.flatMap(([file, names]): Literal[] => {
  const source = readFileSync(join(__dirname, file), 'utf8');
  return [...source.matchAll(/^(?:export )?const ([A-Z][A-Z_0-9]*)\b[^=\n]*=\s*([^;]*);/gm)]
    .filter((found) => names.test(found[1]!))
    .flatMap((found) => {
      const begin = found.index + found[0].length - 1 - found[2]!.length;
      return [...found[2]!.matchAll(/(?<![\w.'-])\d*\.?\d+(?:e\d+)?(?![\w'])/g)] // What lies open is counted, not laid beside itself: its lay is the bench's alone (lay.test.ts).
        .filter((number) => Number(number[0]) !== 0 && !found[2]!.slice(0, number.index).endsWith('openMm: '))
        .map((number) => ({ file, name: found[1]!, at: begin + number.index, text: number[0] }));
    });
});

/** Whether a card of the table is another with one number of one file moved. */
function isSeen({ file, at, text }: Literal, factor: number): boolean {
  const path = join(__dirname, file);
  const source = readFileSync(path, 'utf8');
  const changed = `${source.slice(0, at)}${Number(text) * factor}${source.slice(at + text.length)}`;
  const code = transpileModule(changed, {
    compilerOptions: { module: ModuleKind.CommonJS, target: ScriptTarget.ES2022, esModuleInterop: true },
  }).outputText;
  let seen = false;
  jest.isolateModules(() => {
    jest.doMock(path, () => {
      const module = { exports: {} };

      new Function('require', 'module', 'exports', code)(
        (name: string) =>
          jest.requireActual(
            name.startsWith('.') ? join(dirname(path), name) : name.replace(/^@\//, join(__dirname, '../../')),
          ),
        module,
        module.exports,
      );
      return module.exports;
    });
    // eslint-disable-next-line @typescript-eslint/no-require-imports
    const answer = require('../answer') as typeof import('../answer');
    let index = 0;
    for (const card of goldenCards(answer.cardFor, answer.NO_CHOICES))
      if (JSON.stringify(card) !== GOLDEN[index++]) {
        seen = true;
        break;
      }
    jest.dontMock(path);
  });
  return seen;
}

const GOLDEN = golden.map((card) => JSON.stringify(card));

describe('a constant of fit moved by a tenth is seen in the golden table', () => {
  test('numbers are found in every file', () =>
    expect(new Set(literals.map((literal) => literal.file)).size).toBe(FILES.length));
  test.each(literals.map((literal) => [`${literal.name} ${literal.text} at ${literal.at}`, literal] as const))(
    '%s',
    (_name, literal) => {
      expect(isSeen(literal, 1.1) || isSeen(literal, 0.9)).toBe(true);
    },
  );
});
