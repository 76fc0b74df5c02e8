/** Ten seasons: what a store of many events, records and matches costs against a small one, as ratios of this run. Needs `npm run build`. Part of `npm run bench`. */
import { once } from 'node:events';
import type { AddressInfo } from 'node:net';
import { join } from 'node:path';
import { chromium, type Browser, type Page } from '@playwright/test';
import { createApp } from '../server/app';
import {
  flySchema,
  matchSchema,
  outingSchema,
  packetSchema,
  sampleSchema,
  specimen,
  typeMeasure,
  waterSchema,
  type Entities,
  type EventOp,
  type Kind,
} from '../src/records';
import { demoEntities } from '../src/records/demo-valley';
import { act } from '../src/state/act';
import { inMemory, type Ports } from '../src/state/ports';
import { commit } from '../src/state/storage/commit';
import { createStore, openStore } from '../src/state/store';
import { CHROMIUM } from '../tools/browser';

const WANTED = 2;
const EVENTS = 20_000;
const ROUNDS = 9;
const median = (times: readonly number[]) => [...times].sort((a, b) => a - b)[times.length >> 1]!;

let made = 0;
const portsOver = (storage: Ports['storage']): Ports => ({
  now: () => Date.now(),
  newId: (kind) => `${kind}_${++made}`,
  random: () => 0.5,
  tab: 'tab_bench',
  storage,
  locks: { request: (_name, task) => task() },
  channel: { post: () => undefined, listen: () => () => undefined },
});

/** Flies and packets as a tier with three hundred kinds and forty packets has them. */
function shelf(): Pick<Entities, 'fly' | 'packet' | 'box'> {
  const fly = Object.fromEntries(
    Array.from({ length: 300 }, (_, n) => [
      `f${n}`,
      flySchema.cast({ name: `fly ${n}`, stage: 'mayfly/dun', lengthMm: 6 + (n % 20) * 0.3 }),
    ]),
  );
  const packet = Object.fromEntries(
    Array.from({ length: 40 }, (_, n) => [
      `p${n}`,
      packetSchema.cast({ hookId: `osmere:lark:${10 + 2 * (n % 6)}`, label: `tin ${n}` }),
    ]),
  );
  return { fly, packet, box: { b: { demo: false, name: 'Auldry', rows: 12, columns: 12, carried: true } } };
}

/** So many moves of ten seasons, over all flies and packets. */
function moves(count: number): EventOp[] {
  return Array.from({ length: count }, (_, n): EventOp => {
    const at = `${2024 + (n % 10)}-0${4 + (n % 5)}-${10 + (n % 18)}T06:30`;
    return n % 5 === 0
      ? {
          kind: 'packet',
          owner: `p${n % 40}`,
          id: `m${n}`,
          on: true,
          event: { at, count: n % 3 ? -1 : 6, why: n % 3 ? 'tied' : 'got' },
        }
      : {
          kind: 'fly',
          owner: `f${n % 300}`,
          id: `m${n}`,
          on: true,
          event: { at, boxId: 'b', slot: 'a1', count: n % 3 ? -1 : 3, why: n % 3 ? 'lost' : 'tied' },
        };
  });
}

async function stored(entities: Partial<Entities>, events: readonly EventOp[]) {
  const storage = inMemory();
  const records = (Object.keys(entities) as Kind[]).flatMap((kind) =>
    Object.entries(entities[kind]!).map(([id, data]) => ({
      kind,
      id,
      data: data as object,
      clocks: { '': 1 },
      since: 1,
    })),
  );
  await commit(storage, { request: (_name, task) => task() }, { records, events, sums: [] }, 1);
  return storage;
}

async function opening(storage: Ports['storage']): Promise<number> {
  const times: number[] = [];
  for (let round = 0; round < ROUNDS; round++) {
    const from = performance.now();
    const persistence = await openStore(createStore(portsOver(storage)), { start: 'clean', clock: null });
    times.push(performance.now() - from);
    await persistence.flush();
    persistence.close();
  }
  return median(times);
}

