const esm = [
  '(jest-)?react-native',
  '@react-native(-community)?',
  '@react-native-async-storage',
  '@react-native-picker',
  'expo(nent)?',
  '@expo(nent)?',
  'nativewind',
  'react-native-css-interop',
  'react-redux',
  '@reduxjs/toolkit',
  'redux.*',
  'reselect',
  'immer',
  'lucide-react-native',
  '@expo-google-fonts',
  '@noble',
  'culori',
  'd3-.*',
  'internmap',
  'uuid',
  'standard-navigation',
  'react-navigation',
  '@react-navigation',
  '@tanstack',
].join('|');

/** Core keeps the syntax of the engine that runs it: written down to an older one, spreads and generators take ten times as long. */
const MODERN = [
  '@swc/jest',
  {
    swcrc: false,
    jsc: {
      target: 'es2022',
      parser: { syntax: 'typescript', tsx: true },
      transform: { react: { runtime: 'automatic', importSource: 'react' } },
    },
    module: { type: 'commonjs' },
  },
];

const shared = {
  // A test's world is a sandbox that looks every global up anew: these are handed in, because loops over numbers ask for them all the time.
  sandboxInjectedGlobals: [
    'Array',
    'Boolean',
    'Error',
    'Float32Array',
    'Float64Array',
    'Int32Array',
    'JSON',
    'Map',
    'Math',
    'Number',
    'Object',
    'Promise',
    'RegExp',
    'Set',
    'String',
    'Uint8Array',
    'WeakMap',
  ],
  moduleNameMapper: { '^@/(.*)$': '<rootDir>/src/$1' },
  transformIgnorePatterns: [`/node_modules/(?!(${esm})/?)`],
};

module.exports = {
  // How long a test takes is the machine's business: this ends only what hangs.
  testTimeout: 120_000,
  projects: [
    {
      ...shared,
      displayName: 'core',
      testEnvironment: 'node',
      // Property tests draw the same cases at every run, so that a run can be repeated; another SEED looks further.
      setupFiles: ['<rootDir>/tools/jest-seed.js'],
      testMatch: [
        '<rootDir>/src/{core,catalogue,records,speech,state,ui,standins,workers}/**/*.test.ts',
        '<rootDir>/{cli,server,tools}/**/*.test.ts',
      ],
      transform: {
        '\\.csv$': '<rootDir>/tools/text-transform.js',
        '\\.ttf$': '<rootDir>/tools/bytes-transform.js',
        '\\.[jt]sx?$|\\.mjs$': MODERN,
      },
    },
    {
      ...shared,
      displayName: 'dom',
      preset: 'jest-expo/web',
      transform: {
        '\\.csv$': '<rootDir>/tools/text-transform.js',
        '\\.mjs$': ['babel-jest', { caller: { name: 'metro', bundler: 'metro', platform: 'web' } }],
      },
      testMatch: ['<rootDir>/{src,app}/**/*.test.tsx'],
      setupFilesAfterEnv: ['<rootDir>/tools/jest-dom.ts'],
      moduleNameMapper: {
        ...shared.moduleNameMapper,
        '^expo-router(/ui)?$': '<rootDir>/src/features/__tests__/router.tsx',
      },
    },
  ],
};
