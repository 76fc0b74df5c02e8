import { readJson } from '../archive/read-json';
import type { HookRow, Taping } from '../hooks';
import { writeHooksFile } from './hooks-file';
import { readTable } from './table';

/** One hook that was measured, as it is given to another tier: by its id, so that joining twice joins once. */
export interface GivenTaping extends Taping {
  id: string;
  maker: string;
  model: string;
  size: string;
  at: string;
}

const DIMENSIONS = ['shank_mm', 'gape_mm', 'overall_mm', 'wire_mm'] as const;

/** Models with what was measured of them, and none of what was worked out from that: docs/formats/hooks.md. */
export function writeModelFile(rows: readonly HookRow[], tapings: readonly GivenTaping[]): string {
  const items = readTable(writeHooksFile(rows)).rows.map(({ cells }) =>
    Object.fromEntries(Object.entries(cells).filter(([, value]) => value !== '')),
  );
  const given = tapings.map(({ id, maker, model, size, at, how, shankMm, gapeMm, overallMm, wireMm }) => ({
    id,
    maker,
    model,
    size,
    at,
    how,
    shank_mm: shankMm,
    gape_mm: gapeMm,
    overall_mm: overallMm,
    wire_mm: wireMm,
  }));
  return `${JSON.stringify({ aubade: 'hooks', version: 1, items, tapings: given }, null, 2)}\n`;
}

function positive(value: unknown): number | null {
  return typeof value === 'number' && Number.isFinite(value) && value > 0 && value <= 200 ? value : null;
}

/** What was measured of the hooks of a file; entries that cannot be read are left out. Empty for a table. */
export function readTapings(text: string): GivenTaping[] {
  const clean = text.replace(/^\uFEFF/, '').trimStart();
  if (!clean.startsWith('{')) return [];
  try {
    const read = readJson(clean);
    const { tapings } = (read.ok ? read.value : {}) as { tapings?: unknown };
    if (!Array.isArray(tapings)) return [];
    return tapings.flatMap((item: Record<string, unknown> | null) => {
      if (
        !item ||
        ['id', 'maker', 'model', 'size', 'at'].some((name) => typeof item[name] !== 'string' || item[name] === '')
      )
        return [];
      const [shankMm, gapeMm, overallMm, wireMm] = DIMENSIONS.map((name) => positive(item[name])) as [
        number | null,
        number | null,
        number | null,
        number | null,
      ];
      if (shankMm === null && gapeMm === null && overallMm === null && wireMm === null) return [];
      return [
        {
          id: item.id as string,
          maker: item.maker as string,
          model: item.model as string,
          size: item.size as string,
          at: item.at as string,
          how: item.how === 'glass' ? ('glass' as const) : ('calliper' as const),
          shankMm,
          gapeMm,
          overallMm,
          wireMm,
        },
      ];
    });
  } catch {
    return [];
  }
}
