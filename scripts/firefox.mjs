// npm run firefox: walks the application in another browser (Debian's firefox-esr, over WebDriver BiDi), types into it, and kills it.
import { spawn } from 'node:child_process'
import { existsSync, mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { setTimeout as wait } from 'node:timers/promises'
import WebSocket from 'ws'
import { freePort } from './ports.mjs'
import { serve } from './serve.mjs'

const EXECUTABLE = process.env.FIREFOX ?? '/usr/bin/firefox-esr'
const PLACES = ['/', '/batches', '/recipes', '/steels', '/workshop', '/logbook', '/steels?view=suggest']
const BENCHES = 'choose prepare wrap heat plates inspect cold temper measure verdict finish prove'.split(' ')
/** A page that shows nothing for so long shows nothing, ms. */
const PATIENCE_MS = 30_000

if (!existsSync(EXECUTABLE)) {
  console.error(`There is no Firefox at ${EXECUTABLE}: apt-get install firefox-esr, or name yours in FIREFOX.`)
  process.exit(1)
}
process.env.TAWNY_DEMO = 'on'
const port = await freePort(4760, '127.0.0.1')
await serve({ host: '127.0.0.1', port })
const ADDRESS = `http://127.0.0.1:${port}`
const profile = mkdtempSync(join(tmpdir(), 'tawny-firefox-'))
/** Errors reported by pages, with their address. */
const faults = []
/** The page that stands there; none while the browser shows pages of its own, as after a kill. */
let here = ''

/** Starts the browser with its profile and speaks with it: the protocol is the W3C's WebDriver BiDi. */
async function start() {
  const args = ['--headless', '--no-remote', '--profile', profile, '--remote-debugging-port', '0']
  const child = spawn(EXECUTABLE, args, { stdio: ['ignore', 'ignore', 'pipe'], detached: true })
  const address = await new Promise((resolve, reject) => {
    child.stderr.on('data', said => {
      const found = /WebDriver BiDi listening on (ws:\S+)/.exec(String(said))
      if (found) resolve(found[1])
    })
    setTimeout(() => reject(new Error('Firefox did not start')), PATIENCE_MS).unref()
  })
  const socket = new WebSocket(`${address}/session`)
  await new Promise((resolve, reject) => socket.on('open', resolve).on('error', reject))
  let count = 0
  const waiting = new Map()
  socket.on('message', text => {
    const told = JSON.parse(text)
    if (told.method === 'log.entryAdded' && told.params.level === 'error' && here !== '')
      faults.push(`${here}: ${told.params.text}`)
    waiting.get(told.id)?.(told)
    waiting.delete(told.id)
  })
  const send = (method, params = {}) =>
    new Promise((resolve, reject) => {
      waiting.set(++count, told =>
        told.type === 'error' ? reject(new Error(`${method}: ${told.message}`)) : resolve(told.result),
      )
      socket.send(JSON.stringify({ id: count, method, params }))
    })
  const { capabilities } = await send('session.new', { capabilities: {} })
  await send('session.subscribe', { events: ['log.entryAdded'] })
  const [{ context }] = (await send('browsingContext.getTree')).contexts

  const evaluate = async expression => {
    const { result, exceptionDetails } = await send('script.evaluate', {
      expression,
      target: { context },
      awaitPromise: true,
    })
    if (exceptionDetails) throw new Error(exceptionDetails.text)
    return result.value
  }
  /** Resolves with the value of an expression once it is truthy. */
  const until = async (what, expression) => {
    for (const end = Date.now() + PATIENCE_MS; Date.now() < end; await wait(100)) {
      const value = await evaluate(expression)
      if (value) return value
    }
    throw new Error(`${what} never came: ${await evaluate('document.body.innerText.slice(0, 400)')}`)
  }
  const type = async text => {
    const keys = [...text].flatMap(value => [
      { type: 'keyDown', value },
      { type: 'keyUp', value },
    ])
    await send('input.performActions', { context, actions: [{ type: 'key', id: 'keys', actions: keys }] })
  }
  return {
    version: capabilities.browserVersion,
    goto: path => send('browsingContext.navigate', { context, url: `${ADDRESS}${path}`, wait: 'complete' }),
    evaluate,
    until,
    type,
    kill: async () => {
      here = ''
      process.kill(-child.pid, 'SIGKILL')
      await wait(500)
    },
  }
}

/** Opens a page: what it is headed by, once it stands. */
async function visit(browser, path) {
  here = path
  await browser.goto(path)
  const heading = await browser.until(`A heading at ${path}`, 'document.querySelector("h1")?.textContent ?? ""')
  await wait(1500)
  const stopped = await browser.evaluate('document.body.innerText.includes("This view stopped")')
  if (stopped) throw new Error(`${path} stopped`)
  return heading
}

let browser = await start()
console.log(`Firefox ${browser.version}`)
for (const path of PLACES) console.log(`${path}: ${await visit(browser, path)}`)

await visit(browser, '/batches')
const batch = await browser.until(
  'The demo batch',
  `[...document.querySelectorAll('a[href^="/batch/"]')].find(a => a.textContent.includes('Skerry fillets'))?.getAttribute('href') ?? ''`,
)
for (const bench of BENCHES) {
  await visit(browser, batch.replace(/[^/]+$/, bench))
  await browser.until(`The bench ${bench}`, 'document.querySelector("h2")?.textContent ?? ""')
}
console.log(`${BENCHES.length} benches of ${batch}`)

const note = `Typed in another browser, ${new Date().toISOString()}`
const FIELD = `[...document.querySelectorAll('label')].find(label => label.textContent.startsWith('Note: '))?.control`
await visit(browser, batch.replace(/[^/]+$/, 'prepare'))
await browser.until('The note', `${FIELD} != null`)
await browser.evaluate(`${FIELD}.focus(); ${FIELD}.select()`)
await browser.type(note)
await browser.evaluate(`${FIELD}.blur()`)
await wait(1500)
await browser.kill()

browser = await start()
await visit(browser, batch.replace(/[^/]+$/, 'prepare'))
const kept = await browser.until('The note after the kill', `${FIELD}?.value ?? ""`)
const isKept = kept === note
console.log(isKept ? 'A note typed 1.5 s before the browser was killed is there.' : `The note was lost: ${kept}`)
await browser.kill()
rmSync(profile, { recursive: true, force: true })
for (const fault of faults) console.log(`  ${fault}`)
console.log(faults.length === 0 ? 'No page said that anything went wrong.' : `${faults.length} faults.`)
process.exit(isKept && faults.length === 0 ? 0 : 1)
