import { createHash } from 'node:crypto'
import { readFileSync } from 'node:fs'
import { relative } from 'node:path'
import { fileURLToPath } from 'node:url'
import { build } from 'vite'
import { filesBelow } from './files-below.mjs'

const digest = parts => {
  const hash = createHash('sha256')
  for (const part of parts) hash.update(part)
  return hash.digest('hex').slice(0, 16)
}

/** Builds one script of its own from src/offline beside the pages. */
const buildScript = (name, outDir, define = {}) =>
  build({
    configFile: false,
    logLevel: 'warn',
    publicDir: false,
    define: { 'process.env.NODE_ENV': '"production"', ...define },
    build: {
      outDir,
      emptyOutDir: false,
      lib: {
        entry: fileURLToPath(new URL(`../../src/offline/${name}.ts`, import.meta.url)),
        formats: ['iife'],
        name: 'script',
      },
      rollupOptions: { output: { entryFileNames: `${name}.js` } },
    },
  })

/** Builds the service worker, with the list of everything that is shipped in it, and what an export begins with. */
export const offline = () => ({
  name: 'offline',
  hooks: {
    'astro:build:done': async ({ dir }) => {
      const client = fileURLToPath(dir)
      await buildScript('at-files', client)
      const files = filesBelow(client).map(file => ({ url: `/${relative(client, file)}`, bytes: readFileSync(file) }))
      // What has its digest in its name is told apart by it.
      const shipped = files.map(({ url, bytes }) => ({
        url,
        revision: url.startsWith('/_astro/') ? null : digest([bytes]),
      }))
      const server = filesBelow(fileURLToPath(new URL('../server/', dir)))
      const version = digest([...files.map(({ url }) => url), ...server.map(file => readFileSync(file))])
      await buildScript('sw', client, { SHIPPED: JSON.stringify(shipped), BUILD: JSON.stringify(version) })
    },
  },
})
