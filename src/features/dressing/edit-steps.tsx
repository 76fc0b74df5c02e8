import { useMemo, useState } from 'react';
import { View } from 'react-native';
import type { CautionId, SideId, VerbId, VisePosition } from '@/catalogue/ids';
import { movedRun, runOf, STEP_DEFAULTS, type Dressing, type DressingFault, type DressingStep } from '@/core/dressings';
import type { CardStep } from '@/core/tying';
import { useSpeech, useWords } from '@/features/shell';
import { Button, Digits, Field, Pick, Row, Say, Toggle } from '@/ui/primitives';
import { DragHandle, DragList, DragRow, type DragWords } from '@/ui/primitives/drag-list';
import { CheckLines } from './check-lines';
import { usePartNames, WherePick } from './edit-where';
import { NumberField } from '@/features/length-field';
import { useApp } from '@/state';
import { selectCatalogue, selectTools } from '@/state/answering';

interface EditStepsProps {
  dressing: Dressing;
  /** The steps as the card has them, for their sentences; null while there is no card. */
  shown: readonly CardStep[] | null;
  faults: readonly DressingFault[];
  onChange: (next: Dressing) => void;
}

const TURNS = [0, 200] as const;
const MINUTES = [0, 1440] as const;
const SECONDS = 60;
const ENDS: ReadonlySet<VerbId> = new Set(['bind', 'catch-in', 'loop']);
const POINTS = ['rear', 'front', 'up', 'out'] as const;
const WAITING = ['wind', 'fold', 'show'] as const;
const CUTTING = ['waste', 'show', 'thread'] as const;

/** The order of work: each step can be moved, changed, taken out; a fault stands at its step. */
export function EditSteps({ dressing, shown, faults, onChange }: EditStepsProps) {
  const words = useWords();
  return (
    <View>
      <StepList
        dressing={dressing}
        steps={dressing.steps}
        shown={shown}
        faultsOf={(index) => faults.filter((fault) => fault.step === index + 1)}
        onChange={(steps, tools) =>
          onChange({
            ...dressing,
            steps,
            tools,
            cautions: [...new Set([...dressing.cautions, ...steps.flatMap((step) => step.caution ?? [])])],
          })
        }
      />
      <Say size="small" tone="soft" className="px-5 pt-2">
        {words('edit-dressing.steps-hint')}
      </Say>
    </View>
  );
}

interface StepListProps {
  dressing: Dressing;
  steps: DressingStep[];
  shown?: readonly CardStep[] | null;
  faultsOf?: (index: number) => readonly DressingFault[];
  /** The steps as they are to be, and the tools that the dressing lists with them. */
  onChange: (steps: DressingStep[], tools: string[]) => void;
  /** What the steps make, where it is made beforehand. */
  of?: string;
}

const NO_FAULTS: readonly DressingFault[] = [];

/** A name for each step that stays with it when it moves. */
function keysOf(steps: readonly DressingStep[]): string[] {
  const seen = new Map<string, number>();
  return steps.map((step) => {
    const key = step.phase === null ? `${step.do}-${step.as ?? ''}-${step.part ?? ''}` : `${step.part}.${step.phase}`;
    seen.set(key, (seen.get(key) ?? 0) + 1);
    return `${key}-${seen.get(key)}`;
  });
}

/** Steps that can be moved by handle, button and key, changed and taken out: of the dressing, or of what is made beforehand. */
export function StepList({ dressing, steps, shown = null, faultsOf, onChange, of }: StepListProps) {
  const [open, setOpen] = useState<string | null>(null);
  const words = useWords();
  const keys = useMemo(() => keysOf(steps), [steps]);
  const said: DragWords = {
    how: words('edit-dressing.drag-how'),
    taken: (n) => words('edit-dressing.drag-taken', { n }),
    over: (n) => words('edit-dressing.drag-over', { n }),
    put: (n) => words('edit-dressing.drag-put', { n }),
    left: words('edit-dressing.drag-left'),
  };
  const put = (next: DressingStep[], tool: string | null = null) =>
    onChange(next, tool && !dressing.tools.includes(tool) ? [...dressing.tools, tool] : dressing.tools);
  return (
    <DragList ids={keys} said={said} onMove={(from, to) => put(movedRun(steps, from, to))}>
      {steps.map((step, index) => (
        <DragRow key={keys[index]} id={keys[index]!}>
          <StepRow
            dressing={dressing}
            step={step}
            shown={shown?.[index]?.do === step.do ? shown[index]! : null}
            index={index}
            of={of}
            last={index + runOf(steps, index) >= steps.length}
            alone={steps.length === 1}
            open={open === keys[index]}
            onOpen={() => setOpen(open === keys[index] ? null : keys[index]!)}
            faults={faultsOf?.(index) ?? NO_FAULTS}
            onMove={(by) => put(movedRun(steps, index, by < 0 ? index - 1 : index + runOf(steps, index)))}
            onPut={(more) =>
              put(
                steps.map((own, at) => (at === index ? { ...own, ...more } : own)),
                more.tool,
              )
            }
            onDrop={() => put(steps.filter((_, at) => at !== index))}
            onAdd={() =>
              put([
                ...steps.slice(0, index + 1),
                { ...STEP_DEFAULTS, mend: [], do: 'check' },
                ...steps.slice(index + 1),
              ])
            }
          />
        </DragRow>
      ))}
    </DragList>
  );
}

