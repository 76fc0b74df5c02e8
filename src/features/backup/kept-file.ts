import { get, set, del } from 'idb-keyval';

/** The part of a file handle of the File System Access API that is used; not every browser has one. */
export interface FileHandle {
  readonly name: string;
  queryPermission(how: { mode: 'readwrite' }): Promise<PermissionState>;
  requestPermission(how: { mode: 'readwrite' }): Promise<PermissionState>;
  createWritable(): Promise<{ write(data: Blob): Promise<void>; close(): Promise<void> }>;
}

interface Picking {
  showSaveFilePicker?(how: { suggestedName: string }): Promise<FileHandle>;
}

const KEY = 'aubade-backup-file';
const WRITES = { mode: 'readwrite' } as const;

/** Whether this browser can write into a file of the device by itself. */
export const canKeepFile = () => typeof (window as Picking).showSaveFilePicker === 'function';

/** Lets the tier choose the file that backups go into from now on; null when none was chosen. */
export async function chooseKeptFile(name: string): Promise<FileHandle | null> {
  try {
    const handle = await (window as Picking).showSaveFilePicker!({ suggestedName: name });
    await set(KEY, handle);
    return handle;
  } catch (error) {
    if ((error as Error).name === 'AbortError') return null;
    throw error;
  }
}

/** The chosen file, as long as the browser remembers it. */
export async function keptFile(): Promise<FileHandle | null> {
  try {
    return (await get<FileHandle>(KEY)) ?? null;
  } catch {
    return null;
  }
}

export const forgetFile = () => del(KEY);

/** Writes into the chosen file. `asked`: the tier is there to be asked whether it may be; else it is written only where it may be already. False where it may not. */
export async function writeKept(handle: FileHandle, file: Blob, asked: boolean): Promise<boolean> {
  if ((await handle.queryPermission(WRITES)) !== 'granted') {
    if (!asked || (await handle.requestPermission(WRITES)) !== 'granted') return false;
  }
  const writable = await handle.createWritable();
  await writable.write(file);
  await writable.close();
  return true;
}
