import { readFile, writeFile } from 'node:fs/promises'
import { fileURLToPath } from 'node:url'
import { promisify } from 'node:util'
import { brotliCompress, constants, gzip } from 'node:zlib'
import { filesBelow } from './files-below.mjs'

const TEXT = /\.(js|css|svg|json|webmanifest)$/
/** Below this a compressed file saves nothing, bytes. */
const LEAST = 1024
/** Files compressed at once: as many as Node has threads for it. */
const AT_ONCE = 4
/** One below the best effort: half the time for three bytes more in a hundred. */
const BROTLI = { params: { [constants.BROTLI_PARAM_QUALITY]: 10 } }

async function compress(file) {
  const bytes = await readFile(file)
  if (bytes.length < LEAST) return
  await writeFile(`${file}.br`, await promisify(brotliCompress)(bytes, BROTLI))
  await writeFile(`${file}.gz`, await promisify(gzip)(bytes, { level: 9 }))
}

/** Lays a brotli and a gzip copy beside every text the browser fetches, so that the server compresses none. */
export const compressed = () => ({
  name: 'compressed',
  hooks: {
    'astro:build:done': async ({ dir }) => {
      const files = filesBelow(fileURLToPath(dir)).filter(file => TEXT.test(file))
      const next = async () => {
        for (let file = files.pop(); file !== undefined; file = files.pop()) await compress(file)
      }
      await Promise.all(Array.from({ length: AT_ONCE }, next))
    },
  },
})
