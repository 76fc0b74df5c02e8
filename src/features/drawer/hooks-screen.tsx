import { useRouter } from 'expo-router';
import { Z95 } from '@/core/constants';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { reads, type Hook } from '@/core/hooks';
import { isAbout } from '@/core/quantity';
import { formatLength } from '@/core/units';
import { Page, useSpeech, useWidth, useWords } from '@/features/shell';
import { railLabels } from '@/speech/card';
import { HookDimensions } from '@/features/hook';
import { Ladder, type Rail } from '@/ui/drawings';
import { Button, Choose, Digits, Heading, Say, WordLink } from '@/ui/primitives';
import { DrawerTabs } from './drawer-tabs';
import { HookFamily } from './hook-family';
import { HookFilters, NO_FILTER, shownHooks, type HookFilter, type Shown } from './hook-filters';
import { HooksTable } from './hooks-table';
import { MakeModel } from './make-model';
import type { NewModel } from '@/records';
import { selectSettings, useApp } from '@/state';
import { selectHooks, selectOwned } from '@/state/answering';
import { madeId, useDrawer } from './use-drawer';

/** Hooks of one model, side by side. */
function railsOf(shown: readonly Shown[]): Shown[][] {
  const rails = new Map<string, Shown[]>();
  for (const item of shown) {
    const id = `${item.hook.maker}:${item.hook.model}`;
    const rail = rails.get(id);
    if (rail) rail.push(item);
    else rails.set(id, [item]);
  }
  return [...rails.values()];
}

function railOf(shown: readonly Shown[], owned: Readonly<Record<string, number>>): Rail {
  const { hook: first } = shown[0]!;
  return {
    id: `${first.maker}:${first.model}`,
    maker: first.makerName,
    model: first.modelName,
    rungs: shown.map(({ hook, mm }) => ({
      id: hook.id,
      size: hook.size,
      mm,
      half: isAbout(hook.shank.source) && hook.shank.sd !== null ? Z95 * hook.shank.sd * (mm / hook.shank.value) : null,
      chance: null,
      lit: false,
      owned: (owned[hook.id] ?? 0) > 0,
      pinned: false,
    })),
  };
}

/** Every hook on one true scale: as a ladder of models, or as a table. */
export function HooksScreen() {
  const words = useWords();
  const speech = useSpeech();
  const railLabel = useMemo(() => railLabels(speech), [speech]);
  const hooks = useApp(selectHooks);
  const owned = useApp(selectOwned);
  const { onlyOwned } = useApp(selectSettings);
  const [filter, setFilter] = useState<HookFilter>({ ...NO_FILTER, bend: 'round' });
  const [view, setView] = useState<'ladder' | 'table'>('ladder');
  const [tapped, setTapped] = useState<string | null>(null);
  const [making, setMaking] = useState<NewModel | null>(null);
  const drawer = useDrawer();
  const router = useRouter();
  const [width, box] = useWidth();
  const shown = useMemo(() => shownHooks(hooks, filter, owned, onlyOwned), [hooks, filter, owned, onlyOwned]);
  const rails = useMemo(() => railsOf(shown), [shown]);
  const domain = useMemo(
    () =>
      [
        shown.reduce((least, { mm }) => Math.min(least, mm), Infinity) * 0.95,
        shown.reduce((most, { mm }) => Math.max(most, mm), 0) * 1.03,
      ] as const,
    [shown],
  );
  const chosen = hooks.find((hook) => hook.id === tapped);
  return (
    <Page column="list" title={words('drawer.hooks')} lead={words('drawer.lead')}>
      <DrawerTabs at="hooks" />
      <View className="gap-3 px-5 py-4">
        <HookFilters filter={filter} onChange={setFilter} count={shown.length} />
        <Choose
          label={words('drawer.view')}
          choices={(['ladder', 'table'] as const).map((id) => ({ id, label: words(`drawer.views.${id}`) }))}
          value={view}
          onChange={setView}
        />
        {making ? (
          <MakeModel
            model={making}
            onChange={setMaking}
            onLeave={() => setMaking(null)}
            onDone={() => {
              const modelId = madeId(making);
              drawer.put([{ modelId, made: making, sizes: [] }]);
              setMaking(null);
              const [maker, model] = modelId.split(':') as [string, string];
              router.navigate({ pathname: '/drawer/hooks/[maker]/[model]', params: { maker, model } });
            }}
          />
        ) : (
          <Button
            kind="quiet"
            label={words('drawer.new-model')}
            className="-ml-4 self-start"
            onPress={() => setMaking({ makerName: '', modelName: '', bend: 'round', xLong: 0 })}
          />
        )}
      </View>
      {chosen ? <ChosenHook hook={chosen} /> : null}
      {shown.length === 0 ? (
        <Say tone="soft" className="px-5">
          {words('drawer.none-shown')}
        </Say>
      ) : view === 'table' ? (
        <HooksTable hooks={shown} owned={owned} />
      ) : (
        <View {...box} className="px-3">
          {width > 0 ? (
            <Ladder
              label={words('ladder.label-plain', { count: rails.length })}
              hint={words('ladder.keys')}
              railLabel={railLabel}
              width={width - 24}
              count={rails.length}
              railAt={(index) => railOf(rails[index]!, owned)}
              band={null}
              domain={domain}
              tick={(mm) =>
                speech.unit === 'mm' ? String(Number(mm.toFixed(1))) : formatLength(mm, speech.unit).digits
              }
              unit={speech.t(speech.unit === 'mm' ? 'unit.mm' : 'unit.in')}
              chosen={tapped}
              onRung={setTapped}
            />
          ) : null}
          <Say size="small" tone="soft" className="px-2 pt-3">
            {words('ladder.legend')}
          </Say>
        </View>
      )}
    </Page>
  );
}

/** The rung that was tapped: what it is, and where to go from it. */
function ChosenHook({ hook }: { hook: Hook }) {
  const words = useWords();
  const speech = useSpeech();
  return (
    <View aria-live="polite" className="gap-3 border-y border-line bg-plane px-5 py-4">
      <View className="flex-row items-center justify-between gap-3">
        <View className="min-w-0 flex-1">
          <Heading>{`${hook.makerName} ${hook.modelName} ${hook.size}`}</Heading>
          <View className="flex-row items-baseline gap-2">
            <Say size="small" tone="soft">
              {words('drawer.reads')}
            </Say>
            <Digits>{speech.number(reads(hook.shank.value), 1)}</Digits>
          </View>
        </View>
        <HookFamily hooks={[hook]} width={120} maxHeight={84} />
      </View>
      <HookDimensions hook={hook} />
      <View className="flex-row flex-wrap gap-x-6">
        <WordLink to={{ pathname: '/drawer/convert', params: { hook: hook.id } }}>{words('convert.open')}</WordLink>
        <WordLink to={{ pathname: '/drawer/hooks/[maker]/[model]', params: { maker: hook.maker, model: hook.model } }}>
          {words('drawer.open-model')}
        </WordLink>
      </View>
    </View>
  );
}
