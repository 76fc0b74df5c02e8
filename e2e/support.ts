import { expect, test as base, type Page } from '@playwright/test';

/** Every spec: no request of any page leaves the origin, and nothing throws. */
export const test = base.extend<{ watched: void }>({
  watched: [
    async ({ context, baseURL }, use) => {
      const outside: string[] = [] as const;
      const errors: string[] = [];
      context.on('request', (request) => {
        if (!request.url().startsWith(baseURL!) && !/^(data|blob):/.test(request.url())) outside.push(request.url());
      });
      context.on('weberror', (error) => errors.push(error.error().message));
      await use();
      expect(outside).toEqual([]);
      expect(errors).toEqual([]);
    },
    { auto: true },
  ],
});

export { expect };

/** The two sizes that every screen is made for. */
export const PHONE = { width: 390, height: 844 };
export const WIDE = { width: 1280, height: 800 };

export const DUN = '/matches/match_demo-auldry-dun';
/** Every page of the demo, and one that is not there. */
export const ROUTES = [
  '/',
  '/matches',
  `${DUN}/natural`,
  `${DUN}/hook`,
  `${DUN}/dressing`,
  `${DUN}/bench`,
  `${DUN}/water`,
  `${DUN}/tie`,
  '/dressings',
  '/dressings/new',
  '/dressings/first-light-dun',
  '/dressings/ellanmere-long-dun',
  '/drawer/hooks',
  '/drawer/packets',
  '/drawer/materials',
  '/drawer/blend?hex=8a7f3c',
  '/drawer/shopping',
  '/drawer/shades',
  '/drawer/threads',
  '/drawer/convert',
  '/drawer/convert?hook=osmere:lark:14',
  '/drawer/import',
  '/drawer/hooks/osmere/lark',
  '/drawer/hooks/bessock/fine-wet?tape=12',
  '/box',
  '/box/box_demo-valley',
  '/box/box_demo-valley/add',
  '/shelf',
  '/shelf/naturals',
  '/shelf/naturals/m18',
  '/shelf/field-card',
  '/shelf/settings',
  '/shelf/data',
  '/shelf/hand-over',
  '/shelf/cautions',
  '/shelf/words',
  '/out',
  '/out/outing_demo-may',
  '/vise',
  '/vise/hands',
  '/vise/batch_demo-tonight',
  '/vise/batch_demo-may-1',
  '/vise/batch_demo-tonight/tie',
  '/vise/batch_demo-april/inspect',
  '/vise/batch_demo-tonight/end',
  '/matches/none/natural',
];

/** Waits until what was typed is written, however slow the machine. */
export async function written(page: Page): Promise<void> {
  await expect(page.locator('html')).toHaveAttribute('data-saved', 'yes', { timeout: 45_000 });
}

/** Opens the app on an empty store without the demo. */
export async function startClean(page: Page): Promise<void> {
  await page.goto('/?start=clean');
  await expect(page.getByText('No match yet.', { exact: false })).toBeVisible();
}

/** Opens a part that is a line until it is opened. */
export async function unfold(page: Page, title: string): Promise<void> {
  const line = page.getByRole('button', { name: new RegExp(`^${title}(:|$)`) }).first();
  if ((await line.getAttribute('aria-expanded')) === 'false') await line.click();
}

/** A new match with its stage and lengths, from Now; ends at the natural. */
export async function newMatch(
  page: Page,
  order: string,
  stage: string,
  lengths: readonly string[],
  name?: string,
): Promise<void> {
  await page.getByRole('button', { name: /A natural in hand/ }).click();
  await page.getByRole('radio', { name: order, exact: true }).click();
  await page.getByRole('radio', { name: stage, exact: true }).click();
  await page.getByRole('button', { name: 'Give a length' }).click();
  for (const [index, length] of lengths.entries()) {
    await unfold(page, 'Body length');
    const field = page.getByRole('textbox', { name: `Body ${index + 1}` });
    await field.fill(length);
    if (index < lengths.length - 1) await field.press('Enter');
  }
  await unfold(page, 'Name, place and water');
  if (name) await page.getByRole('textbox', { name: 'Name of the natural' }).fill(name);
}

/** Opens a step of the match that is on the screen. */
export async function openStep(page: Page, step: 'Natural' | 'Hook' | 'Dressing' | 'Bench'): Promise<void> {
  await page.getByRole('button', { name: new RegExp(`^${step}:`) }).click();
}

/** Role and name of what has the focus. */
export const nameOfFocus = (page: Page) =>
  page.evaluate(() => {
    const at = document.activeElement;
    const role = at?.getAttribute('role') ?? at?.tagName.toLowerCase() ?? '';
    return `${role} ${at?.getAttribute('aria-label') ?? at?.textContent ?? ''}`.trim();
  });

/** Past header and places, by the first stop of the page; a match that was scrolled to its open step begins in there. */
export async function skip(page: Page): Promise<void> {
  await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
  await page.keyboard.press('Tab');
  if ((await nameOfFocus(page)) === 'link Skip to the page') return void (await page.keyboard.press('Enter'));
  expect(page.url(), await nameOfFocus(page)).toMatch(/\/(dressing|bench|water|tie)$/);
  expect(await page.evaluate(() => document.activeElement?.closest('#main'))).not.toBeNull();
}

/** What is drawn after the head of a page is there. */
export async function drawn(page: Page): Promise<void> {
  await expect(page.getByRole('progressbar', { name: 'Opening' })).toHaveCount(0);
}

/** Tabs on until the focus is on what is called so; how many stops it took. */
export async function reach(page: Page, name: RegExp, most = 45, key = 'Tab'): Promise<number> {
  const met: string[] = [];
  for (let stops = 1; stops <= most; stops++) {
    await page.keyboard.press(key);
    const at = await nameOfFocus(page);
    if (name.test(at)) return stops;
    met.push(at.slice(0, 40));
  }
  throw new Error(`${String(name)} was not reached: ${met.join(' | ')}`);
}
