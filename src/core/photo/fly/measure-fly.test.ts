import { execFileSync } from 'node:child_process';
import { join } from 'node:path';
import { DRESSINGS } from '@/catalogue';
import { cardOn14 } from '../../../../tools/test-catalogue';
import type { FlyAsked, FlyFound } from '../../../../tools/measure-flies';
import { soughtOf } from '../../session';
import { flyPartMm } from './measure-fly';

/** Loops over pixels crawl inside Jest's sandbox: a process of its own measures. */
function measured(flies: readonly FlyAsked[]): FlyFound[] {
  const out = execFileSync(
    process.execPath,
    ['--import', 'tsx', join(__dirname, '../../../../tools/measure-flies.ts')],
    {
      input: JSON.stringify(flies),
      maxBuffer: 64e6,
    },
  );
  return JSON.parse(out.toString()) as FlyFound[];
}

const ids = [
  'first-light-dun',
  'auldry-two-wing-dun',
  'hair-roof-adult',
  'silver-diver',
  'herl-bead-nymph',
  'half-out-dun',
];
const found = measured([
  ...ids.map((id, at) => ({ id, seed: 201 + at })),
  { id: 'first-light-dun', seed: 301, more: { card: null } },
  { id: 'first-light-dun', seed: 302, more: { flies: [] } },
]);

test('ends that are proposed lie where they are; what is not plain is left to the hand and says so', () => {
  const flies = found.slice(0, ids.length);
  const sure = flies.flatMap(({ parts }) => parts.filter((part) => part.sure && part.truth !== null));
  expect(sure.length).toBeGreaterThanOrEqual(8);
  for (const { kind, mm, truth } of sure)
    expect([kind, Math.abs(mm - truth!) <= Math.max(0.1 * truth!, 0.5)]).toEqual([kind, true]);
  const shares = sure
    .map(({ mm, truth }) => Math.abs(mm - truth!) / Math.max(0.03 * truth!, 0.15))
    .sort((a, b) => a - b);
  expect(shares[shares.length >> 1]).toBeLessThanOrEqual(1);
  expect(flies.some(({ parts }) => parts.some((part) => !part.sure))).toBe(true);
  // By hand they begin where the card has them.
  for (const { id, parts } of flies)
    for (const part of parts.filter(({ sure: is, kind }) => !is && kind !== 'abdomen')) {
      const wanted = soughtOf(cardOn14(id)).parts.find((own) => own.id === part.id)!;
      expect(part.mm / wanted.mm).toBeGreaterThan(0.6);
      expect(part.mm / wanted.mm).toBeLessThan(1.4);
    }
});

test('without a card, and without a fly: a refusal that says which, and no length', () => {
  expect(found.slice(ids.length).map(({ refused, parts }) => [refused, parts.length])).toEqual([
    ['photo-no-card', 0],
    ['photo-nothing', 0],
  ]);
});

test('of every dressing what is measured is sought, with its hook', () => {
  for (const { id } of DRESSINGS) {
    const { hook, parts } = soughtOf(cardOn14(id));
    expect(hook.shankMm).toBeGreaterThan(0);
    for (const part of parts) {
      expect(part.mm).toBeGreaterThan(0);
      expect(part.thickMm).toBeGreaterThan(0);
    }
  }
});

test('a length is between its ends, less what is hook, and smaller by as much as it lies nearer the camera', () => {
  const part = { from: [1, 1] as const, to: [4, 5] as const, lessMm: 0.5 };
  expect(flyPartMm(part, { times: 1, sd: 0 })).toBeCloseTo(4.5, 9);
  expect(flyPartMm(part, { times: 1.5, sd: 0 })).toBeCloseTo(3, 9);
  expect(flyPartMm({ ...part, lessMm: 9 }, { times: 1, sd: 0 })).toBe(0);
});
