import type { ReactNode } from 'react';
import { View } from 'react-native';
import { useWide } from './shell';

/** Two halves of a page: side by side where there is room, else one under the other. */
export function TwoColumns({ children: [first, then] }: { children: readonly [first: ReactNode, then: ReactNode] }) {
  const wide = useWide();
  if (!wide)
    return (
      <>
        {first}
        {then}
      </>
    );
  return (
    <View className="flex-row gap-6">
      <View className="min-w-0 flex-1">{first}</View>
      <View className="min-w-0 flex-1">{then}</View>
    </View>
  );
}
