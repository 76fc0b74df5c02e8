import { View } from 'react-native';
import { useSpeech, useWords } from '@/features/shell';
import { Choose, Field } from '@/ui/primitives';
import { NEUTRALS, RADII, SCALE_WAYS, type useByHand } from './use-by-hand';

type Hand = ReturnType<typeof useByHand>;

/** What of known size lies in the picture: a length, or a rectangle. */
export function ScaleAsked({ scaling }: { scaling: Hand['scaling'] }) {
  const words = useWords();
  const { t, unit } = useSpeech();
  const fields =
    scaling.way === 'length'
      ? [['known', scaling.known] as const]
      : ([
          ['long', scaling.sides[0]],
          ['short', scaling.sides[1]],
        ] as const);
  return (
    <View className="gap-3">
      <Choose
        label={words('hand.way')}
        choices={SCALE_WAYS.map((id) => ({ id, label: words(`hand.ways.${id}`) }))}
        value={scaling.way}
        onChange={scaling.go}
      />
      <View className="flex-row gap-3">
        {fields.map(([name, { typed, fault, onType }]) => (
          <Field
            key={name}
            label={words(`hand.${name}`)}
            numeric
            value={typed}
            unit={t(unit === 'mm' ? 'unit.mm' : 'unit.in')}
            error={fault}
            onType={onType}
          />
        ))}
      </View>
    </View>
  );
}

/** What the next tap is on, and how wide it looks. */
export function ColourAsked({ colouring }: { colouring: Hand['colouring'] }) {
  const words = useWords();
  const speech = useSpeech();
  const sizes = Object.keys(RADII) as (keyof typeof RADII)[];
  return (
    <View className="gap-3">
      <Choose<typeof colouring.asking>
        label={words('hand.tap-what')}
        choices={[
          ...NEUTRALS.map((kind) => ({ id: `neutral-${kind}` as const, label: words(`hand.neutral-${kind}`) })),
          ...colouring.regions.map((id) => ({ id, label: speech.plain('regions', id) })),
        ]}
        value={colouring.asking}
        onChange={colouring.setAsking}
      />
      <Choose
        label={words('hand.radius')}
        choices={sizes.map((id) => ({ id, label: words(`hand.radii.${id}`) }))}
        value={colouring.radius}
        onChange={colouring.setRadius}
      />
    </View>
  );
}

/** What to tap now, in one sentence. */
export function useHandSaid({ step, body, scaling, colouring }: Hand): string {
  const words = useWords();
  const speech = useSpeech();
  const { marks, wanted, way } = scaling;
  if (step === 'scale')
    return marks.length >= wanted
      ? words('hand.marked')
      : words(`hand.do-${way}`, { n: Math.min(marks.length + 1, wanted), of: wanted });
  if (step === 'body') return words(body.length === 0 ? 'hand.do-head' : 'hand.do-body');
  const { asking } = colouring;
  return asking.startsWith('neutral')
    ? words('hand.do-neutral')
    : words('hand.do-colour', { region: speech.plain('regions', asking) });
}
