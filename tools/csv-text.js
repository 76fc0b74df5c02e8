const { readFileSync } = require('node:fs');
const { join } = require('node:path');

/** Jest, dom project: the one CSV that the app imports, as text. */
module.exports = readFileSync(join(__dirname, '..', 'src/catalogue/hooks.csv'), 'utf8');
