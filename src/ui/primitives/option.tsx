import type { ReactNode } from 'react';
import { Pressable } from 'react-native';
import { CHOSEN } from './chosen';
import { useTabIndex } from './one-stop';

/**
 * How one of a group looks: a chip as wide as its words, a tile that fills its place, one that tells more than its name, a part of a page that is underlined while it is shown, a
 * drawing underlined while it is chosen, a swatch in a frame.
 */
export type OptionLook = 'chip' | 'tile' | 'told' | 'tab' | 'picture' | 'swatch';

const LOOK: Readonly<Record<OptionLook, { always: string; on: string; off: string }>> = {
  chip: { always: 'justify-center rounded-control border px-3', on: CHOSEN, off: 'border-edge bg-plane' },
  tile: {
    always: 'min-h-touch grow items-center justify-center rounded-control border px-1',
    on: CHOSEN,
    off: 'border-edge bg-plane',
  },
  // Quiet words are hard to read on the ground of what is chosen.
  told: {
    always: 'min-h-touch grow justify-center gap-1 rounded-control border px-3 py-2',
    on: 'border-river bg-plane',
    off: 'border-line',
  },
  tab: { always: 'justify-center border-b-4 px-4', on: 'border-river', off: 'border-transparent' },
  picture: {
    always: 'min-w-[76px] items-center gap-1 border-b-4 px-0.5 pb-1 pt-2',
    on: 'border-river',
    off: 'border-transparent',
  },
  swatch: { always: 'flex-1 justify-center rounded-control border-2 p-1', on: 'border-river', off: 'border-line' },
};

interface OptionProps {
  id: string;
  on: boolean;
  onTake: () => void;
  /** Spoken name when the visible words are not enough. */
  spoken?: string;
  look: OptionLook;
  /** For a wet hand: 56 px. */
  tall?: boolean;
  children: ReactNode;
}

/** One of a group, taken by a tap, Enter or Space; a tab says that it is shown, a radio that it is chosen. */
export function Option({ id, on, onTake, spoken, look, tall = false, children }: OptionProps) {
  const said =
    look === 'tab' ? { role: 'tab' as const, 'aria-selected': on } : { role: 'radio' as const, 'aria-checked': on };
  const { always, on: chosen, off } = LOOK[look];
  return (
    <Pressable
      {...said}
      aria-label={spoken}
      tabIndex={useTabIndex(id)}
      onPress={onTake}
      className={`${tall ? 'min-h-touch' : 'min-h-target'} ${always} ${on ? chosen : off}`}
    >
      {children}
    </Pressable>
  );
}
