import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { ANSWERS, catalogueOf, KEY, labOfShade, REFERENCE_HOOKS } from '@/catalogue';
import { answer, NO_CHOICES } from '@/core/answer';
import type { StageId } from '@/catalogue/ids';
import type { AskedId, GroupStage } from '@/core/belief';
import { hexOfLab } from '@/core/colour';
import { deleteGroup } from '@/records';
import { useAct, useApp } from '@/state';
import { selectGroups } from '@/state/answering';
import { Missing, Page, useRedLamp, useSpeech, useWidth, useWords } from '@/features/shell';
import { Pictogram } from '@/features/key';
import { Drawing, hookMarks, Marks, naturalMarks } from '@/ui/drawings';
import { Button, Facts, Heading, Say } from '@/ui/primitives';
import { GroupForm } from './group-form';
import { raised } from '@/speech';
import { SeasonBar } from './season-bar';

const SIGNS_SHOWN = 5;
/** Where, doing what, in what light: not of the insect itself. */
const CIRCUMSTANCE: ReadonlySet<AskedId> = new Set(['found', 'doing', 'light']);
/** An answer this likely is what one sees. */
const PLAIN = 0.6;

/** Signs that tell a stage best: the likeliest answer of those where it stands out most from all stages. */
export function tellingSigns(stage: StageId): { sign: AskedId; answer: string }[] {
  const row = KEY.ids.indexOf(stage);
  return (Object.keys(ANSWERS) as AskedId[])
    .filter((sign) => !CIRCUMSTANCE.has(sign))
    .flatMap((sign) => {
      const own = KEY.table[sign][row]!;
      const best = own.indexOf(Math.max(...own));
      const others = KEY.table[sign].reduce((sum, other) => sum + other[best]!, 0) / KEY.ids.length;
      return own[best]! >= PLAIN ? [{ sign, answer: ANSWERS[sign][best]!, apart: Math.log(own[best]! / others) }] : [];
    })
    .sort((a, b) => b.apart - a.apart)
    .slice(0, SIGNS_SHOWN);
}

/** One group: its stages drawn at one scale, lengths, season, colours in words, and the signs that tell each stage. */
export function GroupScreen({ id }: { id: string }) {
  const words = useWords();
  const speech = useSpeech();
  const router = useRouter();
  const act = useAct();
  const group = useApp(selectGroups).find((item) => item.id === id);
  const own = useApp((state) => state.records.entities.group[id]);
  if (!group) return <Missing what="group" list="/shelf/naturals" />;
  const facts: [string, string][] = [
    [words('guide.science'), group.scientific],
    [words('guide.where'), speech.list(group.regions.map((region) => speech.name('faunas', region)))],
    [words('natural.water'), speech.list(group.waters.map((water) => speech.plain('waters', water)))],
    ...(group.hatch ? [[words('guide.hatch'), words(`guide.hatch-name.${group.hatch}`)] as [string, string]] : []),
    ...(group.adult_tails ? [[words('guide.tails'), speech.list(group.adult_tails)] as [string, string]] : []),
    ...(group.note ? [[words('guide.note'), group.note] as [string, string]] : []),
    [words('dressing.evidence'), speech.plain('evidence', group.evidence)],
  ];
  return (
    <Page back={{ href: '/shelf/naturals', label: words('shelf.naturals') }} title={raised(group.name)}>
      {own ? <GroupForm id={id} group={own} /> : null}
      <View className="gap-4 px-5 pb-6">
        <SeasonBar months={group.months} />
        {own ? (
          <Button
            kind="quiet"
            label={words('guide.delete')}
            className="self-start"
            onPress={() => {
              router.navigate('/shelf/naturals');
              act(deleteGroup, { groupId: id });
            }}
          />
        ) : (
          <Facts rows={facts} />
        )}
      </View>
      <Heading className="px-5 pb-2">{words('guide.stages')}</Heading>
      {group.stages.map((entry) => (
        <StageOfGroup
          key={entry.stage}
          entry={entry}
          longest={Math.max(...group.stages.map((item) => item.length_mm?.[1] ?? 0))}
        />
      ))}
    </Page>
  );
}

