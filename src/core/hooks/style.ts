import type {
  BendId,
  FaceId,
  LandmarkId,
  OrderId,
  RegionId,
  RideId,
  StageId,
  StyleId,
  TraitId,
  WireId,
} from '@/catalogue/ids';

/** How a fly carries the natural: a row of ids, Styles. Lengths as multiples of the shank; reserve in eyes. */
export interface Style {
  id: StyleId;
  measure: 'body' | 'case' | 'overall' | 'raft';
  share: number;
  tieDown: { landmark: LandmarkId; degrees: number | null };
  path: { straight: number | null; 'curved-shank': number | null; 'continuous-curve': number | null };
  eye: 0 | 1;
  bends: BendId[];
  wire: WireId[];
  reserve: number;
}

/** Whether a style is held up by the film: such a fly is never tied on a hook that hangs point up under weight, unless it is pinned. Source: formulas §4. */
export function floats(style: Pick<Style, 'id' | 'wire'>): boolean {
  return style.wire.includes('light') || style.id === 'hanging-emerger';
}

/** A life stage and its defaults: a row of ids, Stages. `girth` is greatest width / body length. */
export interface StageRow {
  id: StageId;
  name: string;
  order: OrderId;
  stage: string;
  style: StyleId;
  face: FaceId;
  girth: number;
  ride: RideId;
  /** What a stage is beside its style: what it may have, how it is held, how it is measured. */
  traits: readonly TraitId[];
  /** Stages that a fish catches more easily, which a fly may be on purpose. Source: domain §13. */
  easier: readonly StageId[];
  /** Regions whose colours are asked for, in the order they are asked. */
  regions: readonly RegionId[];
}
