import { execFileSync } from 'node:child_process';
import { cpSync, mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Page } from '@playwright/test';
import { served, type Served } from '../tools/served';
import { writeServiceWorker } from '../tools/write-service-worker';
import { expect, newMatch, test, written } from './support';

test.use({ serviceWorkers: 'allow' });
test.describe.configure({ mode: 'serial' });

const folder = mkdtempSync(join(tmpdir(), 'aubade-dist-'));
/** The server that these tests stop and start: always at the origin it first took. */
let server: Served | null = null;
let port = 0;
test.use({ baseURL: ({}, provide) => provide(`http://127.0.0.1:${port}`) });

async function start(): Promise<void> {
  server = await served({ port, dist: folder });
  port = Number(new URL(server.origin).port);
}

async function stop(): Promise<void> {
  await server!.stop();
  server = null;
}

/** Waits until everything is kept for use without a network. */
async function kept(page: Page): Promise<void> {
  await page.evaluate(async () => void (await navigator.serviceWorker.ready));
}

test.beforeAll(async () => {
  cpSync(join(__dirname, '..', 'dist'), folder, { recursive: true });
  await start();
});
test.afterAll(async () => {
  if (server) await stop();
});

test('with the server stopped the app reloads, opens a deep link and makes a new match', async ({ page }) => {
  await page.goto('/?start=clean');
  await expect(page.getByText('No match yet.', { exact: false })).toBeVisible();
  await kept(page);
  await stop();
  await page.reload();
  await expect(page.getByRole('button', { name: /A natural in hand/ })).toBeVisible();
  await newMatch(page, 'Mayfly', 'dun', ['8.2']);
  await expect(page.getByRole('button', { name: /^Hook: Reference/ })).toBeVisible();
  await page.goto('/dressings/first-light-dun');
  await expect(page.getByRole('heading', { level: 1, name: 'First-light upright dun' })).toBeVisible();
  await start();
});

test('from a cold start offline to a named fly in at most seven taps, without a key pressed', async ({ context }) => {
  const first = await context.newPage();
  await first.goto('/');
  await kept(first);
  await written(first);
  await first.close();
  await stop();
  const page = await context.newPage();
  await page.addInitScript(() => {
    const counted = window as unknown as { taps: number; keys: number };
    counted.taps = 0;
    counted.keys = 0;
    window.addEventListener(
      'click',
      (event) => {
        if (event.isTrusted) counted.taps++;
      },
      true,
    );
    window.addEventListener('keydown', () => counted.keys++, true);
  });
  await page.goto('/');
  await page.getByRole('button', { name: /A natural in hand/ }).click();
  await page.getByRole('radio', { name: '7 to 10' }).click();
  await page.getByRole('button', { name: /upright and cloudy/ }).click();
  await page.getByRole('heading', { level: 3 }).first().waitFor();
  await page.getByRole('button', { name: /Where was it\? on the surface/ }).click();
  const strip = page.getByRole('link', { name: /^From the box: .*dun \d+\. Valley box, [A-E]\d · \d left$/ });
  await expect(strip).toBeVisible();
  await strip.click();
  const rows = page.getByRole('list', { name: 'What your box answers now' }).getByRole('listitem');
  await expect(rows).toHaveCount(3);
  await expect(rows.first()).toContainText('made for mayfly dun');
  const [taps, keys] = await page.evaluate(() => [
    (window as unknown as { taps: number }).taps,
    (window as unknown as { keys: number }).keys,
  ]);
  expect(taps).toBeLessThanOrEqual(7);
  expect([taps, keys]).toEqual([5, 0]);
  for (const target of [strip, ...(await rows.first().getByRole('button').all())])
    if (await target.isVisible()) expect((await target.boundingBox())!.height).toBeGreaterThanOrEqual(56);
  await start();
});

test('a photograph is measured with the server stopped: the worker comes from what is kept', async ({ page }) => {
  const photo = join(folder, 'dun.jpg');
  execFileSync(process.execPath, ['--import', 'tsx', 'tools/write-photo.ts', photo], { cwd: join(__dirname, '..') });
  await page.goto('/?start=clean');
  await kept(page);
  await stop();
  await page.reload();
  const opening = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: 'Photograph it for tonight' }).click();
  await (await opening).setFiles(photo);
  await page.getByRole('link', { name: /Unnamed natural/ }).click();
  await page.getByRole('button', { name: 'Measure it' }).click();
  await expect(page.getByRole('button', { name: /^Take 8\.[0-4] mm$/ })).toBeVisible({ timeout: 60_000 });
  await start();
});

test('a new version is not swapped in while the app is in use; it is offered at the next start and taken by a tap', async ({
  page,
}) => {
  await page.goto('/');
  await kept(page);
  await page.reload();
  await expect(page.getByRole('heading', { level: 1, name: 'Now' })).toBeVisible();
  const index = join(folder, 'index.html');
  writeFileSync(index, readFileSync(index, 'utf8').replace('<html lang="en">', '<html lang="en" data-version="two">'));
  await writeServiceWorker(folder);
  await page.evaluate(async () => {
    const registration = (await navigator.serviceWorker.getRegistration())!;
    await registration.update();
    await new Promise<void>((waiting) => {
      const look = () => (registration.waiting ? waiting() : setTimeout(look, 50));
      look();
    });
  });
  await expect(page.getByText('A new version is ready.')).toHaveCount(0);
  await expect(page.locator('html')).not.toHaveAttribute('data-version', 'two');
  await page.reload();
  await expect(page.getByText('A new version is ready.')).toBeVisible();
  await expect(page.locator('html')).not.toHaveAttribute('data-version', 'two');
  await page.getByRole('button', { name: 'Start it' }).click();
  await expect(page.locator('html')).toHaveAttribute('data-version', 'two');
});

test('the manifest and its icons are our own and are served', async ({ page, request }) => {
  await page.goto('/');
  const manifest = (await (await request.get('/manifest.webmanifest')).json()) as {
    name: string;
    icons: { src: string; sizes: string }[];
  };
  expect(manifest.name).toBe('Aubade');
  for (const icon of manifest.icons) {
    const response = await request.get(icon.src);
    expect(response.status()).toBe(200);
    const bytes = await response.body();
    expect([bytes.readUInt32BE(16), bytes.readUInt32BE(20)].join('x')).toBe(icon.sizes);
  }
});

test('the first page says its name before any script has run, and a control answers the finger at once', async ({
  browser,
  baseURL,
}) => {
  const still = await browser.newContext({ javaScriptEnabled: false, baseURL });
  const page = await still.newPage();
  await page.goto('/');
  await expect(page.locator('#opening')).toHaveText('Aubade');
  await still.close();
  const lively = await (await browser.newContext({ baseURL })).newPage();
  await lively.goto('/');
  const door = lively.getByRole('button', { name: /A natural in hand/ });
  await expect(lively.locator('#opening')).toHaveCount(0);
  await door.hover();
  await lively.mouse.down();
  expect(await door.evaluate((element) => getComputedStyle(element).opacity)).toBe('0.55');
  await lively.context().close();
});
