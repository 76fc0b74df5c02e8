import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { columnsOf, reads, readsGape, type Hook } from '@/core/hooks';
import { isLow, leftInPacket, holdsOwn, modelIdOf, type PacketRecord } from '@/records';
import { useApp } from '@/state';
import { selectHooks } from '@/state/answering';
import { InList, Page, useSpeech, useWords } from '@/features/shell';
import { Button, Choose, Digits, Field, Row, Say, Stepper, Tile, WordLink } from '@/ui/primitives';
import { DrawerTabs } from './drawer-tabs';
import { HookChart } from './hook-chart';
import { PacketFiles } from './packet-files';
import { PacketPad } from './packet-pad';
import { useDrawer } from './use-drawer';

interface Held {
  id: string;
  packet: PacketRecord;
  hook: Hook | null;
  name: string;
  left: number;
}

/** A packet with the hook it holds. */
export function heldPacket(id: string, packet: PacketRecord, { at, hooks }: ReturnType<typeof columnsOf>): Held {
  const hook = hooks[at.get(packet.hookId) ?? -1] ?? null;
  return {
    id,
    packet,
    hook,
    name: hook ? `${hook.makerName} ${hook.modelName} ${hook.size}` : packet.hookId,
    left: leftInPacket(packet),
  };
}

/** What the drawer holds: every packet, what it really is, how many are left. */
export function PacketsScreen() {
  const words = useWords();
  const packets = useApp((state) => state.records.entities.packet);
  const hooks = useApp(selectHooks);
  const [find, setFind] = useState('');
  const [only, setOnly] = useState<'all' | 'low'>('all');
  const [open, setOpen] = useState<string | null>(null);
  const [panel, setPanel] = useState<'pad' | 'chart' | null>(null);
  const held = useMemo(() => {
    const columns = columnsOf(hooks);
    return Object.entries(packets)
      .map(([id, packet]) => heldPacket(id, packet, columns))
      .sort((a, b) =>
        a.hook && b.hook
          ? a.hook.makerName.localeCompare(b.hook.makerName) ||
            a.hook.modelName.localeCompare(b.hook.modelName) ||
            b.hook.shank.value - a.hook.shank.value
          : Number(a.hook === null) - Number(b.hook === null),
      );
  }, [hooks, packets]);
  const mixed = holdsOwn(held.map(({ packet }) => packet));
  const low = held.filter(({ packet }) => isLow(packet));
  const wanted = find.trim().toLowerCase();
  const shown = (only === 'low' ? low : held).filter(({ name, packet }) =>
    `${name} ${packet.label} ${packet.note}`.toLowerCase().includes(wanted),
  );
  return (
    <Page
      column="list"
      title={words('packets.title')}
      lead={
        held.length === 0
          ? undefined
          : words('packets.lead', { count: held.length, hooks: held.reduce((sum, item) => sum + item.left, 0) })
      }
    >
      <DrawerTabs at="packets" />
      <View className="flex-row flex-wrap gap-3 px-5 py-3">
        <Button
          kind={held.length === 0 && panel === null ? 'main' : 'plain'}
          label={words(panel === 'pad' ? 'packets.close-pad' : 'packets.open-pad')}
          onPress={() => setPanel(panel === 'pad' ? null : 'pad')}
        />
        {held.length > 0 ? (
          <Button
            label={words(panel === 'chart' ? 'chart.close' : 'chart.open')}
            onPress={() => setPanel(panel === 'chart' ? null : 'chart')}
          />
        ) : null}
      </View>
      {panel === 'pad' ? <PacketPad /> : null}
      {panel === 'chart' ? (
        <HookChart hooks={held.flatMap(({ hook, left }) => (hook && left > 0 ? [hook] : []))} />
      ) : null}
      {held.length === 0 ? (
        <Say tone="soft" className="px-5 py-4">
          {words('packets.none')}
        </Say>
      ) : (
        <View className="flex-row flex-wrap items-end gap-3 px-5 py-3">
          <View className="min-w-40 flex-1">
            <Field label={words('packets.find')} value={find} onType={setFind} />
          </View>
          {low.length > 0 ? (
            <Choose
              label={words('packets.which')}
              choices={[
                { id: 'all', label: words('packets.all') },
                { id: 'low', label: words('packets.low-n', { count: low.length }) },
              ]}
              value={only}
              onChange={setOnly}
            />
          ) : null}
        </View>
      )}
      <View role="list" aria-label={words('packets.title')} className={held.length > 0 ? 'border-t border-line' : ''}>
        {shown.map((item) => (
          <InList key={item.id} record={{ kind: 'packet', id: item.id }} name={item.name} data={item.packet}>
            <PacketRow
              held={item}
              marked={mixed && item.packet.demo}
              open={open === item.id}
              onOpen={() => setOpen(open === item.id ? null : item.id)}
            />
          </InList>
        ))}
      </View>
      <View className="px-5 py-3">
        <PacketFiles />
      </View>
      {held.length > 0 && shown.length === 0 ? (
        <Say tone="soft" className="px-5 py-3">
          {words('packets.none-found')}
        </Say>
      ) : null}
    </Page>
  );
}

