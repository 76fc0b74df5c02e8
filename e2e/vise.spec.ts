import { expect, test, written } from './support';

const TIE = '/vise/batch_demo-tonight/tie';

test('a session is where it stood after a reload: the fly, its step, and a wait that ran on meanwhile', async ({
  page,
}) => {
  await page.clock.install();
  await page.goto(TIE);
  await expect(page.getByText(/^Step 7 of 17/)).toBeVisible();
  for (let n = 8; n <= 16; n++) {
    await page.keyboard.press('PageDown');
    await expect(page.getByText(new RegExp(`^Step ${n} of 17`))).toBeVisible();
  }
  // The coat is on: it dries for ten minutes while the next fly is begun.
  await page.keyboard.press('PageDown');
  const wait = page.getByRole('list', { name: 'What is waited for' }).getByText(/^\d+:\d\d$/);
  await expect(wait).toHaveText(/^(10:00|9:5\d)$/);
  await expect(page.getByText(/^Step 1 of 17/)).toBeVisible();
  await page.keyboard.press('PageDown');
  await expect(page.getByText(/^Step 2 of 17/)).toBeVisible();
  await written(page);
  await page.clock.fastForward('04:00');
  await page.reload();
  await expect(page.getByText(/^Step 2 of 17/)).toBeVisible();
  await expect(wait).toHaveText(/^5:[345]\d$|^6:00$/);
  // From Now it is one tap to the vise.
  await page.goto('/');
  await page.getByRole('link', { name: /^At the vise/ }).click();
  await expect(page.getByText(/^Step 2 of 17/)).toBeVisible();
  await page.clock.fastForward('06:30');
  await expect(page.getByText('Dry', { exact: true })).toBeVisible();
});

test('two tabs at one session lose nothing: a tick here, a step there', async ({ page, context }) => {
  await page.goto('/vise/batch_demo-tonight');
  await page.getByRole('button', { name: /^Lay out: 5 of/ }).click();
  const other = await context.newPage();
  await other.goto(TIE);
  await expect(other.getByText(/^Step 7 of 17/)).toBeVisible();
  await other.keyboard.press('PageDown');
  await expect(other.getByText(/^Step 8 of 17/)).toBeVisible();
  await page.getByRole('checkbox', { name: /^Head varnish/ }).click();
  await expect(page.getByRole('button', { name: /^Lay out: 6 of/ })).toBeVisible();
  await written(page);
  await written(other);
  await other.reload();
  await expect(other.getByText(/^Step 8 of 17/)).toBeVisible();
  await other.goto('/vise/batch_demo-tonight');
  await expect(other.getByRole('button', { name: /^Lay out: 6 of/ })).toBeVisible();
});

test('lists, cards and a pocket card are saved to be printed, faces and all', async ({ page }) => {
  await page.goto('/vise/batch_demo-tonight');
  await page.getByRole('button', { name: /^On paper/ }).click();
  for (const [button, name] of [
    ['Session lists (PDF)', 'aubade-session.pdf'],
    ['2 bench cards (PDF)', 'aubade-cards.pdf'],
    ['Pocket card (PDF)', 'aubade-pocket.pdf'],
  ] as const) {
    const [file] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: button }).click(),
    ]);
    expect(file.suggestedFilename()).toBe(name);
  }
});

test('a tied fly in a photograph is measured, what is not plain is moved by hand, and its lengths are taken', async ({
  page,
}) => {
  await page.goto('/vise/batch_demo-april/inspect?fly=i1-5');
  await page.getByRole('radio', { name: 'Photograph' }).click();
  await page.getByRole('button', { name: 'Sample photographs' }).click();
  await page.getByRole('button', { name: 'A tied fly' }).click();
  const take = page.getByRole('button', { name: /^Take \d lengths?$/ });
  await expect(take).toBeVisible({ timeout: 90_000 });
  const found = Number(/\d/.exec((await take.textContent())!)![0]);
  await page.getByRole('radiogroup', { name: 'Move the ends of' }).getByRole('radio', { name: 'Thorax' }).click();
  await page.getByRole('button', { name: 'Tip of Thorax' }).focus();
  await page.keyboard.press('ArrowLeft');
  await expect(page.getByRole('button', { name: `Take ${found + 1} lengths` })).toBeVisible();
  await page.getByRole('button', { name: `Take ${found + 1} lengths` }).click();
  await expect(page.getByText('Taken. The picture is not kept.')).toBeVisible();
  await expect(page.getByRole('textbox', { name: 'Length of Thorax' })).toHaveValue(/^\d/);
});
