import MoreHorizontal from 'lucide-react-native/icons/ellipsis';
import { useState, type ReactNode } from 'react';
import { Pressable, View } from 'react-native';
import { token } from '../tokens';
import { Say } from './text';

/** What is seldom done, put away behind one quiet line: opened, its buttons stand below it in the order of the page. */
export function More({ label, children }: { label: string; children: ReactNode }) {
  const [open, setOpen] = useState(false);
  return (
    <View className="w-full">
      <Pressable
        role="button"
        aria-expanded={open}
        onPress={() => setOpen(!open)}
        className="min-h-touch flex-row items-center gap-2 self-start rounded-control"
      >
        <MoreHorizontal size={20} color={token('river')} aria-hidden />
        <Say weight="medium" tone="river">
          {label}
        </Say>
      </Pressable>
      {open ? <View className="flex-row flex-wrap gap-2 pb-2">{children}</View> : null}
    </View>
  );
}
