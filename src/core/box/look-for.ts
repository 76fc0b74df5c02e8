import type { RideId } from '@/catalogue/ids';
import type { Answer } from '../answer';
import type { Shade } from '../colour';
import { NUMBER_STEP } from '../constants';
import { readSizeLabel } from '../hooks';

/** What a fly in a real box is known by, where nobody has written the box down. */
export interface LookFor {
  ride: RideId;
  /** The body of the fly, one hook number either way, mm. */
  low_mm: number;
  high_mm: number;
  /** Sizes that carry such a body, of the best model of each maker, largest first. */
  makers: { maker: string; model: string; sizes: string[] }[];
  /** The colour of its body, in words and as a swatch; null where it has none. */
  shade: Shade | null;
  hex: string | null;
}

const MOST_MAKERS = 3;

/** The sizes that carry such a body by any maker's best model, from the largest to the smallest of one label; one that is no plain number is left out. */
export function sizesToLookFor({ makers }: Pick<LookFor, 'makers'>): { largest: string; smallest: string } | null {
  const sizes = makers
    .flatMap((maker) => maker.sizes)
    .flatMap((label) => {
      const size = readSizeLabel(label);
      return size.kind === 'number' ? [{ label, n: size.n }] : [];
    })
    .sort((one, other) => one.n - other.n);
  return sizes.length > 0 ? { largest: sizes[0]!.label, smallest: sizes.at(-1)!.label } : null;
}

/** What to look for in a box of which nothing is known, from what the natural was answered with; null where no fly can be tied for it. */
export function lookFor({ target_mm, hooks, by_maker, style, card }: Answer): LookFor | null {
  if (!card) return null;
  const [low, high] = [target_mm * Math.exp(-NUMBER_STEP), target_mm * Math.exp(NUMBER_STEP)];
  const makers = Object.values(by_maker)
    .map((best) => ({
      maker: best.maker_name,
      model: best.model_name,
      sizes: hooks
        .filter(
          ({ maker, model, carry_mm }) =>
            maker === best.maker && model === best.model && carry_mm >= low && carry_mm <= high,
        )
        .sort((one, other) => other.carry_mm - one.carry_mm)
        .map(({ size }) => size),
    }))
    .filter(({ sizes }) => sizes.length > 0)
    .slice(0, MOST_MAKERS);
  const body = card.parts.find(({ part }) => part === 'abdomen') ?? card.parts.find(({ colour }) => colour !== null);
  const colour = body?.colour ?? null;
  return {
    ride: style.ride,
    low_mm: low,
    high_mm: high,
    makers,
    shade: colour?.shade ?? null,
    hex: colour?.hex ?? null,
  };
}
