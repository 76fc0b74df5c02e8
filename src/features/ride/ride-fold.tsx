import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { useStore } from 'react-redux';
import { bankChanges, bearingOf, depthAfter, rideOf, rideReasons, type Ride } from '@/core/ride';
import type { Card } from '@/core/tying';
import { dropTrial, noteTrial } from '@/records';
import { raised } from '@/speech';
import { useAct, useApp, type Store } from '@/state';
import { selectFlyCard, selectRideOf, type FlyRide, type Ridden } from '@/state/answering';
import { NumberField } from '@/features/length-field';
import { useSpeech, useWords } from '@/features/shell';
import { Button, Fold, Heading, Row, Say } from '@/ui/primitives';

/** A dry fly is dressed again after about so long. */
const LATER_S = 120;
const MM_IN_CM = 10;
/** Moments of a drift its depth is told at. */
const DEPTHS_S = [2, 5, 10] as const;
const DROPS = 3;

/** How a fly of a box rides, from its dressing on its hook, or about as the nearest dressing of its stage; nothing where neither is known. */
export function FlyRideFold({ fly }: { fly: Ridden }) {
  const words = useWords();
  const card = useApp((state) => selectFlyCard(state, fly));
  if (!card) return null;
  return (
    <>
      {fly.dressingId ? null : (
        <Say size="small" tone="soft">
          {words('ride.by-nearest', { name: card.dressing.name })}
        </Say>
      )}
      <RideFold card={card} wide={false} />
    </>
  );
}

/** How the card's fly rides, what bears it, how long, what to do to it on the bank before another fly is tied on, and its tests in a cup and a glass. */
export function RideFold({ card, wide = true }: { card: Card; wide?: boolean }) {
  const words = useWords();
  const speech = useSpeech();
  const own = useRide(card);
  const { fly, ride: now, sink, float } = own;
  const { later, reasons, changes } = useMemo(
    () => ({
      later: rideOf(fly, LATER_S),
      reasons: rideReasons(now, bearingOf(fly.parts, 0), 0, { sink, float }),
      changes: bankChanges(fly),
    }),
    [fly, now, sink, float],
  );
  const changed = (ride: Ride) => {
    if (ride.sinkMmS !== null)
      return speech.beside([
        ride.state !== now.state && words(`dressing.rides.${ride.state}`),
        words('ride.falls', { speed: Math.round(ride.sinkMmS * sink.times) }),
      ]);
    if (ride.state !== now.state) return words(`dressing.rides.${ride.state}`);
    const percent = Math.round(100 * (ride.margin / now.margin - 1));
    return words(percent >= 0 ? 'ride.more' : 'ride.less', { percent: Math.abs(percent) });
  };
  return (
    <Fold
      wide={wide}
      title={words('ride.title')}
      line={raised(words('ride.line', { ride: words(`dressing.rides.${now.state}`) }))}
    >
      {reasons.map((why) => (
        <Say key={why.code}>{speech.say(why)}</Say>
      ))}
      {now.sinkMmS !== null ? (
        <Say>
          {words('ride.depths', {
            depths: speech.list(
              DEPTHS_S.map((s) =>
                words('ride.depth', { s, cm: speech.number(Math.round(depthAfter(now.sinkMmS!, s) / 50) * 5, 0) }),
              ),
            ),
          })}
        </Say>
      ) : null}
      {later.state === now.state || now.sinkMmS !== null ? null : (
        <Say>{words('ride.later', { ride: words(`dressing.rides.${later.state}`) })}</Say>
      )}
      {changes.length > 0 ? (
        <View className="gap-1">
          <Heading size="small" level={3}>
            {words('ride.bank')}
          </Heading>
          <View role="list" className="border-t border-line">
            {changes.map(({ id, ride }) => (
              <View key={id} role="listitem" className="min-h-target justify-center border-b border-line py-2">
                <Say weight="medium">{words(`ride.changes.${id}`)}</Say>
                <Say size="small" tone="soft">
                  {changed(ride)}
                </Say>
              </View>
            ))}
          </View>
        </View>
      ) : null}
      <Tests card={card} own={own} />
    </Fold>
  );
}

