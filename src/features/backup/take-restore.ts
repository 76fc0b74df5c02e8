import type { Store } from '@/state';
import { asideAfter, type Undrawn } from '@/features/reading';
import { picturesMissing, takeBackup, type RestoreHow } from '@/state/backup';
import type { Backup } from '@/records/backup';
import { run } from '@/workers';

/** Takes a backup: first the pictures that are not here, then its records as one change. Rejects when the browser has no room; then nothing was changed. */
export async function restore(
  store: Store,
  file: Blob,
  backup: Backup,
  how: RestoreHow,
  undrawn: readonly Undrawn[] = [],
): Promise<void> {
  const wanted = await picturesMissing(store, backup);
  const pictures =
    wanted.length > 0
      ? await run('backup-pictures', { from: file, wanted, store: !store.getState().session.inMemory })
      : {};
  await takeBackup(store, backup, how, pictures);
  await asideAfter(store, undrawn);
}
