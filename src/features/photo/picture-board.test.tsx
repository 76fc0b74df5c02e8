import { act, fireEvent, screen } from '@testing-library/react';
import { Circle } from 'react-native-svg';
import type { ImagePoint } from '@/core/photo/card';
import { openScreen } from '../__tests__/screen';
import { PictureBoard } from './picture-board';

/** A picture of 195 by 100 units: two screen pixels a unit on a phone of 390. */
const WORLD = { left: 10, top: 5, width: 195, height: 100 };
const HANDLES = [
  { id: 'n0', label: 'One end', at: [30, 30] as ImagePoint },
  { id: 'n1', label: 'Other end', at: [150, 60] as ImagePoint },
];

async function board({ onTap, handles = HANDLES }: { onTap?: jest.Mock; handles?: typeof HANDLES } = {}) {
  const onMove = jest.fn();
  const seen = { scale: 0 };
  const opened = await openScreen(
    <PictureBoard
      url="data:image/png;base64,AAAA"
      world={WORLD}
      label="A picture"
      handles={handles}
      onMove={onMove}
      onTap={onTap}
      step={0.5}
    >
      {(place, scale) => {
        seen.scale = scale;
        return <Circle cx={place([30, 30])[0]} cy={place([30, 30])[1]} r={2} />;
      }}
    </PictureBoard>,
    'clean',
  );
  const frame = screen.getByLabelText('A picture').parentElement!.parentElement!;
  frame.setPointerCapture = () => undefined;
  const point = async (
    kind: 'pointerDown' | 'pointerMove' | 'pointerUp' | 'pointerCancel',
    x: number,
    y: number,
    pointerId = 1,
  ) => act(async () => void fireEvent[kind](frame, { clientX: x, clientY: y, pointerId }));
  return { onMove, seen, point, frame, opened };
}
const loupes = (frame: HTMLElement) =>
  [...frame.children].filter((child) => (child as HTMLElement).style.borderTopLeftRadius === '66px');

test('the nearest handle is dragged, says where it is on the way and where it was let go', async () => {
  const { onMove, point } = await board();
  await point('pointerDown', 44, 54);
  await point('pointerMove', 64, 54);
  await point('pointerUp', 64, 74);
  const [first, last] = [onMove.mock.calls[0]!, onMove.mock.calls[1]!];
  expect([first[0], first[2], last[2]]).toEqual(['n0', false, true]);
  // The finger took it 4 px beside its middle, and it keeps that distance.
  expect(first[1]).toEqual([40, 30]);
  expect(last[1]).toEqual([40, 40]);
});

test('a magnifier stands on the other side while the finger is down, and goes with it', async () => {
  const { point, frame } = await board();
  expect(loupes(frame)).toHaveLength(0);
  await point('pointerDown', 40, 50);
  expect((loupes(frame)[0] as HTMLElement).style.right).toBe('6px');
  await point('pointerUp', 40, 50);
  expect(loupes(frame)).toHaveLength(0);
  await point('pointerDown', 280, 110);
  expect((loupes(frame)[0] as HTMLElement).style.left).toBe('6px');
  await point('pointerCancel', 280, 110);
  expect(loupes(frame)).toHaveLength(0);
});

test('arrow keys move the handle that has the focus, by more with Shift', async () => {
  const { onMove } = await board();
  fireEvent.keyDown(screen.getByLabelText('Other end'), { key: 'ArrowLeft' });
  fireEvent.keyDown(screen.getByLabelText('Other end'), { key: 'ArrowDown', shiftKey: true });
  fireEvent.keyDown(screen.getByLabelText('Other end'), { key: 'a' });
  expect(onMove.mock.calls).toEqual([
    ['n1', [149.5, 60], true],
    ['n1', [150, 62.5], true],
  ]);
});

test('where taps are asked for, a tap gives its place and how fine the screen is', async () => {
  const onTap = jest.fn();
  const { point } = await board({ onTap, handles: [] });
  await point('pointerDown', 100, 60);
  await point('pointerUp', 100, 60);
  expect(onTap).toHaveBeenCalledWith([60, 35], 0.5);
  // Let go beside the picture it is no tap.
  await point('pointerDown', 100, 60);
  await point('pointerUp', 100, 900);
  expect(onTap).toHaveBeenCalledTimes(1);
});

test('closer by a button, by two fingers and by Ctrl with the wheel; the whole picture by one tap', async () => {
  const { seen, point, frame } = await board();
  expect(seen.scale).toBeCloseTo(2, 6);
  fireEvent.click(screen.getByLabelText('Closer'));
  expect(seen.scale).toBeCloseTo(3.2, 6);
  fireEvent.click(screen.getByText('The whole picture'));
  expect(seen.scale).toBeCloseTo(2, 6);
  await point('pointerDown', 200, 100, 1);
  await point('pointerDown', 240, 100, 2);
  await point('pointerMove', 280, 100, 2);
  expect(seen.scale).toBeCloseTo(4, 6);
  await point('pointerUp', 200, 100, 1);
  await point('pointerUp', 280, 100, 2);
  await act(async () => void fireEvent.wheel(frame, { deltaY: -1, ctrlKey: true }));
  expect(seen.scale).toBeCloseTo(4.8, 6);
  await act(async () => void fireEvent.wheel(frame, { deltaY: -1 }));
  expect(seen.scale).toBeCloseTo(4.8, 6);
  expect(screen.getByLabelText('Farther')).not.toBeDisabled();
});

test('a drag beside every handle moves the picture, and never beyond its rim', async () => {
  const { onMove, point, frame } = await board();
  fireEvent.click(screen.getByLabelText('Closer'));
  const place = () => Number(frame.querySelector('circle')!.getAttribute('cx'));
  const before = place();
  await point('pointerDown', 200, 20);
  await point('pointerMove', 180, 20);
  expect(place()).toBeCloseTo(before - 20, 4);
  await point('pointerMove', 2000, 20);
  await point('pointerUp', 2000, 20);
  expect(place()).toBeCloseTo(20 * 3.2, 4);
  expect(onMove).not.toHaveBeenCalled();
});
