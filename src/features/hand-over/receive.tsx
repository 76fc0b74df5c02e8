import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { useStore } from 'react-redux';
import type { Backup } from '@/records/backup';
import { linkOf, newHandOver, unseal, type HandOver } from '@/records/hand-over';
import { AS_IT_IS } from '@/records/sheets';
import type { Store } from '@/state';
import { restore, RestorePreview } from '@/features/backup/screens';
import { copyText } from '@/features/files';
import type { Undrawn } from '@/features/reading';
import { useRedLamp, useSpeech, useWords } from '@/features/shell';
import { Button, Say } from '@/ui/primitives';
import { run } from '@/workers';
import { QrCode } from './qr-code';
import { askSealed } from './relay';

const ASK_MS = 2_000;
const CODE_PX = 240;

type State =
  | { at: 'waits'; with: HandOver; copied: boolean }
  | { at: 'read'; file: Blob; backup: Backup; taking: boolean }
  | { at: 'said'; text: string; good: boolean };

/** Shows where something can be handed to, waits for it, and says what it would do before it is taken. */
export function Receive() {
  const words = useWords();
  const speech = useSpeech();
  const store = useStore() as unknown as Store;
  const [state, setState] = useState<State>(() => ({ at: 'waits', with: newHandOver(), copied: false }));
  // A code is read dark on white alone: under the red lamp it is shown when it is asked for.
  const red = useRedLamp();
  const [bright, setBright] = useState(false);
  const waiting = state.at === 'waits' ? state.with : null;
  useEffect(() => {
    if (!waiting) return;
    let here = true;
    const since = store.ports.now();
    const end = (text: string) => here && setState({ at: 'said', good: false, text });
    const open = async (sealed: Uint8Array<ArrayBuffer>) => {
      const opened = await unseal(waiting, sealed);
      if (!opened.ok) return end(words(`hand-over.${opened.why}`));
      const file = new Blob([opened.bytes]);
      const read = await run('file-read', { file, how: AS_IT_IS, catalogue: null });
      if (read.what !== 'backup') {
        const fault = read.what === 'refused' ? read.fault : { code: 'backup-other', params: {} };
        return end(words('data.file-refused', { why: speech.say(fault, 'fault') }));
      }
      if (here) setState({ at: 'read', file, backup: read.backup, taking: false });
    };
    const ask = async () => {
      const got = await askSealed(waiting.slot);
      if (!here) return;
      if (got === 'off') return end(words('hand-over.off'));
      if (got instanceof Uint8Array) return open(got);
      // A code that is older than the server keeps anything is of no use.
      if (got.waitsMs !== null && store.ports.now() - since > got.waitsMs)
        return end(words('hand-over.expired', { count: Math.round(got.waitsMs / 60_000) }));
      later = setTimeout(() => void ask(), ASK_MS);
    };
    let later = setTimeout(() => void ask(), 0);
    return () => {
      here = false;
      clearTimeout(later);
    };
  }, [waiting, store, words, speech]);
  if (state.at === 'waits') {
    const link = linkOf(window.location.origin, state.with);
    return (
      <View className="gap-3">
        <Say>{words('hand-over.show')}</Say>
        {red && !bright ? (
          <Button label={words('hand-over.bright')} onPress={() => setBright(true)} className="self-start" />
        ) : (
          <QrCode text={link} label={words('hand-over.code')} size={CODE_PX} />
        )}
        <View className="flex-row flex-wrap items-center gap-3">
          <Button
            label={words('hand-over.copy')}
            onPress={() => void copyText(link).then((copied) => setState({ ...state, copied }))}
          />
          {state.copied ? (
            <Say live size="small" tone="sedge">
              {words('hand-over.copied')}
            </Say>
          ) : null}
        </View>
        <Say live tone="soft">
          {words('hand-over.waiting')}
        </Say>
      </View>
    );
  }
  if (state.at === 'read') {
    const take = async (undrawn: readonly Undrawn[]) => {
      setState({ ...state, taking: true });
      try {
        await restore(store, state.file, state.backup, 'merge', undrawn);
        setState({ at: 'said', good: true, text: words('backup.taken-merge') });
      } catch {
        setState({ at: 'said', good: false, text: words('keeping.why.full') });
      }
    };
    return (
      <RestorePreview
        backup={state.backup}
        how="merge"
        taking={state.taking}
        onHow={() => undefined}
        onTake={(undrawn) => void take(undrawn)}
        onLeave={() => setState({ at: 'said', good: true, text: words('hand-over.left') })}
      />
    );
  }
  return (
    <View className="gap-3">
      <Say live tone={state.good ? 'sedge' : 'dawn'}>
        {state.text}
      </Say>
      <Button
        label={words('hand-over.again')}
        onPress={() => setState({ at: 'waits', with: newHandOver(), copied: false })}
        className="self-start"
      />
    </View>
  );
}
