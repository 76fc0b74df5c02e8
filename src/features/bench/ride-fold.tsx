import { useMemo } from 'react';
import { View } from 'react-native';
import { bankChanges, bearingOf, flyInWater, rideOf, rideReasons, type Ride } from '@/core/ride';
import type { Card } from '@/core/tying';
import { raised } from '@/speech';
import { useApp } from '@/state';
import { selectNamed } from '@/state/answering';
import { useSpeech, useWords } from '@/features/shell';
import { Fold, Heading, Say } from '@/ui/primitives';

/** A dry fly is dressed again after about so long. */
const LATER_S = 120;

/** How the card's fly rides, what bears it, how long, and what to do to it on the bank before another fly is tied on. */
export function RideFold({ card }: { card: Card }) {
  const words = useWords();
  const speech = useSpeech();
  const { materials } = useApp(selectNamed);
  const { now, later, reasons, changes } = useMemo(() => {
    const fly = flyInWater(card, materials);
    const ride = rideOf(fly, 0);
    return {
      now: ride,
      later: rideOf(fly, LATER_S),
      reasons: rideReasons(ride, bearingOf(fly.parts, 0), 0),
      changes: bankChanges(fly),
    };
  }, [card, materials]);
  const changed = (ride: Ride) => {
    if (ride.sinkMmS !== null)
      return speech.beside([
        ride.state !== now.state && words(`dressing.rides.${ride.state}`),
        words('ride.falls', { speed: Math.round(ride.sinkMmS) }),
      ]);
    if (ride.state !== now.state) return words(`dressing.rides.${ride.state}`);
    const percent = Math.round(100 * (ride.margin / now.margin - 1));
    return words(percent >= 0 ? 'ride.more' : 'ride.less', { percent: Math.abs(percent) });
  };
  return (
    <Fold
      wide
      title={words('ride.title')}
      line={raised(words('ride.line', { ride: words(`dressing.rides.${now.state}`) }))}
    >
      {reasons.map((why) => (
        <Say key={why.code}>{speech.say(why)}</Say>
      ))}
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
    </Fold>
  );
}
