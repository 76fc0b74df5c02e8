import type { Page } from '@playwright/test';
import { drawn, DUN, expect, nameOfFocus, reach, skip, startClean, test, written } from './support';

/** Opens a page and goes past header and places. */
async function enter(page: Page, route: string): Promise<void> {
  await page.goto(route);
  await page.getByRole('heading', { level: 1 }).first().waitFor();
  await drawn(page);
  await skip(page);
}

/** Goes through the group that has the focus by the arrow, and takes what is called so. */
async function choose(page: Page, name: RegExp, key = 'ArrowRight'): Promise<void> {
  for (let step = 0; step < 40; step++) {
    if (name.test(await nameOfFocus(page))) return void (await page.keyboard.press(' '));
    await page.keyboard.press(key);
  }
  throw new Error(`${String(name)} is not in the group`);
}

test('from an insect to its fly with the keyboard alone: told, matched, put into a box, and what it did', async ({
  page,
}) => {
  await startClean(page);
  await skip(page);
  await reach(page, /A natural in hand/);
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/\/natural$/);
  await drawn(page);
  await reach(page, /radio under 3/);
  await choose(page, /radio 7 to 10/);
  await reach(page, /upright and cloudy/);
  await page.keyboard.press('Enter');
  await expect(page.getByText(/^Hook \d+.*, First-light/)).toBeVisible();
  // The likeliest are worked out after the answer: a walk that began before them would pass their place.
  await expect(page.getByRole('radio', { name: /^Mayfly dun, / })).toBeVisible();
  await reach(page, /radio Mayfly dun, /, 45, 'Shift+Tab');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: /^What is it\?: Mayfly dun/ })).toBeFocused();
  await reach(page, /button Colour by region/);
  await page.keyboard.press('Enter');
  await reach(page, /button Colour of belly/);
  await page.keyboard.press('Enter');
  await reach(page, /radio pale olive/);
  await page.keyboard.press('ArrowDown');
  await choose(page, /radio dark brown/);
  await expect(page.getByRole('button', { name: 'Colour of belly: dark brown' })).toBeVisible();
  await reach(page, /Next: Hook/);
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/\/hook$/);
  await drawn(page);
  await reach(page, /Pin Reference/);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: /^Hook: .*pinned/ })).toBeVisible();
  await reach(page, /Next: Dressing/);
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/\/dressing$/);
  await drawn(page);
  await reach(page, /Next: Bench/, 60);
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/\/bench$/);
  await drawn(page);
  await reach(page, /On paper/);
  await page.keyboard.press('Enter');
  await drawn(page);
  await reach(page, /PDF to print/);
  const [file] = await Promise.all([page.waitForEvent('download'), page.keyboard.press('Enter')]);
  expect(file.suggestedFilename()).toMatch(/^aubade-.*\.pdf$/);
  await reach(page, /Off the vise/);
  await page.keyboard.press('Enter');
  await reach(page, /One is tied/);
  await page.keyboard.press(' ');
  await expect(page.getByText(/^One into Box 1, which is new|^1 into Box 1, which is new/)).toBeVisible();
  await reach(page, /Next: Water/);
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/\/water$/);
  await drawn(page);
  await reach(page, /One took it: /);
  await page.keyboard.press('Enter');
  await expect(page.getByText('Here: 1 took it')).toBeVisible();
  await reach(page, /Take it back/);
  await page.keyboard.press('Enter');
  await expect(page.getByText('Here: 1 took it')).toHaveCount(0);
  await written(page);
});

