import { setDevice } from '@/records';
import { act, nowOf, readPicture, type Store } from '@/state';
import { planOwnBackup } from '@/state/backup';
import { run } from '@/workers';
import { version } from '../../../package.json';

/** What a backup is called: by its day, so that several lie in order beside each other. */
export const backupName = (made: string) => `aubade-${made.slice(0, 10)}.zip`;

/** Packs everything that is the tier's own. `onProgress` hears how many of its pictures are in it, 0 to 1. */
export async function makeBackup(
  store: Store,
  { signal, onProgress }: { signal?: AbortSignal; onProgress?: (done: number) => void } = {},
): Promise<{ file: Blob; missing: string[]; made: string }> {
  const plan = await planOwnBackup(store, version);
  // A store that lasts as long as the page is known to the page alone.
  let pictures: Record<string, string> | null = null;
  if (store.getState().session.inMemory) {
    pictures = {};
    for (const { id } of plan.photos) pictures[id] = (await readPicture(store.ports, id)) ?? '';
  }
  const done = await run('backup-write', { plan, pictures }, { signal, onProgress });
  return { ...done, made: plan.head.made };
}

/** Notes that a backup was made, once it is where it should be. */
export function noteBackup(store: Store): void {
  store.dispatch(act(setDevice, { backedUp: nowOf(store.getState(), store.ports) }));
}
