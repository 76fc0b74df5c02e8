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
  // Now opens on it: the log is under the thumb at once.
  await expect(page.getByRole('button', { name: /^Took: Auldry low emerger.*, 2 so far$/ })).toBeVisible();
  await page.getByRole('link', { name: 'The whole outing' }).click();
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

/** An afternoon in May by the valley's clock. */
const MAY = '?clock=2033-05-24T15:40';

test('on the strip a change of fly is drawn along the day, or moved by keys, and stays where it was put', async ({
  page,
}) => {
  await page.goto(`/out${MAY}`);
  await page.getByRole('button', { name: 'Begin now' }).click();
  const post = page.getByRole('slider', { name: 'When to change for: Spinners falling' });
  const at = async () => Number(await post.getAttribute('aria-valuenow'));
  await post.scrollIntoViewIfNeeded();
  const before = await at();
  const box = (await post.boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2 - 12, box.y + box.height / 2, { steps: 4 });
  await page.mouse.move(box.x + box.width / 2 - 40, box.y + box.height / 2, { steps: 6 });
  await page.mouse.up();
  await expect.poll(at).toBeLessThan(before - 1);
  const drawn = await at();
  await post.press('ArrowRight');
  await expect.poll(at).toBe(drawn + 0.25);
  await written(page);
  const address = page.url().split('?')[0]!;
  await page.goto(`${address}${MAY}`);
  await expect.poll(at).toBe(drawn + 0.25);
});

test('where a water is comes from the device when it is asked, to a tenth of a degree', async ({ page, context }) => {
  await context.grantPermissions(['geolocation']);
  await context.setGeolocation({ latitude: 53.9871, longitude: -1.5432 });
  await page.goto(`/out${MAY}`);
  await page.getByRole('button', { name: 'Begin now' }).click();
  await page.getByRole('button', { name: /^Where River Auldry is/ }).click();
  await page.getByRole('button', { name: 'Where I am now' }).click();
  await expect(page.getByLabel(/^Latitude/)).toHaveValue('54');
  await expect(page.getByRole('button', { name: /^Where River Auldry is: 54\.0°, −1\.5°/ })).toBeVisible();
});

test('the journal: a calendar leads to an outing, and three stand beside each other', async ({ page }) => {
  await page.goto(`/out${MAY}`);
  await page.getByRole('radio', { name: 'A calendar' }).click();
  await page.getByRole('button', { name: /^22 May: 1 outing/ }).click();
  await expect(page.getByRole('link', { name: /River Auldry/ })).toHaveAttribute('href', '/out/outing_demo-may');
  await page.getByRole('radio', { name: 'A list' }).click();
  await page.getByRole('button', { name: 'Compare some' }).click();
  for (const n of [0, 1, 2]) await page.getByRole('checkbox').nth(n).click();
  await page.getByRole('button', { name: 'Compare these' }).click();
  await expect(page.getByRole('columnheader')).toHaveCount(3);
});
