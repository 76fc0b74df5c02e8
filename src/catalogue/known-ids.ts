import type * as Ids from './ids';
import ids from './ids.json';

/** Kinds of id as lists of values, typed by the unions of ids.ts. */
const list = <T extends string>(entries: readonly { id: string }[]) => entries.map((entry) => entry.id as T);

export const KNOWN = {
  orders: list<Ids.OrderId>(ids.orders),
  stages: list<Ids.StageId>(ids.stages),
  styles: list<Ids.StyleId>(ids.styles),
  regions: list<Ids.RegionId>(ids.regions),
  surfaces: list<Ids.SurfaceId>(ids.surfaces),
  parts: list<Ids.PartId>(ids.parts),
  functions: list<Ids.FunctionId>(ids.functions),
  bases: list<string>(ids.bases),
  landmarks: list<Ids.LandmarkId>(ids.landmarks),
  rides: list<Ids.RideId>(ids.rides),
  levels: list<Ids.LevelId>(ids.levels),
  beadLocks: list<Ids.BeadLock>(ids['bead-locks']),
  amountUnits: list<Ids.AmountUnit>(ids['amount-units']),
  bankChanges: list<Ids.BankChangeId>(ids['bank-changes']),
  waters: list<Ids.WaterId>(ids.waters),
  barbRules: list<Ids.BarbRuleId>(ids['barb-rules']),
  bends: list<Ids.BendId>(ids.bends),
  eyes: list<Ids.EyeId>(ids.eyes),
  points: list<Ids.PointId>(ids.points),
  barbs: list<Ids.BarbId>(ids.barbs),
  wires: list<Ids.WireId>(ids.wires),
  sources: list<Ids.Source>(ids.sources),
  verbs: list<Ids.VerbId>(ids.verbs),
  cautions: list<Ids.CautionId>(ids.cautions),
  methods: list<Ids.Method>(ids.methods),
  intents: list<Ids.IntentId>(ids.intents),
  units: list<Ids.UnitId>(ids.units),
  seen: list<Ids.SeenId>(ids.seen),
  riseForms: list<Ids.RiseFormId>(ids['rise-forms']),
  faunas: list<Ids.FaunaId>(ids.faunas),
  themes: list<Ids.ThemeId>(ids.themes),
  sexes: list<Ids.SexId>(ids.sexes),
  moves: list<Ids.MoveId>(ids.moves),
  evidence: list<Ids.Evidence>(ids.evidence),
  found: list<Ids.FoundId>(ids.found),
  doing: list<Ids.DoingId>(ids.doing),
} as const;
