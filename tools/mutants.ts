/**
 * Changes the code of tying and dressings and tries the tests on each change. `npm run mutants` tries all rooms, `npm run mutants -- card rank` some.
 * Each room is tried with the tests that are about it, or all of them would run for every mutant and it would take a night.
 * The figures of each file land in reports/mutants; under 85 % of all killed it ends with 1.
 */
import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import rooms from './mutants.rooms.json';

const ENOUGH = 0.85;
const OUT = 'reports/mutants';
const CAUGHT = new Set(['Killed', 'Timeout']);
const COUNTED = new Set(['Killed', 'Timeout', 'Survived', 'NoCoverage']);

interface Report {
  readonly files: Readonly<Record<string, { readonly mutants: readonly { readonly status: string }[] }>>;
}

const wanted = process.argv.slice(2);
const unknown = wanted.filter((name) => !(name in rooms));
if (unknown.length > 0) {
  console.error(`No such room: ${unknown.join(', ')}. There are ${Object.keys(rooms).join(', ')}.`);
  process.exit(2);
}

const base = JSON.parse(readFileSync('stryker.config.json', 'utf8')) as object;
mkdirSync(OUT, { recursive: true });
for (const [name, { files, tests }] of Object.entries(rooms)) {
  if (wanted.length > 0 && !wanted.includes(name)) continue;
  const mocha = join(OUT, `${name}.mocharc.json`);
  writeFileSync(
    mocha,
    JSON.stringify({
      require: ['tsx/cjs', './tools/mutants.ui.js'],
      ui: 'jest',
      extension: ['ts'],
      spec: tests,
      timeout: 0,
      bail: true,
    }),
  );
  const config = join(OUT, `${name}.stryker.json`);
  writeFileSync(
    config,
    JSON.stringify({
      ...base,
      mochaOptions: { config: mocha },
      mutate: files,
      jsonReporter: { fileName: join(OUT, `${name}.json`) },
    }),
  );
  rmSync(join(OUT, `${name}.json`), { force: true });
  const { status } = spawnSync('npx', ['stryker', 'run', config], { stdio: 'inherit' });
  if (status !== 0) process.exit(status ?? 1);
  if (!existsSync(join(OUT, `${name}.json`))) {
    console.error(`The run of ${name} wrote no figures.`);
    process.exit(1);
  }
}

let caught = 0;
let all = 0;
for (const name of Object.keys(rooms)) {
  const path = join(OUT, `${name}.json`);
  if (!existsSync(path)) continue;
  for (const [file, { mutants }] of Object.entries((JSON.parse(readFileSync(path, 'utf8')) as Report).files)) {
    const counted = mutants.filter(({ status }) => COUNTED.has(status));
    const killed = counted.filter(({ status }) => CAUGHT.has(status)).length;
    caught += killed;
    all += counted.length;
    if (counted.length > 0)
      console.log(
        `${file.padEnd(44)} ${String(killed).padStart(4)} of ${String(counted.length).padStart(4)} ${((100 * killed) / counted.length).toFixed(1).padStart(6)} %`,
      );
  }
}
console.log(
  `All rooms tried: ${caught} of ${all} killed, ${((100 * caught) / Math.max(1, all)).toFixed(1)} %; wanted ${100 * ENOUGH} %.`,
);
process.exit(caught >= ENOUGH * all ? 0 : 1);
