import { useState } from 'react';
import { View } from 'react-native';
import { addAssembly, addBundle, dropAssembly, setAssembly, setBundle, setLayers } from '@/core/dressings';
import { useApp } from '@/state';
import { selectCatalogue } from '@/state/answering';
import { useSpeech, useWords } from '@/features/shell';
import { Button, Fold, Say } from '@/ui/primitives';
import { ChoicesField, NeededField, ChoiceField, type EditProps } from './edit-fold';
import { StepList } from './edit-steps';
import { usePartNames } from './edit-where';
import { NumberField } from '@/features/length-field';

const AMOUNT = [0, 500] as const;
const A_FLY = [1, 12] as const;

/** Materials by name, the tier's own among them. */
function useMaterialNames(): (id: string) => string {
  const { materials } = useApp(selectCatalogue);
  return (id) => materials.find((material) => material.id === id)?.name ?? id;
}

/** What is made beforehand, what is tied from one bunch, and what shows through what. */
export function EditShared(props: EditProps) {
  return (
    <View className="border-t border-line">
      <Beforehand {...props} />
      <Bunches {...props} />
      <Layers {...props} />
    </View>
  );
}

function Beforehand({ dressing, onChange }: EditProps) {
  const words = useWords();
  const speech = useSpeech();
  const nameOf = usePartNames(dressing);
  const open = dressing.parts.filter((part) => !dressing.assemblies.some((item) => item.part === part.id));
  return (
    <Fold
      wide
      title={words('edit-dressing.beforehand')}
      line={
        speech.clauses(dressing.assemblies.map((item) => speech.worded(item.name))) || words('edit-dressing.nothing')
      }
    >
      <Say size="small" tone="soft">
        {words('edit-dressing.beforehand-hint')}
      </Say>
      {dressing.assemblies.map((assembly) => (
        <View
          key={assembly.id}
          role="group"
          aria-label={speech.worded(assembly.name)}
          className="gap-3 rounded-control border border-edge bg-ground py-3"
        >
          <View className="gap-3 px-3">
            <NeededField
              label={words('edit-dressing.beforehand-name')}
              value={speech.worded(assembly.name)}
              onType={(name) => onChange(setAssembly(dressing, assembly.id, { name }))}
            />
            <Say size="small" tone="soft">
              {words('edit-dressing.beforehand-of', { part: nameOf(assembly.part) })}
            </Say>
            <View className="flex-row flex-wrap gap-3">
              <View className="w-24">
                <NumberField
                  whole
                  label={words('edit-dressing.a-fly')}
                  value={assembly.count}
                  range={A_FLY}
                  onChange={(count) => count !== null && onChange(setAssembly(dressing, assembly.id, { count }))}
                />
              </View>
              <View className="w-24">
                <NumberField
                  whole
                  label={words('edit-dressing.spare')}
                  value={assembly.spare}
                  range={AMOUNT}
                  onChange={(spare) => onChange(setAssembly(dressing, assembly.id, { spare: spare ?? 0 }))}
                />
              </View>
            </View>
          </View>
          <View className="border-t border-line">
            <StepList
              dressing={dressing}
              steps={assembly.steps}
              of={speech.worded(assembly.name)}
              onChange={(steps, tools) => onChange({ ...setAssembly(dressing, assembly.id, { steps }), tools })}
            />
          </View>
          <View className="flex-row px-3">
            <Button
              label={words('edit-dressing.beforehand-drop')}
              spoken={words('edit-dressing.beforehand-drop-what', { name: speech.worded(assembly.name) })}
              onPress={() => onChange(dropAssembly(dressing, assembly.id))}
            />
          </View>
        </View>
      ))}
      <View className="gap-1">
        <Say size="small" tone="soft">
          {words('edit-dressing.beforehand-add')}
        </Say>
        <View className="flex-row flex-wrap gap-2">
          {open.map((part) => (
            <Button
              key={part.id}
              label={nameOf(part.id)}
              spoken={words('edit-dressing.beforehand-add-what', { part: nameOf(part.id) })}
              onPress={() =>
                onChange(
                  addAssembly(dressing, part.id, words('edit-dressing.beforehand-new', { part: nameOf(part.id) })),
                )
              }
            />
          ))}
        </View>
      </View>
    </Fold>
  );
}

