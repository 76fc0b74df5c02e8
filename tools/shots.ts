/** Retakes docs/screenshots from the demo data, against a server of its own. */
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, type Page } from '@playwright/test';
import { CHROMIUM } from './browser';
import { served } from './served';
import { writePhoto } from './write-photo';

const OUT = join(__dirname, '..', 'docs/screenshots');
const PHONE = { width: 390, height: 844 };
const WIDE = { width: 1280, height: 800 };
const DUN = '/matches/match_demo-auldry-dun';

/** Name, path and size of every view that is built; `theme` and `act` where a view needs them. */
const VIEWS: { name: string; path: string; size: typeof PHONE; theme?: 'dusk'; act?: (page: Page) => Promise<void> }[] =
  [
    { name: 'now-phone', path: '/', size: PHONE },
    { name: 'natural-phone', path: `${DUN}/natural`, size: PHONE },
    {
      name: 'stage-phone',
      path: '/matches/match_demo-waiting/natural?key=open',
      size: PHONE,
      act: async (page) => {
        await page.getByRole('button', { name: /upright and cloudy/ }).click();
        await page.getByRole('button', { name: 'Tail end' }).click();
      },
    },
    { name: 'hook-phone', path: `${DUN}/hook`, size: PHONE },
    { name: 'match-wide', path: `${DUN}/hook`, size: WIDE },
    { name: 'dressing-phone', path: `${DUN}/dressing`, size: PHONE },
    {
      name: 'editor-wide',
      path: '/dressings/first-light-dun',
      size: WIDE,
      act: async (page) => {
        await page.getByRole('button', { name: 'Make your own from this' }).click();
        await page.getByRole('heading', { name: /: change$/ }).waitFor();
        await page.getByRole('combobox', { name: 'What it is' }).selectOption({ label: 'Rib' });
        await page.getByRole('button', { name: 'Add rib' }).waitFor();
        await page
          .getByRole('group', { name: 'Add a part' })
          .evaluate((element) => element.scrollIntoView({ block: 'end' }));
      },
    },
    { name: 'plate-wide', path: `${DUN}/dressing`, size: WIDE },
    { name: 'card-phone', path: `${DUN}/bench`, size: PHONE },
    { name: 'hands-phone', path: '/vise/hands', size: PHONE },
    {
      name: 'bench-wide',
      path: `${DUN}/tie`,
      size: WIDE,
      theme: 'dusk',
      act: async (page) => {
        for (let i = 0; i < 6; i++) await page.keyboard.press('PageDown');
      },
    },
    {
      name: 'photo-phone',
      path: '/',
      size: PHONE,
      act: async (page) => {
        const photo = join(tmpdir(), 'aubade-shot.jpg');
        await writePhoto(photo);
        const opening = page.waitForEvent('filechooser');
        await page.getByRole('button', { name: 'Photograph it for tonight' }).click();
        await (await opening).setFiles(photo);
        await page
          .getByRole('link', { name: /^Unnamed natural/ })
          .first()
          .click();
        await page.getByRole('button', { name: 'Measure it' }).click();
        const take = page.getByRole('button', { name: /^Take \d/ });
        await take.waitFor({ timeout: 60_000 });
        await page.getByRole('button', { name: 'What is the ± made of?' }).click();
        await take.evaluate((element) => element.scrollIntoView({ block: 'end' }));
      },
    },
    { name: 'water-phone', path: `${DUN}/water`, size: PHONE },
    { name: 'box-phone', path: '/box/box_demo-valley', size: PHONE },
    { name: 'drawer-phone', path: '/drawer/packets', size: PHONE },
    { name: 'materials-phone', path: '/drawer/materials', size: PHONE },
    { name: 'ladder-wide', path: '/drawer/hooks', size: WIDE },
    {
      name: 'session-phone',
      path: '/vise/batch_demo-tonight',
      size: PHONE,
      act: async (page) => {
        await page.getByRole('button', { name: /^Order of work/ }).click();
        await page.getByRole('img', { name: /^When each of/ }).scrollIntoViewIfNeeded();
      },
    },
    {
      name: 'outing-phone',
      path: '/out/outing_demo-may',
      size: PHONE,
    },
  ];

async function main(only: readonly string[], out: string) {
  const { origin, stop } = await served();
  const browser = await chromium.launch(CHROMIUM);
  for (const view of VIEWS.filter((item) => only.length === 0 || only.some((name) => item.name.includes(name)))) {
    const page = await browser.newPage({ viewport: view.size });
    page.on('pageerror', (error) => process.stderr.write(`${view.name}: ${error.message}\n`));
    await page.goto(`${origin}${view.path}${view.path.includes('?') ? '&' : '?'}clock=2033-05-24T04:50`);
    await page.getByRole('heading', { level: 1 }).first().waitFor();
    const theme = process.env.THEME ?? view.theme;
    const presses = theme === 'dusk' ? 1 : theme === 'red-lamp' ? 2 : 0;
    if (presses > 0) {
      await page.goto(`${origin}/?clock=2033-05-24T04:50`);
      for (let i = 0; i < presses; i++) await page.getByRole('button', { name: /^Light:/ }).click();
      await page.waitForTimeout(900);
      await page.goto(`${origin}${view.path}?clock=2033-05-24T04:50`);
      await page.getByRole('heading', { level: 1 }).first().waitFor();
    }
    await page.evaluate(() => document.fonts.ready);
    await page.waitForTimeout(1200);
    await view.act?.(page);
    await page.waitForTimeout(300);
    await page.screenshot({ path: join(out, `${view.name}.png`) });
    await page.close();
  }
  await browser.close();
  await stop();
}

void main(process.argv.slice(2), process.env.SHOTS_OUT ?? OUT);
