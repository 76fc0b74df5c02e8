import type { ReactNode } from 'react';
import { View } from 'react-native';
import { Say } from './text';

/** A name and what it is; what stands for the name where it is more than words. */
export type Fact = readonly [name: string, value: string, own?: ReactNode];

/** Names and what they are, a line each. */
export function Facts({ rows }: { rows: readonly Fact[] }) {
  return (
    <View>
      {rows.map(([name, value, own]) => (
        <View key={`${name} ${value}`} className="flex-row flex-wrap gap-x-4 border-b border-line py-2">
          {own ? (
            <View className="min-w-28 max-w-full">{own}</View>
          ) : (
            <Say size="small" tone="soft" className="w-28">
              {name}
            </Say>
          )}
          <Say size="small" className="min-w-[55%] flex-1">
            {value}
          </Say>
        </View>
      ))}
    </View>
  );
}
