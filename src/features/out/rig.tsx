import { useMemo } from 'react';
import { View } from 'react-native';
import { useStore } from 'react-redux';
import { RIGS } from '@/catalogue/rigs';
import type { PositionId, RigId } from '@/catalogue/ids';
import { SINKING } from '@/core/constants';
import {
  downTheLeader,
  HOLDS,
  indicatorMm,
  loadOf,
  rigDepths,
  rigWarnings,
  type Rig,
  type RiggedFly,
  type RigMend,
  type Spare,
} from '@/core/rig';
import { fishing, setOuting, swapFlies, takeOff, tieInstead, type OutingRecord } from '@/records';
import { useAct, useApp, type Store } from '@/state';
import { selectCatalogue, selectRigged, selectTieable } from '@/state/answering';
import { useSpeech, useWidth, useWords } from '@/features/shell';
import { RigDrawing } from '@/ui/drawings/rig-drawing';
import { Button, Digits, Pick, Say } from '@/ui/primitives';

/** A walking pace, where nothing was said. */
const CURRENT_MM_S = 500;
const CURRENTS = [200, 500, 900] as const;
/** Shares of a drift the leader is drawn at. */
const MOMENTS = [0.2, 0.5, 1] as const;
const SINKS: ReadonlySet<string> = new Set(['sink', 'under']);
/** Warnings that another fly of the boxes may mend. */
const ASKS: ReadonlySet<string> = new Set(['rig-dry-cannot', 'rig-wants-sinking']);
const SOFT: ReadonlySet<string> = new Set(['soft-wet', 'palmered-wet']);

export const rigOf = ({ rig }: Pick<OutingRecord, 'rig'>, flies: number): Rig =>
  RIGS.find(({ id }) => id === (rig ?? (flies > 1 ? 'wet-team' : 'solo')))!;

function useRigged(outing: OutingRecord): RiggedFly[] {
  const { getState } = useStore() as unknown as Store;
  const trial = useApp((state) => state.records.entities.trial);
  const { dressings } = useApp(selectCatalogue);
  const held = useApp((state) => state.records.entities.fly);
  return useMemo(
    () =>
      fishing(outing).map((fly) => ({
        id: fly.id,
        name: fly.name,
        position: fly.position ?? null,
        apartMm: fly.apartMm ?? null,
        ride: selectRigged(getState(), {
          ...(fly.flyId ? held[fly.flyId] : null),
          dressingId: fly.dressingId,
          hookId: fly.hookId,
        }),
        soft: SOFT.has(dressings.find(({ id }) => id === fly.dressingId)?.style ?? ''),
      })),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- tests are read through the store
    [outing, getState, dressings, trial, held],
  );
}

/** Flies that are carried and meant to sink, with how each rides, where a rig asks for another: each has to be worked out. */
function useSpares(asked: boolean): Spare[] {
  const { getState } = useStore() as unknown as Store;
  const tieable = useApp(selectTieable);
  return useMemo(
    () =>
      !asked
        ? []
        : tieable
            .filter(({ ride }) => ride === null || SINKS.has(ride))
            .map(({ flyId, name, fly }) => ({ flyId, name, ride: selectRigged(getState(), fly) })),
    [asked, tieable, getState],
  );
}

