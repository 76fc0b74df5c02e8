import { useState } from 'react';
import { View } from 'react-native';
import type { AmountUnit, BeadLock, MetalId, RegionId, SchoolOption } from '@/catalogue/ids';
import { DRESSINGS } from '@/catalogue';
import { setMaterial, setOptional, type Dressing, type DressingFault, type DressingPart } from '@/core/dressings';
import type { Material } from '@/core/materials';
import type { Card } from '@/core/tying';
import { asksOf, materialsOf, setPart, wayPartOf, waysOf, type AskedField, type Way, type WayPart } from '@/core/ways';
import { useApp } from '@/state';
import { selectCatalogue } from '@/state/answering';
import { amountLines } from '@/speech/card';
import { useSpeech, useWords } from '@/features/shell';
import { raised, type Speech } from '@/speech';
import { Button, Digits, Pick, Row, Say, Toggle } from '@/ui/primitives';
import { CheckLines } from './check-lines';
import { MaterialPick } from './edit-material';
import { RuleFields, ShareFields } from './edit-rule';
import { usePartNames, WherePick } from './edit-where';
import { NumberField } from '@/features/length-field';

interface EditPartProps {
  dressing: Dressing;
  part: DressingPart;
  card: Card | null;
  faults: readonly DressingFault[];
  onChange: (next: Dressing) => void;
  onTakeOut: () => void;
}

const COUNT = [0, 500] as const;
const BYS = ['ball', 'figure-eight', 'thread-loop'] as const;
const optionsOf = (ids: Speech['ids'], school: string) => ids.schools.find((item) => item.id === school)!.options;

/** One part of a dressing: how it is made, of what, from where to where, how long, thick, wide and many; opened by a tap. */
export function EditPart({ dressing, part, card, faults, onChange, onTakeOut }: EditPartProps) {
  const words = useWords();
  const speech = useSpeech();
  const nameOf = usePartNames(dressing);
  const catalogue = useApp(selectCatalogue);
  const [open, setOpen] = useState(false);
  const own = faults.filter((fault) => fault.part === part.id && fault.step === null);
  const shown = card?.parts.find((item) => item.id === part.id);
  const way = catalogue.ways.find((item) => item.id === part.way);
  const material = catalogue.materials.find((item) => item.id === part.material);
  const name = speech.name('parts', part.part);
  const spoken = nameOf(part.id);
  return (
    <View className={`border-b border-line ${open ? 'bg-plane' : ''}`}>
      <Row
        line={false}
        open={open}
        spoken={words('edit-dressing.part-row', {
          part: raised(spoken),
          material: material?.name ?? words('edit-dressing.no-material'),
          count: own.length,
        })}
        onPress={() => setOpen(!open)}
      >
        <View
          aria-hidden
          className="h-7 w-7 rounded-control border border-edge"
          style={{ backgroundColor: material?.hex }}
        />
        <View className="min-w-0 flex-1">
          <Say weight="medium">
            {way ? words('edit-dressing.part-how', { part: name, how: words(`way.${way.id}`) }) : name}
          </Say>
          <Say size="small" tone="soft">
            {material?.name ?? words('edit-dressing.no-material')}
          </Say>
        </View>
        {shown?.mm != null ? <Digits>{speech.length(shown.mm)}</Digits> : null}
        {own.length > 0 ? (
          <Say size="small" tone="dawn" weight="strong">
            {words('edit-dressing.faults', { count: own.length })}
          </Say>
        ) : null}
      </Row>
      {open ? (
        <View role="group" aria-label={spoken} className="gap-4 px-5 pb-4">
          <CheckLines faults={own} />
          {shown
            ? amountLines(shown, speech).map((line) => (
                <Say key={line} size="small" tone="soft">
                  {line}
                </Say>
              ))
            : null}
          <Making dressing={dressing} part={part} way={way ?? null} onChange={onChange} />
          <Fields dressing={dressing} part={part} asks={way ? asksOf(way, part.part) : BY_HAND} onChange={onChange} />
          <View className="flex-row flex-wrap gap-3">
            {part.part === 'head' ? null : (
              <Toggle
                label={words('edit-dressing.optional')}
                on={part.optional}
                onChange={(on) => onChange(setOptional(dressing, part.id, name, on))}
              />
            )}
            {part.part === 'head' ? null : (
              <Button label={words('edit-dressing.drop', { part: spoken })} onPress={onTakeOut} />
            )}
          </View>
        </View>
      ) : null}
    </View>
  );
}

/** What can be said of a part that a hand made: its rule alone. */
const BY_HAND: ReadonlySet<AskedField> = new Set<AskedField>([
  'from',
  'to',
  'long',
  'least',
  'thick',
  'wide',
  'count',
  'trim',
  'counter',
]);

