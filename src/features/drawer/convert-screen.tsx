import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { STYLES } from '@/catalogue';
import { convertHook, styleUse, type ConvertBy, type Nearest } from '@/core/answer';
import {
  betweenSizes,
  columnsOf,
  findModels,
  readPacketLine,
  reads,
  readsGape,
  type Hook,
  type HookRow,
} from '@/core/hooks';
import { modelIdOf, rowsOf, setSettings } from '@/records';
import { selectSettings, useAct, useApp } from '@/state';
import { selectHooks, selectOwned } from '@/state/answering';
import { OnlyOwned } from '@/features/hook';
import { Page, useSpeech, useWords } from '@/features/shell';
import { Choose, Digits, Field, Heading, Row, Say, WordLink } from '@/ui/primitives';
import { DrawerTabs } from './drawer-tabs';

const WEIGHTS: readonly ConvertBy[] = ['length', 'gape', 'ride'];
const OFFERED = 8;

/** The hook of an id: one that is known, or a size between two that its model stocks. */
function useHook(id: string | null): Hook | null {
  const hooks = useApp(selectHooks);
  const model = useApp((state) => (id ? state.records.entities.model[modelIdOf(id)] : undefined));
  const maker = useApp((state) => (model ? state.records.entities.maker[model.makerId] : undefined));
  return useMemo(() => {
    if (!id) return null;
    const known = columnsOf(hooks).at.get(id);
    if (known !== undefined) return columnsOf(hooks).hooks[known]!;
    return model
      ? betweenSizes(
          rowsOf(model, maker) as HookRow[],
          id.slice(id.lastIndexOf(':') + 1).replace(/-0$/, '/0'),
          maker?.xLabel ?? 'number',
        )
      : null;
  }, [hooks, id, maker, model]);
}

/** One hook in every other maker's, and in the drawer. */
export function ConvertScreen({ id }: { id: string | null }) {
  const words = useWords();
  const speech = useSpeech();
  const act = useAct();
  const hooks = useApp(selectHooks);
  const owned = useApp(selectOwned);
  const { convertBy, onlyOwned } = useApp(selectSettings);
  const hook = useHook(id);
  const [open, setOpen] = useState<string | null>(null);
  const result = useMemo(() => {
    const style = STYLES.find((item) => item.id === 'nymph')!;
    return hook ? convertHook(hook, columnsOf(hooks), { by: convertBy, use: styleUse(style), owned, onlyOwned }) : null;
  }, [convertBy, hook, hooks, onlyOwned, owned]);
  return (
    <Page
      column="list"
      title={hook ? `${hook.makerName} ${hook.modelName} ${hook.size}` : words('convert.title')}
      lead={
        hook
          ? words('convert.reads', {
              shank: speech.length(hook.shank.value),
              gape: speech.length(hook.gape.value),
              long: speech.number(reads(hook.shank.value), 1),
              wide: speech.number(readsGape(hook.gape.value), 1),
            })
          : words('convert.lead')
      }
      back={id ? { href: '/drawer/packets', label: words('drawer.tab.packets') } : undefined}
    >
      {id ? null : <DrawerTabs at="convert" />}
      {id && !hook ? (
        <Say tone="dawn" className="px-5 pb-3">
          {words('convert.unknown')}
        </Say>
      ) : null}
      {result ? (
        <>
          <View className="px-5 pb-2">
            <Choose
              label={words('convert.by')}
              choices={WEIGHTS.map((by) => ({ id: by, label: words(`convert.weights.${by}`) }))}
              value={convertBy}
              onChange={(by) => act(setSettings, { convertBy: by })}
            />
          </View>
          <View role="list" aria-label={words('convert.list')} className="border-t border-line">
            {result.drawer && result.drawer.hook.id !== hook?.id ? (
              <NearestRow
                nearest={result.drawer}
                drawer
                open={open === 'drawer'}
                onOpen={() => setOpen(open === 'drawer' ? null : 'drawer')}
              />
            ) : null}
            {Object.entries(result.to).map(([maker, nearest]) => (
              <NearestRow
                key={maker}
                nearest={nearest}
                open={open === maker}
                onOpen={() => setOpen(open === maker ? null : maker)}
              />
            ))}
          </View>
          {Object.keys(result.to).length === 0 ? (
            <Say tone="soft" className="px-5 py-3">
              {words('convert.none')}
            </Say>
          ) : null}
          <View className="flex-row px-5 pt-4">
            <OnlyOwned />
          </View>
        </>
      ) : null}
      <PickHook />
    </Page>
  );
}

function signed(text: string, value: number): string {
  return `${value < 0 ? '−' : '+'}${text.replace('−', '')}`;
}

