import type { Route } from '@playwright/test';
import tokens from '../src/ui/tokens/tokens.json';
import { DUN, expect, PHONE, test, WIDE, written } from './support';

test('a light chosen in the settings is the light of every page', async ({ page }) => {
  await page.goto('/shelf/settings');
  for (const theme of ['Dusk', 'Red lamp'] as const) {
    await page.getByRole('radio', { name: theme, exact: true }).click();
    await written(page);
    await page.goto('/drawer/hooks');
    const name = theme === 'Dusk' ? 'dusk' : 'red-lamp';
    await expect(page.locator('html')).toHaveAttribute('data-theme', name);
    expect(
      (await page.evaluate(() => getComputedStyle(document.documentElement).getPropertyValue('--ink'))).trim(),
    ).toBe(tokens.colours[name].ink);
    await page.goto('/shelf/settings');
  }
});

test('at twice the text size nothing of the way at the water runs off the screen or into another name', async ({
  page,
}) => {
  for (const route of [
    '/',
    '/matches/match_demo-waiting/natural?key=open',
    `${DUN}/water`,
    '/box',
    '/box/box_demo-valley',
    '/box/box_demo-valley/add',
  ]) {
    await page.goto(route);
    await expect(page.getByRole('heading', { level: 1 })).toHaveCount(1);
    await page.evaluate(() => void (document.documentElement.style.fontSize = '200%'));
    const [sideways, across] = await page.evaluate(() => {
      const places = [...document.querySelectorAll('nav a, [role=navigation] a')].map((link) =>
        link.firstElementChild!.getBoundingClientRect(),
      );
      const overlap = places.some((a, i) =>
        places
          .slice(i + 1)
          .some(
            (b) =>
              a.left < b.right &&
              b.left < a.right &&
              a.top < b.bottom &&
              b.top < a.bottom &&
              a.width > 0 &&
              b.width > 0,
          ),
      );
      return [document.documentElement.scrollWidth - document.documentElement.clientWidth, overlap];
    });
    expect.soft(sideways, route).toBeLessThanOrEqual(0);
    expect.soft(across, route).toBe(false);
    const size = await page
      .getByRole('heading', { level: 1 })
      .evaluate((heading) => parseFloat(getComputedStyle(heading).fontSize));
    expect.soft(size, route).toBe(68);
  }
});

test('going from place to place moves the focus to the new h1 and leaves one page in the tree', async ({ page }) => {
  await page.goto('/');
  for (const [place, title] of [
    ['Matches', 'Matches'],
    ['Dressings', 'Dressings'],
    ['Drawer', 'Hooks'],
    ['Box', 'Box'],
    ['Now', 'Now'],
  ] as const) {
    await page.getByRole('navigation').getByRole('link', { name: place, exact: true }).click();
    await expect(page.getByRole('heading', { level: 1 })).toHaveCount(1);
    await expect(page.getByRole('heading', { level: 1, name: title })).toBeFocused();
    await expect(page.getByRole('main')).toHaveCount(1);
  }
});

test('everything a finger must hit on a phone is at least 48 px high', async ({ page }) => {
  await page.setViewportSize(PHONE);
  for (const route of [
    '/',
    `${DUN}/natural`,
    `${DUN}/hook`,
    `${DUN}/bench`,
    `${DUN}/dressing`,
    '/dressings',
    '/dressings/first-light-dun',
    '/shelf/settings',
    '/drawer/hooks',
    '/drawer/packets',
    '/drawer/materials',
    '/drawer/blend?hex=8a7f3c',
    '/drawer/convert?hook=osmere:lark:14',
    '/drawer/import',
    '/drawer/hooks/bessock/fine-wet?tape=12',
  ]) {
    await page.goto(route);
    await page.getByRole('heading', { level: 1 }).waitFor();
    const small = await page.evaluate(() =>
      [...document.querySelectorAll('[role=radio],[role=link],[role=tab],input,[role=navigation] a')]
        .filter((element) => {
          const box = element.getBoundingClientRect();
          return box.width > 0 && Math.round(box.height) < (element.tagName === 'INPUT' ? 36 : 48);
        })
        .map(
          (element) =>
            `${element.getAttribute('aria-label') ?? element.textContent} ${Math.round(element.getBoundingClientRect().height)}`,
        ),
    );
    expect([route, small]).toEqual([route, []]);
  }
});

test('a screen that is turned keeps its page, and what is open on it', async ({ page }) => {
  await page.goto('/shelf/data');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Data');
  await page.setViewportSize(WIDE);
  await expect(page.getByRole('link', { name: 'Shelf' }).first()).toBeVisible();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Data');
  await page.goto('/dressings');
  await page.getByRole('textbox', { name: 'Search' }).fill('sedge');
  await page.setViewportSize(PHONE);
  await expect(page.getByRole('textbox', { name: 'Search' })).toHaveValue('sedge');
  await expect(page).toHaveURL(/\/dressings/);
});

for (const [how, answer] of [
  ['fail', (route: Route) => route.abort()],
  ['never come', () => {}],
] as const)
  test(`the app opens where its faces ${how}, in faces of the same kind`, async ({ page }) => {
    await page.route('**/*.ttf', answer);
    await page.goto('/');
    const heading = page.getByRole('heading').first();
    await expect(heading).toBeVisible();
    expect(await heading.evaluate((element) => getComputedStyle(element).fontFamily)).toMatch(/, serif$/);
  });
