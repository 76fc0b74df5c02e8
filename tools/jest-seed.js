const fc = require('fast-check');

fc.configureGlobal({ seed: Number(process.env.SEED ?? 20330524) });
