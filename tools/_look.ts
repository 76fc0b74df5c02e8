import { chromium } from '@playwright/test';
import { CHROMIUM } from './browser';
async function main() {
  const browser = await chromium.launch(CHROMIUM);
  for (const [name, size] of [['phone', { width: 390, height: 844 }], ['wide', { width: 1280, height: 800 }]] as const) {
    const page = await browser.newPage({ viewport: size });
    page.on('pageerror', (error) => console.log(name, error.message));
    await page.goto('http://127.0.0.1:8799/dressings/first-light-dun?clock=2033-05-24T04:50');
    await page.getByRole('button', { name: 'Make your own from this' }).click();
    await page.getByRole('heading', { name: /mine: change/ }).waitFor();
    await page.getByRole('button', { name: /^Hackle, / }).click();
    await page.waitForTimeout(800);
    const shot = async (n: string, locator: ReturnType<typeof page.getByRole>) => { await locator.first().evaluate((el) => el.scrollIntoView({ block: 'start' })); await page.waitForTimeout(400); await page.screenshot({ path: `/tmp/p/${n}-${name}.png` }); };
    await page.screenshot({ path: `/tmp/p/top-${name}.png` });
    await shot('part', page.getByRole('button', { name: /^Hackle, / }));
    await page.getByRole('combobox', { name: 'What it is' }).selectOption({ label: 'Rib' });
    await page.waitForTimeout(1500);
    await shot('add', page.getByRole('group', { name: 'Add a part' }));
    await page.getByRole('button', { name: /^Step 4: / }).click();
    await shot('step', page.getByRole('button', { name: /^Step 3: / }));
    await page.close();
  }
  await browser.close();
}
void main();
