/** What the app asks of culori, for the bundler: its front door brings thirty colour spaces the app has no use for. */
import { useMode } from '../node_modules/culori/src/modes.js';
import lab65 from '../node_modules/culori/src/lab65/definition.js';
import lrgb from '../node_modules/culori/src/lrgb/definition.js';
import rgb from '../node_modules/culori/src/rgb/definition.js';

[rgb, lab65, lrgb].forEach(useMode);

export { default as converter } from '../node_modules/culori/src/converter.js';
export { differenceCiede2000 } from '../node_modules/culori/src/difference.js';
export { formatHex } from '../node_modules/culori/src/formatter.js';
export { default as parseHex } from '../node_modules/culori/src/rgb/parseHex.js';
export { wcagContrast } from '../node_modules/culori/src/wcag.js';
