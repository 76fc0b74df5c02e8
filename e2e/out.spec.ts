import { DUN, expect, test, written } from './support';

test('at the water: begun with a tap, what was logged is there after a reload, and Now leads back to it', async ({
  page,
}) => {
  await page.goto('/out');
  await page.getByRole('button', { name: 'Begin now' }).click();
  await expect(page).toHaveURL(/\/out\/outing_/);
  await page.getByRole('button', { name: /^Flies on the leader/ }).click();
  await page.getByRole('button', { name: /^Tie on Auldry low emerger, Bessock/ }).click();
  const tap = page.getByRole('button', { name: /^Took: Auldry low emerger/ });
  expect((await tap.boundingBox())!.height).toBeGreaterThanOrEqual(72);
  await tap.click();
  await tap.click();
  await written(page);
  await page.reload();
  await expect(page.getByRole('button', { name: /^Took: Auldry low emerger.*, 2 so far$/ })).toBeVisible();
  await page.goto('/');
  await page.getByRole('link', { name: /^At the water/ }).click();
  await expect(page).toHaveURL(/\/out\/outing_/);
  await page.getByRole('button', { name: 'End the outing' }).click();
  await expect(page.getByRole('heading', { name: 'What came of it' })).toBeVisible();
  await expect(page.getByRole('listitem').filter({ hasText: 'Auldry low emerger' })).toContainText('2 took');
});

test('a single fly of a match is gone on with where it stood', async ({ page }) => {
  await page.goto(`${DUN}/tie`);
  await expect(page.getByText('Step 1 of 17', { exact: false })).toBeVisible();
  await page.keyboard.press('PageDown');
  await page.keyboard.press('PageDown');
  await expect(page.getByText('Step 3 of 17', { exact: false })).toBeVisible();
  await written(page);
  await page.reload();
  await expect(page.getByText('Step 3 of 17', { exact: false })).toBeVisible();
});
