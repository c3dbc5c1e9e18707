import { type ChildProcess, spawn } from 'node:child_process'
import { cp, mkdtemp, readdir, readFile, rm, symlink, writeFile } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { Page } from '@playwright/test'
import { expect, openDemoBatch, STATIONS, test } from './shop'

const PORT = 4398
// Its server is started by each test: the first page lays the demo down.
test.use({ serviceWorkers: 'allow', baseURL: `http://127.0.0.1:${PORT}`, begins: 'first visit' })
// One port, one server at a time.
test.describe.configure({ mode: 'serial' })

let server: ChildProcess | null = null

/** Serves a build and waits until it answers. */
async function startServer(built: string) {
  server = spawn(process.execPath, ['e2e/serve.mjs', String(PORT), built], { stdio: 'inherit' })
  await expect
    .poll(() =>
      fetch(`http://127.0.0.1:${PORT}/`).then(
        answer => answer.status,
        () => 0,
      ),
    )
    .toBe(200)
}

async function stopServer() {
  const gone = new Promise(resolve => server?.once('exit', resolve) ?? resolve(null))
  server?.kill('SIGKILL')
  await gone
  server = null
}

test.afterEach(stopServer)

/** Until the application is kept in the browser and this page is served from there. */
const kept = (page: Page) =>
  page.evaluate(async () => {
    await navigator.serviceWorker.ready
    if (!navigator.serviceWorker.controller)
      await new Promise(resolve =>
        navigator.serviceWorker.addEventListener('controllerchange', resolve, { once: true }),
      )
  })

const BUILT = join(import.meta.dirname, '..', 'dist')

test('without its server every place and bench works, and is there after the browser was closed', async ({ page }) => {
  test.setTimeout(300_000)
  await startServer(BUILT)
  await page.goto('/')
  await kept(page)
  await stopServer()
  for (const place of ['/', '/batches', '/recipes', '/steels', '/workshop', '/logbook']) {
    await page.goto(place)
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
  }
  await openDemoBatch(page, 'Skerry fillets', 'Choose')
  for (const station of STATIONS) {
    await page.getByRole('link', { name: station, exact: true }).click()
    await expect(page.getByRole('heading', { level: 2, name: station })).toBeVisible()
  }
  await page.getByRole('link', { name: 'Heat', exact: true }).click()
  await page.reload()
  await expect(page.getByRole('heading', { level: 2, name: 'Heat' })).toBeVisible()
  // What is typed is kept as ever.
  await page.getByRole('link', { name: 'Measure', exact: true }).click()
  await page.goto(page.url().replace(/batch\/(.*)\/measure/, 'run/$1'))
  await expect(page.getByRole('button', { name: /Run in the shop/ })).toBeVisible()
})

test('a newer version is offered, never forced, never in a run; pages still open keep their parts', async ({
  page,
  context,
}) => {
  test.setTimeout(600_000)
  await startServer(BUILT)
  await openDemoBatch(page, 'Skerry fillets', 'Choose')
  await kept(page)
  const run = await context.newPage()
  await run.goto(page.url().replace(/batch\/(.*)\/choose/, 'run/$1'))
  const open = await context.newPage()
  await open.goto(page.url())
  await expect(open.getByRole('heading', { level: 2, name: 'Choose' })).toBeVisible()
  // The browser lets an old version go once nothing is on its way through it: what the server breaks off it waits for, for minutes.
  for (const one of [page, run, open]) await one.waitForLoadState('networkidle')
  await stopServer()

  const newer = await mkdtemp(join(tmpdir(), 'tawny-ember-'))
  try {
    await cp(BUILT, newer, { recursive: true })
    // Another build: a bench's part has another name, as after every change.
    const parts = await readdir(join(newer, 'client', '_astro'))
    const cold = parts.filter(name => name.startsWith('ColdBench.'))
    expect(cold).not.toEqual([])
    for (const name of cold) await rm(join(newer, 'client', '_astro', name))
    const worker = join(newer, 'client', 'sw.js')
    const text = await readFile(worker, 'utf8')
    const without = text.replaceAll(/\{url:[`"]\/_astro\/ColdBench\.[^}]*\},?/g, '')
    expect(without.length).toBeLessThan(text.length)
    await writeFile(worker, without)
    for (const copy of ['sw.js.br', 'sw.js.gz']) await rm(join(newer, 'client', copy))
    // The copy finds its packages where the first one does.
    await symlink(join(BUILT, '..', 'node_modules'), join(newer, 'node_modules'))
    await startServer(newer)

    await page.evaluate(async () => (await navigator.serviceWorker.ready).update())
    const offer = page.getByRole('button', { name: 'Change over' })
    await expect(offer).toBeVisible()
    await expect(run.getByRole('button', { name: 'Change over' })).toHaveCount(0)
    await Promise.all([page.waitForEvent('load'), offer.click()])
    await expect(page.getByRole('heading', { level: 2, name: 'Choose' })).toBeVisible()
    await expect(offer).toHaveCount(0)
    // The page that stayed open asks for a part that only the version before had.
    await open.getByRole('link', { name: 'Cold', exact: true }).click()
    await expect(open.getByRole('heading', { level: 2, name: 'Cold' })).toBeVisible()
  } finally {
    await rm(newer, { recursive: true })
  }
})
