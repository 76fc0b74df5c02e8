import ids from '../src/catalogue/ids.json';

/** Name of the union type of each kind of id. */
const TYPE_NAMES: Record<keyof typeof ids, string> = {
  orders: 'OrderId',
  stages: 'StageId',
  traits: 'TraitId',
  styles: 'StyleId',
  regions: 'RegionId',
  surfaces: 'SurfaceId',
  views: 'ViewId',
  faces: 'FaceId',
  parts: 'PartId',
  functions: 'FunctionId',
  bases: 'BaseId',
  landmarks: 'LandmarkId',
  rides: 'RideId',
  levels: 'LevelId',
  waters: 'WaterId',
  'water-kinds': 'WaterKindId',
  faunas: 'FaunaId',
  'barb-rules': 'BarbRuleId',
  bends: 'BendId',
  eyes: 'EyeId',
  points: 'PointId',
  barbs: 'BarbId',
  wires: 'WireId',
  makers: 'DemoMakerId',
  found: 'FoundId',
  doing: 'DoingId',
  seen: 'SeenId',
  lights: 'LightId',
  rigs: 'RigId',
  positions: 'PositionId',
  signs: 'SignId',
  schools: 'SchoolId',
  intents: 'IntentId',
  evidence: 'Evidence',
  sources: 'Source',
  readiness: 'Readiness',
  'colour-words': 'ColourWord',
  'length-methods': 'LengthMethod',
  sides: 'SideId',
  methods: 'Method',
  units: 'UnitId',
  themes: 'ThemeId',
  'thread-roles': 'ThreadRole',
  'weight-kinds': 'WeightKind',
  'amount-units': 'AmountUnit',
  'bead-locks': 'BeadLock',
  'vise-positions': 'VisePosition',
  frames: 'FrameId',
  verbs: 'VerbId',
  metals: 'MetalId',
  'bead-kinds': 'BeadKindId',
  'rise-forms': 'RiseFormId',
  cautions: 'CautionId',
  'stage-matches': 'StageMatch',
  sexes: 'SexId',
  moves: 'MoveId',
  'bank-changes': 'BankChangeId',
};

const union = (values: string[]) => values.map((value) => `'${value}'`).join(' | ');

/** The text of src/catalogue/ids.ts: one union type a kind, derived from ids.json. */
export function idsTypes(): string {
  const lines = ['// Written by `npm run ids:docs` from ids.json: do not edit.', ''];
  for (const [kind, name] of Object.entries(TYPE_NAMES)) {
    lines.push(`export type ${name} = ${union(ids[kind as keyof typeof ids].map((entry) => entry.id))};`);
  }
  lines.push('', '/** Every school and the options it can be set to. */', 'export interface SchoolOption {');
  for (const school of ids.schools)
    lines.push(
      `  ${/^[a-z]+$/.test(school.id) ? school.id : `'${school.id}'`}: ${union(school.options.map((option) => option.id))};`,
    );
  lines.push('}', '');
  return lines.join('\n');
}