/** The hook of the maker-less range that carries this stage, drawn beside it; about. */
function hookFor(stage: StageId, lengthMm: number) {
  return (
    answer(
      {
        stage,
        lengthsMm: [lengthMm],
        overallMm: null,
        caseMm: null,
        widthMm: null,
        method: 'typed',
        sex: null,
        colours: {},
        surface: 'dry',
        water: null,
      },
      NO_CHOICES,
      catalogueOf(REFERENCE_HOOKS),
    ).hooks.map(({ id }) => REFERENCE_HOOKS.find((hook) => hook.id === id)!)[0] ?? null
  );
}

function StageOfGroup({ entry, longest }: { entry: GroupStage; longest: number }) {
  const words = useWords();
  const speech = useSpeech();
  const red = useRedLamp();
  const [width, box] = useWidth();
  const typical = entry.length_mm?.[1] ?? null;
  const shade = entry.shades[0] ? labOfShade(entry.shades[0]) : null;
  const colours =
    shade && !red
      ? {
          'abdomen-belly': hexOfLab(shade),
          'abdomen-back': hexOfLab(shade),
          'thorax-belly': hexOfLab(shade),
          'thorax-back': hexOfLab(shade),
        }
      : {};
  const drawing = naturalMarks(entry.stage, typical ?? 8, colours, entry.case_mm?.[1] ?? null);
  // One scale for all stages of a group: the longest body takes a third of the width, room for tails and feelers.
  const scale = width / (3 * Math.max(1, longest));
  const hook = typical ? hookFor(entry.stage, typical) : null;
  const iron = hook
    ? hookMarks({
        bend: hook.bend,
        eye: hook.eye,
        barb: hook.barb,
        shankMm: hook.shank.value,
        gapeMm: hook.gape.value,
        biteMm: hook.bite.value,
        wireMm: hook.wireDiameter.value,
        eyeMm: hook.eyeOuter.value,
      })
    : null;
  const natural = (drawing.bounds.top - drawing.bounds.bottom) * scale;
  const height = Math.ceil(natural + (iron ? (iron.bounds.top - iron.bounds.bottom) * scale + 10 : 0)) + 12;
  return (
    <View className="gap-2 border-b border-line px-5 py-3">
      <View className="flex-row items-baseline justify-between gap-3">
        <Heading level={3} size="lead">
          {speech.name('stages', entry.stage)}
        </Heading>
        {entry.length_mm ? (
          <Say size="small" tone="soft">
            {words('guide.length', {
              low: speech.length(entry.length_mm[0]),
              usual: speech.length(entry.length_mm[1]),
              high: speech.length(entry.length_mm[2]),
            })}
          </Say>
        ) : null}
      </View>
      <View {...box}>
        {width > 0 && typical ? (
          <Drawing
            label={words('plate.natural-only', {
              natural: speech.name('stages', entry.stage),
              length: speech.length(typical),
            })}
            width={width}
            height={height}
          >
            <Marks marks={drawing.marks} scale={scale} x={width * 0.68} y={6 + drawing.bounds.top * scale} />
            {iron ? (
              <Marks marks={iron.marks} scale={scale} x={width * 0.68} y={16 + natural + iron.bounds.top * scale} />
            ) : null}
          </Drawing>
        ) : null}
      </View>
      {hook ? (
        <Say size="small" tone="soft">
          {words('guide.hook', { size: hook.size, bend: speech.plain('bends', hook.bend) })}
        </Say>
      ) : null}
      {entry.shades.length > 0 ? (
        <Say size="small">
          {speech.list(
            entry.shades.map((item) =>
              words('guide.shade', {
                tone: words(`guide.tone.${item.split('-')[0]}`),
                hue: speech.t(`hue.${item.split('-')[1]}`),
              }),
            ),
          )}
        </Say>
      ) : null}
      <View className="flex-row flex-wrap gap-x-5 gap-y-2">
        {tellingSigns(entry.stage).map(({ sign, answer }) => (
          <View key={sign} className="flex-row items-center gap-2">
            <Pictogram sign={sign} answer={answer} />
            <Say size="small" tone="soft">
              {speech.answer(sign, answer)}
            </Say>
          </View>
        ))}
      </View>
    </View>
  );
}
