export const STEPS = ['natural', 'hook', 'dressing', 'bench', 'water'] as const;
export type Step = (typeof STEPS)[number];
