import { tailsOf } from '@/catalogue';
import ids from '@/catalogue/ids.json';
import { SHIPPED, sampleOf } from '../../../tools/test-catalogue';
import { answer, NO_CHOICES, type Schools } from '../answer';
import { WARNS } from '../bench';
import { benchFaults } from '../faults';
import type { Dressing } from '../dressings';
import { inSchool, placesFor } from './in-school';
import { SCHOOL_CODE } from '../code';

const dressing = (id: string): Dressing => SHIPPED.dressings.find((item) => item.id === id)!;
const worked = (id: string, schools: Schools) => inSchool(dressing(id), schools, SHIPPED);
const verbs = (item: Dressing) => item.steps.map((step) => `${step.do}:${step.part ?? ''}`);
const stepOf = (item: Dressing, verb: string, part: string) =>
  item.steps.find((step) => step.do === verb && step.part === part);
const cardIn = (schools: Schools, dressingPin: string, hookPin: string) =>
  answer(sampleOf(dressing(dressingPin).stages[0]!), { ...NO_CHOICES, schools, dressingPin, hookPin }, SHIPPED).card!;

test('without a school a dressing is worked as it is written', () => {
  expect(worked('first-light-dun', {})).toEqual({ dressing: dressing('first-light-dun'), unused: [] });
});

describe('materials of a school', () => {
  test('synthetic tails take the place of fibres, in the part and in its steps', () => {
    const { dressing: synthetic, unused } = worked('first-light-dun', { 'tail-material': 'synthetic' });
    expect(unused).toEqual([]);
    expect(synthetic.parts.find((part) => part.id === 'tail')!.material).toBe('synthetic-tails');
    expect(stepOf(synthetic, 'bind', 'tail')!.material).toBe('synthetic-tails');
  });
  test('fibres take the place of synthetic tails, and stay where they are already', () => {
    expect(
      worked('auldry-flat-spinner', { 'tail-material': 'hackle-fibre' }).dressing.parts.find(
        (part) => part.id === 'tail',
      )!.material,
    ).toBe('stiff-fibres-grey');
    expect(
      worked('last-light-spinner', { 'tail-material': 'hackle-fibre' }).dressing.parts.find(
        (part) => part.id === 'tail',
      )!.material,
    ).toBe('stiff-fibres-brown');
  });
  test('a shuck soaks or stays up', () => {
    const soaking = worked('auldry-low-emerger', { 'shuck-material': 'soaking' }).dressing.parts.find(
      (part) => part.part === 'shuck',
    )!;
    expect(soaking.function).toBe('shuck.soaking');
    expect(SHIPPED.materials.find((material) => material.id === soaking.material)!.functions).toContain(
      'shuck.soaking',
    );
    expect(
      worked('half-out-dun', { 'shuck-material': 'crinkled' }).dressing.parts.find((part) => part.part === 'shuck')!
        .material,
    ).toBe('crinkled-nylon');
  });
  test('the dressing given is not changed', () => {
    const before = JSON.stringify(dressing('first-light-dun'));
    worked('first-light-dun', {
      'tail-material': 'synthetic',
      'tail-split': 'none',
      'work-order': 'tail-first',
      protection: 'resin-over',
      finish: 'rough',
      taper: 'none',
    });
    expect(JSON.stringify(dressing('first-light-dun'))).toBe(before);
  });
});

describe('the split of a tail', () => {
  test.each(['ball', 'figure-eight', 'thread-loop'] as const)('%s is said at the step that divides', (option) => {
    const { dressing: split } = worked('first-light-dun', { 'tail-split': option });
    expect(stepOf(split, 'divide', 'tail')!.as).toBe(`split-${option}`);
    expect(verbs(split).indexOf('divide:tail')).toBe(verbs(split).indexOf('bind:tail') + 1);
    expect(verbs(split).includes('dub:tail')).toBe(option === 'ball');
  });
  test('none leaves the tails together', () => {
    expect(verbs(worked('first-light-dun', { 'tail-split': 'none' }).dressing)).not.toContain('divide:tail');
  });
  test('a tail bound without a split gains the step', () => {
    expect(verbs(dressing('silver-diver'))).not.toContain('divide:tail');
    expect(verbs(worked('silver-diver', { 'tail-split': 'figure-eight' }).dressing)).toContain('divide:tail');
  });
  test('a soft tail of an immature insect is not split', () => {
    expect(worked('washed-dun', { 'tail-split': 'ball' }).unused).toEqual(['tail-split']);
  });
});

