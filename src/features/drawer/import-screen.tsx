import { useMemo, useRef, useState } from 'react';
import { View } from 'react-native';
import type { Coded } from '@/core/code';
import {
  COLUMN_UNITS,
  HOOK_COLUMNS,
  LENGTH_COLUMNS,
  writeBadRows,
  writeHooksFile,
  type ColumnFrom,
  type ColumnMap,
  type ColumnUnit,
  type HookColumn,
} from '@/core/exchange';
import { hookId } from '@/core/hooks';
import { rowsOf, takeHooks } from '@/records';
import { useAct, useApp } from '@/state';
import { selectHooks } from '@/state/answering';
import { chooseFile, saveFile } from '@/features/files';
import { ReadingReport, useForesee } from '@/features/reading';
import { Page, useSpeech, useWords } from '@/features/shell';
import type { Speech } from '@/speech';
import { Button, Choose, Field, Fold, Heading, Say } from '@/ui/primitives';
import { run, type HooksFileAnswer } from '@/workers';
import { DrawerTabs } from './drawer-tabs';
import { PacketFiles } from './packet-files';

const SHOWN_PROBLEMS = 20;
const NEEDED: readonly HookColumn[] = ['maker', 'model', 'size', 'bend'];
/** Columns that other people's files are likely to have; the rest keep our own headings. */
const MAPPED: readonly HookColumn[] = [
  'maker',
  'model',
  'size',
  'bend',
  'shank_mm',
  'gape_mm',
  'bite_mm',
  'wire_mm',
  'eye_mm',
  'x_long',
  'x_heavy',
  'wire',
  'eye',
  'barb',
  'mass_mg',
];

type State =
  | { at: 'start'; fault: Coded | null }
  | { at: 'busy'; done: number; name: string }
  | { at: 'looked'; file: File; answer: HooksFileAnswer; map: ColumnMap; unit: ColumnUnit };

/** Hooks from a file: looked at first, its headings matched to ours, every bad row named; and everything out to one. */
export function ImportScreen() {
  const words = useWords();
  const speech = useSpeech();
  const act = useAct();
  const models = useApp((state) => state.records.entities.model);
  const makers = useApp((state) => state.records.entities.maker);
  const hooks = useApp(selectHooks);
  const [state, setState] = useState<State>({ at: 'start', fault: null });
  const [taken, setTaken] = useState<string | null>(null);
  const stop = useRef<AbortController | null>(null);

  const read = (file: File, map: ColumnMap | null, unit: ColumnUnit) => {
    const control = new AbortController();
    stop.current = control;
    setTaken(null);
    setState({ at: 'busy', done: 0, name: file.name });
    run(
      'hooks-file',
      { file, map, unit },
      { signal: control.signal, onProgress: (done) => setState({ at: 'busy', done, name: file.name }) },
    ).then(
      (answer) => {
        if (answer.fault) return setState({ at: 'start', fault: answer.fault });
        const ready = NEEDED.every((column) => answer.guess[column]);
        // A file with our headings, or ones that are plain enough, is read without a word.
        if (map === null && ready) return read(file, answer.guess, unit);
        setState({ at: 'looked', file, answer, map: answer.guess, unit });
      },
      (error: Error) =>
        setState({ at: 'start', fault: error.name === 'AbortError' ? null : { code: 'file-unread', params: {} } }),
    );
  };
  const choose = async () => {
    const file = await chooseFile('.csv,.tsv,.txt,.json,text/csv,application/json');
    if (file) read(file, null, 'mm');
  };
  const take = (answer: HooksFileAnswer) => {
    const rows = answer.read!.rows;
    act(takeHooks, { rows, tapings: answer.read!.tapings });
    setTaken(words('import.taken', { count: rows.length }));
    setState({ at: 'start', fault: null });
  };
  const exported = () =>
    saveFile(
      'aubade-hooks.csv',
      writeHooksFile(Object.values(models).flatMap((model) => rowsOf(model, makers[model.makerId]))),
      'text/csv',
    );
  return (
    <Page column="list" title={words('import.title')} lead={words('import.lead')}>
      <DrawerTabs at="import" />
      <View className="gap-5 px-5 py-4">
        {taken ? (
          <Say live tone="sedge" weight="medium">
            {taken}
          </Say>
        ) : null}
        {state.at === 'busy' ? (
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
        ) : (
          <View className="flex-row flex-wrap gap-3">
            <Button
              kind={state.at === 'start' ? 'main' : 'plain'}
              label={words(state.at === 'start' ? 'import.choose' : 'import.choose-other')}
              onPress={() => void choose()}
            />
            {Object.keys(models).length > 0 ? <Button label={words('import.export')} onPress={exported} /> : null}
          </View>
        )}
        {state.at === 'start' && state.fault ? (
          <Say live tone="dawn">
            {words('import.refused', { why: speech.say(state.fault, 'fault') })}
          </Say>
        ) : null}
        {state.at === 'looked' ? (
          <>
            {state.answer.read ? (
              <Report
                answer={state.answer}
                known={new Set(hooks.map((hook) => hook.id))}
                onTake={() => take(state.answer)}
              />
            ) : null}
            <Mapper
              answer={state.answer}
              map={state.map}
              unit={state.unit}
              onMap={(map) => setState({ ...state, map })}
              onUnit={(unit) => setState({ ...state, unit })}
              onRead={() => read(state.file, state.map, state.unit)}
            />
          </>
        ) : null}
        {state.at === 'start' ? (
          <View>
            <Say size="small" tone="soft">
              {words('import.format')}
            </Say>
            <Fold title={words('import.headings')} line={words('import.headings-line')}>
              <Say size="small">{speech.list(HOOK_COLUMNS)}</Say>
            </Fold>
          </View>
        ) : null}
      </View>
      {state.at === 'start' ? (
        <View className="gap-2 border-t border-line px-5 py-5">
          <Heading>{words('packets.title')}</Heading>
          <Say size="small" tone="soft">
            {words('packets.file-columns')}
          </Say>
          <PacketFiles />
        </View>
      ) : null}
    </Page>
  );
}

