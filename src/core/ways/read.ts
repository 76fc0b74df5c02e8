import type { Coded } from '../code';
import { completeHead, ordered, without, writtenHead, type Dressing } from '../dressings';
import { printPart, readPart } from './text';
import type { WayDressing } from './way';

/** A dressing of parts and ways as it is written: parts are lines, the order is one; what equals its default is left out. */
export type WrittenWayDressing = Pick<
  WayDressing,
  'id' | 'rev' | 'name' | 'stages' | 'style' | 'ride' | 'waters' | 'length_mm' | 'skill' | 'evidence'
> &
  Partial<Omit<WayDressing, 'parts' | 'order'>> & { parts: string[]; order: string };

const defaults = (): Omit<
  WayDressing,
  | keyof Pick<
      Dressing,
      'id' | 'rev' | 'name' | 'stages' | 'style' | 'ride' | 'waters' | 'length_mm' | 'skill' | 'evidence'
    >
  | 'parts'
  | 'order'
> => ({
  levels: [],
  size_by_water: {},
  hooks: [],
  months: [],
  groups: [],
  minutes: null,
  taper: 'none',
  work_order: null,
  protection: 'none',
  finish: 'tidy',
  threads: [],
  switches: [],
  bank: [],
  claims: [],
  parent: null,
  changes: [],
  notes: {},
});

const ORDER = [
  'id',
  'rev',
  'name',
  'stages',
  'style',
  'ride',
  'levels',
  'waters',
  'size_by_water',
  'hooks',
  'months',
  'groups',
  'length_mm',
  'minutes',
  'skill',
  'evidence',
  'taper',
  'work_order',
  'protection',
  'finish',
  'threads',
  'parts',
  'order',
  'notes',
  'switches',
  'bank',
  'claims',
  'parent',
  'changes',
] as const;

/** Whether what was read from a file is a dressing of ways: its parts are lines. */
export function isWritten(value: unknown): value is WrittenWayDressing {
  return (
    typeof value === 'object' &&
    value !== null &&
    Array.isArray((value as { parts?: unknown }).parts) &&
    (value as { parts: unknown[] }).parts.every((part) => typeof part === 'string') &&
    typeof (value as { order?: unknown }).order === 'string'
  );
}

/** A written dressing with its lines read and every default in its place; the faults of lines that cannot be read. */
export function readWays(written: WrittenWayDressing): { record: WayDressing; faults: Coded[] } {
  const faults: Coded[] = [];
  const parts = written.parts.flatMap((line) => {
    const read = readPart(line);
    if (!('code' in read)) return [read];
    faults.push({ code: read.code, params: { got: read.got, line } });
    return [];
  });
  const filled = { ...defaults(), ...written };
  return {
    faults,
    record: {
      ...filled,
      ...completeHead(written),
      parts,
      order: written.order
        .split(',')
        .map((token) => token.trim())
        .filter((token) => token !== ''),
    },
  };
}

/** A dressing of ways as it is written; `readWays` gives it back. */
export function writeWays(record: WayDressing): WrittenWayDressing {
  return ordered(
    without(
      { ...record, ...writtenHead(record), parts: record.parts.map(printPart), order: record.order.join(', ') },
      defaults(),
    ),
    ORDER,
  ) as unknown as WrittenWayDressing;
}
