import { useState } from 'react';
import { View } from 'react-native';
import { Circle, Path } from 'react-native-svg';
import type { RegionId } from '@/catalogue/ids';
import { FIELD_CARDS } from '@/catalogue/field-cards';
import type { Spot } from '@/core/photo/card';
import {
  colourOfTap,
  curveThrough,
  lengthByHand,
  neutralOf,
  scaleOfFour,
  scaleOfTwo,
  type Neutral,
} from '@/core/photo/trace';
import { parseLength } from '@/core/units';
import type { Overlay } from '@/records';
import { useRedLamp, useSpeech, useWords } from '@/features/shell';
import { Button, Chips, Field, Say } from '@/ui/primitives';
import { ColourRow } from './colour-row';
import { LengthWithRoom } from './insect-line';
import type { Found } from './measure-panel';
import { faceOf, type Colours } from './overlay';
import { PictureBoard, type Handle } from './picture-board';
import { pathThrough, usePictureInk } from './picture-ink';
import { usePixels } from './pixels';

interface ByHandProps {
  picture: string;
  view: Overlay['view'];
  onFound: (found: Found) => void;
  onLeave: () => void;
}

const STEPS = ['scale', 'body', 'colour'] as const;
const WAYS = ['length', 'rectangle'] as const;
const NEUTRAL_KINDS = ['white', 'grey'] as const;
const [CARD_LONG, CARD_SHORT] = FIELD_CARDS.cards.wallet.size_mm;
/** Radius of a colour tap, screen pixels. */
const RADII = { small: 5, middle: 10, large: 20 } as const;
/** SD of a tap, screen pixels: the magnifier shows what it hits. */
const TAP_PX = 2.5;
const LEAST_TAP = 0.7;
const CROP_PX = 720;
const CROP_BYTES = 40_000;
const MOST_BODY_TAPS = 12;

