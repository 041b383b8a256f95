import vue from '@vitejs/plugin-vue'
import { resolve } from 'node:path'
import { defineConfig } from 'vite'
import { compressed } from './compressed.ts'

/** The owner's application, and the page that the stage shows. */
export default defineConfig({
  root: 'src/workbench',
  base: '/workbench/',
  plugins: [vue(), compressed()],
  build: {
    outDir: '../../dist/workbench',
    emptyOutDir: true,
    // Whose work it holds; part of the archive's notice.
    license: { fileName: 'licences.md' },
    target: 'es2022',
    chunkSizeWarningLimit: 900,
    rolldownOptions: {
      checks: { pluginTimings: false },
      input: { index: resolve('src/workbench/index.html'), stage: resolve('src/workbench/stage.html') },
    },
  },
})
