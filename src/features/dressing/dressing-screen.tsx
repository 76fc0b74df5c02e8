import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { answerFirm, naturalOf, NO_CHOICES, type Schools } from '@/core/answer';
import type { Dressing } from '@/core/dressings';
import type { Card } from '@/core/tying';
import { setDressingSchools } from '@/records';
import { selectDevice, selectSettings, useAct, useApp } from '@/state';
import { selectCatalogue, selectDressing, selectIsOwn } from '@/state/answering';
import { Missing, Page, useSpeech, useWide, useWords } from '@/features/shell';
import { partNamed } from '@/speech/card';
import { Term } from '@/features/glossary';
import { hookName } from '@/features/matches';
import {
  CardAssemblies,
  CardParts,
  CardSteps,
  fromDressing,
  KeepCard,
  RoomFold,
  SchoolsPanel,
  SmallPrintFold,
  SwitchRow,
  useStartSession,
  WorkFold,
} from '@/features/bench';
import { Button, Facts, Heading, Pick, Say } from '@/ui/primitives';
import { AboutSection, Ancestry, Claims, OnTheBank, Tools } from './dressing-about';
import { useDressingFacts } from './dressing-facts';
import { DressingPlate } from './dressing-plate';
import { FromTheDrawer } from './ready';
import { useDerive } from './use-derive';
import { ForYourMatches } from './for-your-matches';

const SIZES = ['least', 'middle', 'most'] as const;
type Size = (typeof SIZES)[number];

/** The natural a dressing is shown for: the middle of its range, or either end. */
const sampleOf = (dressing: Dressing, size: Size) =>
  naturalOf(dressing, size === 'middle' ? undefined : dressing.length_mm[size === 'least' ? 0 : 1]);

/** One dressing: its plate beside the natural, its parts in millimetres, its steps, what is said for it and where it comes from. */
export function DressingScreen({ id }: { id: string }) {
  const dressing = useApp((state) => selectDressing(state, id));
  if (!dressing) return <Missing what="dressing" list="/dressings" />;
  return <Shown key={dressing.id} dressing={dressing} />;
}

interface Switched {
  without: string[];
  added: string[];
}

/** The card of a dressing for one size of natural, and that natural's length. */
function useShownCard(dressing: Dressing, size: Size, switched: Switched) {
  const catalogue = useApp(selectCatalogue);
  const { hand } = useApp(selectDevice);
  const { schools, dressingSchools } = useApp(selectSettings);
  return useMemo(() => {
    const choices = {
      ...NO_CHOICES,
      dressingPin: dressing.id,
      hand,
      schools: schools as Schools,
      dressingSchools: dressingSchools as Record<string, Schools>,
      ...switched,
    };
    const sample = sampleOf(dressing, size);
    const answered = answerFirm(sample, choices, catalogue);
    return { card: answered.card, measured: answered.natural.length.meanMm };
  }, [dressing, size, hand, schools, dressingSchools, switched, catalogue]);
}

function Shown({ dressing }: { dressing: Dressing }) {
  const words = useWords();
  const wide = useWide();
  const [size, setSize] = useState<Size>('middle');
  const [switched, setSwitched] = useState<Switched>({ without: [], added: [] });
  const { card, measured } = useShownCard(dressing, size, switched);
  const parent = useApp((state) => selectDressing(state, dressing.parent));
  const first = (
    <>
      {card ? (
        <Picture
          {...{ dressing, card, measured, size, switched }}
          onSize={setSize}
          onSwitch={(without, added) => setSwitched({ without, added })}
        />
      ) : (
        <Say className="px-5">{words('dressing.no-card')}</Say>
      )}
      <Doing dressing={dressing} />
      <About dressing={dressing} />
      {card ? <Parts card={card} /> : null}
      <FromTheDrawer dressing={dressing} />
    </>
  );
  const steps = card ? <Steps card={card} dressing={dressing} /> : null;
  return (
    <Page
      column="list"
      back={{ href: '/dressings', label: words('place.dressings') }}
      title={dressing.name}
      lead={parent ? words('dressing.parent', { parent: parent.name }) : undefined}
    >
      {wide ? (
        <View className="flex-row gap-6">
          <View className="min-w-0 flex-1">{first}</View>
          <View className="min-w-0 flex-1">{steps}</View>
        </View>
      ) : (
        <>
          {first}
          {steps}
        </>
      )}
    </Page>
  );
}

