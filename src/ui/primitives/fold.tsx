import ChevronDown from 'lucide-react-native/icons/chevron-down';
import ChevronUp from 'lucide-react-native/icons/chevron-up';
import { useState, type ReactNode, type Ref } from 'react';
import { Pressable, View } from 'react-native';
import { token } from '../tokens';
import { Say } from './text';

interface FoldProps {
  title: string;
  /** What is in it, read while it is shut; empty for nothing yet. */
  line?: string;
  /** Drawn in place of title and line, which are then spoken alone. */
  face?: ReactNode;
  /** Reaches to the sides of the page. */
  wide?: boolean;
  /** Held from outside, where opening one shuts another. */
  open?: boolean;
  onToggle?: (open: boolean) => void;
  /** The line itself, to put the focus there. */
  own?: Ref<View>;
  children: ReactNode;
}

/** Something that is a line until it is opened. */
export function Fold({ title, line = '', face, wide = false, open: held, onToggle, own: head, children }: FoldProps) {
  const [own, setOwn] = useState(false);
  const open = held ?? own;
  const Chevron = open ? ChevronUp : ChevronDown;
  return (
    <View className={`border-b border-line ${open && wide ? 'bg-plane' : ''}`}>
      <Pressable
        ref={head}
        role="button"
        aria-expanded={open}
        aria-label={line === '' ? title : `${title}: ${line}`}
        onPress={() => (onToggle ?? setOwn)(!open)}
        className={`min-h-touch flex-row items-center gap-3 py-2 ${wide ? 'px-5' : ''}`}
      >
        {face ?? (
          <View className="min-w-0 flex-1">
            <Say weight="medium">{title}</Say>
            {line === '' ? null : (
              <Say size="small" tone="soft">
                {line}
              </Say>
            )}
          </View>
        )}
        <Chevron size={20} color={token('soft')} aria-hidden />
      </Pressable>
      {open ? <View className={`gap-4 pb-4 ${wide ? 'px-5' : ''}`}>{children}</View> : null}
    </View>
  );
}