/** How it is made and of what; a way that takes another material brings its own. */
function Making({
  dressing,
  part,
  way,
  onChange,
}: {
  dressing: Dressing;
  part: DressingPart;
  way: Way | null;
  onChange: (next: Dressing) => void;
}) {
  const words = useWords();
  const catalogue = useApp(selectCatalogue);
  const record = wayPartOf(dressing, part.id);
  if (!way || !record)
    return (
      <MaterialPick
        label={words('edit-dressing.material')}
        fits={(material) => part.function !== null && material.functions.includes(part.function)}
        value={part.material ?? null}
        onChange={(id) => onChange(withCautions(setMaterial(dressing, part.id, id), catalogue.materials))}
      />
    );
  const taken = materialsOf(way, catalogue.materials);
  const remake = (next: Way) => {
    const model =
      DRESSINGS.flatMap((item) => item.parts).find((item) => item.way === next.id && item.part === part.part) ??
      DRESSINGS.flatMap((item) => item.parts).find((item) => item.way === next.id);
    const of = materialsOf(next, catalogue.materials).map((list, index) =>
      list.some((material) => material.id === record.of[index])
        ? record.of[index]!
        : ((index === 0 ? list.find((material) => material.id === model?.material)?.id : undefined) ?? list[0]!.id),
    );
    const asks = asksOf(next, part.part);
    const kept: Partial<WayPart> = {
      trim: asks.has('trim') ? record.trim : null,
      coat: asks.has('coat') ? record.coat : null,
      tint: asks.has('tint') ? record.tint : null,
      by: asks.has('by') ? (record.by ?? 'figure-eight') : null,
      thick: asks.has('thick') ? record.thick : null,
      wide: asks.has('wide') ? (record.wide ?? model?.wide ?? null) : null,
      count: asks.has('count') ? (record.count ?? model?.count ?? 1) : null,
    };
    onChange(setPart(dressing, part.id, { way: next.id, of, ...kept }, catalogue));
  };
  return (
    <View className="gap-3">
      <Pick
        label={words('edit-dressing.how')}
        choices={waysOf(part.part, dressing.style, DRESSINGS, catalogue.ways).map((item) => ({
          id: item.id,
          label: words(`way.${item.id}`),
        }))}
        value={way.id}
        onChange={(id) => {
          const next = catalogue.ways.find((item) => item.id === id);
          if (next) remake(next);
        }}
      />
      {taken.map((list, index) => (
        <MaterialPick
          key={index}
          label={words(index === 0 ? 'edit-dressing.of' : 'edit-dressing.of-also')}
          fits={(material) => list.includes(material)}
          value={
            dressing.parts.some((item) => item.id === record.of[index])
              ? (part.material ?? null)
              : (record.of[index] ?? null)
          }
          onChange={(id) =>
            onChange(setPart(dressing, part.id, { of: Object.assign([...record.of], { [index]: id }) }, catalogue))
          }
        />
      ))}
    </View>
  );
}

interface FieldsProps {
  dressing: Dressing;
  part: DressingPart;
  asks: ReadonlySet<AskedField>;
  onChange: (next: Dressing) => void;
}

