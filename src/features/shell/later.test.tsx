import { act, fireEvent, screen } from '@testing-library/react';
import { Say } from '@/ui/primitives';
import { laidOut, openScreen } from '../__tests__/screen';
import { useLayoutEffect } from 'react';
import { fetchParts, later } from './later';
import { AfterHead } from './quiet-bar';
import { sharedPartFirst } from './shared-part';

const Screen = ({ name }: { name: string }) => <Say>{`Here is ${name}`}</Say>;

it('stands under a quiet bar until its code has come, and is fetched once', async () => {
  let come = (_: typeof Screen) => {};
  const load = jest.fn(() => new Promise<typeof Screen>((done) => (come = done)));
  const Later = later(load);
  await openScreen(
    <>
      <Later name="one" />
      <Later name="another" />
    </>,
  );
  expect(screen.getAllByRole('progressbar', { name: 'Opening' })).toHaveLength(2);
  await act(async () => come(Screen));
  expect(screen.getByText('Here is one')).toBeTruthy();
  expect(screen.getByText('Here is another')).toBeTruthy();
  expect(load).toHaveBeenCalledTimes(1);
});

it('says where it could not be fetched, and tries again when asked', async () => {
  const load = jest.fn().mockRejectedValueOnce(new Error('no network')).mockResolvedValue(Screen);
  const Later = later<{ name: string }>(load);
  await openScreen(<Later name="it" />);
  expect(screen.getByRole('heading', { level: 1 }).textContent).toBe('Not on this device yet');
  fireEvent.click(screen.getByRole('button', { name: 'Try again' }));
  await laidOut();
  expect(screen.getByText('Here is it')).toBeTruthy();
});

it('leaves the heading of a page to the page where it is a part of one', async () => {
  const Later = later<{ name: string }>(jest.fn().mockRejectedValue(new Error('no network')), 'part');
  await openScreen(<Later name="it" />);
  expect(screen.queryByRole('heading')).toBeNull();
  expect(screen.getByRole('alert').textContent).toMatch(/could not be fetched/);
});

it('fetches beforehand what was not opened yet, one missing part or not, and shows it at once then', async () => {
  const missing = jest.fn().mockRejectedValue(new Error('no network'));
  later(missing);
  const Later = later<{ name: string }>(async () => Screen);
  await fetchParts();
  expect(missing).toHaveBeenCalled();
  const { container } = await openScreen(<Later name="at once" />);
  expect(container.textContent).toBe('Here is at once');
});

it('has what the parts share fetched before any of them', async () => {
  document.head.innerHTML = '<meta name="shared-part" content="/shared.js" />';
  const asked: string[] = [];
  const scope = { __loadBundleAsync: async (address: string) => void asked.push(address) };
  sharedPartFirst(scope);
  await scope.__loadBundleAsync('/part.js');
  expect(asked).toEqual(['/shared.js', '/part.js']);
  document.head.innerHTML = '';
  const plain = { __loadBundleAsync: async (address: string) => void asked.push(address) };
  sharedPartFirst(plain);
  await plain.__loadBundleAsync('/other.js');
  expect(asked.slice(2)).toEqual(['/other.js']);
});

it('draws the head a frame before the rest', async () => {
  const atHead: string[] = [];
  function Head() {
    useLayoutEffect(() => void atHead.push(document.body.textContent), []);
    return <Say>The head</Say>;
  }
  await openScreen(
    <>
      <Head />
      <AfterHead>
        <Say>The rest</Say>
      </AfterHead>
    </>,
  );
  expect(atHead).toEqual(['The head']);
  expect(screen.getByText('The rest')).toBeTruthy();
  expect(screen.queryByRole('progressbar')).toBeNull();
});
