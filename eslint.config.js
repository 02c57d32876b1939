import tseslint from 'typescript-eslint';
import vue from 'eslint-plugin-vue';
import vueParser from 'vue-eslint-parser';

export default tseslint.config(
  { ignores: ['**/node_modules', '**/dist', 'data', '.demo', 'test-results', 'playwright-report'] },
  ...tseslint.configs.strict,
  ...vue.configs['flat/recommended'],
  {
    languageOptions: {
      parser: vueParser,
      parserOptions: {
        parser: tseslint.parser,
        sourceType: 'module',
        extraFileExtensions: ['.vue'],
      },
    },
    rules: {
      // `noUncheckedIndexedAccess` makes `!` the honest word for an index that a loop has bounded.
      '@typescript-eslint/no-non-null-assertion': 'off',
      '@typescript-eslint/no-unused-vars': [
        'error',
        { argsIgnorePattern: '^_', varsIgnorePattern: '^_' },
      ],
      '@typescript-eslint/consistent-type-imports': 'error',
      'vue/multi-word-component-names': 'off',
      'vue/block-order': ['error', { order: ['script', 'template', 'style'] }],
      // Prettier lays out templates.
      'vue/html-self-closing': 'off',
      'vue/max-attributes-per-line': 'off',
      'vue/singleline-html-element-content-newline': 'off',
      'vue/html-indent': 'off',
      'vue/html-closing-bracket-newline': 'off',
      'vue/multiline-html-element-content-newline': 'off',
      'vue/require-default-prop': 'off',
      // What withoutVariants leaves out of the styles.
      'vue/no-restricted-static-attribute': [
        'error',
        { element: 'ElButton', key: 'type', value: '/^(?:success|info|warning|danger)$/' },
        { element: 'ElButton', key: 'round' },
        { element: 'ElButton', key: 'circle' },
      ],
      'vue/v-bind-style': ['error', 'shorthand', { sameNameShorthand: 'always' }],
    },
  },
  {
    // A view takes plain values and sends events; a page wires it.
    files: ['web/src/**/*.vue'],
    ignores: ['web/src/**/*Page.vue', 'web/src/app/App.vue', 'web/src/ui/**'],
    rules: {
      'no-restricted-imports': [
        'error',
        { patterns: [{ regex: '^\\.\\./(?!ui/)', importNamePattern: '^use[A-Z]' }] },
      ],
    },
  },
  {
    files: ['**/*.cjs'],
    rules: { '@typescript-eslint/no-require-imports': 'off' },
  },
  {
    // Chai's assertions are properties, and fixtures are empty patterns.
    files: ['**/test/**', 'e2e/**'],
    rules: { '@typescript-eslint/no-unused-expressions': 'off', 'no-empty-pattern': 'off' },
  },
);
