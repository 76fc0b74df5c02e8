import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { BOX_SIDE, deleteBox, heldOf, holdsOwn, markFly, setBox, takeOut, type BoxRecord } from '@/records';
import type { Hook } from '@/core/hooks';
import { useAct, useApp } from '@/state';
import { selectCardOf, selectCatalogue, selectFlyName } from '@/state/answering';
import { FlyRideFold } from '@/features/ride';
import { InList, Missing, Page, useSpeech, useWide, useWords } from '@/features/shell';
import { Button, Digits, Field, Heading, Say, Stepper, Toggle, WordLink } from '@/ui/primitives';
import { Compartments, slotName } from './compartments';
import { cellsOf, fliesIn, hookLine, type InBox } from './in-box';
import { Results } from './results';
import { useLedger } from './use-ledger';

/** One box: its compartments, what lies in the one that is open, and a list of all of it. */
export function BoxScreen({ id }: { id: string }) {
  const words = useWords();
  const speech = useSpeech();
  const router = useRouter();
  const wide = useWide();
  const box = useApp((state) => state.records.entities.box[id]);
  const flies = useApp((state) => state.records.entities.fly);
  const catalogue = useApp(selectCatalogue);
  const nameOf = useApp(selectFlyName);
  const cardOf = useApp(selectCardOf);
  const [open, setOpen] = useState<string | null>(null);
  const [shifting, setShifting] = useState<{ flyId: string; from: string | null; count: number } | null>(null);
  const ledger = useLedger();
  if (!box) return <Missing what="box" list="/box" />;
  const hooks = new Map(catalogue.hooks.map((hook) => [hook.id, hook]));
  const held = fliesIn(id, flies);
  const mixed = holdsOwn(held.map((item) => item.fly));
  const cells = cellsOf(id, held, hooks, speech, nameOf, cardOf);
  const total = held.reduce((sum, item) => sum + item.left, 0);
  const here = held.filter((item) => heldOf(item.fly).some((place) => place.boxId === id && place.slot === open));
  const press = (slot: string) => {
    if (shifting && slot !== shifting.from) ledger.shift(shifting.flyId, id, shifting.from, slot, shifting.count);
    setShifting(null);
    setOpen(slot === open && !shifting ? null : slot);
  };
  const map = (
    <View className="gap-3 px-5">
      <Compartments box={box} cells={cells} lit={new Set(open ? [open] : [])} onPress={press} />
      {shifting ? (
        <Say live size="small" tone="straw">
          {words('box.shift-where')}
        </Say>
      ) : null}
      {open && !shifting ? (
        <View aria-live="polite" className="gap-4 rounded-control border border-line bg-plane p-3">
          <Heading size="small">{words('box.in', { slot: slotName(open) })}</Heading>
          {here.length === 0 ? (
            <Say tone="soft">{words('box.empty-slot')}</Say>
          ) : (
            here.map((item) => (
              <OpenFly
                key={item.id}
                item={item}
                boxId={id}
                slot={open}
                name={nameOf(item.fly)}
                hook={hookLine(item.fly, hooks, speech)}
                onShift={(count) => setShifting({ flyId: item.id, from: open, count })}
              />
            ))
          )}
        </View>
      ) : null}
    </View>
  );
  const list = (
    <View className="gap-2 pt-6">
      <Heading className="px-5">{words('box.all')}</Heading>
      {held.length === 0 ? (
        <Say tone="soft" className="px-5">
          {words('box.empty')}
        </Say>
      ) : (
        <View className="border-t border-line">
          {held.map((item) => (
            <InList key={item.id} record={{ kind: 'fly', id: item.id }} name={item.fly.name} data={item.fly}>
              <HeldFly item={item} hooks={hooks} marked={mixed && item.fly.demo} />
            </InList>
          ))}
        </View>
      )}
      <BoxSettings id={id} box={box} />
    </View>
  );
  return (
    <Page
      column="list"
      back={{ href: '/box', label: words('place.box') }}
      title={box.name}
      lead={words(box.carried ? 'box.sum-carried' : 'box.sum-home', { flies: total, count: held.length })}
      aside={
        <Button
          kind="main"
          label={words('box.add')}
          onPress={() => router.navigate({ pathname: '/box/[id]/add', params: { id } })}
        />
      }
    >
      {wide ? (
        <View className="flex-row">
          <View className="w-1/2">{map}</View>
          <View className="w-1/2">{list}</View>
        </View>
      ) : (
        <>
          {map}
          {list}
        </>
      )}
    </Page>
  );
}

/** A fly of the box in a line: where it lies, what it is, on which hook, how many are left. */
export function HeldFly({ item, hooks, marked }: { item: InBox; hooks: ReadonlyMap<string, Hook>; marked: boolean }) {
  const words = useWords();
  const speech = useSpeech();
  const nameOf = useApp(selectFlyName);
  return (
    <View className="min-h-target flex-row items-center gap-3 border-b border-line px-5 py-1">
      <Say size="small" tone="soft" className="w-8">
        {item.slot ? slotName(item.slot) : ''}
      </Say>
      <View className="min-w-0 flex-1">
        <Say size="small" weight="medium">
          {nameOf(item.fly)}
        </Say>
        <Say size="small" tone="soft">
          {speech.beside([hookLine(item.fly, hooks, speech), marked && words('matches.demo')])}
        </Say>
      </View>
      <Digits tone={item.left === 0 ? 'dawn' : 'ink'}>{String(item.left)}</Digits>
    </View>
  );
}