test('without a box: what to look for is read, one that is found is put in, and the box finds it, with the keyboard alone', async ({
  page,
}) => {
  await startClean(page);
  await skip(page);
  await reach(page, /A natural in hand/);
  await page.keyboard.press('Enter');
  await drawn(page);
  await reach(page, /radio under 3/);
  await choose(page, /radio 7 to 10/);
  await reach(page, /upright and cloudy/);
  await page.keyboard.press('Enter');
  // The likeliest are worked out after the answer: a walk that began before them would pass their place.
  await expect(page.getByRole('radio', { name: /^Mayfly dun, / })).toBeVisible();
  await reach(page, /radio Mayfly dun, /, 45, 'Shift+Tab');
  await page.keyboard.press('Enter');
  await reach(page, /button Name, place and water/);
  await page.keyboard.press('Enter');
  await reach(page, /input Name/);
  await page.keyboard.type('Dawn on the weir');
  await reach(page, /input Where/);
  await page.keyboard.type('Fenbeck weir');
  await expect(page.getByRole('heading', { level: 1, name: 'Dawn on the weir' })).toBeVisible();
  await reach(page, /button Water: /);
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/\/water$/);
  await drawn(page);
  await expect(page.getByRole('heading', { name: 'Look for this in your box' })).toBeVisible();
  await reach(page, /I have one: put it in/);
  await page.keyboard.press('Enter');
  await expect(page.getByText('Flies put in.')).toBeVisible();
  await written(page);
  await enter(page, '/box');
  await reach(page, /^link Box 1: 1 fly/);
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/\/box\/box_/);
  await drawn(page);
  await reach(page, /button A1: First-light upright dun/);
  await page.keyboard.press('ArrowRight');
  expect(await nameOfFocus(page)).toMatch(/^button A2/);
  await page.keyboard.press('ArrowLeft');
  await page.keyboard.press('Enter');
  await reach(page, /Lost one/);
  await page.keyboard.press('Enter');
  await expect(page.getByText('One lost.')).toBeVisible();
  await reach(page, /Take it back/, 80);
  await page.keyboard.press('Enter');
  await reach(page, /button A1: First-light upright dun .*1 left/, 60, 'Shift+Tab');
  await written(page);
  await enter(page, '/matches');
  await reach(page, /link Dawn on the weir\. .*Fenbeck weir/);
});

test('what ran out leads to its dressing, whose page is printed, and a term explains itself, with the keyboard alone', async ({
  page,
}) => {
  await enter(page, '/box');
  await reach(page, /Which box holds/);
  await page.keyboard.type('speck');
  await reach(page, /^link Grey speck from a friend\. .*Valley box, E6/);
  await page.keyboard.press('Shift+Tab');
  await reach(page, /Which box holds/, 5, 'Shift+Tab');
  await page.keyboard.press('Control+a');
  await page.keyboard.press('Delete');
  await reach(page, /button To tie: 1 kind/);
  await page.keyboard.press('Enter');
  await reach(page, /link Tie .*/);
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/\/dressings\/half-out-dun$/);
  await drawn(page);
  await reach(page, /PDF to print/, 60);
  const [file] = await Promise.all([page.waitForEvent('download'), page.keyboard.press('Enter')]);
  expect(file.suggestedFilename()).toMatch(/^aubade-.*\.pdf$/);
  await enter(page, '/shelf/words');
  await reach(page, /Search a word/);
  await page.keyboard.type('throat');
  await reach(page, /button Throat: /);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('img', { name: /depth from the point/ })).toBeVisible();
});

test('matches are found, picked and deleted with the keyboard alone, and brought back', async ({ page }) => {
  await enter(page, '/matches');
  await reach(page, /input Search/);
  await page.keyboard.type('gravel');
  await expect(page.getByText('1 match', { exact: true })).toBeVisible();
  await page.keyboard.press('Control+a');
  await page.keyboard.press('Delete');
  await expect(page.getByText('8 matches')).toBeVisible();
  await reach(page, /Pick several/);
  await page.keyboard.press('Enter');
  await reach(page, /checkbox Pale riffle dun/);
  await page.keyboard.press(' ');
  await expect(page.getByText('1 picked')).toBeVisible();
  await page.keyboard.press('Shift+Tab');
  expect(await nameOfFocus(page)).toBe('button Delete');
  await page.keyboard.press('Enter');
  await expect(page.getByText('Matches deleted.')).toBeVisible();
  await expect(page.getByText('7 matches')).toBeVisible();
  await reach(page, /Take it back/, 60);
  await page.keyboard.press('Enter');
  await expect(page.getByText('8 matches')).toBeVisible();
});

test('a sample photograph is measured and its lengths are taken with the keyboard alone', async ({ page }) => {
  await enter(page, '/matches/match_demo-auldry-dun/natural');
  await reach(page, /Sample photographs/);
  await page.keyboard.press('Enter');
  await reach(page, /Two nymphs/);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: 'Measure it' })).toBeVisible();
  await reach(page, /Measure it/, 60);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: 'Take all 2' })).toBeVisible({ timeout: 60_000 });
  await reach(page, /Take all 2/, 60);
  await page.keyboard.press('Enter');
  await reach(page, /Body length: .* 5 measured/, 60);
});

test('packets are typed, corrected and counted out with the keyboard alone', async ({ page }) => {
  await enter(page, '/drawer/packets');
  await reach(page, /Add packets/);
  await page.keyboard.press('Enter');
  await page.keyboard.type('fine 22 x25');
  await page.keyboard.press('Enter');
  await reach(page, /Bessock Fine 22: 25 left/, 80);
  await page.keyboard.press('Enter');
  await reach(page, /Tied 6/);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: /Bessock Fine 22: 19 left/ })).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('button', { name: /Bessock Fine 22: 25 left/ })).toBeVisible();
  await written(page);
});

