import type { BarbId, BarbRuleId, BendId, EyeId, SchoolOption, WireId } from '@/catalogue/ids';
import type { Reason } from '../code';
import type { HookDimension } from '../hooks';

export type Schools = Partial<SchoolOption>;

/** What the tier chose of how a fly is tied, whatever it is tied for. */
export interface TyingChoices {
  barbRule: BarbRuleId;
  schools: Schools;
  hand: SchoolOption['hand'];
  /** Parts and switches left out. */
  without: readonly string[];
  /** Switches turned on that are off as a rule. */
  added: readonly string[];
  /** Materials chosen by hand for the card: by `dressing/material`, the one it is tied in instead. */
  swaps: Readonly<Record<string, string>>;
}

/** A hook against a style and a natural: the shape of docs/cli.md, codes in place of words. */
export interface HookAnswer {
  id: string;
  maker: string;
  maker_name: string;
  model: string;
  model_name: string;
  size: string;
  bend: BendId;
  eye: EyeId;
  barb: BarbId;
  wire: WireId;
  shank_mm: number;
  gape_mm: number;
  bite_mm: number | null;
  wire_mm: number;
  eye_mm: number;
  mass_mg: number | null;
  carry_mm: number;
  room_mm: number;
  reads: number;
  reads_gape: number;
  target_mm: number | null;
  length_steps: number | null;
  steps: number | null;
  probability: number | null;
  share: number | null;
  owned: number;
  estimated: HookDimension[];
  pinned: boolean;
  reasons: Reason[];
}
