/** Tests that a mutant of tying or dressings is tried on: those of core and catalogue that take seconds, not minutes. */
const { projects } = require('../jest.config');

const SLOW = ['src/core/tying/laws.test.ts', 'src/core/tying/tenth.test.ts', 'src/core/tying/in-school.test.ts', 'src/core/ways/edit.test.ts', 'src/core/bench/known-faults.test.ts', 'src/core/photo/', 'src/core/belief/'];

module.exports = {
  ...projects.find((project) => project.displayName === 'core'),
  rootDir: '..',
  testMatch: ['<rootDir>/src/core/{tying,dressings,ways}/**/*.test.ts'],
  testPathIgnorePatterns: ['/node_modules/', ...SLOW],
};
