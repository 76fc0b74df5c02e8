/**
 * What a dead phone and a damaged store do: `npm run faults -- [kills=200] [damage=200] [tabs=200]`. Bounded, against a build served by itself; prints a table and ends with
 * 1 when anything that was said to be kept is gone, or the app does not start.
 */
import { execFileSync } from 'node:child_process';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, type BrowserContext, type Page } from '@playwright/test';
import { CHROMIUM } from './browser';
import { served } from './served';

const COUNTS = { kills: 200, damage: 200, tabs: 200 };
for (const word of process.argv.slice(2)) {
  const [name, count] = word.split('=');
  if (name && name in COUNTS) COUNTS[name as keyof typeof COUNTS] = Number(count);
}

/** Random numbers that are the same in every run. */
let seed = 20_261_129;
function random(): number {
  seed = (Math.imul(seed ^ (seed >>> 15), 1 | seed) + 0x6d2b79f5) | 0;
  const mixed = Math.imul(seed ^ (seed >>> 7), 61 | seed) ^ seed;
  return ((mixed ^ (mixed >>> 14)) >>> 0) / 4_294_967_296;
}
const upTo = (count: number) => Math.floor(random() * count);

const newProfile = () => mkdtempSync(join(tmpdir(), 'aubade-faults-'));
const openProfile = (folder: string) =>
  chromium.launchPersistentContext(folder, { ...CHROMIUM, viewport: { width: 390, height: 844 } });

const kept = (page: Page) =>
  page.waitForSelector('html[data-saved=yes]', { state: 'attached', timeout: 20_000 }).then(() => undefined);

/** A match of its own with the field of its place open; its address. */
async function newPlace(page: Page, origin: string): Promise<string> {
  await page.goto(`${origin}/?start=clean`);
  await page.getByRole('button', { name: /A natural in hand/ }).click();
  await page.getByRole('radio', { name: 'Mayfly', exact: true }).click();
  await page.getByRole('radio', { name: 'dun', exact: true }).click();
  await kept(page);
  return page.url();
}

async function placeField(page: Page) {
  const line = page.getByRole('button', { name: /^Name, place and water/ });
  if ((await line.getAttribute('aria-expanded')) === 'false') await line.click();
  return page.getByRole('textbox', { name: 'Where' });
}

/** The browser is killed at a random moment of its edits; what was said to be kept must be there when it is opened again. */
async function kills(origin: string, count: number) {
  const folder = newProfile();
  let context = await openProfile(folder);
  let page = context.pages()[0] ?? (await context.newPage());
  const address = await newPlace(page, origin);
  let [edits, acknowledged, lost, early] = [0, 0, 0, 0];
  let sure = 0;
  for (let round = 0; round < count; round++) {
    const field = await placeField(page);
    let typed = sure;
    for (let more = 1 + upTo(5); more > 0; more--) {
      typed = ++edits;
      await field.fill(`place ${typed}`);
      if (random() < 0.5) {
        await kept(page);
        sure = typed;
        acknowledged++;
      } else await page.waitForTimeout(upTo(250));
    }
    execFileSync('pkill', ['-9', '-f', folder]);
    await context.close().catch(() => undefined);
    context = await openProfile(folder);
    page = context.pages()[0] ?? (await context.newPage());
    await page.goto(address);
    const found = Number(/\d+/.exec(await (await placeField(page)).inputValue())?.[0] ?? 0);
    if (found < sure) lost++;
    else if (found < typed) early++;
    sure = Math.max(sure, found);
  }
  await context.close();
  return {
    text: `${count} kills, ${edits} edits, ${acknowledged} said to be kept: ${lost} of those lost; in ${early} rounds an edit younger than that was`,
    bad: lost,
  };
}

