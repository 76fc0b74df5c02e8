import { createContext, useContext, type ReactNode } from 'react';
import { View } from 'react-native';

interface KeyPress {
  key: string;
  currentTarget: unknown;
  preventDefault(): void;
}

/** Along a row, and from row to row. */
const STEP: Readonly<Record<string, readonly [along: number, down: number]>> = {
  ArrowRight: [1, 0],
  ArrowDown: [0, 1],
  ArrowLeft: [-1, 0],
  ArrowUp: [0, -1],
};
const ITEMS = { radiogroup: '[role=radio]', tablist: '[role=tab]', toolbar: '[role=button]' } as const;

function onKeyDown(event: KeyPress, role: keyof typeof ITEMS, across: number): void {
  const group = event.currentTarget as HTMLElement;
  const items = [...group.querySelectorAll<HTMLElement>(ITEMS[role])];
  const at = items.indexOf(document.activeElement as HTMLElement);
  if (at < 0) return;
  // A button takes the space bar by itself.
  if (event.key === ' ' && role === 'toolbar') return;
  if (event.key === ' ') {
    event.preventDefault();
    items[at]!.click();
    return;
  }
  const to =
    event.key === 'Home'
      ? 0
      : event.key === 'End'
        ? items.length - 1
        : event.key in STEP
          ? at + STEP[event.key]![0] + STEP[event.key]![1] * across
          : null;
  if (to === null) return;
  event.preventDefault();
  items[(to + items.length) % items.length]!.focus();
}

const Reached = createContext<string | null>(null);

interface OneStopProps {
  label: string;
  /** One of several is chosen, one is shown, or each does something of its own. */
  role?: keyof typeof ITEMS;
  /** The item that Tab reaches: the chosen one, else the first. */
  reached: string | undefined;
  /** How many stand beside each other, where they stand in rows. */
  across?: number;
  className?: string;
  children: ReactNode;
}

/**
 * A group that is one stop of the Tab key: arrows, Home and End go through it, Space and Enter take. Arrows do not take by themselves, because what is
 * taken here is worked out and kept, and each is a step to undo.
 */
export function OneStop({ label, role = 'radiogroup', reached, across = 1, className, children }: OneStopProps) {
  const keys = { onKeyDown: (event: KeyPress) => onKeyDown(event, role, across) } as object;
  return (
    <View role={role} aria-label={label} className={className} {...keys}>
      <Reached.Provider value={reached ?? null}>{children}</Reached.Provider>
    </View>
  );
}

/** Whether Tab reaches an item of the group it stands in. */
export function useTabIndex(id: string): 0 | -1 {
  return useContext(Reached) === id ? 0 : -1;
}

/** Keys of what is ticked: the space bar, which a Pressable takes for buttons only. */
export function spaceTakes(onTake: (() => void) | undefined): object {
  return {
    onKeyDown: (event: KeyPress) => {
      if (event.key !== ' ' || !onTake) return;
      event.preventDefault();
      onTake();
    },
  };
}
