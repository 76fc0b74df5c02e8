import { KINDS, type Entities, type Kind } from './kinds';

const VERSION = 1;

/** One record of a file, with the schema version of its kind. */
export interface FileItem {
  kind: Kind;
  id: string;
  v: number;
  data: unknown;
}

/** Records by their keys (`kind/id`) as one file (docs/formats/records.md); one that is gone is left out. */
export function recordsFile(entities: Entities, keys: readonly string[]): string {
  const items = keys.flatMap((key): FileItem[] => {
    const at = key.indexOf('/');
    const [kind, id] = [key.slice(0, at) as Kind, key.slice(at + 1)];
    const data = entities[kind]?.[id];
    return data === undefined ? [] : [{ kind, id, v: KINDS[kind].version, data }];
  });
  return `${JSON.stringify({ aubade: 'records', version: VERSION, items }, null, 1)}\n`;
}

/** Keys of every record that is the tier's own. */
export function ownKeys(entities: Entities): string[] {
  return (Object.keys(entities) as Kind[]).flatMap((kind) => Object.entries(entities[kind]).flatMap(([id, record]) => ((record as { demo?: boolean }).demo ? [] : [`${kind}/${id}`])));
}
