import { endedAt } from '../body/ends';
import { lengthOf, spaced } from '../body/midline';
import type { ImagePoint } from '../card';
import { alongLine, curveThrough, shareNear } from './curve';
import { turnedRound, type Trace } from './corrected';

/** A tap this far off the line, against the greatest width, says that the line lies on something else. */
const ASTRAY = 0.75;
/** From here on a tap lies beyond the line's end, and before here on its other half. */
const AT_END = 0.999;
const OTHER_HALF = 0.4;

/**
 * A trace whose body ends where it was tapped, mm of the card: `which` of its ends, the head being the first node. What was found is kept up to there, or carried on to
 * it; a tap well beside the line says that it lies on a wing or a leg, and the trace goes straight from its other end; one on its other half says that head and end were
 * taken for one another.
 */
export function endShown(trace: Trace, which: 'head' | 'end', at: ImagePoint, widthMm: number): Trace {
  const { nodes, cuts } = trace;
  const line = curveThrough(which === 'end' ? nodes : [...nodes].reverse());
  const { share, off } = shareNear(line, at);
  const far = ([x, y]: ImagePoint) => Math.hypot(x - at[0], y - at[1]);
  const other = off <= ASTRAY * widthMm ? share < OTHER_HALF : far(line[0]!) < far(line[line.length - 1]!);
  if (other) return endShown(turnedRound(trace), which, at, widthMm);
  const end = line[line.length - 1]!;
  const ahead = share >= AT_END;
  const { direction } = alongLine(line, 1);
  const aside = ahead ? Math.abs((at[0] - end[0]) * direction[1] - (at[1] - end[1]) * direction[0]) : off;
  const kept =
    aside > ASTRAY * widthMm ? [line[0]!] : ahead ? line : endedAt(line, share * lengthOf(line)).slice(0, -1);
  const whole = [...kept, at];
  const moved = spaced(whole, lengthOf(whole) / (nodes.length - 1));
  return { nodes: which === 'end' ? moved : moved.reverse(), cuts };
}
