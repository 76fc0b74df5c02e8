import { sampleSchema, type SampleRecord } from './sample/schema';
import { matchSchema, type MatchRecord } from './match/schema';
import { flySchema, type FlyRecord } from './fly/schema';
import { boxSchema, type BoxRecord } from './box/schema';
import { photoSchema, type PhotoRecord } from './photo/schema';
import { eyeSchema, type EyeRecord } from './eye/schema';
import { groupSchema, type GroupRecord } from './group/schema';
import { makerSchema, type MakerRecord } from './maker/schema';
import { modelSchema, type ModelRecord } from './model/schema';
import { packetSchema, type PacketRecord } from './packet/schema';
import { stashSchema, type StashRecord } from './stash/schema';
import { materialSchema, type MaterialRecord } from './material/schema';
import { dressingRecordSchema, type DressingRecord } from './dressing/schema';
import { batchSchema, type BatchRecord } from './batch/schema';
import { waterSchema, type WaterRecord } from './water/schema';
import { outingSchema, type OutingRecord } from './outing/schema';
import { trialSchema, type TrialRecord } from './trial/schema';
import { settingsSchema, type SettingsRecord } from './settings/schema';
import { deviceSchema, type DeviceRecord } from './device/schema';
import type { Schema } from 'yup';
import type { Shape } from './atoms';
import { batchShape } from './batch/merge';
import { deviceShape } from './device/merge';
import { groupShape, mendGroup } from './group/merge';
import { matchShape, mendMatch } from './match/merge';
import { outingShape } from './outing/merge';
import { modelShape } from './model/merge';
import { sampleShape } from './sample/merge';
import { settingsShape } from './settings/merge';
import { waterShape } from './water/merge';

/** The kinds of record, their schema version, schema, and the shape by which two copies of one are merged (`mend` makes whole what two sound copies can make broken). A kind's version grows when its shape changes; see migrate.ts. */
export const KINDS = {
  sample: { version: 6, schema: sampleSchema, shape: sampleShape },
  match: { version: 4, schema: matchSchema, shape: matchShape, mend: mendMatch },
  fly: { version: 4, schema: flySchema, shape: {} },
  box: { version: 1, schema: boxSchema, shape: {} },
  photo: { version: 2, schema: photoSchema, shape: {} },
  eye: { version: 1, schema: eyeSchema, shape: {} },
  group: { version: 1, schema: groupSchema, shape: groupShape, mend: mendGroup },
  maker: { version: 2, schema: makerSchema, shape: {} },
  model: { version: 3, schema: modelSchema, shape: modelShape },
  packet: { version: 2, schema: packetSchema, shape: {} },
  material: { version: 2, schema: materialSchema, shape: {} },
  stash: { version: 1, schema: stashSchema, shape: {} },
  dressing: { version: 2, schema: dressingRecordSchema, shape: {} },
  batch: { version: 1, schema: batchSchema, shape: batchShape },
  water: { version: 2, schema: waterSchema, shape: waterShape },
  outing: { version: 2, schema: outingSchema, shape: outingShape },
  trial: { version: 1, schema: trialSchema, shape: {} },
  settings: { version: 6, schema: settingsSchema, shape: settingsShape },
  device: { version: 6, schema: deviceSchema, shape: deviceShape },
} satisfies Record<string, { version: number; schema: Schema; shape: Shape; mend?: (data: never) => object }>;

export type Kind = keyof typeof KINDS;

export interface RecordTypes {
  sample: SampleRecord;
  match: MatchRecord;
  fly: FlyRecord;
  box: BoxRecord;
  photo: PhotoRecord;
  eye: EyeRecord;
  group: GroupRecord;
  maker: MakerRecord;
  model: ModelRecord;
  packet: PacketRecord;
  material: MaterialRecord;
  stash: StashRecord;
  dressing: DressingRecord;
  batch: BatchRecord;
  water: WaterRecord;
  outing: OutingRecord;
  trial: TrialRecord;
  settings: SettingsRecord;
  device: DeviceRecord;
}

/** Every record, by kind and id. */
export type Entities = { [K in Kind]: Record<string, RecordTypes[K]> };

export function noEntities(): Entities {
  return {
    sample: {},
    match: {},
    fly: {},
    box: {},
    photo: {},
    eye: {},
    group: {},
    maker: {},
    model: {},
    packet: {},
    material: {},
    stash: {},
    dressing: {},
    batch: {},
    water: {},
    outing: {},
    trial: {},
    settings: {},
    device: {},
  };
}
