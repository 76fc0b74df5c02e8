import { View } from 'react-native';
import { DRESSINGS, STYLES } from '@/catalogue';
import type {
  BeadKindId,
  BeadLock,
  BendId,
  MetalId,
  SchoolOption,
  ThreadRole,
  WaterId,
  WeightKind,
  WireId,
} from '@/catalogue/ids';
import { addWeight, dropWeight, setThread, type Dressing, type DressingWeight } from '@/core/dressings';
import { useApp } from '@/state';
import { selectCatalogue } from '@/state/answering';
import { useSpeech, useWords } from '@/features/shell';
import type { Speech } from '@/speech';
import { Button, Fold, Say, Toggle } from '@/ui/primitives';
import { reworked, addByWay, setPart, takeOut } from '@/core/ways';
import { MaterialPick } from './edit-material';
import { ChoicesField, ChoiceField, patchedAt, withoutAt, type EditProps } from './edit-fold';
import { NumberField } from '@/features/length-field';

const TURNS = [0, 60] as const;
const BEAD_MM = [0.5, 12] as const;
const ROOM = [0, 3] as const;
const X_LONG = [-4, 8] as const;
const MONTHS = Array.from({ length: 12 }, (_, index) => index + 1);
/** Packet steps that a water may ask for. */
const BY_WATER = ['-2', '-1', '0', '1', '2'] as const;

const optionsOf = (ids: Speech['ids'], school: string) => ids.schools.find((item) => item.id === school)!.options;

/** Hooks, thread, weight, season and the schools it is tied in. */
export function EditBuild(props: EditProps) {
  return (
    <View className="border-t border-line">
      <Hooks {...props} />
      <Threads {...props} />
      <Weights {...props} />
      <Season {...props} />
      <Ways {...props} />
    </View>
  );
}

function Hooks({ dressing, onChange }: EditProps) {
  const words = useWords();
  const speech = useSpeech();
  const { ids } = speech;
  const style = STYLES.find((item) => item.id === dressing.style)!;
  const allowed = ids.bends.filter(
    ({ id }) => style.path[id === 'curved-shank' || id === 'continuous-curve' ? id : 'straight'] !== null,
  );
  const putHook = (bend: BendId, more: Partial<Dressing['hooks'][number]>) =>
    onChange({ ...dressing, hooks: dressing.hooks.map((hook) => (hook.bend === bend ? { ...hook, ...more } : hook)) });
  const line = speech.clauses(
    dressing.hooks.map((hook) =>
      [
        speech.plain('bends', hook.bend),
        hook.x_long ? words('dressing.x-long', { low: hook.x_long[0], high: hook.x_long[1] }) : '',
      ]
        .filter(Boolean)
        .join(' '),
    ),
  );
  return (
    <Fold wide title={words('dressing.hooks')} line={line || words('edit-dressing.hooks-style')}>
      <ChoicesField
        title={words('edit-dressing.bends')}
        choices={allowed}
        value={dressing.hooks.map((hook) => hook.bend)}
        onChange={(bends: BendId[]) =>
          onChange({
            ...dressing,
            hooks: bends.map(
              (bend) => dressing.hooks.find((hook) => hook.bend === bend) ?? { bend, x_long: null, wire: [] },
            ),
          })
        }
      />
      {dressing.hooks.map((hook) => (
        <View
          key={hook.bend}
          role="group"
          aria-label={speech.name('bends', hook.bend)}
          className="gap-3 rounded-control border border-edge bg-ground p-3"
        >
          <View className="flex-row flex-wrap gap-3">
            <View className="w-36">
              <NumberField
                whole
                label={words('edit-dressing.x-from', { bend: speech.plain('bends', hook.bend) })}
                value={hook.x_long?.[0] ?? null}
                range={X_LONG}
                onChange={(low) =>
                  putHook(hook.bend, { x_long: low === null ? null : [low, Math.max(low, hook.x_long?.[1] ?? low)] })
                }
              />
            </View>
            <View className="w-36">
              <NumberField
                whole
                label={words('edit-dressing.x-to', { bend: speech.plain('bends', hook.bend) })}
                value={hook.x_long?.[1] ?? null}
                range={X_LONG}
                onChange={(high) =>
                  putHook(hook.bend, {
                    x_long: high === null ? null : [Math.min(high, hook.x_long?.[0] ?? high), high],
                  })
                }
              />
            </View>
          </View>
          <ChoicesField
            title={words('edit-dressing.wires', { bend: speech.plain('bends', hook.bend) })}
            choices={ids.wires}
            value={hook.wire}
            onChange={(wire: WireId[]) => putHook(hook.bend, { wire })}
          />
        </View>
      ))}
    </Fold>
  );
}

