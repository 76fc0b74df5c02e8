import { useState } from 'react';
import { View } from 'react-native';
import { COLUMN_UNITS, type ColumnFrom, type ColumnMap, type MapColumn } from '@/core/exchange';
import { mapOf, neededOf, SHEET_IDS, type FileReading, type SheetId, type TableLooked } from '@/records/sheets';
import { DAY_ORDERS } from '@/core/exchange/when';
import { useSpeech, useWords } from '@/features/shell';
import { Button, Choose, Field, Heading, Labelled, More, Pick, Say } from '@/ui/primitives';

/** Columns that others' files do not have, or that hardly anyone asks for: they keep our own headings. */
export const OWN_COLUMNS: ReadonlySet<string> = new Set([
  'maker_name',
  'model_name',
  'point',
  'labels_direction',
  'source',
  'retired',
  'packet',
  'answer',
  'leads',
  'sizes',
  'intent',
  'follows',
  'revision',
  'evidence',
  'regions',
]);
const SHOWN_HEADINGS = 8;
const NONE = '-';
const EVERY = '=';

interface MapperProps {
  answer: TableLooked;
  how: FileReading;
  onHow: (how: FileReading) => void;
  onRead: () => void;
}

/** What the rows of a table are; which heading of it is which of our columns, in what unit; or one value for every row. */
export function Mapper({ answer, how, onHow, onRead }: MapperProps) {
  const words = useWords();
  const speech = useSpeech();
  const [open, setOpen] = useState(answer.read === null);
  const [asking, setAsking] = useState<string | null>(null);
  const { sheet } = answer;
  const map = how.map ?? answer.guess;
  const needed = sheet === null ? [] : neededOf(sheet);
  const missing = needed.filter((column) => !map[column]);
  const set = (column: string, from: ColumnFrom | undefined) => {
    const next: ColumnMap = { ...map };
    if (from) next[column] = from;
    else delete next[column];
    onHow({ ...how, map: next });
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
  const name = (column: string) => words(`tables.column.${column}`);
  const columns = sheet === null ? [] : mapOf(sheet).filter((column) => !OWN_COLUMNS.has(column.name));
  // What the file has, or what cannot be left out; the rest is there to be looked for.
  const asked = ({ name: column }: MapColumn) => answer.guess[column] !== undefined || needed.includes(column);
  const rows = (some: readonly MapColumn[]) =>
    some.map(({ name: column, length }) => {
      const from = map[column];
      const heading = from && 'heading' in from ? from.heading : null;
      return (
        <View key={column} className="gap-2 border-b border-line py-2">
          <View className="flex-row items-center justify-between gap-3">
            <View className="min-w-0 flex-1">
              <Say weight="medium">{name(column)}</Say>
              <Say size="small" tone={!from && needed.includes(column) ? 'dawn' : 'soft'}>
                {heading
                  ? words('import.from', { heading, sample: first(heading) })
                  : from && 'value' in from
                    ? words('import.always', { value: from.value })
                    : words(needed.includes(column) ? 'import.needed' : 'import.not-there')}
              </Say>
            </View>
            <Button
              label={words(asking === column ? 'import.done' : 'import.change')}
              spoken={words('import.change-what', { column: name(column) })}
              onPress={() => setAsking(asking === column ? null : column)}
            />
          </View>
          {asking === column ? (
            <View className="gap-2">
              <Choose
                label={name(column)}
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
                        : {
                            heading: id,
                            unit: heading === id && from && 'heading' in from ? from.unit : null,
                          },
                  )
                }
              />
              {from && 'value' in from ? (
                <Field label={words('import.value')} value={from.value} onType={(value) => set(column, { value })} />
              ) : null}
              {heading && length ? (
                <Choose
                  label={words('import.unit')}
                  choices={COLUMN_UNITS.map((id) => ({ id, label: words(`import.units.${id}`) }))}
                  value={(from && 'heading' in from ? from.unit : null) ?? how.unit}
                  onChange={(id) => set(column, { heading, unit: id })}
                />
              ) : null}
            </View>
          ) : null}
        </View>
      );
    });
  return (
    <View className="gap-3">
      <Pick<SheetId>
        label={words('tables.what')}
        none={words('tables.what-none')}
        choices={SHEET_IDS.map((id) => ({ id, label: words(`tables.name.${id}`) }))}
        value={sheet}
        onChange={(id) => onHow({ ...how, sheet: id, map: null })}
      />
      {sheet === null ? (
        <Say size="small" tone="soft">
          {words('tables.not-told', { headings: speech.list(answer.headings.slice(0, SHOWN_HEADINGS)) })}
        </Say>
      ) : (
        <>
          <Heading size="small">{words('import.columns')}</Heading>
          <Say size="small" tone="soft">
            {words('import.columns-lead')}
          </Say>
          <View className="border-t border-line">{rows(columns.filter(asked))}</View>
          {columns.every(asked) ? null : (
            <More label={words('tables.more-columns', { count: columns.filter((column) => !asked(column)).length })}>
              <View className="border-t border-line">{rows(columns.filter((column) => !asked(column)))}</View>
            </More>
          )}
          {mapOf(sheet).some(({ length }) => length) ? (
            <Labelled title={words('import.unit-all')}>
              <Choose
                label={words('import.unit-all')}
                choices={COLUMN_UNITS.map((id) => ({ id, label: words(`import.units.${id}`) }))}
                value={how.unit}
                onChange={(unit) => onHow({ ...how, unit })}
              />
            </Labelled>
          ) : null}
          {answer.slashDays ? (
            <Labelled title={words('tables.day-order')}>
              <Choose
                label={words('tables.day-order')}
                choices={DAY_ORDERS.map((id) => ({ id, label: words(`tables.day-first.${id}`) }))}
                value={how.dayOrder ?? answer.dayOrder}
                onChange={(dayOrder) => onHow({ ...how, dayOrder })}
              />
            </Labelled>
          ) : null}
          {missing.length > 0 ? (
            <Say size="small" tone="dawn">
              {words('import.missing', { columns: speech.list(missing.map(name)) })}
            </Say>
          ) : null}
          <Button
            kind={answer.read === null ? 'main' : 'plain'}
            label={words('import.read')}
            disabled={missing.length > 0}
            className="self-start"
            onPress={onRead}
          />
        </>
      )}
    </View>
  );
}