/** What a file would do: new hooks and changed ones, and every row that cannot be used. */
function Report({
  answer,
  known,
  onTake,
}: {
  answer: HooksFileAnswer;
  known: ReadonlySet<string>;
  onTake: () => void;
}) {
  const words = useWords();
  const speech = useSpeech();
  const { rows, problems, count, bad, tapings } = answer.read!;
  const reading = useForesee(
    takeHooks,
    useMemo(() => (rows.length > 0 ? { rows, tapings } : null), [rows, tapings]),
  );
  const changed = rows.filter((row) => known.has(hookId(row.maker, row.model, row.size))).length;
  const models = new Set(rows.map((row) => `${row.maker}:${row.model}`)).size;
  const badRows = count - rows.length;
  return (
    <View aria-live="polite" className="gap-3 rounded-control border border-edge bg-plane p-3">
      <Heading size="small">{words('import.found', { count: rows.length, of: count })}</Heading>
      <Say size="small">{words('import.what', { fresh: rows.length - changed, changed, models })}</Say>
      {reading ? <ReadingReport reading={reading} held={models} /> : null}
      {tapings.length > 0 ? <Say size="small">{words('import.tapings', { count: tapings.length })}</Say> : null}
      {rows.length > 0 ? (
        <Button
          kind="main"
          label={words('import.take', { count: rows.length })}
          className="self-start"
          onPress={onTake}
        />
      ) : null}
      {badRows > 0 ? (
        <View className="gap-2">
          <Say weight="medium" tone="dawn">
            {words('import.bad', { count: badRows })}
          </Say>
          {problems.slice(0, SHOWN_PROBLEMS).map((problem, index) => (
            <Say key={index} size="small">
              {`${problem.line === null ? '' : `${words('guide.line', { line: problem.line })} `}${speech.say(problem, 'fault')}${problem.code === 'cell-not-one-of' ? '' : acceptedIn(problem.accepted, speech)}`}
            </Say>
          ))}
          {problems.length > SHOWN_PROBLEMS ? (
            <Say size="small" tone="soft">
              {words('import.more', { count: problems.length - SHOWN_PROBLEMS })}
            </Say>
          ) : null}
          {bad ? (
            <Button
              label={words('import.bad-file')}
              className="self-start"
              onPress={() =>
                saveFile(
                  'aubade-hooks-to-mend.csv',
                  writeBadRows({ table: bad, problems }, (problem) => speech.say(problem, 'fault')),
                  'text/csv',
                )
              }
            />
          ) : null}
        </View>
      ) : null}
    </View>
  );
}

function acceptedIn(accepted: unknown, speech: Speech): string {
  return accepted !== null && typeof accepted === 'object' && 'list' in accepted
    ? ` ${speech.t('ui.import.accepted', { list: speech.list((accepted as { list: string[] }).list) })}`
    : '';
}

