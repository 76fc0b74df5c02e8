/**
 * Jest's words for Mocha, which loads the tests once and runs them again for each mutant. A top-level `describe` is one test here, its body run
 * anew each time, so that what it works out before its tests is worked out by the mutant too.
 */
const { readFileSync } = require('node:fs');
const { expect } = require('expect');
const Mocha = require('mocha');
require('./jest-seed.js');

require.extensions['.csv'] = (module, path) => {
  module.exports = readFileSync(path, 'utf8');
};

/** The group that is being told; the words of the last file are in force when the groups of all are run. */
let open = null;

Mocha.interfaces.jest = (suite) =>
  suite.on('pre-require', (context, file) => {
    const put = (name, run) => {
      const test = new Mocha.Test(name, run);
      test.file = file;
      suite.addTest(test);
    };
    const runGroup = async (body) => {
      const outer = open;
      const own = { items: [], before: [] };
      open = own;
      body();
      open = outer;
      for (const hook of own.before) await hook();
      for (const item of own.items) await (item.run ? item.run() : runGroup(item.body));
    };
    const told = (register) =>
      Object.assign((name, run) => register(String(name), run), {
        each: (table) => (name, run) =>
          table.forEach((row, index) =>
            register(`${name} ${index + 1}`, () => run(...(Array.isArray(row) ? row : [row]))),
          ),
      });
    Object.assign(context, {
      expect,
      describe: told((name, body) => (open ? open.items.push({ body }) : put(name, () => runGroup(body)))),
      test: told((name, run) =>
        open
          ? open.items.push({ run })
          : put(name, async () => {
              await run();
            }),
      ),
      beforeAll: (hook) => open.before.push(hook),
    });
  });
