import { sampleSchema, type SampleRecord } from './sample/schema';
import { matchSchema, type MatchRecord } from './match/schema';
import { flySchema, type FlyRecord } from './fly/schema';
import { boxSchema, type BoxRecord } from './box/schema';
import { photoSchema, type PhotoRecord } from './photo/schema';
import { guessSchema, type GuessRecord } from './guess/schema';
import { groupSchema, type GroupRecord } from './group/schema';
import { makerSchema, type MakerRecord } from './maker/schema';
import { modelSchema, type ModelRecord } from './model/schema';
import { packetSchema, type PacketRecord } from './packet/schema';
import { materialSchema, type MaterialRecord } from './material/schema';
import { dressingRecordSchema, type DressingRecord } from './dressing/schema';
import { settingsSchema, type SettingsRecord } from './settings/schema';
import { deviceSchema, type DeviceRecord } from './device/schema';
import type { Schema } from 'yup';

/** The kinds of record, their schema version and schema. A kind's version grows when its shape changes; see migrate.ts. */
export const KINDS = {
  sample: { version: 4, schema: sampleSchema },
  match: { version: 3, schema: matchSchema },
  fly: { version: 2, schema: flySchema },
  box: { version: 1, schema: boxSchema },
  photo: { version: 2, schema: photoSchema },
  guess: { version: 1, schema: guessSchema },
  group: { version: 1, schema: groupSchema },
  maker: { version: 2, schema: makerSchema },
  model: { version: 2, schema: modelSchema },
  packet: { version: 1, schema: packetSchema },
  material: { version: 1, schema: materialSchema },
  dressing: { version: 2, schema: dressingRecordSchema },
  settings: { version: 4, schema: settingsSchema },
  device: { version: 3, schema: deviceSchema },
} satisfies Record<string, { version: number; schema: Schema }>;

export type Kind = keyof typeof KINDS;

export interface RecordTypes {
  sample: SampleRecord;
  match: MatchRecord;
  fly: FlyRecord;
  box: BoxRecord;
  photo: PhotoRecord;
  guess: GuessRecord;
  group: GroupRecord;
  maker: MakerRecord;
  model: ModelRecord;
  packet: PacketRecord;
  material: MaterialRecord;
  dressing: DressingRecord;
  settings: SettingsRecord;
  device: DeviceRecord;
}

/** Every record, by kind and id. */
export type Entities = { [K in Kind]: Record<string, RecordTypes[K]> };

export function noEntities(): Entities {
  return { sample: {}, match: {}, fly: {}, box: {}, photo: {}, guess: {}, group: {}, maker: {}, model: {}, packet: {}, material: {}, dressing: {}, settings: {}, device: {} };
}