/** How the flies stand on the leader: the rig, what is wrong with it and what mends that, and how deep each fishes through a drift. */
export function RigPart({ id, outing }: { id: string; outing: OutingRecord }) {
  const words = useWords();
  const speech = useSpeech();
  const act = useAct();
  const flies = useRigged(outing);
  const rig = rigOf(outing, flies.length);
  const current = outing.currentMmS ?? CURRENT_MM_S;
  const held = useApp((state) => state.records.entities.fly);
  const asks = rigWarnings(flies, rig).some(({ code, mend }) => mend === null && ASKS.has(code));
  const spares = useSpares(asks);
  const warnings = rigWarnings(flies, rig, spares);
  const down = downTheLeader(flies, rig);
  if (flies.length === 0) return null;
  const places = Object.fromEntries(down.map((fly) => [fly.id, fly.position!])) as Record<string, PositionId>;
  const mend = (how: RigMend) => {
    if (how.do === 'swap') return void act(swapFlies, { outingId: id, a: how.a, b: how.b, places });
    if (how.do === 'off') return void act(takeOff, { outingId: id, fly: how.fly });
    const { dressingId = null, hookId = null } = held[how.flyId] ?? {};
    const position = places[how.fly] ?? null;
    const fly = { flyId: how.flyId, dressingId, hookId, name: how.name, position };
    act(tieInstead, { outingId: id, off: how.fly, ...fly });
  };
  const name = (fly: string) => flies.find((own) => own.id === fly)?.name ?? '';
  const mendText = (how: RigMend) =>
    how.do === 'swap'
      ? words('rig.swap', { a: name(how.a), b: name(how.b) })
      : how.do === 'off'
        ? words('rig.off', { fly: name(how.fly) })
        : words('rig.instead', { fly: name(how.fly), other: how.name });
  const stands = ({ at, sits }: Rig['places'][number]) =>
    words('rig.at', {
      where: words(`out.position.${at}`),
      sits:
        sits.includes('floats') && sits.includes('sinks')
          ? words('rig.sits.anything')
          : speech.either(sits.map((own) => words(`rig.sits.${own}`))),
    });
  const unknown = flies.filter(({ ride }) => ride === null);
  const lift = HOLDS.indicator * loadOf(down, rig);
  return (
    <View className="gap-3">
      <View className="flex-row flex-wrap gap-3">
        <View className="min-w-64 flex-1">
          <Pick
            label={words('rig.rig')}
            choices={RIGS.map((own) => ({ id: own.id, label: words(`rig.name.${own.id}`) }))}
            value={rig.id}
            onChange={(next) => act(setOuting, { outingId: id, rig: next as RigId })}
          />
        </View>
        <View className="min-w-64 flex-1">
          <Pick
            label={words('rig.current')}
            choices={CURRENTS.map((own) => ({ id: String(own), label: words(`rig.currents.${own}`) }))}
            value={String(CURRENTS.reduce((a, b) => (Math.abs(b - current) < Math.abs(a - current) ? b : a)))}
            onChange={(next) => act(setOuting, { outingId: id, currentMmS: Number(next) })}
          />
        </View>
      </View>
      {rig.places.length > 1 ? (
        <Say size="small" tone="soft">
          {words('rig.stands', { places: speech.list(rig.places.map(stands)) })}
        </Say>
      ) : null}
      {warnings.map(({ mend: how, ...why }) => (
        <View key={JSON.stringify(why)} className="gap-1 border-l-4 border-straw pl-3">
          <Say>{speech.say(why)}</Say>
          {how ? <Button className="self-start" label={mendText(how)} onPress={() => mend(how)} /> : null}
        </View>
      ))}
      {rig.afloat === 'indicator' && lift > 0 ? (
        <Say size="small">
          {words('rig.indicator', { mg: Math.round(lift), mm: speech.number(indicatorMm(lift), 0) })}
        </Say>
      ) : null}
      {unknown.length === 0 ? (
        <Leader flies={down} rig={rig} driftS={SINKING.driftMm / current} />
      ) : (
        <Say size="small" tone="soft">
          {words('rig.unknown', { flies: speech.list(unknown.map((fly) => fly.name)) })}
        </Say>
      )}
    </View>
  );
}

function Leader({ flies, rig, driftS }: { flies: readonly RiggedFly[]; rig: Rig; driftS: number }) {
  const words = useWords();
  const speech = useSpeech();
  const [width, box] = useWidth();
  const moments = MOMENTS.map((share) => ({ seconds: share * driftS, places: rigDepths(flies, rig, share * driftS) }));
  const names = Object.fromEntries(flies.map(({ id, name }) => [id, name]));
  const depth = (mm: number) =>
    mm < 10 ? words('rig.on-top') : words('rig.deep', { cm: speech.number(Math.round(mm / 50) * 5, 0) });
  const last = moments[moments.length - 1]!;
  const label = words('rig.said', {
    s: Math.round(driftS),
    flies: speech.list(last.places.map(({ id, depthMm }) => `${names[id]} ${depth(depthMm)}`)),
  });
  return (
    <View {...box}>
      {width > 0 ? (
        <RigDrawing
          label={label}
          width={width}
          moments={moments}
          momentText={(seconds) => words('rig.after', { s: Math.round(seconds) })}
          indicator={rig.afloat === 'indicator'}
        />
      ) : null}
      <View role="list">
        {last.places.map(({ id, depthMm }, n) => (
          <View key={id} role="listitem" className="min-h-7 flex-row items-baseline gap-3">
            <Digits size="small" tone="soft">
              {String(n + 1)}
            </Digits>
            <Say className="min-w-0 flex-1">{names[id]}</Say>
            <Say weight="medium">{depth(depthMm)}</Say>
          </View>
        ))}
      </View>
      <Say size="small" tone="soft">
        {words('rig.about')}
      </Say>
    </View>
  );
}
