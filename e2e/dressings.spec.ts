import { readFileSync } from 'node:fs';
import { expect, test, written } from './support';

test('make your own: derived, changed with a live checker, kept over a reload, chosen for a match', async ({
  page,
}) => {
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
  await expect(page.getByText(/^\d+ dressings, 1 of them yours$/)).toBeVisible();
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
  await page.getByRole('button', { name: 'Keep this picture' }).click();
  expect((await save('Save as PNG')).subarray(1, 4).toString()).toBe('PNG');
  expect((await save('Save as SVG')).toString()).toMatch(/^<svg /);
  await page.goto('/dressings');
  const chooser = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: 'Read a file' }).click();
  await (await chooser).setFiles({ name: 'card.md', mimeType: 'text/markdown', buffer: markdown });
  await expect(page.getByText('1 of 1 can be taken.')).toBeVisible();
  await page.getByRole('button', { name: 'Take it' }).click();
  await expect(page.getByText('One dressing taken in.')).toBeVisible();
  await expect(page.getByText(/^\d+ dressings, 1 of them yours$/)).toBeVisible();
});

test('the library by natural and stage draws only what comes near the screen', async ({ page }) => {
  await page.goto('/dressings');
  await expect(page.getByRole('heading', { level: 2, name: 'Mayfly nymph' })).toBeVisible();
  const drawn = () => page.locator('[role=listitem] svg').count();
  await expect.poll(drawn).toBeGreaterThan(3);
  expect(await drawn()).toBeLessThan(await page.getByRole('listitem').count());
  await page.getByRole('combobox', { name: 'Natural' }).selectOption({ label: 'Stonefly' });
  await expect(page.getByRole('link', { name: /Flat-sided stone nymph/ })).toBeVisible();
  await page.getByRole('textbox', { name: 'Search' }).fill('peacock herl');
  await expect(page.getByRole('link', { name: /Curved shell-back pupa/ })).toBeVisible();
});

const FLIES: {
  title: string;
  natural: string;
  stage: string;
  lengths?: [string, string];
  parts: { what: string; how: string; of?: string }[];
  changes: [part: RegExp, field: string, option: string][];
}[] = [
  {
    title: 'a quill-bodied divided-wing dun with a herl collar',
    natural: 'Mayfly',
    stage: 'Mayfly dun',
    parts: [
      { what: 'Thorax', how: 'herl, wound' },
      { what: 'Wing', how: 'upright and divided' },
      { what: 'Tail', how: 'split', of: 'Stiff cock fibres, grey' },
      { what: 'Hackle', how: 'collar of turns' },
    ],
    changes: [[/^Abdomen, /, 'How it is made', 'quill, soaked and wound']],
  },
  {
    title: 'a beaded curved pupa with flash, case and soft collar',
    natural: 'Caddis',
    stage: 'Caddis pupa',
    parts: [
      { what: 'Bead', how: 'on the wire', of: 'Copper-washed tungsten bead' },
      { what: 'Rib', how: 'flash, through the bead' },
      { what: 'Thorax', how: 'dubbed' },
      { what: 'Wing case', how: 'folded forward' },
      { what: 'Hackle', how: 'soft, swept back' },
    ],
    changes: [[/^Bead, /, 'Locked by', 'Flash']],
  },
  {
    title: 'a biot spinner with clipped hackle',
    natural: 'Mayfly',
    stage: 'Mayfly spent',
    lengths: ['6', '12'],
    parts: [
      { what: 'Thorax', how: 'dubbed' },
      { what: 'Tail', how: 'split' },
      { what: 'Hackle', how: 'collar of turns' },
    ],
    changes: [
      [/^Abdomen, /, 'How it is made', 'biot, soaked and wound'],
      [/^Hackle, /, 'Trimmed', 'Both'],
    ],
  },
];
for (const fly of FLIES) {
  test(`${fly.title} is built from a bare hook by its ways`, async ({ page }) => {
    await page.goto('/dressings/new');
    await page.getByRole('combobox', { name: 'Natural' }).selectOption({ label: fly.natural });
    await page.getByRole('combobox', { name: 'Stage' }).selectOption({ label: fly.stage });
    await page.getByRole('button', { name: 'Start from the bare hook' }).click();
    if (fly.lengths) {
      await page.getByRole('textbox', { name: 'Longest natural' }).fill(fly.lengths[1]);
      await page.getByRole('textbox', { name: 'Shortest natural' }).fill(fly.lengths[0]);
    }
    const add = page.getByRole('group', { name: 'Add a part' });
    for (const part of fly.parts) {
      await add.getByRole('combobox', { name: 'What it is' }).selectOption({ label: part.what });
      await add.getByRole('combobox', { name: 'How it is made' }).selectOption({ label: part.how });
      if (part.of) await add.getByRole('combobox', { name: 'Of', exact: true }).selectOption({ label: part.of });
      await add.getByRole('button', { name: `Add ${part.what.toLowerCase()}` }).click();
    }
    for (const [part, field, option] of fly.changes) {
      const row = page.getByRole('button', { name: part });
      await row.click();
      await page.getByRole('combobox', { name: field }).first().selectOption({ label: option });
      await row.click();
    }
    await expect(page.getByText('Passes over its whole range of hooks.')).toBeVisible();
    await expect(page.getByRole('button', { name: /^Step \d+: Finish head/ })).toBeVisible();
  });
}

test('a part is taken out and put back, and a step is moved by keys', async ({ page }) => {
  await page.goto('/dressings/first-light-dun');
  await page.getByRole('button', { name: 'Make your own from this' }).click();
  await page.getByRole('button', { name: /^Hackle, / }).click();
  await page.getByRole('button', { name: 'Take the hackle out' }).click();
  await expect(page.getByText('hackle left out')).toBeVisible();
  await page.getByRole('button', { name: 'Put hackle back' }).click();
  await expect(page.getByText('Nothing changed yet but its name.')).toBeVisible();
  const step = (n: number) => page.getByRole('button', { name: new RegExp(`^Step ${n}: `) });
  await expect(step(5)).toHaveAccessibleName(/Bind tail/);
  const handle = page.getByRole('button', { name: 'Move step 5', exact: true });
  await handle.focus();
  await page.keyboard.press('Space');
  await expect(page.getByRole('status')).toContainText('Over step 5');
  await page.keyboard.press('ArrowUp');
  await expect(page.getByRole('status')).toContainText('Over step 4');
  await page.keyboard.press('Space');
  await expect(step(5)).toHaveAccessibleName(/tail|wing/);
  await expect(step(5)).not.toHaveAccessibleName(/Bind tail/);
  await expect(page.getByText('another order of work')).toBeVisible();
});
