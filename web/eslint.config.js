import vueI18n from '@intlify/eslint-plugin-vue-i18n'
import globals from 'globals'
import vue from 'eslint-plugin-vue'
import ts from 'typescript-eslint'

export default ts.config(
  { ignores: ['dist/', 'node_modules/', 'src/api/schema.d.ts'] },
  ...ts.configs.recommended,
  ...vue.configs['flat/recommended'],
  {
    languageOptions: { globals: globals.browser },
    plugins: { '@intlify/vue-i18n': vueI18n },
    rules: {
      // What a person reads stands in src/i18n, in every language.
      '@intlify/vue-i18n/no-raw-text': ['error', { ignoreNodes: ['code', 'kbd'], ignorePattern: '^([^\\p{L}]*|Fribbet)$', attributes: { '/.+/': ['aria-label', 'title', 'placeholder', 'alt', 'label', 'hint'] } }],
      // What is written in a script is read by people too: it stands with the other texts.
      'no-restricted-syntax': ['error', { selector: 'Literal[value=/^(\\d\\S*|[A-Za-z][a-z]+) [a-z]{2,}( [a-z]+)*[.?!]?$/]', message: 'words for people stand in i18n' }],
      'vue/no-restricted-syntax': ['error', { selector: 'Literal[value=/^(\\d\\S*|[A-Za-z][a-z]+) [a-z]{2,}( [a-z]+)*[.?!]?$/]', message: 'words for people stand in i18n' }],
      // The house style: short attributes stay on one line, and names say what they are.
      'vue/max-attributes-per-line': 'off',
      'vue/singleline-html-element-content-newline': 'off',
      'vue/html-self-closing': ['error', { html: { void: 'always' } }],
      'vue/multiline-html-element-content-newline': 'off',
      'vue/html-indent': 'off',
      'vue/html-closing-bracket-newline': 'off',
      'vue/first-attribute-linebreak': 'off',
    },
  },
  { files: ['**/*.vue'], languageOptions: { parserOptions: { parser: ts.parser } } },
)
