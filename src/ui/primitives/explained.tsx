import type { ReactNode } from 'react';
import { Pressed } from './pressed';

interface ExplainedProps {
  spoken: string;
  open: boolean;
  onToggle: () => void;
  /** A word is underlined with dots; a figure is not. */
  word?: boolean;
  /** Stands on the line of the words beside it. */
  baseline?: boolean;
  children: ReactNode;
}

/** A word or a figure within other words that says more of itself when it is tapped. */
export function Explained({ spoken, open, onToggle, word = false, baseline = false, children }: ExplainedProps) {
  return (
    <Pressed
      spoken={spoken}
      open={open}
      onPress={onToggle}
      className={`min-h-7 ${word ? 'justify-center border-b border-dotted border-edge' : `flex-row gap-1 ${baseline ? 'items-baseline' : 'items-center'}`}`}
    >
      {children}
    </Pressed>
  );
}
