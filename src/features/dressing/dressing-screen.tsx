import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { answer, naturalOf, NO_CHOICES } from '@/core/answer';
import type { Dressing } from '@/core/dressings';
import { setDressingSchools } from '@/records';
import { selectCatalogue, selectDevice, selectDressing, selectIsOwn, selectSettings, useAct, useApp } from '@/state';
import { Missing, Page, useSpeech, useWide, useWords } from '@/features/shell';
import { hookName } from '@/features/matches';
import {
  CardAssemblies,
  CardExtras,
  CardParts,
  CardSteps,
  RoomBudget,
  SchoolsPanel,
  Stations,
  SwitchRow,
} from '@/features/bench';
import { Button, Chips, Facts, Heading, Say } from '@/ui/primitives';
import { Ancestry, Claims, OnTheBank, Tools } from './dressing-about';
import { DressingPlate } from './dressing-plate';
import { KeepCard } from './keep-card';
import { useDerive } from './use-derive';
import { ForYourMatches } from './for-your-matches';
import type { Schools } from '@/core/answer';

type Size = 'least' | 'middle' | 'most';

/** The natural a dressing is shown for: the middle of its range, or either end. */
const sampleOf = (dressing: Dressing, size: Size) =>
  naturalOf(dressing, size === 'middle' ? undefined : dressing.length_mm[size === 'least' ? 0 : 1]);

/** One dressing: its plate beside the natural, its parts in millimetres, its steps, what is said for it and where it comes from. */
export function DressingScreen({ id }: { id: string }) {
  const words = useWords();
  const dressing = useApp((state) => selectDressing(state, id));
  if (!dressing) return <Missing what="dressing" list="/dressings" />;
  return <Shown key={dressing.id} dressing={dressing} title={dressing.name} words={words} />;
}

