import { SHIPPED } from '../../../tools/test-catalogue';
import { deltaE, labOfHex } from '../colour';
import { fromStash } from './from-stash';

const dressing = (id: string) => SHIPPED.dressings.find((item) => item.id === id)!;
const needs = (id: string) => new Set([...dressing(id).parts.flatMap((part) => part.material ?? []), ...dressing(id).threads.map((thread) => thread.material)]);
const worked = (id: string, have: ReadonlySet<string> | null) => fromStash(dressing(id), have, SHIPPED);

test('without a stash, or with all of it there, the dressing stays as it is', () => {
  expect(worked('first-light-dun', null)).toEqual({ dressing: dressing('first-light-dun'), ready: 'unknown', reasons: [] });
  const all = worked('first-light-dun', needs('first-light-dun'));
  expect([all.ready, all.dressing, all.reasons.map((why) => why.code)]).toEqual(['ready', dressing('first-light-dun'), ['ready-all']]);
});

test('what is missing is worked in the nearest in colour that does the same work, in parts, steps and layers', () => {
  const have = needs('first-light-dun');
  have.delete('fine-fur');
  have.add('claret-fur').add('rust-fur').add('spiky-blend');
  const { dressing: made, ready, reasons } = worked('first-light-dun', have);
  const nearest = made.parts.find((part) => part.id === 'thorax')!.material!;
  expect(ready).toBe('substitutes');
  expect(reasons.map((why) => why.code)).toEqual(['ready-substitutes', 'stash-swap']);
  expect(have.has(nearest)).toBe(true);
  expect(JSON.stringify([made.parts, made.steps, made.layers])).not.toContain('"fine-fur"');
  const lab = (id: string) => labOfHex(SHIPPED.materials.find((material) => material.id === id)!.hex);
  const furs = SHIPPED.materials.filter((material) => have.has(material.id) && material.functions.includes('body.dubbed')).map((material) => deltaE(lab(material.id), lab('fine-fur')));
  expect(furs.length).toBeGreaterThan(2);
  expect(deltaE(lab(nearest), lab('fine-fur'))).toBe(Math.min(...furs));
});

test('another thread is in the threads and in the steps it is used in', () => {
  const have = needs('first-light-dun');
  have.delete('thread-olive-70');
  have.add('thread-brown-70');
  const thread = worked('first-light-dun', have).dressing;
  expect(thread.threads[0]!.material).toBe('thread-brown-70');
  expect(JSON.stringify(thread.steps)).not.toContain('thread-olive-70');
});

test('what nothing at hand can do is short, and stays as written; one made by hand is swapped in its steps', () => {
  const have = needs('first-light-dun');
  for (const material of SHIPPED.materials) if (material.functions.includes('hackle.stiff')) have.delete(material.id);
  const { ready, reasons, dressing: made } = worked('first-light-dun', have);
  expect([ready, reasons[0]!.code, made.parts.find((part) => part.id === 'hackle')!.material]).toEqual(['short', 'ready-short', 'cock-hackle-grey']);
  const own = { ...dressing('first-light-dun'), parts: dressing('first-light-dun').parts.map((part) => ({ ...part, way: null })) };
  const furs = needs('first-light-dun');
  furs.delete('fine-fur');
  furs.add('rust-fur');
  expect(JSON.stringify(fromStash(own, furs, SHIPPED).dressing.steps)).not.toContain('"fine-fur"');
});
