import type { ReactNode } from 'react';
import type { StyleProp, ViewStyle } from 'react-native';
import { CHOSEN } from './chosen';
import { Pressed, type Leads, type Said } from './pressed';

interface TileProps {
  /** Its contents stand beside each other; else below each other. */
  across?: boolean;
  /** The likeliest of several. */
  first?: boolean;
  /** Nothing is in it yet. */
  bare?: boolean;
  /** Its size, where it is one of a plan to scale; else it fills its place. */
  style?: StyleProp<ViewStyle>;
  children: ReactNode;
}

/** Something with an edge that is opened, taken or turned on: a picture with its words, a compartment, an answer. */
export function Tile({
  across = false,
  first = false,
  bare = false,
  style,
  children,
  ...does
}: TileProps & Leads & Said) {
  const ground = does.on ? CHOSEN : first ? 'border-river bg-plane' : bare ? 'border-line' : 'border-edge bg-plane';
  return (
    <Pressed
      {...does}
      style={style}
      className={`min-h-target overflow-hidden rounded-control border ${ground} ${across ? 'flex-row items-center gap-2 px-2 py-1' : 'flex-col'} ${style ? '' : 'grow'}`}
    >
      {children}
    </Pressed>
  );
}
