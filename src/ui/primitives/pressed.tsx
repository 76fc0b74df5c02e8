import { Link, type Href } from 'expo-router';
import type { ReactNode, Ref } from 'react';
import { Pressable, type StyleProp, type View, type ViewStyle } from 'react-native';
import { spaceTakes, useTabIndex } from './one-stop';

/** Where it leads, or what it does: a link can be opened beside and copied, a button can not. */
export type Leads = { to: Href; onPress?: undefined } | { to?: undefined; onPress: () => void };

export interface Said {
  /** Spoken name when the visible words are not enough. */
  spoken?: string;
  /** Whether what it opens is open. */
  open?: boolean;
  /** Whether it is on, where it stays on. */
  on?: boolean;
  /** Whether it is one of what is picked. */
  ticked?: boolean;
  disabled?: boolean;
  own?: Ref<View>;
  /** Its id in the group that is one stop of the Tab key. */
  stop?: string;
}

/** The one place where a link and a button of the same look are made. */
export function Pressed({
  to,
  onPress,
  spoken,
  open,
  on,
  ticked,
  disabled,
  own,
  stop,
  className,
  style,
  children,
}: Leads & Said & { className: string; style?: StyleProp<ViewStyle>; children: ReactNode }) {
  const tabIndex = useTabIndex(stop ?? '');
  if (to !== undefined)
    return (
      <Link href={to} aria-label={spoken} aria-current={on ? 'page' : undefined} className={`flex ${className}`}>
        {children}
      </Link>
    );
  return (
    <Pressable
      ref={own}
      role={ticked === undefined ? 'button' : 'checkbox'}
      aria-label={spoken}
      aria-expanded={open}
      aria-pressed={on}
      aria-checked={ticked}
      disabled={disabled}
      tabIndex={stop === undefined ? undefined : tabIndex}
      onPress={onPress}
      {...(ticked === undefined ? {} : spaceTakes(onPress))}
      className={className}
      style={style}
    >
      {children}
    </Pressable>
  );
}
