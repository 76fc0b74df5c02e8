import { spawn } from 'node:child_process';
import { join } from 'node:path';

/** What a tool makes of an input, both JSON, in a process of its own: loops over pixels are slow beside others. */
export function byTool<T>(tool: string, input: unknown, ...args: string[]): Promise<T> {
  return new Promise((done, failed) => {
    const child = spawn(process.execPath, ['--import', 'tsx', join(__dirname, '..', tool), ...args], {
      stdio: ['pipe', 'pipe', 'inherit'],
    });
    const out: Buffer[] = [];
    child.stdout.on('data', (part: Buffer) => out.push(part));
    child.on('error', failed);
    child.on('close', () => done(JSON.parse(Buffer.concat(out).toString()) as T));
    child.stdin.end(JSON.stringify(input));
  });
}
