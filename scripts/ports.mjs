import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import { createServer } from 'node:net'
import { dirname, join } from 'node:path'
import { ROOT } from './bootstrap.mjs'

const isFree = (port, host) =>
  new Promise(resolve => {
    const probe = createServer()
    probe.once('error', () => resolve(false))
    probe.listen(port, host, () => probe.close(() => resolve(true)))
  })

/** The first free port from one on; what was stepped over is said. */
export async function freePort(from, host) {
  for (let port = from; port < from + 100; port++) {
    if (await isFree(port, host)) {
      if (port !== from) console.log(`Port ${from} is taken; using ${port}.`)
      return port
    }
  }
  throw new Error(`No free port between ${from} and ${from + 99}.`)
}

const FIRST_PORT = 4330
/** Outside node_modules, which an update lays down anew. */
const KEPT = join(ROOT, '.cache', 'port')

/**
 * The port that was used before, kept in a file. A browser keeps a workshop for each port: at another one it would be empty, so
 * another is only taken when it is asked for; otherwise an error says what to do. The first time, the first that is free.
 */
export async function portToUse(
  host,
  { keptIn = KEPT, wanted = process.env.PORT, another = false, first = FIRST_PORT } = {},
) {
  if (wanted !== undefined) return freePort(Number(wanted), host)
  const kept = existsSync(keptIn) ? Number(readFileSync(keptIn, 'utf8')) : null
  if (kept !== null && !another) {
    if (await isFree(kept, host)) return kept
    throw new Error(
      `Port ${kept} is taken, perhaps by Tawny Ember itself: look at http://127.0.0.1:${kept}/ first. ` +
        'Your workshop belongs to that port; at another one it would be empty. ' +
        'To begin at another port all the same: npm start -- --another-port',
    )
  }
  const port = await freePort(kept === null ? first : kept + 1, host)
  if (kept === null) {
    mkdirSync(dirname(keptIn), { recursive: true })
    writeFileSync(keptIn, String(port))
  }
  return port
}
