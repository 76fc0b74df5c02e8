import { useState } from 'react';
import { Pressable, View } from 'react-native';
import ids from '@/catalogue/ids.json';
import { TOOLS } from '@/catalogue';
import type { SideId, VerbId, VisePosition } from '@/catalogue/ids';
import { moved, STEP_DEFAULTS, type Dressing, type DressingFault, type DressingStep } from '@/core/dressings';
import { useSpeech, useWords } from '@/features/shell';
import { Button, Chips, Digits, Field, Say, Toggle } from '@/ui/primitives';
import { CheckLines } from './check-lines';
import { Labelled } from './edit-part';

interface EditStepsProps {
  dressing: Dressing;
  faults: readonly DressingFault[];
  onChange: (next: Dressing) => void;
}

const NONE = 'none';

/** The order of work: each step can be moved, changed, taken out; a fault stands at its step. */
export function EditSteps({ dressing, faults, onChange }: EditStepsProps) {
  const words = useWords();
  return (
    <View>
      <StepList dressing={dressing} steps={dressing.steps} faultsOf={(index) => faults.filter((fault) => fault.step === index + 1)} onChange={(steps, tools) => onChange({ ...dressing, steps, tools })} />
      <Say size="small" tone="soft" className="px-5 pt-2">{words('edit-dressing.steps-hint')}</Say>
    </View>
  );
}

interface StepListProps {
  dressing: Dressing;
  steps: DressingStep[];
  faultsOf?: (index: number) => readonly DressingFault[];
  /** The steps as they are to be, and the tools that the dressing lists with them. */
  onChange: (steps: DressingStep[], tools: string[]) => void;
  /** What the steps make, where it is made beforehand. */
  of?: string;
}

const NO_FAULTS: readonly DressingFault[] = [];

/** Steps that can be moved, changed and taken out: of the dressing, or of what is made beforehand. */
export function StepList({ dressing, steps, faultsOf, onChange, of }: StepListProps) {
  const [open, setOpen] = useState<number | null>(null);
  const put = (next: DressingStep[], at: number | null, tool: string | null = null) => {
    // A tool that a step takes is one the dressing lists.
    onChange(next, tool && !dressing.tools.includes(tool) ? [...dressing.tools, tool] : dressing.tools);
    setOpen(at);
  };
  return steps.map((step, index) => (
    <StepRow
      key={index}
      dressing={dressing}
      step={step}
      index={index}
      of={of}
      last={index === steps.length - 1}
      alone={steps.length === 1}
      open={open === index}
      onOpen={() => setOpen(open === index ? null : index)}
      faults={faultsOf?.(index) ?? NO_FAULTS}
      onMove={(by) => put(moved(steps, index, by), null)}
      onPut={(more) => put(steps.map((own, at) => (at === index ? { ...own, ...more } : own)), open, more.tool)}
      onDrop={() => put(steps.filter((_, at) => at !== index), null)}
      onAdd={() => put([...steps.slice(0, index + 1), { ...STEP_DEFAULTS, mend: [], do: 'check' }, ...steps.slice(index + 1)], index + 1)}
    />
  ));
}

interface StepRowProps {
  dressing: Dressing;
  step: DressingStep;
  index: number;
  of?: string;
  last: boolean;
  /** The only step there is: it stays. */
  alone: boolean;
  open: boolean;
  faults: readonly DressingFault[];
  onOpen: () => void;
  onMove: (by: 1 | -1) => void;
  onPut: (more: Partial<DressingStep>) => void;
  onDrop: () => void;
  onAdd: () => void;
}