export function PacketRow({
  held: { id, packet, hook, name, left },
  marked,
  open,
  onOpen,
}: {
  held: Held;
  /** One of the demo's among the tier's own. */
  marked: boolean;
  open: boolean;
  onOpen: () => void;
}) {
  const words = useWords();
  const speech = useSpeech();
  const isShort = isLow(packet);
  return (
    <View role="listitem" className="border-b border-line">
      <View className="flex-row items-center gap-3 px-5 py-1">
        <View className="min-w-0 flex-1">
          <Row
            wide={false}
            line={false}
            to={{ pathname: '/drawer/convert', params: { hook: packet.hookId } }}
            spoken={words('packets.nearest-of', { name })}
          >
            <View className="min-w-0 flex-1">
              <Say weight="strong">{name}</Say>
              <Say size="small" tone="soft">
                {speech.beside([
                  hook
                    ? words('packets.reads', {
                        long: speech.number(reads(hook.shank.value), 1),
                        wide: speech.number(readsGape(hook.gape.value), 1),
                        about: hook.estimated.includes('shank_mm') ? words('packets.about') : '',
                      })
                    : words('packets.no-hook'),
                  packet.label,
                  packet.note,
                  marked && words('matches.demo'),
                ])}
              </Say>
            </View>
          </Row>
        </View>
        {isShort ? (
          <Say size="small" tone="straw" weight="strong">
            {words('packets.low')}
          </Say>
        ) : null}
        <View className="min-h-touch w-16">
          <Tile across open={open} spoken={words('packets.left-of', { name, count: left })} onPress={onOpen}>
            <View className="min-w-0 flex-1 items-end">
              <Digits tone={left === 0 ? 'soft' : 'ink'}>{String(left)}</Digits>
            </View>
          </Tile>
        </View>
      </View>
      {open ? <PacketEditor id={id} packet={packet} hook={hook} left={left} /> : null}
    </View>
  );
}

const NO_MARK = 'never';
const MARKS = ['0', '3', '5', '10', '20'] as const;

/** One packet opened: count, low mark, what stands on it, and what can be done with it. */
function PacketEditor({
  id,
  packet,
  hook,
  left,
}: {
  id: string;
  packet: PacketRecord;
  hook: Hook | null;
  left: number;
}) {
  const words = useWords();
  const speech = useSpeech();
  const drawer = useDrawer();
  const [maker, model] = modelIdOf(packet.hookId).split(':') as [string, string];
  const history = packet.tally.latest.slice(0, 5);
  return (
    <View className="gap-4 bg-plane px-5 py-3">
      <View className="flex-row flex-wrap items-center gap-4">
        <Stepper
          label={words('packets.count')}
          value={left}
          low={0}
          high={9999}
          onChange={(value) => drawer.count(id, value - left, value < left ? 'tied' : 'counted')}
          shown
        />
        <View className="flex-row flex-wrap gap-3">
          <Button
            label={words('packets.used-n', { count: Math.min(6, left) })}
            disabled={left === 0}
            onPress={() => drawer.count(id, -Math.min(6, left), 'tied')}
          />
          <Button label={words('packets.got-n', { count: 25 })} onPress={() => drawer.count(id, 25, 'got')} />
        </View>
      </View>
      <View className="gap-1">
        <Say size="small" tone="soft">
          {words('packets.low-mark')}
        </Say>
        <Choose
          label={words('packets.low-mark')}
          choices={[
            { id: NO_MARK, label: words('packets.low-never') },
            ...MARKS.map((mark) => ({ id: mark as string, label: mark })),
          ]}
          value={packet.low === null || packet.low === undefined ? NO_MARK : String(packet.low)}
          onChange={(mark) => drawer.edit(id, { low: mark === NO_MARK ? null : Number(mark) })}
        />
      </View>
      <View className="flex-row flex-wrap gap-3">
        <View className="min-w-40 flex-1">
          <Field
            label={words('packets.label')}
            value={packet.label}
            onType={(label) => drawer.edit(id, { label })}
            hint={words('packets.label-hint')}
          />
        </View>
        <View className="min-w-40 flex-1">
          <Field label={words('packets.note')} value={packet.note} onType={(note) => drawer.edit(id, { note })} />
        </View>
      </View>
      <View>
        {history.map(({ id: key, event: move }) => (
          <Say key={key} size="small" tone="soft">
            {words('packets.move', {
              at: move.at.slice(0, 10),
              what: speech.plain('moves', move.why),
              count: `${move.count > 0 ? '+' : '−'}${Math.abs(move.count)}`,
            })}
          </Say>
        ))}
      </View>
      <View className="flex-row flex-wrap items-center gap-x-6">
        {hook ? (
          <WordLink to={{ pathname: '/drawer/hooks/[maker]/[model]', params: { maker, model, tape: hook.size } }}>
            {words('packets.tape')}
          </WordLink>
        ) : null}
        <Button kind="quiet" label={words('packets.delete')} onPress={() => drawer.remove(id)} className="-ml-4" />
      </View>
    </View>
  );
}
