import { chance } from '../camera/chance';

/** A digital calliper that types like a keyboard, simulated: it closes on a length, shows it to a hundredth, and sends digits and Enter. For demo and tests only. */
export interface Calliper {
  /** What it shows when it is closed on `mm`. */
  close(mm: number): string;
}

/** SD of one closing, mm: a soft body gives, and a hand is no vise. */
const HAND_SD_MM = 0.03;

/** The same seed closes the same way. */
export function calliper(seed: number, unit: 'mm' | 'in' = 'mm'): Calliper {
  const dice = chance(seed);
  return {
    close(mm) {
      const read = Math.max(0, mm + HAND_SD_MM * dice.normal());
      return unit === 'mm' ? read.toFixed(2) : (read / 25.4).toFixed(4);
    },
  };
}

/** Types a reading into a field as a keyboard does, a key at a time, and ends with Enter. */
export function typeInto(field: HTMLInputElement, text: string): void {
  field.focus();
  const put = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')!.set!;
  for (let end = 1; end <= text.length; end++) {
    field.dispatchEvent(new KeyboardEvent('keydown', { key: text[end - 1]!, bubbles: true }));
    put.call(field, text.slice(0, end));
    field.dispatchEvent(new Event('input', { bubbles: true }));
  }
  field.dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter', bubbles: true }));
}