const NONE = '-';
const EVERY = '=';

interface MapperProps {
  answer: HooksFileAnswer;
  map: ColumnMap;
  unit: ColumnUnit;
  onMap: (map: ColumnMap) => void;
  onUnit: (unit: ColumnUnit) => void;
  onRead: () => void;
}

/** Which heading of the file is which of our columns, in what unit; or one value for every row. */
function Mapper({ answer, map, unit, onMap, onUnit, onRead }: MapperProps) {
  const words = useWords();
  const speech = useSpeech();
  const [open, setOpen] = useState(answer.read === null);
  const [asking, setAsking] = useState<HookColumn | null>(null);
  const missing = NEEDED.filter((column) => !map[column]);
  const set = (column: HookColumn, from: ColumnFrom | undefined) => {
    const next = { ...map };
    if (from) next[column] = from;
    else delete next[column];
    onMap(next);
  };
  if (!open)
    return (
      <Button
        kind="quiet"
        label={words('import.change-columns')}
        className="-ml-4 self-start"
        onPress={() => setOpen(true)}
      />
    );
  const first = (heading: string) =>
    speech.list(
      answer.sample
        .map((row) => row[heading])
        .filter(Boolean)
        .slice(0, 2),
    );
  return (
    <View className="gap-3">
      <Heading size="small">{words('import.columns')}</Heading>
      <Say size="small" tone="soft">
        {words('import.columns-lead')}
      </Say>
      <View className="border-t border-line">
        {MAPPED.map((column) => {
          const from = map[column];
          const heading = from && 'heading' in from ? from.heading : null;
          const length = LENGTH_COLUMNS.includes(column);
          return (
            <View key={column} className="gap-2 border-b border-line py-2">
              <View className="flex-row items-center justify-between gap-3">
                <View className="min-w-0 flex-1">
                  <Say weight="medium">{words(`import.column.${column}`)}</Say>
                  <Say size="small" tone={from ? 'soft' : NEEDED.includes(column) ? 'dawn' : 'soft'}>
                    {heading
                      ? words('import.from', { heading, sample: first(heading) })
                      : from && 'value' in from
                        ? words('import.always', { value: from.value })
                        : words(NEEDED.includes(column) ? 'import.needed' : 'import.not-there')}
                  </Say>
                </View>
                <Button
                  label={words(asking === column ? 'import.done' : 'import.change')}
                  spoken={words('import.change-what', { column: words(`import.column.${column}`) })}
                  onPress={() => setAsking(asking === column ? null : column)}
                />
              </View>
              {asking === column ? (
                <View className="gap-2">
                  <Choose
                    label={words(`import.column.${column}`)}
                    choices={[
                      { id: NONE, label: words('import.not-there') },
                      ...answer.headings.map((id) => ({ id, label: id })),
                      { id: EVERY, label: words('import.one-value') },
                    ]}
                    value={heading ?? (from ? EVERY : NONE)}
                    onChange={(id) =>
                      set(
                        column,
                        id === NONE
                          ? undefined
                          : id === EVERY
                            ? { value: '' }
                            : { heading: id, unit: heading === id && from && 'heading' in from ? from.unit : null },
                      )
                    }
                  />
                  {from && 'value' in from ? (
                    <Field
                      label={words('import.value')}
                      value={from.value}
                      onType={(value) => set(column, { value })}
                    />
                  ) : null}
                  {heading && length ? (
                    <Choose
                      label={words('import.unit')}
                      choices={COLUMN_UNITS.map((id) => ({ id, label: words(`import.units.${id}`) }))}
                      value={(from && 'heading' in from ? from.unit : null) ?? unit}
                      onChange={(id) => set(column, { heading, unit: id })}
                    />
                  ) : null}
                </View>
              ) : null}
            </View>
          );
        })}
      </View>
      <Choose
        label={words('import.unit-all')}
        choices={COLUMN_UNITS.map((id) => ({ id, label: words(`import.units.${id}`) }))}
        value={unit}
        onChange={onUnit}
      />
      {missing.length > 0 ? (
        <Say size="small" tone="dawn">
          {words('import.missing', { columns: speech.list(missing.map((column) => words(`import.column.${column}`))) })}
        </Say>
      ) : null}
      <Button
        kind="main"
        label={words('import.read')}
        disabled={missing.length > 0}
        className="self-start"
        onPress={onRead}
      />
    </View>
  );
}
