import { DRESSINGS, MATERIALS, STAGES, STYLES, tailsOf, WAYS, WORKS } from '@/catalogue';
import type { StageId, StyleId } from '@/catalogue/ids';
import { dressingFaults } from '../faults';
import type { Dressing } from '../dressings';
import { addByWay, bareByWay, setPart, withFields, reworked, type NewPart, type WayPart } from '.';

/** What the editor does: adds a part, or changes fields of one. */
type Act = NewPart | [id: string, more: Partial<WayPart>];

function build(stage: StageId, style: StyleId, lengthMm: [number, number], acts: Act[]): Dressing {
  const bare: Dressing = { ...bareByWay('built', 'Built', stage, style, DRESSINGS, WORKS)!, length_mm: lengthMm };
  return acts.reduce(
    (made, act) => (Array.isArray(act) ? setPart(made, act[0], act[1], WORKS) : addByWay(made, act, DRESSINGS, WORKS)!),
    bare,
  );
}

const faults = (dressing: Dressing) =>
  dressingFaults(dressing, { styles: STYLES, stages: STAGES, materials: MATERIALS, ways: WAYS, tailsOf }).map(
    (fault) => `${fault.code} ${fault.part} ${fault.step} ${JSON.stringify(fault.params)}`,
  );

const KINDS: [string, StageId, StyleId, [number, number], Act[]][] = [
  [
    'a beaded curved pupa with flash, case and soft collar',
    'caddis/pupa',
    'curved-pupa',
    [9, 18],
    [
      { what: 'bead', way: 'bead', of: ['bead-copper'] },
      ['bead', { kind: 'countersunk', lock: 'flash' }],
      { what: 'rib', way: 'flash-rib', of: ['pearl-tinsel'] },
      { what: 'thorax', way: 'noodle', of: ['spiky-blend'] },
      { what: 'wing-case', way: 'case' },
      { what: 'hackle', way: 'soft', of: ['hen-hackle-brown'] },
    ],
  ],
  [
    'a hackled quill midge emerger with a shuck',
    'midge/emerger',
    'hanging-emerger',
    [4, 10],
    [
      ['abdomen', { way: 'quill', of: ['stripped-quill'] }],
      { what: 'thorax', way: 'noodle', of: ['dark-fur'] },
      { what: 'shuck', way: 'shuck', of: ['crinkled-nylon'] },
      { what: 'hackle', way: 'collar', of: ['cock-hackle-grey'] },
    ],
  ],
  [
    'a plume-loop cluster',
    'midge/cluster',
    'cluster',
    [3, 7],
    [['abdomen', { way: 'layers', of: ['thread-black-70'] }], { what: 'hackle', way: 'plume-loop', of: ['cdc-black'] }],
  ],
  [
    'a palmered hatching mayfly with two hackles and tail',
    'mayfly/emerger',
    'palmered-wet',
    [10, 20],
    [
      { what: 'tail', way: 'bunch', of: ['stiff-fibres-brown'] },
      { what: 'rib', way: 'rib', of: ['silver-wire'] },
      ['rib', { counter: true }],
      { what: 'second-hackle', way: 'palmer', of: ['cock-hackle-ginger'] },
      { what: 'hackle', way: 'soft', of: ['hen-hackle-black'] },
    ],
  ],
  [
    'a jig case-larva with a singed head',
    'caddis/cased-larva',
    'cased-larva',
    [10, 24],
    [
      { what: 'bead', way: 'bead', of: ['bead-dark'] },
      ['bead', { kind: 'slotted', lock: 'turns' }],
      { what: 'larva-head', way: 'singed' },
    ],
  ],
  [
    'a dubbed diver',
    'mayfly/diver',
    'sunk-spinner',
    [5, 12],
    [
      ['abdomen', { way: 'noodle', of: ['rust-fur'] }],
      { what: 'thorax', way: 'noodle', of: ['rust-fur'] },
      { what: 'tail', way: 'split-tail', of: ['stiff-fibres-brown'] },
      ['tail', { count: 'natural' }],
      { what: 'wing', way: 'swept', of: ['film-wing'] },
      { what: 'hackle', way: 'soft', of: ['hen-hackle-grey'] },
    ],
  ],
  [
    'a biot spinner with clipped hackle',
    'mayfly/spent',
    'spent-spinner',
    [6, 12],
    [
      ['abdomen', { way: 'biot', of: ['biot-rust'] }],
      { what: 'thorax', way: 'noodle', of: ['rust-fur'] },
      { what: 'tail', way: 'split-tail', of: ['synthetic-tails'] },
      { what: 'hackle', way: 'collar', of: ['cock-hackle-grey'] },
      ['hackle', { trim: 'both' }],
    ],
  ],
  [
    'an unweighted hackled nymph',
    'mayfly/nymph',
    'nymph',
    [6, 14],
    [
      ['abdomen', { way: 'noodle', of: ['rough-fur'] }],
      { what: 'thorax', way: 'noodle', of: ['spiky-blend'] },
      { what: 'tail', way: 'bunch', of: ['hen-hackle-brown'] },
      { what: 'rib', way: 'rib', of: ['copper-wire'] },
      { what: 'hackle', way: 'soft', of: ['hen-hackle-brown'] },
    ],
  ],
  [
    'a slim jig with gel-spun, cord, wire in its grooves and a plume collar',
    'mayfly/nymph',
    'jig-nymph',
    [6, 13],
    [
      ['abdomen', { way: 'tubing', of: ['stretch-cord'] }],
      { what: 'tail', way: 'bunch', of: ['guard-hair'] },
      { what: 'rib', way: 'groove-rib', of: ['copper-wire'] },
      { what: 'collar', way: 'plume-loop', of: ['cdc-grey'] },
    ],
  ],
  [
    'a quill-bodied divided-wing dun with herl collar',
    'mayfly/dun',
    'upright-dun',
    [6, 14],
    [
      ['abdomen', { way: 'quill', of: ['stripped-quill'] }],
      { what: 'thorax', way: 'herl', of: ['tail-herl'] },
      { what: 'wing', way: 'upright', of: ['wing-yarn-grey'] },
      { what: 'tail', way: 'split-tail', of: ['stiff-fibres-grey'] },
      { what: 'hackle', way: 'collar', of: ['cock-hackle-grey'] },
    ],
  ],
];

test.each(KINDS)(
  '%s is built from a bare hook, and the bench has nothing against it',
  (_kind, stage, style, lengthMm, acts) => {
    const made = build(stage, style, lengthMm, acts);
    for (const act of acts)
      if (!Array.isArray(act))
        expect(made.parts.some((part) => part.part === act.what && part.way === act.way)).toBe(true);
    expect(faults(made)).toEqual([]);
  },
);

test('a field set twice is as if it were set once, and set back it is as it was', () => {
  const dun = build('mayfly/dun', 'upright-dun', [6, 14], [{ what: 'hackle', way: 'collar' }]);
  const trimmed = setPart(dun, 'hackle', { trim: 'flat-below' }, WORKS);
  expect(trimmed.steps.some((step) => step.do === 'clip')).toBe(true);
  expect(setPart(trimmed, 'hackle', { trim: 'flat-below' }, WORKS)).toEqual(trimmed);
  expect(setPart(trimmed, 'hackle', { trim: null }, WORKS)).toEqual(dun);
  expect(reworked(dun, (record) => withFields(record, 'hackle', {}), WORKS)).toEqual(dun);
});
