import type { AmountUnit, PartId } from '@/catalogue/ids';
import type { BaseSpec, Station } from '../dressings';
import type { WayPart, WayRule, WayShare } from './way';

/** Signs of bases in a line. */
const SIGNS: Record<string, string> = {
  S: 'shank',
  H: 'hook-length',
  HE: 'overall',
  G: 'gape',
  E: 'eye',
  A: 'abdomen',
  F: 'fly',
  N: 'natural',
  D: 'bead',
  Q: 'girth',
};
const SIGN_OF: Record<string, string> = Object.fromEntries(Object.entries(SIGNS).map(([sign, base]) => [base, sign]));
const NUMBER = '-?\\d*\\.?\\d+';
const RULE = new RegExp(`^(${NUMBER})(?:\\[(${NUMBER})-(${NUMBER})\\])?\\*?([A-Za-z][\\w./-]*)$`);
const REACH = new RegExp(`^([a-z-]+?)([+-]\\d*\\.?\\d+)(?:\\[(${NUMBER})\\.\\.(${NUMBER})\\])?([A-Z]+)$`);
/** Range of a rule that gives none: a tenth either way. */
const SLACK = 0.1;
const WORDS = [
  'thick',
  'wide',
  'long',
  'least',
  'tip',
  'by',
  'trim',
  'lock',
  'kind',
  'metal',
  'coat',
  'tint',
  'school',
  'unit',
] as const;

const round = (value: number) => Number(value.toFixed(6));

function baseOf(sign: string): BaseSpec {
  if (sign === 'rest') return 'rest';
  return SIGNS[sign] ?? (sign.includes('..') ? `landmark:${sign}` : `part:${sign}`);
}

function signOf(base: BaseSpec): string {
  return SIGN_OF[base] ?? base.replace(/^(part|landmark):/, '');
}

function readRule(text: string): WayRule | null {
  if (text === 'rest') return { base: 'rest', factor: 1, low: 1 - SLACK, high: 1 };
  const found = RULE.exec(text);
  if (!found) return null;
  const factor = Number(found[1]);
  return {
    base: baseOf(found[4]!),
    factor,
    low: found[2] === undefined ? round(factor * (1 - SLACK)) : Number(found[2]),
    high: found[3] === undefined ? round(factor * (1 + SLACK)) : Number(found[3]),
  };
}

/** `tip bend-start+0.2S`: the end is the rule, its length follows from where it is bound. */
function readReach(text: string): WayRule | null {
  const found = REACH.exec(text);
  if (!found) return null;
  const factor = Number(found[2]);
  return {
    base: `reach:${found[1]}:${SIGNS[found[5]!] ?? 'shank'}`,
    factor,
    low: found[3] === undefined ? round(factor - SLACK) : Number(found[3]),
    high: found[4] === undefined ? round(factor + SLACK) : Number(found[4]),
  };
}

const isDefault = (rule: WayRule) =>
  rule.low === round(rule.factor * (1 - SLACK)) && rule.high === round(rule.factor * (1 + SLACK));

function printRule(rule: WayRule): string {
  if (rule.base.startsWith('reach:')) {
    const [, mark, base] = rule.base.split(':') as [string, string, string];
    const range =
      rule.low === round(rule.factor - SLACK) && rule.high === round(rule.factor + SLACK)
        ? ''
        : `[${rule.low}..${rule.high}]`;
    return `${mark}${rule.factor < 0 ? '' : '+'}${rule.factor}${range}${signOf(base)}`;
  }
  if (rule.base === 'rest' && rule.factor === 1 && rule.low === 1 - SLACK && rule.high === 1) return 'rest';
  return `${rule.factor}${isDefault(rule) ? '' : `[${rule.low}-${rule.high}]`}${rule.base.startsWith('part:') || rule.base.startsWith('landmark:') || rule.base === 'rest' ? '*' : ''}${signOf(rule.base)}`;
}

const readShare = (text: string): WayShare | null => {
  const rule = readRule(text);
  return rule && { base: rule.base, factor: rule.factor };
};
const printShare = ({ base, factor }: WayShare) =>
  printRule({ base, factor, low: round(factor * (1 - SLACK)), high: round(factor * (1 + SLACK)) });

const STATION_WORDS: ReadonlySet<string> = new Set([
  'tie-down',
  'front',
  'collar',
  'head',
  'behind-eye',
  'one-eye',
  'two-eyes',
  'one-third',
  'mid-shank',
  'two-thirds',
  'hook-point',
  'barb',
  'bend-start',
  'into-bend',
  'behind-bead',
]);

function readStation(text: string): Station {
  const plus = /^(.*?)([+-]\d*\.?\d+)([A-Z]+)$/.exec(text);
  const mark = plus ? plus[1]! : text;
  return `${STATION_WORDS.has(mark) || mark.startsWith('part:') ? mark : `part:${mark}`}${plus ? `${plus[2]}${SIGNS[plus[3]!]}` : ''}`;
}

