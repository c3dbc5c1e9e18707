import { readFile, writeFile } from 'node:fs/promises'
import { fileURLToPath } from 'node:url'
import { promisify } from 'node:util'
import { brotliCompress, gzip } from 'node:zlib'
import { filesBelow } from './files-below.mjs'

const TEXT = /\.(js|css|svg|json|webmanifest)$/
/** Below this a compressed file saves nothing, bytes. */
const LEAST = 1024

/** Lays a brotli and a gzip copy beside every text the browser fetches, so that the server compresses none. */
export const compressed = () => ({
  name: 'compressed',
  hooks: {
    'astro:build:done': async ({ dir }) => {
      const folder = fileURLToPath(dir)
      for (const file of filesBelow(folder)) {
        if (!TEXT.test(file)) continue
        const bytes = await readFile(file)
        if (bytes.length < LEAST) continue
        await writeFile(`${file}.br`, await promisify(brotliCompress)(bytes))
        await writeFile(`${file}.gz`, await promisify(gzip)(bytes, { level: 9 }))
      }
    },
  },
})
