import { readFileSync, readdirSync } from 'node:fs';
import { DRESSINGS as SHIPPED, GROUPS, MATERIALS, STAGES, STYLES } from '../src/catalogue';
import { type Refusal } from '../src/core/bench';
import { benchFaults, type BenchCatalogue } from '../src/core/faults';
import { readWays, workOut, type WrittenWayDressing } from '../src/core/ways';
import { tailsFor } from '../src/core/naturals';

/** Prints what the bench refuses in the shipped library: by rule, and with `--all` every one. */
const from = process.argv.find((word) => word.startsWith('--from='))?.slice(7);
const ways = JSON.parse(readFileSync('src/catalogue/ways.json', 'utf8'));
const DRESSINGS =
  from === undefined
    ? SHIPPED
    : readdirSync(from).flatMap((file) =>
        (JSON.parse(readFileSync(`${from}/${file}`, 'utf8')) as WrittenWayDressing[]).map((written) => {
          const { record, faults } = readWays(written);
          const worked = workOut(record, { ways, materials: MATERIALS });
          for (const fault of [...faults, ...worked.faults])
            console.log(`WAY ${written.id} ${fault.code} ${JSON.stringify(fault.params)}`);
          return worked.dressing;
        }),
      );
const catalogue: BenchCatalogue = {
  styles: STYLES,
  stages: STAGES,
  materials: MATERIALS,
  ways,
  tailsOf: (dressing) => tailsFor(dressing.stages, dressing.groups, GROUPS),
};
const found: { id: string; refusal: Refusal }[] = DRESSINGS.flatMap((dressing) =>
  benchFaults(dressing, catalogue).map((refusal) => ({ id: dressing.id, refusal })),
);
const rules = [...new Set(found.map(({ refusal }) => refusal.rule))].sort();
for (const rule of rules) {
  const own = found.filter(({ refusal }) => refusal.rule === rule);
  console.log(
    `${rule.padEnd(4)} ${String(own.length).padStart(4)} in ${String(new Set(own.map(({ id }) => id)).size).padStart(3)} dressings`,
  );
}
console.log(`${found.length} in ${new Set(found.map(({ id }) => id)).size} of ${DRESSINGS.length} dressings`);
if (process.argv.includes('--all'))
  for (const { id, refusal } of found)
    console.log(
      `${refusal.rule} ${id} ${refusal.step ?? '-'} ${refusal.part ?? '-'} ${JSON.stringify(refusal.params)}`,
    );
