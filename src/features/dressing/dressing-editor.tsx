import { useRouter } from 'expo-router';
import { useDeferredValue, useMemo, useState } from 'react';
import { View } from 'react-native';
import { STYLES, tailsOf } from '@/catalogue';
import type { LevelId, RideId, StyleId, WaterId } from '@/catalogue/ids';
import { answer, lookAgain, naturalOf, NO_CHOICES, type Catalogue } from '@/core/answer';
import type { Dressing } from '@/core/dressings';
import { dressingFaults } from '@/core/faults';
import type { Card } from '@/core/tying';
import { putBack, takeOut, type TakenOut } from '@/core/ways';
import { deleteDressing, putDressing } from '@/records';
import { selectDevice, useAct, useApp } from '@/state';
import { selectCatalogue, selectDressing, selectIsOwn } from '@/state/answering';
import { LengthField, NumberField } from '@/features/length-field';
import { Missing, Page, useSpeech, useWide, useWords } from '@/features/shell';
import { RoomBudget } from '@/features/bench';
import { Button, Choose, Heading, Labelled, Pick, Say } from '@/ui/primitives';
import { Ancestry } from './dressing-about';
import { AddPart } from './edit-add';
import { CheckLines } from './check-lines';
import { DressingPlate } from './dressing-plate';
import { EditBuild } from './edit-build';
import { ChoicesField, NeededField } from './edit-fold';
import { EditPart } from './edit-part';
import { EditSaid } from './edit-said';
import { EditShared } from './edit-shared';
import { EditSteps } from './edit-steps';

const MINUTES = [1, 240] as const;
const SKILLS = [1, 2, 3] as const;

/** A dressing of the tier's own: its rules and its order of work, with the plate, the checker and the room as it is typed. */
export function DressingEditor({ id }: { id: string }) {
  const dressing = useApp((state) => selectDressing(state, id));
  const own = useApp((state) => selectIsOwn(state, id));
  if (!dressing || !own) return <Missing what="dressing" list="/dressings" />;
  return <Editing dressing={dressing} />;
}

function cardOf(dressing: Dressing, catalogue: Catalogue, hand: 'right' | 'left'): Card | null {
  return answer(
    naturalOf(dressing),
    { ...NO_CHOICES, dressingPin: dressing.id, hand, added: dressing.switches.map((item) => item.id) },
    { ...catalogue, dressings: [dressing] },
  ).card;
}

