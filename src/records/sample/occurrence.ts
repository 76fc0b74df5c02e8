import TAXA from '@/catalogue/darwin-core.json';
import type { Occurrence } from '@/core/exchange/darwin-core';
import type { Entities } from '../kinds';
import type { SampleRecord } from './schema';

/** What the standard has no term for, by our names, where it was said. */
function moreOf({
  surface,
  found,
  doing,
  rise,
  seen,
  preserved,
  rough,
  shades,
  signs,
}: SampleRecord): Record<string, string> {
  const said: [string, string | null][] = [
    ['surface', surface],
    ['found', found],
    ['doing', doing],
    ['rise', rise],
    ['seen', seen.join(' ')],
    ['preserved', preserved ? 'yes' : null],
    ['roughMm', rough ? `${rough.mm}` : null],
    ...Object.entries(shades).map(([region, shade]): [string, string | null] => [`shade-${region}`, shade ?? null]),
    ...Object.entries(signs).map(([sign, answer]): [string, string | null] => [`sign-${sign}`, answer ?? null]),
  ];
  return Object.fromEntries(said.flatMap(([name, value]) => (value ? [[name, value]] : [])));
}

/** Samples as occurrences: each with the stage that its match leads with. */
export function occurrencesOf({ sample, match }: Pick<Entities, 'sample' | 'match'>): Occurrence[] {
  const stages = new Map(
    Object.values(match).map((own) => [own.sampleId, own.answers.find(({ id }) => id === own.leading)?.stage ?? null]),
  );
  return Object.entries(sample).map(([id, own]): Occurrence => {
    const [order, stage] = (stages.get(id) ?? '').split('/');
    const taxon = (TAXA.taxa as unknown as Record<string, readonly [string, string] | undefined>)[order ?? ''];
    return {
      id,
      when: own.when,
      place: own.place,
      water: own.water,
      taxon: taxon ?? null,
      stage: stage ?? null,
      sex: own.sex,
      method: own.method,
      specimens: own.specimens.flatMap(({ id: individual, body, halfMm, out }) =>
        body.mm === null ? [] : [{ id: individual, mm: body.mm, halfMm, out }],
      ),
      caseMm: own.case.mm,
      overallMm: own.overall.mm,
      colours: Object.fromEntries(Object.entries(own.colours).flatMap(([region, hex]) => (hex ? [[region, hex]] : []))),
      more: moreOf(own),
      extra: own.extra,
    };
  });
}
