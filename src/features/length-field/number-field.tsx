import { useState } from 'react';
import { useWords } from '@/features/shell';
import { Field } from '@/ui/primitives';

interface NumberFieldProps {
  label: string;
  value: number | null;
  onChange: (value: number | null) => void;
  range: readonly [number, number];
  whole?: boolean;
}

/** A plain number; what cannot be read, or lies outside, stays as typed with its fault beside it and changes nothing. */
export function NumberField({ label, value, onChange, range: [low, high], whole = false }: NumberFieldProps) {
  const words = useWords();
  const [wrong, setWrong] = useState<string | null>(null);
  const type = (text: string) => {
    if (text.trim() === '') {
      setWrong(null);
      return onChange(null);
    }
    const number = Number(text.trim().replace(',', '.'));
    const fine = Number.isFinite(number) && number >= low && number <= high && (!whole || Number.isInteger(number));
    setWrong(fine ? null : text);
    if (fine) onChange(number);
  };
  return (
    <Field
      numeric
      label={label}
      value={wrong ?? (value === null ? '' : String(Number(value.toFixed(3))))}
      error={wrong === null ? null : words(whole ? 'edit-dressing.whole' : 'edit-dressing.number', { low, high })}
      onType={type}
    />
  );
}