/** The nearest of one maker: what it is, how it differs, and why when it is opened. */
function NearestRow({
  nearest,
  open,
  onOpen,
  drawer = false,
}: {
  nearest: Nearest;
  open: boolean;
  onOpen: () => void;
  drawer?: boolean;
}) {
  const words = useWords();
  const speech = useSpeech();
  const { hook } = nearest;
  const name = `${hook.maker_name} ${hook.model_name} ${hook.size}`;
  const differs = words('convert.differs', {
    length: signed(speech.digits(nearest.length_mm), nearest.length_mm),
    gape: signed(speech.digits(nearest.gape_mm), nearest.gape_mm),
    unit: speech.t(speech.unit === 'mm' ? 'unit.mm' : 'unit.in'),
  });
  return (
    <View role="listitem" className={`border-b border-line ${drawer ? 'bg-plane' : ''}`}>
      <Row
        line={false}
        open={open}
        spoken={speech.sentences([
          drawer ? speech.pair(words('convert.in-drawer'), name) : name,
          differs,
          words(nearest.close ? 'convert.close' : 'convert.far'),
        ])}
        onPress={onOpen}
      >
        <View className="min-w-0 flex-1">
          <Say weight="strong">{name}</Say>
          <Say size="small" tone="soft">
            {speech.beside([
              drawer ? words('convert.in-drawer') : hook.owned > 0 && words('convert.owned', { count: hook.owned }),
              differs,
            ])}
          </Say>
        </View>
        <View className="items-end">
          <Digits size="lead" tone={nearest.close ? 'ink' : 'soft'}>
            {speech.number(nearest.steps, 1)}
          </Digits>
          <Say size="small" tone={nearest.close ? 'sedge' : 'straw'}>
            {words(nearest.close ? 'convert.close' : 'convert.far')}
          </Say>
        </View>
      </Row>
      {open ? (
        <View className="gap-1 px-5 pb-3">
          {nearest.reasons.map((reason, index) => (
            <Say key={index} size="small" tone="soft">
              {speech.point(speech.say(reason))}
            </Say>
          ))}
          <Say size="small" tone="soft">
            {words('convert.wire-mass', {
              wire: signed(speech.length(nearest.wire_mm, true), nearest.wire_mm),
              mass: signed(speech.number(Math.abs(nearest.mass_mg ?? 0), 1), nearest.mass_mg ?? 0),
            })}
          </Say>
          <View className="flex-row flex-wrap gap-x-6">
            <WordLink
              small
              to={{ pathname: '/drawer/hooks/[maker]/[model]', params: { maker: hook.maker, model: hook.model } }}
            >
              {words('drawer.open-model')}
            </WordLink>
            <WordLink small to={{ pathname: '/drawer/convert', params: { hook: hook.id } }}>
              {words('convert.from-this')}
            </WordLink>
          </View>
        </View>
      ) : null}
    </View>
  );
}

/** Any hook by a few letters and its size; the maker alone offers its models. */
function PickHook() {
  const words = useWords();
  const router = useRouter();
  const hooks = useApp(selectHooks);
  const [text, setText] = useState('');
  const offered = useMemo(() => {
    const line = readPacketLine(text);
    const size = line.sizes[0]?.size;
    const { hooks: rows, starts } = columnsOf(hooks);
    const models = [...starts.slice(0, -1)].map((start) => ({
      id: `${rows[start]!.maker}:${rows[start]!.model}`,
      makerName: rows[start]!.makerName,
      modelName: rows[start]!.modelName,
      start,
    }));
    if (!size) return [];
    const among = line.words === '' ? models : findModels(line.words, models);
    return among
      .map((model) => ({
        id: `${model.id}:${size.replaceAll('/', '-')}`,
        label: `${model.makerName} ${model.modelName} ${size}`,
      }))
      .slice(0, OFFERED);
  }, [hooks, text]);
  return (
    <View className="gap-3 px-5 pt-6">
      <Heading size="small">{words('convert.which')}</Heading>
      <View className="flex-row">
        <Field
          label={words('convert.which-field')}
          value={text}
          onType={setText}
          hint={words('convert.which-hint')}
          onEnter={() =>
            offered[0] ? router.navigate({ pathname: '/drawer/convert', params: { hook: offered[0].id } }) : undefined
          }
        />
      </View>
      <View className="gap-1">
        {offered.map((item) => (
          <WordLink key={item.id} to={{ pathname: '/drawer/convert', params: { hook: item.id } }}>
            {item.label}
          </WordLink>
        ))}
      </View>
    </View>
  );
}
