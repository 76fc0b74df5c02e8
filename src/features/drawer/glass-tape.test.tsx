import { fireEvent, screen } from '@testing-library/react';
import { REFERENCE_HOOKS } from '@/catalogue';
import { openScreen } from '../__tests__/screen';
import { GlassTape, type GlassReadings } from './glass-tape';

const hook = REFERENCE_HOOKS.find((item) => item.id === 'reference:standard-dry:14')!;
const PX = 10;
const handle = (name: string) => screen.getByRole('slider', { name });
const now = (name: string) => Number(handle(name).getAttribute('aria-valuenow'));

async function open(more: { times?: number; left?: boolean } = {}) {
  const kept: GlassReadings[] = [];
  await openScreen(
    <GlassTape
      hook={hook}
      pxPerMm={PX}
      times={more.times ?? 0}
      left={more.left ?? false}
      onKeep={(readings) => kept.push(readings)}
    />,
  );
  return kept;
}

/** Drags a handle by so many pixels. */
function drag(name: string, by: { x?: number; y?: number }): void {
  fireEvent.pointerDown(handle(name), { clientX: 100, clientY: 100, pointerId: 1 });
  fireEvent.pointerMove(handle(name), { clientX: 100 + (by.x ?? 0), clientY: 100 + (by.y ?? 0), pointerId: 1 });
  fireEvent.pointerUp(handle(name), { pointerId: 1 });
}

test('opens at what the hook is taken for', async () => {
  await open();
  expect(now('Start of the bend')).toBeCloseTo(7, 1);
  expect(now('Point')).toBeCloseTo(4.3, 1);
});

test('each handle is dragged by its own millimetres: away from the eye, and down', async () => {
  await open();
  drag('Start of the bend', { x: -12 });
  drag('Point', { y: 5 });
  expect(now('Start of the bend')).toBeCloseTo(8.2, 1);
  expect(now('Point')).toBeCloseTo(4.8, 1);
});

test('for the left hand it is mirrored: away from the eye is to the right', async () => {
  await open({ left: true });
  drag('Start of the bend', { x: 12 });
  expect(now('Start of the bend')).toBeCloseTo(8.2, 1);
});

test('arrows and buttons move the handle that is held, and nothing goes below a millimetre', async () => {
  await open();
  fireEvent.keyDown(handle('Point'), { key: 'ArrowDown' });
  expect(now('Point')).toBeCloseTo(4.2, 1);
  fireEvent.click(screen.getByLabelText('1.0 mm less, Shank'));
  expect(now('Start of the bend')).toBeCloseTo(6, 1);
  for (let press = 0; press < 12; press++) fireEvent.click(screen.getByLabelText('1.0 mm less, Shank'));
  expect(now('Start of the bend')).toBe(1);
});

test('it says what it reads beside the label, how sure the glass is, and hands on all three', async () => {
  const kept = await open();
  drag('Start of the bend', { x: -6 });
  expect(screen.getByText('Labelled 14, reads 13.0 long, 14.0 wide.')).toBeInTheDocument();
  expect(screen.getByText(/^± 0\.3 mm on the glass/)).toBeInTheDocument();
  fireEvent.click(screen.getByText('Keep this reading'));
  expect(kept).toEqual([
    { shankMm: expect.closeTo(7.6, 2), gapeMm: expect.closeTo(4.3, 2), overallMm: expect.any(Number) },
  ]);
});

test('the third time it is ± 0.2', async () => {
  await open({ times: 2 });
  expect(screen.getByText(/^± 0\.2 mm on the glass/)).toBeInTheDocument();
});
