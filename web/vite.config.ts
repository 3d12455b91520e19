import { readFileSync } from 'node:fs'
import purgeCss from '@fullhuman/postcss-purgecss'
import vueI18n from '@intlify/unplugin-vue-i18n/vite'
import vue from '@vitejs/plugin-vue'
import { defineConfig } from 'vite'
import { compression } from 'vite-plugin-compression2'
import { VitePWA } from 'vite-plugin-pwa'

// A style whose names stand in none of these is left out.
const usesClasses = [
  'index.html',
  'src/**/*.{vue,ts}',
  'node_modules/bootstrap-vue-next/dist/{BButton,BForm,BFormInput,BFormSelect,BFormCheckbox,BModal}-*.js',
]
// Those that the components put together out of parts.
const composed = [
  /^modal/,
  /^btn-(go|plain|close|sm)/,
  /^form-(check|switch)/,
  /^form-(select|control)$/,
  /focus-visible/,
  /^is-invalid/,
  /^fade/,
  /^show$/,
  /^router-link/,
  /hidden/,
]

/** The page that shows the contract is shipped as its makers built it; its own part stands in public/api-docs. */
const contractPage = {
  name: 'contract-page',
  generateBundle(this: { emitFile: (file: { type: 'asset'; fileName: string; source: Uint8Array }) => void }) {
    for (const file of ['swagger-ui.css', 'swagger-ui-bundle.js'])
      this.emitFile({
        type: 'asset',
        fileName: `api-docs/${file}`,
        source: readFileSync(`node_modules/swagger-ui-dist/${file}`),
      })
  },
}

const onEveryFirstScreen = new RegExp(
  [
    'node_modules/(@?vue|@intlify|@tanstack|openapi-fetch)',
    'src/(api/(client|queries)|dates|units|i18n/\\w+\\.ts|local|parts/(AnswerState|AppIcon|RefusalNote|WhyTable))',
  ].join('|'),
)

export default defineConfig({
  plugins: [
    vue(),
    // texts are read at build, none in the browser
    vueI18n({ include: 'src/i18n/*/*.json', runtimeOnly: true, dropMessageCompiler: true, fullInstall: false }),
    contractPage,
    VitePWA({
      strategies: 'injectManifest',
      srcDir: 'src',
      filename: 'sw.ts',
      injectRegister: false,
      injectManifest: { globPatterns: ['**/*.{js,css,html,svg,woff2}'], globIgnores: ['api-docs/**'] },
      manifest: {
        name: 'Fribbet',
        short_name: 'Fribbet',
        description: 'Keeps a dog’s nails right',
        display: 'standalone',
        start_url: '/',
        background_color: '#f3ecdd',
        theme_color: '#22303a',
        icons: [
          { src: '/mark.svg', sizes: 'any', type: 'image/svg+xml' },
          { src: '/mark-192.png', sizes: '192x192', type: 'image/png' },
          { src: '/mark-512.png', sizes: '512x512', type: 'image/png' },
        ],
      },
    }),
    compression({
      algorithms: ['gzip', 'brotliCompress'],
      include: /\.(js|css|html|svg|webmanifest)$/,
      threshold: 512,
    }),
  ],
  // Bootstrap's own Sass still uses @import; its warnings are not ours to mend.
  css: {
    preprocessorOptions: { scss: { quietDeps: true, silenceDeprecations: ['import'] } },
    postcss: { plugins: [purgeCss({ content: usesClasses, variables: true, safelist: composed })] },
  },
  // What of the libraries nobody here uses is left out at build.
  define: {
    __VUE_OPTIONS_API__: false,
    __VUE_I18N_FULL_INSTALL__: false,
    __VUE_I18N_LEGACY_API__: false,
    __INTLIFY_PROD_DEVTOOLS__: false,
  },
  build: {
    emptyOutDir: true,
    assetsInlineLimit: file => file.endsWith('.svg'),
    // What every first screen needs comes in one piece: thirty small ones are each fetched, read and linked by
    // themselves.
    rolldownOptions: {
      output: {
        codeSplitting: {
          groups: [
            {
              name: 'first',
              test: onEveryFirstScreen,
              minShareCount: 3,
            },
          ],
        },
      },
    },
  },
  server: { proxy: { '/api': 'http://127.0.0.1:8642' } },
})
