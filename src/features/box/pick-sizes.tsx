import { useMemo, useState } from 'react';
import { View } from 'react-native';
import type { Dressing } from '@/core/dressings';
import type { Hook } from '@/core/hooks';
import { useWords } from '@/features/shell';
import { Button, Choose, Say, Stepper, Toggle } from '@/ui/primitives';
import type { Chosen } from './use-ledger';
import { tiedKind, type FlyRecord } from '@/records';
import { useApp } from '@/state';
import { selectCatalogue } from '@/state/answering';

const COUNTS = ['1', '2', '3', '4', '6', '12'];
const MODELS_SHOWN = 6;

function modelOf(hook: Hook): string {
  return `${hook.maker}:${hook.model}`;
}

interface PickSizesProps {
  dressing: Dressing;
  flies: readonly FlyRecord[];
  chosen: readonly Chosen[];
  onChange: (chosen: readonly Chosen[]) => void;
}

/** Sizes of one hook model by taps, and how many of each: models this dressing was tied on stand first, then those its style takes. */
export function PickSizes({ dressing, flies, chosen, onChange }: PickSizesProps) {
  const words = useWords();
  const { hooks, styles } = useApp(selectCatalogue);
  const [each, setEach] = useState('3');
  const [all, setAll] = useState(false);
  const style = styles.find((item) => item.id === dressing.style)!;
  const models = useMemo(() => {
    const tiedOn = new Map<string, number>();
    const any = new Map<string, number>();
    for (const fly of flies) {
      const hook = hooks.find((item) => item.id === fly.hookId);
      if (!hook) continue;
      any.set(modelOf(hook), (any.get(modelOf(hook)) ?? 0) + 1);
      if (fly.dressingId === dressing.id) tiedOn.set(modelOf(hook), (tiedOn.get(modelOf(hook)) ?? 0) + 1);
    }
    const seen = new Map<string, Hook>();
    for (const hook of hooks) if (!seen.has(modelOf(hook))) seen.set(modelOf(hook), hook);
    const rank = (hook: Hook) => {
      const bend = style.bends.indexOf(hook.bend);
      return (
        (tiedOn.get(modelOf(hook)) ?? 0) * 100 +
        (bend < 0 ? -50 : 10 - bend) +
        (style.wire.includes(hook.wire) ? 5 : 0) +
        Math.min(4, any.get(modelOf(hook)) ?? 0)
      );
    };
    return [...seen.values()].sort((a, b) => rank(b) - rank(a));
  }, [dressing.id, flies, hooks, style]);
  const [model, setModel] = useState(models[0] ? modelOf(models[0]) : '');
  const sizes = hooks.filter((hook) => modelOf(hook) === model);
  const has = (hook: Hook) => chosen.some((item) => item.kind.hookId === hook.id);
  const toggle = (hook: Hook, on: boolean) =>
    onChange(
      on
        ? [
            ...chosen,
            {
              kind: tiedKind(dressing, hook),
              size: hook.size,
              count: Number(each),
            },
          ]
        : chosen.filter((item) => item.kind.hookId !== hook.id),
    );
  return (
    <View className="gap-4">
      <View className="gap-2">
        <Say size="small" tone="soft">
          {words('box.on-hook')}
        </Say>
        <Choose
          label={words('box.on-hook')}
          choices={models
            .slice(0, all ? models.length : MODELS_SHOWN)
            .map((hook) => ({ id: modelOf(hook), label: `${hook.makerName} ${hook.modelName}` }))}
          value={model}
          onChange={setModel}
        />
        {models.length > MODELS_SHOWN && !all ? (
          <Button
            kind="quiet"
            label={words('box.all-models', { count: models.length })}
            onPress={() => setAll(true)}
            className="-ml-4 self-start"
          />
        ) : null}
      </View>
      <View className="gap-2">
        <Say size="small" tone="soft">
          {words('box.each')}
        </Say>
        <Choose
          tall
          label={words('box.each')}
          choices={COUNTS.map((id) => ({ id, label: id }))}
          value={each}
          onChange={(id) => {
            setEach(id);
            onChange(chosen.map((item) => ({ ...item, count: Number(id) })));
          }}
        />
      </View>
      <View className="gap-2">
        <Say size="small" tone="soft">
          {words('box.sizes')}
        </Say>
        <View role="group" aria-label={words('box.sizes')} className="flex-row flex-wrap gap-3">
          {sizes.map((hook) => (
            <Toggle
              key={hook.id}
              tall
              label={hook.size}
              spoken={words('box.size-n', { size: hook.size })}
              on={has(hook)}
              onChange={(on) => toggle(hook, on)}
            />
          ))}
        </View>
      </View>
      {chosen.map((item) => (
        <View key={item.kind.hookId} className="flex-row items-center justify-between gap-3 border-b border-line pb-2">
          <Say weight="medium">{words('box.size-n', { size: item.size })}</Say>
          <Stepper
            label={words('box.count-size', { size: item.size })}
            value={item.count}
            low={1}
            high={999}
            onChange={(count) => onChange(chosen.map((other) => (other === item ? { ...item, count } : other)))}
          />
        </View>
      ))}
    </View>
  );
}
