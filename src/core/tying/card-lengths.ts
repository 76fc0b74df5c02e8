import { hookLength, landmarks, pinnedPathFactor, usualBead, beadPlace, type StageRow } from '../hooks';
import type { HookAnswer, StyleInUse } from '../hook-score';
import type { CardNatural } from './card-input';
import type { LayOutInput } from './lay-out';

/** Width of a bodkin until the tier sets it, mm. */
const TOOL_MM = 1.0;

/** The lengths a dressing's parts are shares of, on one hook, with the landmarks and where a bead stands; mm. Source: formulas §5, §6. */
export function lengthsOn(hook: HookAnswer, use: StyleInUse, natural: CardNatural | null, stage: StageRow) {
  const naturalMm = natural?.measuredMm ?? hook.carry_mm / use.style.share;
  const beadMm = use.bead === null ? 0 : (use.bead.diameter_mm ?? usualBead(hook.gape_mm, hook.bend));
  const pathMm = pinnedPathFactor(use.style, hook.bend).factor * use.pathShare * hook.shank_mm;
  const bead = beadPlace({ bend: hook.bend, beadMm, seatMm: use.seatEyes * hook.eye_mm });
  const marks = landmarks({
    shankMm: hook.shank_mm,
    gapeMm: hook.gape_mm,
    eyeMm: hook.eye_mm,
    pathMm,
    behindBeadMm: bead.rearMm,
  });
  const hookMm = hookLength(hook.shank_mm, hook.gape_mm, hook.wire_mm);
  const lengths: LayOutInput['lengths'] = {
    shank: hook.shank_mm,
    'hook-length': hookMm,
    overall: hookMm + hook.eye_mm,
    gape: hook.gape_mm,
    eye: hook.eye_mm,
    fly: pathMm,
    natural: naturalMm,
    bead: beadMm,
    girth: natural?.bodyWidthMm ?? stage.girth * naturalMm,
    tool: TOOL_MM,
    landmarks: marks,
  };
  return { lengths, beadMm, pathMm, bead, marks };
}
