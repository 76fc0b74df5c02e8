/** Colours, type and space come from src/ui/tokens as CSS variables: nothing is named twice. */
const { tailwindTheme } = require('./src/ui/tokens/tailwind-theme');

module.exports = {
  content: ['./app/**/*.{ts,tsx}', './src/**/*.{ts,tsx}'],
  presets: [require('nativewind/preset')],
  darkMode: 'class',
  theme: tailwindTheme,
};
