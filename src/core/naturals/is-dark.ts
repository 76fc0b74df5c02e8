/** Hours between which a tier may stand in a river in the dark, or be overtaken by it: in the short days of the temperate zones. */
const DARK = { from: 16, to: 7 } as const;

/** Whether the light is going or not yet there at a time of the day, `2033-05-24T04:50`; without an hour it may be. */
export function isDark(at: string): boolean {
  const hour = Number(/T(\d\d)/.exec(at)?.[1] ?? NaN);
  return Number.isNaN(hour) || hour >= DARK.from || hour < DARK.to;
}
