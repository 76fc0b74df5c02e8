import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Page } from '@playwright/test';
import { expect, startClean, test, written } from './support';

const folder = mkdtempSync(join(tmpdir(), 'aubade-photo-'));
const photo = (name: string, more = {}, insect = {}) => {
  const path = join(folder, name);
  execFileSync(process.execPath, ['--import', 'tsx', 'tools/write-photo.ts', path, JSON.stringify(more), JSON.stringify(insect)], { cwd: join(__dirname, '..') });
  return path;
};

async function photograph(page: Page, path: string): Promise<void> {
  const opening = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: 'Photograph it for tonight' }).click();
  await (await opening).setFiles(path);
}

test('from Now to an accepted length in four taps: photograph, open, measure, take; the crop stays, colours and ± with it', async ({ page }) => {
  test.setTimeout(120_000);
  await page.addInitScript(() => {
    (window as unknown as { taps: number }).taps = 0;
    window.addEventListener('click', (event) => { if (event.isTrusted) (window as unknown as { taps: number }).taps++; }, true);
  });
  await startClean(page);
  await photograph(page, photo('dun.jpg'));
  await page.getByRole('link', { name: /Unnamed natural/ }).click();
  await page.getByRole('button', { name: 'Measure it' }).click();
  await page.getByRole('button', { name: /^Take 8\.[0-4] mm$/ }).click({ timeout: 60_000 });
  await expect(page.getByText('measured; the crop is kept')).toBeVisible();
  expect(await page.evaluate(() => (window as unknown as { taps: number }).taps)).toBe(4);
  const body = page.getByRole('textbox', { name: 'Body 1' });
  expect(Math.abs(Number(await body.inputValue()) - 8.2)).toBeLessThan(0.25);
  await expect(page.getByRole('img', { name: /^The insect from above with its midline, 1 measured/ })).toBeVisible();
  await written(page);
  await page.reload();
  await expect(page.getByRole('img', { name: /^The insect from above with its midline, 1 measured/ })).toBeVisible();
});

test('what cannot be told says why and what to do, and can be tried again', async ({ page }) => {
  test.setTimeout(120_000);
  await startClean(page);
  await photograph(page, photo('blurred.jpg', { blurPx: 5 }));
  await page.getByRole('link', { name: /Unnamed natural/ }).click();
  await page.getByRole('button', { name: 'Measure it' }).click();
  await expect(page.getByText('the picture is too blurred to measure')).toBeVisible({ timeout: 60_000 });
  await expect(page.getByText('Rest the hand, tap to focus, or go a little farther away.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Try again' })).toBeVisible();
});

test('a measurement can be stopped', async ({ page }) => {
  test.setTimeout(120_000);
  await startClean(page);
  await photograph(page, photo('large.jpg', { width: 2800, height: 2100 }));
  await page.getByRole('link', { name: /Unnamed natural/ }).click();
  await page.getByRole('button', { name: 'Measure it' }).click();
  await page.getByRole('button', { name: 'Stop' }).click();
  await expect(page.getByRole('button', { name: 'Measure it' })).toBeVisible();
});

test('the field card is saved as PDF and SVG, and its check line is kept', async ({ page }) => {
  await page.goto('/shelf/field-card');
  const saved = async (name: string) => {
    const download = page.waitForEvent('download');
    await page.getByRole('button', { name }).click();
    return readFileSync(await (await download).path());
  };
  expect((await saved('Save PDF to print')).subarray(0, 5).toString()).toBe('%PDF-');
  expect((await saved('Save SVG')).toString()).toContain('data-field-mm="13 10 59.6 34"');
  await page.getByRole('textbox', { name: 'The printed 50 mm line is really' }).fill('48.5');
  await written(page);
  await page.reload();
  await expect(page.getByRole('textbox', { name: 'The printed 50 mm line is really' })).toHaveValue('48.5');
});
