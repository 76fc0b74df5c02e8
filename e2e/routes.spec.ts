import AxeBuilder from '@axe-core/playwright';
import { expect, test } from './support';

const DUN = '/matches/match_demo-auldry-dun';
const ROUTES = [
  '/', '/matches', `${DUN}/natural`, `${DUN}/hook`, `${DUN}/dressing`, `${DUN}/bench`, `${DUN}/water`, `${DUN}/tie`, '/dressings', '/dressings/first-light-dun', '/drawer/hooks', '/drawer/packets', '/drawer/convert', '/drawer/convert?hook=osmere:lark:14', '/drawer/import', '/drawer/hooks/osmere/lark', '/drawer/hooks/bessock/fine-wet?tape=12', '/box', '/box/box_demo-valley', '/box/box_demo-valley/add',
  '/shelf', '/shelf/naturals', '/shelf/naturals/m18', '/shelf/field-card', '/shelf/settings', '/shelf/data', '/shelf/cautions', '/matches/none/natural',
];
/** The same page as the last above, in other words: in one light. */
const MISSING = ['/dressings/none', '/drawer/hooks/osmere/none', '/shelf/naturals/none', '/box/none', '/nowhere'];
const SIZES = [{ width: 390, height: 844 }, { width: 1280, height: 800 }];

for (const theme of ['Morning', 'Dusk', 'Red lamp']) {
  for (const size of SIZES) {
    test(`every route in ${theme} at ${size.width}: one h1, a title, no sideways scroll, nothing for axe`, async ({ page }) => {
      test.setTimeout(420_000);
      await page.setViewportSize(size);
      await page.goto('/shelf/settings');
      await page.getByRole('radio', { name: theme, exact: true }).click();
      await expect(page.locator('html')).toHaveAttribute('data-saved', 'yes');
      for (const route of theme === 'Morning' ? [...ROUTES, ...MISSING] : ROUTES) {
        await test.step(route, async () => {
          await page.goto(route);
          await expect(page.getByRole('heading', { level: 1 })).toHaveCount(1);
          await expect(page.locator('html')).toHaveAttribute('data-theme', theme.toLowerCase().replace(' ', '-'));
          await expect(page).toHaveTitle(/ · Aubade$/);
          expect.soft(await page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth), route).toBeLessThanOrEqual(0);
          // The structure is the same in every light: all rules in Morning, those of colour in the others.
          const axe = new AxeBuilder({ page });
          expect.soft((await (theme === 'Morning' ? axe : axe.withRules(['color-contrast', 'link-in-text-block'])).analyze()).violations.map((violation) => `${violation.id}: ${violation.nodes[0]?.html.slice(0, 160)}`), route).toEqual([]);
        });
      }
    });
  }
}

test('at twice the text size nothing of the way at the water runs off the screen or into another name', async ({ page }) => {
  test.setTimeout(120_000);
  for (const route of ['/', '/matches/match_demo-waiting/natural?key=open', `${DUN}/water`, '/box', '/box/box_demo-valley', '/box/box_demo-valley/add']) {
    await page.goto(route);
    await expect(page.getByRole('heading', { level: 1 })).toHaveCount(1);
    await page.evaluate(() => void (document.documentElement.style.fontSize = '200%'));
    const [sideways, across] = await page.evaluate(() => {
      const places = [...document.querySelectorAll('nav a, [role=navigation] a')].map((link) => link.firstElementChild!.getBoundingClientRect());
      const overlap = places.some((a, i) => places.slice(i + 1).some((b) => a.left < b.right && b.left < a.right && a.top < b.bottom && b.top < a.bottom && a.width > 0 && b.width > 0));
      return [document.documentElement.scrollWidth - document.documentElement.clientWidth, overlap];
    });
    expect.soft(sideways, route).toBeLessThanOrEqual(0);
    expect.soft(across, route).toBe(false);
    const size = await page.getByRole('heading', { level: 1 }).evaluate((heading) => parseFloat(getComputedStyle(heading).fontSize));
    expect.soft(size, route).toBe(68);
  }
});

test('going from place to place moves the focus to the new h1 and leaves one page in the tree', async ({ page }) => {
  await page.goto('/');
  for (const [place, title] of [['Matches', 'Matches'], ['Dressings', 'Dressings'], ['Drawer', 'Hooks'], ['Box', 'Box'], ['Now', 'Now']] as const) {
    await page.getByRole('navigation').getByRole('link', { name: place, exact: true }).click();
    await expect(page.getByRole('heading', { level: 1 })).toHaveCount(1);
    await expect(page.getByRole('heading', { level: 1, name: title })).toBeFocused();
    await expect(page.getByRole('main')).toHaveCount(1);
  }
});

test('everything a finger must hit on a phone is at least 48 px high', async ({ page }) => {
  await page.setViewportSize(SIZES[0]!);
  for (const route of ['/', `${DUN}/natural`, `${DUN}/hook`, `${DUN}/bench`, '/shelf/settings', '/drawer/hooks', '/drawer/packets', '/drawer/convert?hook=osmere:lark:14', '/drawer/import', '/drawer/hooks/bessock/fine-wet?tape=12']) {
    await page.goto(route);
    await page.getByRole('heading', { level: 1 }).waitFor();
    const small = await page.evaluate(() => [...document.querySelectorAll('[role=radio],[role=link],[role=tab],input,[role=navigation] a')].filter((element) => {
      const box = element.getBoundingClientRect();
      return box.width > 0 && Math.round(box.height) < (element.tagName === 'INPUT' ? 36 : 48);
    }).map((element) => `${element.getAttribute('aria-label') ?? element.textContent} ${Math.round(element.getBoundingClientRect().height)}`));
    expect([route, small]).toEqual([route, []]);
  }
});
