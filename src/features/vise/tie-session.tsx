import { useRouter, type Href } from 'expo-router';
import { useEffect, useMemo, useState } from 'react';
import { View } from 'react-native';
import { flyKey, SPOILS, totalOf } from '@/core/session';
import {
  countItem,
  layDown,
  MOST_FLIES,
  setDevice,
  setTimer,
  spoilFly,
  stepBack,
  stepDone,
  takeUp,
  type BatchRecord,
} from '@/records';
import { selectDevice, useAct, useApp } from '@/state';
import { StepBar, StepView, TieBar, useStepKeys } from '@/features/bench';
import { lowered } from '@/speech';
import { Missing, PageHeading, useNow, useSpeech, useTitle, useWords } from '@/features/shell';
import { Button, Choose, Digits, Fold, Say, Toggle, WordLink } from '@/ui/primitives';
import { useAwake } from './awake';
import { useBell } from './bell';
import { countdown, flyName } from './names';
import { canSpeak, useReadAloud } from './read-aloud';
import { useRest } from './use-session';
import { Waits, waitsOf } from './waits';

/** The vise, full screen: the fly and the step that come next in the whole session, and what dries meanwhile. */
export function TieSession({ id, leaveTo }: { id: string; leaveTo?: Href }) {
  const batch = useApp((state) => state.records.entities.batch[id]);
  if (!batch || batch.ended !== null) return <Missing what="batch" list="/vise" />;
  return (
    <Tying id={id} batch={batch} leaveTo={leaveTo ?? ({ pathname: '/vise/[id]', params: { id } } satisfies Href)} />
  );
}

function Tying({ id, batch, leaveTo }: { id: string; batch: BatchRecord; leaveTo: Href }) {
  const words = useWords();
  const speech = useSpeech();
  const router = useRouter();
  const act = useAct();
  const { running, rest } = useRest(batch);
  const now = useNow(1000);
  const { sound, voice, awake } = useApp(selectDevice);
  const [spoiling, setSpoiling] = useState(false);
  const waits = useMemo(() => waitsOf(batch, running, speech), [batch, running, speech]);
  useBell(
    useMemo(() => new Map(waits.map((wait) => [wait.id, wait.ends])), [waits]),
    now,
    sound,
  );
  const kept = useAwake(awake);
  const { next } = rest;
  const item = running.items.find((own) => own.id === next?.item);
  const step = item?.card.steps.find(({ n }) => n === next?.step);
  const lying = next ? batch.flies[next.key]?.wetUntil : null;
  const wet = lying !== null && lying !== undefined && lying > now;
  const { at } = batch;
  // The hands are on it while its screen stands here; what is left in the middle waits with its time.
  const [nextItem, nextN, nothing] = [next?.item, next?.n, at === null];
  useEffect(() => {
    if (nothing && nextItem !== undefined && nextN !== undefined)
      act(takeUp, { batchId: id, item: nextItem, n: nextN, chosen: false });
  }, [act, id, nothing, nextItem, nextN]);
  useEffect(() => {
    act(layDown, { batchId: id, down: false });
    return () => void act(layDown, { batchId: id, down: true });
  }, [act, id]);
  const forward = () => {
    setSpoiling(false);
    if (next && step && !wet) act(stepDone, { batchId: id, item: next.item, n: next.n, step: step.n });
  };
  const last = at ? batch.flies[flyKey(at.item, at.n)] : undefined;
  const back = last && last.done > 0 && last.state !== 'spoiled' ? last : null;
  const backward = () => {
    setSpoiling(false);
    if (back) act(stepBack, { batchId: id, item: back.item, n: back.n });
  };
  useStepKeys((by) => (by > 0 ? forward() : backward()));
  const name = next ? flyName(running, next.item, next.n, speech) : '';
  useTitle(words('tie.title', { dressing: name || words('place.vise') }));
  const said =
    step && !wet
      ? speech.clauses([speech.stepTitle(step), ...speech.stepDetail(step), speech.stepCheck(step) ?? ''])
      : '';
  useReadAloud(said, voice);
  const { made, wanted } = totalOf(running);
  const leave = () => router.navigate(leaveTo);
  const only = batch.items.length === 1 ? batch.items[0]! : null;
  const nth = step && item ? item.card.steps.indexOf(step) : 0;
  const following = item?.card.steps[nth + 1];
  return (
    <View className="flex-1 bg-ground">
      <View className="flex-row items-center justify-between gap-3 px-5 pt-2">
        <View className="min-w-0 flex-1">
          <Say weight="medium" lines={2}>
            {next ? name : words('vise.all-done')}
          </Say>
          <Say size="small" tone="soft">
            {speech.beside([
              words('vise.made-of', { made, count: wanted }),
              item && `${item.card.hook.maker_name} ${item.card.hook.size}`,
            ])}
          </Say>
        </View>
        <Button kind="quiet" label={words('tie.leave')} onPress={leave} />
      </View>
      {item && step ? <StepBar card={item.card} at={nth} /> : null}
      {next && item && step && !wet ? (
        <StepView key={next.key} card={item.card} step={step} onTap={forward}>
          <Beside {...{ id, next, spoiling, setSpoiling, kept }} />
        </StepView>
      ) : (
        <View className="flex-1 gap-5 py-6">
          {next ? (
            <View className="gap-2 px-5">
              <PageHeading>{words('vise.wait-title', { fly: name })}</PageHeading>
              <Digits size="bench" tone="straw" strong>
                {countdown((lying ?? now) - now)}
              </Digits>
              <Say>{words('vise.wait-why')}</Say>
            </View>
          ) : (
            <View className="gap-3 px-5">
              <PageHeading>{words(made > 0 ? 'vise.all-done' : 'vise.nothing')}</PageHeading>
              <Say>{words('vise.then')}</Say>
              {only && only.count < MOST_FLIES ? (
                <Button
                  label={words('vise.one-more')}
                  onPress={() => {
                    act(countItem, { batchId: id, item: only.id, count: only.count + 1 });
                    toHeading();
                  }}
                  className="self-start"
                />
              ) : null}
              <WordLink to={{ pathname: '/vise/[id]/inspect', params: { id } }}>{words('vise.inspect')}</WordLink>
              <WordLink to={{ pathname: '/vise/[id]/end', params: { id } }}>{words('vise.end')}</WordLink>
            </View>
          )}
        </View>
      )}
      <Waits
        batchId={id}
        waits={waits.filter(({ id: own }) => !wet || own !== next?.key)}
        now={now}
        onOver={toHeading}
      />
      <TieBar
        back={back ? backward : null}
        forward={next ? forward : leave}
        label={
          !next
            ? words('tie.done')
            : wet
              ? words('vise.waiting')
              : following
                ? words('tie.next-what', { what: lowered(speech.stepTitle(following)) })
                : words('vise.off', { fly: name })
        }
      />
    </View>
  );
}

