/**
 * What a modest phone waits for: the first page from an empty browser, and the taps that draw most, at a processor slowed four times.
 * `npm run bench:pages -- DIST` sets the build beside another one in the same run and prints ratios; alone, multiples of opening Cautions.
 */
import { chromium, type Browser, type Page } from '@playwright/test';
import { CHROMIUM } from '../tools/browser';
import { served } from '../tools/served';

const SLOWED = 4;
const ROUNDS = 3;
/** A phone's signal on the way to a river, in bytes a second. */
const BY_THE_RIVER = { offline: false, latency: 100, downloadThroughput: 400_000, uploadThroughput: 100_000 };
const CLOCK = 'clock=2033-05-24T04:50';
const DUN = '/matches/match_demo-auldry-dun';

/** Name, where it is tapped and what is tapped. */
const TAPS: readonly [string, string, RegExp | string, 'link' | 'button'][] = [
  ['Cautions', '/shelf', /^Cautions/, 'link'],
  ['A natural', '/matches', /^Pale riffle dun/, 'link'],
  ['Hook step', `${DUN}/natural`, /^Hook: /, 'button'],
  ['Bench step', `${DUN}/natural`, /^Bench: /, 'button'],
  ['Dressings', '/', 'Dressings', 'link'],
];

const median = (values: readonly number[]) => [...values].sort((a, b) => a - b)[values.length >> 1]!;

async function slowed(browser: Browser, origin: string): Promise<Page> {
  const page = await browser.newPage({ viewport: { width: 390, height: 844 } });
  await page.goto(`${origin}/?start=demo&${CLOCK}`);
  await page.getByRole('heading', { level: 1 }).waitFor();
  await page.waitForTimeout(3000);
  await (await page.context().newCDPSession(page)).send('Emulation.setCPUThrottlingRate', { rate: SLOWED });
  return page;
}

/** Milliseconds from an empty browser to the first heading of Now. */
async function cold(browser: Browser, origin: string): Promise<number> {
  const context = await browser.newContext({ viewport: { width: 390, height: 844 } });
  const page = await context.newPage();
  const session = await context.newCDPSession(page);
  await session.send('Emulation.setCPUThrottlingRate', { rate: SLOWED });
  await session.send('Network.emulateNetworkConditions', BY_THE_RIVER);
  const from = Date.now();
  await page.goto(`${origin}/?start=clean`, { waitUntil: 'commit' });
  await page.getByRole('heading', { level: 1 }).waitFor();
  const took = Date.now() - from;
  await context.close();
  return took;
}

/** Milliseconds from a tap to the next picture, as the browser tells it. */
async function tap(page: Page, origin: string, [, at, name, role]: (typeof TAPS)[number]): Promise<number> {
  await page.goto(`${origin}${at}${at.includes('?') ? '&' : '?'}${CLOCK}`);
  await page.getByRole('heading', { level: 1 }).waitFor();
  await page.waitForTimeout(2500);
  await page.evaluate(() => {
    const told = window as unknown as { waited: number };
    told.waited = 0;
    new PerformanceObserver((list) =>
      list.getEntries().forEach((entry) => (told.waited = Math.max(told.waited, entry.duration))),
    ).observe({ type: 'event', durationThreshold: 16 } as PerformanceObserverInit);
  });
  await page.getByRole(role, { name }).first().click();
  await page.waitForTimeout(3000);
  return page.evaluate(() => (window as unknown as { waited: number }).waited);
}

async function main(): Promise<void> {
  const builds = [undefined, ...process.argv.slice(2)];
  const browser = await chromium.launch(CHROMIUM);
  const rows = new Map<string, number[]>();
  for (const dist of builds) {
    const { origin, stop } = await served(dist === undefined ? {} : { dist });
    const take = (name: string, values: number[]) => {
      rows.set(name, [...(rows.get(name) ?? []), median(values)]);
      process.stderr.write(`${name}: ${values.map((value) => value.toFixed(0)).join(' ')} ms\n`);
    };
    const firsts: number[] = [];
    for (let round = 0; round < ROUNDS; round++) firsts.push(await cold(browser, origin));
    take('First page', firsts);
    const page = await slowed(browser, origin);
    for (const row of TAPS) {
      const taken: number[] = [];
      for (let round = 0; round < ROUNDS; round++) taken.push(await tap(page, origin, row));
      take(row[0], taken);
    }
    await page.context().close();
    await stop();
  }
  await browser.close();
  const [unit] = rows.get('Cautions')!;
  for (const [name, [mine, ...others]] of rows)
    process.stdout.write(
      `${name.padEnd(12)} ${others.length > 0 ? others.map((other) => `${(mine! / other).toFixed(2)} of the other build (${mine!.toFixed(0)} and ${other.toFixed(0)} ms)`).join(', ') : `${(mine! / unit!).toFixed(1)} × opening Cautions`}\n`,
    );
}

void main();
