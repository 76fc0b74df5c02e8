export {
  colourOfTap,
  lengthByHand,
  neutralOf,
  scaleOfFour,
  scaleOfTwo,
  type HandScale,
  type Neutral,
  type Tapped,
} from './by-hand';
export {
  colourAt,
  outlineOf,
  traceOf,
  tracedColours,
  tracedLength,
  turnedRound,
  USUAL_CUTS,
  widthAlong,
  withCut,
  type Cuts,
  type Trace,
  type Traced,
} from './corrected';
export { alongLine, curveThrough, nodesOf, shareNear } from './curve';
export { endShown } from './shown';
