import { View } from 'react-native';
import type { Quantity } from '@/core/quantity';
import type { HookAnswer } from '@/core/answer';
import { useApp } from '@/state';
import { selectCatalogue } from '@/state/answering';
import { Term } from '@/features/glossary';
import { Measured, useSpeech, useWords } from '@/features/shell';
import { Say } from '@/ui/primitives';

const TERM_OF = { shank: 'shank', gape: 'gape', bite: 'throat', wire: 'wire', eye: 'eye' } as const;

/** A hook's own dimensions, each able to say where it comes from. */
export function HookDimensions({ hook }: { hook: Pick<HookAnswer, 'id'> & Partial<HookAnswer> }) {
  const words = useWords();
  const iron = useApp(selectCatalogue).hooks.find((item) => item.id === hook.id);
  if (!iron) return null;
  const rows: [keyof typeof TERM_OF | 'mass', Quantity, 'length' | 'fine-length' | { decimals: number }][] = [
    ['shank', iron.shank, 'length'],
    ['gape', iron.gape, 'length'],
    ['bite', iron.bite, 'length'],
    ['wire', iron.wireDiameter, 'fine-length'],
    ['eye', iron.eyeOuter, 'fine-length'],
    ['mass', iron.mass, { decimals: 0 }],
  ];
  return (
    <View className="flex-row flex-wrap gap-x-6 gap-y-2">
      {rows.map(([name, quantity, as]) => (
        <View key={name} className="min-w-24">
          {name === 'mass' ? (
            <Say size="small" tone="soft">
              {words('hook.mass')}
            </Say>
          ) : (
            <Term id={TERM_OF[name]}>{words(`hook.${name}`)}</Term>
          )}
          <View className="flex-row items-baseline gap-1">
            <Measured what={words(`hook.${name}`)} quantity={quantity} as={as} />
            {name === 'mass' ? (
              <Say size="small" tone="soft">
                {words('hook.mg')}
              </Say>
            ) : null}
          </View>
        </View>
      ))}
    </View>
  );
}

/** Why a hook stands where it does, each reason with its cost. */
export function HookReasons({ hook }: { hook: HookAnswer }) {
  const speech = useSpeech();
  return (
    <View className="gap-1">
      {hook.reasons.map((reason, index) => (
        <Say key={index} size="small" tone="soft">
          {speech.point(speech.say(reason))}
        </Say>
      ))}
    </View>
  );
}
