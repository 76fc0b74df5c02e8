import { act, render, type RenderResult } from '@testing-library/react';
import type { ReactElement } from 'react';
import { Provider } from 'react-redux';
import { createStore, openStore, type Store } from '@/state';
import { SpeechProvider } from '@/features/shell';
import { memoryPorts } from '@/state/__tests__/ports';
import { went } from './router';

/** The first demo match and its dressing, hook and natural. */
export const DUN = 'match_demo-auldry-dun';

/** Longer than the layout that the stand-in of ResizeObserver reports. */
const LAYOUT_MS = 30;

export interface Opened extends RenderResult {
  store: Store;
}

/** Opens a screen on a store of its own, with the demo valley or clean. */
export async function openScreen(screen: ReactElement, start: 'demo' | 'clean' = 'demo'): Promise<Opened> {
  went.to.length = 0;
  const store = createStore(memoryPorts());
  await openStore(store, { start, clock: '2033-05-24T04:50' });
  const shown = render(
    <Provider store={store}>
      <SpeechProvider>{screen}</SpeechProvider>
    </Provider>,
  );
  await act(async () => new Promise((laidOut) => setTimeout(laidOut, LAYOUT_MS)));
  return Object.assign(shown, { store });
}
