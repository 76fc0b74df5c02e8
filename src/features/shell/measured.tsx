import { useState } from 'react';
import { Z95 } from '@/core/constants';
import { View } from 'react-native';
import { isAbout, type Quantity } from '@/core/quantity';
import { formatLength } from '@/core/units';
import { Digits, Explained, Say } from '@/ui/primitives';
import { useSpeech, useWords } from './speech-context';

type Size = 'small' | 'body' | 'lead' | 'title' | 'display' | 'bench';

interface MeasuredProps {
  quantity: Quantity;
  /** What it is, for a screen reader and for "where does it come from". */
  what: string;
  /** A length in the reader's unit, or a bare number with its decimals. */
  as?: 'length' | 'fine-length' | { decimals: number };
  size?: Size;
  tone?: 'ink' | 'soft' | 'dawn' | 'river';
  strong?: boolean;
  unit?: boolean;
  showSd?: boolean;
  /** In a table whose heading says the unit and "about". */
  bare?: boolean;
}

/** A measured or modelled number, used everywhere one is shown: "about" where it is not a measurement, and where it comes from when asked. */
export function Measured({
  quantity,
  what,
  as = 'length',
  size = 'body',
  tone = 'ink',
  strong = false,
  unit = true,
  showSd = false,
  bare = false,
}: MeasuredProps) {
  const speech = useSpeech();
  const words = useWords();
  const [open, setOpen] = useState(false);
  const fine = as === 'fine-length';
  const text =
    typeof as === 'object'
      ? { digits: speech.number(quantity.value, as.decimals), unit: null }
      : formatLength(quantity.value, speech.unit, fine);
  const spread = quantity.sd === null ? null : Z95 * quantity.sd;
  const half =
    spread === null ? null : typeof as === 'object' ? speech.number(spread, as.decimals) : speech.length(spread, true);
  const digits = spread === null ? null : typeof as === 'object' ? half : speech.spread(spread, true);
  const about = isAbout(quantity.source);
  const source = speech.plain('sources', quantity.source);
  const line = half === null ? words('source.plain', { source }) : words('source.line', { source, half });
  const figure = text.unit ? `${text.digits} ${speech.t(`unit.${text.unit}`)}` : text.digits;
  const spoken = speech.pair(what, about ? words('natural.about', { mean: figure }) : figure);
  const minor = size === 'bench' || size === 'display' || size === 'title' ? 'lead' : 'small';
  return (
    <View className="items-start">
      <Explained
        spoken={speech.sentences([spoken, words('source.why', { what })])}
        open={open}
        onToggle={() => setOpen(!open)}
        baseline={!bare}
      >
        {about && !bare ? (
          <Say size={minor} tone="soft">
            {speech.t('about')}
          </Say>
        ) : null}
        <Digits size={size} tone={tone} strong={strong}>
          {text.digits}
        </Digits>
        {showSd && digits !== null ? <Digits size={size} tone="soft">{`±${digits}`}</Digits> : null}
        {text.unit && unit && !bare ? (
          <Say size={minor} tone="soft">
            {speech.t(`unit.${text.unit}`)}
          </Say>
        ) : null}
      </Explained>
      {open ? (
        <Say size="small" tone="soft" live>
          {line}
        </Say>
      ) : null}
    </View>
  );
}
