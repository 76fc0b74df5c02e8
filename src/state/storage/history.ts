import { KINDS } from '@/records';
import type { Ports } from '../ports';
import { NO_HISTORY, type Change, type History } from '../undo';
import { UNDO } from './envelope';

/** Changes of other shapes of records are of no use: their patches would not fit. */
const SHAPES = Object.values(KINDS)
  .map(({ version }) => version)
  .join('.');

/** Which stored changes a tab can take back and make again, by number. */
interface Head {
  shapes: string;
  past: number[];
  future: number[];
}

const headKey = (tab: string) => `${UNDO}${tab}`;
const changeKey = (tab: string, n: number) => `${UNDO}${tab}/${n}`;

/** The number that a change is stored under; two tabs of one page never share a change. */
const numbers = new WeakMap<Change, number>();

/** What this tab could take back before it was loaded again; nothing where it is another tab's, or was made by records of another shape. Rejects with what storage rejects with. */
export async function readHistory({ storage, tab }: Pick<Ports, 'storage' | 'tab'>): Promise<History> {
  const text = (await storage.getMany([headKey(tab)]))[headKey(tab)];
  try {
    const { shapes, past, future } = JSON.parse(text ?? '') as Head;
    if (shapes !== SHAPES) return NO_HISTORY;
    const texts = await storage.getMany([...past, ...future].map((n) => changeKey(tab, n)));
    const changes = (list: number[]) =>
      list.map((n) => {
        const change = JSON.parse(texts[changeKey(tab, n)]!) as Change;
        numbers.set(change, n);
        return change;
      });
    return { past: changes(past), future: changes(future) };
  } catch {
    return NO_HISTORY;
  }
}

/** Stores what a tab can take back: each change once, and their order anew. */
export function persistHistory({ storage, tab }: Pick<Ports, 'storage' | 'tab'>): {
  keep(history: History): Promise<void>;
} {
  let kept: Head = { shapes: SHAPES, past: [], future: [] };
  let next = 0;
  let known: Pick<History, 'past' | 'future'> = NO_HISTORY;
  const numbered = (changes: readonly Change[], entries: Record<string, string>) =>
    changes.map((change) => {
      const own = numbers.get(change);
      if (own !== undefined) {
        next = Math.max(next, own + 1);
        return own;
      }
      numbers.set(change, next);
      entries[changeKey(tab, next)] = JSON.stringify(change);
      return next++;
    });
  return {
    async keep({ past, future }) {
      if (past === known.past && future === known.future) return;
      const entries: Record<string, string> = {};
      // Numbers that are taken are seen before a new one is given.
      for (const change of [...past, ...future]) next = Math.max(next, (numbers.get(change) ?? -1) + 1);
      const head: Head = { shapes: SHAPES, past: numbered(past, entries), future: numbered(future, entries) };
      const left = new Set([...head.past, ...head.future]);
      try {
        await storage.setMany({ ...entries, [headKey(tab)]: JSON.stringify(head) });
        await storage.removeMany(
          [...kept.past, ...kept.future].filter((n) => !left.has(n)).map((n) => changeKey(tab, n)),
        );
        kept = head;
        known = { past, future };
      } catch {
        // The records are kept; that a reload may forget how to take a change back is no loss of what was noted.
      }
    },
  };
}
