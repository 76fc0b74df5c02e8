import sharp from 'sharp';
import { pictureFault } from './is-picture';

const picture = (format: 'jpeg' | 'png' | 'webp' | 'avif', width = 90) =>
  sharp({ create: { width, height: 60, channels: 3, background: '#7b6a3c' } })
    .toFormat(format)
    .toBuffer();

test.each(['jpeg', 'png', 'webp', 'avif'] as const)('a %s is a photograph, whatever it is called', async (format) =>
  expect(pictureFault(await picture(format))).toBeNull(),
);

test('what is no picture, or is cut off in its head, or could hold a script, is none', async () => {
  const svg = Buffer.from('<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"><script/></svg>');
  for (const bytes of [Buffer.from('a letter'), Buffer.alloc(0), svg, (await picture('jpeg')).subarray(0, 20)])
    expect(pictureFault(bytes)).toMatchObject({ code: 'not-image' });
});

test('one that says it is larger than any camera makes it is refused by its head alone; one as large as they get is not', async () => {
  const png = Buffer.from(await picture('png'));
  const sized = (side: number) => {
    const own = Buffer.from(png);
    own.writeUInt32BE(side, 16);
    own.writeUInt32BE(side, 20);
    return own;
  };
  expect(pictureFault(sized(60_000))).toMatchObject({ code: 'huge' });
  expect(pictureFault(sized(12_000))).toBeNull();
  expect(pictureFault(Buffer.concat([png, Buffer.alloc(60_000_000)]))).toMatchObject({ code: 'huge' });
});
