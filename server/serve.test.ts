import { spawn } from 'node:child_process';
import { mkdirSync, mkdtempSync, writeFileSync } from 'node:fs';
import { connect, createServer, type AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

const folder = () => mkdtempSync(join(tmpdir(), 'aubade-serve-'));
const built = folder();
mkdirSync(join(built, 'assets'));
writeFileSync(join(built, 'index.html'), '<!DOCTYPE html><title>Aubade</title>');

/** The server as it is started, until it says where it is or ends. */
function start(env: Record<string, string>) {
  const child = spawn(process.execPath, ['--import', 'tsx', 'server/serve.ts'], {
    cwd: join(__dirname, '..'),
    env: { ...process.env, PORT: '0', DIST: built, DATA: folder(), ...env },
  });
  let out = '';
  let err = '';
  child.stderr.on('data', (chunk: Buffer) => void (err += chunk.toString()));
  const ended = new Promise<number | null>((done) => child.once('exit', done));
  const at = new Promise<string>((ready) =>
    child.stdout.on('data', (chunk: Buffer) => {
      out += chunk.toString();
      const found = /http:\/\/\S+/.exec(out);
      if (found) ready(found[0]);
    }),
  );
  return { child, at, ended, err: () => err };
}

test('what stands in the way is said in one line', async () => {
  const taken = createServer().listen(0, '127.0.0.1');
  await new Promise<void>((ready) => taken.once('listening', () => ready()));
  const port = String((taken.address() as AddressInfo).port);
  const cases: [Record<string, string>, RegExp][] = [
    [{ PORT: port }, /^Port \d+ is in use: set PORT to another\.\n$/],
    [{ HOST: '203.0.113.9' }, /^HOST 203\.0\.113\.9 is no address of this machine\.\n$/],
    [{ PORT: 'dawn' }, /^PORT must be a port, got dawn\n$/],
    [{ DIST: folder() }, /^The app has not been built yet: run bin\/demo, or npm run build\.\n$/],
    [{ RELAY_MINUTES: 'long' }, /^RELAY_MINUTES must be a number, got long\n$/],
  ];
  const said = await Promise.all(
    cases.map(async ([env]) => {
      const server = start(env);
      return [await server.ended, server.err()] as const;
    }),
  );
  taken.close();
  cases.forEach(([, why], index) => expect(said[index]).toEqual([1, expect.stringMatching(why)]));
}, 60_000);

test('told to stop it ends by itself, and a second one on the same folder is refused meanwhile', async () => {
  const data = folder();
  const first = start({ DATA: data });
  expect((await fetch(await first.at)).status).toBe(200);
  const second = start({ DATA: data });
  expect(await second.ended).toBe(1);
  expect(second.err()).toMatch(/^The folder .* cannot be used \(another server may have it\)[^\n]*\n$/);
  first.child.kill('SIGTERM');
  expect([await first.ended, first.err()]).toEqual([0, '']);
}, 60_000);

test('who sends a request drop by drop is let go, and others are answered meanwhile', async () => {
  const server = start({});
  const { hostname, port } = new URL(await server.at);
  const began = performance.now();
  const slow = connect(Number(port), hostname);
  let said = '';
  slow.on('data', (chunk: Buffer) => void (said += chunk.toString()));
  slow.write('POST /api/hand-over/aaaaaaaaaaaaaaaaaaaaaa HTTP/1.1\r\nHost: x\r\n');
  const dripping = setInterval(() => slow.writable && slow.write('X-Drop: 1\r\n'), 500);
  const closed = new Promise<void>((done) => slow.once('close', () => done()));
  slow.on('error', () => undefined);
  expect((await fetch(await server.at)).status).toBe(200);
  await closed;
  clearInterval(dripping);
  expect(said).toMatch(/^HTTP\/1\.1 408 /);
  expect(performance.now() - began).toBeGreaterThan(9_000);
  server.child.kill('SIGTERM');
  expect(await server.ended).toBe(0);
}, 90_000);

test('killed in the middle, it has what it acknowledged when it is started again', async () => {
  const data = folder();
  const first = start({ DATA: data, RELAY_SENDS: '10000', RELAY_ASKS: '10000' });
  const origin = await first.at;
  const names = Array.from({ length: 200 }, (_, n) => String(n).padStart(22, 'k'));
  const kept: string[] = [];
  const sending = Promise.all(
    names.map(async (name) => {
      const sent = await fetch(`${origin}/api/hand-over/${name}`, {
        method: 'POST',
        body: new Uint8Array(20_000).fill(7),
        headers: { 'content-type': 'application/octet-stream' },
      }).catch(() => null);
      if (sent?.status === 201 && kept.push(name) === 20) first.child.kill('SIGKILL');
    }),
  );
  await first.ended;
  await sending;
  expect(kept.length).toBeGreaterThanOrEqual(20);
  const again = start({ DATA: data, RELAY_ASKS: '10000' });
  const at = await again.at;
  for (const name of kept) {
    const got = await fetch(`${at}/api/hand-over/${name}`);
    expect([name, got.status, (await got.arrayBuffer()).byteLength]).toEqual([name, 200, 20_000]);
  }
  again.child.kill('SIGTERM');
  await again.ended;
}, 90_000);
