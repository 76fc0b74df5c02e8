import { LABEL_ROW } from './__tests__/row';
import { hookFromRow, type HookRow } from './hook';
import { referenceEye, referenceGape, referenceShank } from './scale';

const ROW: HookRow = { ...LABEL_ROW, xLong: 2 };

describe('a hook from its row', () => {
  test('missing dimensions come from the number and its X, and are named', () => {
    const hook = hookFromRow(ROW, 'number')!;
    expect(hook.shank.value).toBeCloseTo(9.81377, 5);
    expect(hook.gape.value).toBeCloseTo(referenceGape(referenceShank(12)), 9);
    expect(hook.estimated).toEqual(['shank_mm', 'gape_mm', 'wire_mm', 'eye_mm', 'bite_mm', 'mass_mg']);
    expect(hook.shank.source).toBe('label');
  });
  test('its own shank does not change what the label says of the rest', () => {
    const hook = hookFromRow({ ...ROW, shankMm: 11 }, 'number')!;
    expect(hook.eyeOuter.value).toBeCloseTo(referenceEye(referenceShank(12)), 9);
    expect(hook.estimated).not.toContain('shank_mm');
    expect(hook.shank.sd! / 11).toBeLessThan(hook.gape.sd! / hook.gape.value);
  });
  test('a measured wire is classed by its measure, an unknown one by its label', () => {
    expect(hookFromRow({ ...ROW, wire: 'light', wireMm: 0.7 }, 'number')!.wire).toBe('heavy');
    expect(hookFromRow({ ...ROW, wire: 'light' }, 'number')!.wire).toBe('light');
  });
  test('free text without a shank cannot be used', () =>
    expect(hookFromRow({ ...ROW, size: 'small' }, 'number')).toBeNull());
  test('an id writes / as -', () => expect(hookFromRow({ ...ROW, size: '1/0' }, 'number')!.id).toBe('m:x:1-0'));
});
