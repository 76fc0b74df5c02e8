import { useMemo, type ReactNode } from 'react';
import { View } from 'react-native';
import { useStore } from 'react-redux';
import { termName, type Command, type Kind } from '@/records';
import { KIND_OF } from '@/records/backup';
import { takeDressings } from '@/records/shipped';
import { takeTable, withoutSample, type ArchiveRead, type SheetIn, type TableLooked } from '@/records/sheets';
import { useAct, useApp, type Store } from '@/state';
import { selectHooks } from '@/state/answering';
import { columnsOf } from '@/core/hooks';
import { asideAfter, useForesee, useForeseen } from '@/features/reading';
import { useSpeech, useWords } from '@/features/shell';
import { Button, Heading, Say } from '@/ui/primitives';
import type { DressingsAnswer } from '@/workers';
import { Problems } from './problems';

const SHOWN_NAMES = 3;
const SHOWN_TERMS = 8;

/** How many records rows come to: several rows may be about one. */
function heldIn(input: SheetIn): number {
  if (input.sheet === 'groups') return input.groups.length;
  if (input.sheet === 'packets' || input.sheet === 'stash') return input.rows.length;
  if (input.sheet === 'hooks') return new Set(input.rows.map(({ maker, model }) => `${maker}:${model}`)).size;
  const by = input.sheet === 'matches' ? 'match' : input.sheet === 'flies' ? 'fly' : null;
  return new Set(input.rows.map(({ line, cells }) => (by && cells[by]) || line)).size;
}

interface TakeProps {
  onTaken: (told: string) => void;
  onLeave: () => void;
}

/** What taking what was read would do, and the two ways on. */
function Take<I>({
  command,
  input,
  held,
  of,
  label,
  taken,
  children,
  onTaken,
  onLeave,
}: TakeProps & {
  command: Command<I, unknown>;
  /** Null where nothing of the file is good. */
  input: I | null;
  /** How many records it comes to, all of one kind where `of` names it. */
  held: number;
  of?: Kind;
  label: string;
  taken: string;
  /** What else is to be known before it is taken. */
  children?: ReactNode;
}) {
  const words = useWords();
  const act = useAct();
  const store = useStore() as unknown as Store;
  const { told, ready } = useForeseen(useForesee(command, input), held, { of, nothing: input === null });
  return (
    <>
      {told}
      {children}
      <View className="flex-row flex-wrap gap-3">
        {input ? (
          <Button
            kind="main"
            label={label}
            disabled={!ready}
            onPress={() => {
              act(command, input);
              void asideAfter(store, ready);
              onTaken(taken);
            }}
          />
        ) : null}
        <Button kind="quiet" label={words('carry.leave')} onPress={onLeave} />
      </View>
    </>
  );
}

/** Rows of a table or an archive: taken, with what is to be known of them. */
function TakeRows({ input, good, ...take }: TakeProps & { input: SheetIn; good: number }) {
  const words = useWords();
  const speech = useSpeech();
  const hooks = useApp(selectHooks);
  const entities = useApp((state) => state.records.entities);
  const homeless = withoutSample(entities, input);
  const strange = useMemo(() => {
    if (input.sheet !== 'packets') return [];
    const { at } = columnsOf(hooks);
    return input.rows.filter((row) => !at.has(row.hookId));
  }, [hooks, input]);
  const what = words(`tables.count.${input.sheet}`, { count: good });
  return (
    <Take
      command={takeTable}
      input={good > 0 ? input : null}
      held={heldIn(input)}
      of={KIND_OF[input.sheet]}
      label={words('tables.take', { what })}
      taken={words('tables.taken', { what })}
      {...take}
    >
      {input.sheet === 'hooks' && input.tapings.length > 0 ? (
        <Say size="small">{words('import.tapings', { count: input.tapings.length })}</Say>
      ) : null}
      {strange.length > 0 ? (
        <Say size="small" tone="straw">
          {words('packets.file-strange', {
            count: strange.length,
            names: speech.list(strange.slice(0, SHOWN_NAMES).map((row) => row.hookId.replace(/:/g, ' '))),
          })}
        </Say>
      ) : null}
      {homeless > 0 ? (
        <Say size="small" tone="straw">
          {words('tables.without-sample', { count: homeless })}
        </Say>
      ) : null}
    </Take>
  );
}