/** Where, how long, how many: what its way asks, and nothing that would reach no step. */
function Fields({ dressing, part, asks, onChange }: FieldsProps) {
  const words = useWords();
  const speech = useSpeech();
  const { ids } = speech;
  const catalogue = useApp(selectCatalogue);
  const record = wayPartOf(dressing, part.id);
  const along = part.to === 'forward';
  const set = (more: Partial<WayPart>) => onChange(setPart(dressing, part.id, more, catalogue));
  const long = record
    ? record.long
    : part.factor === null
      ? null
      : { base: part.base, factor: part.factor, low: part.low ?? part.factor, high: part.high ?? part.factor };
  const natural = part.follows === 'natural';
  const doing = (does: 'coat.' | 'marker') =>
    catalogue.materials
      .filter((material) => material.functions.some((other) => other.startsWith(does)))
      .map((material) => ({ id: material.id, label: material.name }));
  return (
    <View className="gap-3">
      {asks.has('long') ? (
        <RuleFields dressing={dressing} value={long} along={along} onChange={(next) => set({ long: next })} />
      ) : null}
      {asks.has('from') ? (
        <WherePick
          dressing={dressing}
          label={words('edit-dressing.from')}
          value={record ? record.from : part.from}
          none={words('edit-dressing.where-usual')}
          onChange={(from) => set({ from })}
        />
      ) : null}
      {asks.has('to') && !along ? (
        <WherePick
          dressing={dressing}
          label={words('edit-dressing.to')}
          value={part.to}
          none={words('edit-dressing.where-usual')}
          more={[{ id: 'collar', label: words('edit-dressing.as-collar') }]}
          onChange={(to) => set({ to })}
        />
      ) : null}
      {asks.has('least') ? (
        <ShareFields
          dressing={dressing}
          label={words('edit-dressing.at-least')}
          value={part.at_least}
          usual="shank"
          onChange={(least) => set({ least })}
        />
      ) : null}
      {asks.has('thick') ? (
        <ShareFields
          dressing={dressing}
          label={words('edit-dressing.thick')}
          value={part.thick}
          usual="girth"
          onChange={(thick) => set({ thick })}
        />
      ) : null}
      {asks.has('wide') ? (
        <ShareFields
          dressing={dressing}
          label={words('edit-dressing.wide')}
          value={part.wide}
          usual="girth"
          onChange={(wide) => set({ wide })}
        />
      ) : null}
      {asks.has('count') ? (
        <View className="gap-3">
          <View className="flex-row gap-3">
            {natural ? null : (
              <NumberField
                whole
                label={words('edit-dressing.count')}
                value={part.count}
                range={COUNT}
                onChange={(count) => set({ count })}
              />
            )}
            <NumberField
              whole
              label={words('edit-dressing.spare')}
              value={part.spare}
              range={COUNT}
              onChange={(spare) => set({ spare })}
            />
            <Pick
              label={words('edit-dressing.unit')}
              choices={ids['amount-units'].map((unit) => ({ id: unit.id as AmountUnit, label: unit.name }))}
              value={part.unit}
              onChange={(unit) => unit && set({ unit })}
            />
          </View>
          {part.part === 'tail' ? (
            <View className="flex-row">
              <Toggle
                label={words('edit-dressing.as-natural')}
                on={natural}
                onChange={(on) => set({ count: on ? 'natural' : (part.count ?? 3) })}
              />
            </View>
          ) : null}
        </View>
      ) : null}
      <View className="flex-row flex-wrap gap-3">
        {asks.has('by') ? (
          <View className="min-w-36 flex-1">
            <Pick
              label={words('edit-dressing.by')}
              choices={BYS.map((id) => ({ id, label: words(`edit-dressing.bys.${id}`) }))}
              value={(part.by as (typeof BYS)[number]) ?? 'figure-eight'}
              onChange={(by) => set({ by })}
            />
          </View>
        ) : null}
        {asks.has('trim') ? (
          <View className="min-w-36 flex-1">
            <Pick
              label={words('edit-dressing.trim')}
              choices={optionsOf(ids, 'hackle-trim').map((option) => ({
                id: option.id as SchoolOption['hackle-trim'],
                label: option.name,
              }))}
              value={part.trim ?? 'full'}
              onChange={(trim) => set({ trim: trim === 'full' ? null : trim })}
            />
          </View>
        ) : null}
        {asks.has('lock') ? (
          <View className="min-w-36 flex-1">
            <Pick
              label={words('edit-dressing.lock')}
              choices={ids['bead-locks'].map((lock) => ({ id: lock.id as BeadLock, label: lock.name }))}
              value={record?.lock ?? 'none'}
              onChange={(lock) => set({ lock })}
            />
          </View>
        ) : null}
        {asks.has('kind') ? (
          <View className="min-w-36 flex-1">
            <Pick
              label={words('edit-dressing.kind')}
              choices={ids['bead-kinds'].map((kind) => ({
                id: kind.id as NonNullable<WayPart['kind']>,
                label: kind.name,
              }))}
              value={record?.kind ?? 'drilled'}
              onChange={(kind) => set({ kind })}
            />
          </View>
        ) : null}
        {asks.has('metal') ? (
          <View className="min-w-36 flex-1">
            <Pick
              label={words('edit-dressing.metal')}
              choices={ids.metals.map((metal) => ({ id: metal.id as MetalId, label: metal.name }))}
              value={record?.metal ?? null}
              none={words('edit-dressing.of-usual')}
              onChange={(metal) => set({ metal })}
            />
          </View>
        ) : null}
        {asks.has('coat') ? (
          <View className="min-w-36 flex-1">
            <Pick
              label={words('edit-dressing.coat')}
              choices={doing('coat.')}
              value={part.coat}
              none={words('edit-dressing.no-coat')}
              onChange={(coat) => set({ coat })}
            />
          </View>
        ) : null}
        {asks.has('tint') ? (
          <View className="min-w-36 flex-1">
            <Pick
              label={words('edit-dressing.tint')}
              choices={doing('marker')}
              value={part.tint}
              none={words('edit-dressing.no-coat')}
              onChange={(tint) => set({ tint })}
            />
          </View>
        ) : null}
        <View className="min-w-36 flex-1">
          <Pick
            label={words('edit-dressing.region')}
            choices={ids.regions.map((region) => ({
              id: region.id as RegionId,
              label: speech.name('regions', region.id),
            }))}
            value={part.region}
            none={words('edit-dressing.own-colour')}
            onChange={(region) => set({ region })}
          />
        </View>
      </View>
      {asks.has('counter') ? (
        <View className="flex-row">
          <Toggle label={words('edit-dressing.counter')} on={part.counter} onChange={(counter) => set({ counter })} />
        </View>
      ) : null}
    </View>
  );
}

/** Steps carry the caution of the material they use. */
function withCautions(dressing: Dressing, materials: readonly Material[]): Dressing {
  const caution = (id: string | null) => materials.find((material) => material.id === id)?.caution ?? null;
  const steps = dressing.steps.map((step) => {
    const needed = caution(step.material);
    const stale =
      step.material !== null &&
      step.caution !== null &&
      needed === null &&
      materials.some((material) => material.caution === step.caution);
    return needed !== null ? { ...step, caution: needed } : stale ? { ...step, caution: null } : step;
  });
  return {
    ...dressing,
    steps,
    cautions: [...new Set([...dressing.cautions, ...steps.flatMap((step) => step.caution ?? [])])],
  };
}
