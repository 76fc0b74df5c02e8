import { useState } from 'react';
import { View } from 'react-native';
import { clockOf, hourAt, hoursSince, stampAt, worthOf, type Band } from '@/core/hatch';
import { planMove, tieOn, type OutingRecord } from '@/records';
import { useAct, useApp } from '@/state';
import { selectTold } from '@/state/answering';
import { useSpeech, useWidth, useWords } from '@/features/shell';
import { HatchStrip, STRIP, stripTall, stripX } from '@/ui/drawings/hatch-strip';
import { Button, Explained, Fold, Heading, Say } from '@/ui/primitives';
import { SlideHandle } from '@/ui/primitives/slide-handle';
import { loggedText } from './came';
import { useDay, type PlannedMove } from './use-hatch';

const QUARTER_H = 0.25;
const EDGE_H = 0.5;

/** Says when a change is meant instead. */
function useShift(id: string, outing: OutingRecord): (move: PlannedMove, hours: number) => void {
  const act = useAct();
  return (move, hours) =>
    void act(planMove, {
      outingId: id,
      id: move.id,
      at: stampAt(outing.start, hours),
    });
}

/** The day of an outing from first light to dark: what comes up and how surely, what was seen, which fly goes where and when, and now. */
export function Strip({
  id,
  outing,
  now: clock,
  open,
}: {
  id: string;
  outing: OutingRecord;
  now: string;
  open: boolean;
}) {
  const words = useWords();
  const speech = useSpeech();
  const day = useDay(outing, clock);
  const { light, shown, moves, seen, took, now, glance } = day;
  const [width, box] = useWidth();
  const from = Math.floor(light.firstLight - EDGE_H);
  const to = Math.ceil(light.dark + EDGE_H);
  const span = { width, from, to };
  const x = stripX(span);
  const team = outing.team.map(({ id: own, name, on, off }) => ({
    id: own,
    name,
    on: hoursSince(outing.start, on),
    off: hoursSince(outing.start, off ?? outing.end ?? clock),
  }));
  const lanes = shown.map((band) => ({
    id: band.id,
    name: words(`hatch.name.${band.id}`),
    curve: band.curve,
    seen: seen[band.id] ?? [],
  }));
  const warmth = {
    name: loggedText(outing, speech),
    at: outing.temps.map(({ at, c }) => ({ hour: hoursSince(outing.start, at), c })),
  };
  const shift = useShift(id, outing);
  return (
    <View className="gap-2 pb-5">
      <Say size="lead" live className="px-5">
        {glance}
      </Say>
      <View {...box} style={{ height: stripTall(lanes.length, team.length, warmth.at.length > 1) }}>
        {width > 0 ? (
          <>
            <HatchStrip
              {...span}
              label={glance}
              hourAt={hourAt}
              light={light}
              lanes={lanes}
              team={team}
              took={took}
              warmth={warmth}
              now={now}
            />
            {open
              ? moves.flatMap((move) => {
                  const lane = lanes.findIndex((own) => own.id === move.id);
                  return move.out || lane < 0
                    ? []
                    : [
                        <SlideHandle
                          key={move.id}
                          id={move.id}
                          label={words('hatch.move-of', { band: words(`hatch.name.${move.id}`) })}
                          said={clockOf(move.at)}
                          value={move.at}
                          low={from}
                          high={to}
                          step={QUARTER_H}
                          x={x(move.at)}
                          y={STRIP.top + lane * STRIP.lane + STRIP.lane - 34}
                          tall={34}
                          perUnit={x(1) - x(0)}
                          onSlide={(hours) => shift(move, hours)}
                        >
                          <View
                            className={`h-7 w-1.5 rounded-control border border-river ${move.fly ? 'bg-river' : 'bg-plane'}`}
                          />
                        </SlideHandle>,
                      ];
                })
              : null}
          </>
        ) : null}
      </View>
      <Say size="small" tone="soft" className="px-5">
        {words(open ? 'hatch.legend-open' : 'hatch.legend')}
      </Say>
    </View>
  );
}

