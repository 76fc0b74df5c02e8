import { act, fireEvent, screen } from '@testing-library/react';
import { MatchScreen } from '@/features/match-frame/screens';
import { DEVICE_ID, deviceSchema, matchSchema, sampleSchema } from '@/records';
import { selectDevice, type Store } from '@/state';
import { openScreen, DUN } from '../__tests__/screen';
import { ScreenSizeSetting, screenKey } from './index';
import { change, remember } from '@/state/__tests__/change';

const known = (store: Store, more: Partial<{ key: string; pxPerMm: number }> = {}) =>
  act(
    async () =>
      void store.dispatch(
        remember((draft) => {
          draft.device[DEVICE_ID] = { ...deviceSchema.cast({}), screen: { key: screenKey(), pxPerMm: 5, ...more } };
        }),
      ),
  );
async function natural() {
  const opened = await openScreen(<MatchScreen id="m" step="natural" />, 'clean');
  await act(
    async () =>
      void opened.store.dispatch(
        change('new-match', (draft) => {
          draft.sample.s = sampleSchema.cast({ when: '2033-05-24T04:50' });
          draft.match.m = matchSchema.cast({
            opened: '2033-05-24T04:50',
            sampleId: 's',
            answers: [{ id: 'a1', stage: 'mayfly/dun' }],
            leading: 'a1',
          });
        }),
      ),
  );
  return opened.store;
}
const rough = (store: Store) => store.getState().records.entities.sample.s!.rough;
/** The outline is there as soon as its room is measured, however busy the machine is. */
const laidOut = () => screen.findByLabelText('Length of the outline', {}, { timeout: 10_000 });

describe('the size of a screen', () => {
  test('a card of 53.98 mm gives the pixels of a millimetre, kept for this screen', async () => {
    const { store } = await openScreen(<ScreenSizeSetting />, 'clean');
    expect(screen.getByText('Not measured yet.')).toBeInTheDocument();
    for (let i = 0; i < 3; i++) fireEvent.click(screen.getByLabelText('10 pixels wider'));
    fireEvent.click(screen.getByLabelText('1 pixel narrower'));
    fireEvent.click(screen.getByText('It matches'));
    const px = Math.round((53.98 * 96) / 25.4) + 29;
    expect(selectDevice(store.getState()).screen).toEqual({ key: screenKey(), pxPerMm: px / 53.98 });
    expect(screen.getByText(/^Measured for this screen/)).toBeInTheDocument();
    expect(store.getState().records.past).toEqual([]);
    fireEvent.click(screen.getByText('Forget it'));
    expect(selectDevice(store.getState()).screen).toBeNull();
  });
  test('another screen asks again', async () => {
    const { store } = await openScreen(<ScreenSizeSetting />, 'clean');
    await known(store, { key: '1x1@1' });
    expect(screen.getByText(/^Measured on another screen/)).toBeInTheDocument();
  });
});

describe('a length without a tool', () => {
  test('before the screen is measured it says so and offers to', async () => {
    await natural();
    expect(screen.getByText('Not measured yet.')).toBeInTheDocument();
    expect(screen.getByText('Measure this screen first').closest('a')).toHaveAttribute('href', '/shelf/settings');
    expect(screen.queryByText('Lay it on the screen')).toBeNull();
  });
  test('the outline is stretched at true size and gives its length with its ±', async () => {
    const store = await natural();
    await known(store);
    fireEvent.click(screen.getByText('Lay it on the screen'));
    await laidOut();
    const handle = screen.getByLabelText('Length of the outline');
    expect(handle).toHaveAttribute('aria-valuetext', '9.0 mm');
    expect(handle.style.left).toBe('93px');
    fireEvent.click(screen.getByLabelText('1.0 mm longer'));
    fireEvent.click(screen.getByLabelText('0.2 mm longer'));
    expect(screen.getByLabelText('Length of the outline').style.left).toBe('99px');
    fireEvent.click(screen.getByText('Take this length'));
    expect(rough(store)).toEqual({ mm: 10.2, halfMm: 1, how: 'stretch' });
    expect(screen.getByText(/^about 10\.2 mm ± 1\.0/)).toBeInTheDocument();
  });
  test('it never stretches beyond the glass', async () => {
    const store = await natural();
    await known(store, { pxPerMm: 30 });
    fireEvent.click(screen.getByText('Lay it on the screen'));
    await laidOut();
    for (let i = 0; i < 10; i++) fireEvent.click(screen.getByLabelText('1.0 mm longer'));
    expect(Number(screen.getByLabelText('Length of the outline').getAttribute('aria-valuenow'))).toBeLessThanOrEqual(
      (390 - 56 - 48) / 30 + 0.05,
    );
  });
  test('counted in fingers, once the finger is known', async () => {
    const store = await natural();
    expect(screen.queryByText('one finger')).toBeNull();
    await act(async () => void store.dispatch(change('finger', (draft) => void (draft.settings.main!.fingerMm = 16))));
    fireEvent.click(screen.getByText('half a finger'));
    expect(rough(store)).toEqual({ mm: 8, halfMm: 1.6, how: 'fingers' });
    expect(screen.getByLabelText(/^Hook: Reference/)).toBeInTheDocument();
  });
});

test('the plate is drawn at actual size on a measured screen, and says why not on another', async () => {
  const { store } = await openScreen(<MatchScreen id={DUN} step="dressing" />);
  fireEvent.click(screen.getByText('Actual size'));
  expect(screen.getByText('Not measured yet.')).toBeInTheDocument();
  await known(store, { pxPerMm: 4 });
  const plate = screen.getByLabelText(/at one scale\.$/);
  const measure = [...plate.querySelectorAll('line')].find((line) => line.getAttribute('stroke-width') === '3')!;
  const mm = 24.4 / 3;
  expect(Math.abs(Number(measure.getAttribute('x2')) - Number(measure.getAttribute('x1')))).toBeCloseTo(4 * mm, 1);
});