/** A table of one of our collections: how much of it is good, what it would do, what is not read and what cannot be. */
export function TableReport({ answer, ...take }: TakeProps & { answer: TableLooked }) {
  const words = useWords();
  const speech = useSpeech();
  const { read, sheet, unread } = answer;
  if (!read || sheet === null) return null;
  const badRows = read.bad?.rows.length ?? 0;
  return (
    <View aria-live="polite" className="gap-3 rounded-control border border-edge bg-plane p-3">
      <View>
        <Heading size="small">{words('import.found', { count: read.count - badRows, of: read.count })}</Heading>
        <Say size="small" tone="soft">
          {words(`tables.name.${sheet}`)}
        </Say>
      </View>
      {unread.length > 0 ? (
        <Say size="small" tone="soft">
          {words('tables.unread', { headings: speech.list(unread) })}
        </Say>
      ) : null}
      <TakeRows input={read.input} good={read.good} {...take} />
      <Problems problems={read.problems} rows={badRows} bad={read.bad} />
    </View>
  );
}

/** An archive of occurrences: how many are samples, what is kept as it came, what is not read. */
export function ArchiveReport({ answer, ...take }: TakeProps & { answer: ArchiveRead }) {
  const words = useWords();
  const speech = useSpeech();
  const { good, count, kept, absent, unread, problems, input } = answer;
  return (
    <View aria-live="polite" className="gap-3 rounded-control border border-edge bg-plane p-3">
      <View>
        <Heading size="small">{words('import.found', { count: good, of: count })}</Heading>
        <Say size="small" tone="soft">
          {words('tables.archive')}
        </Say>
      </View>
      {kept.length > 0 ? (
        <Say size="small">
          {words('tables.kept', {
            terms: speech.list([
              ...kept.slice(0, SHOWN_TERMS).map(({ term, rows }) => speech.aside(termName(term), String(rows))),
              ...(kept.length > SHOWN_TERMS ? [words('import.more', { count: kept.length - SHOWN_TERMS })] : []),
            ]),
          })}
        </Say>
      ) : null}
      {absent > 0 ? (
        <Say size="small" tone="soft">
          {words('tables.absent', { count: absent })}
        </Say>
      ) : null}
      {unread.map(({ rowType, rows }) => (
        <Say key={rowType} size="small" tone="soft">
          {words('tables.not-read-rows', { what: rowType, count: rows })}
        </Say>
      ))}
      <TakeRows input={input} good={good} {...take} />
      <Problems problems={problems} rows={problems.length} bad={null} />
    </View>
  );
}

/** Dressings of a file: how many are good, what of them is faulty, and what taking them would do. */
export function DressingsReport({
  answer: { read, faulty, looked },
  ...take
}: TakeProps & { answer: DressingsAnswer }) {
  const words = useWords();
  const speech = useSpeech();
  const { dressings, materials } = read;
  const input = useMemo(() => (dressings.length === 0 ? null : { dressings, materials }), [dressings, materials]);
  return (
    <View aria-live="polite" className="gap-3 rounded-control border border-edge bg-plane p-3">
      <Heading size="small">{words('dressing.file-report', { good: dressings.length, count: read.count })}</Heading>
      <Take
        command={takeDressings}
        input={input}
        held={dressings.length + materials.length}
        label={words('dressing.take', { count: dressings.length })}
        taken={words('dressing.taken', { count: dressings.length })}
        {...take}
      >
        {faulty > 0 ? (
          <Say size="small" tone="straw">
            {words('dressing.file-faulty', { count: faulty })}
          </Say>
        ) : null}
        {looked < dressings.length ? (
          <Say size="small" tone="soft">
            {words('tables.looked-over', { count: looked })}
          </Say>
        ) : null}
        {read.problems.slice(0, SHOWN_TERMS).map((problem) => (
          <Say key={`${problem.record}${problem.path}${problem.message}`} size="small" tone="dawn">
            {speech.pair(speech.beside([problem.record, problem.path]), problem.message)}
          </Say>
        ))}
        {read.problems.length > SHOWN_TERMS ? (
          <Say size="small" tone="soft">
            {words('import.more', { count: read.problems.length - SHOWN_TERMS })}
          </Say>
        ) : null}
      </Take>
    </View>
  );
}
