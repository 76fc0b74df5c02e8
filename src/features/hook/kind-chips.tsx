import { View } from 'react-native';
import type { HookKinds } from '@/core/answer';
import { useSpeech, useWords } from '@/features/shell';
import type { Speech } from '@/speech';
import { Choose, Heading } from '@/ui/primitives';

const ANY = 'any';
const KINDS = [
  ['bend', 'bends'],
  ['wire', 'wires'],
  ['barb', 'barbs'],
  ['eye', 'eyes'],
] as const;

/** The kinds that are looked for, in words; empty where any will do. */
export function kindsSaid(kinds: HookKinds, speech: Speech): string[] {
  return KINDS.flatMap(([name, kind]) => (kinds[name] ? [speech.plain(kind, kinds[name])] : []));
}

/** Bend, wire, barb and eye, each any or one. */
export function KindChips({ kinds, onChange }: { kinds: HookKinds; onChange: (kinds: HookKinds) => void }) {
  const words = useWords();
  const { ids } = useSpeech();
  return KINDS.map(([name, kind]) => (
    <View key={name} className="gap-1">
      <Heading size="small" level={3}>
        {words(`drawer.filter.${name}`)}
      </Heading>
      <Choose
        label={words(`drawer.filter.${name}`)}
        choices={[
          { id: ANY, label: words('drawer.any') },
          ...ids[kind].map((item) => ({ id: item.id, label: item.name })),
        ]}
        value={kinds[name] ?? ANY}
        onChange={(id) => onChange({ ...kinds, [name]: id === ANY ? null : id })}
      />
    </View>
  ));
}
