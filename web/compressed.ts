import { readdirSync, readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { brotliCompressSync, gzipSync } from 'node:zlib'
import type { Plugin } from 'vite'

/** Below this a file is no smaller by it: all of it goes in one packet. */
const LEAST_BYTES = 1000

type Gzip = (file: Buffer) => Uint8Array | Promise<Uint8Array>

/**
 * Puts each file there compressed as well, so that the service need not do it at each visit.
 *
 * @param gzip what browsers get of a site without https, which take no Brotli
 */
export const compressed = (gzip: Gzip = file => gzipSync(file, { level: 9 })): Plugin => ({
  name: 'compressed',
  apply: 'build',
  async writeBundle({ dir }) {
    for (const name of readdirSync(dir!, { recursive: true, encoding: 'utf8' })) {
      if (!/\.(js|css|svg)$/.test(name)) continue
      const path = join(dir!, name)
      const file = readFileSync(path)
      if (file.length < LEAST_BYTES) continue
      writeFileSync(`${path}.br`, brotliCompressSync(file))
      writeFileSync(`${path}.gz`, await gzip(file))
    }
  },
})
