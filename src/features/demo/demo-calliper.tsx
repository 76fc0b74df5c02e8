import { useRef } from 'react';
import { useSpeech, useWords } from '@/features/shell';
import { calliper, typeInto } from '@/standins/calliper';
import { Button } from '@/ui/primitives';

/** A field needs a moment to be drawn. */
const DRAWN_MS = 60;

/** The simulated calliper of the demo: closes on the next insect and types what it reads where a real one would. */
export function DemoCalliper({ aroundMm, next }: { aroundMm: number; next: () => string }) {
  const words = useWords();
  const speech = useSpeech();
  const device = useRef(calliper(Math.round(aroundMm * 100), speech.unit === 'mm' ? 'mm' : 'in'));
  const count = useRef(0);
  const close = () => {
    const label = next();
    // Insects of one hatch differ by a few hundredths of their length.
    const spread = [0.02, -0.03, 0.01, 0.04, -0.02, 0][count.current++ % 6]!;
    setTimeout(() => {
      const field = document.querySelector<HTMLInputElement>(`input[aria-label="${label}"]`);
      if (field) typeInto(field, device.current.close(aroundMm * (1 + spread)));
    }, DRAWN_MS);
  };
  return <Button kind="quiet" label={words('demo.calliper')} onPress={close} className="-ml-4 self-start" />;
}
