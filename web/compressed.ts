import { readdirSync, readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { brotliCompressSync, gzipSync } from 'node:zlib'
import type { Plugin } from 'vite'

/** Below this a file is no smaller by it: all of it goes in one packet. */
const LEAST_BYTES = 1000

/** Puts each file there compressed as well, as small as it gets, so that the service need not do it at each visit. */
export const compressed: Plugin = {
  name: 'compressed',
  apply: 'build',
  writeBundle({ dir }) {
    for (const name of readdirSync(dir!, { recursive: true, encoding: 'utf8' })) {
      if (!/\.(js|css|svg)$/.test(name)) continue
      const path = join(dir!, name)
      const file = readFileSync(path)
      if (file.length < LEAST_BYTES) continue
      writeFileSync(`${path}.br`, brotliCompressSync(file))
      writeFileSync(`${path}.gz`, gzipSync(file, { level: 9 }))
    }
  },
}
