import type { Page } from '@playwright/test';
import { kept, newPlace, newProfile, openProfile, placeField, random, type Found } from './profile';

const HOUR_MS = 3_600_000;

/** Makes every clock of a page go wrong by so much, from its next load on. */
const wrongBy = (page: Page, ms: number) =>
  page.addInitScript((offset) => {
    const { now } = Date;
    const Real = Date;
    Date.now = () => now() + offset;
    window.Date = new Proxy(Real, {
      construct: (target, args: []) => (args.length === 0 ? new target(Date.now()) : new target(...args)),
    });
  }, ms);

/** Two tabs, one with a clock an hour back, one a day ahead, edit the same field in turns: the one that edits last must stand, on both screens and in the store. */
export async function clocks(origin: string, count: number): Promise<Found> {
  const context = await openProfile(newProfile());
  const right = await context.newPage();
  const address = await newPlace(right, origin);
  const [back, ahead] = [await context.newPage(), await context.newPage()];
  await wrongBy(back, -HOUR_MS);
  await wrongBy(ahead, 24 * HOUR_MS);
  await Promise.all([back.goto(address), ahead.goto(address)]);
  const pages = [right, back, ahead];
  const told = await Promise.all(
    pages.map((page) => page.evaluate(() => new Date().getTime() - performance.timeOrigin)),
  );
  const off = told.map((ms) => Math.round(ms / HOUR_MS));
  if (off.join() !== '0,-1,24') throw new Error(`clocks are off by ${off.join()} h`);
  const fields = await Promise.all(pages.map(placeField));
  let [screens, stored] = [0, 0];
  for (let round = 0; round < count; round++) {
    const who = Math.floor(random() * pages.length);
    const typed = `${['right', 'back', 'ahead'][who]} ${round}`;
    await fields[who]!.fill(typed);
    await fields[who]!.blur();
    await kept(pages[who]!);
    const deadline = performance.now() + 1_000;
    const all = async () =>
      (await Promise.all(fields.map((field) => field.inputValue()))).every((said) => said === typed);
    let same = await all();
    while (!same && performance.now() < deadline) {
      await right.waitForTimeout(50);
      same = await all();
    }
    if (!same) screens++;
    const third = await context.newPage();
    await third.goto(address);
    if ((await (await placeField(third)).inputValue()) !== typed) stored++;
    await third.close();
  }
  await context.close();
  return {
    text: `${count} edits in turns by clocks right, an hour back and a day ahead: ${screens} times the last did not stand on every screen within a second, ${stored} times not in the store`,
    bad: screens + stored,
  };
}
