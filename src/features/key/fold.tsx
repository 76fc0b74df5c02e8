import ChevronDown from 'lucide-react-native/icons/chevron-down';
import ChevronUp from 'lucide-react-native/icons/chevron-up';
import type { ReactNode } from 'react';
import { Pressable, View } from 'react-native';
import { token } from '@/ui/tokens';
import { Say } from '@/ui/primitives';

interface FoldProps {
  title: string;
  /** What was said in it, read while it is shut. */
  said: string;
  open: boolean;
  onToggle: () => void;
  children: ReactNode;
}

/** One line that opens to what can be said in it. */
export function Fold({ title, said, open, onToggle, children }: FoldProps) {
  const Chevron = open ? ChevronUp : ChevronDown;
  return (
    <View className="border-b border-line">
      <Pressable role="button" aria-expanded={open} aria-label={title} onPress={onToggle} className="min-h-touch flex-row items-center gap-3 py-1">
        <Say weight="medium">{title}</Say>
        <Say size="small" tone="soft" className="min-w-0 flex-1">{said}</Say>
        <Chevron size={20} color={token('soft')} aria-hidden />
      </Pressable>
      {open ? <View className="gap-4 pb-4">{children}</View> : null}
    </View>
  );
}
