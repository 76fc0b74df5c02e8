import { SHIPPED } from '../../../tools/test-catalogue';
import type { StageId } from '@/catalogue/ids';
import { labOfHex } from '../colour';
import { carriedFly, matchBox, type BoxFly, type BoxWanted, type CarriedFly } from './index';

const kept = (id: string, more: Partial<BoxFly> = {}): BoxFly => ({
  id,
  name: id,
  dressing: null,
  hook: null,
  stage: null,
  lengthMm: null,
  hex: null,
  ride: null,
  left: 3,
  place: 'row 1',
  ...more,
});
const fly = (id: string, more: Partial<BoxFly> = {}): CarriedFly => carriedFly(kept(id, more), SHIPPED);
const want = (stage: StageId, more: Partial<BoxWanted> = {}): BoxWanted => ({
  belief: [{ stage, p: 1 }],
  length: null,
  belly: null,
  ...more,
});
const order = (flies: CarriedFly[], wanted: BoxWanted) =>
  matchBox(flies, wanted, SHIPPED.stages).flies.map((answer) => answer.fly.id);

const dun14 = fly('dun14', { dressing: 'first-light-dun', hook: 'reference:standard-dry:14' });
const dun10 = fly('dun10', { dressing: 'first-light-dun', hook: 'reference:standard-dry:10' });
const spinner = fly('spinner', { dressing: 'auldry-flat-spinner', hook: 'reference:standard-dry:14' });
const bought = fly('bought', { stage: 'mayfly/dun', lengthMm: 8, hex: '#5a3a22', ride: 'high' });

describe('a fly carried', () => {
  test('answers the natural that its hook carries for its style', () => {
    expect(dun14.lengthMm).toBeCloseTo(7.70626, 4);
    expect(dun14).toMatchObject({ stages: ['mayfly/dun'], ride: 'high', hackled: true, soakable: false });
    expect(dun14.belly).toHaveLength(3);
  });
  test('one that was not tied here is what is noted of it', () =>
    expect(bought).toMatchObject({ stages: ['mayfly/dun'], lengthMm: 8, ride: 'high', hackled: false, hook: '' }));
  test('a stage and a size stand for a fly of which no more is known', () => {
    const plain = fly('plain', { stage: 'mayfly/dun', hook: 'reference:standard-dry:14' });
    expect(plain.lengthMm).toBeCloseTo(7.70626, 4);
    expect(fly('unknown', { stage: 'mayfly/dun' }).lengthMm).toBeNull();
  });
  test('a crane fly carries more than its iron', () => {
    const crane = fly('crane', { dressing: 'trailing-crane', hook: 'reference:standard-dry:12' });
    expect(crane.lengthMm).toBeGreaterThan(2 * 8.28833);
  });
});

