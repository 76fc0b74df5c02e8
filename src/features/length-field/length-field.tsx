import { useState } from 'react';
import { formatLength, parseLength } from '@/core/units';
import { useSpeech } from '@/features/shell';
import { Field } from '@/ui/primitives';

interface LengthFieldProps {
  label: string;
  mm: number | null;
  /** Called with a length that could be read and lies in the range, or null for an emptied field. */
  onChange: (mm: number | null) => void;
  rangeMm?: readonly [number, number];
  hint?: string;
  hideLabel?: boolean;
}

/** One length in the reader's unit; what cannot be read stays as typed, with its fault beside it, and changes nothing. */
export function LengthField({ label, mm, onChange, rangeMm, hint, hideLabel }: LengthFieldProps) {
  const speech = useSpeech();
  const inches = speech.unit !== 'mm';
  const [wrong, setWrong] = useState<string | null>(null);
  const read = (text: string) => {
    const parsed = parseLength(text, inches ? 'in' : 'mm');
    if (!parsed.ok || !rangeMm || (parsed.mm >= rangeMm[0] && parsed.mm <= rangeMm[1])) return parsed;
    return {
      ok: false as const,
      fault: { code: 'length-range', params: { got: text, low: { mm: rangeMm[0] }, high: { mm: rangeMm[1] } } },
    };
  };
  const type = (text: string) => {
    if (text.trim() === '') {
      setWrong(null);
      return onChange(null);
    }
    const parsed = read(text);
    setWrong(parsed.ok ? null : text);
    if (parsed.ok) onChange(parsed.mm);
  };
  const again = wrong === null ? null : read(wrong);
  const shown =
    mm === null ? '' : speech.unit === 'mm' ? String(Number(mm.toFixed(2))) : formatLength(mm, speech.unit).digits;
  return (
    <Field
      numeric
      label={label}
      hideLabel={hideLabel}
      hint={hint}
      value={wrong ?? shown}
      unit={speech.t(inches ? 'unit.in' : 'unit.mm')}
      error={again && !again.ok ? speech.say(again.fault, 'fault') : null}
      onType={type}
    />
  );
}
