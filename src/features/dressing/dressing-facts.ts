import type { Dressing } from '@/core/dressings';
import { resultLine } from '@/features/box';
import { useApp } from '@/state';
import { selectCatalogue, selectResults } from '@/state/answering';
import type { TermId } from '@/features/glossary';
import { useSpeech, useWords } from '@/features/shell';

type Row = [name: string, value: string, term?: TermId];

/** What a dressing is for and what it asks, title and text a row. */
export function useDressingFacts(dressing: Dressing): Row[] {
  const words = useWords();
  const speech = useSpeech();
  const { materials } = useApp(selectCatalogue);
  const waters = useWaters(dressing);
  const results = useApp(selectResults).get(dressing.id);
  const named = (kind: Parameters<typeof speech.plain>[0], ids: readonly string[]) =>
    speech.list(ids.map((id) => speech.plain(kind, id)));
  // What rides in the film is taken there: said once.
  const levels = dressing.levels.filter((level) => level !== (dressing.ride as string));
  const [low, high] = dressing.length_mm;
  const bundles = dressing.bundles.map(({ material, parts }): Row => [
    words('dressing.bundle'),
    words('dressing.bundle-line', {
      material: materials.find((item) => item.id === material)?.name ?? material,
      parts: named(
        'parts',
        parts.map((part) => dressing.parts.find((item) => item.id === part)?.part ?? part),
      ),
    }),
  ]);
  const months = dressing.months.map((month) => words(`dressing.month.${month}`));
  return [
    [words('dressing.for'), named('stages', dressing.stages)],
    [words('dressing.lengths'), words('dressing.range', { low: speech.length(low), high: speech.length(high) })],
    [words('dressing.ride'), speech.beside([speech.plain('rides', dressing.ride), named('levels', levels)]), 'ride'],
    [words('dressing.waters'), waters],
    [words('dressing.hooks'), useHooks(dressing)],
    ...(months.length > 0 ? [[words('dressing.months'), speech.list(months)] satisfies Row] : []),
    [
      words('dressing.skill'),
      speech.list([
        words(`dressing.skill-n.${dressing.skill}`),
        dressing.minutes && words('dressing.minutes', { minutes: dressing.minutes }),
      ]),
    ],
    [words('dressing.taper'), words(`taper.${dressing.taper}`)],
    [words('dressing.guard'), words(`dressing.protect.${dressing.protection}`)],
    ...bundles,
    ...(results ? [[words('dressing.results'), resultLine(results, speech)] satisfies Row] : []),
    [words('dressing.evidence'), speech.plain('evidence', dressing.evidence), 'evidence'],
  ];
}

/** Waters it is for, and where it is tied larger or smaller. */
function useWaters({ waters, size_by_water }: Dressing): string {
  const words = useWords();
  const speech = useSpeech();
  const bySize = Object.entries(size_by_water).filter(([, steps]) => steps !== 0);
  return speech.clauses([
    speech.list(waters.map((water) => speech.plain('waters', water))),
    ...bySize.map(([water, steps]) =>
      words(steps! > 0 ? 'dressing.larger-in' : 'dressing.smaller-in', {
        water: speech.plain('waters', water),
        count: Math.abs(steps!),
      }),
    ),
  ]);
}

/** Bends it is tied on, and how long or short where that matters. */
function useHooks({ hooks }: Dressing): string {
  const words = useWords();
  const speech = useSpeech();
  return speech.list(
    hooks.map(({ bend, x_long }) => {
      const long = x_long && (x_long[0] > 0 || x_long[1] > 1);
      const name = speech.plain('bends', bend);
      return long ? words('dressing.bend-long', { bend: name, low: x_long[0], high: x_long[1] }) : name;
    }),
  );
}