describe('where a hackle is tied off', () => {
  test('on the base of the post, at the post', () => {
    const { dressing: post } = worked('first-light-post-dun', { 'tie-off': 'post-base' });
    expect(stepOf(post, 'tie-off', 'hackle')).toMatchObject({
      at: 'one-third',
      orientation: `${SCHOOL_CODE}tie-off-post-base`,
    });
  });
  test('a fly without a post has no such choice', () => {
    expect(worked('first-light-dun', { 'tie-off': 'post-base' }).unused).toEqual(['tie-off']);
  });
  test('ahead of the hair', () => {
    expect(
      stepOf(worked('half-out-dun', { 'tie-off': 'ahead-of-hair' }).dressing, 'tie-off', 'hackle')!.orientation,
    ).toBe(`${SCHOOL_CODE}tie-off-ahead-of-hair`);
  });
});

describe('the order of work', () => {
  test('tail first brings the tail before the wing', () => {
    const order = verbs(worked('first-light-dun', { 'work-order': 'tail-first' }).dressing);
    expect(order.slice(0, 5)).toEqual(['start-thread:', 'bind:tail', 'divide:tail', 'cut:tail', 'bind:wing']);
  });
  test('a wing that would lie back over the body is not bound first', () => {
    expect(worked('silver-diver', { 'work-order': 'wing-first' }).unused).toEqual(['work-order']);
    expect(worked('first-light-dun', { 'work-order': 'hackle-first' }).unused).toEqual([]);
  });
});

describe('hands can tie what a school makes', () => {
  const options = ids.schools.flatMap((school) => school.options.map((option) => [school.id, option.id] as const));
  test.each(options)('%s: %s', (school, option) => {
    const refused = SHIPPED.dressings.flatMap((item) => {
      const result = inSchool(item, { [school]: option } as Schools, SHIPPED);
      return result.dressing === item
        ? []
        : benchFaults(result.dressing, { ...SHIPPED, tailsOf })
            .filter(({ rule }) => !WARNS.has(rule))
            .map((refusal) => `${item.id} ${refusal.rule} ${refusal.step}`);
    });
    expect(refused).toEqual([]);
  });
  test('steps made by hand are left to the hand: such a school has no place there', () => {
    const own = {
      ...dressing('auldry-flat-spinner'),
      parts: dressing('auldry-flat-spinner').parts.map((part) => ({ ...part, way: null })),
    };
    expect(inSchool(own, { protection: 'resin-over', 'tail-split': 'ball', finish: 'rough' }, SHIPPED)).toMatchObject({
      unused: ['tail-split', 'protection'],
    });
  });
});

describe('protection, finish and taper', () => {
  test('resin over a wound body comes after it, with its caution', () => {
    const { dressing: coated } = worked('auldry-flat-spinner', { protection: 'resin-over' });
    const order = verbs(coated);
    expect(order.indexOf('coat:abdomen')).toBe(order.indexOf('cut:abdomen') + 1);
    expect(stepOf(coated, 'coat', 'abdomen')).toMatchObject({ material: 'thin-resin', caution: 'uv-resin' });
  });
  test('glue under comes before the winding, with its caution', () => {
    const { dressing: glued } = worked('auldry-flat-spinner', { protection: 'glue-under' });
    const order = verbs(glued);
    expect(order.indexOf('coat:abdomen')).toBe(order.indexOf('wind:abdomen') - 1);
    expect(stepOf(glued, 'coat', 'abdomen')!.caution).toBe('solvent');
  });
  test('no glue where the colour of the thread must show, none on fur', () => {
    const showing = {
      ...dressing('auldry-flat-spinner'),
      threads: [{ role: 'show-through' as const, material: 'silk-yellow', finish_turns: 3, optional: false }],
    };
    expect(inSchool(showing, { protection: 'glue-under' }, SHIPPED).unused).toEqual(['protection']);
    expect(worked('first-light-dun', { protection: 'glue-under' }).unused).toEqual(['protection']);
  });
  test('a counter-wound rib is said on the card', () => {
    expect(
      cardIn({ protection: 'counter-rib' }, 'dark-pad-nymph', 'reference:standard-dry:12').ribs.every(
        (rib) => rib.counter,
      ),
    ).toBe(true);
    expect(worked('first-light-dun', { protection: 'counter-rib' }).unused).toEqual(['protection']);
  });
  test('none takes the resin off a coated body', () => {
    expect(verbs(dressing('staith-jig-nymph'))).toContain('coat:abdomen');
    expect(verbs(worked('staith-jig-nymph', { protection: 'none' }).dressing)).not.toContain('coat:abdomen');
  });
  test('rough is teased out before the head, tidy is not', () => {
    const rough = verbs(worked('dark-pad-nymph', { finish: 'rough' }).dressing);
    expect(rough.indexOf('tease:thorax')).toBe(rough.indexOf('finish:head') - 1);
    expect(verbs(worked('dark-pad-nymph', { finish: 'tidy' }).dressing)).not.toContain('tease:thorax');
  });
  test('a taper needs what it is made of', () => {
    expect(worked('first-light-dun', { taper: 'wing-butts' }).dressing.taper).toBe('wing-butts');
    expect(worked('first-light-dun', { taper: 'side-strips' }).unused).toEqual(['taper']);
    expect(worked('gravel-house', { taper: 'side-strips' }).dressing.weights.map((weight) => weight.kind)).toEqual([
      'sides',
    ]);
  });
});

