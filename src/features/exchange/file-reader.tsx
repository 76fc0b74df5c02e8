import { useEffect, useRef, useState } from 'react';
import { View } from 'react-native';
import { useStore } from 'react-redux';
import { MOST_DRESSINGS } from '@/core/exchange';
import { AS_IT_IS, type FileReading, type SheetId } from '@/records/sheets';
import type { Store } from '@/state';
import { selectCatalogue } from '@/state/answering';
import type { RestoreHow } from '@/state/backup';
import { restore, RestorePreview } from '@/features/backup/screens';
import { chooseFile } from '@/features/files';
import type { Undrawn } from '@/features/reading';
import { useSpeech, useWords } from '@/features/shell';
import { Button, Entry, Fold, Say } from '@/ui/primitives';
import { run, type FileAnswer } from '@/workers';
import { Mapper } from './mapper';
import { ArchiveReport, DressingsReport, TableReport } from './reports';

const ANY = '.zip,.csv,.tsv,.txt,.json,.md,application/zip,text/csv,text/plain,application/json,text/markdown';

type State =
  | { at: 'rest' }
  | { at: 'busy'; done: number; name: string }
  | {
      at: 'read';
      file: File;
      how: FileReading;
      answer: Exclude<FileAnswer, { what: 'refused' }>;
      restoring: RestoreHow;
      taking: boolean;
    }
  | { at: 'said'; text: string; good: boolean };

interface FileReaderProps {
  label: string;
  /** The one thing to do here; quiet where it stands under a list. */
  kind?: 'main' | 'plain' | 'quiet';
  /** What is most likely to be read here, where the headings would do for several. */
  prefer?: SheetId;
  /** A table can be put in as text too. */
  pastes?: boolean;
  /** Hears whether something is looked at. */
  onOpen?: (open: boolean) => void;
}

/** One door for every file: chosen, read in the background, told of before anything is done with it, and taken or left. */
export function FileReader({ label, kind = 'plain', prefer, pastes = false, onOpen }: FileReaderProps) {
  const words = useWords();
  const speech = useSpeech();
  const store = useStore() as unknown as Store;
  const [state, setState] = useState<State>({ at: 'rest' });
  const [pasted, setPasted] = useState('');
  const stop = useRef<AbortController | null>(null);
  const looking = state.at === 'read';
  useEffect(() => onOpen?.(looking), [looking, onOpen]);
  useEffect(() => () => stop.current?.abort(), []);
  const refused = (why: string) => setState({ at: 'said', good: false, text: words('data.file-refused', { why }) });
  const said = (text: string) => setState({ at: 'said', good: true, text });
  const rest = () => setState({ at: 'rest' });
  const read = async (file: File, how: FileReading) => {
    const control = new AbortController();
    stop.current = control;
    setState({ at: 'busy', done: 0, name: file.name });
    const options = {
      signal: control.signal,
      onProgress: (done: number) => setState({ at: 'busy', done, name: file.name }),
    };
    try {
      let answer = await run('file-read', { file, how, catalogue: null }, options);
      // Only dressings are read beside the catalogue, which is long to hand over.
      if (answer.what === 'dressings-text')
        answer = await run('file-read', { file, how, catalogue: selectCatalogue(store.getState()) }, options);
      if (answer.what === 'refused') return refused(speech.say(answer.fault, 'fault'));
      if (answer.what === 'dressings' && answer.read.fault)
        return refused(words(`dressing.file-fault.${answer.read.fault}`, { most: MOST_DRESSINGS }));
      setState({ at: 'read', file, how, answer, restoring: 'merge', taking: false });
    } catch (error) {
      if ((error as Error).name === 'AbortError') rest();
      else refused(words('backup.unreadable'));
    }
  };
  const choose = async () => {
    const file = await chooseFile(ANY);
    if (file) await read(file, { ...AS_IT_IS, prefer: prefer ?? null });
  };
  const readPasted = () =>
    read(new File([pasted], words('import.pasted-name')), { ...AS_IT_IS, prefer: prefer ?? null });
  const take = async (undrawn: readonly Undrawn[]) => {
    if (state.at !== 'read' || state.answer.what !== 'backup') return;
    setState({ ...state, taking: true });
    try {
      await restore(store, state.file, state.answer.backup, state.restoring, undrawn);
      said(words(`backup.taken-${state.restoring}`));
    } catch {
      setState({ at: 'said', good: false, text: words('keeping.why.full') });
    }
  };
  const button = (
    <Button
      kind={kind}
      label={looking ? words('import.choose-other') : label}
      onPress={() => void choose()}
      className={kind === 'quiet' ? '-ml-4 self-start' : 'self-start'}
    />
  );
  if (state.at === 'busy')
    return (
      <View aria-live="polite" className="gap-3">
        <Say>{words('import.reading', { name: state.name, percent: Math.round(state.done * 100) })}</Say>
        <View
          role="progressbar"
          aria-label={words('import.progress')}
          aria-valuenow={Math.round(state.done * 100)}
          aria-valuemin={0}
          aria-valuemax={100}
          className="h-2 overflow-hidden rounded-control border border-edge"
        >
          <View style={{ width: `${state.done * 100}%` }} className="h-2 bg-river" />
        </View>
        <Button label={words('import.stop')} className="self-start" onPress={() => stop.current?.abort()} />
      </View>
    );
  if (state.at !== 'read')
    return (
      <View className="gap-3">
        {button}
        {pastes ? (
          <Fold title={words('import.paste')} line={words('import.paste-line')}>
            <View className="flex-row">
              <Entry
                label={words('import.paste-text')}
                value={pasted}
                onChangeText={setPasted}
                multiline
                numberOfLines={5}
              />
            </View>
            <Button
              label={words('import.paste-read')}
              disabled={pasted.trim() === ''}
              onPress={() => void readPasted()}
              className="self-start"
            />
          </Fold>
        ) : null}
        {state.at === 'said' ? (
          <Say live size="small" tone={state.good ? 'sedge' : 'dawn'}>
            {state.text}
          </Say>
        ) : null}
      </View>
    );
  const { answer, file, how } = state;
  return (
    <View className="gap-3">
      {answer.what === 'backup' ? (
        <RestorePreview
          backup={answer.backup}
          how={state.restoring}
          taking={state.taking}
          onHow={(restoring) => setState({ ...state, restoring })}
          onTake={(undrawn) => void take(undrawn)}
          onLeave={rest}
        />
      ) : null}
      {answer.what === 'archive' ? <ArchiveReport answer={answer} onTaken={said} onLeave={rest} /> : null}
      {answer.what === 'dressings' ? <DressingsReport answer={answer} onTaken={said} onLeave={rest} /> : null}
      {answer.what === 'table' ? (
        <>
          <TableReport answer={answer} onTaken={said} onLeave={rest} />
          <Mapper
            answer={answer}
            how={how}
            onHow={(next) =>
              // Another collection has other columns: they are looked for anew.
              next.sheet === how.sheet ? setState({ ...state, how: next }) : void read(file, next)
            }
            onRead={() => void read(file, { ...how, sheet: answer.sheet, map: how.map ?? answer.guess })}
          />
        </>
      ) : null}
      {button}
    </View>
  );
}
