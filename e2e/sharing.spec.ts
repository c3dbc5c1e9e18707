import { type ChildProcess, spawn } from 'node:child_process'
import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { type Browser, expect, type Page, test } from '@playwright/test'
import { tries } from '../src/testing/endure'
import { action, press, title } from './hot-run'
import { askToStartEmpty, beginBatch, expectAccessible, startEmpty } from './shop'

const PORT = 4391
const DESK = `http://127.0.0.1:${PORT}`
const TABLET = `https://127.0.0.1:${PORT + 1}`
// One port, one server at a time.
test.describe.configure({ mode: 'serial' })

let folder = ''
let server: ChildProcess | null = null

/** Starts the server that shares, and gives back the code it prints. */
async function startServer(): Promise<string> {
  const child = spawn(process.execPath, ['e2e/serve.mjs', String(PORT), 'dist', folder])
  server = child
  child.stderr?.pipe(process.stderr)
  return new Promise(resolve =>
    child.stdout?.on('data', text => {
      const code = /code (\w+)/.exec(String(text))?.[1]
      if (code) resolve(code)
    }),
  )
}
async function killServer() {
  const child = server
  server = null
  if (!child) return
  const gone = new Promise(resolve => child.once('exit', resolve))
  child.kill('SIGKILL')
  await gone
}

test.beforeEach(async () => {
  folder = await mkdtemp(join(tmpdir(), 'tawny-ember-shared-'))
})
test.afterEach(async () => {
  await killServer()
  await rm(folder, { recursive: true })
})

/** A browser of its own: another screen. */
const screen = async (browser: Browser, baseURL: string) =>
  (await browser.newContext({ baseURL, ignoreHTTPSErrors: true, serviceWorkers: 'block', locale: 'en-GB' })).newPage()

const inStep = (page: Page) => expect(page.getByText('In step', { exact: true }).first()).toBeVisible()

/** The desk shares the made-up workshop, and a tablet comes in with a code from it. */
async function twoScreens(browser: Browser): Promise<{ desk: Page; tablet: Page }> {
  const code = await startServer()
  const desk = await screen(browser, DESK)
  await desk.goto('/')
  await expect(desk.getByRole('heading', { level: 1 })).toBeVisible()
  await desk.goto(`/join#${code}`)
  await desk.getByRole('button', { name: 'Share it' }).click()
  await inStep(desk)
  const tablet = await screen(browser, TABLET)
  await tablet.goto(`/join#${await codeFor(desk, 'Tablet at the oven')}`)
  await expect(tablet.getByText('This screen is “Tablet at the oven”.')).toBeVisible()
  await expectAccessible(tablet)
  await tablet.getByRole('button', { name: 'Go on' }).click()
  await inStep(tablet)
  return { desk, tablet }
}

/** A code for another screen, from the Workshop of one that is in. */
async function codeFor(page: Page, name: string, role = 'works'): Promise<string> {
  await page.goto('/workshop')
  await inStep(page)
  await page.getByRole('button', { name: 'Add a screen …' }).click()
  const dialog = page.getByRole('dialog')
  await dialog.getByLabel('Name of the screen').fill(name)
  await dialog.getByLabel('May do').selectOption(role)
  await dialog.getByRole('button', { name: 'Show a code' }).click()
  const code = await dialog.getByText(/^\w{5}-\w{5}$/).innerText()
  await expectAccessible(page)
  await page.keyboard.press('Escape')
  return code
}

const shopName = (page: Page) => page.getByLabel('Name of the shop')

test('two screens hold one workshop: each sees the other’s changes, out of reach and back, until one is removed', async ({
  browser,
}) => {
  const { desk, tablet } = await twoScreens(browser)
  await tablet.goto('/workshop')
  await inStep(tablet)
  await shopName(desk).fill('Gannet Forge')
  await shopName(desk).press('Enter')
  await expect(shopName(tablet)).toHaveValue('Gannet Forge')
  // While one types, what comes from the other takes nothing from under the hand.
  await shopName(tablet).press('End')
  await shopName(tablet).pressSequentially(' and Son')
  await desk.getByLabel('Roll width').fill('500 mm')
  await desk.getByLabel('Roll width').press('Enter')
  await expect(tablet.getByLabel('Roll width')).toHaveValue('500')
  await expect(shopName(tablet)).toHaveValue('Gannet Forge and Son')
  await shopName(tablet).press('Enter')
  await expect(shopName(desk)).toHaveValue('Gannet Forge and Son')

  // Out of reach of the server, each goes on.
  await killServer()
  await expect(desk.getByText(/^Offline since/).first()).toBeVisible()
  await desk.getByLabel('Price of foil').fill('41')
  await desk.getByLabel('Price of foil').press('Enter')
  await shopName(tablet).fill('Kittiwake Forge')
  await shopName(tablet).press('Enter')
  await expect(tablet.getByText(/^Offline since .*, 1 change waiting$/).first()).toBeVisible()
  await startServer()
  await inStep(desk)
  await expect(shopName(desk)).toHaveValue('Kittiwake Forge')
  await inStep(tablet)
  await expect(tablet.getByLabel('Price of foil')).toHaveValue(/^41/)

  // What would take its place comes back from the others: it is refused, with what to do.
  await askToStartEmpty(desk)
  await desk.getByRole('button', { name: 'Delete and start empty' }).click()
  await expect(desk.getByText(/This workshop is shared/).first()).toBeVisible()
  await desk.keyboard.press('Escape')

  await desk.getByRole('button', { name: 'Remove …' }).click()
  await desk.getByRole('button', { name: 'Remove', exact: true }).click()
  await expect(tablet.getByText('Not shared any more').first()).toBeVisible()
  await expect(tablet.getByText(/This screen was removed/)).toBeVisible()
  await shopName(tablet).fill('Nobody hears it')
  await shopName(tablet).press('Enter')
  await tablet.reload()
  await expect(shopName(tablet), 'what it holds stays').toHaveValue('Nobody hears it')
  await expect(shopName(desk)).toHaveValue('Kittiwake Forge')
})

