import { View } from 'react-native';
import type { AskedId, WeightOfEvidence } from '@/core/belief';
import type { SampleRecord } from '@/records';
import { useSpeech, useWords } from '@/features/shell';
import { Button, Heading, Say } from '@/ui/primitives';

/** Under this many bits a thing said says little; over the second it speaks strongly. */
const LITTLE_BITS = 0.4;
const STRONG_BITS = 2;

interface SaidProps {
  pulls: readonly WeightOfEvidence[];
  skipped: readonly AskedId[];
  leftOut: SampleRecord['leftOut'];
  onTakeBack: (pull: WeightOfEvidence) => void;
  onAskAgain: (sign: AskedId) => void;
  onUse: (what: string) => void;
}

/** Everything that was said, signs and length, colour, water and month alike: what each did, and a way to take it back. */
export function Said({ pulls, skipped, leftOut, onTakeBack, onAskAgain, onUse }: SaidProps) {
  const words = useWords();
  const speech = useSpeech();
  if (pulls.length + skipped.length + leftOut.length === 0) return null;
  const row = (
    key: string,
    text: string,
    did: string | null,
    tone: 'sedge' | 'dawn' | 'soft',
    button: { label: string; spoken: string; press: () => void },
  ) => (
    <View key={key} className="flex-row items-center justify-between gap-3 border-b border-line">
      <View className="min-w-0 flex-1 flex-row flex-wrap justify-between gap-x-3">
        <Say size="small" tone={did === null ? 'soft' : undefined}>
          {text}
        </Say>
        {did === null ? null : (
          <Say size="small" tone={tone}>
            {did}
          </Say>
        )}
      </View>
      <Button kind="quiet" tall spoken={button.spoken} label={button.label} onPress={button.press} />
    </View>
  );
  return (
    <View className="gap-2">
      <Heading level={3} size="small">
        {words('key.said')}
      </Heading>
      {pulls.map((pull) => {
        const { sign, answer, bits } = pull;
        const what = speech.said(sign, answer);
        const did =
          bits > STRONG_BITS
            ? 'strongly-for'
            : bits > LITTLE_BITS
              ? 'for'
              : bits < -STRONG_BITS
                ? 'strongly-against'
                : bits < -LITTLE_BITS
                  ? 'against'
                  : 'neither';
        return row(
          `${sign} ${answer}`,
          what,
          words(`key.${did}`),
          bits > LITTLE_BITS ? 'sedge' : bits < -LITTLE_BITS ? 'dawn' : 'soft',
          {
            label: words('key.take-back'),
            spoken: words('key.take-back-what', { what }),
            press: () => onTakeBack(pull),
          },
        );
      })}
      {skipped.map((sign) =>
        row(`skipped ${sign}`, words('key.skipped', { ask: speech.ask(sign) }), null, 'soft', {
          label: words('key.ask-again'),
          spoken: words('key.ask-again-what', { ask: speech.ask(sign) }),
          press: () => onAskAgain(sign),
        }),
      )}
      {leftOut.map((what) =>
        row(`left ${what}`, words('key.left-out', { what: speech.said(what, '') }), null, 'soft', {
          label: words('key.use'),
          spoken: words('key.use-what', { what: speech.said(what, '') }),
          press: () => onUse(what),
        }),
      )}
    </View>
  );
}