function Threads({ dressing, onChange }: EditProps) {
  const speech = useSpeech();
  const { ids } = speech;
  const words = useWords();
  const catalogue = useApp(selectCatalogue);
  const { materials } = catalogue;
  const threads = materials.filter((material) => material.functions.includes('thread'));
  const change = (at: number, more: Partial<Dressing['threads'][number]>) =>
    onChange({ ...dressing, threads: patchedAt(dressing.threads, at, more) });
  // Parts and steps that were made with it take the new one too.
  const withThread = (at: number, material: string) =>
    reworked(
      dressing,
      (record) => {
        const before = record.threads[at]!.material;
        const swap = (id: string) => (id === before ? material : id);
        return {
          ...record,
          threads: patchedAt(record.threads, at, { material }),
          parts: record.parts.map((part) => ({ ...part, of: part.of.map(swap) })),
        };
      },
      catalogue,
    ) ?? setThread(dressing, at, material);
  const nameOf = (id: string) => materials.find((material) => material.id === id)?.name ?? id;
  return (
    <Fold
      wide
      title={words('edit-dressing.threads')}
      line={
        speech.clauses(dressing.threads.map((thread) => nameOf(thread.material))) || words('edit-dressing.no-thread')
      }
    >
      {dressing.threads.map((thread, index) => (
        <View
          key={index}
          role="group"
          aria-label={nameOf(thread.material)}
          className="gap-3 rounded-control border border-edge bg-ground p-3"
        >
          <MaterialPick
            label={words('edit-dressing.thread')}
            fits={(material) => threads.includes(material)}
            value={thread.material}
            onChange={(material) => onChange(withThread(index, material))}
          />
          <ChoiceField
            title={words('edit-dressing.thread-role')}
            choices={ids['thread-roles']}
            value={thread.role}
            onChange={(role: ThreadRole | null) => role && change(index, { role })}
          />
          <View className="w-32">
            <NumberField
              whole
              label={words('edit-dressing.finish-turns')}
              value={thread.finish_turns}
              range={TURNS}
              onChange={(turns) => turns !== null && change(index, { finish_turns: turns })}
            />
          </View>
          <View className="flex-row">
            <Button
              label={words('edit-dressing.thread-drop')}
              onPress={() => onChange({ ...dressing, threads: withoutAt(dressing.threads, index) })}
            />
          </View>
        </View>
      ))}
      <View className="flex-row">
        <Button
          label={words('edit-dressing.thread-add')}
          onPress={() =>
            onChange({
              ...dressing,
              threads: [
                ...dressing.threads,
                {
                  role: dressing.threads.length === 0 ? 'foundation' : 'head',
                  material: threads[0]!.id,
                  finish_turns: dressing.threads.length === 0 ? 5 : 0,
                  optional: false,
                },
              ],
            })
          }
        />
      </View>
    </Fold>
  );
}

