export { readMillimetres, parseLength, type BareUnit, type ParsedLength } from './parse-length';
export { formatLength, formatSpread, type LengthText, type LengthUnit } from './format-length';
export { roundAll } from './round-significant';
