import { Link } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import ids from '@/catalogue/ids.json';
import type { BendId } from '@/catalogue/ids';
import type { Hook } from '@/core/hooks';
import { formatLength } from '@/core/units';
import { selectCatalogue, useApp } from '@/state';
import { Missing, Page, useSpeech, useWidth, useWords } from '@/features/shell';
import { HookDimensions } from '@/features/hook';
import { Drawing, hookMarks, Ladder, Marks, type Rail } from '@/ui/drawings';
import { Chips, Digits, Heading, Say } from '@/ui/primitives';
import { reads } from '@/core/hooks';

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
  const [width, onLayout] = useWidth();
  const shown = hooks.filter((hook) => hook.bend === bend);
  const rails = railsOf(shown);
  const shanks = shown.map((hook) => hook.shank.value);
  const chosen = hooks.find((hook) => hook.id === tapped && hook.bend === bend);
  const unit = speech.unit === 'mm' ? speech.t('unit.mm') : speech.t('unit.in');
  return (
    <Page title={words('drawer.hooks')} over={words('drawer.lead')}>
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
            <HookPicture hook={chosen} />
          </View>
          <HookDimensions hook={chosen} />
        </View>
      ) : null}
      <View onLayout={onLayout} className="px-3">
        {width > 0 ? <Ladder label={words('ladder.label-plain', { count: rails.length })} width={width - 24} rails={rails} band={null} domain={[Math.min(...shanks) * 0.95, Math.max(...shanks) * 1.03]} tick={(mm) => (speech.unit === 'mm' ? String(Number(mm.toFixed(1))) : formatLength(mm, speech.unit).digits)} unit={unit} chosen={tapped} onRung={setTapped} /> : null}
      </View>
      <Heading className="px-5 pb-2 pt-6">{words('drawer.models', { count: rails.length })}</Heading>
      <View className="border-t border-line">
        {rails.map((rail) => {
          const [maker, model] = rail.id.split(':') as [string, string];
          return (
            <Link key={rail.id} href={{ pathname: '/drawer/hooks/[maker]/[model]', params: { maker, model } }} className="flex min-h-16 flex-col border-b border-line px-5 py-3">
              <Say weight="strong">{`${rail.maker} ${rail.model}`}</Say>
              <Say size="small" tone="soft">
                {`${rail.rungs[0]!.size} – ${rail.rungs[rail.rungs.length - 1]!.size}`}
              </Say>
            </Link>
          );
        })}
      </View>
    </Page>
  );
}

/** A hook at four times its size or what fits. */
export function HookPicture({ hook, box = 110 }: { hook: Hook; box?: number }) {
  const words = useWords();
  const drawing = hookMarks({ bend: hook.bend, eye: hook.eye, barb: hook.barb, shankMm: hook.shank.value, gapeMm: hook.gape.value, biteMm: hook.bite.value, wireMm: hook.wireDiameter.value, eyeMm: hook.eyeOuter.value });
  const { left, right, top, bottom } = drawing.bounds;
  const scale = Math.min((box - 10) / (right - left), (box * 0.7) / (top - bottom));
  return (
    <Drawing label={words('plate.fly-only', { fly: hook.modelName, hook: `${hook.makerName} ${hook.size}` })} width={box} height={box * 0.8}>
      <Marks marks={drawing.marks} scale={scale} x={box / 2 - ((left + right) / 2) * scale} y={box * 0.4 + ((top + bottom) / 2) * scale} />
    </Drawing>
  );
}

/** One model: its sizes with every dimension. */
export function ModelScreen({ maker, model }: { maker: string; model: string }) {
  const words = useWords();
  const speech = useSpeech();
  const hooks = useApp(selectCatalogue).hooks.filter((hook) => hook.maker === maker && hook.model === model);
  const habit = useApp((state) => state.records.entities.maker[maker]?.habit);
  const first = hooks[0];
  if (!first) return <Missing what="model" list="/drawer/hooks" />;
  return (
    <Page title={`${first.makerName} ${first.modelName}`} over={habit}>
      <View className="px-5 pb-4">
        <Say tone="soft">{[speech.name('bends', first.bend), speech.name('eyes', first.eye), speech.name('barbs', first.barb), speech.name('wires', first.wire)].join(' · ')}</Say>
      </View>
      <View className="border-t border-line">
        {hooks.map((hook) => (
          <View key={hook.id} className="flex-row items-start gap-4 border-b border-line px-5 py-3">
            <View className="w-14">
              <Digits size="lead" strong>{hook.size}</Digits>
              <Say size="small" tone="soft">
                {`${words('drawer.reads')} ${reads(hook.shank.value).toFixed(1)}`}
              </Say>
            </View>
            <View className="min-w-0 flex-1">
              <HookDimensions hook={hook} />
            </View>
          </View>
        ))}
      </View>
    </Page>
  );
}
