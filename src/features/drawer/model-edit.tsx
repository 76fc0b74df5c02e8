import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import type { LabelDirection, XLabelSchool } from '@/core/hooks';
import {
  addSize,
  deleteModel,
  deleteSize,
  setMaker,
  setModel,
  setSize,
  sizesOf,
  type MakerRecord,
  type ModelRecord,
  type SizeRecord,
} from '@/records';
import { useAct, useApp } from '@/state';
import { LengthField } from '@/features/length-field';
import { useSpeech, useWords } from '@/features/shell';
import { Button, Choose, Field, Heading, Say, Toggle } from '@/ui/primitives';

const KINDS = [
  ['bend', 'bends'],
  ['eye', 'eyes'],
  ['point', 'points'],
  ['barb', 'barbs'],
] as const;
const X = [-3, -2, -1, 0, 1, 2, 3, 4, 5] as const;
const FINE_RANGE_MM = [0.02, 12] as const;
const BY_WIRE = 'by-measure';

/** A maker and one of its models as they can be changed: names, shape, what labels mean, sizes; retired or deleted. */
export function ModelEdit({ modelId, model, maker }: { modelId: string; model: ModelRecord; maker: MakerRecord }) {
  const { ids } = useSpeech();
  const words = useWords();
  const router = useRouter();
  const act = useAct();
  const packets = useApp((state) => state.records.entities.packet);
  const [added, setAdded] = useState('');
  const [open, setOpen] = useState<string | null>(null);
  const edit = (fields: Partial<ModelRecord>) => act(setModel, { modelId, fields });
  const editMaker = (fields: Partial<MakerRecord>) => act(setMaker, { makerId: model.makerId, fields });
  const editSize = (size: string, fields: Partial<SizeRecord>) => act(setSize, { modelId, size, fields });
  const sizes = sizesOf(model);
  const held = Object.values(packets).some((packet) => packet.hookId.startsWith(`${modelId}:`));
  const add = () => {
    const size = added.trim();
    if (size === '' || model.sizes[size]) return;
    act(addSize, { modelId, size });
    setAdded('');
  };
  return (
    <View className="gap-5 border-y border-line bg-plane px-5 py-4">
      <View className="gap-3">
        <Heading>{words('edit.model')}</Heading>
        <View className="flex-row">
          <Field
            label={words('edit.name')}
            value={model.name}
            onType={(name) => (name.trim() === '' ? undefined : edit({ name }))}
          />
        </View>
        {KINDS.map(([name, kind]) => (
          <View key={name} className="gap-1">
            <Say size="small" tone="soft">
              {words(`drawer.filter.${name}`)}
            </Say>
            <Choose
              label={words(`drawer.filter.${name}`)}
              choices={ids[kind].map((item) => ({ id: item.id as string, label: item.name }))}
              value={model[name]}
              onChange={(id) => edit({ [name]: id } as Partial<ModelRecord>)}
            />
          </View>
        ))}
        <View className="gap-1">
          <Say size="small" tone="soft">
            {words('drawer.filter.wire')}
          </Say>
          <Choose
            label={words('drawer.filter.wire')}
            choices={[
              { id: BY_WIRE, label: words('edit.by-wire') },
              ...ids.wires.map((item) => ({ id: item.id as string, label: item.name })),
            ]}
            value={model.wire ?? BY_WIRE}
            onChange={(id) => edit({ wire: id === BY_WIRE ? null : (id as ModelRecord['wire']) })}
          />
        </View>
        <View className="gap-1">
          <Say size="small" tone="soft">
            {words('edit.x-long')}
          </Say>
          <Choose
            label={words('edit.x-long')}
            choices={X.map((x) => ({ id: String(x), label: xWords(x, 'long', 'short', words) }))}
            value={String(model.xLong)}
            onChange={(x) => edit({ xLong: Number(x) })}
          />
        </View>
        <View className="gap-1">
          <Say size="small" tone="soft">
            {words('edit.x-heavy')}
          </Say>
          <Choose
            label={words('edit.x-heavy')}
            choices={X.map((x) => ({ id: String(x), label: xWords(x, 'heavy', 'fine', words) }))}
            value={String(model.xHeavy)}
            onChange={(x) => edit({ xHeavy: Number(x) })}
          />
        </View>
        <View className="gap-1">
          <Say size="small" tone="soft">
            {words('edit.labels')}
          </Say>
          <Choose
            label={words('edit.labels')}
            choices={(['bigger-smaller', 'bigger-bigger'] as const).map((id) => ({
              id,
              label: words(`edit.direction.${id}`),
            }))}
            value={model.labels}
            onChange={(labels: LabelDirection) => edit({ labels })}
          />
        </View>
      </View>
      <View className="gap-3">
        <Heading>{words('edit.sizes')}</Heading>
        <View role="group" aria-label={words('edit.sizes')} className="flex-row flex-wrap gap-3">
          {sizes.map((size) => (
            <Toggle
              key={size}
              label={model.sizes[size]!.retired ? words('edit.retired-size', { size }) : size}
              spoken={words('edit.open-size', { size })}
              on={open === size}
              onChange={(on) => setOpen(on ? size : null)}
            />
          ))}
        </View>
        {open && model.sizes[open] ? (
          <View className="gap-3 rounded-control border border-edge p-3">
            <View className="flex-row flex-wrap gap-3">
              {(['shankMm', 'gapeMm', 'biteMm'] as const).map((name) => (
                <View key={name} className="min-w-32 flex-1 basis-32">
                  <LengthField
                    label={words(`edit.${name}`)}
                    mm={model.sizes[open]![name] ?? null}
                    onChange={(mm) => editSize(open, { [name]: mm, source: 'typed' })}
                  />
                </View>
              ))}
              {(['wireMm', 'eyeMm'] as const).map((name) => (
                <View key={name} className="min-w-32 flex-1 basis-32">
                  <FineField
                    label={words(`edit.${name}`)}
                    mm={model.sizes[open]![name] ?? null}
                    onChange={(mm) => editSize(open, { [name]: mm, source: 'typed' })}
                  />
                </View>
              ))}
            </View>
            <Say size="small" tone="soft">
              {words('edit.empty')}
            </Say>
            <View className="flex-row flex-wrap gap-3">
              <Toggle
                label={words('edit.retired')}
                on={model.sizes[open]!.retired}
                onChange={(retired) => editSize(open, { retired })}
              />
              <Button
                kind="quiet"
                label={words('edit.delete-size', { size: open })}
                onPress={() => {
                  act(deleteSize, { modelId, size: open });
                  setOpen(null);
                }}
              />
            </View>
          </View>
        ) : null}
        <View className="flex-row items-end gap-3">
          <View className="w-40 flex-row">
            <Field
              label={words('edit.add-size')}
              value={added}
              onType={setAdded}
              onEnter={add}
              hint={words('edit.add-hint')}
            />
          </View>
          <Button
            label={words('edit.add')}
            disabled={added.trim() === '' || Boolean(model.sizes[added.trim()])}
            onPress={add}
          />
        </View>
      </View>
      <View className="gap-3">
        <Heading>{words('edit.maker', { maker: maker.name })}</Heading>
        <View className="flex-row flex-wrap gap-3">
          <View className="min-w-40 flex-1">
            <Field
              label={words('edit.maker-name')}
              value={maker.name}
              onType={(name) => (name.trim() === '' ? undefined : editMaker({ name }))}
            />
          </View>
          <View className="min-w-40 flex-1">
            <Field label={words('edit.habit')} value={maker.habit} onType={(habit) => editMaker({ habit })} />
          </View>
        </View>
        <Say size="small" tone="soft">
          {words('edit.x-label')}
        </Say>
        <Choose
          label={words('edit.x-label')}
          choices={(['number', 'catalogue-step'] as const).map((id) => ({ id, label: words(`edit.school.${id}`) }))}
          value={maker.xLabel}
          onChange={(xLabel: XLabelSchool) => editMaker({ xLabel })}
        />
      </View>
      <View className="flex-row flex-wrap gap-3">
        <Toggle label={words('edit.retired-model')} on={model.retired} onChange={(retired) => edit({ retired })} />
        <Toggle label={words('edit.retired-maker')} on={maker.retired} onChange={(retired) => editMaker({ retired })} />
        <Button
          kind="quiet"
          label={words('edit.delete-model')}
          onPress={() => {
            router.navigate('/drawer/hooks');
            act(deleteModel, { modelId });
          }}
        />
      </View>
      {held ? (
        <Say size="small" tone="straw">
          {words('edit.held')}
        </Say>
      ) : null}
    </View>
  );
}

