// npm run tablet [visits]: what a person feels on a slow tablet, measured in a real browser slowed four times, whose profile stays and
// which has the service worker: how long a bench takes that was seen before, with the log as it was and after it changed, and how
// many frames come in time while something is dragged. Needs a build (npm run build). Times are this machine's own.
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromium } from '@playwright/test'
import { median } from 'simple-statistics'
import { testBrowser } from './browser.mjs'
import { freePort } from './ports.mjs'
import { serve } from './serve.mjs'

const VISITS = Number(process.argv[2] ?? 5)
const SLOWED = 4
/** A frame that comes later after the one before has missed its turn, ms. */
const IN_TIME_MS = 20
const FIELD = 'main section input, main section button, main section select'
process.env.TAWNY_DEMO = 'on'

const port = await freePort(4720, '127.0.0.1')
await serve({ host: '127.0.0.1', port })
const profile = mkdtempSync(join(tmpdir(), 'tawny-tablet-'))
const browser = await chromium.launchPersistentContext(profile, {
  executablePath: testBrowser(),
  args: ['--no-sandbox', '--disable-gpu'],
  viewport: { width: 1280, height: 800 },
  baseURL: `http://127.0.0.1:${port}`,
})
// One page stays open, so that the browser does.
const first = browser.pages()[0]
await first.goto('/batches')
const link = first.getByRole('link', { name: /^Skerry fillets/ })
const batch = (await link.getAttribute('href'))?.split('/').slice(0, 3).join('/')
await first.goto('/recipes')
const recipe = await first.locator('main a[href^="/recipe/"]').first().getAttribute('href')
// The service worker fetches all that is shipped.
await first.waitForTimeout(4000)
await first.goto('about:blank')

const slow = async (page, rate) =>
  (await page.context().newCDPSession(page)).send('Emulation.setCPUThrottlingRate', { rate })

/** Opens a path on a page of its own: ms to its first field, and its longest task. */
async function visit(path, rate) {
  const page = await browser.newPage()
  await slow(page, rate)
  await page.addInitScript(field => {
    window.longest = 0
    const tasks = new PerformanceObserver(list => {
      for (const { duration } of list.getEntries()) window.longest = Math.max(window.longest, duration)
    })
    tasks.observe({ type: 'longtask', buffered: true })
    const look = () => {
      if (document.querySelector(field)) window.thereMs = performance.now()
      else requestAnimationFrame(look)
    }
    requestAnimationFrame(look)
  }, FIELD)
  await page.goto(path)
  await page.waitForFunction(() => window.thereMs, null, { timeout: 60_000 })
  // Until what follows is answered, and kept.
  await page.waitForTimeout(2500)
  const measured = await page.evaluate(() => ({ thereMs: window.thereMs, longestMs: window.longest }))
  await page.close()
  return measured
}

async function changeLog(name) {
  const page = await browser.newPage()
  await page.goto('/workshop')
  const field = page.getByLabel('Name of the shop')
  await field.fill(name)
  await field.press('Tab')
  await page.waitForTimeout(1200)
  await page.close()
}

const told = visits =>
  `${(median(visits.map(one => one.thereMs)) / 1000).toFixed(2)} s, longest task ${median(visits.map(one => one.longestMs)).toFixed(0)} ms`

console.log(`\nA bench seen before, ${VISITS} visits each, medians, to its first field:`)
for (const station of 'choose prepare wrap heat plates inspect cold temper measure verdict finish prove'.split(' ')) {
  const path = `${batch}/${station}`
  for (let i = 0; i < 2; i++) await visit(path, 1)
  const same = []
  const changed = []
  for (let i = 0; i < VISITS; i++) {
    same.push(await visit(path, SLOWED))
    await changeLog(`${station} ${i}`)
    changed.push(await visit(path, SLOWED))
  }
  console.log(`  ${station.padEnd(8)} as it was ${told(same)};  log changed ${told(changed)}`)
}

/** Drags what a selector finds in a lying eight for some seconds: the share of frames that come in time. */
async function drag(path, handle, isFlat) {
  const page = await browser.newPage()
  await page.goto(path)
  await page.locator(handle).first().waitFor()
  await page.waitForTimeout(2500)
  await slow(page, SLOWED)
  const box = await page.locator(handle).first().boundingBox()
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2]
  await page.evaluate(() => {
    window.frames = []
    const frame = at => {
      window.frames.push(at)
      requestAnimationFrame(frame)
    }
    requestAnimationFrame(frame)
  })
  await page.mouse.move(x, y)
  await page.mouse.down()
  for (let i = 0; i < 200; i++) {
    await page.mouse.move(x + 60 * Math.sin(i / 12), y + (isFlat ? 0 : 25 * Math.sin(i / 17)))
    await page.waitForTimeout(8)
  }
  const frames = await page.evaluate(() => window.frames)
  await page.mouse.up()
  await page.close()
  const gaps = frames.slice(1).map((at, i) => at - frames[i])
  return gaps.filter(ms => ms < IN_TIME_MS).length / gaps.length
}

console.log(`\nFrames within ${IN_TIME_MS} ms of the one before, by the browser’s own time of each frame:`)
for (const [what, path, handle, isFlat] of [
  ['temper on its curve', `${batch}/temper`, '[role=slider]', true],
  ['point of a bench’s map', `${batch}/choose`, '[role=application]', false],
  ['point of a recipe’s map', recipe, '[role=application]', false],
]) {
  const shares = []
  for (let i = 0; i < VISITS; i++) shares.push(await drag(path, handle, isFlat))
  console.log(
    `  ${what.padEnd(24)} ${(100 * median(shares)).toFixed(1)} %, least ${(100 * Math.min(...shares)).toFixed(1)} %`,
  )
}

await browser.close()
rmSync(profile, { recursive: true, force: true })
process.exit(0)
