import { reason, type Coded } from '../code';
import { readSizeLabel } from './size-label';

/** One packet: the size on it and how many hooks are in it; null takes the usual count. */
export interface PacketSize {
  size: string;
  count: number | null;
}

export interface PacketLine {
  /** What was written before the sizes: maker and model, or nothing for those of the line before. */
  words: string;
  sizes: PacketSize[];
  faults: Coded[];
}

/** A range of sizes and which of them: every stocked one, even or odd ones. */
interface SizeRange {
  from: number;
  to: number;
  of: 'stocked' | 'even' | 'odd';
}

const COUNT = /^[x×*](\d{1,5})$/i;
const SIZED = /^(.+?)[x×*](\d{1,5})$/i;
const RANGE = /^(\d{1,2}(?:\/0)?)[-–](\d{1,2}(?:\/0)?)$/;

function numberOf(label: string): number | null {
  const size = readSizeLabel(label);
  return size.kind === 'number' ? size.n : null;
}

function labelOf(n: number): string {
  return n >= 1 ? String(n) : `${1 - n}/0`;
}

/** Sizes of a range: those the model stocks; where none is known, every second number when both ends are even, or both odd. */
function spread({ from, to, of }: SizeRange, stocked: readonly string[]): string[] {
  const [low, high] = [Math.min(from, to), Math.max(from, to)];
  const among = stocked.filter((label) => {
    const n = numberOf(label);
    return n !== null && n >= low && n <= high && (of === 'stocked' || (n % 2 === 0) === (of === 'even'));
  });
  if (among.length > 0) return among;
  const step = of === 'stocked' && (low - high) % 2 !== 0 ? 1 : 2;
  const start = of === 'stocked' || (low % 2 === 0) === (of === 'even') ? low : low + 1;
  const labels: string[] = [];
  for (let n = start; n <= high; n += step) labels.push(labelOf(n));
  return labels;
}

/**
 * A line of the packet pad: `lark 10 12 14 16 ×25`, `12-18 even x20`, `fine 13x10 15x25`, `V45 V50`. Words before the first size name
 * maker and model. A count after all sizes holds for those without one of their own. `stocked` are the labels of the model, for ranges.
 */
export function readPacketLine(text: string, stocked: readonly string[] = []): PacketLine {
  const tokens = text
    .trim()
    .split(/[\s,;]+/)
    .filter(Boolean);
  const isSize = (token: string) =>
    readSizeLabel(token).kind !== 'text' ||
    RANGE.test(token) ||
    (SIZED.test(token) && readSizeLabel(SIZED.exec(token)![1]!).kind !== 'text');
  const begins = tokens.findIndex((token) => isSize(token) || COUNT.test(token));
  const words = (begins < 0 ? tokens : tokens.slice(0, begins)).join(' ');
  const sizes: PacketSize[] = [];
  const faults: Coded[] = [];
  let range: { at: number; range: SizeRange } | null = null;
  for (const token of begins < 0 ? [] : tokens.slice(begins)) {
    const all = COUNT.exec(token);
    const own = SIZED.exec(token);
    const between = RANGE.exec(token);
    const parity = /^(even|odd|evens|odds)$/i.exec(token);
    if (all) {
      for (const item of sizes) item.count ??= Number(all[1]);
      range = null;
    } else if (parity && range) {
      const of = parity[1]!.toLowerCase().startsWith('even') ? 'even' : 'odd';
      sizes.splice(
        range.at,
        sizes.length - range.at,
        ...spread({ ...range.range, of }, stocked).map((size) => ({ size, count: null })),
      );
      range = null;
    } else if (between) {
      range = { at: sizes.length, range: { from: numberOf(between[1]!)!, to: numberOf(between[2]!)!, of: 'stocked' } };
      sizes.push(...spread(range.range, stocked).map((size) => ({ size, count: null })));
    } else if (own && readSizeLabel(own[1]!).kind !== 'text') sizes.push({ size: own[1]!, count: Number(own[2]) });
    else if (readSizeLabel(token).kind !== 'text') sizes.push({ size: token, count: null });
    else faults.push(reason('packet-token', { got: token }));
  }
  const twice = sizes.find((item, index) => sizes.findIndex((other) => other.size === item.size) < index);
  if (twice) faults.push(reason('packet-twice', { size: twice.size }));
  return { words, sizes, faults };
}

/** Lines pasted from a spreadsheet: maker, model, size and count in cells, with or without a heading line; other lines as they are written in the pad. */
export function readPastedPackets(text: string): string[] {
  const lines = text.split(/\r?\n/).filter((line) => line.trim() !== '');
  const cellsOf = (line: string) => line.split('\t').map((cell) => cell.trim());
  const heads = cellsOf(lines[0] ?? '').map((cell) => cell.toLowerCase());
  const place = (...names: string[]) => heads.findIndex((head) => names.includes(head));
  const headed = place('size') >= 0 && place('model') >= 0;
  const at = headed
    ? {
        maker: place('maker'),
        model: place('model'),
        size: place('size'),
        count: place('count', 'quantity', 'qty', 'hooks'),
      }
    : { maker: 0, model: 1, size: 2, count: 3 };
  return lines.slice(headed ? 1 : 0).map((line) => {
    if (!line.includes('\t')) return line.trim();
    const cells = cellsOf(line);
    const cell = (index: number) => (index < 0 ? '' : (cells[index] ?? ''));
    const count = cell(at.count);
    return [cell(at.maker), cell(at.model), cell(at.size), count === '' ? '' : `x${count}`].filter(Boolean).join(' ');
  });
}

/** A model that a line may mean. */
export interface NamedModel {
  id: string;
  makerName: string;
  modelName: string;
}

/** Models whose names begin with what was typed, every word of it; exact words and shorter names first. */
export function findModels<M extends NamedModel>(words: string, models: readonly M[]): M[] {
  const wanted = words
    .toLowerCase()
    .split(/[\s-]+/)
    .filter(Boolean);
  if (wanted.length === 0) return [];
  return models
    .flatMap((model) => {
      const names = `${model.makerName} ${model.modelName}`.toLowerCase().split(/[\s-]+/);
      if (!wanted.every((word) => names.some((name) => name.startsWith(word)))) return [];
      const exact = wanted.filter((word) => names.includes(word)).length;
      const own = model.modelName.toLowerCase().startsWith(wanted[wanted.length - 1]!) ? 1 : 0;
      return [{ model, score: 2 * exact + own - names.length * 0.1 }];
    })
    .sort((a, b) => b.score - a.score)
    .map(({ model }) => model);
}
