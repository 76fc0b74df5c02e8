import { spawn } from 'node:child_process';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

export interface Served {
  /** Where it is, without a slash at the end. */
  origin: string;
  /** Ends it; resolves when its port is free again. */
  stop(): Promise<void>;
}

/** The built app served by a process of its own, on a port that is free unless one is given; from `dist` unless another folder is given. Rejects when it ends before it listens. */
export async function served({ port = 0, dist }: { port?: number; dist?: string } = {}): Promise<Served> {
  const server = spawn(process.execPath, ['--import', 'tsx', 'server/serve.ts'], {
    cwd: join(__dirname, '..'),
    env: {
      ...process.env,
      PORT: String(port),
      HOST: '127.0.0.1',
      // A folder of its own: several servers may run at once.
      DATA: mkdtempSync(join(tmpdir(), 'aubade-relay-')),
      ...(dist === undefined ? {} : { DIST: dist }),
    },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  const ended = new Promise<void>((done) => server.once('exit', () => done()));
  const origin = await new Promise<string>((ready, fail) => {
    let said = '';
    server.stdout.on('data', (chunk: Buffer) => {
      said += chunk.toString();
      const at = /http:\/\/\S+/.exec(said);
      if (at) ready(at[0]);
    });
    void ended.then(() => fail(new Error('the server ended before it listened')));
  });
  return {
    origin,
    stop: () => {
      server.kill();
      return ended;
    },
  };
}