test('a dressing of one’s own is made, changed and named with the keyboard alone', async ({ page }) => {
  await enter(page, '/dressings/first-light-dun');
  await reach(page, /Make your own from this/);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { level: 1, name: /mine: change/ })).toBeVisible();
  await reach(page, /^button Tail, /, 80);
  await page.keyboard.press('Enter');
  await reach(page, /Factor/, 60);
  await page.keyboard.press('Control+a');
  await page.keyboard.type('3');
  await expect(page.getByText('1 thing to mend')).toBeVisible();
  await page.keyboard.press('Control+a');
  await page.keyboard.type('1.1');
  await expect(page.getByText('Passes over its whole range of hooks.')).toBeVisible();
  await written(page);
});

test('the light, the unit and the hand are set with the keyboard alone, one stop a choice', async ({ page }) => {
  await enter(page, '/shelf/settings');
  await reach(page, /^radio Millimetres/);
  await choose(page, /Inches, decimal/);
  await reach(page, /^radio (Morning|Dusk)/);
  await choose(page, /Dusk/);
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'dusk');
  await reach(page, /^radio Right/);
  await choose(page, /Left/);
  await written(page);
  await page.reload();
  await expect(page.getByRole('radio', { name: /Inches, decimal/ })).toBeChecked();
  await expect(page.getByRole('radio', { name: /Dusk/ })).toBeChecked();
});

test('flies of a match are tied in one sitting, one is spoiled, one is inspected, and all is counted, with the keyboard alone', async ({
  page,
}) => {
  await enter(page, `${DUN}/bench`);
  await reach(page, /button Tie several/);
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/\/vise\/batch_/);
  await drawn(page);
  await reach(page, /How many of First-light upright dun: 5$/);
  for (let n = 5; n >= 2; n--) {
    await page.keyboard.press('Enter');
    await expect(page.getByText(new RegExp(`^${n} flies to go`))).toBeVisible();
  }
  await reach(page, /button Lay out: /);
  await page.keyboard.press('Enter');
  await reach(page, /checkbox Flex one/);
  await page.keyboard.press(' ');
  await expect(page.getByRole('button', { name: /^Lay out: 1 of/ })).toBeVisible();
  await reach(page, /button Begin tying/, 60, 'Shift+Tab');
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/\/tie$/);
  await expect(page.getByText(/^Step 1 of \d+/)).toBeVisible();
  // A pedal: the first fly to its end.
  const steps = Number(/of (\d+)/.exec((await page.getByText(/^Step 1 of \d+/).textContent())!)![1]);
  for (let n = 2; n < steps; n++) {
    await page.keyboard.press('PageDown');
    await expect(page.getByText(new RegExp(`^Step ${n} of ${steps}`))).toBeVisible();
  }
  await page.keyboard.press('PageDown');
  await expect(page.getByRole('list', { name: 'What is waited for' })).toContainText('First-light upright dun 1');
  await expect(page.getByText('First-light upright dun 2')).toBeVisible();
  await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
  await reach(page, /Spoiled/);
  await page.keyboard.press('Enter');
  await reach(page, /radio thread broke/);
  await page.keyboard.press(' ');
  await expect(page.getByText('First-light upright dun 3')).toBeVisible();
  await reach(page, /First-light upright dun 1 is dry already/);
  await page.keyboard.press('Enter');
  await reach(page, /^button Leave the bench/, 60, 'Shift+Tab');
  await page.keyboard.press('Enter');
  await expect(page.getByText('0 of 2 made · 1 spoiled')).toBeVisible();
  await drawn(page);
  await reach(page, /button End and count/, 60);
  await page.keyboard.press('Enter');
  await expect(page.getByText('1 spoiled')).toBeVisible();
  await reach(page, /button End the session/);
  await page.keyboard.press('Enter');
  await expect(page.getByText(/ended: flies and hooks are counted/)).toBeVisible();
  await reach(page, /Take it back/, 80);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: 'Go on tying' })).toBeVisible();
  // A finished fly beside its card.
  await enter(page, '/vise/batch_demo-april/inspect');
  await reach(page, /Length of Thorax/, 60);
  await page.keyboard.type('1.2');
  await expect(page.getByText(/^0\.\d+ mm too short, \d+ %\.$/)).toBeVisible();
});
