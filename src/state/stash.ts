import { createSelector } from '@reduxjs/toolkit';
import { idsHeld, withHeld, type Held, type Material, type Named } from '@/core/materials';
import { heldIn } from '@/records';
import { selectShipped } from './dressings';
import { selectMaterials } from './own-materials';
import type { State } from './store';

/** Every material and shade that can be named. */
export const selectNamed = createSelector([selectMaterials, selectShipped], (materials, { shades }): Named => ({
  materials,
  shades,
}));

/** What of the stash is there, in its shades; null until a stash has been begun. */
export const selectHeld = createSelector(
  [(state: State) => state.records.entities.stash, selectNamed],
  (stash, named): readonly Held[] | null => heldIn(stash, named),
);

/** Ids of what is there; null until a stash has been begun. */
export const selectStash = createSelector([selectHeld], (held) => held && idsHeld(held));

/** Materials a dressing may be made of: all that are known, those of the stash in the shades that are had. */
export const selectWorkable = createSelector([selectMaterials, selectHeld], (materials, held): readonly Material[] =>
  held ? withHeld(materials, held) : materials,
);
