import vue from '@vitejs/plugin-vue'
import { defineConfig } from 'vite'

/** The elements that visitors meet: one script, no styles or chunks beside it. */
export default defineConfig({
  plugins: [vue({ features: { optionsAPI: false, customElement: true } })],
  define: { 'process.env.NODE_ENV': '"production"' },
  publicDir: false,
  build: {
    outDir: 'dist/elements',
    emptyOutDir: true,
    target: 'es2022',
    modulePreload: false,
    rolldownOptions: {
      checks: { pluginTimings: false },
      input: 'src/visitor/elements.ts',
      output: { format: 'es', entryFileNames: 'tidy-lantern.js', codeSplitting: false },
    },
  },
})
