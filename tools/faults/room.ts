import type { Page } from '@playwright/test';
import sharp from 'sharp';
import { fill, fillable } from '../full-store';
import { appears, kept, newPlace, newProfile, openProfile, placeField, saysKept, type Found } from './profile';
import { smallDisk } from './small-disk';

const said = (page: Page, text: RegExp) => appears(page.getByText(text), 5_000);

/** The browser's room is used up between edits: the page must say so at once, keep what was said to be kept, go on in memory, and keep all of it once there is room. */
export async function edits(origin: string, count: number): Promise<Found> {
  const context = await openProfile(newProfile());
  await fillable(context);
  const page = context.pages()[0] ?? (await context.newPage());
  const address = await newPlace(page, origin);
  let [silent, wrong, lost, unkept] = [0, 0, 0, 0];
  for (let round = 0; round < count; round++) {
    const field = await placeField(page);
    await field.fill(`before ${round}`);
    await kept(page);
    await fill(page, true);
    await field.fill(`without room ${round}`);
    if (!(await said(page, /is not kept yet|are not kept yet/))) silent++;
    if (await saysKept(page)) wrong++;
    await field.fill(`still without ${round}`);
    const second = await context.newPage();
    await second.goto(address);
    if ((await (await placeField(second)).inputValue()) !== `before ${round}`) lost++;
    await second.close();
    await fill(page, false);
    await field.fill(`with room ${round}`);
    await kept(page).catch(() => unkept++);
    await page.goto(address);
    if ((await (await placeField(page)).inputValue()) !== `with room ${round}`) unkept++;
  }
  await context.close();
  return {
    text: `room used up in ${count} rounds of edits: ${silent} times it was not said, ${wrong} times "kept" was said of what was not; what was kept before was gone ${lost} times, what came meanwhile was not kept once there was room ${unkept} times`,
    bad: silent + wrong + lost + unkept,
  };
}

/** The same in the middle of a photograph that is to be kept. */
export async function photographs(origin: string, count: number): Promise<Found> {
  const context = await openProfile(newProfile());
  await fillable(context);
  const page = context.pages()[0] ?? (await context.newPage());
  await page.goto(`${origin}/?start=clean`);
  // Noise: no way of packing makes it small.
  const picture = await sharp(
    Buffer.from(Array.from({ length: 800 * 600 * 3 }, (_, at) => (at * 2_654_435_761) >>> 24)),
    {
      raw: { width: 800, height: 600, channels: 3 },
    },
  )
    .jpeg({ quality: 95 })
    .toBuffer();
  const choose = async () => {
    const opening = page.waitForEvent('filechooser');
    await page.getByRole('button', { name: 'Photograph it for tonight' }).click();
    await (await opening).setFiles({ name: 'insect.jpg', mimeType: 'image/jpeg', buffer: picture });
  };
  let [silent, kept0, unkept] = [0, 0, 0];
  for (let round = 0; round < count; round++) {
    await page.goto(`${origin}/`);
    await page.getByRole('button', { name: 'Photograph it for tonight' }).waitFor();
    await kept(page);
    await fill(page, true);
    await choose();
    if (!(await said(page, /no room/i))) silent++;
    await fill(page, false);
    await page.goto(`${origin}/shelf/data`);
    await page.getByRole('heading', { level: 1, name: 'Data' }).waitFor();
    if ((await page.getByText(/\d photograph/).count()) > 0) kept0++;
    await page.goto(`${origin}/`);
    await choose();
    if (!(await said(page, /1 of 12 photographs/))) unkept++;
    await kept(page);
    await page.getByRole('button', { name: /^Undo/ }).first().click();
    await kept(page);
  }
  await context.close();
  return {
    text: `room used up in ${count} photographs: ${silent} times it was not said, ${kept0} times a photograph without its picture was kept; with room again ${unkept} were not kept`,
    bad: silent + kept0 + unkept,
  };
}

/** A disk that is really full while edits are made, and has room again: nothing may be said to be kept that is not, and with room the page goes on by itself. */
export async function fullDisk(origin: string, count: number): Promise<Found> {
  const disk = smallDisk();
  if (!disk) return { text: 'full disk: not tried, this machine lets nobody mount one', bad: 0 };
  const context = await openProfile(disk.folder);
  const page = context.pages()[0] ?? (await context.newPage());
  const address = await newPlace(page, origin);
  let [taken, refused, wrong, unkept, others] = [0, 0, 0, 0, 0];
  for (let round = 0; round < count; round++) {
    const field = await placeField(page);
    disk.fill(true);
    let last = '';
    for (let edit = 0; edit < 40; edit++) {
      last = `full ${round}.${edit}`;
      await field.fill(last);
      await page.waitForTimeout(400);
      if (await saysKept(page)) taken++;
      else refused++;
    }
    const claimed = (await saysKept(page)) ? last : null;
    disk.fill(false);
    if (claimed !== null) {
      const second = await context.newPage();
      await second.goto(address);
      if ((await (await placeField(second)).inputValue()) !== claimed) wrong++;
      await second.close();
    }
    await field.fill(`with room ${round}`);
    await page.waitForSelector('html[data-saved=yes]', { state: 'attached', timeout: 90_000 }).catch(() => unkept++);
    await page.goto(address);
    if ((await (await placeField(page)).inputValue()) !== `with room ${round}`) others++;
  }
  await context.close();
  disk.end();
  return {
    text: `a small disk filled to its last byte in ${count} rounds of 40 edits: the browser still took ${taken}, refused ${refused}; ${wrong} times "kept" was said of what was not there; with room again ${unkept} times the page did not go on by itself, ${others} times a new start did not have it`,
    bad: wrong + unkept + others,
  };
}
