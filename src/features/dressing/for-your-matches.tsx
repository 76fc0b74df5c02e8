import { useMemo } from 'react';
import { CASE } from '@/catalogue';
import { View } from 'react-native';
import { askedOf } from '@/core/answer';
import { pickingOf, sampleOf } from '@/core/case';
import { rankDressings, whyNot, type Dressing } from '@/core/dressings';
import { selectSettings, useApp } from '@/state';
import { selectCatalogue, selectGroups } from '@/state/answering';
import { matchTitle } from '@/features/matches';
import { useSpeech, useWords } from '@/features/shell';
import { Say } from '@/ui/primitives';
import { AboutSection } from './dressing-about';
import { Reasons } from './reasons';

const SHOWN = 3;

/** Why this one, or why not, for the matches at hand: its place, and what cost it most against the first. */
export function ForYourMatches({ dressing }: { dressing: Dressing }) {
  const words = useWords();
  const speech = useSpeech();
  const catalogue = useApp(selectCatalogue);
  const settings = useApp(selectSettings);
  const groups = useApp(selectGroups);
  const matches = useApp((state) => state.records.entities.match);
  const samples = useApp((state) => state.records.entities.sample);
  const rows = useMemo(() => {
    const placed = [];
    // The latest come first, and no more of them are ranked than are shown.
    for (const match of Object.values(matches).sort((a, b) => b.opened.localeCompare(a.opened))) {
      if (placed.length === SHOWN) break;
      const record = match.answers.find((item) => item.id === match.leading);
      const sample = samples[match.sampleId];
      if (!record?.stage || !sample) continue;
      const order = record.stage.split('/')[0];
      if (!dressing.stages.some((stage) => stage.startsWith(`${order}/`))) continue;
      const asked = sampleOf(sample, record.stage, CASE);
      if (asked.lengthsMm.length === 0) continue;
      const mean = asked.lengthsMm.reduce((sum, mm) => sum + mm, 0) / asked.lengthsMm.length;
      const ranked = rankDressings(
        catalogue.dressings,
        askedOf(
          asked,
          { offset: record.offset, picking: pickingOf(sample, settings, record.stage, groups, CASE.growing) },
          mean,
        ),
        catalogue,
      );
      const at = ranked.findIndex((item) => item.dressing.id === dressing.id);
      if (at >= 0) placed.push({ match, at, of: ranked.length, own: ranked[at]!, first: ranked[0]! });
    }
    return placed;
  }, [matches, samples, catalogue, settings, groups, dressing]);
  if (rows.length === 0) return null;
  return (
    <AboutSection title={words('dressing.for-matches')}>
      {rows.map(({ match, at, of, own, first }) => (
        <View
          key={Object.keys(matches).find((id) => matches[id] === match)}
          className="gap-1 border-b border-line py-2"
        >
          <Say weight="medium">
            {at === 0
              ? words('dressing.first-for', { match: matchTitle(match, speech, words) })
              : words('dressing.place-for', {
                  match: matchTitle(match, speech, words),
                  n: at + 1,
                  of,
                  first: first.dressing.name,
                })}
          </Say>
          <Reasons why={at === 0 ? own.why : whyNot(first, own)} name={matchTitle(match, speech, words)} />
          {at > 0 && whyNot(first, own).length === 0 ? (
            <Say size="small" tone="soft">
              {words('dressing.as-good', { first: first.dressing.name })}
            </Say>
          ) : null}
        </View>
      ))}
    </AboutSection>
  );
}
