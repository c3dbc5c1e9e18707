// npm run endure:browser [kills]: kills a real browser in the midst of writes, over and over, and looks at what is left.
import { spawn } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { setTimeout as wait } from 'node:timers/promises'
import { chromium } from '@playwright/test'
import { omit } from 'zod/mini'
import { testBrowser } from './browser.mjs'
import { loadCore } from './load-core.mjs'
import { freePort } from './ports.mjs'
import { serve } from './serve.mjs'

const KILLS = Number(process.argv[2] ?? 100)
const EXECUTABLE = testBrowser()
const NOTE = 'Note: whom the blades are for, or anything else'
process.env.TAWNY_DEMO = 'on'

const port = await freePort(4700, '127.0.0.1')
await serve({ host: '127.0.0.1', port })
const address = `http://127.0.0.1:${port}`
const profile = mkdtempSync(join(tmpdir(), 'tawny-endure-'))
const core = await loadCore()
const { batchSchema } = await core.load('/src/core/shop/batch.ts')
const { bladeSchema } = await core.load('/src/core/shop/blade.ts')

/** A browser of its own, so that it can be killed as a whole: by its process, without a word. */
async function start() {
  const debug = await freePort(9300, '127.0.0.1')
  const flags = [
    '--no-sandbox',
    '--headless=new',
    '--no-first-run',
    `--user-data-dir=${profile}`,
    `--remote-debugging-port=${debug}`,
  ]
  const child = spawn(EXECUTABLE, [...flags, 'about:blank'], { stdio: 'ignore', detached: true })
  for (let i = 0; i < 100; i++) {
    const browser = await chromium.connectOverCDP(`http://127.0.0.1:${debug}`).catch(() => null)
    if (browser) {
      const context = browser.contexts()[0]
      return { child, page: context.pages()[0] ?? (await context.newPage()) }
    }
    await wait(100)
  }
  throw new Error('the browser did not start')
}

const kill = ({ child }) => {
  process.kill(-child.pid, 'SIGKILL')
  return wait(300)
}

/** Whole tables as they are stored, read past the application. */
const tablesOf = page =>
  page.evaluate(
    () =>
      new Promise((resolve, reject) => {
        const open = indexedDB.open('tawny-ember')
        open.onerror = () => reject(open.error)
        open.onsuccess = () => {
          const names = ['batches', 'blades']
          const transaction = open.result.transaction(names, 'readonly')
          const asked = names.map(name => transaction.objectStore(name).getAll())
          transaction.oncomplete = () => {
            open.result.close()
            resolve(Object.fromEntries(names.map((name, i) => [name, asked[i].result])))
          }
        }
      }),
  )

let browser = await start()
await browser.page.goto(`${address}/batches`)
const link = browser.page.getByRole('link', { name: /Skerry fillets/ }).first()
const href = (await link.getAttribute('href')).replace('choose', 'prepare')
const id = href.split('/')[2]
const noteOf = ({ batches }) => Number(batches.find(batch => batch.id === id)?.note.replace(/^kept /, '') || -1)

let [count, typed, acknowledged, lost, broken, unfinished] = [0, -1, -1, 0, 0, 0]
for (let kills = 0; kills < KILLS; kills++) {
  const { page } = browser
  await page.goto(address + href)
  const field = page.getByLabel(NOTE)
  await field.waitFor()
  const stopAt = Date.now() + 200 + Math.random() * 1800
  const typing = (async () => {
    while (Date.now() < stopAt + 500) {
      typed = count++
      await field.fill(`kept ${typed}`)
      await field.press('Tab')
      await wait(Math.random() * 40)
      // Only what the storage itself gives back counts as stored.
      const stored = noteOf(await tablesOf(page))
      if (stored > acknowledged) acknowledged = stored
    }
  })().catch(() => undefined)
  await wait(Math.max(0, stopAt - Date.now()))
  await kill(browser)
  await typing
  browser = await start()
  await browser.page.goto(address)
  await browser.page.getByRole('heading', { level: 1 }).waitFor()
  const { batches, blades } = await tablesOf(browser.page)
  const now = noteOf({ batches })
  if (now < acknowledged) lost++
  if (now < typed) unfinished++
  const known = new Set(batches.map(batch => batch.id))
  const fits = batches.every(({ ...batch }) => omit(batchSchema, { blades: true }).safeParse(batch).success)
  if (!fits || !blades.every(blade => bladeSchema.safeParse(blade).success && known.has(blade.batchId))) broken++
  acknowledged = Math.max(acknowledged, now)
  if ((kills + 1) % 10 === 0) console.log(`${kills + 1} kills: ${count} typed, ${lost} lost, ${broken} half done`)
}
await kill(browser)
await core.close()
rmSync(profile, { recursive: true, force: true })
console.log(
  `${KILLS} kills of the browser: of ${count} notes typed none that was stored may be lost: ${lost} were; tables that do not fit: ${broken}; ` +
    `typed and not yet stored at a kill: ${unfinished}`,
)
process.exit(lost + broken > 0 ? 1 : 0)
