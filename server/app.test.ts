import { mkdirSync, mkdtempSync, writeFileSync } from 'node:fs';
import type { AddressInfo } from 'node:net';
import type { Server } from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createApp } from './app';

const built = mkdtempSync(join(tmpdir(), 'aubade-app-'));
mkdirSync(join(built, '_expo/static'), { recursive: true });
writeFileSync(join(built, 'index.html'), '<!DOCTYPE html><title>Aubade</title>');
writeFileSync(join(built, 'sw.js'), '// worker');
writeFileSync(join(built, '_expo/static/entry-0a1b.js'), 'void 0;');

const servers: Server[] = [];
async function serve(dist: string): Promise<(path: string) => Promise<Response>> {
  const server = createApp(dist).listen(0, '127.0.0.1');
  servers.push(server);
  await new Promise<void>((ready) => server.once('listening', () => ready()));
  const { port } = server.address() as AddressInfo;
  return (path) => fetch(`http://127.0.0.1:${port}${path}`);
}
afterAll(() => servers.forEach((server) => server.close()));

test('every path of the app is the app, so that a deep link opens', async () => {
  const get = await serve(built);
  for (const path of ['/', '/matches/m1/hook', '/shelf/settings']) {
    const response = await get(path);
    expect([path, response.status, await response.text()]).toEqual([
      path,
      200,
      expect.stringContaining('<title>Aubade</title>'),
    ]);
  }
});

test('hashed files are kept for a year, the page and its worker are always asked for again', async () => {
  const get = await serve(built);
  expect((await get('/_expo/static/entry-0a1b.js')).headers.get('cache-control')).toMatch(
    /max-age=31536000.*immutable/,
  );
  for (const path of ['/', '/sw.js', '/matches'])
    expect([path, (await get(path)).headers.get('cache-control')]).toEqual([path, 'no-cache']);
});

test('a hashed file that is gone is not answered with the page', async () =>
  expect((await (await serve(built))('/_expo/static/entry-old.js')).status).toBe(404));

test('a file that is not there is not the app, the export’s own list is not served, and an address that cannot be read leaves no trace', async () => {
  const get = await serve(built);
  for (const path of ['/none.js', '/robots.txt', '/metadata.json', '/assets/none.png'])
    expect([path, (await get(path)).status]).toEqual([path, 404]);
  const said = jest.spyOn(console, 'error').mockImplementation(() => undefined);
  expect((await get('/%E0%A4%A')).status).toBe(400);
  expect(said).not.toHaveBeenCalled();
  said.mockRestore();
});

test('the page may load from its own origin only', async () => {
  const policy = (await (await serve(built))('/')).headers.get('content-security-policy')!;
  for (const rule of [
    "default-src 'self'",
    "connect-src 'self'",
    "font-src 'self'",
    "worker-src 'self'",
    "script-src 'self'",
  ])
    expect(policy).toContain(rule);
});

test('before a build it says what to do', async () => {
  const response = await (await serve(mkdtempSync(join(tmpdir(), 'aubade-none-'))))('/');
  expect(response.status).toBe(503);
  expect(await response.text()).toMatch(/bin\/demo/);
});