function xWords(
  x: number,
  plus: string,
  minus: string,
  words: (key: string, params?: Record<string, unknown>) => string,
): string {
  return x === 0 ? words('edit.x.none') : words(`edit.x.${x > 0 ? plus : minus}`, { x: Math.abs(x) });
}

/** A thickness, which may be far less than any length of a body. */
function FineField({
  label,
  mm,
  onChange,
}: {
  label: string;
  mm: number | null;
  onChange: (mm: number | null) => void;
}) {
  const words = useWords();
  const [text, setText] = useState<string | null>(null);
  const value = text ?? (mm === null ? '' : String(Number(mm.toFixed(3))));
  const read = (typed: string) => (/^\d*[.,]?\d+$/.test(typed.trim()) ? Number(typed.trim().replace(',', '.')) : NaN);
  const wrong =
    text !== null && text.trim() !== '' && !(read(text) >= FINE_RANGE_MM[0] && read(text) <= FINE_RANGE_MM[1]);
  return (
    <Field
      numeric
      label={label}
      value={value}
      error={wrong ? words('edit.fine-range') : null}
      onType={(typed) => {
        const fine = read(typed);
        if (typed.trim() === '') onChange(null);
        else if (fine >= FINE_RANGE_MM[0] && fine <= FINE_RANGE_MM[1]) onChange(fine);
        setText(typed);
      }}
    />
  );
}
