import { groupsThatFit, type LivingGroup } from '.';

const GROUPS: LivingGroup[] = [
  { id: 'small', regions: [], stages: [{ stage: 'mayfly/dun', length_mm: [4, 5, 6] }] },
  { id: 'large', regions: ['nearctic-east'], stages: [{ stage: 'mayfly/dun', length_mm: [10, 12, 20] }] },
  { id: 'unmeasured', regions: [], stages: [{ stage: 'mayfly/dun', length_mm: null }] },
];
const fit = (...lengths: number[]) => groupsThatFit(GROUPS, 'mayfly/dun', lengths, null);

test('a group fits by the mean of what was measured, a tenth beyond its ends at most', () => {
  expect(fit(5)).toEqual(['small']);
  expect(fit(6.59)).toEqual(['small']);
  expect(fit(6.61)).toEqual([]);
  expect(fit(3.64)).toEqual(['small']);
  expect(fit(3.62)).toEqual([]);
  expect(fit(4, 16)).toEqual(['large']);
});
test('nothing measured tells nothing; nor does another stage', () => {
  expect(fit()).toEqual([]);
  expect(groupsThatFit(GROUPS, 'mayfly/spinner', [5], null)).toEqual([]);
});
test('one that lives elsewhere does not fit', () => {
  expect(groupsThatFit(GROUPS, 'mayfly/dun', [12], 'palearctic-west')).toEqual([]);
  expect(groupsThatFit(GROUPS, 'mayfly/dun', [12], 'nearctic-east')).toEqual(['large']);
});
