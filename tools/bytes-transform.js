const { readFileSync } = require('node:fs');

/** Jest: a file of bytes as a module whose export is its bytes, as the worker's bundle has it. */
module.exports = {
  process: (_, path) => ({
    code: `module.exports = { __esModule: true, default: Uint8Array.from(Buffer.from(${JSON.stringify(readFileSync(path).toString('base64'))}, 'base64')) };`,
  }),
};
