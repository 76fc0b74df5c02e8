import type { FileReading } from '@/records/sheets';
import type { Catalogue } from '@/core/answer';
import { answerOf } from '@/workers/read-file';
import { packBackup, picturesIn, type BackupPlan } from '@/records/backup';

/** Bytes of a file; jsdom's have no way of their own. */
export const bytesOf = (blob: Blob) =>
  new Promise<Uint8Array<ArrayBuffer>>((read) => {
    const reader = new FileReader();
    reader.onload = () => read(new Uint8Array(reader.result as ArrayBuffer));
    reader.readAsArrayBuffer(blob);
  });

const JOBS: Readonly<Record<string, (input: never) => Promise<unknown>>> = {
  'backup-write': async ({ plan, pictures }: { plan: BackupPlan; pictures: Record<string, string> | null }) => {
    const { parts, missing } = await packBackup(plan, async (id) => (pictures ?? {})[id] ?? null);
    const file = new Blob(parts as BlobPart[], { type: 'application/zip' });
    return { file: Object.assign(file, { arrayBuffer: async () => (await bytesOf(file)).buffer }), missing };
  },
  'file-read': async ({ file, how, catalogue }: { file: Blob; how: FileReading; catalogue: Catalogue | null }) =>
    answerOf(await bytesOf(file), how, catalogue),
  'backup-pictures': async ({ from, wanted }: { from: Blob; wanted: { id: string; path: string; type: string }[] }) => {
    const kept: Record<string, string> = {};
    await picturesIn(await bytesOf(from), wanted, async (id, url) => void (kept[id] = url));
    return kept;
  },
};

/** The jobs of the workers of files, run here: what they are handed is what the page hands them. */
export const run = (job: string, input: never) => JOBS[job]!(input);
