import { act, screen } from '@testing-library/react';
import { PacketsScreen } from '@/features/drawer/screens';
import type { Entities } from '@/records';
import { change } from '@/state/__tests__/change';
import { openScreen } from '../__tests__/screen';
import { BoxesScreen, BoxScreen } from './screens';

const BOX = 'box_demo-valley';
const marks = () => screen.queryAllByText(/ · demo$/).length;

/** Opens a screen of the demo, counts the marks, makes one of its records the tier's own, and counts again. */
async function markedBeside(shown: React.ReactElement, own: (draft: Entities) => void): Promise<[number, number]> {
  const { store } = await openScreen(shown);
  const before = marks();
  await act(async () => void store.dispatch(change('box', own)));
  return [before, marks()];
}

test('boxes: the demo’s is marked once there is one of one’s own', async () => {
  expect(
    await markedBeside(<BoxesScreen />, (draft) => {
      draft.box.mine = { ...draft.box[BOX]!, name: 'Mine', demo: false };
    }),
  ).toEqual([0, 1]);
});

test('flies of a box: all but one’s own', async () => {
  const [before, after] = await markedBeside(<BoxScreen id={BOX} />, (draft) => {
    draft.fly['fly_demo-a2']!.demo = false;
  });
  expect(before).toBe(0);
  expect(after).toBeGreaterThan(3);
});

test('packets: all but one’s own', async () => {
  const [before, after] = await markedBeside(<PacketsScreen />, (draft) => {
    Object.values(draft.packet)[0]!.demo = false;
  });
  expect(before).toBe(0);
  expect(after).toBeGreaterThan(3);
});
