import { act, render, screen } from '@testing-library/react';
import { Text } from 'react-native';
import { useAwake } from './awake';
import { useBell } from './bell';
import { canSpeak, useReadAloud } from './read-aloud';

const own = window as unknown as Record<string, unknown>;
const shownTo = (state: DocumentVisibilityState) => {
  Object.defineProperty(document, 'visibilityState', { configurable: true, value: state });
  act(() => void document.dispatchEvent(new Event('visibilitychange')));
};

describe('the bell', () => {
  const rang = jest.fn();
  class FakeContext {
    currentTime = 0;
    createOscillator = () => ({
      frequency: {},
      connect: (to: unknown) => to,
      start: rang,
      stop: () => undefined,
    });
    createGain = () => ({
      gain: { setValueAtTime: () => undefined, exponentialRampToValueAtTime: () => undefined },
      connect: () => undefined,
    });
  }
  function Bell({ now, on = true, ends }: { now: number; on?: boolean; ends: ReadonlyMap<string, number> }) {
    useBell(ends, now, on);
    return null;
  }
  beforeEach(() => {
    rang.mockClear();
    own.AudioContext = FakeContext;
  });
  afterEach(() => void delete own.AudioContext);

  test('rings once as a wait ends, each wait for itself, and not where nobody wants it', () => {
    const ends = new Map([
      ['a', 1000],
      ['b', 5000],
    ]);
    const shown = render(<Bell now={0} ends={ends} />);
    shown.rerender(<Bell now={999} ends={ends} />);
    expect(rang).toHaveBeenCalledTimes(0);
    shown.rerender(<Bell now={1000} ends={ends} />);
    shown.rerender(<Bell now={2000} ends={ends} />);
    expect(rang).toHaveBeenCalledTimes(1);
    shown.rerender(<Bell now={5000} ends={ends} on={false} />);
    expect(rang).toHaveBeenCalledTimes(1);
  });
  test('what ended while the screen slept for long is not rung for, nor what had ended before', () => {
    const ends = new Map([['a', 1000]]);
    const shown = render(<Bell now={0} ends={ends} />);
    shown.rerender(<Bell now={3_600_000} ends={ends} />);
    render(<Bell now={2000} ends={ends} />);
    expect(rang).toHaveBeenCalledTimes(0);
  });
  test('a browser without sound stays still', () => {
    delete own.AudioContext;
    const ends = new Map([['a', 1000]]);
    const shown = render(<Bell now={0} ends={ends} />);
    expect(() => shown.rerender(<Bell now={1000} ends={ends} />)).not.toThrow();
  });
});

describe('the screen', () => {
  const lights = navigator as unknown as { wakeLock?: unknown };
  function Kept({ wanted }: { wanted: boolean }) {
    return <Text>{useAwake(wanted)}</Text>;
  }
  const lets = jest.fn(async () => undefined);
  const heard: (() => void)[] = [];
  const lock = { release: lets, addEventListener: (_: string, hear: () => void) => void heard.push(hear) };
  const asks = jest.fn(async () => lock);
  beforeEach(() => {
    lets.mockClear();
    asks.mockClear();
    heard.length = 0;
    lights.wakeLock = { request: asks };
    shownTo('visible');
  });
  afterEach(() => void delete lights.wakeLock);

  test('is kept awake while it is wanted, taken up again when the page is seen again, and let go', async () => {
    const shown = render(<Kept wanted />);
    await act(async () => undefined);
    expect(screen.getByText('on')).toBeInTheDocument();
    act(() => heard[0]!());
    expect(screen.getByText('off')).toBeInTheDocument();
    shownTo('hidden');
    expect(asks).toHaveBeenCalledTimes(1);
    shownTo('visible');
    await act(async () => undefined);
    expect(asks).toHaveBeenCalledTimes(2);
    expect(screen.getByText('on')).toBeInTheDocument();
    shown.unmount();
    expect(lets).toHaveBeenCalled();
  });
  test('may sleep where nobody wants it awake, where it is refused, and says where the browser cannot', async () => {
    render(<Kept wanted={false} />);
    expect(asks).not.toHaveBeenCalled();
    asks.mockRejectedValueOnce(new Error('battery'));
    const refused = render(<Kept wanted />);
    await act(async () => undefined);
    expect(refused.container.textContent).toBe('off');
    delete lights.wakeLock;
    expect(render(<Kept wanted />).container.textContent).toBe('none');
  });
});

describe('the voice', () => {
  const says = jest.fn();
  const stops = jest.fn();
  function Voice({ text, on }: { text: string; on: boolean }) {
    useReadAloud(text, on);
    return null;
  }
  afterEach(() => void delete own.speechSynthesis);

  test('reads a step as it comes, what was being said stops; off, and with nothing to say, it is still', () => {
    expect(canSpeak()).toBe(false);
    expect(() => render(<Voice text="bind" on />)).not.toThrow();
    own.speechSynthesis = { speak: says, cancel: stops };
    own.SpeechSynthesisUtterance = class {
      constructor(readonly text: string) {}
    };
    expect(canSpeak()).toBe(true);
    const shown = render(<Voice text="Bind the tail" on={false} />);
    expect(says).not.toHaveBeenCalled();
    shown.rerender(<Voice text="Bind the tail" on />);
    expect(says.mock.lastCall![0]).toMatchObject({ text: 'Bind the tail' });
    stops.mockClear();
    shown.rerender(<Voice text="Dub the abdomen" on />);
    expect(stops).toHaveBeenCalled();
    expect(says.mock.lastCall![0]).toMatchObject({ text: 'Dub the abdomen' });
    shown.rerender(<Voice text="" on />);
    expect(says).toHaveBeenCalledTimes(2);
  });
});
