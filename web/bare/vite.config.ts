import vue from '@vitejs/plugin-vue'
import { defineConfig } from 'vite'

// The empty page of `make pages`, built as the program is.
export default defineConfig({ root: import.meta.dirname, plugins: [vue()], build: { emptyOutDir: true } })
