export { hasUnread, sampleFor, selectAnswered, selectCatalogue, selectDevice, selectSettings, type Answered } from './answers';
export { selectBelief, sightingFor } from './belief';
export { hasDemo, removeDemo } from './demo';
export { middleSample, selectLibraryCards } from './library-cards';
export { browserPorts, localStamp, type Ports } from './ports';
export { DEVICE_ID, matchSchema, sampleSchema, SETTINGS_ID, settingsSchema, deviceSchema, type AnswerRecord, type Entities, type MatchRecord, type Measure, type SampleRecord } from './records/schemas';
export { type Aside, asideFile } from './records/commit';
export { answered, change, createStore, openStore, redone, remember, undone, type Dispatch, type State, type Store } from './store';
export { useApp, useAppDispatch } from './use-app';
