import { chromium, type Page } from '@playwright/test';
import { CHROMIUM } from '../browser';
import { appears, kept, nameable, newPlace, placeField, saysKept, type Found } from './profile';

/** What a browser does that keeps nothing. */
const REFUSES: readonly (readonly [name: string, make: (page: Page) => Promise<unknown>])[] = [
  [
    'denied',
    (page) =>
      page.addInitScript(() =>
        Object.defineProperty(window, 'indexedDB', {
          get: () => {
            throw new DOMException('denied', 'SecurityError');
          },
        }),
      ),
  ],
  [
    'does not open',
    (page) =>
      page.addInitScript(() => {
        IDBFactory.prototype.open = function open() {
          const asked = new EventTarget();
          setTimeout(() => {
            const failed = new Event('error');
            Object.assign(asked, { error: new DOMException('broken', 'UnknownError') });
            asked.dispatchEvent(failed);
            (asked as unknown as { onerror?: (event: Event) => void }).onerror?.(failed);
          });
          return asked as unknown as IDBOpenDBRequest;
        };
      }),
  ],
  [
    'full at the first start',
    (page) =>
      page.addInitScript(() => {
        IDBObjectStore.prototype.put = function put() {
          throw new DOMException('The quota has been exceeded.', 'QuotaExceededError');
        };
      }),
  ],
];

/** A store that cannot be opened, is full from the first, or is wiped under the page: the app must run, say that nothing is kept and why, offer the file, and never say "kept" of what is not. */
export async function noStore(origin: string, count: number): Promise<Found> {
  const browser = await chromium.launch(CHROMIUM);
  let [blank, silent, wrong, unoffered, wiped] = [0, 0, 0, 0, 0];
  for (let round = 0; round < count; round++) {
    const [, make] = REFUSES[round % REFUSES.length]!;
    const context = await browser.newContext({ viewport: { width: 390, height: 844 } });
    await nameable(context);
    const page = await context.newPage();
    await make(page);
    await page.goto(`${origin}/?start=clean`);
    const door = page.getByRole('button', { name: /A natural in hand/ });
    if (!(await appears(door, 15_000))) {
      blank++;
      await context.close();
      continue;
    }
    await door.click();
    await page.getByRole('radio', { name: 'Mayfly', exact: true }).click();
    await page.getByRole('radio', { name: 'dun', exact: true }).click();
    await (await placeField(page)).fill('by the weir');
    const line = page.getByText(/keeps nothing here|not kept yet/).first();
    if (!(await appears(line, 5_000))) silent++;
    if (await saysKept(page)) wrong++;
    if ((await page.getByRole('button', { name: 'Save it to a file' }).count()) === 0) unoffered++;
    await context.close();
    // The browser clears what it keeps of us while the page is open.
    const other = await browser.newContext({ viewport: { width: 390, height: 844 } });
    const open = await other.newPage();
    const address = await newPlace(open, origin);
    const cdp = await other.newCDPSession(open);
    await cdp.send('Storage.clearDataForOrigin', { origin, storageTypes: 'indexeddb' });
    const field = await placeField(open);
    await field.fill(`after it was cleared ${round}`);
    await kept(open).catch(() => undefined);
    const claims = await saysKept(open);
    await open.goto(address);
    const again = await placeField(open).then(
      (place) => place.inputValue(),
      () => '',
    );
    if (claims && again !== `after it was cleared ${round}`) wiped++;
    await other.close();
  }
  await browser.close();
  return {
    text: `${count} starts of a browser that keeps nothing (${REFUSES.map(([name]) => name).join(', ')} in turns): ${blank} without a page, ${silent} without a word, ${wrong} said "kept", ${unoffered} offered no file; cleared while it was open ${count} times: ${wiped} times "kept" was said of what was gone`,
    bad: blank + silent + wrong + unoffered + wiped,
  };
}
