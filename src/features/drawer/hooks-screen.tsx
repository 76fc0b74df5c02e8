import { Link } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import ids from '@/catalogue/ids.json';
import type { BendId } from '@/catalogue/ids';
import { reads, type Hook } from '@/core/hooks';
import { formatLength } from '@/core/units';
import { selectCatalogue, useApp } from '@/state';
import { Page, useSpeech, useWide, useWidth, useWords } from '@/features/shell';
import { HookDimensions } from '@/features/hook';
import { HookFamily } from './hook-family';
import { Ladder, type Rail } from '@/ui/drawings';
import { Chips, Digits, Heading, Say } from '@/ui/primitives';

function railsOf(hooks: readonly Hook[]): Rail[] {
  const rails = new Map<string, Rail & { rungs: Rail['rungs'][number][] }>();
  for (const hook of hooks) {
    const id = `${hook.maker}:${hook.model}`;
    const rail = rails.get(id) ?? { id, maker: hook.makerName, model: hook.modelName, rungs: [] };
    rail.rungs.push({ id: hook.id, size: hook.size, mm: hook.shank.value, lit: false, owned: false, about: hook.estimated.includes('shank_mm'), pinned: false });
    rails.set(id, rail);
  }
  return [...rails.values()];
}

/** Every hook on one true scale, by shank, one bend at a time. */
export function HooksScreen() {
  const words = useWords();
  const speech = useSpeech();
  const { hooks } = useApp(selectCatalogue);
  const [bend, setBend] = useState<BendId>('round');
  const [tapped, setTapped] = useState<string | null>(null);
  const wide = useWide();
  const [width, onLayout] = useWidth();
  const shown = hooks.filter((hook) => hook.bend === bend);
  const rails = railsOf(shown);
  const shanks = shown.map((hook) => hook.shank.value);
  const chosen = hooks.find((hook) => hook.id === tapped && hook.bend === bend);
  const unit = speech.unit === 'mm' ? speech.t('unit.mm') : speech.t('unit.in');
  return (
    <Page column="list" title={words('drawer.hooks')} lead={words('drawer.lead')}>
      <View className="px-5 pb-4">
        <Chips compact label={words('drawer.bend')} choices={ids.bends.map((item) => ({ id: item.id as BendId, label: speech.name('bends', item.id) }))} value={bend} onChange={setBend} />
      </View>
      {chosen ? (
        <View aria-live="polite" className="gap-3 border-y border-line bg-plane px-5 py-4">
          <View className="flex-row items-center justify-between">
            <View>
              <Heading>{`${chosen.makerName} ${chosen.modelName} ${chosen.size}`}</Heading>
              <View className="flex-row items-baseline gap-2">
                <Say size="small" tone="soft">
                  {words('drawer.reads')}
                </Say>
                <Digits>{reads(chosen.shank.value).toFixed(1)}</Digits>
              </View>
            </View>
            <HookFamily hooks={[chosen]} width={120} maxHeight={84} />
          </View>
          <HookDimensions hook={chosen} />
        </View>
      ) : null}
      <View onLayout={onLayout} className="px-3">
        {width > 0 ? <Ladder label={words('ladder.label-plain', { count: rails.length })} width={width - 24} rails={rails} band={null} domain={[Math.min(...shanks) * 0.95, Math.max(...shanks) * 1.03]} tick={(mm) => (speech.unit === 'mm' ? String(Number(mm.toFixed(1))) : formatLength(mm, speech.unit).digits)} unit={unit} chosen={tapped} onRung={setTapped} /> : null}
      </View>
      <Heading className="px-5 pb-2 pt-6">{words('drawer.models', { count: rails.length })}</Heading>
      <View className={`border-t border-line ${wide ? 'flex-row flex-wrap' : ''}`}>
        {rails.map((rail) => {
          const [maker, model] = rail.id.split(':') as [string, string];
          return (
            <Link key={rail.id} href={{ pathname: '/drawer/hooks/[maker]/[model]', params: { maker, model } }} className={`flex min-h-16 flex-col border-b border-line px-5 py-3 ${wide ? 'w-1/2' : 'w-full'}`}>
              <Say weight="strong">{`${rail.maker} ${rail.model}`}</Say>
              <Say size="small" tone="soft">
                {words('drawer.span', { from: rail.rungs[0]!.size, to: rail.rungs[rail.rungs.length - 1]!.size, low: speech.length(Math.min(...rail.rungs.map((rung) => rung.mm))), high: speech.length(Math.max(...rail.rungs.map((rung) => rung.mm))) })}
              </Say>
            </Link>
          );
        })}
      </View>
    </Page>
  );
}

