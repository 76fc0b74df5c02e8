import { execFileSync } from 'node:child_process';
import { closeSync, openSync, rmSync, writeSync } from 'node:fs';
import { join } from 'node:path';
import { newProfile } from './profile';

/** A disk of its own for a browser's profile, that can be filled to the last byte and emptied again. */
export interface SmallDisk {
  folder: string;
  fill(full: boolean): void;
  end(): void;
}

const SIZE = '400m';
const PIECES = [4_000_000, 64_000, 4_096, 512, 1];

/** A small disk in memory; null where this machine lets nobody mount one. */
export function smallDisk(): SmallDisk | null {
  const folder = newProfile();
  try {
    execFileSync('mount', ['-t', 'tmpfs', '-o', `size=${SIZE}`, 'tmpfs', folder], { stdio: 'ignore' });
  } catch {
    return null;
  }
  const filler = join(folder, 'filler');
  return {
    folder,
    fill(full) {
      if (!full) return rmSync(filler, { force: true });
      const file = openSync(filler, 'a');
      for (const size of PIECES)
        try {
          const piece = Buffer.alloc(size);
          while (writeSync(file, piece) === size);
        } catch {
          // No room for a piece of that size: a smaller one may still go.
        }
      closeSync(file);
    },
    end: () => void execFileSync('umount', ['-l', folder], { stdio: 'ignore' }),
  };
}
