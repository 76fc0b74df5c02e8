import { setSettings } from '@/records';
import { selectSettings, useAct, useApp } from '@/state';
import { selectOwned } from '@/state/answering';
import { useWords } from '@/features/shell';
import { Toggle } from '@/ui/primitives';

/** Only what is owned, everywhere hooks are offered. */
export function OnlyOwned() {
  const words = useWords();
  const act = useAct();
  const { onlyOwned } = useApp(selectSettings);
  const owned = useApp(selectOwned);
  if (Object.keys(owned).length === 0 && !onlyOwned) return null;
  return (
    <Toggle label={words('drawer.only-owned')} on={onlyOwned} onChange={(on) => act(setSettings, { onlyOwned: on })} />
  );
}
