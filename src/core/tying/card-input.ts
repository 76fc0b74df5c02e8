import type { RegionId, StageId } from '@/catalogue/ids';
import type { Dressing, Picking, Tool } from '../dressings';
import type { StageRow } from '../hooks';
import type { HookAnswer, StyleInUse, TyingChoices } from '../hook-score';
import type { Material } from '../materials';
import type { Way } from '../ways';
import type { NamedColour } from '../card/card-shape';

/** What the natural gives to a card; absent when a card is made from a dressing and a hook alone. */
export interface CardNatural {
  stage: StageId;
  measuredMm: number;
  bodyWidthMm: number;
  colours: Partial<Record<RegionId, NamedColour>>;
  /** Tails it may have; empty where nothing says so. */
  tails: readonly number[];
}

export interface CardInput {
  dressing: Dressing;
  hook: HookAnswer;
  use: StyleInUse;
  catalogue: {
    stages: readonly StageRow[];
    materials: readonly Material[];
    ways: readonly Way[];
    tools?: readonly Tool[];
  };
  natural: CardNatural | null;
  choices: TyingChoices & { picking?: Pick<Picking, 'stash' | 'hooks' | 'tools'> };
  /** Flies to tie; null for a card without a batch. */
  count: number | null;
}
