import { create } from 'qrcode';
import { View } from 'react-native';
import Svg, { Path } from 'react-native-svg';

/** Empty modules about a code, as its standard asks for. */
const QUIET = 4;

/** A text as a QR code: dark on light in every light, or no camera reads it. */
export function QrCode({ text, label, size }: { text: string; label: string; size: number }) {
  const { modules } = create(text, { errorCorrectionLevel: 'M' });
  const side = modules.size + 2 * QUIET;
  let path = '';
  for (let row = 0; row < modules.size; row++)
    for (let column = 0; column < modules.size; column++)
      if (modules.get(row, column)) path += `M${column + QUIET} ${row + QUIET}h1v1h-1z`;
  return (
    <View role="img" aria-label={label} className="self-start rounded-control border border-edge">
      <Svg width={size} height={size} viewBox={`0 0 ${side} ${side}`}>
        <Path d={`M0 0h${side}v${side}h-${side}z`} fill="#ffffff" />
        <Path d={path} fill="#000000" />
      </Svg>
    </View>
  );
}
