import { View } from 'react-native';
import { Say } from './text';

/** Names and what they are, a line each. */
export function Facts({ rows }: { rows: readonly (readonly [name: string, value: string])[] }) {
  return (
    <View>
      {rows.map(([name, value]) => (
        <View key={`${name} ${value}`} className="flex-row gap-4 border-b border-line py-2">
          <Say size="small" tone="soft" className="w-28">
            {name}
          </Say>
          <Say size="small" className="min-w-0 flex-1">
            {value}
          </Say>
        </View>
      ))}
    </View>
  );
}
