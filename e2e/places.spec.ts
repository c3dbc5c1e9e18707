import { gzipSync } from 'node:zlib'
import type { Page } from '@playwright/test'
import { expect, expectAccessible, openDemoBatch, STATIONS, startEmpty, test } from './shop'

const PLACES = [
  '/',
  '/batches',
  '/recipes',
  '/steels',
  '/steels?view=suggest',
  '/steels?view=why',
  '/steels?view=own',
  '/workshop',
  '/logbook',
] as const

// As a maker sees them first.
test.use({ more: 'closed' })

/** All of it by day, and by night what is another then: the colours. */
async function expectAccessibleDayAndNight(page: Page) {
  await page.emulateMedia({ colorScheme: 'light' })
  await expectAccessible(page)
  await page.emulateMedia({ colorScheme: 'dark' })
  await expectAccessible(page, { onlyColours: true })
}

test('every place is accessible', async ({ page }) => {
  for (const place of PLACES) {
    await page.goto(place)
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
    await page.waitForLoadState('networkidle')
    // What is folded away too.
    await page.evaluate(() => {
      for (const fold of document.querySelectorAll('main details')) fold.setAttribute('open', '')
    })
    await expectAccessibleDayAndNight(page)
  }
})

test('every bench is accessible, and fits its window', async ({ page }) => {
  test.setTimeout(300_000)
  await openDemoBatch(page, 'Net knives', 'Choose')
  for (const station of STATIONS) {
    await page.getByRole('link', { name: station, exact: true }).click()
    await expect(page.getByRole('heading', { level: 2, name: station })).toBeVisible()
    await page.waitForLoadState('networkidle')
    await expectAccessibleDayAndNight(page)
    const [page_, window_] = await page.evaluate(() => [document.documentElement.scrollHeight, innerHeight])
    expect(page_, `${station} scrolls at 1280 x 800`).toBeLessThanOrEqual(window_ as number)
  }
})

test('run and print are accessible', async ({ page }) => {
  await openDemoBatch(page, 'Skerry fillets', 'Heat')
  const id = page.url().split('/')[4]
  await page.goto(`/print/${id}`)
  await expect(page.getByRole('heading', { name: /cut list/ })).toBeVisible()
  await expectAccessible(page)
  await page.goto(`/run/${id}`)
  await expectAccessible(page)
  await page.getByRole('button', { name: /Run in the shop/ }).click()
  await expect(page.getByRole('heading', { level: 1 }).or(page.locator('header strong'))).toBeVisible()
  await expectAccessible(page)
})

test('nothing runs over the side of a phone or a tablet', async ({ page }) => {
  for (const [width, height] of [
    [390, 844],
    [820, 1180],
  ] as const) {
    await page.setViewportSize({ width, height })
    for (const place of PLACES) {
      await page.goto(place)
      await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
      expect(
        await page.evaluate(() => document.documentElement.scrollWidth),
        `${place} at ${width}`,
      ).toBeLessThanOrEqual(width)
    }
    await openDemoBatch(page, 'Net knives', 'Measure')
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(width)
  }
})

test('on a phone the Heat Line is scrolled to the bench that is open', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 })
  for (const station of ['Choose', 'Temper', 'Prove']) {
    await openDemoBatch(page, 'Skerry fillets', station)
    await expect(page.getByRole('link', { name: station, exact: true })).toBeInViewport()
  }
  await expect(page.getByRole('link', { name: 'Choose', exact: true })).not.toBeInViewport()
})

test('an empty workshop says at each place what comes next', async ({ page }) => {
  await startEmpty(page)
  for (const [place, words] of [
    ['/', 'No batch is waiting'],
    ['/batches', 'No batch yet'],
    ['/recipes', 'No recipe yet'],
    ['/logbook', 'No reading yet'],
  ] as const) {
    await page.goto(place)
    await expect(page.getByText(words)).toBeVisible()
    await expectAccessible(page)
  }
})

test('arrows walk the Heat Line, the address follows, and back goes back', async ({ page }) => {
  await openDemoBatch(page, 'Net knives', 'Wrap')
  await page.locator('h2').first().click()
  await page.keyboard.press('ArrowRight')
  await expect(page.getByRole('heading', { level: 2, name: 'Heat' })).toBeVisible()
  await expect(page).toHaveURL(/\/heat$/)
  await page.goBack()
  await expect(page.getByRole('heading', { level: 2, name: 'Wrap' })).toBeVisible()
})