interface StepRowProps {
  dressing: Dressing;
  step: DressingStep;
  shown: CardStep | null;
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

function StepRow({
  dressing,
  step,
  shown,
  index,
  of,
  last,
  alone,
  open,
  faults,
  onOpen,
  onMove,
  onPut,
  onDrop,
  onAdd,
}: StepRowProps) {
  const words = useWords();
  const speech = useSpeech();
  const kind = dressing.parts.find((part) => part.id === step.part)?.part;
  const title = shown
    ? speech.stepTitle(shown)
    : speech.beside([speech.name('verbs', step.do), kind && speech.plain('parts', kind)]);
  const check = shown ? speech.stepCheck(shown) : step.check ? speech.worded(step.check) : null;
  return (
    <View className={`border-b border-line ${open ? 'bg-plane' : 'bg-ground'}`}>
      <View className="flex-row items-center pr-2">
        <View className="min-w-0 flex-1">
          <Row
            line={false}
            open={open}
            spoken={words(of ? 'edit-dressing.beforehand-row' : 'edit-dressing.step-row', {
              of: of ?? '',
              n: index + 1,
              verb: speech.name('verbs', step.do),
              part: kind ? speech.plain('parts', kind) : '',
              count: faults.length,
            })}
            onPress={onOpen}
          >
            <View className="w-8">
              <Digits tone="soft">{String(index + 1)}</Digits>
            </View>
            <View className="min-w-0 flex-1">
              <Say weight="medium">{title}</Say>
              {check ? (
                <Say size="small" tone="soft">
                  {check}
                </Say>
              ) : null}
            </View>
            {faults.length > 0 ? (
              <Say size="small" tone="dawn" weight="strong">
                {words('edit-dressing.faults', { count: faults.length })}
              </Say>
            ) : null}
          </Row>
        </View>
        <DragHandle label={words('edit-dressing.drag', { n: index + 1 })} />
      </View>
      {faults.length > 0 ? (
        <View className="px-5 pb-2">
          <CheckLines faults={faults} />
        </View>
      ) : null}
      {open ? (
        <View role="group" aria-label={title} className="gap-4 px-5 pb-4">
          <View className="flex-row flex-wrap gap-3">
            <Button label={words('edit-dressing.up')} disabled={index === 0} onPress={() => onMove(-1)} />
            <Button label={words('edit-dressing.down')} disabled={last} onPress={() => onMove(1)} />
            <Button label={words('edit-dressing.add-step')} onPress={onAdd} />
            <Button label={words('edit-dressing.drop-step')} disabled={alone} onPress={onDrop} />
          </View>
          <StepFields dressing={dressing} step={step} uses={of === undefined} onPut={onPut} />
        </View>
      ) : null}
    </View>
  );
}

/** Everything that can be said of a step. */
function StepFields({
  dressing,
  step,
  uses,
  onPut,
}: {
  dressing: Dressing;
  step: DressingStep;
  uses: boolean;
  onPut: (more: Partial<DressingStep>) => void;
}) {
  const words = useWords();
  const speech = useSpeech();
  const { ids } = speech;
  const nameOf = usePartNames(dressing);
  const { materials } = useApp(selectCatalogue);
  const tools = useApp(selectTools);
  const named = <T extends string>(list: readonly { id: string; name: string }[]) =>
    list.map(({ id, name }) => ({ id: id as T, label: name }));
  const cell = (field: React.ReactNode) => <View className="min-w-36 flex-1">{field}</View>;
  const inUse = new Set([
    ...dressing.parts.flatMap((part) => [part.material, part.coat, part.tint, ...part.also]),
    ...dressing.threads.map((thread) => thread.material),
    step.material,
  ]);
  const usedFirst = [...materials].sort((a, b) => Number(inUse.has(b.id)) - Number(inUse.has(a.id)));
  return (
    <View className="gap-3">
      <View className="flex-row flex-wrap gap-3">
        {cell(
          <Pick
            label={words('edit-dressing.verb')}
            choices={named<VerbId>(ids.verbs)}
            value={step.do}
            onChange={(verb) => verb && onPut({ do: verb })}
          />,
        )}
        {cell(
          <Pick
            label={words('edit-dressing.of-part')}
            choices={dressing.parts.map((part) => ({ id: part.id, label: nameOf(part.id) }))}
            value={step.part ?? null}
            none={words('edit-dressing.no-part')}
            onChange={(part) =>
              onPut({
                part,
                material: part === null ? null : (dressing.parts.find((item) => item.id === part)?.material ?? null),
              })
            }
          />,
        )}
      </View>
      <View className="flex-row">
        <Pick
          label={words('edit-dressing.step-material')}
          choices={named(usedFirst)}
          value={step.material ?? null}
          none={words('edit-dressing.no-material-step')}
          onChange={(material) => onPut({ material })}
        />
      </View>
      <WherePick
        dressing={dressing}
        label={words('edit-dressing.at')}
        value={step.at}
        none={words('edit-dressing.nowhere')}
        onChange={(at) => onPut({ at })}
      />
      <View className="flex-row flex-wrap gap-3">
        {cell(
          <NumberField
            label={words('edit-dressing.turns')}
            value={step.turns}
            range={TURNS}
            onChange={(turns) => onPut({ turns })}
          />,
        )}
        {cell(
          <NumberField
            label={words('edit-dressing.wait')}
            value={step.wait_s === null ? null : step.wait_s / SECONDS}
            range={MINUTES}
            onChange={(wait) => onPut({ wait_s: wait === null ? null : wait * SECONDS })}
          />,
        )}
        {cell(
          <Pick
            label={words('edit-dressing.side')}
            choices={named<SideId>(ids.sides)}
            value={step.side}
            none={words('edit-dressing.nowhere')}
            onChange={(side) => onPut({ side })}
          />,
        )}
        {cell(
          <Pick
            label={words('edit-dressing.vise')}
            choices={named<VisePosition>(ids['vise-positions'])}
            value={step.vise ?? 'normal'}
            onChange={(vise) => onPut({ vise: vise === 'normal' ? null : vise })}
          />,
        )}
        {cell(
          <Pick
            label={words('edit-dressing.tool')}
            choices={named(tools)}
            value={step.tool ?? null}
            none={words('edit-dressing.no-tool')}
            onChange={(tool) => onPut({ tool })}
          />,
        )}
        {cell(
          <Pick
            label={words('edit-dressing.caution')}
            choices={ids.cautions.map((caution) => ({ id: caution.id as CautionId, label: caution.name }))}
            value={step.caution}
            none={words('edit-dressing.no-caution')}
            onChange={(caution) => onPut({ caution })}
          />,
        )}
        {ENDS.has(step.do)
          ? cell(
              <Pick
                label={words('edit-dressing.points')}
                choices={POINTS.map((id) => ({ id, label: words(`edit-dressing.point.${id}`) }))}
                value={step.points}
                none={words('edit-dressing.as-verb')}
                onChange={(points) => onPut({ points })}
              />,
            )
          : null}
        {ENDS.has(step.do)
          ? cell(
              <Pick
                label={words('edit-dressing.waits-for')}
                choices={WAITING.map((id) => ({ id, label: words(`edit-dressing.waiting.${id}`) }))}
                value={step.waits_for}
                none={words('edit-dressing.as-verb')}
                onChange={(waits_for) => onPut({ waits_for })}
              />,
            )
          : null}
        {step.do === 'cut'
          ? cell(
              <Pick
                label={words('edit-dressing.cuts')}
                choices={CUTTING.map((id) => ({ id, label: words(`edit-dressing.cutting.${id}`) }))}
                value={step.cuts}
                none={words('edit-dressing.as-verb')}
                onChange={(cuts) => onPut({ cuts })}
              />,
            )
          : null}
        {uses && dressing.assemblies.length > 0
          ? cell(
              <Pick
                label={words('edit-dressing.uses')}
                choices={dressing.assemblies.map((item) => ({ id: item.id, label: speech.worded(item.name) }))}
                value={step.assembly ?? null}
                none={words('edit-dressing.uses-none')}
                onChange={(assembly) => onPut({ assembly })}
              />,
            )
          : null}
      </View>
      <View className="flex-row">
        <Field
          label={words('edit-dressing.which-way')}
          value={speech.worded(step.orientation ?? '')}
          onType={(text) => onPut({ orientation: text.trim() === '' ? null : text })}
        />
      </View>
      <View className="flex-row">
        <Field
          label={words('edit-dressing.check')}
          value={speech.worded(step.check ?? '')}
          onType={(check) => onPut({ check: check.trim() === '' ? null : check })}
        />
      </View>
      <View className="flex-row">
        <Field
          label={words('edit-dressing.mend')}
          value={speech.clauses(step.mend.map(speech.worded))}
          onType={(mend) =>
            onPut({
              mend: mend
                .split(';')
                .map((item) => item.trim())
                .filter(Boolean),
            })
          }
        />
      </View>
      <View className="flex-row">
        <Field
          label={words('edit-dressing.note')}
          value={step.note ?? ''}
          onType={(note) => onPut({ note: note.trim() === '' ? null : note })}
        />
      </View>
      <View className="flex-row">
        <Toggle
          label={words('edit-dressing.cannot-undo')}
          on={!step.reversible}
          onChange={(on) => onPut({ reversible: !on })}
        />
      </View>
    </View>
  );
}
