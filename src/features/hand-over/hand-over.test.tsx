import { webcrypto } from 'node:crypto';
import { act, fireEvent, screen, waitFor } from '@testing-library/react';
import { matchSchema, sampleSchema } from '@/records';
import { handOverOf, linkOf, newHandOver, seal, unseal } from '@/records/hand-over';
import type { Store } from '@/state';
import { change } from '@/state/__tests__/change';
import { openScreen, pressReady } from '../__tests__/screen';
import { HandOverScreen } from './screens';

const WHEN = '2033-05-24T04:50';
const copied: string[] = [];
const saved: string[] = [];
jest.mock('@/features/files', () => ({
  copyText: (text: string) => Promise.resolve(copied.push(text) > 0),
  saveFile: (name: string) => void saved.push(name),
}));
jest.mock('@/workers', () => jest.requireActual<object>('../__tests__/backup-jobs'));

/** The server: what lies in its slots, and what it answers when it is not itself. */
const slots = new Map<string, Uint8Array<ArrayBuffer>>();
const server: { answers: ((slot: string, send: boolean) => { status: number; fault: string } | null) | null } = {
  answers: null,
};
function answer(status: number, body: Uint8Array<ArrayBuffer> | { fault: string } | object) {
  const bytes = body instanceof Uint8Array ? body : null;
  return {
    status,
    headers: { get: () => (bytes ? 'application/octet-stream' : 'application/json') },
    arrayBuffer: async () => bytes!.slice().buffer,
    json: async () => body,
  };
}

beforeAll(() => {
  Object.defineProperty(globalThis, 'crypto', { value: webcrypto, configurable: true });
  Object.assign(globalThis, {
    fetch: async (address: string, how?: { body: Uint8Array<ArrayBuffer> }) => {
      const slot = address.split('/').at(-1)!;
      const other = server.answers?.(slot, how !== undefined);
      if (other) return answer(other.status, { fault: other.fault });
      if (how) {
        slots.set(slot, new Uint8Array(how.body));
        return answer(201, { waits_s: 600 });
      }
      const there = slots.get(slot);
      slots.delete(slot);
      return there ? answer(200, there) : answer(404, { fault: 'none', waits_s: 600 });
    },
  });
});
beforeEach(() => {
  slots.clear();
  server.answers = null;
  window.location.hash = '';
});

async function season(store: Store): Promise<void> {
  await act(
    async () =>
      void store.dispatch(
        change('season', (draft) => {
          draft.sample.s = sampleSchema.cast({ when: WHEN, place: 'Fenbeck' });
          draft.match.m = matchSchema.cast({
            title: 'Dawn',
            opened: WHEN,
            sampleId: 's',
            answers: [{ id: 'a', stage: null }],
            leading: 'a',
          });
        }),
      ),
  );
}
const take = (name: string) => act(async () => void fireEvent.click(screen.getByRole('button', { name })));

test('a code is shown and its link is copied; opened by it, what is sent lies sealed in its slot, and what was sent is remembered', async () => {
  const bench = await openScreen(<HandOverScreen />, 'clean');
  await take('Copy the link');
  const link = copied.at(-1)!;
  expect(screen.getByRole('img', { name: 'Code for the other device' })).toBeInTheDocument();
  bench.unmount();
  window.location.hash = new URL(link).hash;
  const { store } = await openScreen(<HandOverScreen />, 'clean');
  expect(window.location.hash).toBe('');
  expect(screen.getByText('There is nothing of your own to send in that.')).toBeInTheDocument();
  await season(store);
  expect(screen.getByText('1 sample, 1 match')).toBeInTheDocument();
  await take('Seal and send');
  expect(await screen.findByText(/^Sent, .* 10 minutes to fetch it\.$/)).toBeInTheDocument();
  expect([...slots.keys()]).toEqual([handOverOf(new URL(link).hash)!.slot]);
  expect(store.getState().records.entities.device.this!.handedOver).not.toBeNull();
});