/** One length typed, to the state after it and to what is stored of it. */
async function changing(count: number): Promise<{ state: number; kept: number }> {
  const samples = Object.fromEntries(
    Array.from({ length: count / 2 }, (_, n) => [
      `s${n}`,
      sampleSchema.cast({ when: '2033-05-24T04:50', specimens: [specimen('i', 8)] }),
    ]),
  );
  const matches = Object.fromEntries(
    Array.from({ length: count / 2 }, (_, n) => [
      `m${n}`,
      matchSchema.cast({
        opened: '2033-05-24T04:50',
        sampleId: `s${n}`,
        answers: [{ id: 'a1', stage: 'mayfly/dun' }],
        leading: 'a1',
      }),
    ]),
  );
  const store = createStore(portsOver(await stored({ sample: samples, match: matches }, [])));
  const persistence = await openStore(store, { start: 'clean', clock: null });
  const [state, kept]: [number[], number[]] = [[], []];
  for (let round = 0; round < 60; round++) {
    const from = performance.now();
    store.dispatch(
      act(typeMeasure, {
        sampleId: 's7',
        of: { specimenId: 'i' },
        measure: { mm: 6 + (round % 40) / 10, typed: null },
      }),
    );
    state.push(performance.now() - from);
    await persistence.flush();
    kept.push(performance.now() - from);
  }
  persistence.close();
  return { state: median(state.slice(10)), kept: median(kept.slice(10)) };
}

/** Puts texts into the page's own store, beside what it has. */
async function seed(page: Page, texts: Record<string, string>): Promise<void> {
  await page.evaluate(async (entries) => {
    const asked = <T>(request: IDBRequest<T>) =>
      new Promise<T>((done, fail) => {
        request.onsuccess = () => done(request.result);
        request.onerror = () => fail(request.error as Error);
      });
    const db = await asked(indexedDB.open((await indexedDB.databases())[0]!.name!));
    const name = db.objectStoreNames[0]!;
    const [first] = await asked(db.transaction(name).objectStore(name).getAll(null, 1));
    const change = db.transaction(name, 'readwrite');
    const store = change.objectStore(name);
    for (const [key, value] of Object.entries(entries))
      if (typeof first === 'string') store.put(value, key);
      else store.put({ ...(first as object), key, value });
    await new Promise((done) => (change.oncomplete = done));
    db.close();
  }, texts);
}

const texts = async (storage: Ports['storage']) =>
  (await storage.getMany(await storage.getAllKeys())) as Record<string, string>;

async function page(browser: Browser, base: string, entries: Record<string, string>): Promise<Page> {
  const own = await (
    await browser.newContext({ viewport: { width: 390, height: 844 }, serviceWorkers: 'block' })
  ).newPage();
  own.on('pageerror', (error) => void process.stdout.write(`the page: ${error.message}\n`));
  await own.addInitScript('globalThis.__name = (value) => value');
  // When the first place is drawn: its heading is there and a frame has passed.
  await own.addInitScript(() => {
    const look = new MutationObserver(() => {
      if (!document.querySelector('h1, [role=heading][aria-level="1"]')) return;
      look.disconnect();
      requestAnimationFrame(() =>
        setTimeout(() => ((globalThis as unknown as { drawn: number }).drawn = performance.now())),
      );
    });
    look.observe(document, { subtree: true, childList: true });
  });
  await own.goto(`${base}/?start=clean`);
  await own.locator('html[data-saved=yes]').waitFor();
  if (Object.keys(entries).length > 0) await seed(own, entries);
  return own;
}

async function drawnAt(own: Page, base: string): Promise<number> {
  const times: number[] = [];
  for (let round = 0; round < ROUNDS; round++) {
    await own.goto(`${base}/`);
    const drawn = () => own.evaluate(() => (globalThis as unknown as { drawn?: number }).drawn);
    let at = await drawn();
    for (; at === undefined; at = await drawn()) await own.waitForTimeout(50);
    times.push(at);
  }
  return median(times);
}

/** From a tap on a place to its first row painted, ms, and what stands on the screen then. */
async function placed(own: Page, base: string, place: string, row: string): Promise<number> {
  const times: number[] = [];
  const other = place === 'Now' ? 'Box' : 'Now';
  await own.goto(`${base}/${other === 'Now' ? '' : 'box'}`);
  for (let round = 0; round < ROUNDS; round++) {
    await own
      .getByRole('tab', { name: other })
      .or(own.getByRole('link', { name: other, exact: true }))
      .first()
      .click();
    await own.waitForTimeout(400);
    times.push(
      await own.evaluate(
        async ([name, wanted]) => {
          const tab = [...document.querySelectorAll<HTMLElement>('[role=tab], a')].find(
            (item) => item.textContent === name,
          )!;
          const from = performance.now();
          tab.click();
          for (;;) {
            await new Promise((go) => requestAnimationFrame(() => setTimeout(go)));
            const shown = [...document.querySelectorAll<HTMLElement>('[role=main] *')].some(
              (item) => item.children.length === 0 && item.textContent!.includes(wanted!) && item.checkVisibility(),
            );
            if (shown || performance.now() - from > 20_000) return performance.now() - from;
          }
        },
        [place, row],
      ),
    );
  }
  return median(times);
}

