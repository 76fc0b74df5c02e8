import AxeBuilder from '@axe-core/playwright';
import { expect, test } from './support';

const DUN = '/matches/match_demo-auldry-dun';
const ROUTES = ['/', '/matches', `${DUN}/natural`, `${DUN}/hook`, `${DUN}/dressing`, `${DUN}/bench`, `${DUN}/tie`, '/dressings', '/dressings/first-light-dun', '/drawer/hooks', '/drawer/hooks/osmere/lark', '/shelf', '/shelf/settings', '/shelf/data', '/shelf/cautions', '/matches/none/natural', '/nowhere'];

for (const route of ROUTES) {
  for (const size of [{ width: 390, height: 844 }, { width: 1280, height: 800 }]) {
    test(`${route} at ${size.width}: one h1, a title, no sideways scroll`, async ({ page }) => {
      await page.setViewportSize(size);
      await page.goto(route);
      await expect(page.getByRole('heading', { level: 1 })).toHaveCount(1);
      await expect(page).toHaveTitle(/ · Aubade$/);
      expect(await page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth)).toBeLessThanOrEqual(0);
      expect((await new AxeBuilder({ page }).analyze()).violations.map((violation) => `${violation.id}: ${violation.nodes[0]?.html.slice(0, 160)}`)).toEqual([]);
    });
  }
}
