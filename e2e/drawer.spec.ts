import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { expect, newMatch, openStep, startClean, test, written } from './support';

const LINE = 'Model, sizes, count';

/** Chooses a file on the page of files. */
async function choose(page: Page, name: string, text: string | Buffer): Promise<void> {
  const chooser = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: /^(Read a file|Another file)$/ }).click();
  await (await chooser).setFiles({ name, mimeType: 'text/csv', buffer: Buffer.from(text) });
}

test('twelve packets by keyboard take at most 110 keystrokes', async ({ page }) => {
  await page.goto('/drawer/packets');
  await page.getByRole('button', { name: 'Add packets' }).click();
  await expect(page.getByRole('textbox', { name: LINE })).toBeFocused();
  let strokes = 0;
  const held = async () => Number(/^(\d+) packets/.exec((await page.getByText(/^\d+ packets, /).textContent())!)![1]);
  const before = await held();
  // Four of the demo's own, which are topped up, and twelve that are new.
  for (const line of ['lark 10 18 20 x50', 'heron 12 14 16', 'fine 14 16', 'plain 14 18', '20', 'hatch 14']) {
    for (const key of [...line, 'Enter']) {
      await page.keyboard.press(key === ' ' ? 'Space' : key);
      strokes++;
    }
    await expect(page.getByRole('textbox', { name: LINE })).toHaveValue('');
  }
  expect((await held()) - before).toBe(12);
  expect(strokes).toBeLessThanOrEqual(110);
  await written(page);
  await page.reload();
  await expect(page.getByText(`${before + 12} packets,`, { exact: false })).toBeVisible();
});

