import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Page } from '@playwright/test';
import { expect, newMatch, startClean, test, written } from './support';

const folder = mkdtempSync(join(tmpdir(), 'aubade-exchange-'));

async function read(page: Page, file: string | { name: string; mimeType: string; buffer: Buffer }): Promise<void> {
  const opening = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: /^(Read a file|Another file)$/ }).click();
  await (await opening).setFiles(file);
}
async function write(page: Page, form: string, name: string): Promise<string> {
  await page.getByRole('radio', { name: form }).click();
  const saved = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Write the file' }).click();
  const path = join(folder, name);
  await (await saved).saveAs(path);
  return path;
}
const table = (text: string) => ({ name: 'theirs.csv', mimeType: 'text/csv', buffer: Buffer.from(text) });

test("another's table of samples is matched, told of and taken; the match it makes opens, and one step takes it back", async ({
  page,
}) => {
  await startClean(page);
  await page.goto('/shelf/data');
  await read(
    page,
    table('Date;River;Insect;Length (in);Weather\n24/5/2033 4:50;Fenbeck;mayfly/dun;0,32 0,33;rain\nsoon;Fenbeck;;;\n'),
  );
  await expect(page.getByText('1 good row of 2')).toBeVisible();
  await expect(page.getByText('Not read from it: Weather.')).toBeVisible();
  await expect(page.getByText(/^Line 3: Date soon is not a day/)).toBeVisible();
  await page.getByRole('button', { name: 'Take 1 sample' }).click();
  await expect(page.getByText('1 sample taken in. Undo takes it back.')).toBeVisible();
  await written(page);
  await page.goto('/matches');
  await page.getByRole('link', { name: /Fenbeck/ }).click();
  await expect(page.getByRole('button', { name: /^Natural: Mayfly dun\. 8\.3 mm/ })).toBeVisible();
  await page.getByRole('button', { name: /^Undo/ }).click();
  await written(page);
  await page.goto('/matches');
  await expect(page.getByText('No match yet.')).toBeVisible();
});

test('samples go out as a table and as an archive that another program opens, and each comes back on another device', async ({
  page,
  browser,
  baseURL,
}) => {
  await startClean(page);
  await newMatch(page, 'Mayfly', 'dun', ['8.1', '8.4'], 'Dawn on the weir');
  await page.getByRole('textbox', { name: 'Where' }).fill('Fenbeck, below the weir');
  await written(page);
  await page.goto('/shelf/data');
  const csv = await write(page, 'Table (CSV)', 'samples.csv');
  expect(readFileSync(csv, 'utf8')).toMatch(
    /^sample,when,place,water,stage.*\r\n.*"Fenbeck, below the weir",.*8\.1 8\.4/s,
  );
  const zip = await write(page, 'Darwin Core archive', 'samples.zip');
  const occurrences = execFileSync('unzip', ['-p', zip, 'occurrence.txt'], { encoding: 'utf8' });
  expect(occurrences).toMatch(/\tFenbeck\tplace generalised\t.*\tEphemeroptera\torder\tdun\t/);
  for (const [file, told] of [
    [csv, 'Samples'],
    [zip, 'An archive of occurrences'],
  ] as const) {
    const context = await browser.newContext({ baseURL, serviceWorkers: 'block' });
    const other = await context.newPage();
    await startClean(other);
    await other.goto('/shelf/data');
    await read(other, file);
    await expect(other.getByText(told, { exact: true })).toBeVisible();
    await other.getByRole('button', { name: 'Take 1 sample' }).click();
    await expect(other.getByText(/^1 sample taken in/)).toBeVisible();
    await written(other);
    await other.goto('/matches');
    await other.getByRole('link', { name: /Fenbeck/ }).click();
    await expect(other.getByRole('button', { name: /^Natural: Mayfly dun\. 8\.3 mm/ })).toBeVisible();
    await context.close();
  }
});
