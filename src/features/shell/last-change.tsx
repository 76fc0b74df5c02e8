import X from 'lucide-react-native/icons/x';
import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { undone, useApp, useAppDispatch } from '@/state';
import { Button, IconButton, Say } from '@/ui/primitives';
import { useWords } from './speech-context';

/** Changes that take something away or move it out of sight: each is said where it was done, with the way back. */
const SAID: ReadonlySet<string> = new Set([
  'delete-match',
  'delete-matches',
  'delete-box',
  'delete-model',
  'delete-size',
  'delete-packet',
  'delete-dressing',
  'delete-group',
  'delete-batch',
  'delete-outing',
  'end-outing',
  'end-batch',
  'batch-spoiled',
  'batch-dropped',
  'take-out',
  'put-in',
  'move-lost',
  'move-given',
  'let-go',
  'untape',
  'leave-demo',
  'result-took',
  'result-refused',
]);
/** So long it stays; the header's Undo stays on. */
const STAYS_MS = 12_000;

/** What was just deleted, lost or put in, with its way back; it goes with the next change or after a while, and not while the focus is in it. */
export function LastChange() {
  const words = useWords();
  const dispatch = useAppDispatch();
  const last = useApp((state) => state.records.past.at(-1));
  // What was done before this page was opened is said no more.
  const [known, setKnown] = useState(last);
  const [held, setHeld] = useState(false);
  const said = last && last !== known && SAID.has(last.label) ? last : null;
  useEffect(() => {
    if (!said || held) return;
    const later = setTimeout(() => setKnown(said), STAYS_MS);
    return () => clearTimeout(later);
  }, [said, held]);
  return (
    <View aria-live="polite" className="absolute bottom-2 left-3 right-3 items-center" style={THROUGH}>
      {said ? (
        <View
          onFocus={() => setHeld(true)}
          onBlur={() => setHeld(false)}
          className="w-full max-w-[560px] flex-row items-center gap-2 rounded-control border border-river bg-plane pl-4"
        >
          <Say weight="medium" className="min-w-0 flex-1 py-2">
            {words(`last-change.${said.label}`)}
          </Say>
          <Button kind="quiet" tall label={words('tied.take-back')} onPress={() => dispatch(undone())} />
          <IconButton tall icon={X} tone="soft" label={words('keeping.close')} onPress={() => setKnown(said)} />
        </View>
      ) : null}
    </View>
  );
}

/** Only what is shown takes a tap, not the room around it. */
const THROUGH = { pointerEvents: 'box-none' } as const;
