import vueI18n from '@intlify/eslint-plugin-vue-i18n'
import prettier from 'eslint-config-prettier'
import globals from 'globals'
import vue from 'eslint-plugin-vue'
import ts from 'typescript-eslint'

export default ts.config(
  { ignores: ['dist/', 'node_modules/', 'src/api/schema.d.ts'] },
  ...ts.configs.recommendedTypeChecked,
  ...vue.configs['flat/recommended'],
  {
    languageOptions: {
      globals: globals.browser,
      parserOptions: {
        project: './tsconfig.json',
        tsconfigRootDir: import.meta.dirname,
        extraFileExtensions: ['.vue'],
      },
    },
    plugins: { '@intlify/vue-i18n': vueI18n },
    rules: {
      '@typescript-eslint/no-unnecessary-type-assertion': 'off', // it takes away what vue-tsc needs
      // What a person reads stands in src/i18n, in every language.
      '@intlify/vue-i18n/no-raw-text': [
        'error',
        {
          ignoreNodes: ['code', 'kbd'],
          ignorePattern: '^([^\\p{L}]*|Fribbet)$',
          attributes: { '/.+/': ['aria-label', 'title', 'placeholder', 'alt', 'label', 'hint'] },
        },
      ],
      // What is written in a script is read by people too: it stands with the other texts.
      'no-restricted-syntax': [
        'error',
        {
          selector: 'Literal[value=/^(\\d\\S*|[A-Za-z][a-z]+) [a-z]{2,}( [a-z]+)*[.?!]?$/]',
          message: 'words for people stand in i18n',
        },
        {
          // A list made anew is another list: what it watches would seem to change with every answer.
          selector: 'CallExpression[callee.name="watch"] > ArrowFunctionExpression:first-child > ArrayExpression.body',
          message: 'watch a list of getters, not a getter of a list',
        },
      ],
      'vue/no-restricted-syntax': [
        'error',
        {
          selector: 'Literal[value=/^(\\d\\S*|[A-Za-z][a-z]+) [a-z]{2,}( [a-z]+)*[.?!]?$/]',
          message: 'words for people stand in i18n',
        },
      ],
      // A file that is longer is two.
      'max-lines': ['error', 400],
    },
  },
  { files: ['**/*.vue'], languageOptions: { parserOptions: { parser: ts.parser } } },
  {
    // What a component is to another vue-tsc knows, and not this.
    files: ['**/*.vue', 'src/main.ts', 'src/router.ts'],
    rules: {
      '@typescript-eslint/no-unsafe-argument': 'off',
      '@typescript-eslint/no-unsafe-assignment': 'off',
      '@typescript-eslint/no-unsafe-call': 'off',
      '@typescript-eslint/no-unsafe-member-access': 'off',
      '@typescript-eslint/no-unsafe-return': 'off',
    },
  },
  { files: ['**/*.js', '**/*.mjs', 'bare/**', 'vite.config.ts'], ...ts.configs.disableTypeChecked },
  { files: ['**/*.test.ts'], rules: { 'no-restricted-syntax': 'off' } }, // a test is named in words
  prettier, // how it is laid out is prettier's
  // What prettier does not break: comments, and a path of a drawing is one line however long it is.
  { rules: { 'max-len': ['error', { code: 120, ignoreTemplateLiterals: true, ignorePattern: "'M[\\d.]+ " }] } },
)
