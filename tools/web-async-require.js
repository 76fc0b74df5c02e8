/**
 * How the app asks for a part of itself, for the bundler. A part that the bundler has put into what several parts share has no address of its own, and
 * could not be had before another part was; it is asked for by the address of what they share.
 */
const ask = require('../node_modules/expo/src/async-require/asyncRequireModule');
const { sharedPart } = require('../src/features/shell/shared-part');

const askShared = (id, paths, name) => ask(id, { [id]: sharedPart(), ...paths }, name);

module.exports = Object.assign(askShared, ask);