interface PictureProps {
  dressing: Dressing;
  card: Card;
  measured: number;
  size: Size;
  switched: Switched;
  onSize: (size: Size) => void;
  onSwitch: (without: string[], added: string[]) => void;
}

/** The plate, the size of natural it is shown for, the hook, and what may be left out. */
function Picture({ dressing, card, measured, size, switched, onSize, onSwitch }: PictureProps) {
  const words = useWords();
  const speech = useSpeech();
  const wide = useWide();
  const stage = dressing.stages[0]!;
  return (
    <View className="gap-3 pb-4">
      <DressingPlate card={card} stage={stage} naturalMm={measured} maxHeight={wide ? 440 : 320} />
      <View className="gap-2 px-5">
        <View className="max-w-96 flex-row">
          <Pick
            label={words('dressing.shown-for')}
            choices={SIZES.map((item) => ({
              id: item,
              label: words(`dressing.size.${item}`, { mm: speech.length(sampleOf(dressing, item).lengthsMm[0]!) }),
            }))}
            value={size}
            onChange={(id) => id && onSize(id)}
          />
        </View>
        <Say size="small" tone="soft">
          {words('dressing.on-hook', { hook: hookName(card.hook) })}
        </Say>
        {card.over ? (
          <Say size="small" tone="dawn">
            {words('bench.over', { part: partNamed(card, card.over.part, speech), mm: speech.length(card.over.mm) })}
          </Say>
        ) : null}
        <SwitchRow
          dressing={dressing}
          stage={stage}
          without={switched.without}
          added={switched.added}
          onChange={onSwitch}
        />
      </View>
    </View>
  );
}

/** What can be done with it: one of one's own is changed, any other is made one's own. */
function Doing({ dressing }: { dressing: Dressing }) {
  const words = useWords();
  const router = useRouter();
  const derive = useDerive();
  const start = useStartSession();
  const own = useApp((state) => selectIsOwn(state, dressing.id));
  return (
    <View className="flex-row flex-wrap gap-3 px-5 pb-4">
      {own ? (
        <Button
          kind="main"
          label={words('dressing.edit')}
          onPress={() => router.navigate({ pathname: '/dressings/[id]/edit', params: { id: dressing.id } })}
        />
      ) : null}
      <Button kind={own ? 'plain' : 'main'} label={words('dressing.derive')} onPress={() => derive(dressing)} />
      <Button label={words('vise.tie-some')} onPress={() => start((state) => fromDressing(state, dressing.id))} />
    </View>
  );
}

/** What it is for, what is said for it, where it comes from, and the schools it is tied in. */
function About({ dressing }: { dressing: Dressing }) {
  const words = useWords();
  const act = useAct();
  const { schools, dressingSchools } = useApp(selectSettings);
  const [schooling, setSchooling] = useState(false);
  const own = dressingSchools[dressing.id] ?? {};
  return (
    <>
      <View className="px-5 pb-6">
        <Facts
          rows={useDressingFacts(dressing).map(([name, value, term]) => [
            name,
            value,
            term ? <Term id={term}>{name}</Term> : undefined,
          ])}
        />
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
            {words('bench.schools-set', { count: Object.keys(own).length })}
          </Say>
        </View>
        {schooling ? (
          <SchoolsPanel
            dressing={dressing.id}
            value={own}
            inherited={schools}
            onChange={(next) => act(setDressingSchools, { dressingId: dressing.id, schools: next })}
          />
        ) : null}
      </View>
    </>
  );
}

function Parts({ card }: { card: Card }) {
  const words = useWords();
  return (
    <View className="gap-4">
      <View>
        <Heading className="px-5 pb-2">{words('dressing.parts')}</Heading>
        <CardParts card={card} />
      </View>
      <View className="border-t border-line">
        <RoomFold card={card} />
        <SmallPrintFold card={card} />
      </View>
    </View>
  );
}

function Steps({ card, dressing }: { card: Card; dressing: Dressing }) {
  const words = useWords();
  const wide = useWide();
  return (
    <View className="gap-6 pb-8">
      {wide ? (
        <View className="gap-2">
          <Heading className="px-5">{words('bench.steps-title')}</Heading>
          <CardAssemblies card={card} />
          <CardSteps card={card} />
        </View>
      ) : (
        <WorkFold card={card} />
      )}
      <Tools dressing={dressing} />
      <AboutSection title={words('dressing.keep')}>
        <View className="pt-3">
          <KeepCard card={card} dressing={dressing} natural={[]} />
        </View>
      </AboutSection>
    </View>
  );
}