function Bunches({ dressing, onChange }: EditProps) {
  const speech = useSpeech();
  const { ids } = speech;
  const words = useWords();
  const materialName = useMaterialNames();
  const nameOf = usePartNames(dressing);
  const [chosen, setChosen] = useState<string[]>([]);
  const named = (parts: readonly string[]) => speech.list(parts.map(nameOf));
  const free = dressing.parts.filter(
    (part) => part.material !== null && !dressing.bundles.some((bundle) => bundle.parts.includes(part.id)),
  );
  const asked = chosen.filter((id) => free.some((part) => part.id === id));
  return (
    <Fold
      wide
      title={words('edit-dressing.bunches')}
      line={
        speech.clauses(
          dressing.bundles.map((bundle) => speech.pair(materialName(bundle.material), named(bundle.parts))),
        ) || words('edit-dressing.none')
      }
    >
      <Say size="small" tone="soft">
        {words('edit-dressing.bunch-hint')}
      </Say>
      {dressing.bundles.map((bundle) => (
        <View
          key={bundle.id}
          role="group"
          aria-label={named(bundle.parts)}
          className="gap-3 rounded-control border border-edge bg-ground p-3"
        >
          <Say weight="medium">{materialName(bundle.material)}</Say>
          <ChoicesField
            title={words('edit-dressing.bunch-parts')}
            choices={[...dressing.parts.filter((part) => bundle.parts.includes(part.id)), ...free].map((part) => ({
              id: part.id,
              name: nameOf(part.id),
            }))}
            value={bundle.parts}
            onChange={(parts) => onChange(setBundle(dressing, bundle.id, { parts }))}
          />
          <View className="w-28">
            <NumberField
              label={words('edit-dressing.count')}
              value={bundle.amount}
              range={AMOUNT}
              onChange={(amount) => onChange(setBundle(dressing, bundle.id, { amount }))}
            />
          </View>
          <ChoiceField
            title={words('edit-dressing.unit')}
            choices={ids['amount-units']}
            value={bundle.unit}
            onChange={(unit) => unit && onChange(setBundle(dressing, bundle.id, { unit }))}
          />
        </View>
      ))}
      {free.length > 1 ? (
        <View className="gap-2">
          <ChoicesField
            title={words('edit-dressing.bunch-new')}
            choices={free.map((part) => ({ id: part.id, name: nameOf(part.id) }))}
            value={asked}
            onChange={setChosen}
          />
          <View className="flex-row">
            <Button
              label={words('edit-dressing.bunch-add')}
              disabled={asked.length < 2}
              onPress={() => {
                onChange(addBundle(dressing, asked));
                setChosen([]);
              }}
            />
          </View>
          {asked.length > 1 ? (
            <Say size="small" tone="soft">
              {words('edit-dressing.bunch-becomes', {
                material: materialName(dressing.parts.find((part) => part.id === asked[0])!.material!),
              })}
            </Say>
          ) : null}
        </View>
      ) : null}
    </Fold>
  );
}

function Layers({ dressing, onChange }: EditProps) {
  const words = useWords();
  const speech = useSpeech();
  const materialName = useMaterialNames();
  const nameOf = usePartNames(dressing);
  const used = [
    ...new Set([
      ...dressing.threads.map((thread) => thread.material),
      ...dressing.parts.flatMap((part) => part.material ?? []),
    ]),
  ];
  const named = (list: readonly string[]) => speech.list(list.map(materialName));
  return (
    <Fold
      wide
      title={words('edit-dressing.layers')}
      line={
        speech.clauses(dressing.layers.map((layer) => speech.pair(nameOf(layer.part), named(layer.from_under)))) ||
        words('edit-dressing.none')
      }
    >
      <Say size="small" tone="soft">
        {words('edit-dressing.layers-hint')}
      </Say>
      {dressing.parts
        .filter((part) => part.material !== null && part.part !== 'bead')
        .map((part) => {
          const under = dressing.layers.find((layer) => layer.part === part.id)?.from_under ?? [];
          return (
            <ChoicesField
              key={part.id}
              title={words('edit-dressing.layer-of', { part: nameOf(part.id) })}
              choices={[...under, ...used.filter((id) => !under.includes(id))].map((id) => ({
                id,
                name: under.includes(id) ? `${under.indexOf(id) + 1} ${materialName(id)}` : materialName(id),
              }))}
              value={under}
              onChange={(next) => onChange(setLayers(dressing, part.id, next))}
            />
          );
        })}
    </Fold>
  );
}
