/** Jest: a text file as a module whose export is its text. */
module.exports = { process: (text) => ({ code: `module.exports = ${JSON.stringify(text)};` }) };
