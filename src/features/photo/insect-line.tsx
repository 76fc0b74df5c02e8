import { View } from 'react-native';
import { reason } from '@/core/code';
import { Z95 } from '@/core/constants';
import { unsureOf, type LengthError } from '@/core/photo';
import { useSpeech, useWords } from '@/features/shell';
import { Button, Digits, Fold, Say } from '@/ui/primitives';
import { lengthNow, type OverlayInsect } from '@/records';

/** A length in large digits with its half-width at 95 %. */
export function LengthWithRoom({ bodyMm, sdMm }: { bodyMm: number; sdMm: number }) {
  const speech = useSpeech();
  return (
    <View className="flex-row items-baseline gap-1">
      <Digits size="title" strong>
        {speech.digits(bodyMm, true)}
      </Digits>
      <Digits tone="soft">{`±${speech.spread(Z95 * sdMm, true)}`}</Digits>
      <Say size="small" tone="soft">
        {speech.t(speech.unit === 'mm' ? 'unit.mm' : 'unit.in')}
      </Say>
    </View>
  );
}

/** What of an insect is still asked for: a hand that moved it has said so. */
export const askedOf = ({ bodyMm, error, hand }: OverlayInsect): ReturnType<typeof unsureOf> =>
  error !== undefined && hand === null ? unsureOf(bodyMm, error) : [];

/** One measured insect: its length with ±, what was found before a hand moved it, widths, and the way to move it. */
export function InsectLine({ insect, many, onMove }: { insect: OverlayInsect; many: boolean; onMove: () => void }) {
  const words = useWords();
  const speech = useSpeech();
  const { bodyMm, sdMm } = lengthNow(insect);
  const [unsure] = askedOf(insect);
  const widest = insect.widthsMm.length > 0 ? Math.max(...insect.widthsMm) : null;
  return (
    <View>
      <View className="flex-row items-center justify-between gap-3">
        <View className="min-w-0 flex-1">
          <View className="flex-row flex-wrap items-baseline gap-x-3">
            {many ? (
              <Say size="small" tone="soft">
                {String(insect.n)}
              </Say>
            ) : null}
            <LengthWithRoom bodyMm={bodyMm} sdMm={sdMm} />
          </View>
          <Say size="small" tone="soft">
            {speech.beside([
              insect.what === 'case' ? words('photo.a-case') : null,
              widest === null ? null : words('photo.wide', { width: speech.length(widest) }),
              insect.overallMm === null || insect.what === 'case'
                ? null
                : words('photo.overall', { overall: speech.length(insect.overallMm) }),
              insect.hand ? words('adjust.found', { mm: speech.length(insect.bodyMm, true) }) : null,
            ])}
          </Say>
        </View>
        {unsure ? null : (
          <Button label={words('adjust.open')} spoken={words('adjust.open-n', { n: insect.n })} onPress={onMove} />
        )}
      </View>
      {unsure ? (
        <View className="items-start gap-2 pt-2">
          <Say size="small" tone="straw">
            {speech.say(reason(unsure), 'reason')}
          </Say>
          <Button
            kind="main"
            label={words('adjust.end')}
            spoken={words('adjust.end-n', { n: insect.n })}
            onPress={onMove}
          />
        </View>
      ) : null}
      {insect.error && !insect.hand ? <MadeOf error={insect.error} n={insect.n} many={many} /> : null}
    </View>
  );
}

/** A part that is less than this share of the whole is not worth a line. */
const LEAST_PART = 0.05;

/** What a ± is made of, on demand: the largest part first, each at 95 %. */
function MadeOf({ error, n, many }: { error: LengthError; n: number; many: boolean }) {
  const words = useWords();
  const speech = useSpeech();
  const all = Math.hypot(...Object.values(error));
  const parts = Object.entries(error)
    .filter(([, sd]) => sd >= LEAST_PART * all)
    .sort((a, b) => b[1] - a[1]);
  return (
    <Fold title={words(many ? 'photo.made-of-n' : 'photo.made-of', { n })}>
      <View>
        {parts.map(([part, sd]) => (
          <Say key={part} size="small" tone="soft">
            {words('photo.made-part', { part: words(`photo.part.${part}`), mm: speech.length(Z95 * sd, true) })}
          </Say>
        ))}
      </View>
    </Fold>
  );
}
