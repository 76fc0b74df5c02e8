import { useState } from 'react';
import { View } from 'react-native';
import { STYLES } from '@/catalogue';
import type { StyleId } from '@/catalogue/ids';
import { ANY_KIND, carryOn, isOfKind, styleUse, type HookKinds } from '@/core/answer';
import type { Hook } from '@/core/hooks';
import { KindChips, kindsSaid, OnlyOwned } from '@/features/hook';
import { useSpeech, useWords } from '@/features/shell';
import { Button, Choose, Heading, Say } from '@/ui/primitives';

/** What the ladder and its table show; null for any. */
export interface HookFilter extends HookKinds {
  style: StyleId | null;
}

export const NO_FILTER: HookFilter = { ...ANY_KIND, style: null };

/** A hook with the length it is laid on the axis by: its shank, or what it carries in a style. */
export interface Shown {
  hook: Hook;
  mm: number;
}

/** Hooks that a filter leaves, each with its length; hooks of a bend that the style is not meant for go. */
export function shownHooks(
  hooks: readonly Hook[],
  filter: HookFilter,
  owned: Readonly<Record<string, number>>,
  onlyOwned: boolean,
): Shown[] {
  const style = filter.style === null ? null : STYLES.find((item) => item.id === filter.style)!;
  return hooks.flatMap((hook) => {
    if (!isOfKind(filter, hook) || (onlyOwned && !owned[hook.id]) || (hook.retired && !owned[hook.id])) return [];
    if (!style) return [{ hook, mm: hook.shank.value }];
    const carried = carryOn(hook, styleUse(style), false);
    return carried ? [{ hook, mm: carried.carryMm }] : [];
  });
}

const ANY = 'any';

/** The filter in one line, and its choices when it is opened. */
export function HookFilters({
  filter,
  onChange,
  count,
}: {
  filter: HookFilter;
  onChange: (filter: HookFilter) => void;
  count: number;
}) {
  const words = useWords();
  const speech = useSpeech();
  const [open, setOpen] = useState(false);
  const line = speech.list([
    filter.style ? words('drawer.as-style', { style: speech.plain('styles', filter.style) }) : words('drawer.as-shank'),
    ...kindsSaid(filter, speech),
  ]);
  return (
    <View className="gap-3">
      <View className="flex-row flex-wrap items-center gap-3">
        <Button label={words(open ? 'drawer.filters-close' : 'drawer.filters')} onPress={() => setOpen(!open)} />
        <OnlyOwned />
        <Say size="small" tone="soft" live className="min-w-0 flex-1 basis-40">
          {words('drawer.shown', { line, count })}
        </Say>
      </View>
      {open ? (
        <View className="gap-3 rounded-control border border-edge bg-plane p-3">
          <KindChips kinds={filter} onChange={(kinds) => onChange({ ...filter, ...kinds })} />
          <View className="gap-1">
            <Heading size="small" level={3}>
              {words('drawer.filter.style')}
            </Heading>
            <Choose
              label={words('drawer.filter.style')}
              choices={[
                { id: ANY, label: words('drawer.bare-shank') },
                ...STYLES.map((style) => ({ id: style.id as string, label: speech.name('styles', style.id) })),
              ]}
              value={filter.style ?? ANY}
              onChange={(id) => onChange({ ...filter, style: id === ANY ? null : (id as StyleId) })}
            />
          </View>
        </View>
      ) : null}
    </View>
  );
}
