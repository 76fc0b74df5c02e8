import { deltaE, type Lab } from './colour';

export type Tone = 'dark' | 'mid' | 'pale';
export type Hue =
  | 'olive'
  | 'brown'
  | 'grey'
  | 'yellow'
  | 'rust'
  | 'cream'
  | 'black'
  | 'green'
  | 'orange'
  | 'red'
  | 'white'
  | 'purple'
  | 'blue';

/** A colour in the words a tier uses. */
export interface Shade {
  tone: Tone | null;
  hue: Hue;
}

/** Centres of the words in Lab; typical, ours. Black, white and cream have one tone. */
export const CENTRES: readonly { shade: Shade; lab: Lab }[] = [
  ...tones('olive', [32, -2, 22], [50, -3, 34], [68, -4, 38]),
  ...tones('brown', [28, 9, 14], [44, 12, 24], [64, 10, 24]),
  ...tones('grey', [30, -1, -1], [52, -1, -2], [74, -1, -2]),
  ...tones('yellow', [58, 4, 54], [72, 2, 58], [86, -3, 46]),
  ...tones('rust', [34, 26, 30], [46, 32, 38], [62, 26, 34]),
  ...tones('green', [32, -20, 18], [52, -28, 30], [74, -26, 34]),
  ...tones('orange', [52, 36, 52], [64, 36, 58], [76, 24, 46]),
  ...tones('red', [28, 32, 16], [42, 46, 26], [60, 36, 18]),
  ...tones('purple', [24, 14, -6], [40, 18, -10], [62, 14, -10]),
  ...tones('blue', [30, 2, -26], [50, -4, -30], [72, -6, -20]),
  { shade: { tone: null, hue: 'black' }, lab: [12, 0, 0] },
  { shade: { tone: null, hue: 'cream' }, lab: [87, 1, 17] },
  { shade: { tone: null, hue: 'white' }, lab: [95, 0, 2] },
];

function tones(hue: Hue, dark: Lab, mid: Lab, pale: Lab): { shade: Shade; lab: Lab }[] {
  return [
    { shade: { tone: 'dark', hue }, lab: dark },
    { shade: { tone: 'mid', hue }, lab: mid },
    { shade: { tone: 'pale', hue }, lab: pale },
  ];
}

/** The nearest colour word, by CIEDE2000. */
export function shadeOf(lab: Lab): Shade {
  let best = CENTRES[0]!;
  let least = Infinity;
  for (const centre of CENTRES) {
    const apart = deltaE(lab, centre.lab);
    if (apart < least) {
      least = apart;
      best = centre;
    }
  }
  return best.shade;
}
