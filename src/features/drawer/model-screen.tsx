import { useMemo, useState } from 'react';
import { NUMBER_STEP, Z95 } from '@/core/constants';
import { View } from 'react-native';
import { writeModelFile } from '@/core/exchange';
import { reads, type Hook } from '@/core/hooks';
import { isAbout, type Quantity } from '@/core/quantity';
import { rowsOf, sizesOf } from '@/records';
import { useApp } from '@/state';
import { selectHooks } from '@/state/answering';
import { saveFile } from '@/features/files';
import { Measured, Missing, Page, useSpeech, useWidth, useWords } from '@/features/shell';
import { Button, Digits, Say, Toggle } from '@/ui/primitives';
import { FitPanel } from './fit-panel';
import { HookFamily } from './hook-family';
import { ModelEdit } from './model-edit';
import { TapePanel } from './tape-panel';

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
export function ModelScreen({ maker, model, tape = null }: { maker: string; model: string; tape?: string | null }) {
  const words = useWords();
  const speech = useSpeech();
  const all = useApp(selectHooks);
  const hooks = useMemo(() => all.filter((hook) => hook.maker === maker && hook.model === model), [all, maker, model]);
  const modelId = `${maker}:${model}`;
  const record = useApp((state) => state.records.entities.model[modelId]);
  const makerRecord = useApp((state) => state.records.entities.maker[maker]);
  const habit = makerRecord?.habit;
  const [panel, setPanel] = useState<'tape' | 'fit' | 'edit' | null>(tape ? 'tape' : null);
  const [width, box] = useWidth();
  const first = hooks[0];
  if (!first && record && makerRecord)
    return (
      <Page
        back={{ href: '/drawer/hooks', label: words('drawer.hooks') }}
        title={`${makerRecord.name} ${record.name}`}
        lead={words('drawer.no-length')}
      >
        {Object.keys(record.sizes).length > 0 ? (
          <TapePanel modelId={modelId} model={record} sizes={sizesOf(record)} hooks={hooks} start={tape} />
        ) : null}
        <ModelEdit modelId={modelId} model={record} maker={makerRecord} />
      </Page>
    );
  if (!first) return <Missing what="model" list="/drawer/hooks" />;
  const unit = speech.t(speech.unit === 'mm' ? 'unit.mm' : 'unit.in');
  const aboutAll = new Set(
    COLUMNS.filter((column) => hooks.every((hook) => isAbout(column.of(hook).source))).map((column) => column.name),
  );
  const drawn = [...overTheRange(hooks)].sort((a, b) => b.shank.value - a.shank.value);
  return (
    <Page
      back={{ href: '/drawer/hooks', label: words('drawer.hooks') }}
      title={`${first.makerName} ${first.modelName}`}
      lead={speech.beside([
        habit,
        speech.list([
          speech.plain('bends', first.bend),
          speech.plain('eyes', first.eye),
          speech.plain('barbs', first.barb),
          speech.plain('wires', first.wire),
        ]),
        record?.demo && words('matches.demo'),
      ])}
    >
      <View className="flex-row flex-wrap gap-3 px-5 pb-3">
        {record ? (
          <Toggle
            label={words('drawer.panel.tape')}
            on={panel === 'tape'}
            onChange={(on) => setPanel(on ? 'tape' : null)}
          />
        ) : null}
        <Toggle label={words('drawer.panel.fit')} on={panel === 'fit'} onChange={(on) => setPanel(on ? 'fit' : null)} />
        {record ? (
          <Toggle
            label={words('drawer.panel.edit')}
            on={panel === 'edit'}
            onChange={(on) => setPanel(on ? 'edit' : null)}
          />
        ) : null}
        {record && makerRecord ? (
          <Button
            kind="quiet"
            label={words('drawer.give')}
            onPress={() =>
              saveFile(
                `aubade-${maker}-${model}.json`,
                writeModelFile(
                  rowsOf(record, makerRecord),
                  Object.entries(record.tally).map(([id, taping]) => ({
                    id,
                    maker,
                    model,
                    size: taping.size,
                    at: taping.at,
                    how: taping.how,
                    shankMm: taping.shankMm ?? null,
                    gapeMm: taping.gapeMm ?? null,
                    overallMm: taping.overallMm ?? null,
                    wireMm: taping.wireMm ?? null,
                  })),
                ),
              )
            }
          />
        ) : null}
      </View>
      {panel === 'tape' && record ? (
        <TapePanel modelId={modelId} model={record} sizes={sizesOf(record)} hooks={hooks} start={tape} />
      ) : null}
      {panel === 'fit' ? <FitPanel hooks={hooks} start={hooks[Math.floor(hooks.length / 2)]!.size} /> : null}
      {panel === 'edit' && record && makerRecord ? (
        <ModelEdit modelId={modelId} model={record} maker={makerRecord} />
      ) : null}
      <View {...box}>{width > 0 ? <HookFamily hooks={drawn} width={width} maxHeight={150} /> : null}</View>
      <View
        role="table"
        aria-label={words('drawer.table', { model: `${first.makerName} ${first.modelName}` })}
        className="border-t border-line"
      >
        <View role="row" className="flex-row items-end gap-1 border-b border-edge px-4 py-2">
          <Head text={words('hook.size')} left width="w-9" />
          <Head text={words('drawer.reads')} width="w-11" />
          {COLUMNS.map(({ name }) => (
            <Head
              key={name}
              text={
                aboutAll.has(name) ? words('drawer.about-col', { what: words(`hook.${name}`) }) : words(`hook.${name}`)
              }
            />
          ))}
        </View>
        {hooks.map((hook) => (
          <View key={hook.id} role="row" className="flex-row items-center gap-1 border-b border-line px-4 py-2">
            <View role="cell" className="w-9">
              <Digits strong>{hook.size}</Digits>
            </View>
            <View role="cell" className="w-11 items-end">
              <Measured
                what={speech.list([words('drawer.reads'), hook.size])}
                quantity={{
                  value: reads(hook.shank.value),
                  sd: (hook.shank.sd ?? 0) / hook.shank.value / NUMBER_STEP,
                  source: hook.shank.source,
                }}
                as={{ decimals: 1 }}
                tone="soft"
                bare
              />
            </View>
            {COLUMNS.map(({ name, of, as }) => (
              <View key={name} role="cell" className="min-w-0 flex-1 items-end">
                <Measured
                  what={speech.list([words(`hook.${name}`), hook.size])}
                  quantity={of(hook)}
                  as={as}
                  bare={aboutAll.has(name) || !isAbout(of(hook).source)}
                  unit={false}
                />
                {name === 'shank' && isAbout(hook.shank.source) && hook.shank.sd !== null ? (
                  <Digits size="small" tone="soft">{`±${speech.spread(Z95 * hook.shank.sd)}`}</Digits>
                ) : null}
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
