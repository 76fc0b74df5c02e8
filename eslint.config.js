const expo = require('eslint-config-expo/flat');
const boundaries = require('eslint-plugin-boundaries');

const impure = [
  { object: 'Date', property: 'now', message: 'Time comes from src/state/ports.ts.' },
  { object: 'Math', property: 'random', message: 'Chance comes from src/state/ports.ts.' },
  { object: 'crypto', property: 'randomUUID', message: 'Ids come from src/state/ports.ts.' },
];
const noClock = [
  'error',
  { selector: 'NewExpression[callee.name="Date"]', message: 'Time comes from src/state/ports.ts.' },
];
/** Core speaks codes: a text of three words or more is a sentence that belongs to speech. */
const PROSE = '/[A-Za-z]{2,} [A-Za-z]{2,} [A-Za-z]{2,}/';
const noProse = [`Literal[value=${PROSE}]`, `TemplateElement[value.raw=${PROSE}]`].map((selector) => ({
  selector,
  message: 'No prose in core: return a code and word it in src/speech.',
}));

const to = (...types) => ({ to: { type: types } });

module.exports = [
  ...expo,
  // What the compiler checks as well, and in a twentieth of the time.
  {
    rules: {
      'import/namespace': 'off',
      'import/no-unresolved': 'off',
      'import/default': 'off',
      'import/export': 'off',
      'import/no-named-as-default': 'off',
      'import/no-named-as-default-member': 'off',
      'import/first': 'off',
    },
  },
  {
    files: ['**/*.js'],
    languageOptions: {
      globals: { __dirname: 'readonly', require: 'readonly', module: 'readonly', exports: 'writable' },
    },
  },
  {
    ignores: [
      'dist/**',
      '.stryker-tmp/**',
      'node_modules/**',
      '.expo/**',
      'test-results/**',
      'expo-env.d.ts',
      'public/*-worker.js',
    ],
  },
  {
    files: ['**/*.{ts,tsx}'],
    rules: { 'no-restricted-properties': ['error', ...impure], 'no-restricted-syntax': noClock },
  },
  // A hook's score, a card and what they are made of know nothing of the whole answer, which is made of them.
  {
    files: ['src/core/{hook-score,tying,dressings,ways,bench,hooks,materials,naturals,colour,belief,units}/**'],
    ignores: ['**/*.test.ts', '**/__tests__/**'],
    rules: {
      'import/no-restricted-paths': [
        'error',
        {
          zones: [
            { target: './src/core/!(answer|box|case)/**', from: './src/core/answer', message: 'The answer is above.' },
          ],
        },
      ],
    },
  },
  // A card is tied by the bench when it is made; the bench knows only the shape of a card, and what asks it of a whole dressing stands above both.
  {
    files: ['src/core/{bench,card}/**'],
    ignores: ['**/*.test.ts', '**/__tests__/**'],
    rules: {
      'import/no-restricted-paths': [
        'error',
        {
          zones: [
            {
              target: './src/core/{bench,card}/**',
              from: ['./src/core/tying', './src/core/faults', './src/core/answer'],
              message: 'The bench is below: it takes the shape of a card from src/core/card.',
            },
          ],
        },
      ],
    },
  },
  // A fixture that needs no other takes an empty pattern: Playwright reads it.
  { files: ['e2e/**'], rules: { 'no-empty-pattern': 'off' } },
  {
    files: ['src/state/ports.ts', 'server/serve.ts', 'tools/**', 'e2e/**', 'benchmarks/**'],
    rules: { 'no-restricted-properties': 'off', 'no-restricted-syntax': 'off' },
  },
  {
    files: ['src/core/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-syntax': [...noClock, ...noProse],
      'no-restricted-globals': ['error', 'window', 'document', 'navigator', 'localStorage', 'fetch', 'crypto'],
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              group: ['react', 'react-*', 'expo*', 'nativewind', '@/state*', '@/ui*', '@/features*', '@/speech*'],
              message: 'Core is pure.',
            },
            {
              regex: '^@/catalogue(?!/ids$)',
              message: 'Core takes data as arguments; only types of ids come from the catalogue.',
            },
          ],
        },
      ],
    },
  },
  {
    files: ['src/features/**/*.{ts,tsx}'],
    ignores: ['**/*.test.*', '**/__tests__/**'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              group: [
                'immer',
                '@/state/*',
                '!@/state/answering',
                '!@/state/backup',
                '@/records/*',
                '!@/records/shipped',
                '!@/records/backup',
                '!@/records/hand-over',
                '!@/records/sheets',
              ],
              message: 'A screen changes what is kept by a command of src/records alone, through the door.',
            },
            {
              group: ['@/features/*/*', '!@/features/*/screens'],
              message: 'Another place is reached through its doors, index.ts and screens.ts.',
            },
            {
              group: ['@/catalogue/ids.json'],
              message: 'Lists of ids come from useSpeech(), with their names in the language that is read.',
            },
          ],
          // What is tapped, typed into or gone to has one look for each kind of choice: src/ui/primitives.
          paths: [
            {
              name: 'react-native',
              importNames: ['Pressable', 'TextInput', 'TouchableOpacity', 'TouchableHighlight', 'Button', 'Switch'],
              message: 'No screen styles a control itself: take one of src/ui/primitives.',
            },
            {
              name: 'expo-router',
              importNames: ['Link'],
              message: 'No screen styles a link itself: Row, Tile, WordLink, TabLink of src/ui/primitives.',
            },
          ],
        },
      ],
      // A record given to `draft` is a recipe: it belongs in a command.
      'no-restricted-syntax': [
        ...noClock,
        {
          selector: 'ArrowFunctionExpression > Identifier.params[name="draft"]',
          message: 'No recipe in a component: write a command in src/records.',
        },
        {
          selector: 'CallExpression[callee.property.name="split"][callee.object.callee.property.name="length"]',
          message: 'A length in fractions holds a space: ask speech for digits or spread.',
        },
        {
          selector:
            'TemplateLiteral > CallExpression[callee.property.name="toFixed"], JSXExpressionContainer > CallExpression[callee.property.name="toFixed"], CallExpression[callee.name="words"] CallExpression[callee.property.name="toFixed"], CallExpression[callee.name="words"] CallExpression[callee.name="format"]',
          message: 'Numbers and days are written by speech: number() and day().',
        },
        {
          selector: 'CallExpression[callee.property.name="join"] > Literal[value=/^\\s*[,;·.]\\s+$/]',
          message: 'Lists are written by speech: list(), clauses() and beside().',
        },
        {
          selector: 'TemplateElement[value.raw=/(·|[:;,.]) | \\(/]',
          message: 'A sentence is put together by a message of speech, not in code.',
        },
      ],
    },
  },
  {
    files: ['src/{features,ui}/**/*.tsx', 'app/**/*.tsx'],
    ignores: ['**/*.test.tsx'],
    rules: { 'react/jsx-no-literals': ['error', { noStrings: false, allowedStrings: ['.'] }] },
  },
  {
    files: ['{app,src,cli,server}/**/*.{ts,tsx}'],
    ignores: ['**/*.test.*'],
    plugins: { boundaries },
    settings: {
      'boundaries/elements': [
        { type: 'core', pattern: 'src/core/**', mode: 'full' },
        { type: 'catalogue', pattern: 'src/catalogue/**', mode: 'full' },
        { type: 'speech', pattern: 'src/speech/**', mode: 'full' },
        { type: 'records', pattern: 'src/records/**', mode: 'full' },
        { type: 'state', pattern: 'src/state/**', mode: 'full' },
        { type: 'ui', pattern: 'src/ui/**', mode: 'full' },
        { type: 'demo', pattern: 'src/features/demo/**', mode: 'full' },
        { type: 'features', pattern: 'src/features/**', mode: 'full' },
        { type: 'app', pattern: 'app/**', mode: 'full' },
        { type: 'cli', pattern: 'cli/**', mode: 'full' },
        { type: 'server', pattern: 'server/**', mode: 'full' },
        { type: 'workers', pattern: 'src/workers/**', mode: 'full' },
        { type: 'standins', pattern: 'src/standins/**', mode: 'full' },
      ],
      'import/resolver': { typescript: true },
    },
    rules: {
      'boundaries/dependencies': [
        'error',
        {
          default: 'disallow',
          policies: [
            { from: { type: 'core' }, allow: to('core', 'catalogue') },
            { from: { type: 'catalogue' }, allow: to('catalogue', 'core') },
            { from: { type: 'speech' }, allow: to('speech', 'core', 'catalogue') },
            { from: { type: 'records' }, allow: to('records', 'core', 'catalogue') },
            { from: { type: 'state' }, allow: to('state', 'records', 'core', 'catalogue', 'speech') },
            { from: { type: 'ui' }, allow: to('ui', 'core', 'catalogue') },
            // Stand-ins of devices reach the screen through the demo only.
            {
              from: { type: 'demo' },
              allow: to('demo', 'features', 'ui', 'state', 'records', 'core', 'catalogue', 'standins'),
            },
            {
              from: { type: 'features' },
              allow: to('features', 'demo', 'ui', 'state', 'records', 'speech', 'core', 'catalogue', 'workers'),
            },
            { from: { type: 'workers' }, allow: to('workers', 'core', 'catalogue', 'records') },
            { from: { type: 'standins' }, allow: to('standins', 'core', 'catalogue') },
            { from: { type: 'app' }, allow: to('app', 'features') },
            { from: { type: 'cli' }, allow: to('cli', 'records', 'core', 'catalogue', 'speech') },
            { from: { type: 'server' }, allow: to('server', 'core', 'catalogue', 'speech') },
          ],
        },
      ],
    },
  },
];
