import tokens from './tokens.json';
import type { ThemeName } from './contrast';

/** Writes a theme to the root as CSS variables, read by Tailwind's classes and by drawings alike. */
export function applyTheme(theme: ThemeName): void {
  if (typeof document === 'undefined') return;
  const root = document.documentElement;
  for (const [name, value] of Object.entries(tokens.colours[theme])) root.style.setProperty(`--${name}`, value);
  root.dataset.theme = theme;
  root.style.colorScheme = theme === 'morning' ? 'light' : 'dark';
}

/** A token as a CSS variable, for drawings and styles that take no class. */
export function token(name: keyof (typeof tokens.colours)['morning']): string {
  return `var(--${name})`;
}

/** A face with what stands in for it until it is loaded, for drawings that take no class. */
export function face(name: keyof typeof tokens.faces): string {
  return tokens.faces[name].join(', ');
}

export const WIDE_PX = tokens.wide;
