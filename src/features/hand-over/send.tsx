import { useMemo, useState } from 'react';
import { startOfDay } from 'date-fns/startOfDay';
import { View } from 'react-native';
import { useStore } from 'react-redux';
import { setDevice } from '@/records';
import { keysThatGo, seal, type Goes, type HandOver } from '@/records/hand-over';
import { act, localStamp, nowOf, selectDevice, useApp, type Store } from '@/state';
import { planHandOver } from '@/state/backup';
import { packPlan } from '@/features/backup/screens';
import { saveFile } from '@/features/files';
import { matchTitle } from '@/features/matches';
import { useSpeech, useWords } from '@/features/shell';
import { Button, Choose, Pick, Say } from '@/ui/primitives';
import { version } from '../../../package.json';
import { sendSealed } from './relay';

const since = (at: number): Goes => ({ what: 'since', at, stamp: localStamp(at) });

type What = 'today' | 'since' | 'everything' | 'match';
type State = { at: 'rest' } | { at: 'busy' } | { at: 'said'; text: string; good: boolean };

/** Chooses what goes to another device, seals it and sends it into the slot of its code; where no server carries it, as a file. */
export function Send({ to }: { to: HandOver | null }) {
  const words = useWords();
  const speech = useSpeech();
  const store = useStore() as unknown as Store;
  const entities = useApp((state) => state.records.entities);
  const { handedOver } = useApp(selectDevice);
  const [what, setWhat] = useState<What>('today');
  const [state, setState] = useState<State>({ at: 'rest' });
  const matches = useMemo(
    () =>
      Object.entries(entities.match)
        .sort(([, a], [, b]) => b.opened.localeCompare(a.opened))
        .map(([id, match]) => ({
          id,
          label: speech.beside([matchTitle(match, speech, words), speech.day(match.opened)]),
        })),
    [entities, speech, words],
  );
  const [matchId, setMatchId] = useState<string | null>(null);
  const chosen = matchId ?? matches[0]?.id ?? null;
  const goes: Goes =
    what === 'match'
      ? { what, matchId: chosen ?? '' }
      : what === 'today'
        ? since(startOfDay(store.ports.now()).getTime())
        : what === 'since'
          ? since(handedOver ?? 0)
          : { what };
  const keys = keysThatGo(entities, store.clocks, goes);
  const counted = [...new Set(keys.map((key) => key.slice(0, key.indexOf('/'))))]
    .filter((kind) => kind !== 'settings')
    .map((kind) => words(`data.kind.${kind}`, { count: keys.filter((key) => key.startsWith(`${kind}/`)).length }));
  // How the app is set goes along, and is nothing by itself.
  const any = counted.length > 0;
  const pack = async (): Promise<Blob | null> => {
    const plan = await planHandOver(store, goes, version);
    return plan && (await packPlan(store, plan)).file;
  };
  const note = () => store.dispatch(act(setDevice, { handedOver: store.ports.now() }));
  const send = async (into: HandOver) => {
    setState({ at: 'busy' });
    try {
      const file = await pack();
      if (!file) return setState({ at: 'said', good: false, text: words('hand-over.nothing') });
      const sealed = await seal(into, new Uint8Array(await file.arrayBuffer()));
      const sent = await sendSealed(into.slot, sealed);
      const size = speech.bytes(file.size);
      if ('refused' in sent)
        return setState({ at: 'said', good: false, text: words(`hand-over.send-${sent.refused}`, { size }) });
      note();
      setState({ at: 'said', good: true, text: words('hand-over.send-sent', { size, count: sent.minutes }) });
    } catch {
      setState({ at: 'said', good: false, text: words('backup.failed') });
    }
  };
  const save = async () => {
    const file = await pack();
    if (!file) return setState({ at: 'said', good: false, text: words('hand-over.nothing') });
    saveFile(`aubade-hand-over-${nowOf(store.getState(), store.ports).slice(0, 10)}.zip`, file);
    note();
    setState({ at: 'said', good: true, text: words('hand-over.saved') });
  };
  return (
    <View className="gap-3">
      <Choose
        label={words('hand-over.what')}
        choices={[
          { id: 'today', label: words('hand-over.today') },
          { id: 'since', label: words('hand-over.since') },
          { id: 'match', label: words('hand-over.match') },
          { id: 'everything', label: words('hand-over.everything') },
        ]}
        value={what}
        onChange={setWhat}
      />
      {what === 'since' ? (
        <Say size="small" tone="soft">
          {handedOver === null
            ? words('hand-over.since-never')
            : words('hand-over.since-when', { when: speech.day(handedOver, true) })}
        </Say>
      ) : null}
      {what === 'match' && matches.length > 0 ? (
        <Pick label={words('hand-over.which')} choices={matches} value={chosen} onChange={setMatchId} />
      ) : null}
      <Say>{!any ? words('hand-over.nothing') : speech.list(counted)}</Say>
      {state.at === 'said' ? (
        <Say live tone={state.good ? 'sedge' : 'dawn'}>
          {state.text}
        </Say>
      ) : null}
      {state.at === 'busy' ? <Say live>{words('hand-over.busy')}</Say> : null}
      <View className="flex-row flex-wrap gap-3">
        {to ? (
          <Button
            kind="main"
            tall
            label={words('hand-over.send')}
            disabled={!any || state.at === 'busy'}
            onPress={() => void send(to)}
          />
        ) : null}
        <Button
          tall
          label={words('hand-over.as-file')}
          disabled={!any || state.at === 'busy'}
          onPress={() => void save()}
        />
      </View>
    </View>
  );
}