function Shown({ dressing, title, words }: { dressing: Dressing; title: string; words: ReturnType<typeof useWords> }) {
  const speech = useSpeech();
  const router = useRouter();
  const catalogue = useApp(selectCatalogue);
  const { hand } = useApp(selectDevice);
  const { schools, dressingSchools } = useApp(selectSettings);
  const act = useAct();
  const [schooling, setSchooling] = useState(false);
  const own = useApp((state) => selectIsOwn(state, dressing.id));
  const derive = useDerive();
  const wide = useWide();
  const [size, setSize] = useState<Size>('middle');
  const [switched, setSwitched] = useState<{ without: string[]; added: string[] }>({ without: [], added: [] });
  const { card, measured } = useMemo(() => {
    const answered = answer(
      sampleOf(dressing, size),
      {
        ...NO_CHOICES,
        dressingPin: dressing.id,
        hand,
        schools: schools as Schools,
        dressingSchools: dressingSchools as Record<string, Schools>,
        ...switched,
      },
      catalogue,
    );
    return { card: answered.card, measured: answered.natural.length.meanMm };
  }, [dressing, size, hand, schools, dressingSchools, switched, catalogue]);
  const parent = useApp((state) => selectDressing(state, dressing.parent));
  const bySize = Object.entries(dressing.size_by_water).filter(([, steps]) => steps !== 0);
  // What rides in the film is taken there: said once.
  const levels = dressing.levels.filter((level) => level !== (dressing.ride as string));
  const facts: [string, string][] = [
    [words('dressing.for'), speech.list(dressing.stages.map((stage) => speech.plain('stages', stage)))],
    [
      words('dressing.lengths'),
      words('dressing.range', {
        low: speech.length(dressing.length_mm[0]),
        high: speech.length(dressing.length_mm[1]),
      }),
    ],
    [
      words('dressing.ride'),
      speech.beside([
        speech.plain('rides', dressing.ride),
        speech.list(levels.map((level) => speech.plain('levels', level))),
      ]),
    ],
    [
      words('dressing.waters'),
      speech.clauses([
        speech.list(dressing.waters.map((water) => speech.plain('waters', water))),
        ...bySize.map(([water, steps]) =>
          words(steps! > 0 ? 'dressing.larger-in' : 'dressing.smaller-in', {
            water: speech.plain('waters', water),
            count: Math.abs(steps!),
          }),
        ),
      ]),
    ],
    [
      words('dressing.hooks'),
      speech.list(
        dressing.hooks.map(
          (hook) =>
            `${speech.plain('bends', hook.bend)}${hook.x_long && (hook.x_long[0] > 0 || hook.x_long[1] > 1) ? ` ${words('dressing.x-long', { low: hook.x_long[0], high: hook.x_long[1] })}` : ''}`,
        ),
      ),
    ],
    ...(dressing.months.length > 0
      ? [
          [words('dressing.months'), speech.list(dressing.months.map((month) => words(`dressing.month.${month}`)))] as [
            string,
            string,
          ],
        ]
      : []),
    [
      words('dressing.skill'),
      speech.list([
        words(`dressing.skill-n.${dressing.skill}`),
        dressing.minutes && words('dressing.minutes', { minutes: dressing.minutes }),
      ]),
    ],
    [words('dressing.taper'), speech.t(`ui.taper.${dressing.taper}`)],
    [words('dressing.guard'), words(`dressing.protect.${dressing.protection}`)],
    ...dressing.bundles.map((bundle): [string, string] => [
      words('dressing.bundle'),
      words('dressing.bundle-line', {
        material: catalogue.materials.find((item) => item.id === bundle.material)?.name ?? bundle.material,
        parts: speech.list(
          bundle.parts.map((part) =>
            speech.plain('parts', dressing.parts.find((item) => item.id === part)?.part ?? part),
          ),
        ),
      }),
    ]),
    [words('dressing.evidence'), speech.plain('evidence', dressing.evidence)],
  ];
  const picture = card ? (
    <View className="gap-3 pb-4">
      <DressingPlate card={card} stage={dressing.stages[0]!} naturalMm={measured} maxHeight={wide ? 440 : 320} />
      <View className="gap-2 px-5">
        <Chips
          compact
          label={words('dressing.shown-for')}
          choices={(['least', 'middle', 'most'] as const).map((item) => ({
            id: item,
            label: words(`dressing.size.${item}`, { mm: speech.length(sampleOf(dressing, item).lengthsMm[0]!) }),
          }))}
          value={size}
          onChange={(next) => setSize(next)}
        />
        <Say size="small" tone="soft">
          {words('dressing.on-hook', { hook: hookName(card.hook) })}
        </Say>
        {card.fits ? null : (
          <Say size="small" tone="dawn">
            {words('bench.over', {
              part: speech.plain('parts', card.parts.find((part) => part.id === card.over!.part)?.part ?? ''),
              mm: speech.length(card.over!.mm),
            })}
          </Say>
        )}
        <SwitchRow
          dressing={dressing}
          stage={dressing.stages[0]!}
          without={switched.without}
          added={switched.added}
          onChange={(without, added) => setSwitched({ without, added })}
        />
      </View>
    </View>
  ) : (
    <Say className="px-5">{words('dressing.no-card')}</Say>
  );
  const doing = (
    <View className="flex-row flex-wrap gap-3 px-5 pb-4">
      {own ? (
        <Button
          kind="main"
          label={words('dressing.edit')}
          onPress={() => router.navigate({ pathname: '/dressings/[id]/edit', params: { id: dressing.id } })}
        />
      ) : null}
      <Button kind={own ? 'plain' : 'main'} label={words('dressing.derive')} onPress={() => derive(dressing)} />
    </View>
  );
  const about = (
    <>
      <View className="px-5 pb-6">
        <Facts rows={facts} />
      </View>
      <ForYourMatches dressing={dressing} />
      <Claims dressing={dressing} />
      <OnTheBank dressing={dressing} />
      <Ancestry dressing={dressing} />
      <View className="gap-3 px-5 pb-6">
        <View className="flex-row items-center gap-3">
          <Button
            label={words(schooling ? 'bench.schools-close' : 'dressing.schools')}
            onPress={() => setSchooling(!schooling)}
          />
          <Say size="small" tone="soft" className="min-w-0 flex-1">
            {words('bench.schools-set', { count: Object.keys(dressingSchools[dressing.id] ?? {}).length })}
          </Say>
        </View>
        {schooling ? (
          <SchoolsPanel
            dressing={dressing.id}
            value={dressingSchools[dressing.id] ?? {}}
            inherited={schools}
            onChange={(next) => act(setDressingSchools, { dressingId: dressing.id, schools: next })}
          />
        ) : null}
      </View>
    </>
  );
  const parts = card ? (
    <View className="gap-6 pb-8">
      <View>
        <Heading className="px-5 pb-2">{words('dressing.parts')}</Heading>
        <CardParts card={card} />
      </View>
      <Stations card={card} />
      <RoomBudget card={card} />
      <CardExtras card={card} />
    </View>
  ) : null;
  const steps = card ? (
    <View className="gap-6 pb-8">
      <CardAssemblies card={card} />
      <View>
        <Heading className="px-5 pb-2">{words('dressing.steps')}</Heading>
        <CardSteps card={card} />
      </View>
      <Tools dressing={dressing} />
      <KeepCard card={card} dressing={dressing} />
    </View>
  ) : null;
  const lead = parent ? words('dressing.parent', { parent: parent.name }) : undefined;
  return (
    <Page column="list" back={{ href: '/dressings', label: words('place.dressings') }} title={title} lead={lead}>
      {wide ? (
        <View className="flex-row gap-6">
          <View className="min-w-0 flex-1">
            {picture}
            {doing}
            {about}
            {parts}
          </View>
          <View className="min-w-0 flex-1">{steps}</View>
        </View>
      ) : (
        <>
          {picture}
          {doing}
          {about}
          {parts}
          {steps}
        </>
      )}
    </Page>
  );
}
