import { readJson } from '../archive/read-json';
import { materialOf, ownMaterialSchema, type Material } from '../materials';
import { dressingSchema, same, writtenDressing, type Dressing, type KnownIds } from '../dressings';
import { isWritten, readWays, recordOf, workOut, writeWays, type WaysCatalogue } from '../ways';

/** Version of the format that is written. 1 knew no switches, bundles, assemblies, tools or ancestry; 2 knew parts and steps written apart, and no ways. */
const DRESSINGS_VERSION = 3;

/** Three times the shipped library: each is worked out part by part, and more would take minutes. */
export const MOST_DRESSINGS = 500;

export interface DressingProblem {
  /** Id of the record, or its place in the file. */
  record: string;
  path: string | null;
  message: string;
}

export interface DressingsRead {
  dressings: Dressing[];
  /** Materials of the tier's own that came with them. */
  materials: Material[];
  problems: DressingProblem[];
  /** Records of the file, good and bad. */
  count: number;
  /** Why the file as a whole cannot be read; null when it can. */
  fault: 'file-unread' | 'file-newer' | 'file-empty' | 'file-many' | null;
  /** Its version where that is newer than is known. */
  version: number | null;
}

/** The JSON block of a Markdown card, and where there is none the text itself. */
function jsonIn(text: string): string {
  return /```json\s*\n([\s\S]*?)\n```/.exec(text)?.[1] ?? text;
}

/** Version 1 knew `optional` alone: each such part becomes a switch of its own. */
function fromVersion1(item: unknown): unknown {
  const old = item as { parts?: { id?: unknown; optional?: unknown }[]; switches?: unknown };
  if (!Array.isArray(old?.parts) || old.switches !== undefined) return item;
  return {
    ...old,
    switches: old.parts
      .filter((part) => part.optional === true)
      .map((part) => ({ id: part.id, name: part.id, parts: [part.id], on: true, why: part.id })),
  };
}

function recordsOf(text: string): {
  items: unknown[];
  materials?: unknown[];
  fault: DressingsRead['fault'];
  version?: number;
} {
  const read = readJson(jsonIn(text.replace(/^\uFEFF/, '')));
  if (!read.ok) return { items: [], fault: 'file-unread' };
  const parsed = read.value;
  if (Array.isArray(parsed))
    return { items: parsed.map(fromVersion1), fault: parsed.length === 0 ? 'file-empty' : null };
  if (parsed === null || typeof parsed !== 'object') return { items: [], fault: 'file-unread' };
  const { aubade, version, items, materials } = parsed as {
    aubade?: unknown;
    version?: unknown;
    items?: unknown;
    materials?: unknown;
  };
  if (Array.isArray(items)) {
    if (aubade !== undefined && aubade !== 'dressings') return { items: [], fault: 'file-unread' };
    if (typeof version === 'number' && version > DRESSINGS_VERSION) return { items: [], fault: 'file-newer', version };
    return {
      items: items.map(fromVersion1),
      materials: Array.isArray(materials) ? materials : [],
      fault: items.length === 0 ? 'file-empty' : null,
    };
  }
  return 'parts' in parsed || 'steps' in parsed || 'id' in parsed
    ? { items: [fromVersion1(parsed)], fault: null }
    : { items: [], fault: 'file-unread' };
}

/** Dressings of a file: JSON (one, a list, or the envelope) or a Markdown card by its JSON block. Good records are kept, bad ones named. Source: docs/formats/dressings.md. */
export function readDressings(text: string, ids: KnownIds, shipped: WaysCatalogue): DressingsRead {
  const { items, fault, version = null, materials: brought = [] } = recordsOf(text);
  if (items.length > MOST_DRESSINGS)
    return { dressings: [], materials: [], problems: [], count: items.length, fault: 'file-many', version };
  const schema = dressingSchema(ids);
  const dressings: Dressing[] = [];
  const problems: DressingProblem[] = [];
  const materials = brought.flatMap((item, index) => materialIn(item, index, shipped.materials, problems) ?? []);
  const works: WaysCatalogue = {
    ...shipped,
    materials: [
      ...shipped.materials.filter((material) => !materials.some((own) => own.id === material.id)),
      ...materials,
    ],
  };
  items.forEach((item, index) => {
    const record = typeof (item as { id?: unknown })?.id === 'string' ? (item as { id: string }).id : `#${index + 1}`;
    try {
      const worked = isWritten(item) ? fromLines(item, record, works, problems) : item;
      if (worked !== null) dressings.push(schema.validateSync(worked, { abortEarly: false }) as Dressing);
    } catch (error) {
      const inner = (error as { inner?: { path?: string; message: string }[] }).inner ?? [];
      for (const { path, message } of inner.length > 0 ? inner : [{ path: '', message: (error as Error).message }])
        problems.push({ record, path: path || null, message });
    }
  });
  return { dressings, materials, problems, count: items.length, fault, version };
}

/** A material of the tier's own in a file; null where it is misshapen, or like nothing that is known, which is named. */
function materialIn(
  item: unknown,
  index: number,
  materials: readonly Material[],
  problems: DressingProblem[],
): Material | null {
  const record = typeof (item as { id?: unknown })?.id === 'string' ? (item as { id: string }).id : `#${index + 1}`;
  try {
    const own = ownMaterialSchema.validateSync(item);
    const made = materials.some((material) => material.id === own.id && material.like === undefined)
      ? null
      : materialOf(own, materials);
    if (!made) problems.push({ record, path: 'materials', message: `material-unknown ${own.like}` });
    return made;
  } catch (error) {
    problems.push({ record, path: 'materials', message: (error as Error).message });
    return null;
  }
}

/** A record of parts and ways, worked out; null where a line or a way cannot be read, which is named. */
function fromLines(
  item: Parameters<typeof readWays>[0],
  record: string,
  works: WaysCatalogue,
  problems: DressingProblem[],
): Dressing | null {
  const read = readWays(item);
  const worked = workOut(read.record, works);
  const faults = [...read.faults, ...worked.faults];
  for (const { code, params } of faults)
    problems.push({
      record,
      path: typeof params.part === 'string' ? `parts.${params.part}` : 'parts',
      message:
        `${code} ${String(params.line ?? params.token ?? params.material ?? params.way ?? params.got ?? '')}`.trim(),
    });
  return faults.length > 0 ? null : worked.dressing;
}

/** A dressing for a file: by its parts and ways where they give it back whole, else with its steps as they stand. */
function writtenItem(dressing: Dressing, works: WaysCatalogue): unknown {
  const record = recordOf(dressing);
  const written = writtenDressing(dressing);
  return record !== null && same(writtenDressing(workOut(record, works).dressing), written)
    ? writeWays(record)
    : written;
}

/** Dressings as a file that `readDressings` gives back the same, with the materials of the tier's own that they take; what equals a default is left out. */
export function writeDressings(dressings: readonly Dressing[], works: WaysCatalogue): string {
  const used = new Set(
    dressings.flatMap((dressing) => [
      ...dressing.parts.flatMap((part) => [part.material, part.coat, part.tint, ...part.also]),
      ...dressing.threads.map((thread) => thread.material),
      ...dressing.steps.map((step) => step.material),
    ]),
  );
  const materials = works.materials.flatMap(({ id, name, like, hex }) =>
    like !== undefined && used.has(id) ? [{ id, name, like, hex }] : [],
  );
  return `${JSON.stringify({ aubade: 'dressings', version: DRESSINGS_VERSION, ...(materials.length > 0 ? { materials } : {}), items: dressings.map((dressing) => writtenItem(dressing, works)) }, null, 1)}\n`;
}
