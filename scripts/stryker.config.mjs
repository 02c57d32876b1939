// Changes the core on purpose, one place at a time, and counts which changes the tests notice.
const FILES = [
  'core/src/drink/cautions.ts',
  'core/src/batch/cautions.ts',
  'core/src/recipeText/tieAmounts.ts',
  'core/src/brew/solve.ts',
  'core/src/batch/schedule.ts',
  'core/src/constants.ts',
];

export default {
  mutate: process.env.RATIO_MUTATE?.split(',') ?? FILES,
  testRunner: 'mocha',
  plugins: ['@stryker-mutator/mocha-runner'],
  testRunnerNodeArgs: ['--import', 'tsx', '--no-experimental-require-module'],
  mochaOptions: {
    spec: process.env.RATIO_MUTATE_SPEC?.split(',') ?? ['core/test/**/*.test.ts'],
    config: 'scripts/stryker.mocharc.json',
  },
  coverageAnalysis: 'perTest',
  concurrency: 2,
  timeoutMS: 20_000,
  reporters: ['clear-text', 'json'],
  clearTextReporter: { allowColor: false, allowEmojis: false, logTests: false },
  jsonReporter: { fileName: 'test-results/mutation.json' },
  tempDirName: '.stryker',
  ignorePatterns: ['.demo', 'test-results', 'web/dist', 'server/dist', 'docs/screenshots'],
};