function StepRow({ dressing, step, index, of, last, alone, open, faults, onOpen, onMove, onPut, onDrop, onAdd }: StepRowProps) {
  const words = useWords();
  const speech = useSpeech();
  const kind = dressing.parts.find((part) => part.id === step.part)?.part;
  const places = ['tie-down', ...dressing.parts.filter((part) => part.to === 'forward').map((part) => `part:${part.id}`), ...ids.landmarks.map((mark) => mark.id)];
  const placeName = (place: string) => (place === 'tie-down' ? words('edit-dressing.tie-down') : place.startsWith('part:') ? words('edit-dressing.front-of', { part: speech.plain('parts', dressing.parts.find((part) => part.id === place.slice(5))?.part ?? '') }) : speech.plain('landmarks', place));
  return (
    <View className={`border-b border-line ${open ? 'bg-plane' : ''}`}>
      <Pressable role="button" aria-expanded={open} aria-label={words(of ? 'edit-dressing.beforehand-row' : 'edit-dressing.step-row', { of: of ?? '', n: index + 1, verb: speech.name('verbs', step.do), part: kind ? speech.plain('parts', kind) : '', count: faults.length })} onPress={onOpen} className="min-h-14 flex-row items-center gap-3 px-5 py-2">
        <View className="w-8"><Digits tone="soft">{String(index + 1)}</Digits></View>
        <View className="min-w-0 flex-1">
          <Say weight="medium">{`${speech.name('verbs', step.do)}${kind ? ` · ${speech.plain('parts', kind)}` : ''}`}</Say>
          {step.check ? <Say size="small" tone="soft">{speech.worded(step.check)}</Say> : null}
        </View>
        {faults.length > 0 ? <Say size="small" tone="dawn" weight="strong">{words('edit-dressing.faults', { count: faults.length })}</Say> : null}
      </Pressable>
      {faults.length > 0 ? <View className="px-5 pb-2"><CheckLines faults={faults} /></View> : null}
      {open ? (
        <View className="gap-3 px-5 pb-4">
          <View className="flex-row flex-wrap gap-3">
            <Button label={words('edit-dressing.up')} disabled={index === 0} onPress={() => onMove(-1)} />
            <Button label={words('edit-dressing.down')} disabled={last} onPress={() => onMove(1)} />
            <Button label={words('edit-dressing.add-step')} onPress={onAdd} />
            <Button label={words('edit-dressing.drop-step')} disabled={alone} onPress={onDrop} />
          </View>
          <Labelled title={words('edit-dressing.verb')}>
            <Chips compact label={words('edit-dressing.verb')} choices={ids.verbs.map((verb) => ({ id: verb.id as VerbId, label: verb.name }))} value={step.do} onChange={(verb) => onPut({ do: verb })} />
          </Labelled>
          <Labelled title={words('edit-dressing.of-part')}>
            <Chips compact label={words('edit-dressing.of-part')} choices={[{ id: NONE, label: words('edit-dressing.no-part') }, ...dressing.parts.map((part) => ({ id: part.id, label: speech.plain('parts', part.part) }))]} value={step.part ?? NONE} onChange={(id) => onPut({ part: id === NONE ? null : id, material: id === NONE ? null : (dressing.parts.find((part) => part.id === id)?.material ?? null) })} />
          </Labelled>
          <Labelled title={words('edit-dressing.at')}>
            <Chips compact label={words('edit-dressing.at')} choices={[{ id: NONE, label: words('edit-dressing.nowhere') }, ...places.map((place) => ({ id: place, label: placeName(place) }))]} value={step.at ?? NONE} onChange={(id) => onPut({ at: id === NONE ? null : id })} />
          </Labelled>
          <Labelled title={words('edit-dressing.side')}>
            <Chips compact label={words('edit-dressing.side')} choices={[{ id: NONE, label: words('edit-dressing.nowhere') }, ...ids.sides.map((side) => ({ id: side.id, label: side.name }))]} value={step.side ?? NONE} onChange={(id) => onPut({ side: id === NONE ? null : (id as SideId) })} />
          </Labelled>
          <Labelled title={words('edit-dressing.vise')}>
            <Chips compact label={words('edit-dressing.vise')} choices={ids['vise-positions'].map((vise) => ({ id: vise.id as VisePosition, label: vise.name }))} value={step.vise ?? 'normal'} onChange={(vise) => onPut({ vise: vise === 'normal' ? null : vise })} />
          </Labelled>
          <Labelled title={words('edit-dressing.tool')}>
            <Chips compact label={words('edit-dressing.tool')} choices={[{ id: NONE, label: words('edit-dressing.no-tool') }, ...TOOLS.map((tool) => ({ id: tool.id, label: tool.name }))]} value={step.tool ?? NONE} onChange={(id) => onPut({ tool: id === NONE ? null : id })} />
          </Labelled>
          {of === undefined && dressing.assemblies.length > 0 ? (
            <Labelled title={words('edit-dressing.uses')}>
              <Chips compact label={words('edit-dressing.uses')} choices={[{ id: NONE, label: words('edit-dressing.uses-none') }, ...dressing.assemblies.map((item) => ({ id: item.id, label: speech.worded(item.name) }))]} value={step.assembly ?? NONE} onChange={(id) => onPut({ assembly: id === NONE ? null : id })} />
            </Labelled>
          ) : null}
          <Field label={words('edit-dressing.check')} value={speech.worded(step.check ?? '')} onType={(check) => onPut({ check: check.trim() === '' ? null : check })} />
          <Field label={words('edit-dressing.mend')} value={step.mend.map(speech.worded).join('; ')} onType={(mend) => onPut({ mend: mend.split(';').map((item) => item.trim()).filter(Boolean) })} />
          <View className="flex-row">
            <Toggle label={words('edit-dressing.cannot-undo')} on={!step.reversible} onChange={(on) => onPut({ reversible: !on })} />
          </View>
        </View>
      ) : null}
    </View>
  );
}
