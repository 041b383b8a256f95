import { readdirSync, readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { brotliCompressSync, gzipSync } from 'node:zlib'
import type { Plugin } from 'vite'

/** Below this a file is no smaller by it: all of it goes in one packet. */
const LEAST_BYTES = 1000

/** Writes what browsers fetch a second and third time, as small as it gets, so that the service need not at each visit. */
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
