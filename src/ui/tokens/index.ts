export { applyTheme, face, token, WIDE_PX } from './apply-theme';
export type { ThemeName, TokenName } from './contrast';
