// npm run export: writes the application as plain files, for any HTTPS server.
//   npm run export -- FOLDER     another folder than ./export: an empty one, or one that was exported to before
//   npm run export -- --empty    an empty workshop for a browser that has none yet, instead of the demo
import { cpSync, existsSync, mkdirSync, readdirSync, rmSync, writeFileSync } from 'node:fs'
import { dirname, join, resolve } from 'node:path'
import { ensureBuild, ensurePackages, ROOT } from './bootstrap.mjs'

/** Lies in every export, so that no other folder is ever emptied. */
const MARK = 'tawny-ember-export.json'

const [named] = process.argv.slice(2).filter(word => !word.startsWith('--'))
const folder = resolve(named ?? join(ROOT, 'export'))
if (existsSync(folder) && readdirSync(folder).length > 0 && !existsSync(join(folder, MARK))) {
  console.error(`${folder} holds something else. Name an empty folder, or one that was exported to before.`)
  process.exit(1)
}
ensurePackages()
ensureBuild()
process.env.TAWNY_DEMO = process.argv.includes('--empty') ? 'off' : 'on'
process.env.TAWNY_FILES = 'on'
// Their packages are there only now.
const { loadCore } = await import('./load-core.mjs')
const { serve } = await import('./serve.mjs')
const { load, close } = await loadCore()
const { KEPT_SHELLS } = await load('/src/offline/shells.ts')
await close()

/** The policy goes into the page; what only a header can say (who may frame it) is left to the server that holds the files. */
const withPolicy = (html, header) => {
  const [policy] = header.split(/,\s*frame-ancestors/)
  return html.replace(
    '<head>',
    `<head><meta http-equiv="content-security-policy" content="${policy}"><script src="/at-files.js"></script>`,
  )
}

rmSync(folder, { recursive: true, force: true })
cpSync(join(ROOT, 'dist', 'client'), folder, { recursive: true })
writeFileSync(join(folder, MARK), `${JSON.stringify({ of: 'Tawny Ember' })}\n`)
const server = await serve({ host: '127.0.0.1', port: 0 })
for (const shell of [...KEPT_SHELLS, '/404']) {
  const answer = await fetch(`http://127.0.0.1:${server.address().port}${shell}`)
  if (!answer.ok && shell !== '/404') throw new Error(`${shell} could not be written: ${answer.status}`)
  const file = shell === '/404' ? join(folder, '404.html') : join(folder, shell, 'index.html')
  mkdirSync(dirname(file), { recursive: true })
  writeFileSync(file, withPolicy(await answer.text(), answer.headers.get('content-security-policy') ?? ''))
}
server.closeAllConnections()
server.close()
console.log(`Written to ${folder}. Hold it at the root of an HTTPS address; docs/files.md says how.`)
