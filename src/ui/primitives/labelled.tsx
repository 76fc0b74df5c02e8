import type { ReactNode } from 'react';
import { View } from 'react-native';
import { Say } from './text';

/** A title over what it is the title of: a choice that does not say by itself what it is about. */
export function Labelled({ title, children }: { title: string; children: ReactNode }) {
  return (
    <View className="gap-1">
      <Say size="small" tone="soft">
        {title}
      </Say>
      {children}
    </View>
  );
}
