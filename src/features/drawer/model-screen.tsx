import { View } from 'react-native';
import { SD_STEPS } from '@/core/constants';
import { reads, type Hook } from '@/core/hooks';
import { isAbout, type Quantity } from '@/core/quantity';
import { selectCatalogue, useApp } from '@/state';
import { Measured, Missing, Page, useSpeech, useWidth, useWords } from '@/features/shell';
import { Digits, Say } from '@/ui/primitives';
import { HookFamily } from './hook-family';

interface Column {
  name: 'shank' | 'gape' | 'bite' | 'wire' | 'eye' | 'mass';
  of(hook: Hook): Quantity;
  as: 'length' | 'fine-length' | { decimals: number };
}

const COLUMNS: readonly Column[] = [
  { name: 'shank', of: (hook) => hook.shank, as: 'length' },
  { name: 'gape', of: (hook) => hook.gape, as: 'length' },
  { name: 'bite', of: (hook) => hook.bite, as: 'length' },
  { name: 'wire', of: (hook) => hook.wireDiameter, as: 'fine-length' },
  { name: 'eye', of: (hook) => hook.eyeOuter, as: 'fine-length' },
  { name: 'mass', of: (hook) => hook.mass, as: { decimals: 0 } },
];

const DRAWN = 5;

/** A few sizes over the whole range of a model, the first and the last among them. */
function overTheRange(hooks: readonly Hook[]): Hook[] {
  if (hooks.length <= DRAWN) return [...hooks];
  return Array.from({ length: DRAWN }, (_, index) => hooks[Math.round((index * (hooks.length - 1)) / (DRAWN - 1))]!);
}

/** One model: its hooks drawn at one scale, and every dimension of every size. */
export function ModelScreen({ maker, model }: { maker: string; model: string }) {
  const words = useWords();
  const speech = useSpeech();
  const hooks = useApp(selectCatalogue).hooks.filter((hook) => hook.maker === maker && hook.model === model);
  const habit = useApp((state) => state.records.entities.maker[maker]?.habit);
  const [width, onLayout] = useWidth();
  const first = hooks[0];
  if (!first) return <Missing what="model" list="/drawer/hooks" />;
  const unit = speech.t(speech.unit === 'mm' ? 'unit.mm' : 'unit.in');
  const aboutAll = new Set(COLUMNS.filter((column) => hooks.every((hook) => isAbout(column.of(hook).source))).map((column) => column.name));
  const drawn = [...overTheRange(hooks)].sort((a, b) => b.shank.value - a.shank.value);
  return (
    <Page back={{ href: '/drawer/hooks', label: words('drawer.hooks') }} title={`${first.makerName} ${first.modelName}`} lead={[habit, [speech.plain('bends', first.bend), speech.plain('eyes', first.eye), speech.plain('barbs', first.barb), speech.plain('wires', first.wire)].join(', ')].filter(Boolean).join(' · ')}>
      <View onLayout={onLayout}>{width > 0 ? <HookFamily hooks={drawn} width={width} maxHeight={150} /> : null}</View>
      <View role="table" aria-label={words('drawer.table', { model: `${first.makerName} ${first.modelName}` })} className="border-t border-line">
        <View role="row" className="flex-row items-end gap-1 border-b border-edge px-4 py-2">
          <Head text={words('hook.size')} left width="w-9" />
          <Head text={words('drawer.reads')} width="w-11" />
          {COLUMNS.map(({ name }) => (
            <Head key={name} text={aboutAll.has(name) ? words('drawer.about-col', { what: words(`hook.${name}`) }) : words(`hook.${name}`)} />
          ))}
        </View>
        {hooks.map((hook) => (
          <View key={hook.id} role="row" className="flex-row items-center gap-1 border-b border-line px-4 py-2">
            <View role="cell" className="w-9">
              <Digits strong>{hook.size}</Digits>
            </View>
            <View role="cell" className="w-11 items-end">
              <Measured what={`${words('drawer.reads')}, ${hook.size}`} quantity={{ value: reads(hook.shank.value), sd: isAbout(hook.shank.source) ? SD_STEPS.about : SD_STEPS.known, source: hook.shank.source }} as={{ decimals: 1 }} tone="soft" bare />
            </View>
            {COLUMNS.map(({ name, of, as }) => (
              <View key={name} role="cell" className="min-w-0 flex-1 items-end">
                <Measured what={`${words(`hook.${name}`)}, ${hook.size}`} quantity={of(hook)} as={as} bare={aboutAll.has(name) || !isAbout(of(hook).source)} unit={false} />
              </View>
            ))}
          </View>
        ))}
      </View>
      <Say size="small" tone="soft" className="px-5 pt-3">
        {words('drawer.in-unit', { unit })}
      </Say>
    </Page>
  );
}

function Head({ text, left = false, width = 'min-w-0 flex-1' }: { text: string; left?: boolean; width?: string }) {
  return (
    <View role="columnheader" className={`${width} ${left ? '' : 'items-end'}`}>
      <Say size="small" tone="soft" className={left ? '' : 'text-right'}>
        {text}
      </Say>
    </View>
  );
}