type KnownScripts = Map<string, { readonly kB: number; readonly imports: readonly string[] }>

/** A script as it is fetched, gzipped, and what it imports before it runs. Most are of many pages: each is looked at once. */
async function scriptAt(page: Page, url: string, known: KnownScripts) {
  const seen = known.get(url)
  if (seen) return seen
  const text = await (await page.request.get(url)).text()
  const imports = [...text.matchAll(/(?:from|import)\s*"(\.\/[^"]+\.js)"/g)].map(
    ([, file]) => new URL(file ?? '', new URL(url, 'http://here')).pathname,
  )
  const script = { kB: gzipSync(text).length / 1000, imports }
  known.set(url, script)
  return script
}

/** Scripts a page cannot stand without, gzipped: its islands and all they import; workers and charts come after it. */
async function neededKB(page: Page, path: string, known: KnownScripts) {
  const html = await (await page.request.get(path)).text()
  const urls = new Set(
    [...html.matchAll(/(?:component-url|renderer-url|src)="([^"]+\.js)"/g)].map(([, script]) => script ?? ''),
  )
  let sum = 0
  // A set that grows is walked to its end.
  for (const url of urls) {
    const { kB, imports } = await scriptAt(page, url, known)
    sum += kB
    for (const file of imports) urls.add(file)
  }
  return sum
}

/** A page of one thing, whose address needs its number alone; what draws it comes while the page reads it. */
const OF_ONE = ['/batch/x/choose', '/oven/x', '/recipe/x', '/print/recipe/x', '/run/x', '/blade/x']

test('the first load of a page is under 170 kB of JavaScript', async ({ page }) => {
  const known: KnownScripts = new Map()
  for (const path of [...PLACES, ...OF_ONE]) {
    const kB = await neededKB(page, path, known)
    expect(kB, path).toBeGreaterThan(100)
    expect(kB, path).toBeLessThan(170)
  }
})

test('nothing jumps as a page comes', async ({ page }) => {
  // The second visit: the demo workshop is made once, and is no part of a page.
  await openDemoBatch(page, 'Skerry fillets', 'Choose')
  for (const url of [page.url(), ...PLACES]) {
    await page.goto(url)
    await expect(page.getByRole('heading', { level: 1 })).toBeAttached()
    await page.waitForLoadState('networkidle')
    const shift = await page.evaluate(
      () =>
        new Promise<number>(resolve => {
          new PerformanceObserver(list =>
            resolve(list.getEntries().reduce((sum, e) => sum + (e as unknown as { value: number }).value, 0)),
          ).observe({ type: 'layout-shift', buffered: true })
          setTimeout(() => resolve(0), 300)
        }),
    )
    expect(shift, `layout shift of ${url}`).toBeLessThan(0.02)
  }
})

test('what a beginner can do without is folded, opens at a press, and is as it was left', async ({ page }) => {
  await page.goto('/workshop')
  const fold = page.locator('summary').filter({ hasText: 'More prices' })
  const argon = page.getByLabel('Argon from the bottle', { exact: true })
  await expect(fold).toContainText('argon, coat')
  await expect(argon).toBeHidden()
  await fold.click()
  await expect(argon).toBeVisible()
  await page.reload()
  await expect(argon).toBeVisible()
  await fold.click()
  await page.reload()
  await expect(page.getByLabel('Currency of all prices')).toBeVisible()
  await expect(argon).toBeHidden()
})

test('what comes next stands at the foot of a bench that leaves room, and one press goes there', async ({ page }) => {
  await openDemoBatch(page, 'Skerry fillets', 'Finish')
  await page.getByRole('button', { name: /^Next Prove Edge tests/ }).click()
  await expect(page.getByRole('heading', { level: 2, name: 'Prove' })).toBeVisible()
})

test('a task of finishing is ticked for all blades at once, and taken back for one', async ({ page }) => {
  await openDemoBatch(page, 'Skerry fillets', 'Finish')
  await page.getByLabel('All 9: Scale off').click()
  await expect(page.getByLabel('All 9: Scale off')).toBeChecked()
  await page.getByText('Each blade').click()
  await expect(page.getByLabel('A1: Scale off')).toBeChecked()
  await expect(page.getByLabel('B4: Scale off')).toBeChecked()
  await page.getByLabel('A1: Scale off').click()
  await expect(page.getByLabel('All 9: Scale off')).not.toBeChecked()
  expect(await page.getByLabel('All 9: Scale off').evaluate((box: HTMLInputElement) => box.indeterminate)).toBe(true)
})
