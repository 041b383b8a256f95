import vue from '@vitejs/plugin-vue'
import { defineConfig } from 'vite'

/** The elements that visitors meet: one script that a page names, and beside it what it fetches when needed. */
export default defineConfig({
  plugins: [vue({ features: { optionsAPI: false, customElement: true } })],
  define: { 'process.env.NODE_ENV': '"production"' },
  publicDir: false,
  build: {
    outDir: 'dist/elements',
    emptyOutDir: true,
    target: 'es2022',
    modulePreload: false,
    // A library's imports are the browser's own, without a helper that every part would share with the script itself.
    lib: { entry: 'src/visitor/elements.ts', formats: ['es'] },
    rolldownOptions: {
      checks: { pluginTimings: false },
      output: {
        minify: true,
        entryFileNames: 'tidy-lantern.js',
        chunkFileNames: 'parts/[name]-[hash].js',
        // Nothing may import the script itself: a page may name it with something behind it, or twice.
        codeSplitting: {
          groups: [
            { name: 'vue', test: /node_modules/ },
            { name: 'start', tags: ['$initial'] },
          ],
        },
      },
    },
  },
})
