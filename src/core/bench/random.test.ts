import fc from 'fast-check';
import { DRESSINGS, MATERIALS, STAGES, STYLES, tailsOf, WAYS, WORKS } from '@/catalogue';
import ids from '@/catalogue/ids.json';
import type { PartId } from '@/catalogue/ids';
import type { Dressing, DressingStep } from '../dressings';
import { addByWay, asksOf, materialsOf, setPart, takeOut, waysOf } from '../ways';
import { dressingFaults } from '../faults';

const CATALOGUE = { styles: STYLES, stages: STAGES, materials: MATERIALS, ways: WAYS, tailsOf };
const faults = (dressing: Dressing) => dressingFaults(dressing, CATALOGUE);
const pick = <T>(list: readonly T[], at: number): T => list[at % list.length]!;

/** One thing that a tier can do in the editor. `n` are chances. */
function edited(dressing: Dressing, [what, a, b]: readonly [string, number, number]): Dressing {
  const part = pick(dressing.parts, a);
  switch (what) {
    case 'another way': {
      const way = pick(waysOf(part.part, dressing.style, DRESSINGS, WAYS), b);
      if (!way || part.way === null) return dressing;
      const asks = asksOf(way, part.part);
      return setPart(
        dressing,
        part.id,
        {
          way: way.id,
          of: materialsOf(way, MATERIALS).map((list) => pick(list, b).id),
          trim: null,
          coat: null,
          tint: null,
          by: asks.has('by') ? 'figure-eight' : null,
          count: asks.has('count') ? (part.count ?? 1) : null,
        },
        WORKS,
      );
    }
    case 'another material': {
      const way = WAYS.find((item) => item.id === part.way);
      return way
        ? setPart(dressing, part.id, { of: materialsOf(way, MATERIALS).map((list) => pick(list, b).id) }, WORKS)
        : dressing;
    }
    case 'another part': {
      const kind = pick(ids.parts, a).id as PartId;
      return (
        addByWay(
          dressing,
          { what: kind, way: pick(waysOf(kind, dressing.style, DRESSINGS, WAYS), b)?.id },
          DRESSINGS,
          WORKS,
        ) ?? dressing
      );
    }
    case 'one part less':
      return part.part === 'head' ? dressing : takeOut(dressing, part.id, WORKS)!.after;
    default:
      return setPart(dressing, part.id, { spare: b % 4 }, WORKS);
  }
}

/** What makes a fly that cannot be tied: one needed act left out, or done too early. Null where the dressing has no such act. */
function spoiled(dressing: Dressing, kind: string, at: number): Dressing | null {
  const without = (test: (step: DressingStep) => boolean) => {
    const found = dressing.steps.filter(test);
    return found.length === 0
      ? null
      : { ...dressing, steps: dressing.steps.filter((step) => step !== pick(found, at)) };
  };
  const winds = dressing.steps.filter(
    (step) =>
      step.do === 'wind' &&
      step.part !== null &&
      dressing.steps.some((other) => other.part === step.part && other.do === 'catch-in'),
  );
  switch (kind) {
    case 'no thread':
      return without((step) => step.do === 'start-thread');
    case 'not caught in':
      return without((step) => step.do === 'catch-in');
    case 'not tied off':
      return without((step) => step.do === 'tie-off' && step.as !== 'whip-away');
    case 'waste left':
      return without((step) => step.do === 'cut' && step.cuts === 'waste');
    case 'no whip':
      return without((step) => step.do === 'finish');
    case 'thread left on':
      return without((step) => step.do === 'cut' && step.cuts === 'thread');
    default: {
      if (winds.length === 0) return null;
      const wind = pick(winds, at);
      const first = dressing.steps.findIndex((step) => step.part === wind.part && step.do === 'catch-in');
      const rest = dressing.steps.filter((step) => step !== wind);
      return { ...dressing, steps: [...rest.slice(0, first), wind, ...rest.slice(first)] };
    }
  }
}

const EDITS = ['another way', 'another material', 'another part', 'one part less', 'spares'] as const;
const SPOILS = [
  'no thread',
  'not caught in',
  'not tied off',
  'waste left',
  'no whip',
  'thread left on',
  'wound before it is caught',
] as const;
const chance = fc.nat(997);

test('what the editor can build and the bench passes is legal; one fault in it is found', () => {
  let legal = 0;
  fc.assert(
    fc.property(
      chance,
      fc.array(fc.tuple(fc.constantFrom(...EDITS), chance, chance), { minLength: 1, maxLength: 3 }),
      fc.constantFrom(...SPOILS),
      chance,
      (which, edits, kind, at) => {
        const made = edits.reduce(edited, pick(DRESSINGS, which));
        if (faults(made).length > 0) return;
        legal++;
        const bad = spoiled(made, kind, at);
        if (bad) expect([made.id, edits, kind, faults(bad).length > 0]).toEqual([made.id, edits, kind, true]);
      },
    ),
    { numRuns: 120 },
  );
  // Most of what is drawn can be tied, or nothing would have been tried.
  expect(legal).toBeGreaterThan(30);
});

test('whatever is done in the editor, the bench answers and every step stands where it can be read', () => {
  fc.assert(
    fc.property(
      chance,
      fc.array(fc.tuple(fc.constantFrom(...EDITS), chance, chance), { minLength: 3, maxLength: 6 }),
      (which, edits) => {
        const made = edits.reduce(edited, pick(DRESSINGS, which));
        expect(Array.isArray(faults(made))).toBe(true);
        const known = new Set(made.parts.map((part) => part.id));
        expect(made.steps.filter((step) => step.part !== null && !known.has(step.part))).toEqual([]);
      },
    ),
    { numRuns: 60 },
  );
});
