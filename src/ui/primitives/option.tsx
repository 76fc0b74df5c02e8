import type { ReactNode, Ref } from 'react';
import { Pressable, type StyleProp, type View, type ViewStyle } from 'react-native';
import { useTabIndex } from './one-stop';

interface OptionProps {
  id: string;
  on: boolean;
  onTake: () => void;
  /** Spoken name when the visible words are not enough. */
  spoken?: string;
  tab?: boolean;
  className?: string;
  style?: StyleProp<ViewStyle>;
  own?: Ref<View>;
  children: ReactNode;
}

/** One of a group, taken by a tap, Enter or Space; a tab says that it is shown, a radio that it is chosen. */
export function Option({ id, on, onTake, spoken, tab = false, className, style, own, children }: OptionProps) {
  const said = tab ? { role: 'tab' as const, 'aria-selected': on } : { role: 'radio' as const, 'aria-checked': on };
  return (
    <Pressable
      ref={own}
      {...said}
      aria-label={spoken}
      tabIndex={useTabIndex(id)}
      onPress={onTake}
      className={className}
      style={style}
    >
      {children}
    </Pressable>
  );
}