test('what was sealed for another code stays shut; what comes for the new one is told of before it is taken, and taken it is joined', async () => {
  const to = newHandOver();
  window.location.hash = new URL(linkOf('https://aubade.example', to)).hash;
  const from = await openScreen(<HandOverScreen />, 'clean');
  await season(from.store);
  await take('Seal and send');
  await screen.findByText(/^Sent, /);
  const sealed = slots.get(to.slot)!;
  from.unmount();
  // The bundle of the first code, once, in the slot of the code that is shown.
  server.answers = (slot, send) => {
    if (!send) slots.set(slot, sealed);
    server.answers = null;
    return null;
  };
  const bench = await openScreen(<HandOverScreen />, 'clean');
  expect(await screen.findByText(/^What came does not open with this code/)).toBeInTheDocument();
  await take('Show a new code');
  expect(screen.getByRole('img', { name: 'Code for the other device' })).toBeInTheDocument();
  await take('Copy the link');
  const now = handOverOf(new URL(copied.at(-1)!).hash)!;
  const opened = await unseal(to, sealed);
  if (!opened.ok) throw new Error(opened.why);
  slots.set(now.slot, await seal(now, opened.bytes));
  expect(await screen.findByText('2 new:', {}, { timeout: 10_000 })).toBeInTheDocument();
  expect(bench.store.getState().records.entities.match).toEqual({});
  await pressReady('Take it in');
  expect(await screen.findByText(/^Taken in and joined/)).toBeInTheDocument();
  expect(bench.store.getState().records.entities.match.m!.title).toBe('Dawn');
});

test.each([
  [409, 'used', /^This code was used already/],
  [413, 'large', /^It is larger/],
  [507, 'full', /^The server has no room/],
  [429, 'too-often', /^Too often/],
  [500, 'failed', /^No server carries it here/],
])('refused with %i, the sender says why and what to do', async (status, fault, said) => {
  window.location.hash = new URL(linkOf('https://aubade.example', newHandOver())).hash;
  server.answers = () => ({ status, fault });
  const { store } = await openScreen(<HandOverScreen />, 'clean');
  await season(store);
  await take('Seal and send');
  expect(await screen.findByText(said)).toBeInTheDocument();
  expect(store.getState().records.entities.device.this!.handedOver).toBeNull();
  await take('As a file');
  await waitFor(() => expect(saved.at(-1)).toBe('aubade-hand-over-2033-05-24.zip'));
});

test('a link that is none is said so beside its field', async () => {
  await openScreen(<HandOverScreen />, 'clean');
  const field = screen.getByLabelText('Link of the other device');
  fireEvent.focus(field);
  fireEvent.change(field, { target: { value: 'https://aubade.example/' } });
  expect(screen.getByText('That is no link of a hand-over.')).toBeInTheDocument();
  fireEvent.change(field, { target: { value: linkOf('https://aubade.example', newHandOver()) } });
  expect(screen.queryByText('That is no link of a hand-over.')).not.toBeInTheDocument();
  expect(screen.getByRole('button', { name: 'Seal and send' })).toBeInTheDocument();
});

test('under the red lamp the white code is shown when it is asked for', async () => {
  const { store } = await openScreen(<HandOverScreen />, 'clean');
  await act(async () => void store.dispatch(change('light', (draft) => void (draft.device.this!.theme = 'red-lamp'))));
  expect(screen.queryByRole('img', { name: 'Code for the other device' })).not.toBeInTheDocument();
  await take('Show the code, white and bright');
  expect(screen.getByRole('img', { name: 'Code for the other device' })).toBeInTheDocument();
});

test('a code lasts as long as the server keeps what is sent to it, as it says', async () => {
  const { store } = await openScreen(<HandOverScreen />, 'clean');
  const began = store.ports.now();
  const asked = jest.fn(() => null);
  server.answers = asked;
  store.ports.now = () => began + 10 * 60_000;
  await waitFor(() => expect(asked.mock.calls.length).toBeGreaterThan(1), { timeout: 10_000 });
  expect(screen.getByText('Waiting for the other device …')).toBeInTheDocument();
  store.ports.now = () => began + 10 * 60_000 + 1;
  expect(await screen.findByText('The code has run out after 10 minutes.')).toBeInTheDocument();
  await take('Show a new code');
  expect(screen.getByText('Waiting for the other device …')).toBeInTheDocument();
});