function printStation(station: Station): string {
  const plus = /^(.*?)([+-]\d*\.?\d+)([a-z-]+)$/.exec(station);
  const whole = plus ? plus[1]! : station;
  // A part that is called like a place keeps its mark.
  const bare = whole.replace(/^part:/, '');
  const mark = STATION_WORDS.has(bare) ? whole : bare;
  return `${mark}${plus ? `${plus[2]}${SIGN_OF[plus[3]!]}` : ''}`;
}

const EMPTY: Omit<WayPart, 'id' | 'what' | 'way'> = {
  of: [],
  count: null,
  spare: null,
  from: null,
  to: null,
  long: null,
  least: null,
  thick: null,
  wide: null,
  unit: 'count',
  by: null,
  trim: null,
  lock: null,
  kind: null,
  metal: null,
  counter: false,
  coat: null,
  tint: null,
  region: null,
  school: null,
  optional: false,
};

export interface LineFault {
  code: 'line-short' | 'line-word';
  got: string;
}

/** One part from its line: `id[:what] way material[+material] [xN[+spare]|xnatural] [from>to] [word value]… [@region] [?]`. The faults where it cannot be read. */
export function readPart(line: string): WayPart | LineFault {
  const words = line.trim().split(/\s+/);
  const [name, way, of, ...rest] = words;
  if (!name || !way || !of) return { code: 'line-short', got: line };
  const [id, what] = name.split(':') as [string, string | undefined];
  const part: WayPart = { ...EMPTY, id, what: (what ?? id) as PartId, way, of: of.split('+') };
  while (rest.length > 0) {
    const word = rest.shift()!;
    if (WORDS.includes(word as (typeof WORDS)[number])) {
      const value = rest.shift();
      if (value === undefined || !setWord(part, word as (typeof WORDS)[number], value))
        return { code: 'line-word', got: `${word} ${value ?? ''}`.trim() };
    } else if (!setBare(part, word)) return { code: 'line-word', got: word };
  }
  return part;
}

function setWord(part: WayPart, word: (typeof WORDS)[number], value: string): boolean {
  switch (word) {
    case 'thick':
    case 'wide':
    case 'least':
      part[word] = readShare(value);
      return part[word] !== null;
    case 'long':
      part.long = readRule(value);
      return part.long !== null;
    case 'tip':
      part.long = readReach(value);
      return part.long !== null;
    case 'by':
      part.by = value as WayPart['by'];
      return true;
    case 'trim':
      part.trim = value as WayPart['trim'];
      return true;
    case 'lock':
      part.lock = value as WayPart['lock'];
      return true;
    case 'kind':
      part.kind = value as WayPart['kind'];
      return true;
    case 'metal':
      part.metal = value as WayPart['metal'];
      return true;
    case 'unit':
      part.unit = value as AmountUnit;
      return true;
    default:
      part[word] = value;
      return true;
  }
}

function setBare(part: WayPart, word: string): boolean {
  const times = /^x(\d+|natural)(?:\+(\d+))?$/.exec(word);
  if (times) {
    part.count = times[1] === 'natural' ? 'natural' : Number(times[1]);
    part.spare = times[2] === undefined ? null : Number(times[2]);
    return true;
  }
  if (word === 'counter') part.counter = true;
  else if (word === '?') part.optional = true;
  else if (word.startsWith('@')) part.region = word.slice(1) as WayPart['region'];
  else if (word.includes('>')) {
    const [from, to] = word.split('>') as [string, string];
    if (from !== '') part.from = readStation(from);
    const rule = readRule(to);
    if (rule && !STATION_WORDS.has(to)) {
      part.to = 'forward';
      part.long = rule;
    } else if (to !== '') part.to = readStation(to);
  } else if (/^[a-z]/.test(word)) part.from = readStation(word);
  else return false;
  return true;
}

/** The line of a part; `readPart` gives the part back. */
export function printPart(part: WayPart): string {
  const words = [part.what === part.id ? part.id : `${part.id}:${part.what}`, part.way, part.of.join('+')];
  if (part.count !== null) words.push(`x${part.count}${part.spare === null ? '' : `+${part.spare}`}`);
  const from = part.from === null ? '' : printStation(part.from);
  if (part.to === 'forward' && part.long) words.push(`${from}>${printRule(part.long)}`);
  else if (part.to !== null) words.push(`${from}>${printStation(part.to)}`);
  else if (from !== '') words.push(from);
  if (part.long && part.to !== 'forward')
    words.push(part.long.base.startsWith('reach:') ? 'tip' : 'long', printRule(part.long));
  for (const word of ['least', 'thick', 'wide'] as const) if (part[word]) words.push(word, printShare(part[word]!));
  for (const word of ['by', 'trim', 'lock', 'kind', 'metal', 'coat', 'tint', 'school'] as const)
    if (part[word] !== null) words.push(word, part[word]!);
  if (part.unit !== 'count') words.push('unit', part.unit);
  if (part.counter) words.push('counter');
  if (part.region !== null) words.push(`@${part.region}`);
  if (part.optional) words.push('?');
  return words.join(' ');
}
