import { randomBytes } from 'node:crypto';
import { mkdtempSync } from 'node:fs';
import { connect } from 'node:net';
import type { AddressInfo } from 'node:net';
import type { Server } from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createApp, HAND_OVER } from './app';
import { relay, type RelayRates } from './relay';
import { RelayStore, type RelayLimits } from './relay-store';

const MANY: RelayRates = { asks: 1_000_000, sends: 1_000_000 };
const slot = () => randomBytes(16).toString('base64url');
const bundle = (bytes = 100) => randomBytes(bytes);
const folder = () => mkdtempSync(join(tmpdir(), 'aubade-relay-'));

const open: { server: Server; store: RelayStore }[] = [];
let now = 1_000_000;

async function serve({
  limits = {},
  rates = MANY,
  data = folder(),
}: { limits?: Partial<RelayLimits>; rates?: RelayRates; data?: string } = {}) {
  const store = await RelayStore.open(data, () => now, limits);
  const server = createApp(folder(), { relay: relay(store, rates) }).listen(0, '127.0.0.1');
  await new Promise<void>((ready) => server.once('listening', () => ready()));
  open.push({ server, store });
  const { port } = server.address() as AddressInfo;
  const at = (id: string) => `http://127.0.0.1:${port}${HAND_OVER}/${id}`;
  const send = (id: string, body: Buffer, type = 'application/octet-stream') =>
    fetch(at(id), { method: 'POST', body: new Uint8Array(body), headers: { 'content-type': type } });
  const ask = (id: string) => fetch(at(id));
  const stop = async () => {
    server.closeAllConnections();
    await new Promise((done) => server.close(done));
    await store.close();
  };
  return { send, ask, stop, store, server, port, data };
}
afterAll(async () => {
  for (const { server, store } of open) {
    server.closeAllConnections();
    server.close();
    await store.close().catch(() => undefined);
  }
});
const told = async (response: Response) => [
  response.status,
  ((await response.json()) as { fault?: string }).fault ?? null,
];

test('what is sent is fetched once, the same to the byte, and then it is gone; nothing of it may be kept on the way', async () => {
  const { send, ask } = await serve();
  const [id, sealed] = [slot(), bundle(20_000)];
  const none = await ask(id);
  expect([none.status, await none.json()]).toEqual([404, { fault: 'none', waits_s: 900 }]);
  const sent = await send(id, sealed);
  expect([sent.status, await sent.json()]).toEqual([201, { waits_s: 900 }]);
  const got = await ask(id);
  expect([got.status, got.headers.get('cache-control'), got.headers.get('content-type')]).toEqual([
    200,
    'no-store',
    'application/octet-stream',
  ]);
  expect(Buffer.from(await got.arrayBuffer()).equals(sealed)).toBe(true);
  expect(await told(await ask(id))).toEqual([404, 'none']);
});

test('asked by fifty at once it is handed to one', async () => {
  const { send, ask } = await serve();
  const id = slot();
  await send(id, bundle());
  const answers = await Promise.all(Array.from({ length: 50 }, () => ask(id)));
  expect(answers.filter(({ status }) => status === 200)).toHaveLength(1);
});

test('a slot is used once: a second bundle, or the same again, is refused, fetched or not', async () => {
  const { send, ask } = await serve();
  const [id, sealed] = [slot(), bundle()];
  const both = await Promise.all([send(id, sealed), send(id, bundle())]);
  expect(both.map(({ status }) => status).sort()).toEqual([201, 409]);
  await ask(id);
  expect(await told(await send(id, sealed))).toEqual([409, 'used']);
});

test.each([
  ['a name that is none', 'short', 'application/octet-stream', 100],
  ['a way out of the folder', '..%2F..%2Fetc%2Fpasswd', 'application/octet-stream', 100],
  ['another kind of body', slot(), 'application/json', 100],
  ['a body too short to be sealed', slot(), 'application/octet-stream', 32],
])('%s is refused', async (_, id, type, bytes) => {
  const { send } = await serve();
  expect((await send(id, bundle(bytes), type)).status).toBe(400);
});

test('one that is too large, and one for which there is no room, is refused; the others stay', async () => {
  const { send, ask } = await serve({ limits: { bundle: 1000, all: 1500, count: 3 } });
  const first = slot();
  expect((await send(first, bundle(1000))).status).toBe(201);
  expect(await told(await send(slot(), bundle(1001)))).toEqual([413, 'large']);
  expect(await told(await send(slot(), bundle(501)))).toEqual([507, 'full']);
  expect((await send(slot(), bundle(400))).status).toBe(201);
  expect((await send(slot(), bundle(100))).status).toBe(201);
  expect(await told(await send(slot(), bundle(33)))).toEqual([507, 'full']);
  expect((await ask(first)).status).toBe(200);
});

test('what is not fetched in time is gone, and its room is free again', async () => {
  const { send, ask, store } = await serve({ limits: { count: 1, waitsMs: 1000 } });
  const id = slot();
  await send(id, bundle());
  now += 999;
  expect((await send(slot(), bundle())).status).toBe(507);
  now += 1;
  expect(await told(await ask(id))).toEqual([404, 'none']);
  await store.sweep();
  expect((await send(slot(), bundle())).status).toBe(201);
});

test('who asks or sends too often is told to wait', async () => {
  const { send, ask } = await serve({ rates: { asks: 3, sends: 2 } });
  for (let n = 0; n < 3; n++) expect((await ask(slot())).status).toBe(404);
  expect(await told(await ask(slot()))).toEqual([429, 'too-often']);
  for (let n = 0; n < 2; n++) expect((await send(slot(), bundle())).status).toBe(201);
  expect((await send(slot(), bundle())).status).toBe(429);
});

test('nothing is listed, changed or taken away by another way of asking', async () => {
  const { port, send, ask } = await serve();
  const id = slot();
  await send(id, bundle());
  const at = `http://127.0.0.1:${port}${HAND_OVER}`;
  expect((await fetch(at)).status).toBe(404);
  expect((await fetch(`${at}/`)).status).toBe(404);
  for (const method of ['PUT', 'DELETE', 'PATCH']) expect((await fetch(`${at}/${id}`, { method })).status).toBe(404);
  expect((await fetch(`http://127.0.0.1:${port}/api/none`)).status).toBe(404);
  expect((await ask(id)).status).toBe(200);
});

test('over a restart what was acknowledged is there, what was fetched is not, and a used slot stays used', async () => {
  const first = await serve();
  const [waits, fetched] = [slot(), slot()];
  const sealed = bundle();
  await first.send(waits, sealed);
  await first.send(fetched, bundle());
  await first.ask(fetched);
  await first.stop();
  const again = await serve({ data: first.data });
  expect((await again.send(fetched, bundle())).status).toBe(409);
  expect((await again.ask(fetched)).status).toBe(404);
  expect(Buffer.from(await (await again.ask(waits)).arrayBuffer()).equals(sealed)).toBe(true);
});

test('a body that stops half way keeps nothing and leaves the server up', async () => {
  const { port, ask, send } = await serve();
  const id = slot();
  await new Promise<void>((done) => {
    const socket = connect(port, '127.0.0.1', () => {
      socket.write(
        `POST ${HAND_OVER}/${id} HTTP/1.1\r\nHost: x\r\nContent-Type: application/octet-stream\r\nContent-Length: 5000\r\n\r\nhalf`,
      );
      setTimeout(() => socket.destroy(), 50);
    });
    socket.on('close', () => done());
  });
  expect((await ask(id)).status).toBe(404);
  expect((await send(id, bundle())).status).toBe(201);
});
