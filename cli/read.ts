import { readFileSync, statSync } from 'node:fs';
import { closest } from 'fastest-levenshtein';
import ids from '../src/catalogue/ids.json';
import { parseColour } from '../src/core/colour';
import { parseLength, type BareUnit } from '../src/core/units';
import { inputFault, type Args, type InputFault } from './args';

interface Entry {
  id: string;
  name: string;
  alias?: string[];
}

const MAX_FILE_BYTES = 32 * 1024 * 1024;

/** Typed access to the flags of one command; every fault goes to `faults`. */
export class Reader {
  readonly faults: InputFault[];
  readonly unit: BareUnit;

  constructor(private readonly args: Args) {
    this.faults = args.faults;
    const unit = this.one('unit');
    if (unit !== null && unit !== 'mm' && unit !== 'in')
      this.fault(inputFault('unit', 'not-one-of', unit, { params: { allowed: 'mm, in' }, allowed: ['mm', 'in'] }));
    this.unit = unit === 'in' ? 'in' : 'mm';
  }

  fault(fault: InputFault): null {
    this.faults.push(fault);
    return null;
  }

  has(name: string): boolean {
    return this.args.switches.has(name);
  }

  one(name: string): string | null {
    return this.args.values.get(name)?.[0] ?? null;
  }

  many(name: string): string[] {
    return this.args.values.get(name) ?? [];
  }

  get words(): string[] {
    return this.args.words;
  }

  needed(name: string): void {
    if (this.one(name) === null && !this.faults.some((fault) => fault.field === name))
      this.fault(inputFault(name, 'flag-missing', null));
  }

  /** An id by id, name or alias in any case. */
  id<T extends string>(field: string, text: string | null, entries: readonly Entry[]): T | null {
    if (text === null) return null;
    const wanted = text.trim().toLowerCase();
    const words = (entry: Entry) => [entry.id, entry.name, ...(entry.alias ?? [])].map((word) => word.toLowerCase());
    const found = entries.find(
      (entry) => words(entry).includes(wanted) || words(entry).includes(wanted.replace(/\s+/g, '-')),
    );
    if (found) return found.id as T;
    const allowed = entries.map((entry) => entry.id);
    return this.fault(inputFault(field, 'not-one-of', text, { params: { allowed: allowed.join(', ') }, allowed }));
  }

  flagId<T extends string>(name: string, entries: readonly Entry[]): T | null {
    return this.id<T>(name, this.one(name), entries);
  }

  length(field: string, text: string | null): number | null {
    if (text === null) return null;
    const parsed = parseLength(text, this.unit);
    if (parsed.ok) return parsed.mm;
    return this.fault(inputFault(field, parsed.fault.code, text, { params: parsed.fault.params }));
  }

  lengths(name: string): number[] {
    return this.many(name).flatMap((text) => this.length(name, text) ?? []);
  }

  number(name: string, [low, high]: readonly [number, number], whole: boolean): number | null {
    const text = this.one(name);
    if (text === null) return null;
    const value = /^[-+−]?\d+([.,]\d+)?$/.test(text.trim())
      ? Number(text.trim().replace('−', '-').replace(',', '.'))
      : NaN;
    if (!Number.isFinite(value) || (whole && !Number.isInteger(value)))
      return this.fault(inputFault(name, 'number-unread', text));
    if (value < low || value > high)
      return this.fault(inputFault(name, 'number-range', text, { params: { low, high } }));
    return value;
  }

  colour(field: string, text: string | null) {
    if (text === null) return null;
    const colour = parseColour(text);
    return colour ?? this.fault(inputFault(field, 'colour-unread', text));
  }

  /** The text of a file, `-` for stdin; over 32 MB refused. */
  file(field: string, path: string): string | null {
    try {
      if (path !== '-' && statSync(path).size > MAX_FILE_BYTES)
        return this.fault(inputFault(field, 'file-large', path));
      const text = readFileSync(path === '-' ? 0 : path, 'utf8');
      if (text.length > MAX_FILE_BYTES) return this.fault(inputFault(field, 'file-large', path));
      return text;
    } catch {
      return this.fault(inputFault(field, 'file-missing', path));
    }
  }

  /** Order and stage together: `--stage dun`, `--stage mayfly/dun`, an alias. */
  stage(): string | null {
    const order = this.flagId<string>('order', ids.orders);
    const text = this.one('stage');
    if (text === null) return null;
    if (this.one('order') !== null && order === null) return null;
    const pool = ids.stages
      .filter((stage) => order === null || stage.order === order)
      .map((stage) => ({
        id: stage.id,
        name: stage.name,
        alias: [stage.stage, stage.stage.replaceAll('-', ' '), ...stage.alias],
      }));
    const wanted = text.trim().toLowerCase();
    const matching = pool.filter((stage) =>
      [stage.id, stage.name, ...stage.alias].some(
        (word) => word.toLowerCase() === wanted || word.toLowerCase() === wanted.replace(/\s+/g, '-'),
      ),
    );
    // A stage's own id goes before another stage's alias ("spent-spinner" is an alias, "spent" an id).
    const exact = matching.filter((stage) => stage.id === wanted || stage.id.endsWith(`/${wanted}`));
    const found = exact.length > 0 ? exact : matching;
    if (found.length === 1) return found[0]!.id;
    if (found.length > 1)
      return this.fault(
        inputFault('order', 'stage-needs-order', text, { allowed: found.map((stage) => stage.id.split('/')[0]!) }),
      );
    const allowed = pool.map((stage) => (order === null ? stage.id : stage.id.split('/')[1]!));
    return this.fault(inputFault('stage', 'not-one-of', text, { params: { allowed: allowed.join(', ') }, allowed }));
  }

  nearest(text: string, from: readonly string[]): string {
    return closest(text, from as string[]);
  }
}
