import { storePicture, type Store } from '@/state';
import { picturesMissing, takeBackup, type RestoreHow } from '@/state/backup';
import type { Backup } from '@/records/backup';
import { run } from '@/workers';

/** Takes a backup: first the pictures that are not here, then its records as one change. Rejects when the browser has no room; then nothing was changed. */
export async function restore(store: Store, file: Blob, backup: Backup, how: RestoreHow): Promise<void> {
  const wanted = await picturesMissing(store, backup);
  const { photo } = store.getState().records.entities;
  const pictures: Record<string, string> = { ...backup.inline };
  if (wanted.length > 0)
    Object.assign(
      pictures,
      await run('backup-pictures', { from: file, wanted, store: !store.getState().session.inMemory }),
    );
  for (const [id, url] of Object.entries(pictures)) if (!photo[id]?.overlay) await storePicture(store.ports, id, url);
  await takeBackup(store, backup, how);
}