/** Characters of one stored record are changed; the app must start, name what it set aside, and keep every other record. */
async function damage(origin: string, count: number) {
  const context = await openProfile(newProfile());
  const page = await context.newPage();
  const failures: string[] = [];
  page.on('pageerror', (error) => failures.push(error.message));
  await page.goto(`${origin}/?start=demo`);
  await page.getByRole('heading', { level: 1 }).first().waitFor();
  await kept(page);
  let [blank, aside, opened, others] = [0, 0, 0, 0];
  for (let round = 0; round < count; round++) {
    const [pick, at, how] = [random(), random(), random()];
    const hit = await page.evaluate(
      ([pick, at, how]) =>
        new Promise<{ key: string; text: string; keys: number }>((done, fail) => {
          const asked = indexedDB.open('aubade');
          asked.onerror = () => fail(asked.error);
          asked.onsuccess = () => {
            const store = asked.result.transaction('entries', 'readwrite').objectStore('entries');
            const all = store.getAllKeys();
            all.onsuccess = () => {
              const records = (all.result as string[]).filter((key) => !/^(blob|undo|events|sum|aside)\//.test(key));
              const key = records[Math.floor(pick! * records.length)]!;
              const got = store.get(key);
              got.onsuccess = () => {
                const text = got.result as string;
                const place = Math.floor(at! * text.length);
                const spoiled =
                  how! < 0.4
                    ? text.slice(0, place) + String.fromCharCode(33 + Math.floor(how! * 200)) + text.slice(place + 1)
                    : how! < 0.7
                      ? text.slice(0, place)
                      : text.slice(0, place) + text.slice(place + 1 + Math.floor(how! * 20));
                store.put(spoiled, key).onsuccess = () => {
                  asked.result.close();
                  done({ key, text, keys: records.length });
                };
              };
            };
          };
        }),
      [pick, at, how],
    );
    failures.length = 0;
    await page.goto(`${origin}/matches`);
    const stands = await page
      .getByRole('heading', { level: 1, name: 'Matches' })
      .waitFor({ timeout: 15_000 })
      .then(
        () => true,
        () => false,
      );
    if (!stands || failures.length > 0) blank++;
    await page.goto(`${origin}/shelf/data`);
    await page.getByRole('heading', { name: 'Set aside' }).waitFor();
    const named = await page.getByText(`${hit.key}:`).count();
    if (named > 0) aside++;
    else opened++;
    // Put back as it was for the next round; every other record must be as many as before.
    const left = await page.evaluate(
      ([key, text]) =>
        new Promise<number>((done) => {
          const asked = indexedDB.open('aubade');
          asked.onsuccess = () => {
            const store = asked.result.transaction('entries', 'readwrite').objectStore('entries');
            store.put(text, key);
            store.delete(`aside/${key}`);
            const all = store.getAllKeys();
            all.onsuccess = () => {
              asked.result.close();
              done((all.result as string[]).filter((item) => !/^(blob|undo|events|sum|aside)\//.test(item)).length);
            };
          };
        }),
      [hit.key, hit.text] as const,
    );
    if (left < hit.keys) others++;
  }
  await context.close();
  return {
    text: `${count} damaged records: ${aside} set aside by name, ${opened} opened as they were or with less; ${blank} starts without a page, ${others} times another record was gone`,
    bad: blank + others,
  };
}

/** Two tabs edit the same field about at once; within a second both screens and the store must say the same. */
async function tabs(origin: string, count: number) {
  const context: BrowserContext = await openProfile(newProfile());
  const one = await context.newPage();
  const address = await newPlace(one, origin);
  const two = await context.newPage();
  await two.goto(address);
  let [apart, stored] = [0, 0];
  for (let round = 0; round < count; round++) {
    const [a, b] = [await placeField(one), await placeField(two)];
    await Promise.all([a.fill(`one ${round}`), two.waitForTimeout(upTo(120)).then(() => b.fill(`two ${round}`))]);
    if (random() < 0.3) await one.keyboard.press('Control+z');
    await Promise.all([a.blur(), b.blur()]);
    await Promise.all([kept(one), kept(two)]);
    const deadline = performance.now() + 1_000;
    let same = false;
    let said: [string, string] = ['', ''];
    while (!same && performance.now() < deadline) {
      said = [await a.inputValue(), await b.inputValue()];
      same = said[0] === said[1];
      if (!same) await one.waitForTimeout(50);
    }
    if (!same) apart++;
    const third = await context.newPage();
    await third.goto(address);
    if ((await (await placeField(third)).inputValue()) !== said[0]) stored++;
    await third.close();
  }
  await context.close();
  return {
    text: `${count} rounds in two tabs: ${apart} times the screens differed after a second, ${stored} times the store said otherwise`,
    bad: apart + stored,
  };
}

void (async () => {
  const { origin, stop } = await served({ dist: process.env.DIST });
  let bad = 0;
  try {
    for (const [name, tried] of [
      ['kills', kills],
      ['damage', damage],
      ['tabs', tabs],
    ] as const) {
      if (COUNTS[name] === 0) continue;
      const found = await tried(origin, COUNTS[name]);
      process.stdout.write(`${name}: ${found.text}\n`);
      bad += found.bad;
    }
  } finally {
    await stop();
  }
  process.exitCode = bad > 0 ? 1 : 0;
})();
