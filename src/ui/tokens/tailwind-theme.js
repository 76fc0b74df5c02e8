const tokens = require('./tokens.json');

const px = (value) => `${value}px`;
/** Type follows the reader's own text size; space and targets do not shrink with it. */
const rem = (value) => `${value / 16}rem`;
const names = Object.keys(tokens.colours.morning);

/** Tailwind's theme, read from tokens.json: colours are CSS variables, so a theme change needs no new classes. */
exports.tailwindTheme = {
  colors: { transparent: 'transparent', ...Object.fromEntries(names.map((name) => [name, `var(--${name})`])) },
  fontSize: Object.fromEntries(
    Object.entries(tokens.text).map(([name, [size, line]]) => [name, [rem(size), { lineHeight: rem(line) }]]),
  ),
  spacing: {
    ...Object.fromEntries(Array.from({ length: 101 }, (_, steps) => [String(steps), px(steps * tokens.step)])),
    px: '1px',
    target: px(tokens.target),
    touch: px(tokens.touch),
    column: px(tokens.column),
  },
  fontFamily: tokens.faces,
  extend: { borderRadius: { control: '6px' } },
};
