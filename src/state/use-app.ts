import { startTransition, useCallback, useDeferredValue, useEffect, useMemo, useState } from 'react';
import { useDispatch, useSelector } from 'react-redux';
import type { Command } from '@/records';
import { act } from './act';
import type { Dispatch, State } from './store';

export const useApp = useSelector.withTypes<State>();
export const useAppDispatch = useDispatch.withTypes<Dispatch>();

/** Runs commands: the one way a screen changes what is kept. Gives what the command gives; null when it was refused. */
export function useAct(): <I, R>(command: Command<I, R>, input: I) => R | null {
  const dispatch = useAppDispatch();
  return useCallback((command, input) => dispatch(act(command, input)), [dispatch]);
}

/**
 * The state as it is when there is time: what is typed is shown at once, and what is worked out of it follows in pieces that
 * hold no key up. `select` may be costly; it must remember what it worked out, for it is asked at every change.
 */
export function useLater<T>(select: (state: State) => T): T {
  const records = useApp((state) => state.records);
  const session = useApp((state) => state.session);
  const now = useMemo(() => ({ records, session }), [records, session]);
  return select(useDeferredValue(now));
}

/** Whether the first frame of a screen is painted: what only then is worked out holds no tap up. */
export function usePainted(): boolean {
  const [painted, setPainted] = useState(false);
  useEffect(() => {
    let after: ReturnType<typeof setTimeout>;
    // The frame that follows is painted before its timers.
    const frame = requestAnimationFrame(() => {
      after = setTimeout(() => startTransition(() => setPainted(true)));
    });
    return () => {
      cancelAnimationFrame(frame);
      clearTimeout(after);
    };
  }, []);
  return painted;
}

/** A value as it is once what came before it is on the screen: drawings and odds that an answer does not wait for. */
export function useAfterwards<T>(value: T): T {
  const [shown, setShown] = useState(value);
  useEffect(() => startTransition(() => setShown(() => value)), [value]);
  return shown;
}
