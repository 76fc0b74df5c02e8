import { KNOWN } from '@/catalogue';
import type { OrderId, StageId, StyleId, WaterId } from '@/catalogue/ids';
import type { Dressing } from '@/core/dressings';
import type { Material } from '@/core/materials';
import { type Speech } from '@/speech';
import { foundBy } from '@/speech/card';

/** What the library shows; null for any. */
export interface LibraryFilter {
  search: string;
  order: OrderId | null;
  stage: StageId | null;
  style: StyleId | null;
  water: WaterId | null;
  skill: 1 | 2 | 3 | null;
  /** Only the tier's own. */
  mine: boolean;
  /** Only what can be tied from what is had, with substitutes or without. */
  ready: boolean;
}

export const ALL: LibraryFilter = {
  search: '',
  order: null,
  stage: null,
  style: null,
  water: null,
  skill: null,
  mine: false,
  ready: false,
};

/** Words a dressing is found by: its name and id, its naturals and style, its materials. */
function wordsOf(dressing: Dressing, materials: readonly Material[], { ids }: Pick<Speech, 'ids'>): string {
  const named = dressing.parts.flatMap(
    (part) => materials.find((material) => material.id === part.material)?.name ?? [],
  );
  const stages = dressing.stages.flatMap((id) => [
    id,
    ids.stages.find((stage) => stage.id === id)?.name ?? '',
    ...(ids.orders.find((order) => id.startsWith(`${order.id}/`))?.alias ?? []),
  ]);
  return [dressing.name, dressing.id, dressing.style, dressing.ride, ...stages, ...named].join(' ').toLowerCase();
}

/** Whether a dressing answers the filter; `own` are the tier's own, by id. */
export function answersFilter(
  dressing: Dressing,
  filter: LibraryFilter,
  materials: readonly Material[],
  own: ReadonlySet<string>,
  speech: Pick<Speech, 'ids'>,
): boolean {
  if (filter.order !== null && !dressing.stages.some((stage) => stage.startsWith(`${filter.order}/`))) return false;
  if (filter.stage !== null && !dressing.stages.includes(filter.stage)) return false;
  if (filter.style !== null && dressing.style !== filter.style) return false;
  if (filter.water !== null && !dressing.waters.includes(filter.water)) return false;
  if (filter.skill !== null && dressing.skill > filter.skill) return false;
  if (filter.mine && !own.has(dressing.id)) return false;
  return filter.search.trim() === '' || foundBy(wordsOf(dressing, materials, speech), filter.search);
}

/** The dressings of each stage in the order of the list, those made for it first of all before those that only take it along. */
export function dressingsByStage(
  dressings: readonly Dressing[],
  filter: LibraryFilter,
): { stage: StageId; dressings: Dressing[] }[] {
  return KNOWN.stages.flatMap((stage) => {
    if (filter.order !== null && !stage.startsWith(`${filter.order}/`)) return [];
    if (filter.stage !== null && stage !== filter.stage) return [];
    const made = dressings.filter((dressing) => dressing.stages.includes(stage));
    if (made.length === 0) return [];
    return [
      {
        stage,
        dressings: [
          ...made.filter((dressing) => dressing.stages[0] === stage),
          ...made.filter((dressing) => dressing.stages[0] !== stage),
        ],
      },
    ];
  });
}
