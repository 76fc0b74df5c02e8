import AxeBuilder from '@axe-core/playwright';
import type { Page, Route } from '@playwright/test';
import tokens from '../src/ui/tokens/tokens.json';
import { DUN, expect, ROUTES, test, written } from './support';

/** The same page as the last above, in other words: in one light. */
const MISSING = ['/dressings/none', '/drawer/hooks/osmere/none', '/shelf/naturals/none', '/box/none', '/nowhere'];
/** Laid out otherwise where there is room: looked at by axe at both widths; the rest are one column in both. */
const LAID_OUT_WIDE: readonly string[] = [
  '/',
  '/matches',
  `${DUN}/natural`,
  `${DUN}/hook`,
  `${DUN}/dressing`,
  `${DUN}/tie`,
  '/dressings',
  '/dressings/first-light-dun',
  '/drawer/hooks',
  '/drawer/hooks/osmere/lark',
  '/box/box_demo-valley',
  '/shelf/naturals',
];
const SIZES = [
  { width: 390, height: 844 },
  { width: 1280, height: 800 },
];

/** Changes the light as the app does: by the variables of the root. */
async function inLight(page: Page, theme: keyof typeof tokens.colours): Promise<void> {
  await page.evaluate(
    ([name, colours]) => {
      for (const [token, value] of Object.entries(colours))
        document.documentElement.style.setProperty(`--${token}`, value);
      document.documentElement.dataset.theme = name;
    },
    [theme, tokens.colours[theme]] as const,
  );
}

/** What axe finds, in short; there are no frames, so nothing need be gathered in a page of its own. */
const findings = async (axe: AxeBuilder) =>
  (await axe.analyze()).violations.map((violation) => `${violation.id}: ${violation.nodes[0]?.html.slice(0, 160)}`);

const ALL = [...ROUTES, ...MISSING];
const PARTS = [0, 1, 2];

for (const [size, part] of SIZES.flatMap((size) => PARTS.map((part) => [size, part] as const))) {
  test(`every route at ${size.width}, part ${part + 1} of ${PARTS.length}: one h1, a title, no sideways scroll, nothing for axe in any light`, async ({
    page,
  }) => {
    test.setTimeout(240_000);
    await page.setViewportSize(size);
    for (const route of ALL.filter((_, index) => index % PARTS.length === part)) {
      await test.step(route, async () => {
        await page.goto(route);
        await expect(page.getByRole('heading', { level: 1 })).toHaveCount(1);
        await expect(page).toHaveTitle(/ · Aubade$/);
        expect
          .soft(
            await page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth),
            route,
          )
          .toBeLessThanOrEqual(0);
        if (size.width > SIZES[0]!.width && !LAID_OUT_WIDE.includes(route)) return;
        // The structure is the same in every light: all rules in Morning, those of colour in the others.
        expect.soft(await findings(new AxeBuilder({ page }).setLegacyMode()), route).toEqual([]);
        for (const theme of MISSING.includes(route) ? [] : (['dusk', 'red-lamp'] as const)) {
          await inLight(page, theme);
          expect
            .soft(
              await findings(
                new AxeBuilder({ page }).setLegacyMode().withRules(['color-contrast', 'link-in-text-block']),
              ),
              `${route} in ${theme}`,
            )
            .toEqual([]);
        }
      });
    }
  });
}

/** Names that two controls of one kind have on a page, unless both lead to the same place: read aloud, or said to a machine that clicks, nobody tells them apart. */
const namedAlike = (page: Page) =>
  page.evaluate(() => {
    const counts = new Map<string, number>();
    const kinds = 'a[href], button, select, input, textarea, [role=button], [role=radiogroup], [role=slider]';
    for (const control of document.querySelectorAll(kinds)) {
      if (control.getClientRects().length === 0) continue;
      const name = (control.getAttribute('aria-label') ?? control.textContent ?? '').trim();
      const kind = control.getAttribute('href') === null ? (control.getAttribute('role') ?? control.tagName) : null;
      if (kind !== null) counts.set(`${kind} ${name}`, (counts.get(`${kind} ${name}`) ?? 0) + 1);
    }
    return [...counts].filter(([, count]) => count > 1).map(([what]) => what);
  });

test('two buttons of one name on a page are found', async ({ page }) => {
  await page.goto('/out');
  await expect(page.getByRole('button', { name: 'Begin now' })).toBeVisible();
  expect(await namedAlike(page)).toEqual([]);
  await page.getByRole('button', { name: 'Begin now' }).evaluate((button) => void button.after(button.cloneNode(true)));
  expect(await namedAlike(page)).toHaveLength(1);
});

test('on a phone a view has at most one filled button, no choice is a wall of chips, and no two controls are named alike', async ({
  page,
}) => {
  test.setTimeout(120_000);
  for (const route of ROUTES) {
    await page.goto(route);
    await expect(page.getByRole('heading', { level: 1 })).toHaveCount(1);
    const { filled, walls } = await page.evaluate(() => {
      const seen = (element: Element) => element.getClientRects().length > 0;
      const river = getComputedStyle(document.documentElement).getPropertyValue('--river').trim();
      const probe = document.createElement('i');
      probe.style.backgroundColor = river;
      document.body.append(probe);
      const ground = getComputedStyle(probe).backgroundColor;
      probe.remove();
      return {
        filled: [...document.querySelectorAll('[role=button], [role=radio], button')]
          .filter((button) => seen(button) && getComputedStyle(button).backgroundColor === ground)
          .map((button) => button.textContent),
        walls: [...document.querySelectorAll('[role=radiogroup]')]
          .filter(seen)
          .filter((group) => {
            const chips = [...group.querySelectorAll('[role=radio]')].filter(seen);
            const bordered = chips.every((chip) => getComputedStyle(chip).borderTopWidth !== '0px');
            return bordered && new Set(chips.map((chip) => Math.round(chip.getBoundingClientRect().top))).size > 2;
          })
          .map((group) => group.getAttribute('aria-label')),
      };
    });
    expect.soft(filled.length, `${route}: ${filled.join(', ')}`).toBeLessThanOrEqual(1);
    expect.soft(walls, route).toEqual([]);
    expect.soft(await namedAlike(page), route).toEqual([]);
  }
});

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
  test.setTimeout(120_000);
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
  await page.setViewportSize(SIZES[0]!);
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
  await page.setViewportSize(SIZES[1]!);
  await expect(page.getByRole('link', { name: 'Shelf' }).first()).toBeVisible();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Data');
  await page.goto('/dressings');
  await page.getByRole('textbox', { name: 'Search' }).fill('sedge');
  await page.setViewportSize(SIZES[0]!);
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
