import { readFileSync } from 'node:fs';
import { expect, test, written } from './support';

test('make your own: derived, changed with a live checker, kept over a reload, chosen for a match', async ({ page }) => {
  await page.goto('/dressings/first-light-dun');
  await page.getByRole('button', { name: 'Make your own from this' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'First-light upright dun, mine: change' })).toBeVisible();
  await expect(page.getByText('Passes over its whole range of hooks.')).toBeVisible();
  await page.getByRole('button', { name: /^Tail, / }).click();
  await page.getByRole('textbox', { name: 'Factor', exact: true }).fill('3');
  await expect(page.getByText('1 thing to mend')).toBeVisible();
  await page.getByRole('textbox', { name: 'Factor', exact: true }).fill('1.1');
  await expect(page.getByText('Passes over its whole range of hooks.')).toBeVisible();
  await page.getByRole('textbox', { name: 'Name' }).fill('Alder bend dun');
  await written(page);
  await page.reload();
  await expect(page.getByRole('heading', { level: 1, name: 'Alder bend dun: change' })).toBeVisible();
  await expect(page.getByText('tail: 1.1 × shank, was 1 × shank')).toBeVisible();
  await page.goto('/matches/match_demo-auldry-dun/dressing');
  await page.getByRole('textbox', { name: 'Why not another?' }).fill('alder bend');
  await page.getByRole('button', { name: 'Pin Alder bend dun' }).first().click();
  await page.getByRole('button', { name: /^Bench:/ }).click();
  await expect(page.getByRole('heading', { name: 'Alder bend dun' })).toBeVisible();
  await page.goto('/dressings');
  await expect(page.getByText('126 dressings, 1 of them yours')).toBeVisible();
});

test('a dressing goes out as Markdown, PDF, SVG and PNG, and the Markdown comes in again', async ({ page }) => {
  await page.goto('/dressings/ellanmere-long-dun');
  const save = async (name: string) => {
    const download = page.waitForEvent('download');
    await page.getByRole('button', { name, exact: true }).click();
    return readFileSync(await (await download).path());
  };
  const markdown = await save('Markdown');
  expect(markdown.toString()).toContain('```json');
  expect((await save('PDF to print')).subarray(0, 5).toString()).toBe('%PDF-');
  expect((await save('Save as PNG')).subarray(1, 4).toString()).toBe('PNG');
  expect((await save('Save as SVG')).toString()).toMatch(/^<svg /);
  await page.goto('/dressings');
  const chooser = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: 'Read a file' }).click();
  await (await chooser).setFiles({ name: 'card.md', mimeType: 'text/markdown', buffer: markdown });
  await expect(page.getByText('1 of 1 can be taken.')).toBeVisible();
  await page.getByRole('button', { name: 'Take it' }).click();
  await expect(page.getByText('One dressing taken in.')).toBeVisible();
  await expect(page.getByText('126 dressings, 1 of them yours')).toBeVisible();
});

test('the library by natural and stage draws only what comes near the screen', async ({ page }) => {
  await page.goto('/dressings');
  await expect(page.getByRole('heading', { level: 2, name: 'Mayfly nymph' })).toBeVisible();
  const drawn = () => page.locator('[role=listitem] svg').count();
  await expect.poll(drawn).toBeGreaterThan(3);
  expect(await drawn()).toBeLessThan(await page.getByRole('listitem').count());
  await page.getByRole('radio', { name: 'Stonefly' }).click();
  await expect(page.getByRole('link', { name: /Flat-sided stone nymph/ })).toBeVisible();
  await page.getByRole('textbox', { name: 'Search' }).fill('peacock herl');
  await expect(page.getByRole('link', { name: /Curved shell-back pupa/ })).toBeVisible();
});
