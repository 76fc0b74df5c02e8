export {
  bodiesOf,
  boxWantedOf,
  choicesOf,
  counts,
  monthOf,
  pickingOf,
  sampleOf,
  sightingOf,
  waitsFor,
  type Tier,
  type World,
} from './case';
export { insectOf, NOTHING_NOTED, type CaseData, type Insect, type Natural } from './natural';