function Weights({ dressing, onChange }: EditProps) {
  const words = useWords();
  const speech = useSpeech();
  const { ids } = speech;
  const catalogue = useApp(selectCatalogue);
  const part = dressing.parts.find((item) => item.part === 'weight' && item.way !== null);
  const on = (kind: WeightKind) =>
    (kind === 'hook-wire'
      ? null
      : addByWay(dressing, kind === 'bead' ? { what: 'bead' } : { what: 'weight', way: kind }, DRESSINGS, catalogue)) ??
    addWeight(dressing, kind, DRESSINGS);
  const off = (index: number) => {
    const { kind } = dressing.weights[index]!;
    const own =
      kind === 'hook-wire'
        ? undefined
        : dressing.parts.find((item) => item.part === (kind === 'bead' ? 'bead' : 'weight'));
    return own ? takeOut(dressing, own.id, catalogue)!.after : dropWeight(dressing, index);
  };
  const change = (at: number, more: Partial<DressingWeight>) =>
    onChange({ ...dressing, weights: patchedAt(dressing.weights, at, more) });
  return (
    <Fold
      wide
      title={words('edit-dressing.weights')}
      line={
        speech.clauses(
          dressing.weights.map((weight) =>
            speech.list([
              speech.plain('weight-kinds', weight.kind),
              weight.metal ? speech.plain('metals', weight.metal) : '',
            ]),
          ),
        ) || words('edit-dressing.unweighted')
      }
    >
      {dressing.weights.map((weight, index) => (
        <View
          key={index}
          role="group"
          aria-label={speech.name('weight-kinds', weight.kind)}
          className="gap-3 rounded-control border border-edge bg-ground p-3"
        >
          {weight.kind === 'wound' || weight.kind === 'sides' ? (
            <ChoiceField
              title={words('edit-dressing.weight-kind')}
              choices={ids['weight-kinds'].filter((kind) => kind.id === 'wound' || kind.id === 'sides')}
              value={weight.kind}
              onChange={(kind: WeightKind | null) =>
                kind &&
                (part
                  ? onChange(setPart(dressing, part.id, { way: kind === 'sides' ? 'sides' : 'wound' }, catalogue))
                  : change(index, { kind }))
              }
            />
          ) : (
            <Say weight="medium">{speech.name('weight-kinds', weight.kind)}</Say>
          )}
          <ChoiceField
            title={words('edit-dressing.metal')}
            choices={ids.metals}
            value={weight.metal ?? null}
            none={words('edit-dressing.none')}
            onChange={(metal: MetalId | null) => change(index, { metal })}
          />
          {weight.kind === 'bead' ? (
            <>
              <ChoiceField
                title={words('edit-dressing.bead-kind')}
                choices={ids['bead-kinds']}
                value={weight.bead_kind ?? null}
                none={words('edit-dressing.by-bend')}
                onChange={(bead_kind: BeadKindId | null) => change(index, { bead_kind })}
              />
              <ChoiceField
                title={words('edit-dressing.lock')}
                choices={ids['bead-locks'].filter((lock) => lock.id !== 'none')}
                value={weight.lock ?? null}
                none={words('edit-dressing.none')}
                onChange={(lock: BeadLock | null) => change(index, { lock })}
              />
              <View className="w-40">
                <NumberField
                  label={words('edit-dressing.bead-mm')}
                  value={weight.diameter_mm}
                  range={BEAD_MM}
                  onChange={(diameter_mm) => change(index, { diameter_mm })}
                />
              </View>
            </>
          ) : (
            <View className="w-28">
              <NumberField
                whole
                label={words('edit-dressing.turns')}
                value={weight.turns}
                range={TURNS}
                onChange={(turns) => change(index, { turns })}
              />
            </View>
          )}
          <View className="flex-row">
            <Button label={words('edit-dressing.weight-drop')} onPress={() => onChange(off(index))} />
          </View>
        </View>
      ))}
      <View className="flex-row flex-wrap gap-2">
        {ids['weight-kinds']
          .filter((kind) => !dressing.weights.some((weight) => weight.kind === kind.id))
          .map((kind) => (
            <Button
              key={kind.id}
              label={words('edit-dressing.weight-add', { kind: kind.name })}
              onPress={() => onChange(on(kind.id as WeightKind))}
            />
          ))}
      </View>
    </Fold>
  );
}

