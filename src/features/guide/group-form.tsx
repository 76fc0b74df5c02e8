import { View } from 'react-native';
import { KNOWN } from '@/catalogue';
import type { FaunaId, StageId, WaterId } from '@/catalogue/ids';
import {
  addGroupStage,
  dropGroupStage,
  setGroup,
  setGroupOrder,
  setGroupStage,
  spanOf,
  type GroupRecord,
} from '@/records';
import { useAct } from '@/state';
import { ALL_HUES, ShadeWords } from '@/features/colour-words';
import { LengthField } from '@/features/length-field';
import { useSpeech, useWords } from '@/features/shell';
import { OrderPick } from '@/features/stage';
import { Button, Field, Heading, Say, Toggle } from '@/ui/primitives';

const MONTHS = Array.from({ length: 12 }, (_, index) => index + 1);

type StageEntry = GroupRecord['stages'][number];

function toggled<T>(list: readonly T[], item: T, on: boolean): T[] {
  return on ? [...list, item] : list.filter((other) => other !== item);
}

/** A group of the tier's own: everything the key and the guide take from it, kept as it is typed. */
export function GroupForm({ id, group }: { id: string; group: GroupRecord }) {
  const words = useWords();
  const speech = useSpeech();
  const { ids } = speech;
  const act = useAct();
  const set = (fields: Partial<Pick<GroupRecord, 'name' | 'scientific' | 'note' | 'regions' | 'waters' | 'months'>>) =>
    act(setGroup, { groupId: id, ...fields });
  const named = (kind: 'faunas' | 'waters') =>
    ids[kind].map((item) => ({ id: item.id, label: speech.name(kind, item.id) }));
  const own = ids.stages.filter((stage) => stage.order === group.order);
  const further = own.filter((stage) => !group.stages.some((entry) => entry.stage === stage.id));
  return (
    <View className="gap-6 px-5 pb-6">
      <View className="max-w-[480px] gap-3">
        <Field
          label={words('guide.name')}
          value={group.name}
          onType={(name) => set({ name: name || words('guide.new-name') })}
        />
        <Field label={words('guide.science')} value={group.scientific} onType={(scientific) => set({ scientific })} />
        <Field label={words('guide.note')} value={group.note ?? ''} onType={(note) => set({ note: note || null })} />
      </View>
      <View className="gap-2">
        <OrderPick
          label={words('natural.order')}
          orders={KNOWN.orders}
          value={group.order}
          onChange={(order) =>
            order &&
            act(setGroupOrder, {
              groupId: id,
              order,
              stage: ids.stages.find((stage) => stage.order === order)!.id as StageId,
            })
          }
        />
      </View>
      <Several
        label={words('guide.where')}
        choices={named('faunas')}
        chosen={group.regions}
        onChange={(item, on) => set({ regions: toggled(group.regions, item as FaunaId, on) })}
      />
      <Several
        label={words('natural.water')}
        choices={named('waters')}
        chosen={group.waters}
        onChange={(item, on) => set({ waters: toggled(group.waters, item as WaterId, on) })}
      />
      <Several
        label={words('guide.months-on-wing')}
        choices={MONTHS.map((month) => ({ id: String(month), label: words(`guide.month.${month}`).slice(0, 3) }))}
        chosen={group.months.map(String)}
        onChange={(item, on) => set({ months: toggled(group.months, Number(item), on).sort((a, b) => a - b) })}
      />
      <View className="gap-4">
        <Heading>{words('natural.stage')}</Heading>
        {group.stages.map((entry) => (
          <StageForm
            key={entry.stage}
            entry={entry}
            only={group.stages.length === 1}
            onChange={(next) => act(setGroupStage, { groupId: id, entry: next })}
            onRemove={() => act(dropGroupStage, { groupId: id, stage: entry.stage })}
          />
        ))}
        {further.length > 0 ? (
          <View className="flex-row flex-wrap gap-2">
            {further.map((stage) => (
              <Button
                key={stage.id}
                label={words('guide.add-stage', { stage: speech.plain('stages', stage.id) })}
                onPress={() => act(addGroupStage, { groupId: id, stage: stage.id as StageId })}
              />
            ))}
          </View>
        ) : null}
      </View>
    </View>
  );
}

/** Any number of a few. */
function Several({
  label,
  choices,
  chosen,
  onChange,
}: {
  label: string;
  choices: readonly { id: string; label: string }[];
  chosen: readonly string[];
  onChange: (id: string, on: boolean) => void;
}) {
  return (
    <View className="gap-2">
      <Say size="small" tone="soft">
        {label}
      </Say>
      <View role="group" aria-label={label} className="flex-row flex-wrap gap-2">
        {choices.map((choice) => (
          <Toggle
            key={choice.id}
            label={choice.label}
            on={chosen.includes(choice.id)}
            onChange={(on) => onChange(choice.id, on)}
          />
        ))}
      </View>
    </View>
  );
}

function StageForm({
  entry,
  only,
  onChange,
  onRemove,
}: {
  entry: StageEntry;
  only: boolean;
  onChange: (entry: StageEntry) => void;
  onRemove: () => void;
}) {
  const words = useWords();
  const speech = useSpeech();
  const given = [entry.leastMm, entry.usualMm, entry.mostMm].filter((mm) => mm != null).length;
  return (
    <View className="gap-3 border-l-4 border-line pl-3">
      <View className="flex-row items-center justify-between gap-3">
        <Heading level={3} size="small">
          {speech.name('stages', entry.stage)}
        </Heading>
        {only ? null : (
          <Button
            kind="quiet"
            label={words('guide.drop-stage')}
            spoken={words('guide.drop-stage-what', { stage: speech.plain('stages', entry.stage) })}
            onPress={onRemove}
          />
        )}
      </View>
      <View className="max-w-[560px] flex-row gap-2">
        <LengthField
          label={words('guide.least')}
          mm={entry.leastMm ?? null}
          onChange={(leastMm) => onChange({ ...entry, leastMm })}
        />
        <LengthField
          label={words('guide.usual')}
          mm={entry.usualMm ?? null}
          onChange={(usualMm) => onChange({ ...entry, usualMm })}
        />
        <LengthField
          label={words('guide.most')}
          mm={entry.mostMm ?? null}
          onChange={(mostMm) => onChange({ ...entry, mostMm })}
        />
      </View>
      {given > 0 && spanOf(entry) === null ? (
        <Say size="small" tone="straw">
          {speech.say({ code: 'lengths-not-in-order', params: {} }, 'fault')}
        </Say>
      ) : null}
      <ShadeWords
        label={words('words.title')}
        none={words('words.none')}
        hues={ALL_HUES}
        value={entry.shades[0] ?? null}
        onChange={(shade) => onChange({ ...entry, shades: shade === null ? [] : [shade, ...entry.shades.slice(1)] })}
      />
    </View>
  );
}
