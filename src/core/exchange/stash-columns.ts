import type { FunctionId } from '@/catalogue/ids';
import type { SheetColumn } from './sheet';

const MOST = 100_000;

/** What a table of a stash is read by: what is had, in which shade, and how much of it. */
export function stashColumns(functions: readonly FunctionId[]): readonly SheetColumn[] {
  const column = (
    name: string,
    holds: SheetColumn['holds'],
    also: readonly string[] = [],
    needed = false,
  ): SheetColumn => ({
    name,
    holds,
    also,
    length: false,
    needed,
  });
  return [
    column('material', { of: 'text' }, ['id', 'name', 'what', 'item', 'title'], true),
    column('shade', { of: 'text' }, ['colour-name', 'color-name', 'colour-word']),
    column('hex', { of: 'hex' }, ['colour', 'color', 'rgb', 'measured']),
    column('label', { of: 'text' }, ['printed', 'packet']),
    column('functions', { of: 'several', ids: functions }, ['function', 'use']),
    column('amount', { of: 'number', low: 0, high: MOST }, ['count', 'left', 'quantity', 'qty', 'how-many']),
    column('low', { of: 'number', low: 0, high: MOST }, ['low-mark', 'reorder', 'minimum']),
    column('place', { of: 'text' }, ['where', 'box', 'drawer']),
    column('note', { of: 'text' }, ['notes', 'remark', 'comment']),
  ];
}
