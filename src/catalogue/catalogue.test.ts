import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { SHIPPED } from '../../tools/test-catalogue';
import { idsDoc } from '../../tools/ids-doc';
import { idsTypes } from '../../tools/ids-types';
import { NUMBER_STEP } from '@/core/constants';
import ids from './ids.json';
import { KNOWN } from './known-ids';
import likelihoods from './likelihoods.json';
import { demoRows, DRESSINGS, REFERENCE_ROWS, STAGES } from './shipped';

const root = join(__dirname, '../..');
const demo = SHIPPED.hooks.filter((hook) => hook.maker !== 'reference');
const models = new Map<string, typeof demo>();
for (const hook of demo)
  models.set(`${hook.maker}:${hook.model}`, [...(models.get(`${hook.maker}:${hook.model}`) ?? []), hook]);

describe('ids', () => {
  test('docs/ids.md and the types are written from the one list', () => {
    expect(readFileSync(join(root, 'docs/ids.md'), 'utf8')).toBe(idsDoc());
    expect(readFileSync(join(root, 'src/catalogue/ids.ts'), 'utf8')).toBe(idsTypes());
  });
  test('no id stands twice in its kind', () => {
    for (const entries of Object.values(ids))
      expect(new Set(entries.map((entry) => entry.id)).size).toBe(entries.length);
  });
  test('every stage has a style, and every style a straight path', () => {
    for (const stage of ids.stages) expect(KNOWN.styles).toContain(stage.style);
    for (const style of ids.styles) expect(style.path.straight).not.toBeNull();
  });
  test('an order is known by one of its own stages', () => {
    for (const order of ids.orders)
      expect([order.id, ids.stages.find((stage) => stage.id === order.face)?.order]).toEqual([order.id, order.id]);
  });
  test('a stage may have wings where the key gives it wings, and only there its wings are asked for', () => {
    const grown = (id: string) =>
      Object.entries(likelihoods.stages[id as 'mayfly/dun'].signs.wings as Record<string, number>).reduce(
        (sum, [wings, share]) => sum + (/^(none|.*pads|slant-buds)$/.test(wings) ? 0 : share),
        0,
      ) > 0.3;
    for (const { id, traits, regions } of STAGES) {
      expect([id, traits.includes('winged')]).toEqual([id, grown(id)]);
      if (!traits.includes('winged') && !id.endsWith('pupa'))
        expect([id, regions.includes('wing')]).toEqual([id, false]);
    }
  });
  test('every stage has at least two flies, one of them made for it first', () => {
    for (const { id } of STAGES) {
      const flies = DRESSINGS.filter((dressing) => dressing.stages.includes(id));
      expect([id, flies.length >= 2]).toEqual([id, true]);
      if (id !== 'phantom-midge/adult')
        expect([id, flies.some((dressing) => dressing.stages[0] === id)]).toEqual([id, true]);
    }
  });
});

describe('hooks of the six makers', () => {
  test('42 models, at least 300 sizes, every row of the file good', () => {
    expect(models.size).toBe(42);
    expect(demoRows(readFileSync(join(root, 'src/catalogue/hooks.csv'), 'utf8')).length).toBe(demo.length);
    expect(demo.length).toBeGreaterThanOrEqual(300);
    expect(new Set(demo.map((hook) => hook.maker)).size).toBe(6);
  });
  test('two makers have a long shank over 26 mm', () => {
    const long = [...models.values()].filter((hooks) => hooks.some((hook) => hook.shank.value > 26));
    expect(new Set(long.map((hooks) => hooks[0]!.maker)).size).toBeGreaterThanOrEqual(2);
  });
  test('round hooks without a barb, of light and of heavy wire, from two makers', () => {
    for (const wire of ['light', 'heavy'])
      expect(
        new Set(
          demo
            .filter(
              (hook) => hook.bend === 'round' && hook.barb === 'none' && hook.wire === wire && hook.shank.value < 12,
            )
            .map((hook) => hook.maker),
        ).size,
      ).toBeGreaterThanOrEqual(2);
  });
  test('shanks from 2.5 to 33 mm', () => {
    const shanks = demo.map((hook) => hook.shank.value);
    expect(Math.min(...shanks)).toBeGreaterThanOrEqual(2.5);
    expect(Math.max(...shanks)).toBeLessThanOrEqual(33);
    expect(Math.max(...shanks)).toBeGreaterThan(26);
  });
  test('labels run the way their model says', () => {
    for (const hooks of models.values()) {
      const way = hooks[0]!.labels === 'bigger-bigger' ? 1 : -1;
      const sorted = [...hooks].sort((a, b) => Number(a.size.replace(/\D/g, '')) - Number(b.size.replace(/\D/g, '')));
      sorted
        .slice(1)
        .forEach((hook, index) => expect(Math.sign(hook.shank.value - sorted[index]!.shank.value)).toBe(way));
    }
  });
  test('long series of light and of heavy wire from four makers, and every bend', () => {
    const ratio = (hook: (typeof demo)[number]) => hook.shank.value / hook.gape.value;
    for (const wire of ['light', 'heavy']) {
      const long = demo.filter((hook) => hook.bend === 'round' && hook.wire === wire && ratio(hook) > 1.85);
      expect(new Set(long.map((hook) => hook.maker)).size).toBeGreaterThanOrEqual(4);
    }
    expect(new Set(demo.map((hook) => hook.bend))).toEqual(new Set(KNOWN.bends));
  });
  test('four makers cover every target from 4 to 22 mm within 1.5 numbers', () => {
    const covers = (maker: string, kind: (hook: (typeof demo)[number]) => boolean, w: number, to: number) => {
      const shanks = demo.filter((hook) => hook.maker === maker && kind(hook)).map((hook) => hook.shank.value * w);
      for (let target = 4; target <= to; target += 0.25)
        if (!shanks.some((carry) => Math.abs(Math.log(carry / target)) / NUMBER_STEP <= 1.5)) return false;
      return true;
    };
    const makers = [...new Set(demo.map((hook) => hook.maker))];
    const counted = (kind: (hook: (typeof demo)[number]) => boolean, w: number, to: number) =>
      makers.filter((maker) => covers(maker, kind, w, to)).length;
    expect(counted((hook) => hook.bend === 'round' || hook.bend === 'wide', 1, 22)).toBeGreaterThanOrEqual(4);
    expect(counted((hook) => hook.bend === 'round' && hook.wire === 'light', 1, 22)).toBeGreaterThanOrEqual(4);
    expect(counted((hook) => hook.bend === 'curved-shank', 1.2, 14)).toBeGreaterThanOrEqual(4);
  });
  test('the label of the wire agrees with its measure', () => {
    for (const row of demoRows(readFileSync(join(root, 'src/catalogue/hooks.csv'), 'utf8'))) {
      expect(
        SHIPPED.hooks.find((hook) => hook.maker === row.maker && hook.model === row.model && hook.size === row.size)!
          .wire,
      ).toBe(row.wire);
    }
  });
});

test('the maker-less range is a model throughout', () => {
  expect(REFERENCE_ROWS.every((row) => row.source === 'model')).toBe(true);
  expect(SHIPPED.hooks.find((hook) => hook.id === 'reference:standard-dry:1-0')!.shank.value).toBeCloseTo(22.8392, 4);
  expect(SHIPPED.hooks.find((hook) => hook.id === 'reference:long-3x:12')!.shank.value).toBeCloseTo(
    7 * 0.919 ** (12 - 3 - 14),
    9,
  );
});
