/** The second door: everything that is worked out with the catalogue, so that opening the app does not wait for it. */
export { selectAnswered, selectCatalogue, type Answered } from './answers';
export { selectBoxMatch, selectCarried, selectFlyName } from './box';
export { selectOwnMaterials } from './own-materials';
export { selectAtHand } from './at-hand';
export { selectHeld, selectNamed, selectStash } from './stash';
export { selectGroups, selectKey } from './own-groups';
export { selectBelief } from './belief';
export { selectLikely, type LikelyAnswer } from './likely';
export { selectResults } from './results';
export { selectEye } from './eye';
export { selectHooks, selectOwned } from './hooks';
export { selectDressing, selectDressings, selectIsOwn, selectOwnDressings, selectTools } from './dressings';
export { libraryCard, selectCardOf } from './library-cards';
export { runningOf, selectBiases, selectOwnMinutes } from './sessions';
export { selectRuled, selectStagesUp } from './outings';
export { cardForSession } from './session-cards';
