import { act, render, screen } from '@testing-library/react';
import { InView } from './in-view';

let seen: (entries: { isIntersecting: boolean }[]) => void = () => undefined;
let ended = 0;

class Watch {
  constructor(callback: typeof seen) {
    seen = callback;
  }
  observe() {}
  disconnect() {
    ended++;
  }
}

const own = globalThis.IntersectionObserver;
beforeEach(() => {
  ended = 0;
  globalThis.IntersectionObserver = Watch as unknown as typeof IntersectionObserver;
});
afterAll(() => void (globalThis.IntersectionObserver = own));

test('holds its place and draws once it comes near; then it stays drawn', () => {
  const { container } = render(
    <InView width={80} height={40}>
      <p>{'fly'}</p>
    </InView>,
  );
  expect(screen.queryByText('fly')).toBeNull();
  expect(container.firstElementChild).toHaveStyle({ width: '80px', height: '40px' });
  act(() => seen([{ isIntersecting: false }]));
  expect(screen.queryByText('fly')).toBeNull();
  act(() => seen([{ isIntersecting: true }]));
  expect(screen.getByText('fly')).toBeInTheDocument();
  expect(ended).toBeGreaterThan(0);
});

test('where a browser cannot watch it draws at once', () => {
  globalThis.IntersectionObserver = undefined as unknown as typeof IntersectionObserver;
  render(
    <InView width={80} height={40}>
      <p>{'fly'}</p>
    </InView>,
  );
  expect(screen.getByText('fly')).toBeInTheDocument();
});
