import vue from '@vitejs/plugin-vue'
import { defineConfig } from 'vite'

export default defineConfig({
  plugins: [vue()],
  // Bootstrap's own Sass still uses @import; its warnings are not ours to mend.
  css: { preprocessorOptions: { scss: { quietDeps: true, silenceDeprecations: ['import'] } } },
  build: { emptyOutDir: true, assetsInlineLimit: (file) => file.endsWith('.svg') },
  server: { proxy: { '/api': 'http://127.0.0.1:8642' } },
})
