/** Water that is wet and a day that is fished, °C. */
export const WATER_C = [-1, 40] as const;
export const AIR_C = [-40, 50] as const;
/** No fish that takes a fly is longer, nor does one fish deeper. */
export const LONGEST_FISH_MM = 3000;
export const DEEPEST_MM = 30_000;

export const WATER_LEVELS = ['low', 'usual', 'high', 'flood'] as const;
export const CLARITIES = ['clear', 'stained', 'brown'] as const;
export const WINDS = ['still', 'breeze', 'wind'] as const;
export const SKIES = ['sun', 'cloud', 'drizzle', 'rain'] as const;
export type Wind = (typeof WINDS)[number];
export type Sky = (typeof SKIES)[number];
