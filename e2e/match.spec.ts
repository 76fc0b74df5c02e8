import { expect, newMatch, openStep, startClean, test, written, unfold } from './support';

const DUN = '/matches/match_demo-auldry-dun';

test('a new match from an insect to the bench card, kept over a reload, undone at the end; the same in a second tab at once', async ({
  page,
  context,
}) => {
  await startClean(page);
  const second = await context.newPage();
  await second.goto('/');
  await Promise.all([
    newMatch(page, 'Mayfly', 'dun', ['8,2', '8.6'], 'First tab'),
    newMatch(second, 'Midge', 'pupa', ['6.5'], 'Second tab'),
  ]);
  for (const tab of [page, second]) {
    await expect(tab.getByRole('button', { name: /^Hook: Reference/ })).toBeVisible();
    await written(tab);
  }
  await Promise.all([page.reload(), second.reload()]);
  await unfold(page, 'Body length');
  await expect(page.getByRole('textbox', { name: 'Body 2' })).toHaveValue('8.6');
  await unfold(second, 'Body length');
  await expect(second.getByRole('textbox', { name: 'Body 1' })).toHaveValue('6.5');
  await openStep(page, 'Bench');
  await openStep(second, 'Bench');
  await expect(page.getByRole('heading', { name: 'First-light upright dun' })).toBeVisible();
  await expect(second.getByRole('heading', { name: 'Ellanmere ringed pupa' })).toBeVisible();
  await unfold(page, 'Steps');
  await expect(page.getByRole('listitem').first()).toContainText('Start the olive nylon thread');
  await openStep(page, 'Natural');
  await unfold(page, 'Body length');
  await page.getByRole('textbox', { name: 'Body 1' }).fill('12');
  await openStep(second, 'Natural');
  await unfold(second, 'Name, place and water');
  await second.getByRole('textbox', { name: 'Where' }).fill('north bay');
  await written(page);
  await written(second);
  await page.getByRole('heading', { level: 1 }).click();
  await page.keyboard.press('Control+z');
  await unfold(page, 'Body length');
  await expect(page.getByRole('textbox', { name: 'Body 1' })).toHaveValue('8.2');
  await written(page);
  for (const tab of [page, second]) {
    await tab.goto('/matches');
    await expect(tab.getByText('Mayfly dun, 8.4 mm ± 0.8, 2 measured')).toBeVisible();
    await expect(tab.getByText('Midge pupa, 6.5 mm', { exact: false })).toBeVisible();
    await expect(tab.getByText('north bay')).toBeVisible();
    await expect(tab.getByRole('main').getByRole('link')).toHaveCount(2);
  }
});

test('a wrong length is named beside its field, kept as typed, and the last answer stays', async ({ page }) => {
  await page.goto(`${DUN}/natural`);
  await unfold(page, 'Body length');
  const field = page.getByRole('textbox', { name: 'Body 1' });
  await field.fill('eight');
  await expect(page.getByText(/cannot be read as a length: eight/)).toBeVisible();
  await expect(page.getByText(/last good answer/)).toBeVisible();
  await expect(field).toHaveValue('eight');
  await expect(page.getByRole('button', { name: /^Hook: / })).toBeVisible();
  await written(page);
  await page.reload();
  await expect(field).toHaveValue('eight');
  await expect(field).toHaveAttribute('aria-invalid', 'true');
});

test('a length outside the range says the range', async ({ page }) => {
  await page.goto(`${DUN}/natural`);
  await unfold(page, 'Body length');
  await page.getByRole('textbox', { name: 'Body 1' }).fill('400');
  await expect(page.getByText('400 is outside 0.5 mm to 120.0 mm')).toBeVisible();
});

test('an earlier step changes the later ones and says what changed; a pinned hook stays', async ({ page }) => {
  await page.goto(`${DUN}/hook`);
  await page.getByRole('button', { name: 'Pin Bessock Fine 13' }).click();
  await openStep(page, 'Natural');
  await unfold(page, 'Body length');
  for (const body of ['Body 1', 'Body 2', 'Body 3']) await page.getByRole('textbox', { name: body }).fill('10.5');
  await expect(page.getByRole('button', { name: /^Hook: Bessock Fine 13\..*pinned/ })).toBeVisible();
  await openStep(page, 'Hook');
  await page.getByRole('button', { name: 'Unpin Bessock Fine 13' }).click();
  await expect(page.getByText(/Hook was Bessock Fine 13, now /)).toBeVisible();
});

test('an insect that no hook carries says so and names the longest', async ({ page }) => {
  await startClean(page);
  await newMatch(page, 'Stonefly', 'nymph', ['95']);
  await openStep(page, 'Hook');
  await expect(page.getByText(/no hook carries 95\.0 mm/)).toBeVisible();
});

test('two stages kept stand side by side, and the second can lead', async ({ page }) => {
  await page.goto(`${DUN}/hook`);
  const spinner = page.getByRole('radio', { name: /^Mayfly spinner: / });
  await expect(spinner).not.toBeChecked();
  await spinner.click();
  await expect(spinner).toBeChecked();
  await expect(page.getByRole('button', { name: /^Dressing: Last-light clipped spinner/ })).toBeVisible();
});