/** So many matches that are answered, with a place by which a row is known. */
function matches(count: number): Pick<Entities, 'match' | 'sample'> {
  const found: Pick<Entities, 'match' | 'sample'> = { match: {}, sample: {} };
  for (let n = 0; n < count; n++) {
    const when = `${2024 + (n % 10)}-0${4 + (n % 5)}-${10 + (n % 18)}T0${4 + (n % 6)}:50`;
    found.sample[`s${n}`] = sampleSchema.cast({
      when,
      place: 'Auldry',
      water: 'slow',
      specimens: [specimen('i', 5 + (n % 60) / 10)],
    });
    found.match[`m${n}`] = matchSchema.cast({
      opened: when,
      sampleId: `s${n}`,
      answers: [{ id: 'a1', stage: 'mayfly/dun' }],
      leading: 'a1',
    });
  }
  return found;
}

/** Outings of ten seasons on three waters, four events each. */
function outings(count: number): { entities: Pick<Entities, 'outing' | 'water'>; events: EventOp[] } {
  const entities: Pick<Entities, 'outing' | 'water'> = { outing: {}, water: {} };
  const events: EventOp[] = [];
  for (const n of [0, 1, 2]) entities.water[`w${n}`] = waterSchema.cast({ name: `Auldry ${n}`, kind: 'river' });
  for (let n = 0; n < count; n++) {
    const day = `${2024 + (n % 10)}-0${4 + (n % 5)}-${10 + (n % 18)}`;
    const owner = `o${n}`;
    entities.outing[owner] = outingSchema.cast({
      start: `${day}T10:00`,
      end: `${day}T16:00`,
      waterId: `w${n % 3}`,
      team: [{ id: 't1', name: `fly ${n % 60}`, on: `${day}T10:05`, off: null }],
    });
    (['seen', 'took', 'took', 'refused'] as const).forEach((what, k) =>
      events.push({
        kind: 'outing',
        owner,
        id: `e${n}-${k}`,
        on: true,
        event: { at: `${day}T1${2 + k}:00`, what, ...(what === 'seen' ? { seen: 'duns' } : { fly: 't1' }) },
      }),
    );
  }
  return { entities, events };
}

/** From a tap of the log to its count painted, ms: the median of the first twenty taps of an outing, and of the twenty before its 300th. */
async function tapped(own: Page, base: string): Promise<[first: number, last: number]> {
  await own.goto(`${base}/out?clock=2033-05-24T15:40`);
  await own.getByRole('button', { name: 'Begin now' }).click();
  await own.getByRole('button', { name: /^Took: Not known which/ }).waitFor();
  const times = await own.evaluate(async () => {
    const all: number[] = [];
    for (let n = 0; n < 300; n++) {
      const tile = [...document.querySelectorAll<HTMLElement>('[aria-label^="Took: Not known which"]')].find((item) =>
        item.checkVisibility(),
      )!;
      const from = performance.now();
      tile.click();
      for (;;) {
        await new Promise((go) => requestAnimationFrame(() => setTimeout(go)));
        if (document.querySelector(`[aria-label="Took: Not known which, ${n + 1} so far"]`)) break;
        if (performance.now() - from > 5000) return all;
      }
      all.push(performance.now() - from);
    }
    return all;
  });
  return [median(times.slice(0, 20)), median(times.slice(-20))];
}

/** From a tap on Now to the journal with a text of it painted, ms. */
async function journaled(own: Page, base: string, wanted: string): Promise<number> {
  const times: number[] = [];
  for (let round = 0; round < 5; round++) {
    await own.goto(`${base}/`);
    await own.getByRole('link', { name: /^At the water/ }).waitFor();
    await own.waitForTimeout(400);
    times.push(
      await own.evaluate(async (text) => {
        const link = [...document.querySelectorAll<HTMLElement>('a')].find(
          (item) => item.getAttribute('href') === '/out',
        )!;
        const from = performance.now();
        link.click();
        for (;;) {
          await new Promise((go) => requestAnimationFrame(() => setTimeout(go)));
          const shown = [...document.querySelectorAll<HTMLElement>('[role=main] *')].some(
            (item) => item.children.length === 0 && item.textContent!.includes(text) && item.checkVisibility(),
          );
          if (shown || performance.now() - from > 20_000) return performance.now() - from;
        }
      }, wanted),
    );
  }
  return median(times);
}