test('from a packet the nearest in every maker is on the screen after one tap, nothing scrolled', async ({ page }) => {
  await page.goto('/drawer/packets');
  await page.getByRole('link', { name: 'Osmere Lark 14: nearest in every maker' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Osmere Lark 14' })).toBeVisible();
  const rows = page.getByRole('listitem');
  await expect(rows).toHaveCount(6);
  const bar = (await page.getByRole('navigation', { name: 'Places' }).boundingBox())!;
  for (const row of await rows.all())
    expect((await row.boundingBox())!.y + (await row.boundingBox())!.height).toBeLessThanOrEqual(bar.y);
});

test("another's file, with semicolons, decimal commas, a byte-order mark and inches, is matched, reported row by row, taken in and undone", async ({
  page,
}) => {
  await page.goto('/drawer/import');
  await choose(
    page,
    'theirs.csv',
    '\uFEFFFirm;Code;No.;Shape of bend;Long (in);Gap (mm)\r\nWend;Deep;12;round;0,33;5,1\r\nWend;Deep;14;banana;0,3;4,6\r\nWend;Deep;1/0;round;;\r\n',
  );
  await expect(page.getByText('Still needed: Bend')).toBeVisible();
  await page.getByRole('button', { name: 'Change Bend' }).click();
  await page.getByRole('combobox', { name: 'Bend' }).selectOption({ label: 'Shape of bend' });
  await page.getByRole('button', { name: 'Change Shank' }).click();
  await page.getByRole('combobox', { name: 'Shank' }).selectOption({ label: 'Long (in)' });
  await page
    .getByRole('radiogroup', { name: 'Unit of this column' })
    .getByRole('radio', { name: 'inch', exact: true })
    .click();
  await page.getByRole('button', { name: 'Read it so' }).click();
  await expect(page.getByText('2 good rows of 3')).toBeVisible();
  await expect(page.getByText(/^Line 3: Shape of bend banana is not known/)).toBeVisible();
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Bad rows as a file to mend' }).click();
  expect(readFileSync(await (await download).path(), 'utf8')).toMatch(
    /^Firm,Code,No\.,Shape of bend,Long \(in\),Gap \(mm\),problem\r\nWend,Deep,14,banana,"0,3","4,6",/,
  );
  await page.getByRole('button', { name: 'Take 2 hooks' }).click();
  await expect(page.getByText('2 hooks taken in.')).toBeVisible();
  await written(page);
  await page.goto('/drawer/hooks/wend/deep');
  await expect(page.getByRole('row', { name: /^12 / })).toContainText('8.4');
  await page.reload();
  await expect(page.getByRole('heading', { level: 1, name: 'Wend Deep' })).toBeVisible();
});

test('a file of nonsense is refused with the reason, and the page stays as it was', async ({ page }) => {
  await page.goto('/drawer/import');
  await choose(page, 'photo.csv', Buffer.from(Array.from({ length: 3_000_000 }, (_, index) => (index * 7919) % 256)));
  await expect(page.getByText('Not taken: this is not text', { exact: false })).toBeVisible();
  await choose(page, 'letter.txt', 'Dear friend,\nthe river was low and clear, and nothing rose.\nYours\n');
  await expect(page.getByText('Not taken: this is not a table', { exact: false })).toBeVisible();
  await choose(page, 'newer.json', JSON.stringify({ aubade: 'hooks', version: 9, items: [] }));
  await expect(page.getByText(/Not taken: version 9 is newer/)).toBeVisible();
});

test('20 000 hooks: reading can be stopped, or taken in, and they are there after a reload', async ({ page }) => {
  const rows = Array.from(
    { length: 20_000 },
    (_, index) =>
      `Wend ${Math.floor(index / 400)},Model ${Math.floor(index / 10) % 40},${6 + 2 * (index % 10)},round,${(16 * 0.85 ** (index % 10)).toFixed(2)},${(9 * 0.86 ** (index % 10)).toFixed(2)}`,
  );
  const file = `maker,model,size,bend,shank_mm,gape_mm\n${rows.join('\n')}\n`;
  await startClean(page);
  await written(page);
  await page.goto('/drawer/import');
  await choose(page, 'many.csv', file);
  await page.getByRole('button', { name: 'Stop' }).click();
  await expect(page.getByRole('button', { name: 'Read a file' })).toBeVisible();
  await expect(page.getByText(/good rows/)).toHaveCount(0);
  await choose(page, 'many.csv', file);
  await page.getByRole('button', { name: 'Take 20000 hooks' }).click({ timeout: 60_000 });
  await expect(page.getByText('20000 hooks taken in.')).toBeVisible();
  await written(page);
  await page.goto('/drawer/hooks');
  await expect(page.getByText(/^200\d\d hooks by shank, round$/)).toBeVisible();
  expect(await page.locator('svg[aria-label^="Wend"]').count()).toBeLessThanOrEqual(40);
  await page.getByRole('radio', { name: 'Table' }).click();
  await expect(page.getByRole('table')).toHaveAttribute('aria-rowcount', /^200\d\d$/);
  expect(await page.getByRole('row').count()).toBeLessThanOrEqual(40);
});

test("two tabs in one drawer: neither loses the other's count", async ({ page, context }) => {
  await page.goto('/drawer/packets');
  const second = await context.newPage();
  await second.goto('/drawer/packets');
  const open = (tab: Page) => tab.getByRole('button', { name: /^Osmere Lark 16: 4 left/ }).click();
  await open(page);
  await open(second);
  await Promise.all([
    page.getByRole('button', { name: 'Got 25' }).click(),
    second.getByRole('button', { name: 'Tied 4' }).click(),
  ]);
  await written(page);
  await written(second);
  for (const tab of [page, second]) {
    await tab.reload();
    await expect(tab.getByRole('button', { name: /^Osmere Lark 16: 25 left/ })).toBeVisible();
  }
});

test('a hook laid on the calibrated glass is measured by its handles, and moves its model', async ({ page }) => {
  await page.goto('/shelf/settings');
  await page
    .getByRole('button', { name: 'It matches' })
    .or(page.getByRole('button', { name: /matches/i }))
    .first()
    .click();
  await written(page);
  await page.goto('/drawer/hooks/bessock/fine-wet?tape=12');
  const row = page.getByRole('row', { name: /^14 / });
  const before = await row.textContent();
  await page.getByRole('radio', { name: 'On the glass' }).click();
  const bend = page.getByRole('slider', { name: 'Start of the bend' });
  const from = Number(await bend.getAttribute('aria-valuenow'));
  await bend.focus();
  for (let press = 0; press < 6; press++) await page.keyboard.press('ArrowUp');
  await expect.poll(async () => Number(await bend.getAttribute('aria-valuenow'))).toBeCloseTo(from + 0.6, 6);
  const box = (await bend.boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2 - 12, box.y + box.height / 2, { steps: 4 });
  await page.mouse.up();
  expect(Number(await bend.getAttribute('aria-valuenow'))).toBeGreaterThan(from + 1);
  await expect(page.getByText(/^Labelled 12, reads \d+\.\d long/)).toBeVisible();
  await page.getByRole('button', { name: 'Keep this reading' }).click();
  await expect(page.getByText(/^12, On the glass: Shank/)).toBeVisible();
  expect(await row.textContent()).not.toBe(before);
});

test('the drawer is printed as a PDF and as SVG', async ({ page }) => {
  await page.goto('/drawer/packets');
  await page.getByRole('button', { name: 'Print the drawer' }).click();
  for (const [name, begins] of [
    ['PDF', '%PDF-'],
    ['SVG', '<svg'],
  ] as const) {
    const download = page.waitForEvent('download');
    await page.getByRole('button', { name, exact: true }).click();
    expect(readFileSync(await (await download).path(), 'latin1').startsWith(begins)).toBe(true);
  }
});

test('with an empty drawer and no demo a natural is still answered, from the reference range', async ({ page }) => {
  await startClean(page);
  await newMatch(page, 'Mayfly', 'dun', ['8.2']);
  await openStep(page, 'Hook');
  await expect(page.getByRole('heading', { name: /^Reference Standard dry 14$/ })).toBeVisible();
});
