import { expect, ROUTES, test } from './support';

/** Share of the window that may move on its own after a page has been painted: a bar or a line at its edge. */
const MAY_MOVE = 0.01;

declare global {
  interface Window {
    moved: { by: number; what: string[] }[];
  }
}

test('what is painted stays where it is: no line moves away under the finger that goes to it', async ({ page }) => {
  test.setTimeout(180_000);
  await page.addInitScript(() => {
    window.moved = [];
    new PerformanceObserver((list) => {
      for (const shift of list.getEntries() as unknown as { value: number; sources: { node: Node | null }[] }[])
        window.moved.push({
          by: shift.value,
          what: shift.sources.map(({ node }) => node?.textContent?.slice(0, 60) ?? ''),
        });
    }).observe({ type: 'layout-shift', buffered: true });
  });
  await page.goto('/?start=demo');
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  for (const route of ROUTES) {
    await page.goto(route);
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    await page.evaluate(() => new Promise((idle) => requestIdleCallback(idle)));
    const moved = await page.evaluate(() => window.moved);
    expect(
      moved.filter(({ by }) => by > MAY_MOVE),
      route,
    ).toEqual([]);
  }
});
