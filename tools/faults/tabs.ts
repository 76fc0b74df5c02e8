import type { BrowserContext } from '@playwright/test';
import { kept, newPlace, newProfile, openProfile, placeField, random, upTo, type Found } from './profile';

/** Two tabs edit the same field about at once; within a second both screens and the store must say the same. */
export async function tabs(origin: string, count: number): Promise<Found> {
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
