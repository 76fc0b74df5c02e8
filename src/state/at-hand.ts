import { createSelector } from '@reduxjs/toolkit';
import { selectHooksHad } from './hooks';
import { selectSettings } from './settings';
import { selectStash } from './stash';

/** What there is to tie with: materials, hooks and tools; each null until anything was said of it. */
export const selectAtHand = createSelector(
  [selectStash, selectHooksHad, selectSettings],
  (stash, hooks, { tools }) => ({
    stash,
    hooks,
    tools: tools ? new Set(tools) : null,
  }),
);