describe('the seat of a bead', () => {
  const hook = 'reference:standard-dry:12';
  const toEye = cardIn({}, 'herl-bead-nymph', hook);
  const back = cardIn({ 'bead-seat': 'back-one-eye' }, 'herl-bead-nymph', hook);
  const station = (card: typeof toEye, id: string) => card.landmarks.find((mark) => mark.id === id)!.mm;
  test('set back it leaves one eye in front, and what lies behind it moves with it', () => {
    const bead = (card: typeof toEye) => card.parts.find((part) => part.part === 'bead')!;
    expect(bead(back).from_mm! - bead(toEye).from_mm!).toBeCloseTo(back.hook.eye_mm, 9);
    expect(station(back, 'behind-bead') - station(toEye, 'behind-bead')).toBeCloseTo(back.hook.eye_mm, 9);
  });
  test('the eye in front is taken from the room, and the head is wound there', () => {
    expect(back.room_mm).toBeCloseTo(toEye.room_mm - back.hook.eye_mm, 9);
    const head = (card: typeof toEye) => card.parts.find((part) => part.part === 'head')!;
    expect([head(back).from_mm, head(back).to_mm]).toEqual([expect.closeTo(back.hook.eye_mm, 9), 0]);
    expect(head(toEye).to_mm).toBeCloseTo(toEye.face_mm, 9);
  });
});

test('every option of every school changes the card of some dressing in the library', () => {
  const hookSide = new Set(['size', 'x-label', 'eye-reading', 'hand']);
  for (const school of ids.schools.filter((item) => !hookSide.has(item.id))) {
    const idle = school.options
      .filter((option) => option.id !== school.default)
      .filter(
        (option) =>
          !SHIPPED.dressings.some((item) => {
            const { bends } = SHIPPED.styles.find((style) => style.id === item.style)!;
            const pin = SHIPPED.hooks.find(
              (candidate) => bends.includes(candidate.bend) && candidate.maker === 'reference',
            )!.id;
            const text = (schools: Schools) => JSON.stringify({ ...cardIn(schools, item.id, pin), schools_unused: [] });
            return text({ [school.id]: option.id } as Schools) !== text({});
          }),
      );
    expect([school.id, idle.map((option) => option.id)]).toEqual([school.id, []]);
  }
});

test('what has no place in a dressing is known before it is chosen', () => {
  const places = placesFor(dressing('first-light-dun'), ids.schools, SHIPPED);
  expect([...places.get('protection')!]).toEqual(['none']);
  expect([...places.get('bead-seat')!]).toEqual([]);
  expect([...places.get('tail-split')!]).toEqual(['ball', 'figure-eight', 'thread-loop', 'none']);
  expect([...places.get('work-order')!]).toContain('tail-first');
});

