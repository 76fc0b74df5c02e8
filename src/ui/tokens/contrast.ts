import { wcagContrast } from 'culori';
import tokens from './tokens.json';

export type ThemeName = keyof typeof tokens.colours;
export type TokenName = keyof (typeof tokens.colours)['morning'];

/** Every pair of text and ground that the design system sets, with the contrast it needs. */
export const PAIRS: readonly { text: TokenName; on: TokenName; least: number }[] = [
  ...(['ink', 'soft', 'river', 'dawn', 'sedge', 'straw'] as const).flatMap((text) =>
    (['ground', 'plane'] as const).map((on) => ({ text, on, least: 4.5 })),
  ),
  { text: 'on-river', on: 'river', least: 4.5 },
  { text: 'ink', on: 'wash', least: 4.5 },
  { text: 'edge', on: 'ground', least: 3 },
  { text: 'edge', on: 'plane', least: 3 },
];

export function contrast(theme: ThemeName, text: TokenName, on: TokenName): number {
  return wcagContrast(tokens.colours[theme][text], tokens.colours[theme][on]);
}
