import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import tokens from '../src/ui/tokens/tokens.json';
import { drawn, DUN, expect, PHONE, reach, ROUTES, skip, test, WIDE } from './support';

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
/** Share of the window that may move on its own after a page has been painted: a bar or a line at its edge. */
const MAY_MOVE = 0.01;
/** Stops of the Tab key that a first action may be away, once past header and places. */
const MOST_STOPS = 25;

declare global {
  interface Window {
    moved: { by: number; what: string[] }[];
  }
}

/** What is done first on each page; a page of words alone has its way back. */
const FIRST: Readonly<Record<string, RegExp>> = {
  '/': /A natural in hand/,
  '/matches': /New match/,
  [`${DUN}/natural`]: /button Body length: /,
  [`${DUN}/hook`]: /Pin Bessock Fine 13/,
  [`${DUN}/dressing`]: /First-light/,
  [`${DUN}/bench`]: /Tie from the card/,
  [`${DUN}/water`]: /One took it/,
  [`${DUN}/tie`]: /button Next: /,
  '/dressings': /Make your own/,
  '/dressings/new': /Start from the bare hook/,
  '/dressings/first-light-dun': /Make your own from this/,
  '/dressings/ellanmere-long-dun': /Make your own from this/,
  '/drawer/hooks': /group Plus and minus zoom/,
  '/drawer/packets': /Add packets/,
  '/drawer/materials': /Blend a colour/,
  '/drawer/blend?hex=8a7f3c': /From a natural/,
  '/drawer/shopping': /Got /,
  '/drawer/shades': /Nearest to a colour/,
  '/drawer/threads': /For which fly/,
  '/drawer/convert': /Maker, model, size/,
  '/drawer/convert?hook=osmere:lark:14': /button Bessock Fine 13/,
  '/drawer/import': /Read a file/,
  '/drawer/hooks/osmere/lark': /Tape one/,
  '/drawer/hooks/bessock/fine-wet?tape=12': /Shank/,
  '/box': /New box/,
  '/box/box_demo-valley': /button A1: /,
  '/box/box_demo-valley/add': /Dressing or stage/,
  '/shelf': /Naturals/,
  '/shelf/naturals': /Search/,
  '/shelf/naturals/m18': /link ← Naturals/,
  '/shelf/field-card': /Save PDF to print/,
  '/shelf/settings': /radio Millimetres/,
  '/shelf/data': /Read a file/,
  '/shelf/hand-over': /Copy the link/,
  '/shelf/cautions': /link ← Shelf/,
  '/shelf/words': /Search a word/,
  '/out': /Begin now|Water/,
  '/out/outing_demo-may': /Flies on the leader/,
  '/vise': /New session/,
  '/vise/hands': /Cards say what to aim at/,
  '/vise/batch_demo-tonight': /Go on tying/,
  '/vise/batch_demo-may-1': /First-light upright dun/,
  '/vise/batch_demo-tonight/tie': /button Next: /,
  '/vise/batch_demo-april/inspect': /Which fly/,
  '/vise/batch_demo-tonight/end': /First-light upright dun: into/,
  '/matches/none/natural': /See the list/,
};

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

