import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, type BrowserContext, type Locator, type Page } from '@playwright/test';
import { CHROMIUM } from '../browser';

/** What a run found: a line of the table, and how often it was not as it should be. */
export interface Found {
  text: string;
  bad: number;
}

/** Random numbers that are the same in every run. */
let seed = 20_261_129;
export function random(): number {
  seed = (Math.imul(seed ^ (seed >>> 15), 1 | seed) + 0x6d2b79f5) | 0;
  const mixed = Math.imul(seed ^ (seed >>> 7), 61 | seed) ^ seed;
  return ((mixed ^ (mixed >>> 14)) >>> 0) / 4_294_967_296;
}
export const upTo = (count: number) => Math.floor(random() * count);

export const newProfile = () => mkdtempSync(join(tmpdir(), 'aubade-faults-'));
/** What our own scripts are compiled with calls this to name functions; in a page there is none. */
export const nameable = (context: BrowserContext) => context.addInitScript('globalThis.__name = (named) => named;');

export async function openProfile(folder: string): Promise<BrowserContext> {
  const context = await chromium.launchPersistentContext(folder, {
    ...CHROMIUM,
    viewport: { width: 390, height: 844 },
  });
  await nameable(context);
  return context;
}

export const kept = (page: Page) =>
  page.waitForSelector('html[data-saved=yes]', { state: 'attached', timeout: 20_000 }).then(() => undefined);

/** Whether something is seen within a time, ms. */
export const appears = (what: Locator, ms: number) =>
  what
    .first()
    .waitFor({ timeout: ms })
    .then(
      () => true,
      () => false,
    );

/** Whether the page says now that all is kept. */
export const saysKept = (page: Page) =>
  page
    .locator('html')
    .getAttribute('data-saved')
    .then((said) => said === 'yes');

/** A match of its own with the field of its place open; its address. */
export async function newPlace(page: Page, origin: string): Promise<string> {
  await page.goto(`${origin}/?start=clean`);
  await page.getByRole('button', { name: /A natural in hand/ }).click();
  await page.getByRole('radio', { name: 'Mayfly', exact: true }).click();
  await page.getByRole('radio', { name: 'dun', exact: true }).click();
  await kept(page);
  return page.url();
}

export async function placeField(page: Page) {
  const line = page.getByRole('button', { name: /^Name, place and water/ });
  if ((await line.getAttribute('aria-expanded')) === 'false') await line.click();
  return page.getByRole('textbox', { name: 'Where' });
}
