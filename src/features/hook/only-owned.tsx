import { change, selectOwned, selectSettings, SETTINGS_ID, settingsSchema, useApp, useAppDispatch } from '@/state';
import { useWords } from '@/features/shell';
import { Toggle } from '@/ui/primitives';

/** Only what is owned, everywhere hooks are offered. */
export function OnlyOwned() {
  const words = useWords();
  const dispatch = useAppDispatch();
  const { onlyOwned } = useApp(selectSettings);
  const owned = useApp(selectOwned);
  if (Object.keys(owned).length === 0 && !onlyOwned) return null;
  return (
    <Toggle label={words('drawer.only-owned')} on={onlyOwned} onChange={(on) => dispatch(change('only-owned', (draft) => {
      draft.settings[SETTINGS_ID] = { ...settingsSchema.cast({}), ...draft.settings[SETTINGS_ID], onlyOwned: on };
    }))} />
  );
}