/** Filled buttons that are seen, and choices that are walls of chips. */
const loud = (page: Page) =>
  page.evaluate(() => {
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

/** Writes down what moves on its own, from the first paint on. */
const watchMoves = (page: Page) =>
  page.addInitScript(() => {
    window.moved = [];
    new PerformanceObserver((list) => {
      for (const shift of list.getEntries() as unknown as { value: number; sources: { node: Node | null }[] }[])
        window.moved.push({
          by: shift.value,
          what: shift.sources.map(({ node }) => node?.textContent?.slice(0, 60) ?? ''),
        });
    }).observe({ type: 'layout-shift', buffered: true });
  });

/** What moved under the finger that goes to it, once there is time to spare. */
async function movedMuch(page: Page) {
  await page.evaluate(() => new Promise((idle) => requestIdleCallback(idle)));
  const moved = await page.evaluate(() => window.moved);
  return moved.filter(({ by }) => by > MAY_MOVE);
}

const sideways = (page: Page) =>
  page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth);

async function open(page: Page, route: string): Promise<void> {
  await page.goto(route);
  await expect(page.getByRole('heading', { level: 1 })).toHaveCount(1);
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  await expect(page).toHaveTitle(/ · Aubade$/);
}

/** All rules in Morning; the structure is the same in every light, so those of colour in the others. */
async function nothingForAxe(page: Page, route: string): Promise<void> {
  expect.soft(await findings(new AxeBuilder({ page }).setLegacyMode()), route).toEqual([]);
  for (const theme of MISSING.includes(route) ? [] : (['dusk', 'red-lamp'] as const)) {
    await inLight(page, theme);
    const colours = new AxeBuilder({ page }).setLegacyMode().withRules(['color-contrast', 'link-in-text-block']);
    expect.soft(await findings(colours), `${route} in ${theme}`).toEqual([]);
  }
}

// To open a page takes longer than to look at it: each is opened once at a width, and everything is looked at there.
const ALL = [...ROUTES, ...MISSING];
const PARTS = [0, 1, 2, 3];

test('every page has a first action that is looked for', () => {
  expect(Object.keys(FIRST)).toEqual(ROUTES);
});

for (const part of PARTS)
  test(`every page on a phone, part ${part + 1} of ${PARTS.length}: one h1, a title, nothing sideways, nothing that moves by itself, one filled button, no wall of chips, no two controls named alike, its first action a few stops of Tab away, nothing for axe in any light; turned wide it fits as well`, async ({
    page,
  }) => {
    test.setTimeout(300_000);
    await watchMoves(page);
    for (const route of ALL.filter((_, index) => index % PARTS.length === part))
      await test.step(route, async () => {
        await page.setViewportSize(PHONE);
        await open(page, route);
        expect.soft(await movedMuch(page), route).toEqual([]);
        expect.soft(await sideways(page), route).toBeLessThanOrEqual(0);
        if (ROUTES.includes(route)) {
          const { filled, walls } = await loud(page);
          expect.soft(filled.length, `${route}: ${filled.join(', ')}`).toBeLessThanOrEqual(1);
          expect.soft(walls, route).toEqual([]);
          expect.soft(await namedAlike(page), route).toEqual([]);
          await drawn(page);
          await skip(page);
          expect.soft(await reach(page, FIRST[route]!), route).toBeLessThanOrEqual(MOST_STOPS);
        }
        await nothingForAxe(page, route);
        await page.setViewportSize(WIDE);
        await expect(page.getByRole('heading', { level: 1 })).toHaveCount(1);
        expect.soft(await sideways(page), `${route}, wide`).toBeLessThanOrEqual(0);
      });
  });

for (const part of [0, 1])
  test(`every page that is laid out otherwise where there is room, part ${part + 1} of 2: nothing sideways, nothing for axe in any light`, async ({
    page,
  }) => {
    test.setTimeout(240_000);
    await page.setViewportSize(WIDE);
    for (const route of LAID_OUT_WIDE.filter((_, index) => index % 2 === part))
      await test.step(route, async () => {
        await open(page, route);
        expect.soft(await sideways(page), route).toBeLessThanOrEqual(0);
        await nothingForAxe(page, route);
      });
  });

test('two buttons of one name on a page are found', async ({ page }) => {
  await page.goto('/out');
  await expect(page.getByRole('button', { name: 'Begin now' })).toBeVisible();
  expect(await namedAlike(page)).toEqual([]);
  await page.getByRole('button', { name: 'Begin now' }).evaluate((button) => void button.after(button.cloneNode(true)));
  expect(await namedAlike(page)).toHaveLength(1);
});
