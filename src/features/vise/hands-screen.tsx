import { scaleLinear } from 'd3-scale';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { Circle, G, Line, Polyline } from 'react-native-svg';
import { guessedMinutes, learnt, type Bias, type FlyMinutes } from '@/core/session';
import { measuredIn, minutesOf, setSettings, spoiledAt, spoiledOf } from '@/records';
import { selectSettings, useAct, useApp } from '@/state';
import { selectBiases, selectOwnMinutes } from '@/state/answering';
import { Page, useSpeech, useWidth, useWords } from '@/features/shell';
import { ChartText, Drawing } from '@/ui/drawings';
import { Heading, Pick, Say, Toggle } from '@/ui/primitives';
import { token } from '@/ui/tokens';
import { Drift } from './drift';
import { Scatter } from './scatter';

/** What the hands do: parts they are off with, flies they spoil and where, and how long they take. */
export function HandsScreen() {
  const words = useWords();
  const act = useAct();
  const batches = useApp((state) => state.records.entities.batch);
  const biases = useApp(selectBiases);
  const { aims } = useApp(selectSettings);
  const measured = useMemo(() => measuredIn(batches).length, [batches]);
  return (
    <Page
      column="list"
      back={{ href: '/vise', label: words('place.vise') }}
      title={words('vise.hands')}
      lead={measured === 0 ? undefined : words('hands.lead', { count: measured })}
    >
      <View className="gap-8">
        <View className="gap-3">
          <Heading className="px-5">{words('hands.lengths')}</Heading>
          {biases.length === 0 ? (
            <Say tone="soft" className="px-5">
              {words('hands.no-lengths')}
            </Say>
          ) : (
            <>
              <Biases biases={biases} />
              <View className="flex-row px-5">
                <Toggle label={words('hands.aims')} on={aims} onChange={(on) => act(setSettings, { aims: on })} />
              </View>
            </>
          )}
        </View>
        <Drift biases={biases} />
        <Minutes />
        <Spoilage />
      </View>
    </Page>
  );
}

const ROW = 44;
const EDGE = 20;
const FOOT = 24;
/** The axis reaches at least so far on both sides, as a share. */
const LEAST_REACH = 0.15;

/** Each kind of part with how far it is off and how sure that is, on one axis; what is certain in words below. */
function Biases({ biases }: { biases: readonly Bias[] }) {
  const words = useWords();
  const speech = useSpeech();
  const [width, box] = useWidth();
  const reach = Math.max(LEAST_REACH, ...biases.map(({ mean, half }) => Math.min(0.5, Math.abs(mean) + half)));
  const named = width < 560 ? 96 : 150;
  const x = scaleLinear([-reach, reach], [EDGE + named, Math.max(EDGE + named + 1, width - EDGE)]).clamp(true);
  const height = biases.length * ROW + FOOT;
  const percent = (share: number) => speech.number(100 * share, 0);
  const said = (bias: Bias) =>
    words(bias.mean >= 0 ? 'hands.long' : 'hands.short', {
      part: speech.name('parts', bias.kind),
      percent: percent(Math.abs(bias.mean)),
      half: percent(bias.half),
      count: bias.n,
    });
  const sure = biases.filter(({ certain }) => certain);
  return (
    <View className="gap-2">
      <View className="px-5">
        {sure.length === 0 ? (
          <Say>{words('hands.none-certain')}</Say>
        ) : (
          sure.map((bias) => (
            <Say key={bias.kind} size="lead" weight="medium">
              {said(bias)}
            </Say>
          ))
        )}
      </View>
      <View {...box}>
        {width > 0 ? (
          <Drawing label={speech.sentences(biases.map(said))} width={width} height={height}>
            {x.ticks(width < 560 ? 4 : 8).map((at) => (
              <G key={at}>
                <Line
                  x1={x(at)}
                  x2={x(at)}
                  y1={0}
                  y2={height - FOOT}
                  stroke={token(at === 0 ? 'ink' : 'line')}
                  strokeWidth={1}
                />
                <ChartText x={x(at)} y={height - 6}>
                  {at === 0 ? words('hands.as-card') : `${at > 0 ? '+' : '−'}${percent(Math.abs(at))} %`}
                </ChartText>
              </G>
            ))}
            {biases.map(({ kind, mean, half, certain }, row) => {
              const y = row * ROW + ROW / 2;
              const tone = token(certain ? 'dawn' : 'soft');
              return (
                <G key={kind}>
                  <ChartText x={EDGE} y={y + 5} kind="name" anchor="start">
                    {speech.name('parts', kind)}
                  </ChartText>
                  <Line x1={x(mean - half)} x2={x(mean + half)} y1={y} y2={y} stroke={tone} strokeWidth={3} />
                  <Circle cx={x(mean)} cy={y} r={5.5} fill={tone} />
                </G>
              );
            })}
          </Drawing>
        ) : null}
      </View>
      <Say size="small" tone="soft" className="px-5">
        {words('hands.key')}
      </Say>
    </View>
  );
}

