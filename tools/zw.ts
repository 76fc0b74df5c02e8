import { FIELD_CARDS } from '../src/catalogue/field-cards';
import { anyScene, takePhoto } from '../src/standins/camera';
import { measurePhoto } from '../src/core/photo/measure-photo';
import { deltaE, labOfHex } from '../src/core/colour';
const [from, to, max] = process.argv.slice(2).map(Number);
const rows: { err: number; abs: number; de: number | null; z: number; L: number }[] = []; let refusedCount = 0;
for (let seed = from!; seed <= to!; seed++) {
  const scene = anyScene(seed, max ?? 2400);
  const { photo, truths } = takePhoto(scene, FIELD_CARDS);
  const truth = truths[0]!;
  const t = Date.now();
  const m = measurePhoto(photo, { view: 'belly', surface: 'dry', printedScale: 1 }, FIELD_CARDS);
  const ms = Date.now() - t;
  const best = m.insects[0];
  if (!best) { refusedCount++; console.log(seed, truth.stage, truth.bodyMm.toFixed(2), 'REFUSED', m.refused?.code, m.card?.pxPerMm.toFixed(1), 'blur', scene.blurPx.toFixed(1)); continue; }
  const err = best.bodyMm - truth.bodyMm;
  const belly = best.regions['abdomen-belly' as never] as { lab: [number, number, number] } | undefined;
  const de = belly ? deltaE(belly.lab, labOfHex(truth.colours.abdomen)) : null;
  rows.push({ err: Math.abs(err) / truth.bodyMm, abs: Math.abs(err), de, z: err / best.sdMm, L: truth.bodyMm });
  const bad = Math.abs(err) > Math.max(0.03 * truth.bodyMm, 0.2) || (de ?? 0) > 5;
  console.log(bad ? '!!' : '  ', seed, truth.stage, truth.bodyMm.toFixed(2), '->', best.bodyMm.toFixed(2), `±${(1.96 * best.sdMm).toFixed(2)}`, (100 * err / truth.bodyMm).toFixed(1) + '%', 'w', truth.widthMm.toFixed(2), best.widthMm.toFixed(2), 'dE', de?.toFixed(1), 'n', m.insects.length, 'sc', m.card!.pxPerMm.toFixed(0), 'blur', scene.blurPx.toFixed(1), 'sh', scene.shadow.strength.toFixed(2), truth.colours.abdomen, ms + 'ms');
}
const q = (v: number[], p: number) => [...v].sort((a, b) => a - b)[Math.floor(p * (v.length - 1))]!;
const norm = rows.map((r) => r.abs / Math.max(0.01 * r.L, 0.08)); const norm95 = rows.map((r) => r.abs / Math.max(0.03 * r.L, 0.2));
console.log('n', rows.length, 'refused', refusedCount, 'median/limit', q(norm, 0.5).toFixed(2), '95/limit', q(norm95, 0.95).toFixed(2), 'dE med', q(rows.flatMap((r) => r.de ?? []), 0.5).toFixed(2), 'dE95', q(rows.flatMap((r) => r.de ?? []), 0.95).toFixed(2), 'cover', (rows.filter((r) => Math.abs(r.z) < 1.96).length / rows.length).toFixed(3), 'bias z', (rows.reduce((s, r) => s + r.z, 0) / rows.length).toFixed(2), 'no belly', rows.filter((r) => r.de === null).length);
