import { readFileSync } from 'node:fs';

/** Prints passed and failed over Jest and Playwright, after the name of each that failed; a missing report or a suite that did not run counts as one failure. */
const read = (path) => {
  try {
    return JSON.parse(readFileSync(path, 'utf8'));
  } catch {
    return null;
  }
};
const unit = read('.aubade/unit.json');
const e2e = read('test-results/e2e.json');

/** What is printed last is what somebody reads who was not there: names and first lines, so that a failure need not be searched for. */
const FIRST_LINES = 12;
const said = (name, why) =>
  console.error(
    `FAILED ${name}\n${String(why ?? '')
      .split('\n')
      .slice(0, FIRST_LINES)
      .join('\n')}`,
  );
for (const suite of unit?.testResults ?? []) {
  if (suite.assertionResults.length === 0 && suite.status === 'failed') said(suite.name, suite.message);
  for (const one of suite.assertionResults) if (one.status === 'failed') said(one.fullName, one.failureMessages[0]);
}
const ends = (suite) => [...(suite.specs ?? []), ...(suite.suites ?? []).flatMap(ends)];
for (const spec of (e2e?.suites ?? []).flatMap(ends)) {
  const why = spec.tests.flatMap((test) => test.results).flatMap((result) => result.errors ?? [])[0]?.message;
  if (!spec.ok || spec.tests.some((test) => test.status === 'flaky')) said(spec.title, why);
}
const passed = (unit?.numPassedTests ?? 0) + (e2e?.stats.expected ?? 0);
const failed =
  (unit ? unit.numFailedTests + unit.numRuntimeErrorTestSuites : 1) +
  (e2e ? e2e.stats.unexpected + e2e.stats.flaky + e2e.errors.length : 1);
console.log(`${passed} ${failed}`);