describe('what the box answers', () => {
  test('the stage first, then the length', () => {
    expect(order([spinner, dun10, dun14], want('mayfly/dun', { length: { mm: 7.8, seMm: 0.2 } }))).toEqual([
      'dun14',
      'dun10',
      'spinner',
    ]);
    expect(order([spinner, dun10, dun14], want('mayfly/spent', { length: { mm: 7.8, seMm: 0.2 } }))[0]).toBe('spinner');
  });
  test('stages are weighed by their odds', () => {
    const unsure: BoxWanted = {
      belief: [
        { stage: 'mayfly/spent', p: 0.7 },
        { stage: 'mayfly/dun', p: 0.3 },
      ],
      length: null,
      belly: null,
    };
    expect(order([dun14, spinner], unsure)[0]).toBe('spinner');
    expect(
      order([dun14, spinner], {
        ...unsure,
        belief: [
          { stage: 'mayfly/dun', p: 0.7 },
          { stage: 'mayfly/spent', p: 0.3 },
        ],
      })[0],
    ).toBe('dun14');
  });
  test('colour parts flies that are otherwise alike, and never outweighs two packets of length', () => {
    const grey = fly('grey', { stage: 'mayfly/dun', lengthMm: 8, hex: '#808080', ride: 'high' });
    const long = fly('long', { stage: 'mayfly/dun', lengthMm: 8 * 1.4, hex: '#808080', ride: 'high' });
    const wanted = want('mayfly/dun', { length: { mm: 8, seMm: 0.2 }, belly: labOfHex('#808080') });
    expect(order([bought, grey], wanted)).toEqual(['grey', 'bought']);
    expect(order([bought, long], wanted)).toEqual(['bought', 'long']);
  });
  test('a fly with none left is never first while another can be taken', () => {
    const gone = fly('gone', { dressing: 'first-light-dun', hook: 'reference:standard-dry:14', left: 0 });
    const match = matchBox([gone, spinner], want('mayfly/dun'), SHIPPED.stages);
    expect(match.flies.map((answer) => answer.fly.id)).toEqual(['spinner', 'gone']);
    expect(match.flies[1]!.reasons.map((item) => item.code)).toContain('fly-none-left');
  });
  test('it says why: stage, length', () => {
    const [first] = matchBox([dun10], want('mayfly/dun', { length: { mm: 7.8, seMm: 0.2 } }), SHIPPED.stages).flies;
    expect(first!.reasons.map((item) => item.code)).toEqual(['stage-same', 'fly-long']);
    expect(first!.steps).toBeGreaterThan(3);
  });
  test('it says how near the belly is in a word, and how the fly rides where the natural does not', () => {
    const answers = matchBox(
      [bought, dun14],
      want('mayfly/spent', { belly: labOfHex('#5a3a22') }),
      SHIPPED.stages,
    ).flies;
    const said = answers.find((answer) => answer.fly.id === 'bought')!.reasons;
    expect(said).toContainEqual(
      expect.objectContaining({ code: 'fly-colour', params: { word: { kind: 'colour-words', id: 'same' } } }),
    );
    expect(said).toContainEqual(
      expect.objectContaining({
        code: 'fly-rides',
        params: { ride: { kind: 'rides', id: 'high' }, wanted: { kind: 'rides', id: 'film' } },
      }),
    );
    expect(
      matchBox([dun14], want('mayfly/dun'), SHIPPED.stages).flies[0]!.reasons.map((item) => item.code),
    ).not.toContain('fly-rides');
  });
  test('nothing close names the nearest and how many sizes it is off', () => {
    const { noneClose } = matchBox([dun10], want('mayfly/dun', { length: { mm: 4, seMm: 0.2 } }), SHIPPED.stages);
    expect(noneClose).toMatchObject({ code: 'box-nearest-long', params: { fly: 'dun10' } });
    expect(noneClose!.params.packets).toBeGreaterThanOrEqual(4);
    expect(matchBox([dun14], want('mayfly/dun'), SHIPPED.stages).noneClose).toBeNull();
  });
  test('an empty box, and one with nothing left, say so', () => {
    expect(matchBox([], want('mayfly/dun'), SHIPPED.stages)).toMatchObject({
      flies: [],
      noneClose: { code: 'box-empty' },
      nextLook: null,
    });
    expect(
      matchBox([fly('gone', { stage: 'mayfly/dun', left: 0 })], want('mayfly/dun'), SHIPPED.stages).noneClose!.code,
    ).toBe('box-empty');
  });
});

describe('what can be done on the bank, and what one more look would change', () => {
  test('a high fly is clipped for a film natural, and only where it helps', () => {
    const [clipped] = matchBox([dun14], want('mayfly/emerger'), SHIPPED.stages).flies;
    expect(clipped!.trims[0]).toMatchObject({ id: 'clip-flat' });
    expect(clipped!.trims[0]!.gain).toBeGreaterThan(0);
    expect(matchBox([dun14], want('mayfly/dun'), SHIPPED.stages).flies[0]!.trims).toEqual([]);
  });
  test('an open stage is looked at first, and could change the fly', () => {
    const unsure: BoxWanted = {
      belief: [
        { stage: 'mayfly/spent', p: 0.55 },
        { stage: 'mayfly/dun', p: 0.45 },
      ],
      length: null,
      belly: null,
    };
    expect(matchBox([dun14, spinner], unsure, SHIPPED.stages).nextLook).toEqual({ what: 'stage', couldChange: true });
    expect(matchBox([dun14], unsure, SHIPPED.stages).nextLook).toEqual({ what: 'stage', couldChange: false });
  });
  test('then a length, then a colour, then nothing', () => {
    expect(matchBox([dun14, dun10], want('mayfly/dun'), SHIPPED.stages).nextLook).toEqual({
      what: 'length',
      couldChange: true,
    });
    expect(
      matchBox([dun14], want('mayfly/dun', { length: { mm: 8, seMm: 0.2 } }), SHIPPED.stages).nextLook,
    ).toMatchObject({ what: 'colour' });
    expect(
      matchBox([dun14], want('mayfly/dun', { length: { mm: 8, seMm: 0.2 }, belly: [50, 0, 20] }), SHIPPED.stages)
        .nextLook,
    ).toBeNull();
  });
});

test('every score is a number between 0 and 1 for every dressing and stage', () => {
  const all = SHIPPED.dressings.map((dressing) =>
    fly(dressing.id, { dressing: dressing.id, hook: 'reference:standard-dry:14' }),
  );
  for (const stage of SHIPPED.stages) {
    for (const { score } of matchBox(
      all,
      want(stage.id, { length: { mm: 9, seMm: 0.3 }, belly: [45, -4, 25] }),
      SHIPPED.stages,
    ).flies) {
      expect(score).toBeGreaterThanOrEqual(0);
      expect(score).toBeLessThanOrEqual(1);
    }
  }
});
