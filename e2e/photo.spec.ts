import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Page } from '@playwright/test';
import { expect, startClean, test, written, unfold } from './support';

const folder = mkdtempSync(join(tmpdir(), 'aubade-photo-'));
const photo = (name: string, more = {}, insect = {}) => {
  const path = join(folder, name);
  execFileSync(
    process.execPath,
    ['--import', 'tsx', 'tools/write-photo.ts', path, JSON.stringify(more), JSON.stringify(insect)],
    { cwd: join(__dirname, '..') },
  );
  return path;
};

/** A clean start with one photograph that waits, opened. */
async function waiting(page: Page, path: string): Promise<void> {
  await startClean(page);
  await photograph(page, path);
  await page.getByRole('link', { name: /Unnamed natural/ }).click();
}

async function photograph(page: Page, path: string): Promise<void> {
  const opening = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: 'Photograph it for tonight' }).click();
  await (await opening).setFiles(path);
}

test('from Now to an accepted length in four taps: photograph, open, measure, take; the crop stays, colours and ± with it', async ({
  page,
}) => {
  await page.addInitScript(() => {
    (window as unknown as { taps: number }).taps = 0;
    window.addEventListener(
      'click',
      (event) => {
        if (event.isTrusted) (window as unknown as { taps: number }).taps++;
      },
      true,
    );
  });
  await startClean(page);
  await photograph(page, photo('dun.jpg'));
  await page.getByRole('link', { name: /Unnamed natural/ }).click();
  await page.getByRole('button', { name: 'Measure it' }).click();
  await page.getByRole('button', { name: /^Take 8\.[0-4] mm$/ }).click({ timeout: 60_000 });
  await expect(page.getByText('measured; the crop is kept')).toBeVisible();
  expect(await page.evaluate(() => (window as unknown as { taps: number }).taps)).toBe(4);
  await unfold(page, 'Body length');
  const body = page.getByRole('textbox', { name: 'Body 1' });
  expect(Math.abs(Number(await body.inputValue()) - 8.2)).toBeLessThan(0.25);
  await expect(page.getByRole('img', { name: /^The insect from above with its midline, 1 measured/ })).toBeVisible();
  await written(page);
  await page.reload();
  await expect(page.getByRole('img', { name: /^The insect from above with its midline, 1 measured/ })).toBeVisible();
});

test('what cannot be told says why and what to do, and can be tried again', async ({ page }) => {
  await waiting(page, photo('blurred.jpg', { blurPx: 5 }));
  await page.getByRole('button', { name: 'Measure it' }).click();
  await expect(page.getByText('the picture is too blurred to measure')).toBeVisible({ timeout: 60_000 });
  await expect(page.getByText('Rest the hand, tap to focus, or go a little farther away.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Try again' })).toBeVisible();
});

test('a measurement can be stopped', async ({ page }) => {
  await waiting(page, photo('large.jpg', { width: 2800, height: 2100 }));
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

test('what was found is moved with a finger: the number follows, and what was found stays beside it', async ({
  page,
}) => {
  await waiting(page, photo('moved.jpg'));
  await page.getByRole('button', { name: 'Measure it' }).click();
  await page.getByRole('button', { name: 'Move what was found on insect 1' }).click({ timeout: 60_000 });
  const tail = page.getByRole('button', { name: 'End of the abdomen' });
  await tail.evaluate((element) => element.scrollIntoView({ block: 'center' }));
  const at = (await tail.boundingBox())!;
  await page.mouse.move(at.x + at.width / 2, at.y + at.height / 2);
  await page.mouse.down();
  await page.mouse.move(at.x + at.width / 2 + 30, at.y + at.height / 2 + 20, { steps: 4 });
  await page.mouse.up();
  await expect(page.getByText(/^found 8\.[0-4]\d mm$/)).toBeVisible();
  await page.getByRole('button', { name: 'Done' }).click();
  await page.getByRole('button', { name: /^Take (9|1\d)\.\d mm$/ }).click();
  await unfold(page, 'Body length');
  expect(Number(await page.getByRole('textbox', { name: 'Body 1' }).inputValue())).toBeGreaterThan(8.8);
  await expect(page.getByText(/found 8\.[0-4]\d mm/)).toBeVisible();
});

test('by hand: the corners of a known rectangle, taps along the body, and it is taken', async ({ page }) => {
  await waiting(page, photo('hand.jpg'));
  await page.getByRole('button', { name: 'By hand' }).click();
  await page.getByRole('radio', { name: 'A rectangle' }).click();
  const picture = page.getByRole('img', { name: 'The photograph, to be tapped' });
  const tap = async (x: number, y: number) => {
    await picture.evaluate((element) => element.scrollIntoView({ block: 'center' }));
    const box = (await picture.boundingBox())!;
    await page.mouse.click(box.x + x * box.width, box.y + y * box.height);
  };
  for (const [x, y] of [
    [0.203, 0.086],
    [0.86, 0.352],
    [0.809, 0.928],
    [0.031, 0.684],
  ] as const)
    await tap(x, y);
  await page.getByRole('button', { name: 'Now the body' }).click();
  await tap(0.477, 0.452);
  await tap(0.523, 0.525);
  await page.getByRole('button', { name: /^Use / }).click();
  await page.getByRole('button', { name: /^Take \d/ }).click();
  await unfold(page, 'Body length');
  const body = Number(await page.getByRole('textbox', { name: 'Body 1' }).inputValue());
  expect(body).toBeGreaterThan(6.5);
  expect(body).toBeLessThan(10);
});

test('a match with its waiting photograph goes to another device as one file', async ({ page, browser, baseURL }) => {
  await waiting(page, photo('carried.jpg'));
  const saved = page.waitForEvent('download');
  await unfold(page, 'Name, place and water');
  await page.getByRole('button', { name: 'Write this match to a file' }).click();
  const file = join(folder, 'match.json');
  await (await saved).saveAs(file);
  const bench = await browser.newContext({ viewport: { width: 1280, height: 800 }, serviceWorkers: 'block', baseURL });
  const other = await bench.newPage();
  await startClean(other);
  await other.getByRole('link', { name: 'Matches' }).click();
  const opening = other.waitForEvent('filechooser');
  await other.getByRole('button', { name: 'Read a match from a file' }).click();
  await (await opening).setFiles(file);
  await expect(other.getByText('1 match, 1 sample, 1 photograph')).toBeVisible();
  await other.getByRole('button', { name: 'Take it in' }).click();
  await other.getByRole('link', { name: /Unnamed natural/ }).click();
  await other.getByRole('button', { name: 'Measure it' }).click();
  await expect(other.getByRole('button', { name: /^Take 8\.[0-4] mm$/ })).toBeVisible({ timeout: 60_000 });
  await bench.close();
});

test('in the demo a sample photograph is measured, and the simulated calliper types the next insect', async ({
  page,
}) => {
  await page.goto('/matches/match_demo-auldry-dun/natural');
  await page.getByRole('button', { name: 'Sample photographs' }).click();
  await page.getByRole('button', { name: 'Two nymphs' }).click();
  await page.getByRole('button', { name: 'Measure it' }).click();
  await expect(page.getByRole('button', { name: 'Take all 2' })).toBeVisible({ timeout: 60_000 });
  await unfold(page, 'Body length');
  const count = await page.getByRole('textbox', { name: /^Body \d$/ }).count();
  await page.getByRole('button', { name: 'Close the simulated calliper on the next one' }).click();
  await unfold(page, 'Body length');
  await expect(page.getByRole('textbox', { name: `Body ${count + 1}` })).toHaveValue(/^\d\.\d{1,2}$/);
});
