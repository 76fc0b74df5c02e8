import { useState } from 'react';
import { View } from 'react-native';
import { setDevice } from '@/records';
import { selectDevice, useAct, useApp } from '@/state';
import { useWords } from '@/features/shell';
import { Button, Say } from '@/ui/primitives';
import { screenKey, useScreenSize } from './use-screen-size';

/** A payment card (ISO/IEC 7810 ID-1) is 53.98 mm high: its short side fits a phone. */
const CARD_SHORT_MM = 53.98;
/** CSS calls a millimetre this many pixels; a first guess only. */
const CSS_PX_PER_MM = 96 / 25.4;
const STEPS = [-10, -1, 1, 10] as const;

/** The size of this screen, measured once with a payment card; kept for this screen alone. */
export function ScreenSizeSetting() {
  const words = useWords();
  const act = useAct();
  const { screen } = useApp(selectDevice);
  const size = useScreenSize();
  const [px, setPx] = useState(() => Math.round(CARD_SHORT_MM * (screen?.pxPerMm ?? CSS_PX_PER_MM)));
  const keep = (value: { key: string; pxPerMm: number } | null) => act(setDevice, { screen: value });
  return (
    <View className="gap-3">
      <Say size="small" tone="soft">
        {words('screen.lead')}
      </Say>
      <View style={{ width: px }} className="h-24 items-center justify-center border-2 border-dawn">
        <Say size="small">{words('screen.card')}</Say>
      </View>
      <View className="flex-row flex-wrap gap-3">
        {STEPS.map((step) => (
          <Button
            key={step}
            label={`${step > 0 ? '+' : '−'}${Math.abs(step)}`}
            spoken={words(step > 0 ? 'screen.wider' : 'screen.narrower', { px: Math.abs(step) })}
            onPress={() => setPx((now) => Math.max(60, now + step))}
          />
        ))}
        <Button
          kind="main"
          label={words('screen.matches')}
          onPress={() => keep({ key: screenKey(), pxPerMm: px / CARD_SHORT_MM })}
        />
        {screen ? <Button kind="quiet" label={words('screen.forget')} onPress={() => keep(null)} /> : null}
      </View>
      <Say size="small" tone={size.pxPerMm === null ? 'straw' : 'sedge'} live>
        {words(size.pxPerMm === null ? `screen.why.${size.why}` : 'screen.known')}
      </Say>
    </View>
  );
}
