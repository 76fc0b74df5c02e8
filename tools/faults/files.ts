import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, type Page } from '@playwright/test';
import { CHROMIUM } from '../browser';
import { DRESSINGS, WORKS } from '../../src/catalogue';
import { writeDressings } from '../../src/core/exchange';
import { corpus, pictures } from './corpus';
import { appears, kept, type Found } from './profile';

const MOST_MS = 3_000;
const MOST_GAP_MS = 200;
const TICK_MS = 10;
const LONGEST_MS = 30_000;

/** Starts a timer in the page that remembers the longest it had to wait for itself. */
const watch = (page: Page) =>
  page.evaluate((tick) => {
    const seen = { last: performance.now(), gap: 0 };
    Object.assign(window, { seen });
    setInterval(() => {
      const now = performance.now();
      seen.gap = Math.max(seen.gap, now - seen.last - tick);
      seen.last = now;
    }, tick);
  }, TICK_MS);
const gapOf = (page: Page) =>
  page.evaluate(() => {
    const { seen } = window as unknown as { seen: { gap: number } };
    const { gap } = seen;
    seen.gap = 0;
    return gap;
  });

/** What is stored, to be held against what was stored before. */
const storedIn = (page: Page) =>
  page.evaluate(
    () =>
      new Promise<string>((done) => {
        const asked = indexedDB.open('aubade');
        asked.onsuccess = () => {
          const store = asked.result.transaction('entries').objectStore('entries');
          const keys = store.getAllKeys();
          keys.onsuccess = () => {
            asked.result.close();
            done((keys.result as string[]).filter((key) => !/^(undo|device)\//.test(key)).join('\n'));
          };
        };
      }),
  );

/** Every file of the corpus is chosen on the Data page: how long until it is told of, how long the page could do nothing else, and whether anything changed. */
export async function files(origin: string): Promise<Found> {
  const folder = mkdtempSync(join(tmpdir(), 'aubade-files-'));
  const browser = await chromium.launch(CHROMIUM);
  const context = await browser.newContext({ viewport: { width: 390, height: 844 } });
  const page = await context.newPage();
  const failures: string[] = [];
  page.on('pageerror', (error) => failures.push(error.message));
  const dressing = JSON.stringify(
    (JSON.parse(writeDressings([DRESSINGS[0]!], WORKS)) as { items: unknown[] }).items[0],
  );
  const backup = new Uint8Array(readFileSync(join(__dirname, '../../docs/formats/examples/backup.zip')));
  await page.goto(`${origin}/?start=clean`);
  await kept(page);
  await page.goto(`${origin}/shelf/data`);
  await page.getByRole('heading', { level: 1, name: 'Data' }).waitFor();
  const before = await storedIn(page);
  await watch(page);
  let tried = 0;
  let bad = 0;
  for (const { name, bytes, good = false } of await corpus(dressing, backup)) {
    const path = join(folder, 'file.bin');
    writeFileSync(path, bytes);
    failures.length = 0;
    const opening = page.waitForEvent('filechooser');
    await page.getByRole('button', { name: /^(Read a file|Another file)$/ }).click();
    const chooser = await opening;
    await gapOf(page);
    const since = performance.now();
    await chooser.setFiles(path);
    const refused = page.getByText(/^Not taken: /);
    const told = page.getByRole('button', { name: 'Leave it' });
    const asked = page.getByText('Not told yet');
    const answered = await appears(refused.or(told).or(asked), LONGEST_MS);
    const took = performance.now() - since;
    // What it would do is worked out a moment later; the page must go on meanwhile.
    if ((await told.count()) > 0)
      await page.getByRole('group', { name: 'What it would do' }).waitFor({ timeout: LONGEST_MS });
    const gap = await gapOf(page);
    const why = (await refused.count()) > 0 ? await refused.innerText() : 'told of';
    const polluted = await page.evaluate(() => 'polluted' in window || 'polluted' in {});
    const taken = !good && (await page.getByRole('button', { name: /^(Take|Take it in)\b/ }).count()) > 0;
    if ((await told.count()) > 0) await told.click();
    const wrong = [
      !answered && 'never answers',
      took > MOST_MS && 'slow',
      gap > MOST_GAP_MS && 'stops the page',
      polluted && 'reaches into the page',
      taken && 'could be taken',
      failures.length > 0 && `throws ${failures[0]}`,
      (await storedIn(page)) !== before && 'changed what is stored',
    ].filter(Boolean);
    bad += wrong.length;
    tried++;
    process.stdout.write(
      `  ${name}: ${why}; ${Math.round(took)} ms, page waited ${Math.round(gap)} ms${wrong.length > 0 ? ` -- ${wrong.join(', ')}` : ''}\n`,
    );
    if (!answered) {
      await page.goto(`${origin}/shelf/data`);
      await page.getByRole('heading', { level: 1, name: 'Data' }).waitFor();
      await watch(page);
    }
  }
  // Handed over as photographs: what is kept must be a picture.
  let keptSoFar = 0;
  for (const { name, bytes, good = false } of await pictures()) {
    const path = join(folder, name.startsWith('SVG') ? 'picture.svg' : 'picture.png');
    writeFileSync(path, bytes);
    await page.goto(`${origin}/`);
    const door = page.getByRole('button', { name: 'Photograph it for tonight' });
    await door.waitFor();
    await watch(page);
    failures.length = 0;
    const opening = page.waitForEvent('filechooser');
    await door.click();
    const chooser = await opening;
    await gapOf(page);
    const since = performance.now();
    await chooser.setFiles(path);
    const refused = page.getByText(/^That (?:is not a picture|picture is larger)|no room/);
    const waits = page.getByText(new RegExp(`^${keptSoFar + 1} of \\d+ photographs`)).first();
    const answered = await appears(refused.or(waits), LONGEST_MS);
    const took = performance.now() - since;
    await page.waitForTimeout(300);
    const gap = await gapOf(page);
    const taken = (await waits.count()) > 0;
    if (taken) keptSoFar++;
    const polluted = await page.evaluate(() => 'polluted' in window);
    const wrong = [
      !answered && 'never answers',
      took > MOST_MS && 'slow',
      gap > MOST_GAP_MS && 'stops the page',
      polluted && 'reaches into the page',
      taken !== good && (taken ? 'was kept' : 'was refused'),
      failures.length > 0 && `throws ${failures[0]}`,
    ].filter(Boolean);
    bad += wrong.length;
    tried++;
    process.stdout.write(
      `  ${name}: ${taken ? 'kept' : answered ? 'refused' : 'nothing'}; ${Math.round(took)} ms, page waited ${Math.round(gap)} ms${wrong.length > 0 ? ` -- ${wrong.join(', ')}` : ''}\n`,
    );
  }
  await browser.close();
  return { text: `${tried} files, ${bad} times not as it should be`, bad };
}