/** Measuring without the card: taps on something known, along the body, and on its colours. */
export function ByHandPanel({ picture, view, onFound, onLeave }: ByHandProps) {
  const words = useWords();
  const speech = useSpeech();
  const red = useRedLamp();
  const ink = usePictureInk();
  const pixels = usePixels(picture);
  const [step, setStep] = useState<(typeof STEPS)[number]>('scale');
  const [way, setWay] = useState<(typeof WAYS)[number]>('length');
  const [known, setKnown] = useState(String(CARD_LONG));
  const [sides, setSides] = useState([String(CARD_LONG), String(CARD_SHORT)]);
  const [marks, setMarks] = useState<Spot[]>([]);
  const [body, setBody] = useState<Spot[]>([]);
  const [tapPx, setTapPx] = useState(LEAST_TAP);
  const [neutral, setNeutral] = useState<{ kind: (typeof NEUTRAL_KINDS)[number]; light: Neutral | null } | null>(null);
  const [asking, setAsking] = useState<'neutral-white' | 'neutral-grey' | RegionId>('neutral-white');
  const [radius, setRadius] = useState<keyof typeof RADII>('middle');
  const [colours, setColours] = useState<Colours>({});
  if (!pixels)
    return (
      <View className="h-40 items-center justify-center rounded-control bg-line">
        <Say tone="soft">{words('hand.reading')}</Say>
      </View>
    );
  const unit = speech.unit === 'mm' ? 'mm' : 'in';
  const read = (text: string) => {
    const parsed = parseLength(text, unit);
    return parsed.ok ? { mm: parsed.mm, fault: null } : { mm: null, fault: speech.say(parsed.fault, 'fault') };
  };
  const lengthKnown = read(known);
  const [long, short] = sides.map(read) as [ReturnType<typeof read>, ReturnType<typeof read>];
  const wanted = way === 'length' ? 2 : 4;
  const tapped = { spots: marks, tapPx };
  const scale =
    marks.length < wanted
      ? null
      : way === 'length'
        ? lengthKnown.mm === null
          ? null
          : scaleOfTwo(tapped, lengthKnown.mm)
        : long.mm === null || short.mm === null
          ? null
          : scaleOfFour(tapped, Math.max(long.mm, short.mm), Math.min(long.mm, short.mm));
  const length = scale ? lengthByHand({ spots: body, tapPx }, scale) : null;
  const face = faceOf(view);
  const regions = [`abdomen-${face}`, `thorax-${face}`, 'wing', 'legs'] as RegionId[];
  const tap = (at: Spot, size: number) => {
    setTapPx(Math.max(LEAST_TAP, TAP_PX * size));
    if (step === 'scale') setMarks(marks.length >= wanted ? [at] : [...marks, at]);
    else if (step === 'body') setBody(body.length >= MOST_BODY_TAPS ? body : [...body, at]);
    else {
      const sample = pixels.around(at[0], at[1], Math.max(2, RADII[radius] * size));
      if (asking === 'neutral-white' || asking === 'neutral-grey') {
        const kind = asking === 'neutral-white' ? 'white' : 'grey';
        setNeutral({ kind, light: neutralOf(sample, kind) });
        setAsking(regions[0]!);
      } else {
        const colour = colourOfTap(sample, neutral?.light ?? null);
        if (colour) setColours({ ...colours, [asking]: colour });
      }
    }
  };
  const handles: Handle[] =
    step === 'scale'
      ? marks.map((at, index) => ({ id: `m${index}`, label: words('hand.mark', { n: index + 1 }), at }))
      : step === 'body'
        ? body.map((at, index) => ({ id: `b${index}`, label: words('hand.body-mark', { n: index + 1 }), at }))
        : [];
  const move = (id: string, to: Spot) => {
    const index = Number(id.slice(1));
    const put = (spots: Spot[]) => spots.map((spot, at) => (at === index ? to : spot));
    if (id.startsWith('m')) setMarks(put(marks));
    else setBody(put(body));
  };
  const line = body.length >= 2 ? curveThrough(body) : body;
  const done = async () => {
    if (!length || !scale) return;
    const [xs, ys] = [line.map((spot) => spot[0]), line.map((spot) => spot[1])];
    const long = Math.hypot(Math.max(...xs) - Math.min(...xs), Math.max(...ys) - Math.min(...ys));
    const margin = 0.35 * long + 8;
    const [left, top] = [Math.max(0, Math.min(...xs) - margin), Math.max(0, Math.min(...ys) - margin)];
    const [width, height] = [
      Math.min(pixels.width, Math.max(...xs) + margin) - left,
      Math.min(pixels.height, Math.max(...ys) + margin) - top,
    ];
    // Over so small a piece one scale holds: the length along the taps gives it.
    const mm =
      length.bodyMm /
      line
        .slice(1)
        .reduce((sum, spot, index) => sum + Math.hypot(spot[0] - line[index]![0], spot[1] - line[index]![1]), 0);
    const url = await pixels.cut(left, top, width, height, CROP_PX, CROP_BYTES);
    onFound({
      url,
      colours,
      warnings: [],
      overlay: {
        leftMm: left * mm,
        topMm: top * mm,
        widthMm: width * mm,
        heightMm: height * mm,
        by: 'hand',
        view,
        insects: [
          {
            n: 1,
            specimenId: null,
            what: 'body',
            bodyMm: length.bodyMm,
            sdMm: length.sdMm,
            midlineMm: line.map(([x, y]): [number, number] => [x * mm, y * mm]),
            widthsMm: [],
            overallMm: null,
            factor: 1,
            hand: null,
          },
        ],
      },
    });
  };
  return (
    <View className="gap-3">
      <Chips
        compact
        label={words('hand.step')}
        choices={STEPS.map((id) => ({ id, label: words(`hand.steps.${id}`) }))}
        value={step}
        onChange={setStep}
      />
      {step === 'scale' ? (
        <View className="gap-3">
          <Chips
            compact
            label={words('hand.way')}
            choices={WAYS.map((id) => ({ id, label: words(`hand.ways.${id}`) }))}
            value={way}
            onChange={(next) => {
              setWay(next);
              setMarks([]);
            }}
          />
          <View className="flex-row gap-3">
            {way === 'length' ? (
              <Field
                label={words('hand.known')}
                numeric
                value={known}
                unit={speech.t(`unit.${unit}`)}
                error={lengthKnown.fault}
                onType={setKnown}
              />
            ) : (
              sides.map((side, index) => (
                <Field
                  key={index}
                  label={words(index === 0 ? 'hand.long' : 'hand.short')}
                  numeric
                  value={side}
                  unit={speech.t(`unit.${unit}`)}
                  error={[long, short][index]!.fault}
                  onType={(text) => setSides(sides.map((own, at) => (at === index ? text : own)))}
                />
              ))
            )}
          </View>
        </View>
      ) : null}
      {step === 'colour' ? (
        <View className="gap-3">
          <Chips
            compact
            label={words('hand.tap-what')}
            choices={[
              ...NEUTRAL_KINDS.map((kind) => ({ id: `neutral-${kind}`, label: words(`hand.neutral-${kind}`) })),
              ...regions.map((id) => ({ id: id as string, label: speech.plain('regions', id) })),
            ]}
            value={asking}
            onChange={(id) => setAsking(id as typeof asking)}
          />
          <Chips
            compact
            label={words('hand.radius')}
            choices={(Object.keys(RADII) as (keyof typeof RADII)[]).map((id) => ({
              id,
              label: words(`hand.radii.${id}`),
            }))}
            value={radius}
            onChange={setRadius}
          />
        </View>
      ) : null}
      <Say live size="small" weight="medium">
        {step === 'scale' && marks.length >= wanted
          ? words('hand.marked')
          : step === 'scale'
            ? words(`hand.do-${way}`, { n: Math.min(marks.length + 1, wanted), of: wanted })
            : step === 'body'
              ? words(body.length === 0 ? 'hand.do-head' : 'hand.do-body')
              : words(asking.startsWith('neutral') ? 'hand.do-neutral' : 'hand.do-colour', {
                  region: asking.startsWith('neutral') ? '' : speech.plain('regions', asking),
                })}
      </Say>
      <PictureBoard
        url={picture}
        world={{ left: 0, top: 0, width: pixels.width, height: pixels.height }}
        label={words('hand.picture')}
        handles={handles}
        onMove={move}
        onTap={tap}
        step={1}
      >
        {(place) => (
          <>
            {marks.length > 1 ? (
              <Path
                d={`${pathThrough(marks.map(place))}${marks.length === 4 ? 'Z' : ''}`}
                stroke={ink.region}
                strokeWidth={2}
                fill="none"
              />
            ) : null}
            {line.length > 1 ? (
              <Path d={pathThrough(line.map(place))} stroke={ink.line} strokeWidth={2} fill="none" />
            ) : null}
            {step === 'scale'
              ? null
              : marks.map((spot, index) => (
                  <Circle
                    key={index}
                    cx={place(spot)[0]}
                    cy={place(spot)[1]}
                    r={4}
                    stroke={ink.region}
                    strokeWidth={2}
                    fill="none"
                  />
                ))}
          </>
        )}
      </PictureBoard>
      {marks.length >= wanted && !scale ? (
        <Say size="small" tone="straw">
          {words('hand.no-scale')}
        </Say>
      ) : null}
      {neutral && neutral.light === null ? (
        <Say size="small" tone="straw">
          {words('hand.no-neutral')}
        </Say>
      ) : null}
      {length ? (
        <View aria-live="polite">
          <LengthWithRoom bodyMm={length.bodyMm} sdMm={length.sdMm} />
        </View>
      ) : null}
      {step === 'colour' && red ? (
        <Say size="small" tone="straw">
          {words('plate.red')}
        </Say>
      ) : (
        <ColourRow colours={colours} onSwap={() => undefined} />
      )}
      {step === 'colour' && !neutral && Object.keys(colours).length > 0 ? (
        <Say size="small" tone="straw">
          {words('hand.without-neutral')}
        </Say>
      ) : null}
      <View className="flex-row flex-wrap gap-3">
        {step === 'scale' && scale ? (
          <Button kind="main" tall label={words('hand.next-body')} onPress={() => setStep('body')} />
        ) : null}
        {length ? (
          <Button
            kind={step === 'scale' ? 'plain' : 'main'}
            tall
            label={words('hand.done', { mm: speech.length(length.bodyMm) })}
            onPress={() => void done()}
          />
        ) : null}
        {step === 'body' && length ? (
          <Button tall label={words('hand.next-colour')} onPress={() => setStep('colour')} />
        ) : null}
        {step === 'scale' && marks.length > 0 ? (
          <Button kind="quiet" tall label={words('hand.undo')} onPress={() => setMarks(marks.slice(0, -1))} />
        ) : null}
        {step === 'body' && body.length > 0 ? (
          <Button kind="quiet" tall label={words('hand.undo')} onPress={() => setBody(body.slice(0, -1))} />
        ) : null}
        <Button kind="quiet" tall label={words('hand.leave')} onPress={onLeave} />
      </View>
      {step === 'colour' && neutral?.light ? <NeutralLine light={neutral.light} /> : null}
    </View>
  );
}

/** What the neutral tap said of the light. */
function NeutralLine({ light }: { light: Neutral }) {
  const words = useWords();
  return (
    <Say size="small" tone="soft">
      {words(
        light[0] > 1.08 * light[2]
          ? 'hand.light-warm'
          : light[2] > 1.08 * light[0]
            ? 'hand.light-cold'
            : 'hand.light-even',
      )}
    </Say>
  );
}
