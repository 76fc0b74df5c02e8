import { useRouter } from 'expo-router';
import { View } from 'react-native';
import type { RegionId, StageId } from '@/catalogue/ids';
import { GROWING_ON, labOfShade } from '@/catalogue';
import { driftedLab, growingOn, leadsTo, type Drift, type Grown } from '@/core/belief';
import { hexOfLab, shadeOf, type Lab } from '@/core/colour';
import { BELLY, Z95 } from '@/core/constants';
import type { LengthStats } from '@/core/naturals';
import { followMatch, type MatchRecord, type SampleRecord } from '@/records';
import { useAct, useAfterwards, useApp, useLater } from '@/state';
import { selectBelief, selectKey } from '@/state/answering';
import { useRedLamp, useSpeech, useWords } from '@/features/shell';
import { Button, Fold, Say } from '@/ui/primitives';

interface GrowingProps {
  matchId: string;
  match: MatchRecord;
  sample: SampleRecord;
  stage: StageId;
  length: LengthStats;
  open: boolean;
  onToggle: (open: boolean) => void;
}

/** What this insect will be, and what it was: lengths as ranges, and a match for each with one tap. */
export function Growing({ matchId, match, sample, stage, length, open, onToggle }: GrowingProps) {
  const words = useWords();
  const speech = useSpeech();
  const act = useAct();
  const router = useRouter();
  const believed = useAfterwards(useLater((state) => selectBelief(state, match.sampleId)));
  const key = useApp(selectKey);
  const grown = growingOn(
    GROWING_ON,
    stage,
    length.meanMm,
    (to) => !believed || leadsTo(key, believed.belief, stage, to),
  );
  if (grown.length === 0) return null;
  const belly = believed?.sighting.belly ?? null;
  const bellyOf = (item: Grown): Partial<Record<RegionId, string>> => {
    if (!belly || !item.drift) return {};
    const { tone, hue } = shadeOf(driftedLab(belly, item.drift).usual);
    const shade = `${tone ?? 'mid'}-${hue}`;
    return labOfShade(shade) ? { [BELLY]: shade } : {};
  };
  const follow = (item: Grown) => {
    const id = act(followMatch, {
      matchId,
      stage: item.stage,
      lowMm: item.lowMm,
      usualMm: item.usualMm,
      highMm: item.highMm,
      seMm: length.seMm,
      shades: bellyOf(item),
    });
    if (id === null) return;
    router.navigate({ pathname: '/matches/[id]/[step]', params: { id, step: 'hook' } });
  };
  return (
    <Fold
      wide
      title={words('growing.title')}
      line={speech.list(grown.map((item) => speech.name('stages', item.stage)))}
      open={open}
      onToggle={onToggle}
    >
      {match.parentId ? (
        <Say size="small" tone="soft">
          {words('growing.from-parent')}
        </Say>
      ) : null}
      {grown.map((item) => (
        <View
          key={`${item.direction}${item.stage}`}
          className="min-h-touch flex-row items-center justify-between gap-3 border-b border-line py-1"
        >
          <View className="min-w-0 flex-1">
            <Say weight="medium">{speech.name('stages', item.stage)}</Say>
            <Say size="small" tone="soft">
              {words(`growing.${item.direction}`, { low: speech.length(item.lowMm), high: speech.length(item.highMm) })}
            </Say>
            <Say size="small" tone="soft">
              {words('growing.spread', { mm: speech.length(Z95 * length.hatchSdMm * item.factor) })}
            </Say>
            {item.drift ? <DriftLine drift={item.drift} belly={belly} /> : null}
          </View>
          <Button
            label={words('growing.follow')}
            spoken={words('growing.follow-what', { stage: speech.plain('stages', item.stage) })}
            onPress={() => follow(item)}
          />
        </View>
      ))}
    </Fold>
  );
}

/** How the belly changes on the way, in words; with a belly that is known, the range as two patches. */
function DriftLine({ drift, belly }: { drift: Drift; belly: Lab | null }) {
  const words = useWords();
  const red = useRedLamp();
  const [lightness, redness] = drift;
  const light = Math.sign(lightness[0] + lightness[1]) * Number(Math.abs(lightness[0] + lightness[1]) > MUCH);
  const reddish = Number(redness[0] + redness[1] > MUCH);
  const range = belly ? driftedLab(belly, drift) : null;
  return (
    <View className="flex-row flex-wrap items-center gap-2">
      <Say size="small" tone="soft">
        {words(`growing.drift.${light < 0 ? 'darker' : light > 0 ? 'paler' : 'same'}${reddish ? '-redder' : ''}`)}
      </Say>
      {range && !red ? (
        <View aria-hidden className="flex-row">
          {[range.low, range.usual, range.high].map((lab, index) => (
            <View key={index} style={{ backgroundColor: hexOfLab(lab) }} className="h-5 w-6 border border-edge" />
          ))}
        </View>
      ) : null}
    </View>
  );
}

/** A shift of the middle smaller than half of this is not worth a word, in L* or a*. */
const MUCH = 6;
