import { gzipAsync } from '@gfx/zopfli'
import vue from '@vitejs/plugin-vue'
import { minify } from 'terser'
import { defineConfig, type Plugin } from 'vite'
import { compressed } from './compressed.ts'

/** Makes each part as small as it gets: a visitor waits for every one of them, once for each version. */
const small: Plugin = {
  name: 'small',
  async renderChunk(code) {
    const { code: smaller } = await minify(code, { module: true, ecma: 2020, compress: { passes: 3 } })
    return { code: smaller ?? code, map: null }
  },
}

/** It takes seconds where the usual takes none, and is smaller by one part in thirty. */
const smallGzip = (file: Buffer) => gzipAsync(file, { numiterations: 15 })

/** The elements that visitors meet: one script that a page names, and beside it what it fetches when needed. */
export default defineConfig({
  plugins: [vue({ features: { optionsAPI: false, customElement: true } }), small, compressed(smallGzip)],
  define: {
    'process.env.NODE_ENV': '"production"',
    // Vue asks for a policy of its own, which strict pages refuse aloud; nothing here is ever inserted as HTML.
    'window.trustedTypes': 'undefined',
    SCRIPT_VERSION: JSON.stringify(process.env.TIDY_LANTERN_VERSION ?? 'unversioned'),
  },
  publicDir: false,
  build: {
    outDir: 'dist/elements',
    emptyOutDir: true,
    // Whose work it holds; part of the archive's notice.
    license: { fileName: 'licences.md' },
    target: 'es2022',
    modulePreload: false,
    // For the hosted page, which tells browsers at once which parts it needs.
    manifest: 'parts.json',
    // A library's imports are the browser's own, without a helper that every part would share with the script itself.
    lib: { entry: 'src/visitor/elements.ts', formats: ['es'] },
    rolldownOptions: {
      checks: { pluginTimings: false },
      output: {
        // The two minifiers see different things: together they are 0.6 kB smaller than either.
        minify: true,
        entryFileNames: 'tidy-lantern.js',
        chunkFileNames: 'parts/[name]-[hash].js',
        // Nothing may import the script itself: a page may name it with something behind it, or twice.
        codeSplitting: {
          groups: [
            { name: 'vue', test: /node_modules/ },
            { name: 'start', tags: ['$initial'] },
            { name: 'drawing', minShareCount: 2 },
          ],
        },
      },
    },
  },
})
