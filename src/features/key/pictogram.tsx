import Svg, { Path } from 'react-native-svg';
import pictograms from '@/catalogue/pictograms.json';
import { token } from '@/ui/tokens';

const BOX = { width: 48, height: 32 } as const;
const PATHS: Readonly<Record<string, string>> = pictograms;

/** The line drawing of one answer; the words beside it say the same. */
export function Pictogram({ sign, answer }: { sign: string; answer: string }) {
  const d = PATHS[`${sign}/${answer}`];
  if (!d) return null;
  return (
    <Svg aria-hidden width={BOX.width} height={BOX.height} viewBox={`0 0 ${BOX.width} ${BOX.height}`}>
      <Path d={d} fill="none" stroke={token('ink')} strokeWidth={1.4} strokeLinecap="round" strokeLinejoin="round" />
    </Svg>
  );
}
