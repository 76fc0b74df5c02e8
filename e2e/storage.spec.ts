import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { expect, startClean, test, written, unfold } from './support';
import { fill, fillable } from '../tools/full-store';

const DUN = '/matches/match_demo-auldry-dun';

/** How many keys the page's own databases hold. */
const keysStored = (page: Page) =>
  page.evaluate(async () => {
    const asked = <T>(request: IDBRequest<T>) =>
      new Promise<T>((done) => {
        request.onsuccess = () => done(request.result);
      });
    let keys = 0;
    for (const { name } of await indexedDB.databases()) {
      const open = await asked(indexedDB.open(name!));
      for (const store of [...open.objectStoreNames])
        keys += await asked(open.transaction(store).objectStore(store).count());
      open.close();
    }
    return keys;
  });

test('two pages that edit different fields of one record both keep their change', async ({ page, context }) => {
  await page.goto(`${DUN}/natural`);
  const second = await context.newPage();
  await second.goto(`${DUN}/natural`);
  await unfold(page, 'Name, place and water');
  const place = page.getByRole('textbox', { name: 'Where' });
  await place.waitFor();
  await unfold(second, 'Name, place and water');
  await Promise.all([
    place.fill('below the weir'),
    second.getByRole('radiogroup', { name: 'Water' }).getByRole('radio', { name: 'Still' }).click(),
  ]);
  await written(page);
  await written(second);
  for (const tab of [page, second]) {
    await tab.reload();
    await unfold(tab, 'Name, place and water');
    await expect(tab.getByRole('textbox', { name: 'Where' })).toHaveValue('below the weir');
    await expect(tab.getByRole('radiogroup', { name: 'Water' }).getByRole('radio', { name: 'Still' })).toBeChecked();
  }
});

test('a change in one tab shows in the other without a reload', async ({ page, context }) => {
  await page.goto('/matches');
  await expect(page.getByText('Pale riffle dun')).toBeVisible();
  const second = await context.newPage();
  await second.goto(`${DUN}/natural`);
  await unfold(second, 'Name, place and water');
  await second.getByRole('textbox', { name: 'Name of the natural' }).fill('Renamed next door');
  await expect(page.getByText('Renamed next door')).toBeVisible();
});

test('the first visit opens the demo valley at its own hour, and says it is a demo', async ({ page }) => {
  await page.goto('/?clock=2033-05-24T04:50');
  await expect(page.getByText('Tuesday 24 May, 04:50, valley time')).toBeVisible();
  await expect(page.getByText('This is the demo valley.', { exact: false })).toBeVisible();
});

test('clean and demo are choices of an empty store only', async ({ page }) => {
  await startClean(page);
  await written(page);
  await page.getByRole('button', { name: /A natural in hand/ }).click();
  await written(page);
  await page.goto('/?start=demo');
  await expect(page.getByText('Unnamed natural')).toBeVisible();
  await expect(page.getByText('Pale riffle dun')).toHaveCount(0);
  await page.goto('/?start=clean');
  await expect(page.getByText('Unnamed natural')).toBeVisible();
});

test('the demo leaves in one step that can be undone; hooks of the made-up makers leave too', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'Leave the demo' }).click();
  await expect(page.getByText('No match yet.', { exact: false })).toBeVisible();
  await written(page);
  await page.goto('/drawer/hooks');
  await page.getByRole('radio', { name: 'Table' }).click();
  await expect(page.getByRole('link', { name: /^Reference/ }).first()).toBeVisible();
  await expect(page.getByRole('link', { name: /^Osmere/ })).toHaveCount(0);
});

test('undo brings the demo back', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'Leave the demo' }).click();
  await expect(page.getByText('No match yet.', { exact: false })).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(page.getByText('Pale riffle dun')).toBeVisible();
  await page.keyboard.press('Control+Shift+z');
  await expect(page.getByText('Pale riffle dun')).toHaveCount(0);
});

test('a demo match the tier changed stays when the demo leaves', async ({ page }) => {
  await page.goto(`${DUN}/natural`);
  await unfold(page, 'Body length');
  await page.getByRole('textbox', { name: 'Body 1' }).fill('8.7');
  await written(page);
  await page.goto('/');
  await page.getByRole('button', { name: 'Leave the demo' }).click();
  await expect(page.getByText('Pale riffle dun')).toBeVisible();
  await expect(page.getByText('Gravel case')).toHaveCount(0);
  await written(page);
  await page.goto(`${DUN}/natural`);
  await unfold(page, 'Body length');
  await expect(page.getByRole('textbox', { name: 'Body 1' })).toHaveValue('8.7');
});

