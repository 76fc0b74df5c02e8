import { expect, test } from './support';

test('a new match from an insect to the bench card, kept over a reload, undone at the end', async ({ page }) => {
  await page.goto('/?start=clean');
  await page.getByRole('button', { name: /A natural in hand/ }).click();
  await page.getByRole('radio', { name: 'Mayfly', exact: true }).click();
  await page.getByRole('radio', { name: 'dun', exact: true }).click();
  await page.getByRole('button', { name: 'Give a length' }).click();
  const first = page.getByRole('textbox', { name: 'Body 1' });
  await first.fill('8,2');
  await first.press('Enter');
  await page.getByRole('textbox', { name: 'Body 2' }).fill('8.6');
  await expect(page.getByRole('button', { name: /^Hook: Reference/ })).toBeVisible();
  await expect.poll(() => page.evaluate(async () => (await indexedDB.databases()).length)).toBeGreaterThan(0);
  await page.waitForTimeout(900);
  await page.reload();
  await expect(page.getByRole('textbox', { name: 'Body 2' })).toHaveValue('8.6');
  await page.getByRole('button', { name: /^Bench:/ }).click();
  await expect(page.getByRole('heading', { name: 'First-light upright dun' })).toBeVisible();
  await expect(page.getByRole('listitem').first()).toContainText('Start the olive nylon thread');
});

test('a wrong length is named beside its field, kept as typed, and the last answer stays', async ({ page }) => {
  await page.goto('/matches/match_demo-auldry-dun/natural');
  const field = page.getByRole('textbox', { name: 'Body 1' });
  await field.fill('eight');
  await expect(page.getByText(/cannot be read as a length: eight/)).toBeVisible();
  await expect(page.getByText(/last good answer/)).toBeVisible();
  await expect(field).toHaveValue('eight');
  await expect(page.getByRole('button', { name: /^Hook: / })).toBeVisible();
});

test('the demo leaves in one undoable step', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'Leave the demo' }).click();
  await expect(page.getByText('No match yet.', { exact: false })).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(page.getByText('Pale riffle dun')).toBeVisible();
});
