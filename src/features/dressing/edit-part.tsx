import { useState } from 'react';
import { Pressable, View } from 'react-native';
import { MATERIALS } from '@/catalogue';
import ids from '@/catalogue/ids.json';
import type { AmountUnit, RegionId } from '@/catalogue/ids';
import { dropPart, setMaterial, setOptional, type Dressing, type DressingFault, type DressingPart } from '@/core/dressings';
import type { Card } from '@/core/tying';
import { useSpeech, useWords } from '@/features/shell';
import { Button, Chips, Digits, Say, Toggle } from '@/ui/primitives';
import { CheckLines } from './check-lines';
import { NumberField } from './number-field';

interface EditPartProps {
  dressing: Dressing;
  part: DressingPart;
  card: Card | null;
  faults: readonly DressingFault[];
  onChange: (next: Dressing) => void;
}

const FACTOR = [0, 20] as const;
const COUNT = [0, 60] as const;
const NONE = 'none';
/** Bases a tier sets a length by; a share of another part is kept where a dressing has one. */
const BASES = ids.bases.filter((base) => !['part', 'landmark', 'tool'].includes(base.id));

/** One part of a dressing: its rule, its material, what it takes its colour from; opened by a tap. */
export function EditPart({ dressing, part, card, faults, onChange }: EditPartProps) {
  const words = useWords();
  const speech = useSpeech();
  const [open, setOpen] = useState(false);
  const own = faults.filter((fault) => fault.part === part.id && fault.step === null);
  const shown = card?.parts.find((item) => item.id === part.id);
  const set = (more: Partial<DressingPart>) => onChange({ ...dressing, parts: dressing.parts.map((item) => (item.id === part.id ? { ...item, ...more } : item)) });
  const fitting = MATERIALS.filter((material) => part.function !== null && material.functions.includes(part.function));
  const name = speech.name('parts', part.part);
  const material = MATERIALS.find((item) => item.id === part.material);
  return (
    <View className={`border-b border-line ${open ? 'bg-plane' : ''}`}>
      <Pressable role="button" aria-expanded={open} aria-label={words('edit-dressing.part-row', { part: name, material: material?.name ?? words('edit-dressing.no-material'), count: own.length })} onPress={() => setOpen(!open)} className="min-h-14 flex-row items-center gap-3 px-5 py-2">
        <View aria-hidden className="h-7 w-7 rounded-control border border-edge" style={{ backgroundColor: material?.hex }} />
        <View className="min-w-0 flex-1">
          <Say weight="medium">{name}</Say>
          <Say size="small" tone="soft">{material?.name ?? words('edit-dressing.no-material')}</Say>
        </View>
        {shown?.mm != null ? <Digits>{speech.length(shown.mm)}</Digits> : null}
        {own.length > 0 ? <Say size="small" tone="dawn" weight="strong">{words('edit-dressing.faults', { count: own.length })}</Say> : null}
      </Pressable>
      {open ? (
        <View className="gap-3 px-5 pb-4">
          <CheckLines faults={own} />
          <View className="flex-row flex-wrap gap-3">
            <View className="w-24"><NumberField label={words('edit-dressing.factor')} value={part.factor} range={FACTOR} onChange={(factor) => set({ factor })} /></View>
            <View className="w-24"><NumberField label={words('edit-dressing.low')} value={part.low} range={FACTOR} onChange={(low) => set({ low })} /></View>
            <View className="w-24"><NumberField label={words('edit-dressing.high')} value={part.high} range={FACTOR} onChange={(high) => set({ high })} /></View>
            {part.thick ? <View className="w-28"><NumberField label={words('edit-dressing.thick')} value={part.thick.factor} range={FACTOR} onChange={(factor) => factor !== null && set({ thick: { ...part.thick!, factor } })} /></View> : null}
            <View className="w-24"><NumberField whole label={words('edit-dressing.count')} value={part.count} range={COUNT} onChange={(count) => set({ count })} /></View>
            <View className="w-24"><NumberField whole label={words('edit-dressing.spare')} value={part.spare} range={COUNT} onChange={(spare) => set({ spare })} /></View>
          </View>
          <Labelled title={words('edit-dressing.base')}>
            <Chips compact label={words('edit-dressing.base')} choices={[...(part.base.includes(':') ? [{ id: part.base, label: part.base.startsWith('part:') ? speech.plain('parts', dressing.parts.find((item) => item.id === part.base.slice(5))?.part ?? part.base.slice(5)) : speech.plain('bases', 'landmark') }] : []), ...BASES.map((base) => ({ id: base.id, label: base.name }))]} value={part.base} onChange={(base) => set({ base })} />
          </Labelled>
          {fitting.length > 0 ? (
            <Labelled title={words('edit-dressing.material')}>
              <Chips compact label={words('edit-dressing.material')} choices={fitting.map((item) => ({ id: item.id, label: item.name }))} value={part.material ?? null} onChange={(id) => onChange(withCautions(setMaterial(dressing, part.id, id)))} />
            </Labelled>
          ) : null}
          <Labelled title={words('edit-dressing.region')}>
            <Chips compact label={words('edit-dressing.region')} choices={[{ id: NONE, label: words('edit-dressing.own-colour') }, ...ids.regions.map((region) => ({ id: region.id, label: region.name }))]} value={part.region ?? NONE} onChange={(id) => set({ region: id === NONE ? null : (id as RegionId) })} />
          </Labelled>
          <Labelled title={words('edit-dressing.unit')}>
            <Chips compact label={words('edit-dressing.unit')} choices={ids['amount-units'].map((unit) => ({ id: unit.id as AmountUnit, label: unit.name }))} value={part.unit} onChange={(unit) => set({ unit })} />
          </Labelled>
          <View className="flex-row flex-wrap gap-3">
            <Toggle label={words('edit-dressing.optional')} on={part.optional} onChange={(on) => onChange(setOptional(dressing, part.id, name, on))} />
            {part.part === 'head' ? null : <Button label={words('edit-dressing.drop', { part: speech.plain('parts', part.part) })} onPress={() => onChange(dropPart(dressing, part.id))} />}
          </View>
        </View>
      ) : null}
    </View>
  );
}

/** Steps carry the caution of the material they use. */
function withCautions(dressing: Dressing): Dressing {
  const caution = (id: string | null) => MATERIALS.find((material) => material.id === id)?.caution ?? null;
  const steps = dressing.steps.map((step) => {
    const needed = caution(step.material);
    const stale = step.material !== null && step.caution !== null && needed === null && MATERIALS.some((material) => material.caution === step.caution);
    return needed !== null ? { ...step, caution: needed } : stale ? { ...step, caution: null } : step;
  });
  return { ...dressing, steps, cautions: [...new Set([...dressing.cautions, ...steps.flatMap((step) => step.caution ?? [])])] };
}

export function Labelled({ title, children }: { title: string; children: React.ReactNode }) {
  return (
    <View className="gap-1">
      <Say size="small" tone="soft">{title}</Say>
      {children}
    </View>
  );
}
