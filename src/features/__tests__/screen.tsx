import { act, fireEvent, render, screen, waitFor, within, type RenderResult } from '@testing-library/react';
import type { ReactElement } from 'react';
import { Provider } from 'react-redux';
import { createStore, openStore, type Store } from '@/state';
import { SpeechProvider } from '@/features/shell';
import type { createI18n } from '@/speech';
import { memoryPorts } from '@/state/__tests__/ports';
import { went } from './router';

/** The first demo match and its dressing, hook and natural. */
export const DUN = 'match_demo-auldry-dun';

/** Layout is reported one turn of the timers at a time, and what it draws is laid out in turn. Turns are counted, not timed: a busy machine must not end them early. */
const LAYOUT_TURNS = 8;
const TURN_MS = 2;

/** Until what is shown has been laid out, and what came of that as well. */
export async function laidOut(): Promise<void> {
  for (let turn = 0; turn < LAYOUT_TURNS; turn++)
    await act(async () => new Promise((done) => setTimeout(done, TURN_MS)));
}

/** Opens what is a line until it is opened, by its title. */
export function unfold(...titles: string[]): void {
  for (const title of titles) {
    const line = screen.getByRole('button', { name: new RegExp(`^${title}(:|$)`) });
    if (line.getAttribute('aria-expanded') === 'false') fireEvent.click(line);
  }
}

/** Takes one of several by the words it is called, whatever control offers them. */
export function choose(label: string, choice: string | RegExp): void {
  const control = screen.getByLabelText(label);
  if (control.tagName !== 'SELECT') return void fireEvent.click(within(control).getByRole('radio', { name: choice }));
  const { value } = within(control).getByRole<HTMLOptionElement>('option', { name: choice });
  fireEvent.change(control, { target: { value } });
}

export interface Opened extends RenderResult {
  store: Store;
}

/** Opens a screen on a store of its own, with the demo valley or clean, or on one that is there. */
export async function openScreen(
  shownScreen: ReactElement,
  start: 'demo' | 'clean' | Store = 'demo',
  i18n?: ReturnType<typeof createI18n>,
): Promise<Opened> {
  went.to.length = 0;
  const store = typeof start === 'string' ? createStore(memoryPorts()) : start;
  if (typeof start === 'string') await openStore(store, { start, clock: '2033-05-24T04:50' });
  const shown = render(
    <Provider store={store}>
      <SpeechProvider {...(i18n ? { i18n } : {})}>{shownScreen}</SpeechProvider>
    </Provider>,
  );
  await laidOut();
  return Object.assign(shown, { store });
}

/** Presses a button once it may be pressed: what a file would do is worked out and drawn first. */
export async function pressReady(name: string | RegExp): Promise<void> {
  await waitFor(() => expect(screen.getByRole('button', { name })).not.toHaveAttribute('aria-disabled', 'true'));
  await act(async () => void fireEvent.click(screen.getByRole('button', { name })));
}
