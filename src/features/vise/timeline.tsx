import { scaleLinear } from 'd3-scale';
import { View } from 'react-native';
import { G, Line, Rect } from 'react-native-svg';
import type { Rest, Running } from '@/core/session';
import type { Card } from '@/core/tying';
import { useSpeech, useWidth, useWords } from '@/features/shell';
import { ChartText, Drawing } from '@/ui/drawings';
import { Say } from '@/ui/primitives';
import { token } from '@/ui/tokens';
import { flyName } from './names';
import { secondsUntil, useClock } from './use-session';

const ROW = 26;
const FOOT = 26;
const BAR = 14;
const EDGE = 20;
/** So many flies are drawn, the next ones first. */
const MOST = 24;

/** When which fly is worked on and when it lies, from now to the last one: a row a fly. */
export function Timeline({ running, rest, by }: { running: Running<Card>; rest: Rest; by: string | null }) {
  const words = useWords();
  const speech = useSpeech();
  const clock = useClock();
  const [width, box] = useWidth();
  const named = width < 560 ? 92 : 190;
  const late = by === null ? null : rest.lastS - secondsUntil(by, clock(0));
  const end = Math.max(60, rest.lastS, late !== null && late < 0 ? rest.lastS - late : 0);
  const x = scaleLinear([0, end], [EDGE + named, Math.max(EDGE + named + 1, width - EDGE)]);
  const firsts = new Map<number, number>();
  for (const { fly, atS } of rest.plan.bars) if (!firsts.has(fly)) firsts.set(fly, atS);
  const order = [...firsts].sort(([, a], [, b]) => a - b).map(([fly]) => fly);
  const rows = order.slice(0, MOST);
  const height = rows.length * ROW + FOOT;
  const ticks = clockTicks(end, clock(0), width < 560 ? 3 : 6);
  const label = words('vise.timeline-label', { count: order.length, at: clock(rest.lastS) });
  if (order.length === 0) return null;
  return (
    <View>
      <View {...box}>
        {width > 0 ? (
          <Drawing label={label} width={width} height={height}>
            {ticks.map((at) => (
              <G key={at}>
                <Line x1={x(at)} x2={x(at)} y1={0} y2={rows.length * ROW} stroke={token('line')} strokeWidth={1} />
                <ChartText x={Math.min(x(at), width - EDGE)} y={height - 8}>
                  {clock(at)}
                </ChartText>
              </G>
            ))}
            {by !== null && secondsUntil(by, clock(0)) > 0 && x(secondsUntil(by, clock(0))) < width ? (
              <Line
                x1={x(secondsUntil(by, clock(0)))}
                x2={x(secondsUntil(by, clock(0)))}
                y1={0}
                y2={rows.length * ROW}
                stroke={token(late !== null && late > 0 ? 'dawn' : 'sedge')}
                strokeWidth={2}
              />
            ) : null}
            {rows.map((fly, row) => {
              const own = rest.flies[fly - 1]!;
              const y = row * ROW;
              return (
                <G key={own.key}>
                  <ChartText x={EDGE} y={y + BAR + 2} tone="ink" anchor="start">
                    {short(flyName(running, own.item, own.n, speech), named)}
                  </ChartText>
                  {rest.plan.bars
                    .filter((bar) => bar.fly === fly)
                    .map((bar) => (
                      <G key={bar.from}>
                        {bar.waitS > 0 ? (
                          <Line
                            x1={x(bar.atS + bar.handsS)}
                            x2={x(bar.atS + bar.handsS + bar.waitS)}
                            y1={y + BAR / 2 + 4}
                            y2={y + BAR / 2 + 4}
                            stroke={token('straw')}
                            strokeWidth={2}
                            strokeDasharray="3 3"
                          />
                        ) : null}
                        <Rect
                          x={x(bar.atS)}
                          y={y + 4}
                          width={Math.max(1.5, x(bar.atS + bar.handsS) - x(bar.atS) - 0.5)}
                          height={BAR}
                          fill={token(row === 0 && bar.atS < 60 ? 'dawn' : 'river')}
                        />
                      </G>
                    ))}
                </G>
              );
            })}
          </Drawing>
        ) : null}
      </View>
      {order.length > MOST ? (
        <Say size="small" tone="soft" className="px-5">
          {words('vise.timeline-more', { count: order.length - MOST })}
        </Say>
      ) : null}
      <Say size="small" tone="soft" className="px-5 pt-1">
        {words('vise.timeline-key')}
      </Say>
    </View>
  );
}

/** Minutes between the marks of a clock. */
const EVERY = [5, 10, 15, 30, 60, 120, 240];

/** Seconds from now at which the clock shows a round time, at most so many. */
function clockTicks(endS: number, now: string, most: number): number[] {
  const minutes = endS / 60;
  const every = EVERY.find((step) => minutes / step <= most) ?? EVERY.at(-1)!;
  const into = (60 * Number(now.slice(0, 2)) + Number(now.slice(3))) % every;
  const ticks: number[] = [];
  for (let at = into === 0 ? 0 : every - into; at <= minutes; at += every) ticks.push(60 * at);
  return ticks;
}

const LETTER_PX = 6.6;

/** A name cut to its room, its number kept. */
function short(name: string, room: number): string {
  const most = Math.floor(room / LETTER_PX) - 1;
  if (name.length <= most) return name;
  const [, text = name, n = ''] = /^(.*?)( \d+)$/.exec(name) ?? [];
  return `${text.slice(0, most - n.length - 1).trimEnd()}…${n}`;
}
