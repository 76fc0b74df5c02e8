/** Costs as multiples of one answer over the shipped hooks, all measured in this run, and how well the key finds the stage: `npm run bench`. */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { performance } from 'node:perf_hooks';
import { catalogueOf, demoRows, hooksFromRows, REFERENCE_ROWS, shippedSchool } from '../src/catalogue';
import { answer, NO_CHOICES, type Sample } from '../src/core/answer';
import { carriedFly, matchBox } from '../src/core/box';
import { dressingFaults } from '../src/core/faults';
import { rankingCost } from './ranking';
import { leftOutByStage, simulatedTiers, stoppingTiers, writtenCases } from './accuracy';
import { WORLDS } from './worlds';

const csv = readFileSync(join(__dirname, '../src/catalogue/hooks.csv'), 'utf8');
const hooks = hooksFromRows([...demoRows(csv), ...REFERENCE_ROWS], shippedSchool);
const shipped = catalogueOf(hooks);
const reference = catalogueOf(hooks.filter((hook) => hook.maker === 'reference'));
/** A drawer of a tier with many makers: every hook four times over, under other makers. */
const large = catalogueOf(
  [0, 1, 2, 3].flatMap((copy) =>
    hooks.map((hook) => ({
      ...hook,
      id: `${hook.maker}${copy}:${hook.model}:${hook.size}`,
      maker: `${hook.maker}${copy}`,
    })),
  ),
);

const dun: Sample = {
  stage: 'mayfly/dun',
  lengthsMm: [8.2, 8.6, 8.0],
  overallMm: null,
  caseMm: null,
  widthMm: null,
  method: 'typed',
  sex: null,
  colours: {},
  surface: 'dry',
  water: 'slow',
};
const many: Sample = { ...dun, lengthsMm: Array.from({ length: 200 }, (_, index) => 7.5 + (index % 13) * 0.1) };

/** 400 flies of every dressing on the maker-less range, and a belief over every stage. */
const range = hooks.filter((hook) => hook.maker === 'reference');
const flies = Array.from({ length: 400 }, (_, index) =>
  carriedFly(
    {
      id: `fly-${index}`,
      name: '',
      dressing: shipped.dressings[index % shipped.dressings.length]!.id,
      hook: range[index % range.length]!.id,
      stage: null,
      lengthMm: null,
      hex: null,
      ride: null,
      left: index % 5,
      place: '',
    },
    shipped,
  ),
);
const belief = shipped.stages.map((stage) => ({ stage: stage.id, p: 1 / shipped.stages.length }));
const numbers = Float64Array.from({ length: flies.length * belief.length }, (_, index) => 1 / (1 + index));

const ROUNDS = 25;

/** Median of several runs, ms. */
function median(task: () => unknown): number {
  const times = Array.from({ length: ROUNDS }, () => {
    const from = performance.now();
    task();
    return performance.now() - from;
  }).sort((a, b) => a - b);
  return times[Math.floor(ROUNDS / 2)]!;
}

const tasks: [name: string, task: () => unknown][] = [
  [`one answer, ${shipped.hooks.length} hooks`, () => answer(dun, NO_CHOICES, shipped)],
  ['the same with 200 lengths', () => answer(many, NO_CHOICES, shipped)],
  [`the same over ${large.hooks.length} hooks`, () => answer(dun, NO_CHOICES, large)],
  [`the same over ${reference.hooks.length} hooks`, () => answer(dun, NO_CHOICES, reference)],
  [
    `cards of ${shipped.dressings.length} dressings for the library`,
    () =>
      shipped.dressings.map((dressing) =>
        answer({ ...dun, stage: dressing.stages[0]! }, { ...NO_CHOICES, dressingPin: dressing.id }, reference),
      ),
  ],
  [
    `the checker over ${shipped.dressings.length} dressings`,
    () => shipped.dressings.map((dressing) => dressingFaults(dressing, shipped)),
  ],
  ['the same numbers added up once, 400 × stages', () => numbers.reduce((sum, value) => sum + value, 0)],
  [
    '400 flies ranked over all stages',
    () => matchBox(flies, { belief, length: { mm: 8.2, seMm: 0.3 }, belly: [45, -4, 25] }, shipped.stages),
  ],
  ['hooks.csv read and completed', () => hooksFromRows(demoRows(csv), shippedSchool)],
];

