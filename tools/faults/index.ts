/**
 * What a dead phone, a damaged or missing store, wrong clocks and files of strangers do: `npm run faults -- [kills=200] [damage=200] [tabs=200] [edits=20] [photographs=10] [full-disk=6]
 * [clocks=60] [no-store=12] [files=1]`; those that are named alone, all where none is. Bounded, against a build served by itself; prints a line of the table each, and ends with 1 when one is not as it should be.
 */
import { served } from '../served';
import { clocks } from './clocks';
import { damage } from './damage';
import { files } from './files';
import { kills } from './kills';
import { noStore } from './no-store';
import { edits, fullDisk, photographs } from './room';
import { tabs } from './tabs';
import type { Found } from './profile';

const RUNS: Readonly<Record<string, { usual: number; run: (origin: string, count: number) => Promise<Found> }>> = {
  kills: { usual: 200, run: kills },
  damage: { usual: 200, run: damage },
  tabs: { usual: 200, run: tabs },
  edits: { usual: 20, run: edits },
  photographs: { usual: 10, run: photographs },
  'full-disk': { usual: 6, run: fullDisk },
  clocks: { usual: 60, run: clocks },
  'no-store': { usual: 12, run: noStore },
  files: { usual: 1, run: files },
};

const asked = new Map(process.argv.slice(2).map((word) => [word.split('=')[0]!, word.split('=')[1]] as const));

void (async () => {
  const { origin, stop } = await served({ dist: process.env.DIST });
  let bad = 0;
  try {
    for (const [name, { usual, run }] of Object.entries(RUNS)) {
      if (asked.size > 0 && !asked.has(name)) continue;
      const found = await run(origin, Number(asked.get(name) ?? usual));
      process.stdout.write(`${name}: ${found.text}\n`);
      bad += found.bad;
    }
  } finally {
    await stop();
  }
  process.exitCode = bad > 0 ? 1 : 0;
})();
