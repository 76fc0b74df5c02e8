import { setDevice } from '@/records';
import type { BackupPlan } from '@/records/backup';
import { act, nowOf, readPicture, type Store } from '@/state';
import { planOwnBackup } from '@/state/backup';
import { run } from '@/workers';
import { version } from '../../../package.json';

/** What a backup is called: by its day, so that several lie in order beside each other. */
export const backupName = (made: string) => `aubade-${made.slice(0, 10)}.zip`;

interface Packing {
  signal?: AbortSignal;
  /** Hears how many of its pictures are in it, 0 to 1. */
  onProgress?: (done: number) => void;
}

/** Packs what was planned, its pictures read where they lie. */
export async function packPlan(
  store: Store,
  plan: BackupPlan,
  packing: Packing = {},
): Promise<{ file: Blob; missing: string[] }> {
  // A store that lasts as long as the page is known to the page alone.
  let pictures: Record<string, string> | null = null;
  if (store.getState().session.inMemory) {
    pictures = {};
    for (const { id } of plan.photos) pictures[id] = (await readPicture(store.ports, id)) ?? '';
  }
  return run('backup-write', { plan, pictures }, packing);
}

/** Packs everything that is the tier's own. */
export async function makeBackup(
  store: Store,
  packing: Packing = {},
): Promise<{ file: Blob; missing: string[]; made: string }> {
  const plan = await planOwnBackup(store, version);
  return { ...(await packPlan(store, plan, packing)), made: plan.head.made };
}

/** Notes that a backup was made, once it is where it should be. */
export function noteBackup(store: Store): void {
  store.dispatch(act(setDevice, { backedUp: nowOf(store.getState(), store.ports) }));
}