for (const [, task] of tasks) task();
const costs = tasks.map(([name, task]) => ({ name, ms: median(task) }));
const unit = costs[0]!.ms;
const width = Math.max(...costs.map((cost) => cost.name.length));
const ranking = costs.find((cost) => cost.name.startsWith('400 flies'))!.ms;
const pass = costs.find((cost) => cost.name.startsWith('the same numbers'))!.ms;
process.stdout.write(`${'task'.padEnd(width)}  × one answer\n`);
for (const { name, ms } of costs)
  process.stdout.write(`${name.padEnd(width)}  ${(ms / unit).toFixed(2).padStart(12)}\n`);
process.stdout.write(
  `ranking 400 flies costs ${(ranking / pass).toFixed(0)} plain passes over as many numbers, ${ranking <= 16 ? 'inside' : 'outside'} 16 ms of this run\n`,
);

const loops = rankingCost(csv);
process.stdout.write(
  `\nranking hooks against one plain loop over as many\n${loops.map(({ count, loops: cost, allowed }) => `${String(count).padEnd(8)}${cost.toFixed(2).padStart(8)} loops, ${cost <= allowed ? 'inside' : 'outside'} ${allowed}`).join('\n')}\n`,
);

const percent = (share: number) => `${(100 * share).toFixed(1)} %`;
const written = writtenCases();
const second = writtenCases(undefined, (item) => item.set === 2);
const left = leftOutByStage();
const worlds = WORLDS.map((world, index) => ({
  world,
  tiers: simulatedTiers(index === 0 ? 40_000 : 8_000, world),
  stopping: stoppingTiers(1_000, world),
}));
const own = worlds[0]!;
const said = (answers: { bins: { said: number; n: number }[]; n: number }) =>
  answers.bins.reduce((sum, bin) => sum + bin.said * bin.n, 0) / answers.n;
process.stdout.write(`
the key                                          wanted     found
written cases (${written.n}), first                       ≥ 85 %     ${percent(written.first)}
written cases, in two                            ≥ 95 %     ${percent(written.inTwo)}
of them the second ${second.n}, first / in two            ≥ 85, 95 % ${percent(second.first)} / ${percent(second.inTwo)}
each stage left out of the fit, first / in two              ${percent(left.first)} / ${percent(left.inTwo)}
world as written (${own.tiers.n}), first                ≥ 85 %     ${percent(own.tiers.first)}
world as written, in two                         ≥ 95 %     ${percent(own.tiers.inTwo)}
said against was, worst tenth                    ≤ 3 points ${(100 * own.tiers.worstTenth).toFixed(1)}
0.9 and more that was wrong                      ≤ 2 %      ${percent(own.tiers.sureWrong)}
stopped at certain: said / was                   was ≥ said ${percent(said(own.stopping.certain))} / ${percent(own.stopping.certain.first)}
answers until certain (median)                   ≤ 5        ${own.stopping.answers}

worlds                              first   in two   worst tenth   ≥ 0.9 wrong   certain   said at certain    was   answers
${worlds.map(({ world, tiers, stopping }) => `${world.name.padEnd(34)}${percent(tiers.first).padStart(8)}${percent(tiers.inTwo).padStart(8)}${(100 * tiers.worstTenth).toFixed(1).padStart(12)}${percent(tiers.sureWrong).padStart(14)}${percent(stopping.share).padStart(10)}${percent(said(stopping.certain)).padStart(13)}${percent(stopping.certain.first).padStart(12)}${String(stopping.answers).padStart(6)}`).join('\n')}

as written: p of the first    said    was      of
${own.tiers.bins.map((bin) => `${''.padEnd(26)}${bin.said.toFixed(2).padStart(8)}${bin.was.toFixed(2).padStart(7)}${String(bin.n).padStart(8)}`).join('\n')}

not first: ${written.missed.join('; ') || 'none'}
stages not all first when left out of the fit: ${left.worst.map(({ stage, first, n }) => `${stage} ${Math.round(first * n)} of ${n}`).join(', ') || 'none'}; temper chosen ${JSON.stringify(left.chosen)}
`);
