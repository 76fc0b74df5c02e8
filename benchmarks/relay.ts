/** Loads the relay on loopback: many bundles, many at once; none may be lost, none handed out twice, and memory must not grow. Bounded; prints what it found. */
import { spawn } from 'node:child_process';
import { createHash, randomBytes } from 'node:crypto';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { HAND_OVER } from '../server/app';

const [COUNT, BYTES, AT_ONCE] = [Number(process.env.COUNT ?? 10_000), 20_000, 50];
const hash = (bytes: Uint8Array) => createHash('sha256').update(bytes).digest('base64');

async function each(count: number, task: (n: number) => Promise<void>): Promise<void> {
  let next = 0;
  await Promise.all(
    Array.from({ length: AT_ONCE }, async () => {
      while (next < count) await task(next++);
    }),
  );
}

void (async () => {
  const built = mkdtempSync(join(tmpdir(), 'aubade-load-'));
  writeFileSync(join(built, 'index.html'), '<!DOCTYPE html><title>Aubade</title>');
  // A process of its own, so that its memory is its own.
  const server = spawn(process.execPath, ['--import', 'tsx', 'server/serve.ts'], {
    cwd: join(__dirname, '..'),
    env: {
      ...process.env,
      HOST: '127.0.0.1',
      PORT: '0',
      DIST: built,
      DATA: join(built, 'relay'),
      RELAY_COUNT: String(COUNT),
      RELAY_ASKS: '1000000000',
      RELAY_SENDS: '1000000000',
    },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  const origin = await new Promise<string>((ready) =>
    server.stdout.on('data', (chunk: Buffer) => {
      const found = /http:\/\/\S+/.exec(chunk.toString());
      if (found) ready(found[0]);
    }),
  );
  const at = `${origin}${HAND_OVER}`;
  const rss = () =>
    Math.round(Number(/RssAnon:\s+(\d+)/.exec(readFileSync(`/proc/${server.pid}/status`, 'utf8'))![1]) / 1000);
  const slots = Array.from({ length: COUNT }, () => randomBytes(16).toString('base64url'));
  const sums = new Array<string>(COUNT);
  let [sent, lost, wrong, twice] = [0, 0, 0, 0];
  const memory = [rss()];
  await each(COUNT, async (n) => {
    const body = randomBytes(BYTES);
    sums[n] = hash(body);
    const { status } = await fetch(`${at}/${slots[n]}`, {
      method: 'POST',
      body: new Uint8Array(body),
      headers: { 'content-type': 'application/octet-stream' },
    });
    if (status === 201) sent++;
    if (n % (COUNT / 5) === 0) memory.push(rss());
  });
  await each(COUNT, async (n) => {
    // Two ask for each at the same time.
    const answers = await Promise.all([fetch(`${at}/${slots[n]}`), fetch(`${at}/${slots[n]}`)]);
    const got = await Promise.all(
      answers.map(async (answer) =>
        answer.status === 200 ? new Uint8Array(await answer.arrayBuffer()) : (await answer.text(), null),
      ),
    );
    const there = got.filter((bytes) => bytes !== null);
    if (there.length === 0) lost++;
    if (there.length > 1) twice++;
    if (there[0] && hash(there[0]) !== sums[n]) wrong++;
    if (n % (COUNT / 5) === 0) memory.push(rss());
  });
  server.kill();
  process.stdout.write(
    `${COUNT} bundles of ${BYTES} bytes, ${AT_ONCE} at once: ${sent} kept, ${lost} lost, ${wrong} changed, ${twice} readable twice\n`,
  );
  process.stdout.write(`memory of the server that is its own (RssAnon), MB: ${memory.join(' ')}\n`);
  process.exitCode = sent === COUNT && lost + wrong + twice === 0 ? 0 : 1;
})();
