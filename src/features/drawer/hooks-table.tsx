import {
  createSortedRowModel,
  rowSortingFeature,
  sortFn_alphanumeric,
  sortFn_basic,
  tableFeatures,
  useTable,
  type ColumnDef,
} from '@tanstack/react-table';
import { useMemo } from 'react';
import { View } from 'react-native';
import { reads } from '@/core/hooks';
import { isAbout } from '@/core/quantity';
import { formatLength } from '@/core/units';
import { useSpeech, useWide, useWords } from '@/features/shell';
import { CellLink, Digits, Say, SortHead } from '@/ui/primitives';
import { useRowsInView } from '@/ui/primitives/use-rows-in-view';
import type { Shown } from './hook-filters';

interface Row {
  shown: Shown;
  name: string;
  reads: number;
  length: number;
  gape: number;
  wire: number;
  owned: number;
}

const features = tableFeatures({
  rowSortingFeature,
  sortedRowModel: createSortedRowModel(),
  sortFns: { alphanumeric: sortFn_alphanumeric, basic: sortFn_basic },
});
const NUMBERS = ['reads', 'length', 'gape', 'wire', 'owned'] as const;
const COLUMNS: ColumnDef<typeof features, Row>[] = [
  { accessorKey: 'name', sortFn: 'alphanumeric' },
  ...NUMBERS.map((key) => ({ accessorKey: key, sortFn: 'basic' as const })),
];
const TALL = { narrow: 72, wide: 52 } as const;
const WIDTH = { reads: 'w-11', length: 'w-14', gape: 'w-14', wire: 'w-14', owned: 'w-10' } as const;

/** The same hooks as the ladder's, as a table that can be sorted: only rows in view are drawn. */
export function HooksTable({ hooks, owned }: { hooks: readonly Shown[]; owned: Readonly<Record<string, number>> }) {
  const words = useWords();
  const speech = useSpeech();
  const data = useMemo(
    () =>
      hooks.map((shown): Row => ({
        shown,
        name: `${shown.hook.makerName} ${shown.hook.modelName} ${shown.hook.size}`,
        reads: reads(shown.hook.shank.value),
        length: shown.mm,
        gape: shown.hook.gape.value,
        wire: shown.hook.wireDiameter.value,
        owned: owned[shown.hook.id] ?? 0,
      })),
    [hooks, owned],
  );
  const table = useTable({ features, columns: COLUMNS, data }, (state) => ({ sorting: state.sorting }));
  const rows = table.getRowModel().rows;
  const wide = useWide();
  const tall = wide ? TALL.wide : TALL.narrow;
  const { list, rows: seen } = useRowsInView(rows.length, tall);
  const nameWidth = wide ? 'min-w-0 flex-1' : 'w-full';
  const digits = (mm: number, fine = false) => formatLength(mm, speech.unit, fine).digits;
  const head = (id: string, text: string, className: string) => {
    const column = table.getColumn(id)!;
    const sorted = column.getIsSorted();
    return (
      <View
        key={id}
        role="columnheader"
        aria-sort={sorted === 'asc' ? 'ascending' : sorted === 'desc' ? 'descending' : 'none'}
        className={className}
      >
        <SortHead
          spoken={words('drawer.sort', { what: text })}
          sorted={sorted}
          number={id !== 'name'}
          onSort={() => column.toggleSorting()}
        >
          {text}
        </SortHead>
      </View>
    );
  };
  return (
    <View
      role="table"
      aria-label={words('drawer.hooks-table')}
      aria-rowcount={rows.length + 1}
      className="border-t border-line"
    >
      <View
        role="row"
        style={STICKY}
        className={`flex-row items-end gap-x-2 border-b border-edge bg-ground px-5 ${wide ? '' : 'justify-between'}`}
      >
        {head('name', words('drawer.col.name'), wide ? nameWidth : 'w-12')}
        {NUMBERS.map((key) => head(key, words(`drawer.col.${key}`), WIDTH[key]))}
      </View>
      <View ref={list} role="rowgroup" style={{ height: rows.length * tall }}>
        {seen.map((item) => {
          const row = rows[item.index]!.original;
          const { hook, mm } = row.shown;
          return (
            <View
              key={item.key}
              role="row"
              aria-rowindex={item.index + 2}
              style={{ position: 'absolute', top: item.top, left: 0, right: 0, height: tall }}
              className={`flex-row items-center gap-x-2 border-b border-line px-5 ${wide ? '' : 'flex-wrap content-center'}`}
            >
              <View role="cell" className={nameWidth}>
                <CellLink
                  to={{ pathname: '/drawer/hooks/[maker]/[model]', params: { maker: hook.maker, model: hook.model } }}
                >
                  <Say size="small" weight="strong">
                    {`${hook.makerName} ${hook.modelName} ${hook.size}`}
                  </Say>
                </CellLink>
              </View>
              {wide ? null : <View role="presentation" className="w-12" />}
              <Cell className={WIDTH.reads}>{speech.number(row.reads, 1)}</Cell>
              <Cell className={WIDTH.length} about={isAbout(hook.shank.source)}>
                {digits(mm)}
              </Cell>
              <Cell className={WIDTH.gape} about={isAbout(hook.gape.source)}>
                {digits(hook.gape.value)}
              </Cell>
              <Cell className={WIDTH.wire} about={isAbout(hook.wireDiameter.source)}>
                {digits(hook.wireDiameter.value, true)}
              </Cell>
              <View role="cell" className={`${WIDTH.owned} items-end`}>
                <Say size="small">{row.owned > 0 ? String(row.owned) : ''}</Say>
              </View>
            </View>
          );
        })}
      </View>
    </View>
  );
}

const STICKY = { position: 'sticky', top: 0, zIndex: 1 } as object;

/** A length; one that is about is soft and says so to a reader. */
function Cell({ children, className, about = false }: { children: string; className: string; about?: boolean }) {
  const { t } = useSpeech();
  return (
    <View role="cell" aria-label={about ? `${t('about')} ${children}` : undefined} className={`${className} items-end`}>
      <Digits tone={about ? 'soft' : 'ink'}>{about ? `~${children}` : children}</Digits>
    </View>
  );
}
