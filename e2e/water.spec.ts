import { readFileSync } from 'node:fs';
import sharp from 'sharp';
import { expect, startClean, test, written } from './support';

/** A small grey PNG. */
const png = () =>
  sharp({ create: { width: 8, height: 8, channels: 3, background: '#787878' } })
    .png()
    .toBuffer();

test('a photograph is kept with one tap for the evening, whole, over a reload; twelve are enough', async ({ page }) => {
  await startClean(page);
  const choose = async () => {
    const opening = page.waitForEvent('filechooser');
    await page.getByRole('button', { name: 'Photograph it for tonight' }).click();
    await (await opening).setFiles({ name: 'insect.png', mimeType: 'image/png', buffer: await png() });
  };
  await choose();
  await expect(page.getByText('1 of 12 photographs wait to be measured')).toBeVisible();
  await expect(page.getByText('kept for the bench, 1 photograph')).toBeVisible();
  await written(page);
  await page.reload();
  await page.getByRole('link', { name: /Unnamed natural/ }).click();
  await expect(page.getByRole('img', { name: 'Photograph 1' })).toBeVisible();
  await page.goto('/');
  for (let n = 2; n <= 12; n++) {
    await choose();
    await expect(page.getByText(`${n} of 12 photographs wait to be measured`)).toBeVisible();
  }
  await page.getByRole('button', { name: 'Photograph it for tonight' }).click();
  await expect(page.getByText('12 photographs wait already. Measure one or let one go first.')).toBeVisible();
  await page
    .getByRole('link', { name: /Unnamed natural/ })
    .first()
    .click();
  await page.getByRole('button', { name: 'Let photograph 1 go' }).click();
  await expect(page.getByRole('img', { name: 'Photograph 1' })).toHaveCount(0);
  await written(page);
  await page.goto('/shelf/data');
  await expect(page.getByText(/11 photographs/)).toBeVisible();
});

test('thirty flies go into a new box by taps alone: a dressing, its sizes, how many of each', async ({ page }) => {
  await startClean(page);
  let taps = 0;
  const tap = async (target: ReturnType<typeof page.getByRole>) => {
    await target.click();
    taps++;
  };
  await tap(page.getByRole('link', { name: 'Box', exact: true }));
  await tap(page.getByRole('button', { name: 'New box' }));
  await tap(page.getByRole('button', { name: 'Put flies in' }));
  await tap(page.getByRole('button', { name: /^\d+ more$/ }));
  for (const dressing of [
    'First-light upright dun',
    'Auldry low emerger',
    'Auldry flat spinner',
    'Hair-roof adult',
    'Ellanmere ringed pupa',
  ]) {
    await tap(page.getByRole('button', { name: dressing }).first());
    await tap(page.getByRole('button', { name: 'Size 14' }));
    await tap(page.getByRole('button', { name: 'Size 16' }));
    await tap(page.getByRole('button', { name: 'Put 6 flies in' }));
  }
  expect(taps).toBe(24);
  await page.getByRole('link', { name: /Box 1/ }).click();
  await expect(page.getByText('30 flies, 10 kinds, carried')).toBeVisible();
  await written(page);
  await page.reload();
  await expect(page.getByText('30 flies, 10 kinds, carried')).toBeVisible();
  await expect(page.getByRole('button', { name: 'A1: First-light upright dun 14, 3 left' })).toBeVisible();
});

test('two tabs that each lose a fly both count', async ({ page, context }) => {
  await page.goto('/box/box_demo-valley');
  const second = await context.newPage();
  await second.goto('/box/box_demo-valley');
  for (const tab of [page, second]) {
    await tab.getByRole('button', { name: /^A2: / }).click();
    await tab.getByRole('button', { name: 'Lost one First-light upright dun' }).click();
  }
  for (const tab of [page, second]) await written(tab);
  await page.reload();
  await expect(page.getByRole('button', { name: 'A2: First-light upright dun 14, 1 left' })).toBeVisible();
});

test('on the way at the water every button is at least 56 px high and wide', async ({ page }) => {
  const small = () =>
    page.evaluate(() =>
      [...document.querySelectorAll('button, [role=button], [role=radio]')].flatMap((target) => {
        const { width, height, top, bottom } = target.getBoundingClientRect();
        return height > 0 && top >= 0 && bottom <= window.innerHeight && (height < 56 || width < 56)
          ? [`${target.getAttribute('aria-label') ?? target.textContent}: ${width}x${height}`]
          : [];
      }),
    );
  await page.goto('/');
  expect(await small()).toEqual([]);
  await page.getByRole('button', { name: /A natural in hand/ }).click();
  expect(await small()).toEqual([]);
  await page.getByRole('button', { name: /upright and cloudy/ }).click();
  expect(await small()).toEqual([]);
  await page.getByRole('link', { name: /^From the box/ }).click();
  await expect(page.getByRole('list', { name: 'What your box answers now' })).toBeVisible();
  expect(await small()).toEqual([]);
});

test('on the side of the left thumb the header, the key and the box turn their buttons', async ({ page }) => {
  await page.goto('/shelf/settings');
  await page.getByRole('radiogroup', { name: 'Thumb at the water' }).getByRole('radio', { name: 'Left' }).click();
  await written(page);
  await page.goto('/matches/match_demo-auldry-dun/water');
  const lost = (await page
    .getByRole('button', { name: /^Lost one/ })
    .first()
    .boundingBox())!;
  const undo = (await page.getByRole('button', { name: /^Light:/ }).boundingBox())!;
  expect(lost.x + lost.width).toBeLessThan(195);
  expect(undo.x + undo.width).toBeLessThan(195);
  await page.goto('/matches/match_demo-waiting/natural?key=open');
  const cannot = (await page.getByRole('button', { name: 'Cannot tell' }).boundingBox())!;
  expect(cannot.x + cannot.width).toBeLessThan(195);
});

test("a group of one's own from a file is in the guide, in the key and in the file again", async ({ page }) => {
  await page.goto('/shelf/naturals');
  const opening = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: 'Read a file' }).click();
  await (
    await opening
  ).setFiles({
    name: 'groups.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(
      'name,stage,months,least_mm,usual_mm,most_mm,colours\r\nStaith speck,midge/pupa,5,2,2.5,3,mid-red\r\nWrong one,midge/egg,5,,,,\r\n',
    ),
  });
  const told = page.getByRole('group', { name: 'What it would do' });
  await expect(told.getByText('1 new:')).toBeVisible();
  await expect(told.getByText('Staith speck')).toBeVisible();
  await expect(page.getByText(/^Line 3: stage midge\/egg is not known/)).toBeVisible();
  await page.getByRole('button', { name: 'Take 1 group' }).click();
  await written(page);
  await page.reload();
  await page.getByRole('textbox', { name: 'Search' }).fill('staith speck');
  await expect(page.getByRole('link', { name: /Staith speck/ })).toBeVisible();
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Write yours to a file' }).click();
  const text = readFileSync(await (await download).path(), 'utf8');
  expect(text).toContain('staith-speck,midge,Staith speck');
  await page.getByRole('link', { name: /Staith speck/ }).click();
  await page.getByRole('textbox', { name: 'Most' }).fill('3.5');
  await written(page);
  await page.reload();
  await expect(page.getByRole('textbox', { name: 'Most' })).toHaveValue('3.5');
});
