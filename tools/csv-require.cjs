// Lets a program run by tsx read the catalogue's tables as texts, as the app's bundler and Jest do.
const { readFileSync } = require('node:fs');

require.extensions['.csv'] = (module, path) => {
  module.exports = readFileSync(path, 'utf8');
};
