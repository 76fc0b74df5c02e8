import type { ReactNode } from 'react';
import { Pressed, type Leads, type Said } from './pressed';

interface RowProps {
  /** Reaches to the sides of the page, where its contents keep the page's margin. */
  wide?: boolean;
  /** Parted from the next by a line; without, the screen parts it. */
  line?: boolean;
  /** Two lines of words and a drawing. */
  tall?: boolean;
  children: ReactNode;
}

/** A line of a list that is opened, gone to or picked as a whole. */
export function Row({ wide = true, line = true, tall = false, children, ...does }: RowProps & Leads & Said) {
  return (
    <Pressed
      {...does}
      className={`${tall ? 'min-h-16 gap-4 py-3' : 'min-h-touch gap-3 py-2'} min-w-0 grow flex-row items-center ${wide ? 'px-5' : ''} ${line ? 'border-b border-line' : ''} ${does.ticked ? 'bg-plane' : ''}`}
    >
      {children}
    </Pressed>
  );
}
