import { command, type Entities } from '@/records';
import { act } from '../act';
import type { Thunk } from '../store';

/** Any change of records, for tests that need a state no command makes by itself. */
export function change(label: string, recipe: (draft: Entities) => void, field: string | null = null): Thunk<unknown> {
  return act(
    command<object, void>(label, (draft) => recipe(draft), { field: () => field }),
    {},
  );
}

/** The same for what only the device remembers. */
export function remember(recipe: (draft: Entities) => void): Thunk<unknown> {
  return act(
    command<object, void>('device', (draft) => recipe(draft), { here: true }),
    {},
  );
}
