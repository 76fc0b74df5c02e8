import type { Browser, Page } from '@playwright/test';
import { expect, newMatch, startClean, test, written } from './support';

const HAND_OVER = '/shelf/hand-over';

/** Another device: a profile of its own. */
async function device(browser: Browser, baseURL: string | undefined): Promise<Page> {
  const page = await (
    await browser.newContext({ baseURL, permissions: ['clipboard-read', 'clipboard-write'] })
  ).newPage();
  await startClean(page);
  return page;
}

/** Shows the code and gives its link. */
async function showCode(page: Page): Promise<string> {
  await page.goto(HAND_OVER);
  await expect(page.getByRole('img', { name: 'Code for the other device' })).toBeVisible();
  await page.getByRole('button', { name: 'Copy the link' }).click();
  await expect(page.getByText(/^Copied/)).toBeVisible();
  await page.context().grantPermissions(['clipboard-read', 'clipboard-write']);
  return page.evaluate(() => navigator.clipboard.readText());
}

async function season(page: Page): Promise<void> {
  await startClean(page);
  await newMatch(page, 'Mayfly', 'dun', ['8.1', '8.4'], 'Dawn on the weir');
  await page.getByRole('textbox', { name: 'Where' }).fill('Fenbeck');
  await written(page);
}

test('what the phone noted is on the bench by the code alone, once, and the server never sees key or text', async ({
  page,
  browser,
  baseURL,
}) => {
  await season(page);
  const bench = await device(browser, baseURL);
  const link = await showCode(bench);
  const asked: string[] = [];
  const bodies: (Buffer | null)[] = [];
  page.context().on('request', (request) => {
    asked.push(request.url());
    if (request.url().includes('/api/')) bodies.push(request.postDataBuffer());
  });
  await page.goto(link);
  await expect(page.getByRole('heading', { level: 1, name: 'Send from this device' })).toBeVisible();
  expect(page.url()).not.toContain('#');
  await expect(page.getByText('1 sample, 1 match')).toBeVisible();
  await page.getByRole('button', { name: 'Seal and send' }).click();
  await expect(page.getByText(/^Sent, [\d.]+ kB\. The other device has 15 minutes/)).toBeVisible();
  const key = /k=([\w-]+)/.exec(link)![1]!;
  expect(asked.filter((url) => url.includes(key))).toEqual([]);
  expect(bodies).toHaveLength(1);
  // A ZIP's whole mark: its first two letters alone come up by chance in one sealed body of a dozen.
  expect(bodies[0]!.toString('latin1')).not.toMatch(/Fenbeck|manifest|PK\x03\x04/);

  await expect(bench.getByText(/^Handed over /)).toBeVisible();
  await expect(bench.getByText('2 new:')).toBeVisible();
  await bench.getByRole('button', { name: 'Take it in' }).click();
  await expect(bench.getByText(/^Taken in and joined/)).toBeVisible();
  await written(bench);
  await bench.goto('/matches');
  await expect(bench.getByRole('link', { name: /Dawn on the weir\..*Fenbeck/ })).toBeVisible();
  const slot = /s=([\w-]+)/.exec(link)![1]!;
  expect((await bench.request.get(`/api/hand-over/${slot}`)).status()).toBe(404);

  // The same code again, and only what changed since.
  await page.goto(link);
  await page.getByRole('button', { name: 'Seal and send' }).click();
  await expect(page.getByText(/^This code was used already/)).toBeVisible();
  await page.getByRole('radio', { name: 'Since last time' }).click();
  await expect(page.getByText('There is nothing of your own to send in that.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Seal and send' })).toBeDisabled();
  await bench.context().close();
});