test('a code is good once; a screen with a workshop of its own lays it beside', async ({ browser }) => {
  const { desk, tablet } = await twoScreens(browser)
  const code = await codeFor(desk, 'Phone')
  const own = await screen(browser, TABLET)
  await startEmpty(own)
  await own.goto('/batches')
  await beginBatch(own, 'X50CrMoV15', { name: 'From the other shed', blades: 2 })
  await own.waitForURL(/\/batch\//)
  await own.goto(`/join#${code}`)
  await expect(own.getByText(/a workshop of its own/)).toBeVisible()
  const saved = own.waitForEvent('download')
  await own.getByRole('button', { name: 'Lay it beside the shared one' }).click()
  await saved
  await inStep(own)
  await own.goto('/batches')
  await expect(own.getByText('Skerry fillets and galley knives').first()).toBeVisible()
  await expect(own.getByText('From the other shed').first()).toBeVisible()
  await tablet.goto('/batches')
  await expect(tablet.getByText('From the other shed').first()).toBeVisible()
  const stranger = await screen(browser, TABLET)
  await stranger.goto(`/join#${code}`)
  await expect(stranger.getByText(/This code was used already/)).toBeVisible()
  await expectAccessible(stranger)
})

test('a run on two screens: one board, and no press lost or doubled while the server is killed and started', async ({
  browser,
}) => {
  test.setTimeout(600_000)
  const { desk, tablet } = await twoScreens(browser)
  const wall = await screen(browser, TABLET)
  await wall.goto(`/join#${await codeFor(desk, 'Wall', 'shows')}`)
  await wall.getByRole('button', { name: 'Go on' }).click()
  await inStep(wall)
  await expect(wall.getByRole('heading', { name: 'Step by step' })).toBeVisible()
  for (const changes of ['New batch', 'Working hours', 'When?'])
    await expect(wall.getByRole('button', { name: changes }), changes).toHaveCount(0)
  await desk.goto('/batches')
  await desk
    .getByRole('link', { name: /Skerry fillets/ })
    .first()
    .click()
  await desk.waitForURL(/\/batch\//)
  const run = desk
    .url()
    .replace(DESK, '')
    .replace(/\/batch\/([^/]+).*/, '/run/$1')
  await desk.goto(run)
  await desk.getByRole('button', { name: /Run in the shop/ }).click()
  await expect(title(desk)).toHaveText('Shop ready')
  await tablet.goto(run)
  await expect(title(tablet)).toHaveText('Shop ready')
  await expect(tablet.getByText('Alarms and voice: This machine.')).toBeVisible()
  await expectAccessible(tablet)

  // A screen that only shows goes there by itself: it has the board, and nothing to press.
  await expect(title(wall)).toHaveText('Shop ready')
  await expect(wall.getByRole('button')).toHaveCount(0)
  await expectAccessible(wall)

  const step = async (page: Page) => Number(/step (\d+)/.exec(await page.locator('header').innerText())?.[1])
  /** One press, with the second that says that it is meant where it comes early. */
  const goOn = async (page: Page) => {
    const before = await step(page)
    await press(page)
    if ((await step(page)) === before) await press(page)
    await expect.poll(() => step(page)).toBe(before + 1)
  }
  await goOn(desk)
  await expect.poll(() => step(tablet)).toBe(2)
  await expect(tablet.getByText('Last press: This machine.')).toBeVisible()
  await goOn(tablet)
  await expect.poll(() => step(desk)).toBe(3)
  await wall.keyboard.press('Space')
  await expect.poll(() => step(wall)).toBe(3)
  let expected = 3
  // By turns the server is killed, and the tablet’s network cut.
  for (let cut = 0; cut < tries(2, 40); cut++) {
    const isKilled = cut % 2 === 0
    if (isKilled) await killServer()
    else await tablet.context().setOffline(true)
    await expect(tablet.getByText(/Offline since/).first()).toBeAttached()
    if (isKilled) await expect(desk.getByText(/Offline since/).first()).toBeAttached()
    // Both press the same step out of reach of each other, and the desk one more.
    await goOn(desk)
    await goOn(desk)
    await goOn(tablet)
    expected += 2
    if (isKilled) await startServer()
    else await tablet.context().setOffline(false)
    await expect.poll(() => step(tablet)).toBe(expected)
    await expect.poll(() => step(desk)).toBe(expected)
    // Taken back on one, on both: first by who did not press it.
    for (const hand of [tablet, desk]) {
      await hand.keyboard.press('z')
      expected--
      await expect.poll(() => step(tablet)).toBe(expected)
      await expect.poll(() => step(desk)).toBe(expected)
    }
  }
  // Who came back first leads: the tablet takes the lead where it has none, and it goes to who is left.
  const others = tablet.getByText(/Alarms and voice: This machine/)
  await expect.poll(async () => (await others.count()) + (await desk.getByText(/Alarms and voice/).count())).toBe(1)
  if ((await others.count()) > 0) await tablet.getByRole('button', { name: 'Lead from here' }).click()
  await expect(desk.getByText(/Alarms and voice: Tablet at the oven\./)).toBeVisible()
  await tablet.close()
  await expect(desk.getByText(/Alarms and voice/)).toBeHidden()
  await expect(action(desk)).toBeVisible()
})
