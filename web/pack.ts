import { readdirSync, readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { brotliCompressSync, constants, gzipSync } from 'node:zlib'
import type { Plugin } from 'vite'

/** Packs what the browser fetches, once, as small as it goes; the server picks what the browser can read. */
export const pack = (): Plugin => ({
  name: 'pack',
  apply: 'build',
  writeBundle({ dir = 'dist' }) {
    for (const name of readdirSync(dir, { recursive: true, encoding: 'utf8' })) {
      if (!/^assets.*\.(js|css)$/.test(name)) continue
      const file = join(dir, name)
      const content = readFileSync(file)
      writeFileSync(
        `${file}.br`,
        brotliCompressSync(content, { params: { [constants.BROTLI_PARAM_QUALITY]: 11 } }),
      )
      writeFileSync(`${file}.gz`, gzipSync(content, { level: 9 }))
    }
  },
})
