import { DRESSINGS, MATERIALS, WAYS, WORKS } from '@/catalogue';
import { materialsOf, mergeDressings, putBack, reworked, takeOut, waysOf, withWayPart } from '.';
import { movedRun } from '../dressings';

const of = (id: string) => structuredClone(DRESSINGS.find((dressing) => dressing.id === id)!);

describe('a part is taken out and put back', () => {
  test('every part of every dressing: the same dressing', () => {
    for (const dressing of DRESSINGS)
      for (const part of dressing.parts) {
        const taken = takeOut(dressing, part.id, WORKS)!;
        expect(taken.after.parts.map((item) => item.id)).not.toContain(part.id);
        expect(taken.after.steps.some((step) => step.part === part.id)).toBe(false);
        expect([dressing.id, part.id, putBack(taken.after, taken)]).toEqual([dressing.id, part.id, dressing]);
        // Nothing left names what is gone.
        const { claims: _claims, changes: _changes, ...rest } = taken.after;
        expect([dressing.id, part.id, JSON.stringify(rest).includes(`"part:${part.id}"`)]).toEqual([
          dressing.id,
          part.id,
          false,
        ]);
      }
  });
  test('what was changed in between stays changed, and nothing else is', () => {
    for (const dressing of DRESSINGS) {
      const [gone, other] = [dressing.parts[0]!, dressing.parts.at(-1)!];
      const change = (own: typeof dressing) => ({
        ...withWayPart(own, other.id, { spare: 3, region: 'head' }, WORKS)!,
        name: 'Mine',
      });
      const taken = takeOut(dressing, gone.id, WORKS)!;
      expect([dressing.id, putBack(change(taken.after), taken)]).toEqual([dressing.id, change(dressing)]);
    }
  });
  test('a part that is not there cannot be taken; one of a dressing made by hand can', () => {
    const own = of('first-light-dun');
    expect(takeOut(own, 'propeller', WORKS)).toBeNull();
    own.parts.forEach((part) => {
      part.way = null;
    });
    const taken = takeOut(own, 'wing', WORKS)!;
    expect(taken.after.parts.map((part) => part.id)).not.toContain('wing');
    expect(putBack(taken.after, taken)).toEqual(own);
  });
});

describe('what a hand wrote stays when the parts change', () => {
  const edited = () => {
    const own = of('cheeked-quill-nymph');
    own.head_room = 1.6;
    own.layers = own.layers.map((layer) => ({ ...layer, from_under: [...layer.from_under, 'thin-resin'] }));
    own.steps[4]!.turns = 7;
    own.tools.push('magnifier');
    own.steps = movedRun(own.steps, own.steps.length - 1, own.steps.length - 2);
    return own;
  };
  test('head room, layers, a turn, a tool, the order', () => {
    const before = edited();
    const next = withWayPart(before, 'thorax', { thick: { base: 'girth', factor: 1.3 } }, WORKS)!;
    expect(next).toEqual({
      ...before,
      parts: before.parts.map((part) =>
        part.id === 'thorax' ? { ...part, thick: { base: 'girth', factor: 1.3 } } : part,
      ),
    });
  });
  test('another way brings its own steps in the places of the old ones', () => {
    const before = edited();
    const next = withWayPart(before, 'abdomen', { way: 'noodle', of: ['fine-fur'] }, WORKS)!;
    const at = (own: typeof before, verb: string) =>
      own.steps.findIndex((step) => step.part === 'abdomen' && step.do === verb);
    expect([at(next, 'dub') > 0, at(next, 'catch-in'), at(next, 'tie-off')]).toEqual([true, -1, -1]);
    expect(next.head_room).toBe(1.6);
    expect(next.tools).toContain('magnifier');
  });
  test('where both changed a thing, mine stands; what mine dropped stays dropped', () => {
    const base = of('first-light-dun');
    const mine = { ...structuredClone(base), minutes: 31, tools: base.tools.slice(1) };
    const theirs = { ...structuredClone(base), minutes: 12, skill: 3 as const };
    const merged = mergeDressings(base, mine, theirs);
    expect([merged.minutes, merged.skill, merged.tools]).toEqual([31, 3, base.tools.slice(1)]);
  });
  test('two of a kind are told apart', () => {
    const base = of('first-light-dun');
    const note = { ...structuredClone(base.steps[0]!), do: 'check' as const, as: null, check: 'a' };
    const mine = { ...base, steps: [...base.steps, note, { ...note, check: 'b' }] };
    expect(
      mergeDressings(base, mine, base)
        .steps.slice(-2)
        .map((step) => step.check),
    ).toEqual(['a', 'b']);
    expect(reworked(mine, (record) => record, WORKS)!.steps).toEqual(mine.steps);
  });
});

describe('ways and materials that can be chosen', () => {
  test('the usual way of the style is first; each can make the part', () => {
    const names = (style: Parameters<typeof waysOf>[1]) =>
      waysOf('hackle', style, DRESSINGS, WAYS).map((way) => way.id);
    expect([names('upright-dun')[0], names('post-dun')[0], names('soft-wet')[0]]).toEqual([
      'collar',
      'post-hackle',
      'soft',
    ]);
    for (const way of waysOf('wing', 'down-wing', DRESSINGS, WAYS)) expect(way.makes).toContain('wing');
    expect(new Set(names('upright-dun'))).toEqual(
      new Set(WAYS.filter((way) => way.makes.includes('hackle')).map((way) => way.id)),
    );
  });
  test('materials are those that can do what the way takes', () => {
    const [quills] = materialsOf(
      WAYS.find((way) => way.id === 'quill')!,
      MATERIALS,
    );
    expect(quills!.length).toBeGreaterThan(1);
    expect(quills!.every((material) => material.functions.includes('body.quill'))).toBe(true);
  });
});