test('edits on both devices meet: of each field the later one stands', async ({ page, browser, baseURL }) => {
  await season(page);
  const bench = await device(browser, baseURL);
  const over = async (from: Page, to: Page, title: string) => {
    const link = await showCode(to);
    await from.goto(HAND_OVER);
    await from.getByRole('textbox', { name: 'Link of the other device' }).fill(link);
    await from.getByRole('radio', { name: 'One match' }).click();
    await expect(from.getByRole('combobox', { name: 'Which match' })).toContainText(title);
    await from.getByRole('button', { name: 'Seal and send' }).click();
    await expect(from.getByText(/^Sent, /)).toBeVisible();
    await to.getByRole('button', { name: 'Take it in' }).click();
    await expect(to.getByText(/^Taken in and joined/)).toBeVisible();
    await written(to);
  };
  await over(page, bench, 'Dawn on the weir');
  const edit = async (device: Page, field: string, text: string) => {
    await device.goto('/matches');
    await device.getByRole('link', { name: /Dawn/ }).click();
    // On a busy machine the tap may come before the match has opened at its own step: it is tapped until its part is there.
    const about = device.getByRole('button', { name: /^Name, place and water/ });
    await expect(async () => {
      if ((await about.count()) === 0) await device.getByRole('button', { name: /^Natural:/ }).click();
      await expect(about).toBeVisible({ timeout: 2_000 });
    }).toPass();
    await about.click();
    await device.getByRole('textbox', { name: field }).fill(text);
    await written(device);
  };
  await edit(page, 'Where', 'River Auldry');
  await edit(bench, 'Name of the natural', 'Dawn dun');
  await over(bench, page, 'Dawn dun');
  await page.goto('/matches');
  await expect(page.getByRole('link', { name: /Dawn dun\..*River Auldry/ })).toBeVisible();
  await bench.context().close();
});

test('what was changed on the way, or sealed for another, stays shut; nothing is taken', async ({
  page,
  browser,
  baseURL,
}) => {
  await season(page);
  const bench = await device(browser, baseURL);
  for (const spoil of [
    (body: Buffer) => Buffer.concat([body.subarray(0, 40), Buffer.from([255 - body[40]!]), body.subarray(41)]),
    (body: Buffer) => body.subarray(0, body.length - 100),
  ]) {
    const link = await showCode(bench);
    await page.route('**/api/hand-over/*', (route) =>
      route.continue({ postData: spoil(route.request().postDataBuffer()!) }),
    );
    await page.goto(link);
    await page.getByRole('button', { name: 'Seal and send' }).click();
    await expect(page.getByText(/^Sent, /)).toBeVisible();
    await expect(bench.getByText(/^What came does not open with this code/)).toBeVisible();
    await page.unroute('**/api/hand-over/*');
  }
  await bench.goto('/matches');
  await expect(bench.getByText('No match yet.', { exact: false })).toBeVisible();
  await bench.context().close();
});

test('where no server carries it, it says so on both sides and goes as a file, which the other reads', async ({
  page,
  browser,
  baseURL,
}) => {
  await season(page);
  const bench = await device(browser, baseURL);
  const link = await showCode(bench);
  for (const side of [page, bench])
    await side.route('**/api/**', (route) => route.fulfill({ status: 404, contentType: 'text/html', body: 'none' }));
  await expect(bench.getByText(/^No server carries it here/)).toBeVisible();
  await page.goto(link);
  await page.getByRole('button', { name: 'Seal and send' }).click();
  await expect(page.getByText(/^No server carries it here/)).toBeVisible();
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'As a file' }).click(),
  ]);
  expect(file.suggestedFilename()).toMatch(/^aubade-hand-over-.*\.zip$/);
  await bench.goto('/shelf/data');
  const opening = bench.waitForEvent('filechooser');
  await bench.getByRole('button', { name: 'Read a file' }).click();
  await (await opening).setFiles(await file.path());
  await expect(bench.getByText(/^Handed over /)).toBeVisible();
  await expect(bench.getByRole('radio', { name: 'In place of mine' })).toHaveCount(0);
  await bench.getByRole('button', { name: 'Take it in' }).click();
  await expect(bench.getByText(/^Taken in and joined/)).toBeVisible();
  await bench.context().close();
});

test('a page without a secure context says what is off, and hands over as a file', async ({ page }) => {
  await page.addInitScript(() => Object.defineProperty(crypto, 'subtle', { value: undefined }));
  await season(page);
  await page.goto(HAND_OVER);
  await expect(page.getByText('Sealing needs a page opened over https. Here it can go as a file only.')).toBeVisible();
  await expect(page.getByRole('img', { name: 'Code for the other device' })).toHaveCount(0);
  await expect(page.getByRole('button', { name: 'Seal and send' })).toHaveCount(0);
  await expect(page.getByRole('button', { name: 'As a file' })).toBeEnabled();
});