/** The moves as a list: each can be shifted by a quarter of an hour, left out, or done. */
export function MovesFold({ id, outing, now }: { id: string; outing: OutingRecord; now: string }) {
  const words = useWords();
  const speech = useSpeech();
  const act = useAct();
  const { moves } = useDay(outing, now);
  const onShift = useShift(id, outing);
  const flies = useApp((state) => state.records.entities.fly);
  const meant = moves.filter(({ out }) => !out);
  const next = meant[0];
  const told = (move: PlannedMove) =>
    speech.beside([
      move.fly?.name ?? words('hatch.no-fly', { stage: speech.plain('stages', move.stage) }),
      move.position && words(`out.position.${move.position}`),
    ]);
  return (
    <Fold
      wide
      title={words('hatch.moves')}
      line={next ? speech.pair(clockOf(next.at), told(next)) : words('hatch.moves-none')}
    >
      {moves.map((move) => {
        const band = words(`hatch.name.${move.id}`);
        return (
          <View key={move.id} className="gap-2 border-b border-line pb-3">
            <Say weight="medium" tone={move.out ? 'soft' : 'ink'}>
              {speech.pair(move.out ? words('hatch.left-out') : clockOf(move.at), told(move))}
            </Say>
            <Say size="small" tone="soft">
              {words('hatch.for', { band })}
            </Say>
            <View className="flex-row flex-wrap gap-2">
              {move.out ? (
                <Button
                  tall
                  label={words('hatch.put-back')}
                  spoken={words('hatch.put-back-of', { band })}
                  onPress={() => onShift(move, move.at)}
                />
              ) : (
                <>
                  {move.fly && !outing.team.some(({ flyId, off }) => flyId === move.fly!.flyId && off === null) ? (
                    <Button
                      tall
                      label={words('hatch.tie-on')}
                      spoken={words('out.tie-it-on', { name: move.fly.name })}
                      onPress={() => {
                        const fly = flies[move.fly!.flyId];
                        act(tieOn, {
                          outingId: id,
                          flyId: move.fly!.flyId,
                          dressingId: fly?.dressingId ?? null,
                          hookId: fly?.hookId ?? null,
                          name: move.fly!.name,
                          position: outing.team.some(({ off }) => off === null) ? move.position : null,
                        });
                      }}
                    />
                  ) : null}
                  <Button
                    tall
                    label={words('hatch.earlier')}
                    spoken={words('hatch.earlier-of', { band })}
                    onPress={() => onShift(move, move.at - QUARTER_H)}
                  />
                  <Button
                    tall
                    label={words('hatch.later')}
                    spoken={words('hatch.later-of', { band })}
                    onPress={() => onShift(move, move.at + QUARTER_H)}
                  />
                  <Button
                    tall
                    kind="quiet"
                    label={words('hatch.leave-out')}
                    spoken={words('hatch.leave-out-of', { band })}
                    onPress={() => act(planMove, { outingId: id, id: move.id, at: null })}
                  />
                </>
              )}
            </View>
          </View>
        );
      })}
    </Fold>
  );
}

/** Why the strip says what it does, band by band; and how far off it was, by the book and by the tier's own outings. */
export function WhyFold({ outing, now }: { outing: OutingRecord; now: string }) {
  const day = useDay(outing, now);
  const words = useWords();
  const speech = useSpeech();
  const [asked, setAsked] = useState<string | null>(null);
  const sure = ({ p }: Band) => words(`hatch.${worthOf(p)}`);
  const outings = Math.max(0, ...day.shown.map((band) => band.outings));
  return (
    <Fold
      wide
      title={words('hatch.why')}
      line={words(outings > 0 ? 'hatch.why-own' : 'hatch.why-book', { count: outings })}
    >
      {day.light.about ? (
        <Say size="small" tone="straw">
          {words('hatch.no-place')}
        </Say>
      ) : (
        <Say size="small" tone="soft">
          {words('hatch.sun', {
            first: clockOf(day.light.firstLight),
            rise: clockOf(day.light.rise),
            set: clockOf(day.light.set),
            dark: clockOf(day.light.dark),
          })}
        </Say>
      )}
      {day.shown.map((band) => (
        <View key={band.id} className="gap-1">
          <Explained
            word
            spoken={words('hatch.why-of', { band: words(`hatch.name.${band.id}`) })}
            open={asked === band.id}
            onToggle={() => setAsked(asked === band.id ? null : band.id)}
          >
            <Say weight="medium">
              {speech.beside([
                words(`hatch.name.${band.id}`),
                sure(band),
                speech.list(
                  band.spans.map(([on, off]) => words('hatch.from-to', { from: clockOf(on), to: clockOf(off) })),
                ),
              ])}
            </Say>
          </Explained>
          {asked === band.id
            ? [
                ...band.reasons.map((reason) => speech.say(reason)),
                ...(day.warmth[band.id] ?? []).map(({ group, from, now, sum, sd, years }) => {
                  const text = words('hatch.warmth', {
                    from: speech.day(from),
                    now: speech.number(now, 0),
                    sum: speech.number(sum, 0),
                    sd: speech.number(sd, 0),
                    count: years,
                  });
                  return group === null ? text : speech.pair(group, text);
                }),
              ].map((text) => (
                <Say key={text} size="small" tone="soft">
                  {text}
                </Say>
              ))
            : null}
        </View>
      ))}
      {outing.waterId ? <ToldBefore waterId={outing.waterId} /> : null}
    </Fold>
  );
}

function ToldBefore({ waterId }: { waterId: string }) {
  const words = useWords();
  const speech = useSpeech();
  const { hours, chance } = useApp((state) => selectTold(state, waterId));
  if (hours.n === 0 && chance.n === 0) return null;
  const minutes = (h: number) => speech.number(Math.round((h * 60) / 5) * 5, 0);
  return (
    <View className="gap-1">
      <Heading size="small" level={3}>
        {words('hatch.told')}
      </Heading>
      {hours.n > 0 ? (
        <Say size="small">
          {words('hatch.told-hours', { count: hours.n, book: minutes(hours.book), own: minutes(hours.own) })}
        </Say>
      ) : null}
      {chance.n > 0 ? (
        <Say size="small">
          {words('hatch.told-chance', {
            count: chance.n,
            book: speech.number(chance.book, 2),
            own: speech.number(chance.own, 2),
          })}
        </Say>
      ) : null}
    </View>
  );
}