/** What had the focus is gone with what it did: the step that comes next has it. */
function toHeading(): void {
  setTimeout(() => document.querySelector<HTMLElement>('[role=main] [role=heading], [role=main] h1')?.focus());
}

/** What stands beside a step: the fly is spoiled, a timer, what is heard, and whether the screen stays on. */
function Beside({
  id,
  next,
  spoiling,
  setSpoiling,
  kept,
}: {
  id: string;
  next: { item: string; n: number };
  spoiling: boolean;
  setSpoiling: (on: boolean) => void;
  kept: ReturnType<typeof useAwake>;
}) {
  const words = useWords();
  const act = useAct();
  const { sound, voice, awake } = useApp(selectDevice);
  const timer = (minutes: number) =>
    act(setTimer, {
      batchId: id,
      name: words('vise.timer-name', { count: minutes }),
      seconds: 60 * minutes,
    });
  return (
    <View className="pb-6">
      <View className="px-5 py-2">
        {spoiling ? (
          <View className="gap-2">
            <Say weight="medium">{words('vise.why')}</Say>
            <Choose
              tall
              label={words('vise.why')}
              choices={SPOILS.map((why) => ({ id: why, label: words(`vise.spoils.${why}`) }))}
              value={null}
              onChange={(why) => {
                setSpoiling(false);
                act(spoilFly, { batchId: id, item: next.item, n: next.n, why });
                toHeading();
              }}
            />
            <Button
              kind="quiet"
              label={words('vise.not-spoiled')}
              onPress={() => setSpoiling(false)}
              className="self-start"
            />
          </View>
        ) : (
          <Button tall label={words('vise.spoiled')} onPress={() => setSpoiling(true)} className="self-start" />
        )}
      </View>
      <Fold wide title={words('vise.beside')} line={words(awake ? `vise.awake.${kept}` : 'vise.awake.not')}>
        <View className="flex-row flex-wrap gap-3">
          {TIMERS.map((minutes) => (
            <Button
              key={minutes}
              label={words('vise.timer', { count: minutes })}
              spoken={words('vise.timer-spoken', { count: minutes })}
              onPress={() => timer(minutes)}
            />
          ))}
        </View>
        <View className="flex-row flex-wrap gap-3 pt-3">
          <Toggle label={words('vise.sound')} on={sound} onChange={(on) => act(setDevice, { sound: on })} />
          {canSpeak() ? (
            <Toggle label={words('vise.voice')} on={voice} onChange={(on) => act(setDevice, { voice: on })} />
          ) : null}
          <Toggle label={words('vise.keep-awake')} on={awake} onChange={(on) => act(setDevice, { awake: on })} />
        </View>
        {canSpeak() ? null : (
          <Say size="small" tone="soft">
            {words('vise.no-voice')}
          </Say>
        )}
      </Fold>
    </View>
  );
}

const TIMERS = [1, 5, 10, 20] as const;
