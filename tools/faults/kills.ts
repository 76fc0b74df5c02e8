import { execFileSync } from 'node:child_process';
import { kept, newPlace, newProfile, openProfile, placeField, random, upTo, type Found } from './profile';

/** The browser is killed at a random moment of its edits; what was said to be kept must be there when it is opened again. */
export async function kills(origin: string, count: number): Promise<Found> {
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
