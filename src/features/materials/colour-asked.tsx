import type { ReactNode } from 'react';
import { useRedLamp, useWords } from '@/features/shell';
import { ALL_HUES, shadeSaid, ShadeWords, shadeWord } from '@/features/colour-words';
import { Field, Fold, Say } from '@/ui/primitives';

/** A colour that is asked for, by its word or exactly: a line until it is opened; under the red lamp none. */
export function ColourAsked({
  title,
  none,
  text,
  onType,
  fault,
  children,
}: {
  title: string;
  /** What its line says while no colour is given. */
  none: string;
  text: string;
  onType: (text: string) => void;
  /** What is wrong with the text; null for nothing. */
  fault: string | null;
  /** Further ways to say it. */
  children?: ReactNode;
}) {
  const words = useWords();
  const red = useRedLamp();
  if (red)
    return (
      <Say size="small" tone="straw">
        {words('plate.red')}
      </Say>
    );
  return (
    <Fold title={title} line={text === '' ? none : text}>
      <ShadeWords
        label={words('stash.near-word')}
        none={words('words.none')}
        hues={ALL_HUES}
        value={shadeSaid(text, words)}
        onChange={(said) => onType(said === null ? '' : shadeWord(said, words))}
      />
      <Field
        label={words('stash.near-exact')}
        hint={words('natural.colour-hint')}
        value={text}
        onType={onType}
        error={fault}
      />
      {children}
    </Fold>
  );
}