interface OpenFlyProps {
  item: InBox;
  boxId: string;
  slot: string;
  name: string;
  hook: string;
  onShift: (count: number) => void;
}

/** A fly of the open compartment: what it is, how many, and everything that happens to one. */
function OpenFly({ item, boxId, slot, name, hook, onShift }: OpenFlyProps) {
  const words = useWords();
  const speech = useSpeech();
  const act = useAct();
  const ledger = useLedger();
  const left = heldOf(item.fly).find((place) => place.boxId === boxId && place.slot === slot)?.left ?? 0;
  const moves = item.fly.tally.latest.map(({ event }) => event).filter((move) => move.boxId === boxId);
  return (
    <View className="gap-2">
      <View className="flex-row items-start justify-between gap-3">
        <View className="min-w-0 flex-1">
          <Say weight="serif" size="lead">
            {name}
          </Say>
          {item.fly.dressingId ? (
            <WordLink
              small
              to={{ pathname: '/dressings/[id]', params: { id: item.fly.dressingId } }}
              spoken={words('box.dressing-what', { name })}
            >
              {words('box.its-dressing')}
            </WordLink>
          ) : null}
          <Say size="small">{hook}</Say>
          {item.fly.stage ? (
            <Say size="small" tone="soft">
              {speech.name('stages', item.fly.stage)}
            </Say>
          ) : null}
        </View>
        <Stepper
          label={words('box.count', { name })}
          value={left}
          low={0}
          high={999}
          onChange={(next) => ledger.enter(item.id, boxId, slot, next - left, 'counted')}
        />
      </View>
      <Results
        flyId={item.id}
        name={name}
        matchId={null}
        lost={left > 0 ? () => ledger.enter(item.id, boxId, slot, -1, 'lost') : null}
      />
      <View className="flex-row flex-wrap gap-3">
        <Button
          tall
          label={words('box.given')}
          spoken={words('box.given-what', { name })}
          disabled={left === 0}
          onPress={() => ledger.enter(item.id, boxId, slot, -1, 'given')}
        />
        <Button
          tall
          label={words('box.tied')}
          spoken={words('box.tied-what', { name })}
          onPress={() => ledger.enter(item.id, boxId, slot, 1, item.fly.dressingId ? 'tied' : 'got')}
        />
        <Button
          tall
          label={words('box.shift')}
          spoken={words('box.shift-what', { name })}
          disabled={left === 0}
          onPress={() => onShift(left)}
        />
        <Button
          tall
          kind="quiet"
          label={words('box.take-out')}
          spoken={words('box.take-out-what', { name })}
          onPress={() => act(takeOut, { flyId: item.id })}
        />
      </View>
      <View className="flex-row flex-wrap items-center gap-3">
        <Say size="small" className="min-w-[40%] flex-1">
          {words('box.keep')}
        </Say>
        <Stepper
          label={words('box.keep-what', { name })}
          value={item.fly.low ?? 0}
          low={0}
          high={99}
          onChange={(low) => act(markFly, { flyId: item.id, low: low === 0 ? null : low })}
          shown={false}
        />
      </View>
      <FlyRideFold fly={item.fly} />
      <Say size="small" tone="soft">
        {speech.beside(
          moves.slice(0, 4).map((move) =>
            move.result
              ? words('box.result-on', { day: speech.day(move.at), what: words(`change.result-${move.result}`) })
              : words('box.move', {
                  day: speech.day(move.at),
                  why: speech.plain('moves', move.why),
                  count: `${move.count > 0 ? '+' : '−'}${Math.abs(move.count)}`,
                }),
          ),
        )}
      </Say>
    </View>
  );
}

/** Name, size and whether it is carried; a box that goes takes the flies that lie only in it. */
function BoxSettings({ id, box }: { id: string; box: BoxRecord }) {
  const words = useWords();
  const router = useRouter();
  const act = useAct();
  const set = (more: Partial<Pick<BoxRecord, 'name' | 'rows' | 'columns' | 'carried'>>) =>
    act(setBox, { boxId: id, ...more });
  return (
    <View className="max-w-[480px] gap-4 px-5 pt-6">
      <Heading size="small">{words('box.settings')}</Heading>
      <Field
        label={words('box.name')}
        value={box.name}
        onType={(name) => set({ name: name || words('box.name-n', { n: 1 }) })}
      />
      <View className="flex-row flex-wrap gap-6">
        <Stepper
          label={words('box.rows')}
          shown
          value={box.rows}
          low={BOX_SIDE[0]}
          high={BOX_SIDE[1]}
          onChange={(rows) => set({ rows })}
        />
        <Stepper
          label={words('box.columns')}
          shown
          value={box.columns}
          low={BOX_SIDE[0]}
          high={BOX_SIDE[1]}
          onChange={(columns) => set({ columns })}
        />
      </View>
      <View className="flex-row flex-wrap gap-3">
        <Toggle
          label={words(box.carried ? 'box.carried' : 'box.at-home')}
          spoken={words('box.carry-what', { name: box.name })}
          on={box.carried}
          onChange={(carried) => set({ carried })}
        />
        <Button
          kind="quiet"
          label={words('box.delete')}
          onPress={() => {
            router.navigate('/box');
            act(deleteBox, { boxId: id });
          }}
        />
      </View>
    </View>
  );
}
