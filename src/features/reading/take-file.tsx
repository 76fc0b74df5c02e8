import { useMemo, useState, type ReactNode } from 'react';
import { View } from 'react-native';
import type { Coded } from '@/core/code';
import type { Command } from '@/records';
import { openText } from '@/features/files';
import { useSpeech, useWords } from '@/features/shell';
import { Button, Say } from '@/ui/primitives';
import { ReadingReport, useForesee } from './reading-report';

interface TakeFileProps<T, I> {
  /** What the button that asks for a file is called; quiet where it stands under a list. */
  label: string;
  quiet?: boolean;
  read(text: string): { ok: true; value: T } | { ok: false; fault: Coded };
  /** What of it is not here yet, where that is to be looked up. */
  prepare?(value: T): Promise<T>;
  /** The command that takes it, and what it is given: the report is what that would do. */
  command: Command<I, unknown>;
  input(value: T): I;
  /** How many records it holds. */
  held(value: T): number;
  about(value: T): ReactNode;
  take(value: T): Promise<void>;
  /** What is said of a file that is not taken; of one that there is no room for. */
  refused?(why: string): string;
  noRoom: string;
  /** What is said once it is taken; nothing where the list says it. */
  done?(value: T): string;
}

type State<T> = { at: 'rest' } | { at: 'read'; value: T } | { at: 'said'; text: string; good: boolean };

/** A file asked for, read, told of before it is taken, and taken or left. */
export function TakeFile<T, I>({
  label,
  quiet = false,
  read,
  prepare,
  command,
  input,
  held,
  about,
  take,
  refused = (why) => why,
  noRoom,
  done,
}: TakeFileProps<T, I>) {
  const words = useWords();
  const speech = useSpeech();
  const [state, setState] = useState<State<T>>({ at: 'rest' });
  // What the command is given follows from the value alone.
  const reading = useForesee(
    command,
    // eslint-disable-next-line react-hooks/exhaustive-deps
    useMemo(() => (state.at === 'read' ? input(state.value) : null), [state]),
  );
  const open = async () => {
    const text = await openText('.json,application/json');
    if (text === null) return;
    const result = read(text);
    setState(
      result.ok
        ? { at: 'read', value: prepare ? await prepare(result.value) : result.value }
        : { at: 'said', text: refused(speech.say(result.fault, 'fault')), good: false },
    );
  };
  const put = async (value: T) => {
    try {
      await take(value);
      setState(done ? { at: 'said', text: done(value), good: true } : { at: 'rest' });
    } catch {
      setState({ at: 'said', text: noRoom, good: false });
    }
  };
  return (
    <>
      <Button
        kind={quiet ? 'quiet' : undefined}
        label={label}
        onPress={() => void open()}
        className={quiet ? '-ml-4 self-start' : 'self-start'}
      />
      {state.at === 'said' ? (
        <Say live size="small" tone={state.good ? 'sedge' : 'dawn'}>
          {state.text}
        </Say>
      ) : null}
      {state.at === 'read' ? (
        <View aria-live="polite" className="gap-2 rounded-control border border-edge bg-plane p-3">
          {about(state.value)}
          {reading ? <ReadingReport reading={reading} held={held(state.value)} /> : null}
          <View className="flex-row gap-3">
            <Button kind="main" label={words('carry.take')} onPress={() => void put(state.value)} />
            <Button kind="quiet" label={words('carry.leave')} onPress={() => setState({ at: 'rest' })} />
          </View>
        </View>
      ) : null}
    </>
  );
}
