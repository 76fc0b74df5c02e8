import { createAsyncStorage } from '@react-native-async-storage/async-storage';
import { packBackup, picturesIn } from '@/records/backup';
import { BLOB_PREFIX, STORE_NAME } from '@/records/store-names';
import type { FromWorker, Jobs, ToWorker } from './jobs';

type Job = 'backup-write' | 'backup-pictures';

interface WorkerScope {
  onmessage: ((event: MessageEvent<ToWorker<Job>>) => void) | null;
  postMessage(message: FromWorker): void;
}

const scope = self as unknown as WorkerScope;

async function write(
  id: number,
  { plan, pictures }: Jobs['backup-write']['input'],
): Promise<Jobs['backup-write']['output']> {
  const storage = pictures ? null : createAsyncStorage(STORE_NAME);
  const pictureOf = async (photo: string) =>
    storage
      ? ((await storage.getMany([BLOB_PREFIX + photo]))[BLOB_PREFIX + photo] ?? null)
      : (pictures![photo] ?? null);
  const { parts, missing } = await packBackup(plan, pictureOf, (progress) => scope.postMessage({ id, progress }));
  return { file: new Blob(parts as BlobPart[], { type: 'application/zip' }), missing };
}

async function restorePictures({
  from,
  wanted,
  store,
}: Jobs['backup-pictures']['input']): Promise<Record<string, string>> {
  const storage = store ? createAsyncStorage(STORE_NAME) : null;
  const kept: Record<string, string> = {};
  await picturesIn(new Uint8Array(await from.arrayBuffer()), wanted, async (photo, url) => {
    if (storage) await storage.setMany({ [BLOB_PREFIX + photo]: url });
    else kept[photo] = url;
  });
  return kept;
}

scope.onmessage = ({ data }) => {
  if ('warm' in data) return;
  const { id, input } = data;
  const done: Promise<Jobs[Job]['output']> = 'plan' in input ? write(id, input) : restorePictures(input);
  done.then(
    (output) => scope.postMessage({ id, output }),
    (error: unknown) => scope.postMessage({ id, failed: String(error) }),
  );
};
