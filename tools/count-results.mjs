import { readFileSync } from 'node:fs';

/** Prints passed and failed over Jest and Playwright; a missing report or a suite that did not run counts as one failure. */
const read = (path) => {
  try {
    return JSON.parse(readFileSync(path, 'utf8'));
  } catch {
    return null;
  }
};
const unit = read('.aubade/unit.json');
const e2e = read('test-results/e2e.json');
const passed = (unit?.numPassedTests ?? 0) + (e2e?.stats.expected ?? 0);
const failed = (unit ? unit.numFailedTests + unit.numRuntimeErrorTestSuites : 1) + (e2e ? e2e.stats.unexpected + e2e.stats.flaky + e2e.errors.length : 1);
console.log(`${passed} ${failed}`);