test('a deleted match is gone after a reload, and undo brings it back', async ({ page }) => {
  await page.goto(`${DUN}/natural`);
  await unfold(page, 'Name, place and water');
  await page.getByRole('button', { name: 'Delete match' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Matches' })).toBeVisible();
  await expect(page.getByText('Pale riffle dun')).toHaveCount(0);
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(page.getByText('Pale riffle dun')).toBeVisible();
  await page.getByRole('button', { name: 'Redo' }).click();
  await written(page);
  await page.reload();
  await expect(page.getByText('Gravel case')).toBeVisible();
  await expect(page.getByText('Pale riffle dun')).toHaveCount(0);
});

test('when the browser clears its store under the open page, the next change brings all of it back', async ({
  page,
}) => {
  await page.goto('/matches');
  await expect(page.getByText('Pale riffle dun')).toBeVisible();
  await written(page);
  const browser = await page.context().newCDPSession(page);
  const { origin } = new URL(page.url());
  await browser.send('Storage.clearDataForOrigin', { origin, storageTypes: 'indexeddb' });
  await page.getByRole('link', { name: 'Now', exact: true }).click();
  await page.getByRole('button', { name: /A natural in hand/ }).click();
  await page.getByRole('radio', { name: 'Mayfly', exact: true }).click();
  await written(page);
  await page.goto('/matches');
  await expect(page.getByText('Pale riffle dun')).toBeVisible();
  await expect(page.getByText('9 matches')).toBeVisible();
});

test('a record that cannot be opened is set aside by name, the rest opens, and it can be exported', async ({
  page,
}) => {
  await page.goto('/');
  await expect(page.getByText('Pale riffle dun')).toBeVisible();
  await written(page);
  await page.evaluate(async () => {
    const name = (await indexedDB.databases())[0]!.name!;
    const db = await new Promise<IDBDatabase>((done, fail) => {
      const open = indexedDB.open(name);
      open.onsuccess = () => done(open.result);
      open.onerror = () => fail(open.error);
    });
    const store = db.objectStoreNames[0]!;
    const first = await new Promise<unknown>((done) => {
      const all = db.transaction(store).objectStore(store).getAll();
      all.onsuccess = () => done(all.result[0]);
    });
    await new Promise<void>((done, fail) => {
      const change = db.transaction(store, 'readwrite');
      const records = change.objectStore(store);
      const text = JSON.stringify({ v: 3, id: 'broken', rev: 1, at: 1, data: { water: 'lava' } });
      if (typeof first === 'string') records.put(text, 'sample/broken');
      else records.put({ ...(first as object), key: 'sample/broken', value: text });
      change.oncomplete = () => done();
      change.onerror = () => fail(change.error);
    });
    db.close();
  });
  await page.goto('/shelf/data');
  await expect(page.getByText(/sample\/broken: does not have the shape it should/)).toBeVisible();
  await expect(page.getByText('8 matches')).toBeVisible();
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Export what was set aside' }).click(),
  ]);
  const file = JSON.parse(readFileSync(await download.path(), 'utf8')) as {
    aubade: string;
    items: { key: string; text: string }[];
  };
  expect(file.aubade).toBe('set-aside');
  expect(file.items.map((item) => item.key)).toEqual(['sample/broken']);
  expect(file.items[0]!.text).toContain('lava');
});

test('with no room left the line says what is not kept and what to do; with room again all of it is kept', async ({
  page,
}) => {
  await fillable(page);
  await page.goto(`${DUN}/natural`);
  await unfold(page, 'Name, place and water');
  const place = page.getByRole('textbox', { name: 'Where' });
  await place.waitFor();
  await written(page);
  await fill(page, true);
  await place.fill('below the weir');
  const line = page.getByRole('region', { name: 'What is kept' });
  await expect(line.getByText('1 record is not kept yet.')).toBeVisible();
  await expect(line.getByText('no room left', { exact: false })).toBeVisible();
  await expect(page.locator('html')).toHaveAttribute('data-saved', 'no');
  const download = page.waitForEvent('download');
  await line.getByRole('button', { name: 'Save it to a file' }).click();
  expect(readFileSync(await (await download).path(), 'utf8')).toContain('below the weir');
  await fill(page, false);
  await unfold(page, 'Name, place and water');
  await page.getByRole('textbox', { name: 'Name of the natural' }).fill('Weir dun');
  await written(page);
  await expect(line).toHaveCount(0);
  await page.reload();
  await unfold(page, 'Name, place and water');
  await expect(page.getByRole('textbox', { name: 'Where' })).toHaveValue('below the weir');
  await unfold(page, 'Name, place and water');
  await expect(page.getByRole('textbox', { name: 'Name of the natural' })).toHaveValue('Weir dun');
});

test('a browser that denies its store still opens the app, and says that nothing is kept', async ({ page }) => {
  await page.addInitScript(() =>
    Object.defineProperty(window, 'indexedDB', {
      get: () => {
        throw new DOMException('denied', 'SecurityError');
      },
    }),
  );
  await page.goto('/');
  await expect(page.getByText('This browser keeps nothing here', { exact: false })).toBeVisible();
  await page.getByRole('button', { name: /A natural in hand/ }).click();
  await expect(page.getByRole('button', { name: /^What is it\?/ })).toBeVisible();
});

test('what another program wiped while the page was open is stored again when the page is seen', async ({ page }) => {
  await page.goto(`${DUN}/natural`);
  await unfold(page, 'Name, place and water');
  const place = page.getByRole('textbox', { name: 'Where' });
  await place.fill('below the weir');
  await written(page);
  await page.evaluate(async () => {
    for (const { name } of await indexedDB.databases()) {
      const open = await new Promise<IDBDatabase>((done) => {
        const request = indexedDB.open(name!);
        request.onsuccess = () => done(request.result);
      });
      for (const store of [...open.objectStoreNames])
        await new Promise((done) => {
          const cleared = open.transaction(store, 'readwrite').objectStore(store).clear();
          cleared.onsuccess = done;
        });
      open.close();
    }
    document.dispatchEvent(new Event('visibilitychange'));
  });
  await expect.poll(() => keysStored(page)).toBeGreaterThan(10);
  await written(page);
  await page.reload();
  await unfold(page, 'Name, place and water');
  await expect(page.getByRole('textbox', { name: 'Where' })).toHaveValue('below the weir');
});
