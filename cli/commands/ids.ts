import ids from '../../src/catalogue/ids.json';
import type { Command } from '../command';
import { fold } from '../text';

export const idsCommand: Command = {
  name: 'ids',
  summary: 'every id with its name and aliases',
  flags: [],
  words: [],
  example: 'aubade ids --json',
  shape: 'Record<kind, { id, name, alias[] }[]>',
  run: () => ({
    json: ids,
    text: Object.entries(ids)
      .map(([kind, entries]) => fold(`${kind}: ${entries.map((entry) => entry.id).join(' ')}`, 2))
      .join('\n'),
    exit: 0,
  }),
};
