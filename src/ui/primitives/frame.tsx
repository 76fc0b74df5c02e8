import { forwardRef, type ComponentProps, type ReactNode } from 'react';
import { Pressable, type View } from 'react-native';
import { Pressed, type Leads, type Said } from './pressed';
import { Say } from './text';

interface BarButtonProps {
  /** The one action of the view. */
  main?: boolean;
  /** How much of the bar it takes: a third, what is left, or what its words need. */
  takes?: 'third' | 'rest' | 'words';
  children: ReactNode;
}

/** A part of a bar that reaches from side to side at the foot of a page: 64 px, for the thumb. */
export function BarButton({ main = false, takes = 'words', children, ...does }: BarButtonProps & Leads & Said) {
  const width = { third: 'w-1/3', rest: 'min-w-0 flex-1', words: 'min-w-28 border-x border-line' }[takes];
  return (
    <Pressed
      {...does}
      className={`min-h-16 flex-row items-center justify-center gap-1 px-3 ${width} ${main ? 'bg-river' : 'bg-plane'}`}
    >
      {children}
    </Pressed>
  );
}

/** The one thing to do on a page, as large as a wet hand wants it. */
export function Door({ onPress, children }: { onPress: () => void; children: ReactNode }) {
  return (
    <Pressed
      onPress={onPress}
      className="min-h-40 flex-row items-center justify-between overflow-hidden rounded-control bg-river px-5 py-6"
    >
      {children}
    </Pressed>
  );
}

/** A tap for a wet hand in a glove, as broad as the page: 76 px. */
export function TapTile({ label, onPress, children }: { label: string; onPress: () => void; children: ReactNode }) {
  return (
    <Pressable
      role="button"
      aria-label={label}
      onPress={onPress}
      className="min-h-[76px] flex-row items-center gap-3 rounded-control border border-edge bg-plane px-4 py-2"
    >
      {children}
    </Pressable>
  );
}

/** A drawing that does by a tap what a button beside it does by name: for the hand alone, neither spoken nor a stop of the Tab key. */
export function TapArea({
  onTap,
  children,
  ...box
}: {
  onTap: () => void;
  children: ReactNode;
} & Pick<ComponentProps<typeof Pressable>, 'onLayout' | 'ref'>) {
  return (
    <Pressable aria-hidden tabIndex={-1} onPress={onTap} {...box}>
      {children}
    </Pressable>
  );
}

interface PlaceProps extends ComponentProps<typeof Pressable> {
  label: string;
  wide: boolean;
  isFocused?: boolean;
  hidden?: boolean;
}

/** The bar's triggers lay their children out in a row of their own; these win over it. At large text the bar takes a second row rather than let names run into each other. */
const BAR = {
  flexDirection: 'column',
  justifyContent: 'center',
  alignItems: 'center',
  flexGrow: 1,
  flexBasis: 'auto',
  paddingHorizontal: 4,
  minHeight: 64,
} as const;
const RAIL = {
  flexDirection: 'column',
  justifyContent: 'center',
  alignItems: 'flex-start',
  minHeight: 48,
  paddingHorizontal: 12,
} as const;
const HIDDEN = { display: 'none' } as const;

/** One of the places in the bar of a phone or the rail of a wide screen. */
export const Place = forwardRef<View, PlaceProps>(function Place(
  { label, wide, isFocused, style, hidden = false, ...rest },
  ref,
) {
  return (
    <Pressable
      ref={ref}
      {...rest}
      aria-current={isFocused ? 'page' : undefined}
      style={[style as object, wide ? RAIL : BAR, hidden ? HIDDEN : null]}
      className={`${wide ? 'border-l-4' : 'border-t-4'} ${isFocused ? 'border-river' : 'border-transparent'}`}
    >
      <Say size="small" weight={isFocused ? 'strong' : 'medium'} tone={isFocused ? 'river' : 'soft'}>
        {label}
      </Say>
    </Pressable>
  );
});

/** The first stop of the Tab key, seen while it has the focus: past header and places to the page itself. */
export function SkipLink({ to, label }: { to: string; label: string }) {
  return (
    <Pressable
      role="link"
      {...({ href: `#${to}` } as object)}
      onPress={(event) => {
        event.preventDefault();
        document.getElementById(to)?.focus();
      }}
      className="skip min-h-target justify-center rounded-control border border-river bg-plane px-4"
    >
      <Say weight="medium" tone="river">
        {label}
      </Say>
    </Pressable>
  );
}