/** Minutes of each fly of a dressing in the order they were tied, beside what is usual. */
function Minutes() {
  const words = useWords();
  const speech = useSpeech();
  const batches = useApp((state) => state.records.entities.batch);
  const own = useApp(selectOwnMinutes);
  const dressings = useMemo(() => {
    const all = Object.values(batches).flatMap(({ items }) => items.map(({ card }) => card));
    return [...new Map(all.map((card) => [card.dressing.id, card])).values()]
      .map((card) => ({ card, flies: minutesOf(batches, card.dressing.id) }))
      .filter(({ flies }) => flies.length > 0)
      .sort((a, b) => b.flies.length - a.flies.length);
  }, [batches]);
  const [chosen, setChosen] = useState<string | null>(null);
  const shown = dressings.find(({ card }) => card.dressing.id === chosen) ?? dressings[0];
  return (
    <View className="gap-3">
      <Heading className="px-5">{words('hands.minutes')}</Heading>
      {shown ? (
        <>
          <View className="flex-row px-5">
            <Pick
              label={words('hands.of')}
              choices={dressings.map(({ card }) => ({ id: card.dressing.id, label: card.dressing.name }))}
              value={shown.card.dressing.id}
              onChange={setChosen}
            />
          </View>
          <Say className="px-5">
            {own(shown.card.dressing.id)
              ? words('hands.own-minutes', {
                  minutes: speech.number(own(shown.card.dressing.id)!.minutes, 0),
                  count: shown.flies.length,
                })
              : words('hands.few-minutes', { count: shown.flies.length })}
          </Say>
          <Curve
            flies={shown.flies}
            usual={own(shown.card.dressing.id)?.minutes ?? shown.card.minutes ?? guessedMinutes(shown.card)}
            name={shown.card.dressing.name}
          />
        </>
      ) : (
        <Say tone="soft" className="px-5">
          {words('hands.no-minutes')}
        </Say>
      )}
    </View>
  );
}

/** A dot a fly, and the line that minutes go down along with practice. */
function Curve({ flies, usual, name }: { flies: readonly FlyMinutes[]; usual: number; name: string }) {
  const words = useWords();
  const speech = useSpeech();
  const last = Math.max(6, ...flies.map(({ nth }) => nth + 1));
  const most = Math.max(usual * learnt(0), ...flies.map(({ minutes }) => minutes)) * 1.08;
  const [first, final] = [flies[0]!, flies.at(-1)!];
  return (
    <View>
      <Scatter
        label={words('hands.curve', {
          fly: name,
          count: flies.length,
          first: speech.number(first.minutes, 0),
          last: speech.number(final.minutes, 0),
        })}
        flies={last}
        values={[0, most]}
        dots={flies.map(({ nth, minutes }) => ({ at: nth + 1, value: minutes }))}
        named={{
          fly: (n) => words('hands.nth', { n }),
          value: (at) => (at === 0 ? words('hands.min') : String(at)),
        }}
        under={(x, y) => (
          <Polyline
            points={Array.from({ length: last }, (_, nth) => nth)
              .flatMap((nth) => [0.5, 1.5].map((half) => `${x(nth + half)},${y(usual * learnt(nth))}`))
              .join(' ')}
            fill="none"
            stroke={token('straw')}
            strokeWidth={1.5}
            strokeDasharray="4 3"
          />
        )}
      />
      <Say size="small" tone="soft" className="px-5 pt-1">
        {words('hands.curve-key')}
      </Say>
    </View>
  );
}

/** Where flies are spoiled, and why. */
function Spoilage() {
  const words = useWords();
  const speech = useSpeech();
  const batches = useApp((state) => state.records.entities.batch);
  const { tied, spoiled } = useMemo(() => spoiledOf(batches), [batches]);
  const places = useMemo(() => spoiledAt(batches), [batches]);
  const most = Math.max(1, ...places.map(({ count }) => count));
  return (
    <View className="gap-3">
      <Heading className="px-5">{words('hands.spoiled')}</Heading>
      <Say className="px-5" tone={tied === 0 ? 'soft' : 'ink'}>
        {tied === 0 ? words('hands.none-tied') : words('hands.spoiled-of', { count: tied, spoiled })}
      </Say>
      {places.length > 0 ? (
        <View role="list" aria-label={words('hands.spoiled')} className="border-t border-line">
          {places.map(({ kind, verb, why, count }) => (
            <View
              key={`${kind} ${verb} ${why}`}
              role="listitem"
              className="flex-row flex-wrap items-center gap-x-4 border-b border-line px-5 py-2"
            >
              <View className="min-w-[55%] flex-1">
                <Say>{speech.beside([kind && speech.name('parts', kind), speech.plain('verbs', verb)])}</Say>
                <Say size="small" tone="soft">
                  {words(`vise.spoils.${why ?? 'other'}`)}
                </Say>
              </View>
              <View className="w-28 flex-row items-center gap-2">
                <View aria-hidden className="h-3 flex-1 bg-ground">
                  <View className="h-3 bg-dawn" style={{ width: `${(100 * count) / most}%` }} />
                </View>
                <Say>{String(count)}</Say>
              </View>
            </View>
          ))}
        </View>
      ) : null}
    </View>
  );
}