function Season({ dressing, onChange }: EditProps) {
  const words = useWords();
  const speech = useSpeech();
  const { ids } = speech;
  const bySize = dressing.size_by_water;
  const line = speech.clauses([
    dressing.months.length === 0
      ? words('edit-dressing.any-month')
      : speech.list(dressing.months.map((month) => words(`dressing.month.${month}`))),
    ...Object.entries(bySize).flatMap(([water, steps]) =>
      steps
        ? [
            words(steps > 0 ? 'dressing.larger-in' : 'dressing.smaller-in', {
              count: Math.abs(steps),
              water: speech.plain('waters', water),
            }),
          ]
        : [],
    ),
  ]);
  return (
    <Fold wide title={words('edit-dressing.season')} line={line}>
      <ChoicesField
        title={words('dressing.months')}
        choices={MONTHS.map((month) => ({ id: String(month), name: words(`dressing.month.${month}`) }))}
        value={dressing.months.map(String)}
        onChange={(months) => onChange({ ...dressing, months: months.map(Number).sort((a, b) => a - b) })}
      />
      {ids.waters.map((water) => (
        <ChoiceField
          key={water.id}
          title={words('edit-dressing.by-water', { water: water.name })}
          choices={BY_WATER.map((id) => ({ id, name: words(`hook.offset-word.${id}`) }))}
          value={String(bySize[water.id as WaterId] ?? 0)}
          onChange={(id) => {
            const { [water.id as WaterId]: _was, ...rest } = bySize;
            onChange({ ...dressing, size_by_water: Number(id) === 0 ? rest : { ...rest, [water.id]: Number(id) } });
          }}
        />
      ))}
    </Fold>
  );
}

function Ways({ dressing, onChange }: EditProps) {
  const words = useWords();
  const speech = useSpeech();
  const { ids } = speech;
  const said = (school: string, id: string | null) =>
    optionsOf(ids, school).find((option) => option.id === id)?.name ?? words('edit-dressing.as-written');
  const style = STYLES.find((item) => item.id === dressing.style)!;
  return (
    <Fold
      wide
      title={words('edit-dressing.ways')}
      line={speech.clauses([
        said('taper', dressing.taper),
        said('work-order', dressing.work_order ?? null),
        said('protection', dressing.protection),
        said('finish', dressing.finish),
      ])}
    >
      <ChoiceField
        title={words('dressing.taper')}
        choices={optionsOf(ids, 'taper')}
        value={dressing.taper}
        onChange={(taper: SchoolOption['taper'] | null) => taper && onChange({ ...dressing, taper })}
      />
      <ChoiceField
        title={words('edit-dressing.work-order')}
        choices={optionsOf(ids, 'work-order')}
        value={dressing.work_order ?? null}
        none={words('edit-dressing.as-written')}
        onChange={(work_order: SchoolOption['work-order'] | null) => onChange({ ...dressing, work_order })}
      />
      <ChoiceField
        title={words('dressing.guard')}
        choices={optionsOf(ids, 'protection')}
        value={dressing.protection}
        onChange={(protection: SchoolOption['protection'] | null) =>
          protection && onChange({ ...dressing, protection })
        }
      />
      <ChoiceField
        title={words('edit-dressing.finish')}
        choices={optionsOf(ids, 'finish')}
        value={dressing.finish}
        onChange={(finish: SchoolOption['finish'] | null) => finish && onChange({ ...dressing, finish })}
      />
      <View className="w-40">
        <NumberField
          label={words('edit-dressing.head-room', { least: style.reserve })}
          value={dressing.head_room}
          range={ROOM}
          onChange={(head_room) => onChange({ ...dressing, head_room })}
        />
      </View>
      <View className="flex-row flex-wrap gap-2">
        {dressing.threads.map((thread, index) => (
          <Toggle
            key={index}
            label={words('edit-dressing.thread-optional', { thread: speech.plain('thread-roles', thread.role) })}
            on={thread.optional}
            onChange={(optional) =>
              onChange({ ...dressing, threads: patchedAt(dressing.threads, index, { optional }) })
            }
          />
        ))}
      </View>
    </Fold>
  );
}
