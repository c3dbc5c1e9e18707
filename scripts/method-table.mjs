// npm run method: writes the table of checks into docs/method.md, between its two marks.
import { readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { createServer } from 'vite'
import { ROOT } from './bootstrap.mjs'

const [FROM, TO] = ['<!-- checks -->', '<!-- /checks -->']
const file = join(ROOT, 'docs', 'method.md')
const server = await createServer({
  root: ROOT,
  configFile: false,
  server: { middlewareMode: true },
  appType: 'custom',
})
const { checkTable } = await server.ssrLoadModule('/src/core/steel/check-table.ts')
const text = readFileSync(file, 'utf8')
const [before, rest] = text.split(FROM)
const [, after] = (rest ?? '').split(TO)
if (after === undefined) throw new Error(`${file} has no ${FROM} … ${TO}`)
writeFileSync(file, `${before}${FROM}\n\n${checkTable()}\n\n${TO}${after}`)
await server.close()
