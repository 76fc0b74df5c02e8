/** Female over male body length, typical, by order. Source: domain §2. */
const FEMALE_OVER_MALE: Readonly<Record<string, number>> = { mayfly: 1.15, stonefly: 1.25, midge: 0.9, caddis: 1.1 };

/** How much longer females are than males in an order; null where it is not known. */
export function femaleOverMale(order: string): number | null {
  return FEMALE_OVER_MALE[order] ?? null;
}

/** The sex whose body is longer in an order; females where it is not known. */
export function longerSex(order: string): 'female' | 'male' {
  return (femaleOverMale(order) ?? 1) < 1 ? 'male' : 'female';
}
