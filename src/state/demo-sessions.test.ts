import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { sessions } from '@/catalogue/demo-sessions.json';
import { cardForSession } from './session-cards';
import { createStore, openStore } from './store';
import { memoryPorts } from './__tests__/ports';

const FILE = 'src/catalogue/demo-cards.json';

test('the cards of the valley’s sessions are those that its catalogue and drawer make today', async () => {
  const store = createStore(memoryPorts());
  await openStore(store, { start: 'demo', clock: null });
  const state = store.getState();
  const wanted = [...new Set(sessions.flatMap(({ items }) => items.map(({ dressing }) => dressing)))];
  const cards = JSON.parse(JSON.stringify(Object.fromEntries(wanted.map((id) => [id, cardForSession(state, id)]))));
  // A change of a dressing is written anew with WRITE_GOLDEN=1.
  if (process.env.WRITE_GOLDEN) writeFileSync(FILE, `${JSON.stringify(cards)}\n`);
  expect(existsSync(FILE)).toBe(true);
  expect(JSON.parse(readFileSync(FILE, 'utf8'))).toEqual(cards);
});
