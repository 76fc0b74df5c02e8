import { act, fireEvent, screen, waitFor } from '@testing-library/react';
import { Field } from '@/ui/primitives';
import { openScreen } from '../__tests__/screen';
import { DemoCalliper, SAMPLE_PHOTOS, SamplePhotos } from './index';

test('the simulated calliper types into the field as a keyboard does, and ends with Enter', async () => {
  const typed: string[] = [];
  const entered = jest.fn();
  await openScreen(
    <>
      <Field label="Body 1" numeric value="" onType={(text) => typed.push(text)} onEnter={entered} />
      <DemoCalliper aroundMm={8.2} next={() => 'Body 1'} />
    </>,
  );
  fireEvent.click(screen.getByText('Close the simulated calliper on the next one'));
  await waitFor(() => expect(entered).toHaveBeenCalledTimes(1));
  const last = typed[typed.length - 1]!;
  expect(last).toMatch(/^\d\.\d\d$/);
  expect(Math.abs(Number(last) - 8.2)).toBeLessThan(0.6);
  expect(typed).toEqual([1, 2, 3, 4].map((end) => last.slice(0, end)));
  expect(entered).toHaveBeenCalledTimes(1);
});

test('sample photographs are offered by name, and one that is not there says so', async () => {
  const chosen = jest.fn();
  const picture = new Blob(['x'], { type: 'image/jpeg' });
  const fetched = jest
    .fn()
    .mockResolvedValueOnce({ ok: false, status: 404 })
    .mockResolvedValueOnce({ ok: true, blob: async () => picture });
  (globalThis as { fetch: unknown }).fetch = fetched;
  await openScreen(<SamplePhotos onChoose={chosen} />);
  fireEvent.click(screen.getByText('Sample photographs'));
  await act(async () => void fireEvent.click(screen.getByText('A curled larva')));
  expect(screen.getByText(/^The sample photographs are not here/)).toBeInTheDocument();
  await act(async () => void fireEvent.click(screen.getByText('A mayfly dun')));
  expect(fetched.mock.calls.map(([url]) => url as string)).toEqual(['/demo/larva.jpg', '/demo/dun.jpg']);
  expect(chosen).toHaveBeenCalledWith(picture);
  expect(SAMPLE_PHOTOS).toHaveLength(3);
});
