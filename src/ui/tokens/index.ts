export { applyTheme, token, WIDE_PX } from './apply-theme';
export { contrast, PAIRS, type ThemeName, type TokenName } from './contrast';
