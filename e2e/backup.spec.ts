import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import sharp from 'sharp';
import { expect, newMatch, startClean, test, written } from './support';

/** Lets a file be read by the button of that name. */
async function choose(page: Page, button: string, file: string | { name: string; mimeType: string; buffer: Buffer }) {
  const opening = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: button }).click();
  await (await opening).setFiles(file);
}

async function season(page: Page): Promise<void> {
  await startClean(page);
  await newMatch(page, 'Mayfly', 'dun', ['8.1', '8.4'], 'Dawn on the weir');
  await page.getByRole('textbox', { name: 'Where' }).fill('Fenbeck');
  const photo = await sharp({ create: { width: 60, height: 40, channels: 3, background: '#8a7b3c' } })
    .png()
    .toBuffer();
  await choose(page, 'Photograph', { name: 'insect.png', mimeType: 'image/png', buffer: photo });
  await expect(page.getByRole('img', { name: 'Photograph 1' })).toBeVisible();
  await written(page);
}

async function backup(page: Page): Promise<string> {
  await page.goto('/shelf/data');
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Make a backup' }).click(),
  ]);
  expect(download.suggestedFilename()).toMatch(/^aubade-\d{4}-\d\d-\d\d\.zip$/);
  await expect(page.getByText(/^Made, /)).toBeVisible();
  return download.path();
}

test('a backup is opened by another program, and on another device everything is there, picture too', async ({
  page,
  browser,
  baseURL,
}) => {
  await season(page);
  const file = await backup(page);
  const unzip = (...args: string[]) => execFileSync('unzip', args, { encoding: 'utf8' });
  expect(unzip('-t', file)).toMatch(/No errors detected/);
  const manifest = JSON.parse(unzip('-p', file, 'manifest.json')) as {
    kinds: Record<string, { count: number }>;
    files: { path: string }[];
  };
  expect(manifest.kinds).toMatchObject({ sample: { count: 1 }, match: { count: 1 }, photo: { count: 1 } });
  expect(unzip('-p', file, 'tables/samples.csv')).toMatch(/Fenbeck,,mayfly\/dun,dry,typed,,2,8\.25,8\.1 8\.4/);
  const picture = manifest.files.find(({ path }) => path.startsWith('photos/'))!.path;
  const bytes = execFileSync('unzip', ['-p', file, picture]);
  expect(await sharp(bytes).metadata()).toMatchObject({ width: 60, height: 40 });

  const other = await (await browser.newContext({ baseURL })).newPage();
  await startClean(other);
  await other.goto('/shelf/data');
  await choose(other, 'Read a file', file);
  await expect(other.getByText(/^A backup of .*, made with version/)).toBeVisible();
  await expect(other.getByText('1 sample, 1 match, 1 photograph')).toBeVisible();
  await other.getByRole('button', { name: 'Take it in' }).click();
  await expect(other.getByText(/^Taken in and joined/)).toBeVisible();
  await written(other);
  await other.goto('/matches');
  await other.getByRole('link', { name: /Dawn on the weir\..*Fenbeck/ }).click();
  await other.getByRole('button', { name: /^Natural:/ }).click();
  const kept = other.getByRole('img', { name: 'Photograph 1' });
  await expect(kept).toBeVisible();
  await expect
    .poll(() => kept.evaluate((image) => (image.querySelector('img') ?? (image as HTMLImageElement)).naturalWidth))
    .toBe(60);
  await other.context().close();
});

test('in its place everything is as it was then, over a reload; Undo brings back what came since', async ({ page }) => {
  await season(page);
  const file = await backup(page);
  await page.goto('/');
  await newMatch(page, 'Midge', 'pupa', ['6'], 'Came later');
  await written(page);
  await page.goto('/shelf/data');
  await choose(page, 'Read a file', file);
  await page.getByRole('radio', { name: 'In place of mine' }).click();
  await expect(page.getByText('2 would go:')).toBeVisible();
  await page.getByRole('button', { name: 'Take it in' }).click();
  await expect(page.getByText(/^All is as it was in the backup/)).toBeVisible();
  await written(page);
  await page.goto('/matches');
  await expect(page.getByText('1 match', { exact: true })).toBeVisible();
  await page.getByRole('button', { name: /^Undo: everything put back as in a backup/ }).click();
  await expect(page.getByText('2 matches')).toBeVisible();
  await written(page);
  await page.reload();
  await expect(page.getByRole('link', { name: /Came later/ })).toBeVisible();
});

test('one that is damaged, cut short or something else is refused with why, and nothing changes', async ({ page }) => {
  await season(page);
  const file = await backup(page);
  const whole = readFileSync(file);
  const damaged = Buffer.from(whole);
  damaged.writeUInt8(255 - damaged.readUInt8(300), 300);
  for (const [buffer, why] of [
    [damaged, /^Not taken: .*damaged/],
    [whole.subarray(0, whole.length - 200), /^Not taken: .*damaged or cut short/],
    [Buffer.from('maker,model\r\n'), /^Not taken: it has headings and no row/],
    [Buffer.from('['.repeat(2_000_000)), /^Not taken: it is (no JSON|nested deeper)/],
  ] as const) {
    await choose(page, 'Read a file', { name: 'backup.zip', mimeType: 'application/zip', buffer });
    await expect(page.getByText(why)).toBeVisible();
  }
  await page.goto('/matches');
  await expect(page.getByText('1 match', { exact: true })).toBeVisible();
});

test('a file that was chosen is written anew by itself when a backup is due, and that is said', async ({ page }) => {
  // The browser's own dialog cannot be answered here: a file of its private folder stands in for the one that is chosen.
  await page.addInitScript(() => {
    Object.assign(window, {
      showSaveFilePicker: async ({ suggestedName }: { suggestedName: string }) => {
        const folder = await navigator.storage.getDirectory();
        return folder.getFileHandle(suggestedName, { create: true });
      },
    });
    Object.assign(FileSystemFileHandle.prototype, {
      queryPermission: async () => 'granted',
      requestPermission: async () => 'granted',
    });
  });
  await season(page);
  await page.goto('/shelf/data');
  await page.getByRole('button', { name: 'Other ways' }).click();
  await page.getByRole('button', { name: 'Write it into a file by itself' }).click();
  await expect(page.getByText(/^Made, /)).toBeVisible();
  await expect(page.getByText(/aubade-backup\.zip is written anew by itself/)).toBeVisible();
  const size = () =>
    page.evaluate(async () => {
      const folder = await navigator.storage.getDirectory();
      return (await (await folder.getFileHandle('aubade-backup.zip')).getFile()).size;
    });
  const first = await size();
  expect(first).toBeGreaterThan(1000);
  await page.goto('/');
  await newMatch(page, 'Midge', 'pupa', ['6'], 'Came later');
  await written(page);
  await page.clock.setFixedTime(Date.now() + 40 * 24 * 3600 * 1000);
  await page.goto('/');
  await expect(page.getByText('A backup was written into aubade-backup.zip.')).toBeVisible();
  expect(await size()).toBeGreaterThan(first);
});
