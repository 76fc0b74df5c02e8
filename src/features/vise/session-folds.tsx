import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { useStore } from 'react-redux';
import { flyKey, restOf, type Rest, type Running } from '@/core/session';
import type { Card } from '@/core/tying';
import { inspectKey, setBatch, type BatchRecord } from '@/records';
import { useAct, type Store } from '@/state';
import { useSpeech, useWords } from '@/features/shell';
import { Choose, Field, Fold, Row, Say } from '@/ui/primitives';
import { LayOutList, useLayOut } from './lay-out-list';
import { flyName } from './names';
import { NeedsList, useNeeds, wanting } from './session-needs';
import { Timeline } from './timeline';

/** A session with where it stands. */
export interface Whole {
  id: string;
  batch: BatchRecord;
  running: Running<Card>;
  rest: Rest;
}

/** A time of day as it is typed: 9:00 too. */
const TIME = /^([01]?\d|2[0-3]):[0-5]\d$/;

/** What it needs, in a line until it is opened. */
export function NeedsFold({ batch }: { batch: BatchRecord }) {
  const words = useWords();
  const needs = useNeeds(batch);
  const lacks = wanting(needs);
  if (batch.items.length === 0) return null;
  return (
    <Fold
      wide
      title={words('vise.needs')}
      line={words(lacks === 0 ? 'vise.needs-met' : 'vise.needs-lack', { count: lacks })}
    >
      <NeedsList needs={needs} batch={batch} />
    </Fold>
  );
}

/** What is laid out, and how much of it is done. */
export function LaidFold({ id, batch }: { id: string; batch: BatchRecord }) {
  const words = useWords();
  const lines = useLayOut(batch);
  const done = lines.filter((line) => batch.ticks[line.id]).length;
  if (lines.length === 0) return null;
  return (
    <Fold wide title={words('vise.lay-out')} line={words('vise.laid', { done, count: lines.length })}>
      <LayOutList batchId={id} batch={batch} />
    </Fold>
  );
}

/** In which order, and which way is quicker here, and by how much. */
export function OrderFold({ id, batch, running, rest }: Whole) {
  const words = useWords();
  const act = useAct();
  const [typed, setTyped] = useState(batch.by ?? '');
  const wrong = typed !== '' && !TIME.test(typed);
  const other = batch.mode === 'fly' ? 'step' : 'fly';
  const { ports } = useStore() as unknown as Store;
  // From where every fly stands, both ways.
  const apart = useMemo(
    () => (restOf({ ...running, mode: other }, ports.now()).lastS - rest.lastS) / 60,
    [running, other, rest, ports],
  );
  if (rest.plan.flies === 0) return null;
  const minutes = Math.round(Math.abs(apart));
  return (
    <Fold wide title={words('vise.order')} line={words(`vise.mode-line.${batch.mode}`)}>
      <View className="gap-4 pb-4">
        <Choose
          label={words('vise.mode')}
          choices={(['fly', 'step'] as const).map((mode) => ({ id: mode, label: words(`vise.modes.${mode}`) }))}
          value={batch.mode}
          onChange={(mode) => act(setBatch, { batchId: id, mode })}
        />
        <Say size="small" tone="soft">
          {minutes === 0
            ? words('vise.mode-even')
            : words(apart > 0 ? 'vise.mode-best' : 'vise.mode-other', {
                mode: words(`vise.modes.${apart > 0 ? batch.mode : other}`),
                count: minutes,
              })}
        </Say>
        <View className="max-w-[220px] flex-row">
          <Field
            label={words('vise.by')}
            value={batch.by ?? ''}
            onType={(text) => {
              setTyped(text);
              if (text === '' || TIME.test(text))
                act(setBatch, { batchId: id, by: text === '' ? null : text.padStart(5, '0') });
            }}
            error={wrong ? words('vise.by-wrong') : undefined}
            hint={words('vise.by-hint')}
          />
        </View>
        <View className="-mx-5">
          <Timeline running={running} rest={rest} by={batch.by} />
        </View>
      </View>
    </Fold>
  );
}

/** Every fly that was begun: made, under way or spoiled, and what was found of it. */
export function FliesFold({ id, batch, running }: Omit<Whole, 'rest'>) {
  const words = useWords();
  const speech = useSpeech();
  const flies = Object.values(batch.flies).sort((a, b) => a.item.localeCompare(b.item) || a.n - b.n);
  if (flies.length === 0) return null;
  const seen = (item: string, n: number) =>
    Object.keys(batch.measured).filter((key) => key.startsWith(inspectKey(item, n, ''))).length;
  const looked = flies.filter(({ item, n, state }) => state === 'made' && seen(item, n) > 0).length;
  const said = ({ item, n, state, why, done }: (typeof flies)[number]) => {
    if (state === 'spoiled') return words('vise.spoiled-because', { why: words(`vise.spoils.${why ?? 'other'}`) });
    if (state === 'begun') {
      const card = running.items.find((own) => own.id === item)?.card;
      return words('vise.at-step', { n: done + 1, count: card?.steps.length ?? 0 });
    }
    const count = seen(item, n);
    return count > 0 ? words('vise.measured-n', { count }) : words('vise.not-inspected');
  };
  return (
    <Fold wide title={words('vise.flies')} line={words('vise.inspected-n', { count: looked })}>
      {flies.map((fly) => {
        const text = (
          <View className="min-w-0 flex-1">
            <Say weight="medium">{flyName(running, fly.item, fly.n, speech)}</Say>
            <Say size="small" tone={fly.state === 'spoiled' ? 'dawn' : fly.state === 'made' ? 'sedge' : 'soft'}>
              {said(fly)}
            </Say>
          </View>
        );
        return fly.state === 'made' ? (
          <Row
            key={flyKey(fly.item, fly.n)}
            wide={false}
            to={{ pathname: '/vise/[id]/inspect', params: { id, fly: flyKey(fly.item, fly.n) } }}
          >
            {text}
          </Row>
        ) : (
          <View key={flyKey(fly.item, fly.n)} className="min-h-touch justify-center border-b border-line py-2">
            {text}
          </View>
        );
      })}
    </Fold>
  );
}

/** For someone: a name, their water, and what they said later. */
export function ForWhomFold({ id, batch }: { id: string; batch: BatchRecord }) {
  const words = useWords();
  const act = useAct();
  return (
    <Fold
      wide
      title={words('vise.for-whom')}
      line={batch.forName === '' ? words('vise.for-me') : words('vise.for', { name: batch.forName })}
    >
      <View className="gap-3">
        <View className="flex-row">
          <Field
            label={words('vise.for-name')}
            value={batch.forName}
            onType={(forName) => act(setBatch, { batchId: id, forName })}
          />
        </View>
        <View className="flex-row">
          <Field
            label={words('vise.for-water')}
            value={batch.forWater}
            onType={(forWater) => act(setBatch, { batchId: id, forWater })}
          />
        </View>
        <View className="flex-row">
          <Field
            label={words('vise.said')}
            value={batch.said}
            onType={(said) => act(setBatch, { batchId: id, said })}
          />
        </View>
      </View>
    </Fold>
  );
}