describe('which schools a dressing has a place for', () => {
  const having = (school: string) =>
    [
      'first-light-dun',
      'first-light-post-dun',
      'dark-pad-nymph',
      'herl-bead-nymph',
      'gravel-house',
      'half-out-dun',
      'washed-dun',
    ].filter((id) => (placesFor(dressing(id), ids.schools, SHIPPED).get(school)?.size ?? 0) > 0);
  test.each([
    ['nymph-tail', ['dark-pad-nymph', 'herl-bead-nymph']],
    ['shuck-length', ['half-out-dun']],
    ['shuck-material', ['half-out-dun']],
    ['hackle-gauge', ['first-light-dun', 'first-light-post-dun', 'half-out-dun']],
    ['hackle-trim', ['first-light-dun', 'first-light-post-dun', 'half-out-dun', 'washed-dun']],
    ['nymph-length', ['washed-dun']],
    ['bead-seat', ['herl-bead-nymph']],
    ['tail-split', ['first-light-dun', 'first-light-post-dun']],
    ['tie-off', ['first-light-post-dun', 'half-out-dun']],
    ['finish', ['first-light-dun', 'first-light-post-dun', 'dark-pad-nymph', 'half-out-dun', 'washed-dun']],
  ])('%s', (school, ids) => expect(having(school)).toEqual(ids));
  test.each([
    ['gravel-house', ['side-strips', 'none']],
    ['first-light-dun', ['tail-butts', 'wing-butts', 'butts-left', 'none']],
    ['dark-pad-nymph', ['tail-butts', 'butts-left', 'none']],
    ['half-out-dun', ['wing-butts', 'butts-left', 'none']],
  ])('the tapers of %s', (id, tapers) =>
    expect([...placesFor(dressing(id), ids.schools, SHIPPED).get('taper')!]).toEqual(tapers),
  );
  test.each([
    ['first-light-post-dun', ['hook', 'post-base']],
    ['half-out-dun', ['hook', 'ahead-of-hair']],
  ])('where the hackle of %s may be tied off', (id, places) =>
    expect([...placesFor(dressing(id), ids.schools, SHIPPED).get('tie-off')!]).toEqual(places),
  );
});

describe('a school changes what it names and nothing else', () => {
  test('a shuck that does it already keeps its material', () => {
    const own = dressing('half-out-dun');
    const other = SHIPPED.materials.find(
      (material) => material.functions.includes('shuck.crinkled') && material.id !== 'crinkled-nylon',
    ) ?? { ...SHIPPED.materials.find((material) => material.id === 'crinkled-nylon')!, id: 'crinkled-other' };
    const written = inSchool(
      own,
      { 'shuck-material': 'crinkled' },
      { ...SHIPPED, materials: [{ ...other, id: 'crinkled-other' }, ...SHIPPED.materials] },
    );
    expect(written.dressing.parts.find((part) => part.part === 'shuck')!.material).toBe(
      own.parts.find((part) => part.part === 'shuck')!.material,
    );
  });
  test('resin over a body leaves its rib as it is wound', () => {
    const rib = (schools: Schools) =>
      worked('herl-bead-nymph', schools).dressing.parts.find((part) => part.part === 'rib')!.counter;
    expect([rib({ protection: 'resin-over' }), rib({ protection: 'counter-rib' })]).toEqual([rib({}), true]);
  });
  test('strips are laid once the thread is on, and nothing is wound any more', () => {
    const order = verbs(worked('gravel-house', { taper: 'side-strips' }).dressing);
    expect(order.indexOf('lay-weight:weight')).toBeGreaterThan(order.indexOf('start-thread:'));
    expect(order.filter((step) => step === 'lay-weight:weight')).toHaveLength(1);
  });
  test('a school that is asked for twice does it once', () => {
    const rough = worked('dark-pad-nymph', { finish: 'rough' }).dressing;
    expect(
      verbs(inSchool(rough, { finish: 'rough' }, SHIPPED).dressing).filter((step) => step === 'tease:thorax'),
    ).toHaveLength(1);
  });
  test('a hackle tied off on the hook keeps what its step says', () => {
    expect(
      stepOf(worked('first-light-post-dun', { 'tie-off': 'hook' }).dressing, 'tie-off', 'hackle')!.orientation,
    ).toBe(stepOf(dressing('first-light-post-dun'), 'tie-off', 'hackle')!.orientation);
  });
  test('the part that goes first stands in the order once', () => {
    for (const option of ['tail-first', 'wing-first', 'hackle-first'] as const) {
      const { dressing: first } = worked('first-light-dun', { 'work-order': option });
      expect(verbs(first).sort()).toEqual(verbs(dressing('first-light-dun')).sort());
    }
  });
});
