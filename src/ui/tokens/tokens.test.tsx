import tokens from './tokens.json';
import { applyTheme } from './apply-theme';
import { contrast, PAIRS, type ThemeName } from './contrast';

describe.each(Object.keys(tokens.colours) as ThemeName[])('%s', (theme) => {
  test.each(PAIRS.map(({ text, on, least }) => [text, on, least] as const))(
    '%s on %s is at least %s',
    (text, on, least) => {
      expect(contrast(theme, text, on)).toBeGreaterThanOrEqual(least);
    },
  );
  test('is written to the root', () => {
    applyTheme(theme);
    expect(document.documentElement.style.getPropertyValue('--ground')).toBe(tokens.colours[theme].ground);
    expect(document.documentElement.dataset.theme).toBe(theme);
  });
});

test('no text is under 15 px', () => {
  for (const [size] of Object.values(tokens.text)) expect(size).toBeGreaterThanOrEqual(15);
});