function Editing({ dressing }: { dressing: Dressing }) {
  const words = useWords();
  const speech = useSpeech();
  const { ids } = speech;
  const wide = useWide();
  const router = useRouter();
  const act = useAct();
  const catalogue = useApp(selectCatalogue);
  const { hand } = useApp(selectDevice);
  const put = (next: Dressing) => act(putDressing, { dressing: next });
  const set = (more: Partial<Dressing>) => put({ ...dressing, ...more });
  // The fields answer a key at once; the drawing, the checker and the room follow when there is time.
  const drawn = useDeferredValue(dressing);
  const card = useMemo(() => cardOf(drawn, catalogue, hand), [drawn, catalogue, hand]);
  const faults = useMemo(() => dressingFaults(drawn, { ...catalogue, tailsOf }), [drawn, catalogue]);
  const parent = useApp((state) => selectDressing(state, dressing.parent));
  const ends = useMemo(() => lookAgain(drawn, parent, catalogue), [drawn, catalogue, parent]);
  const [taken, setTaken] = useState<readonly TakenOut[]>([]);
  const has = (id: string) => dressing.parts.some((part) => part.id === id);
  // What was taken out here, and what the one it was made from has beside.
  const out = [
    ...taken,
    ...(parent?.parts ?? []).flatMap((part) =>
      taken.some((item) => item.id === part.id) ? [] : has(part.id) ? [] : (takeOut(parent!, part.id, catalogue) ?? []),
    ),
  ].filter((item) => !has(item.id));
  const away = (id: string) => {
    const gone = takeOut(dressing, id, catalogue);
    if (!gone) return;
    setTaken([...taken.filter((item) => item.id !== id), gone]);
    put(gone.after);
  };
  const picture = (
    <View className="gap-4">
      {card ? (
        <DressingPlate
          card={card}
          stage={dressing.stages[0]!}
          naturalMm={naturalOf(dressing).lengthsMm[0]!}
          maxHeight={wide ? 380 : 300}
        />
      ) : (
        <Say className="px-5">{words('dressing.no-card')}</Say>
      )}
      <View className="gap-1 px-5" aria-live="polite">
        <Heading size="small">{words('edit-dressing.checker')}</Heading>
        {faults.length === 0 ? (
          <Say tone="sedge">{words('edit-dressing.passes')}</Say>
        ) : (
          <Say tone="dawn" weight="medium">
            {words('edit-dressing.to-mend', { count: faults.length })}
          </Say>
        )}
        <CheckLines faults={faults} />
        {ends.map((why, index) => (
          <Say key={index} size="small" tone="straw">
            {speech.say(why)}
          </Say>
        ))}
      </View>
      {card ? <RoomBudget card={card} /> : null}
    </View>
  );
  const what = (
    <View className="gap-4 px-5 pb-6 pt-2">
      <Heading>{words('edit-dressing.what')}</Heading>
      <NeededField label={words('edit-dressing.name')} value={dressing.name} onType={(name) => set({ name })} />
      <ChoicesField
        title={words('dressing.for')}
        choices={ids.stages.filter((stage) => dressing.stages.some((own) => own.startsWith(`${stage.order}/`)))}
        value={dressing.stages}
        onChange={(stages) => set({ stages })}
        least={1}
      />
      <View className="flex-row flex-wrap gap-3">
        <View className="w-40">
          <LengthField
            label={words('edit-dressing.least')}
            mm={dressing.length_mm[0]}
            rangeMm={[0.5, dressing.length_mm[1] - 0.1]}
            onChange={(mm) => mm !== null && set({ length_mm: [mm, dressing.length_mm[1]] })}
          />
        </View>
        <View className="w-40">
          <LengthField
            label={words('edit-dressing.most')}
            mm={dressing.length_mm[1]}
            rangeMm={[dressing.length_mm[0] + 0.1, 120]}
            onChange={(mm) => mm !== null && set({ length_mm: [dressing.length_mm[0], mm] })}
          />
        </View>
        <View className="w-32">
          <NumberField
            label={words('edit-dressing.minutes')}
            value={dressing.minutes}
            range={MINUTES}
            onChange={(minutes) => set({ minutes })}
          />
        </View>
      </View>
      <View className="flex-row">
        <Pick
          label={words('edit-dressing.style')}
          choices={STYLES.map((style) => ({ id: style.id as StyleId, label: speech.name('styles', style.id) }))}
          value={dressing.style}
          onChange={(style) =>
            style && set({ style, hooks: [], head_room: STYLES.find((item) => item.id === style)!.reserve })
          }
        />
      </View>
      <Labelled title={words('dressing.ride')}>
        <Choose
          label={words('dressing.ride')}
          choices={ids.rides.map((ride) => ({ id: ride.id as RideId, label: ride.name }))}
          value={dressing.ride}
          onChange={(ride) => set({ ride })}
        />
      </Labelled>
      <ChoicesField
        title={words('edit-dressing.levels')}
        choices={ids.levels}
        value={dressing.levels}
        onChange={(levels: LevelId[]) => set({ levels })}
      />
      <ChoicesField
        title={words('dressing.waters')}
        choices={ids.waters}
        value={dressing.waters}
        onChange={(waters: WaterId[]) => set({ waters })}
        least={1}
      />
      <Labelled title={words('dressing.skill')}>
        <Choose
          label={words('dressing.skill')}
          choices={SKILLS.map((skill) => ({ id: String(skill), label: words(`dressing.skill-n.${skill}`) }))}
          value={String(dressing.skill)}
          onChange={(skill) => set({ skill: Number(skill) as 1 | 2 | 3 })}
        />
      </Labelled>
    </View>
  );
  const parts = (
    <View className="pb-6">
      <Heading className="px-5 pb-2">{words('dressing.parts')}</Heading>
      <View className="border-t border-line">
        {dressing.parts.map((part) => (
          <EditPart
            key={part.id}
            dressing={dressing}
            part={part}
            card={card}
            faults={faults}
            onChange={put}
            onTakeOut={() => away(part.id)}
          />
        ))}
      </View>
      {out.length > 0 ? (
        <View className="flex-row flex-wrap items-center gap-3 px-5 pt-3">
          <Say size="small" tone="soft">
            {words('edit-dressing.taken')}
          </Say>
          {out.map((item) => (
            <Button
              key={item.id}
              label={words('edit-dressing.put-back', { part: speech.plain('parts', item.what) })}
              onPress={() => {
                setTaken(taken.filter((own) => own.id !== item.id));
                put(putBack(dressing, item));
              }}
            />
          ))}
        </View>
      ) : null}
      <AddPart dressing={dressing} onChange={put} />
    </View>
  );
  const steps = (
    <View className="pb-6">
      <Heading className="px-5 pb-2">{words('dressing.steps')}</Heading>
      <View className="border-t border-line">
        <EditSteps
          dressing={dressing}
          shown={card && drawn === dressing ? card.steps : null}
          faults={faults}
          onChange={put}
        />
      </View>
    </View>
  );
  const more = (
    <>
      <View className="pb-6">
        <Heading className="px-5 pb-2">{words('edit-dressing.built')}</Heading>
        <EditBuild dressing={dressing} onChange={put} />
      </View>
      <View className="pb-6">
        <Heading className="px-5 pb-2">{words('edit-dressing.shared')}</Heading>
        <EditShared dressing={dressing} onChange={put} />
      </View>
    </>
  );
  const end = (
    <View className="gap-6 pb-6">
      <View>
        <Heading className="px-5 pb-2">{words('edit-dressing.said')}</Heading>
        <EditSaid dressing={dressing} onChange={put} />
      </View>
      <Ancestry dressing={dressing} />
      <View className="flex-row flex-wrap gap-3 px-5">
        <Button
          label={words('edit-dressing.done')}
          kind="main"
          onPress={() => router.navigate({ pathname: '/dressings/[id]', params: { id: dressing.id } })}
        />
        <Button
          kind="quiet"
          label={words('edit-dressing.delete')}
          onPress={() => {
            router.navigate('/dressings');
            act(deleteDressing, { id: dressing.id });
          }}
        />
      </View>
    </View>
  );
  return (
    <Page
      column="list"
      back={{ href: '/dressings', label: words('place.dressings') }}
      title={words('edit-dressing.title', { name: dressing.name })}
      lead={words('edit-dressing.lead', { rev: dressing.rev })}
    >
      {wide ? (
        <View className="flex-row gap-6">
          <View className="min-w-0 flex-1">
            {what}
            {parts}
            {more}
            {steps}
            {end}
          </View>
          <View className="min-w-0 flex-1">
            <View className="sticky top-0">{picture}</View>
          </View>
        </View>
      ) : (
        <>
          {picture}
          {what}
          {parts}
          {more}
          {steps}
          {end}
        </>
      )}
    </Page>
  );
}
