import { act, renderHook } from '@testing-library/react';
import { useFaces } from './use-faces';

const mockFonts = jest.fn<[boolean, Error | null], []>();
jest.mock('expo-font', () => ({ useFonts: () => mockFonts() }));

beforeEach(() => void jest.useFakeTimers());
afterEach(() => void jest.useRealTimers());

test.each([
  ['come', [true, null], true],
  ['are on their way', [false, null], false],
  ['failed', [false, new Error('12000ms timeout exceeded')], true],
] as const)('faces that %s', (_, [here, failed], stands) => {
  mockFonts.mockReturnValue([here, failed]);
  expect(renderHook(() => useFaces({})).result.current).toBe(stands);
});

test('faces that never answer are waited for three seconds', () => {
  mockFonts.mockReturnValue([false, null]);
  const { result } = renderHook(() => useFaces({}));
  act(() => void jest.advanceTimersByTime(2999));
  expect(result.current).toBe(false);
  act(() => void jest.advanceTimersByTime(1));
  expect(result.current).toBe(true);
});
