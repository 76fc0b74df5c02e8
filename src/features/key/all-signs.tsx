import { useState } from 'react';
import { BELLY } from '@/core/constants';
import { View } from 'react-native';
import type { RiseFormId, SeenId } from '@/catalogue/ids';
import { ANSWERS } from '@/catalogue';
import type { AskedId } from '@/core/belief';
import { saySeen, setSample, type SampleRecord } from '@/records';
import { useAct } from '@/state';
import { BellyInWords } from '@/features/colour-words';
import { useSpeech, useWords } from '@/features/shell';
import { Choose, Fold, Say, Toggle } from '@/ui/primitives';
import { Answers } from './answers';
import { WaterChips } from './water-chips';

/** Signs by what the eye looks at. */
export const LOOKS = {
  wings: ['wings', 'wing-skin', 'wing-pairs'],
  tail: ['tails', 'tail-length', 'eggs'],
  body: ['body', 'waist', 'finish', 'gills', 'shuck'],
  legs: ['legs', 'claws', 'antennae'],
  case: ['case', 'case-end'],
  where: ['found', 'light'],
  doing: ['doing'],
} as const satisfies Record<string, readonly AskedId[]>;

interface AllSignsProps {
  sampleId: string;
  sample: SampleRecord;
  /** The sign that is asked above: not twice on one screen. */
  asked: AskedId | null;
  heard: Readonly<Partial<Record<AskedId, string>>>;
  onSay: (sign: AskedId, answer: string | null) => void;
}

/** Everything that can be said at any time, by what the eye looks at: a line opens by a tap and says what was said in it. */
export function AllSigns({ sampleId, sample, asked, heard, onSay }: AllSignsProps) {
  const words = useWords();
  const speech = useSpeech();
  const [open, setOpen] = useState<string | null>(null);
  const fold = (id: string, said: readonly string[], children: React.ReactNode) => (
    <Fold
      key={id}
      title={words(`key.look.${id}`)}
      line={speech.list(said)}
      open={open === id}
      onToggle={(on) => setOpen(on ? id : null)}
    >
      {children}
    </Fold>
  );
  const shade = sample.shades[BELLY]?.split('-');
  return (
    <View role="group" aria-label={words('key.any')}>
      <Say size="small" tone="soft">
        {words('key.any')}
      </Say>
      {Object.entries(LOOKS).map(([look, all]: [string, readonly AskedId[]]) => {
        const signs = all.filter((sign) => sign !== asked);
        if (signs.length === 0) return null;
        return fold(
          look,
          signs.flatMap((sign) => (heard[sign] === undefined ? [] : [speech.answer(sign, heard[sign]!)])),
          signs.map((sign) => (
            <View key={sign} className="gap-2">
              <Say size="small" tone="soft">
                {speech.ask(sign)}
              </Say>
              <Answers
                sign={sign}
                answers={ANSWERS[sign]}
                value={heard[sign] ?? null}
                onSay={(answer) => onSay(sign, answer)}
              />
            </View>
          )),
        );
      })}
      {sample.colours[BELLY]
        ? null
        : fold(
            'colour',
            shade
              ? [words('guide.shade', { tone: words(`guide.tone.${shade[0]}`), hue: speech.t(`hue.${shade[1]}`) })]
              : [],
            <BellyInWords sampleId={sampleId} colours={sample.colours} shades={sample.shades} />,
          )}
      {fold(
        'water',
        [
          ...(sample.water ? [speech.answer('water', sample.water)] : []),
          ...sample.seen.map((seen) => words(`key.seen-name.${seen}`)),
          ...(sample.rise ? [words(`key.rise-name.${sample.rise}`)] : []),
        ],
        <OnTheWater sampleId={sampleId} sample={sample} />,
      )}
    </View>
  );
}

/** What water it is, and what it says before any specimen: things seen, and how fish rise. */
function OnTheWater({ sampleId, sample }: { sampleId: string; sample: SampleRecord }) {
  const { ids } = useSpeech();
  const words = useWords();
  const act = useAct();
  return (
    <>
      <WaterChips tall sampleId={sampleId} sample={sample} />
      <Say size="small" tone="soft">
        {words('key.seen')}
      </Say>
      <View className="flex-row flex-wrap gap-3">
        {ids.seen
          .filter((seen) => seen.id !== 'rises')
          .map((seen) => (
            <Toggle
              key={seen.id}
              tall
              label={words(`key.seen-name.${seen.id}`)}
              on={sample.seen.includes(seen.id as SeenId)}
              onChange={(on) => act(saySeen, { sampleId, seen: seen.id as SeenId, on })}
            />
          ))}
      </View>
      <Say size="small" tone="soft">
        {words('key.rise')}
      </Say>
      <Choose
        tall
        label={words('key.rise')}
        choices={[
          { id: '', label: words('key.rise-unseen') },
          ...ids['rise-forms'].map((rise) => ({ id: rise.id, label: words(`key.rise-name.${rise.id}`) })),
        ]}
        value={sample.rise ?? ''}
        onChange={(rise) => act(setSample, { sampleId, rise: rise === '' ? null : (rise as RiseFormId) })}
      />
    </>
  );
}