/** Worked out anew only when its card or the tests change. */
function useRide(card: Card): FlyRide {
  const { getState } = useStore() as unknown as Store;
  const trial = useApp((state) => state.records.entities.trial);
  // eslint-disable-next-line react-hooks/exhaustive-deps -- tests are read through the store
  return useMemo(() => selectRideOf(getState(), card), [card, trial]);
}

/** A cup says how long it floats, a glass how quickly it falls: both move the model of this dressing, on this hook the most. */
function Tests({ card, own }: { card: Card; own: FlyRide }) {
  const words = useWords();
  const speech = useSpeech();
  const act = useAct();
  const all = useApp((state) => state.records.entities.trial);
  const trials = Object.entries(all).filter(([, { dressingId }]) => dressingId === card.dressing.id);
  const [cup, setCup] = useState<number | null>(null);
  const [depth, setDepth] = useState<number | null>(null);
  const [drops, setDrops] = useState<readonly (number | null)[]>([null, null, null]);
  const of = { dressingId: card.dressing.id, hookId: card.hook.id };
  const timed = drops.filter((one) => one !== null);
  const floats = own.ride.floatS !== null;
  return (
    <View className="gap-3">
      <Heading size="small" level={3}>
        {words('ride.tests')}
      </Heading>
      {floats ? (
        <View className="gap-2">
          <Say size="small" tone="soft">
            {words('ride.cup-how')}
          </Say>
          <View className="flex-row flex-wrap items-end gap-3">
            <View className="min-w-28 flex-1">
              <NumberField label={words('ride.cup-s')} value={cup} range={[1, 7200]} onChange={setCup} />
            </View>
            <Button
              label={words('ride.cup-keep')}
              disabled={cup === null}
              onPress={() => {
                act(noteTrial, { ...of, what: 'cup', seconds: [cup!], depthMm: null });
                setCup(null);
              }}
            />
          </View>
        </View>
      ) : null}
      {own.soaked.sinkMmS !== null ? (
        <View className="gap-2">
          <Say size="small" tone="soft">
            {words('ride.drop-how')}
          </Say>
          <View className="flex-row flex-wrap items-end gap-3">
            <View className="min-w-28 flex-1">
              <NumberField label={words('ride.drop-cm')} value={depth} range={[2, 300]} onChange={setDepth} />
            </View>
            {Array.from({ length: DROPS }, (_, n) => (
              <View key={n} className="min-w-20 flex-1">
                <NumberField
                  label={words('ride.drop-s', { n: n + 1 })}
                  value={drops[n]!}
                  range={[0.1, 600]}
                  onChange={(seconds) => setDrops(drops.map((given, at) => (at === n ? seconds : given)))}
                />
              </View>
            ))}
            <Button
              label={words('ride.drop-keep')}
              disabled={depth === null || timed.length === 0}
              onPress={() => {
                act(noteTrial, { ...of, what: 'drop', seconds: timed, depthMm: depth! * MM_IN_CM });
                setDrops([null, null, null]);
              }}
            />
          </View>
        </View>
      ) : null}
      {trials.length > 0 ? (
        <View className="border-t border-line">
          {trials.map(([id, { what, at, seconds, depthMm, hookId }]) => (
            <Row
              key={id}
              wide={false}
              spoken={words('ride.test-out', { what: words(`ride.test-${what}`), day: speech.day(at) })}
              onPress={() => act(dropTrial, { trialId: id })}
            >
              <View className="min-w-0 flex-1">
                <Say weight="medium">
                  {speech.beside([
                    words(`ride.test-${what}`),
                    depthMm && words('ride.test-cm', { cm: speech.number(depthMm / MM_IN_CM, 0) }),
                    words('ride.test-s', { s: speech.list(seconds.map((s) => speech.number(s, 1))) }),
                  ])}
                </Say>
                <Say size="small" tone="soft">
                  {speech.beside([
                    speech.day(at),
                    hookId !== card.hook.id && words('ride.test-other'),
                    words('ride.test-take-out'),
                  ])}
                </Say>
              </View>
            </Row>
          ))}
        </View>
      ) : null}
    </View>
  );
}