test('the unit changes every view and no stored value', async ({ page }) => {
  await page.goto('/shelf/settings');
  await page.getByRole('radio', { name: 'Inches, 1/32' }).click();
  await written(page);
  await page.goto(`${DUN}/bench`);
  await expect(page.getByRole('button', { name: /^Natural: Mayfly dun\. .*in/ })).toBeVisible();
  await expect(page.getByText(/\d\s?mm\b/)).toHaveCount(0);
  await page.goto('/shelf/settings');
  await page.getByRole('radio', { name: 'Millimetres' }).click();
  await written(page);
  await page.goto(`${DUN}/natural`);
  await unfold(page, 'Body length');
  await expect(page.getByRole('textbox', { name: 'Body 1' })).toHaveValue('8.1');
});

test('a school chosen once is worked into the card', async ({ page }) => {
  await page.goto('/shelf/settings');
  await page.getByRole('button', { name: /^Where tiers disagree/ }).click();
  await page.getByRole('radiogroup', { name: 'Tail material' }).getByRole('radio', { name: 'Synthetic' }).click();
  await written(page);
  await page.goto(`${DUN}/bench`);
  await expect(page.getByRole('row', { name: /^Tail/ })).toContainText(/synthetic/i);
});

test('the bench goes by the space bar and a pedal, and comes back to the card', async ({ page }) => {
  await page.goto(`${DUN}/tie`);
  await expect(page.getByText('Step 1 of 17', { exact: false })).toBeVisible();
  await page.keyboard.press('PageDown');
  await expect(page.getByText('Step 2 of 17', { exact: false })).toBeVisible();
  await page.keyboard.press(' ');
  await expect(page.getByText('Step 3 of 17', { exact: false })).toBeVisible();
  await page.keyboard.press('PageUp');
  await expect(page.getByText('Step 2 of 17', { exact: false })).toBeVisible();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(/wing/i);
  await page.getByRole('button', { name: 'Leave the bench' }).click();
  await expect(page).toHaveURL(/\/bench$/);
});

test('letter keys work on a page, rest in a field, and can be switched off', async ({ page }) => {
  await page.goto(`${DUN}/hook`);
  await page.getByRole('heading', { level: 1 }).waitFor();
  await page.keyboard.press('3');
  await expect(page).toHaveURL(/\/dressing$/);
  await page.keyboard.press('1');
  await unfold(page, 'Name, place and water');
  await page.getByRole('textbox', { name: 'Name of the natural' }).click();
  await page.keyboard.type('n2');
  await expect(page).toHaveURL(/match_demo-auldry-dun\/natural$/);
  await page.goto('/shelf/settings');
  await page.getByRole('radiogroup', { name: 'Single-letter keys' }).getByRole('radio', { name: 'Off' }).click();
  await written(page);
  await page.goto(`${DUN}/hook`);
  await page.getByRole('heading', { level: 1 }).waitFor();
  await page.keyboard.press('3');
  await expect(page).toHaveURL(/\/hook$/);
});

test('an insect is laid beside the glass and the outline stretched to it', async ({ page }) => {
  await page.goto('/shelf/settings');
  await page.getByRole('button', { name: 'It matches' }).click();
  await expect(page.getByText(/^Measured for this screen/)).toBeVisible();
  await written(page);
  await page.goto('/matches/match_demo-waiting/natural');
  await unfold(page, 'Body length');
  await page.getByRole('button', { name: 'Lay it on the screen' }).click();
  const handle = page.getByRole('slider', { name: 'Length of the outline' });
  const before = Number(await handle.getAttribute('aria-valuenow'));
  await handle.scrollIntoViewIfNeeded();
  const box = (await handle.boundingBox())!;
  await page.mouse.move(box.x + 10, box.y + 20);
  await page.mouse.down();
  await page.mouse.move(box.x + 40, box.y + 20, { steps: 6 });
  await page.mouse.up();
  const after = Number(await handle.getAttribute('aria-valuenow'));
  expect(after - before).toBeCloseTo((30 * 25.4) / 96, 0);
  await page.getByRole('button', { name: 'Take this length' }).click();
  await expect(page.getByRole('button', { name: /^Hook: / })).not.toHaveAttribute('aria-label', /waits/);
});

test('the signs tell a stage in three answers from a cold start, without typing', async ({ page }) => {
  await startClean(page);
  let taps = 0;
  const tap = async (target: ReturnType<typeof page.getByRole>) => {
    taps++;
    await target.click();
  };
  await tap(page.getByRole('button', { name: /A natural in hand/ }));
  await tap(page.getByRole('button', { name: /upright and cloudy/ }));
  await tap(page.getByRole('radio', { name: /^Mayfly dun, / }));
  await tap(page.getByRole('radio', { name: '7 to 10' }));
  await expect(page.getByRole('button', { name: /^Hook: Reference/ })).toBeVisible();
  await expect(page.getByRole('button', { name: /^Dressing: First-light/ })).toBeVisible();
  expect(taps).toBeLessThanOrEqual(7);
});