/** The longest task while the journal is scrolled from end to end, ms. */
async function longestScrolled(own: Page): Promise<number> {
  await own.evaluate(() => {
    const kept = globalThis as unknown as { longest: number };
    kept.longest = 0;
    new PerformanceObserver((list) => {
      for (const entry of list.getEntries()) kept.longest = Math.max(kept.longest, entry.duration);
    }).observe({ type: 'longtask' });
  });
  await own.mouse.move(200, 600);
  for (let turn = 0; turn < 60; turn++) {
    await own.mouse.wheel(0, 3000);
    await own.waitForTimeout(30);
  }
  return own.evaluate(() => (globalThis as unknown as { longest: number }).longest);
}

const line = (what: string, ratio: number) =>
  process.stdout.write(`${what}: ${ratio.toFixed(2)} (wanted at most ${WANTED})\n`);

async function main(): Promise<void> {
  process.stdout.write('\nTen seasons, each against a small store of the same run\n');
  const [few, many] = [await opening(await stored(shelf(), [])), await opening(await stored(shelf(), moves(EVENTS)))];
  line(`opening 341 records with ${EVENTS} events, against the same records without, no browser`, many / few);
  const [small, large] = [await changing(200), await changing(20_000)];
  line('one length at 20 000 records against one at 200, to the state after it', large.state / small.state);
  line('the same, until it is stored', large.kept / small.kept);
  if (process.env.AUBADE_BENCH_MS)
    process.stdout.write(
      `opening ${few.toFixed(1)} ${many.toFixed(1)}, change ${small.state.toFixed(2)} ${large.state.toFixed(2)}, kept ${small.kept.toFixed(2)} ${large.kept.toFixed(2)} ms\n`,
    );
  const server = createApp(join(__dirname, '../dist')).listen(0, '127.0.0.1');
  await once(server, 'listening');
  const base = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
  const browser = await chromium.launch(CHROMIUM);
  const { maker, model } = demoEntities();
  const empty = await drawnAt(await page(browser, base, {}), base);
  const seasons = await drawnAt(await page(browser, base, await texts(await stored(shelf(), moves(EVENTS)))), base);
  line(
    `the app opened until its first place is drawn, ${EVENTS} events of 340 owners against an empty store`,
    seasons / empty,
  );
  const [twenty, thousands] = [
    await page(browser, base, await texts(await stored({ ...matches(20), maker, model }, []))),
    await page(browser, base, await texts(await stored({ ...matches(2000), maker, model }, []))),
  ];
  const times: number[] = [];
  for (const place of ['Now', 'Matches']) {
    const [one, other] = [await placed(twenty, base, place, 'Auldry'), await placed(thousands, base, place, 'Auldry')];
    times.push(one, other);
    line(`${place} with 2 000 matches against 20, from the tap to its first row`, other / one);
  }
  const journal = outings(5000);
  const [bare, full] = [
    await page(browser, base, {}),
    await page(browser, base, await texts(await stored(journal.entities, journal.events))),
  ];
  const [none, all] = [await journaled(bare, base, 'No outing yet'), await journaled(full, base, '5000 outings')];
  line(
    'the journal with 5 000 outings and 20 000 events against an empty one, from the tap until it is painted',
    all / none,
  );
  process.stdout.write(
    `scrolled from its head on: longest task ${Math.round(await longestScrolled(full))} ms (wanted under 100)\n`,
  );
  const [first, last] = await tapped(bare, base);
  line('a tap of the log at the 300th against the first, until its count is painted', last / first);
  if (process.env.AUBADE_BENCH_MS) process.stdout.write(`tapped ${first.toFixed(0)} ${last.toFixed(0)} ms\n`);
  const [shut, open] = [
    await opening(await stored(journal.entities, [])),
    await opening(await stored(journal.entities, journal.events)),
  ];
  line('opening 5 000 outings with 20 000 events, against the same outings without, no browser', open / shut);
  if (process.env.AUBADE_BENCH_MS)
    process.stdout.write(
      `opened ${empty.toFixed(0)} ${seasons.toFixed(0)}, places ${times.map((ms) => ms.toFixed(0)).join(' ')} ms\n`,
    );
  await browser.close();
  server.close();
}

void main();
