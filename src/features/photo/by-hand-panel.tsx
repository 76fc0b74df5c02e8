import { View } from 'react-native';
import { Circle, Path } from 'react-native-svg';
import type { ImagePoint } from '@/core/photo/card';
import type { Neutral } from '@/core/photo/trace';
import type { Overlay } from '@/records';
import { useRedLamp, useSpeech, useWords } from '@/features/shell';
import { Button, Choose, Say } from '@/ui/primitives';
import { ColourAsked, ScaleAsked, useHandSaid } from './by-hand-asked';
import { ColourRow } from './colour-row';
import { LengthWithRoom } from './insect-line';
import { PictureBoard, type Handle } from './picture-board';
import { pathThrough, usePictureInk } from './picture-ink';
import { usePixels, type Pixels } from './pixels';
import { foundByHand, HAND_STEPS, useByHand } from './use-by-hand';
import type { Found } from './use-measuring';

interface ByHandProps {
  picture: string;
  view: Overlay['view'];
  onFound: (found: Found) => void;
  onLeave: () => void;
}

type Hand = ReturnType<typeof useByHand>;

/** Measuring without the card: taps on something known, along the body, and on its colours. */
export function ByHandPanel({ picture, view, onFound, onLeave }: ByHandProps) {
  const words = useWords();
  const pixels = usePixels(picture);
  const hand = useByHand(view, pixels);
  const said = useHandSaid(hand);
  if (!pixels)
    return (
      <View className="h-40 items-center justify-center rounded-control bg-line">
        <Say tone="soft">{words('hand.reading')}</Say>
      </View>
    );
  const { step, setStep, length, scaling, colouring, line } = hand;
  return (
    <View className="gap-3">
      <Choose
        label={words('hand.step')}
        choices={HAND_STEPS.map((id) => ({ id, label: words(`hand.steps.${id}`) }))}
        value={step}
        onChange={setStep}
      />
      {step === 'scale' ? <ScaleAsked scaling={scaling} /> : null}
      {step === 'colour' ? <ColourAsked colouring={colouring} /> : null}
      <Say live size="small" weight="medium">
        {said}
      </Say>
      <TappedPicture picture={picture} pixels={pixels} hand={hand} />
      <HandWarnings hand={hand} />
      <HandButtons
        hand={hand}
        onDone={async () => {
          if (length) onFound(await foundByHand(pixels, view, line, length, colouring.colours));
        }}
        onLeave={onLeave}
      />
      {step === 'colour' && colouring.neutral?.light ? <NeutralLine light={colouring.neutral.light} /> : null}
    </View>
  );
}

/** The picture with what was tapped on it; the taps of the step can be moved. */
function TappedPicture({ picture, pixels, hand }: { picture: string; pixels: Pixels; hand: Hand }) {
  const words = useWords();
  const ink = usePictureInk();
  const { step, body, setBody, line, scaling } = hand;
  const { marks, setMarks } = scaling;
  const named = (spots: readonly ImagePoint[], label: string): Handle[] =>
    spots.map((at, index) => ({ id: String(index), label: words(label, { n: index + 1 }), at }));
  const handles = step === 'scale' ? named(marks, 'hand.mark') : step === 'body' ? named(body, 'hand.body-mark') : [];
  const move = (id: string, to: ImagePoint) => {
    const put = (spots: readonly ImagePoint[]) => spots.map((spot, at) => (at === Number(id) ? to : spot));
    if (step === 'scale') setMarks(put(marks));
    else setBody(put(body));
  };
  return (
    <PictureBoard
      url={picture}
      world={{ left: 0, top: 0, width: pixels.width, height: pixels.height }}
      label={words('hand.picture')}
      handles={handles}
      onMove={move}
      onTap={hand.tap}
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
            : marks
                .map(place)
                .map(([x, y], index) => (
                  <Circle key={index} cx={x} cy={y} r={4} stroke={ink.region} strokeWidth={2} fill="none" />
                ))}
        </>
      )}
    </PictureBoard>
  );
}

/** What the taps gave so far, and what is wrong with them. */
function HandWarnings({ hand }: { hand: Hand }) {
  const words = useWords();
  const red = useRedLamp();
  const { step, length, scaling, colouring } = hand;
  const { neutral, colours } = colouring;
  const warning = (key: string) => (
    <Say size="small" tone="straw">
      {words(key)}
    </Say>
  );
  return (
    <>
      {scaling.marks.length >= scaling.wanted && !scaling.scale ? warning('hand.no-scale') : null}
      {neutral && neutral.light === null ? warning('hand.no-neutral') : null}
      {length ? (
        <View aria-live="polite">
          <LengthWithRoom bodyMm={length.bodyMm} sdMm={length.sdMm} />
        </View>
      ) : null}
      {step === 'colour' && red ? warning('plate.red') : <ColourRow colours={colours} onSwap={() => undefined} />}
      {step === 'colour' && !neutral && Object.keys(colours).length > 0 ? warning('hand.without-neutral') : null}
    </>
  );
}

function HandButtons({ hand, onDone, onLeave }: { hand: Hand; onDone: () => Promise<void>; onLeave: () => void }) {
  const words = useWords();
  const speech = useSpeech();
  const { step, setStep, length, body, setBody, scaling } = hand;
  const { marks, setMarks } = scaling;
  const undo =
    step === 'scale' && marks.length > 0
      ? () => setMarks(marks.slice(0, -1))
      : step === 'body' && body.length > 0
        ? () => setBody(body.slice(0, -1))
        : null;
  return (
    <View className="flex-row flex-wrap gap-3">
      {step === 'scale' && scaling.scale ? (
        <Button kind="main" tall label={words('hand.next-body')} onPress={() => setStep('body')} />
      ) : null}
      {length ? (
        <Button
          kind={step === 'scale' ? 'plain' : 'main'}
          tall
          label={words('hand.done', { mm: speech.length(length.bodyMm) })}
          onPress={() => void onDone()}
        />
      ) : null}
      {step === 'body' && length ? (
        <Button tall label={words('hand.next-colour')} onPress={() => setStep('colour')} />
      ) : null}
      {undo ? <Button kind="quiet" tall label={words('hand.undo')} onPress={undo} /> : null}
      <Button kind="quiet" tall label={words('hand.leave')} onPress={onLeave} />
    </View>
  );
}

/** Red against blue above which light is called warm, and the other way about cold. */
const CAST = 1.08;

/** What the neutral tap said of the light. */
function NeutralLine({ light }: { light: Neutral }) {
  const words = useWords();
  const [red, , blue] = light;
  return (
    <Say size="small" tone="soft">
      {words(red > CAST * blue ? 'hand.light-warm' : blue > CAST * red ? 'hand.light-cold' : 'hand.light-even')}
    </Say>
  );
}
