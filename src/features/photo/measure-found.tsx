import { View } from 'react-native';
import { lengthNow, type OverlayInsect } from '@/records';
import { useRedLamp, useSpeech, useWords } from '@/features/shell';
import { Button, Say } from '@/ui/primitives';
import { AdjustPanel } from './adjust-panel';
import { ColourRow, swapped } from './colour-row';
import { askedOf, InsectLine } from './insect-line';
import { MeasuredCrop } from './measured-crop';
import type { Colours } from './overlay';
import type { Found } from './use-measuring';

/** What a hand has settled is not said any more: which part is the body, and a veiled region that was put on a bare place. */
const settled = (code: string, { hand, veiled = [] }: OverlayInsect, colours: Colours) =>
  (code === 'photo-contested' && hand !== null) ||
  (code === 'photo-veiled' && veiled.every((region) => colours[region]));
/** Said beside the insect they are about. */
const BESIDE: ReadonlySet<string> = new Set(['photo-end-unsure', 'photo-line-unsure']);

interface FoundProps {
  found: Found;
  /** The insect whose line is being moved. */
  moving: number | null;
  guessMm: number | null;
  onPut: (found: Found, moving: number | null) => void;
  onTake: (found: Found) => void;
  onLeave: () => void;
}

/** What was found on a photograph: moved where it is wrong, and taken by a tap. */
export function MeasureFound({ found, moving, guessMm, onPut, onTake, onLeave }: FoundProps) {
  const words = useWords();
  const speech = useSpeech();
  const red = useRedLamp();
  const { overlay } = found;
  const moved = moving === null ? undefined : overlay.insects.find((item) => item.n === moving);
  if (moved)
    return (
      <AdjustPanel
        url={found.url}
        overlay={overlay}
        insect={moved}
        onDone={() => onPut(found, null)}
        onChange={(hand, colours) => onPut(movedTo(found, moved, hand, colours), moving)}
      />
    );
  const [leading] = overlay.insects as [OverlayInsect];
  const first = lengthNow(leading);
  const warnings = found.warnings.filter(({ code }) => !BESIDE.has(code) && !settled(code, leading, found.colours));
  return (
    <View aria-live="polite" className="gap-3">
      <MeasuredCrop url={found.url} overlay={overlay} />
      {overlay.insects.map((item) => (
        <InsectLine key={item.n} insect={item} many={overlay.insects.length > 1} onMove={() => onPut(found, item.n)} />
      ))}
      {guessMm === null ? null : (
        <Say size="small">
          {words(guessMm >= first.bodyMm ? 'photo.guessed-long' : 'photo.guessed-short', {
            mm: speech.length(guessMm),
            percent: Math.round(100 * Math.abs(guessMm / first.bodyMm - 1)),
          })}
        </Say>
      )}
      {warnings.map((warning) => (
        <Say key={warning.code} size="small" tone="straw">
          {speech.say(warning, 'reason')}
        </Say>
      ))}
      {red ? (
        <Say size="small" tone="straw">
          {words('plate.red')}
        </Say>
      ) : (
        <ColourRow
          colours={found.colours}
          onSwap={(region) => onPut({ ...found, colours: swapped(found.colours, region) }, moving)}
        />
      )}
      <View className="flex-row flex-wrap gap-3">
        <Button
          kind={overlay.insects.some((item) => askedOf(item).length > 0) ? undefined : 'main'}
          tall
          label={words('photo.take-length', { count: overlay.insects.length, mm: speech.length(first.bodyMm) })}
          onPress={() => onTake(found)}
        />
        <Button tall label={words('photo.not-this')} onPress={onLeave} />
      </View>
    </View>
  );
}

/** What was found with one insect moved by hand; colours are the first insect's, and go back to what was found when it is put back. */
function movedTo(found: Found, insect: OverlayInsect, hand: OverlayInsect['hand'], colours: Colours | null): Found {
  const { overlay, asFound } = found;
  const insects = overlay.insects.map((item) => (item === insect ? { ...item, hand } : item));
  const first = insect.n === overlay.insects[0]!.n;
  return {
    ...found,
    overlay: { ...overlay, insects },
    colours: !first ? found.colours : colours ? { ...found.colours, ...colours } : (asFound ?? found.colours),
  };
}
