import type { Page } from '@playwright/test'
import { expect, openDemoBatch, STATIONS, test } from './shop'
import { tooSmallIn } from './sizes'

// As a maker sees them first.
test.use({ more: 'closed' })

/** Every view of every bench of a batch, settled, handed to a check with its name. */
async function eachView(page: Page, batch: string, check: (name: string) => Promise<void>) {
  await openDemoBatch(page, batch, 'Choose')
  for (const station of STATIONS) {
    await page.getByRole('link', { name: station, exact: true }).click()
    await expect(page.getByRole('heading', { level: 2, name: station })).toBeVisible()
    const views = page.getByRole('group', { name: 'Drawn as' }).getByRole('button')
    const count = await views.count()
    for (let i = 0; i < Math.max(1, count); i++) {
      const name = count > 0 ? `${station}, ${await views.nth(i).textContent()}` : station
      if (count > 0) await views.nth(i).click()
      await expect(page.getByText(/^(Running the oven|Reading|Judging|Computing|Asking) .*…$/)).toHaveCount(0)
      await page.waitForLoadState('networkidle')
      await check(name)
    }
  }
}

/** Returns the text of a page without the frame around it. */
const written = (page: Page) => page.locator('main').innerText()

for (const batch of ['Skerry fillets', 'Boat knives, spring'])
  test(`every view of ${batch} fits its window and says nothing a computer would`, async ({ page }) => {
    test.setTimeout(300_000)
    await eachView(page, batch, async name => {
      expect(await written(page), name).not.toMatch(/NaN|undefined|\bnull\b|Infinity|\[object|-?\d\.\d{6,}/)
      const [tall, window_] = await page.evaluate(() => [document.documentElement.scrollHeight, innerHeight])
      expect(tall, `${name} scrolls at 1280 x 800`).toBeLessThanOrEqual(window_ as number)
      expect.soft(await tooSmallIn(page), name).toEqual({ texts: [], controls: [], overflowPx: 0 })
    })
  })

test('on a phone every view of a batch stays within it, its text and controls large enough', async ({ page }) => {
  test.setTimeout(300_000)
  await page.setViewportSize({ width: 390, height: 844 })
  await eachView(page, 'Skerry fillets', async name => {
    expect.soft(await tooSmallIn(page), name).toEqual({ texts: [], controls: [], overflowPx: 0 })
  })
})

test('in °F and inches no view is left in °C and millimetres, but for what gets keyed in', async ({ page }) => {
  test.setTimeout(300_000)
  await page.goto('/workshop')
  await page.getByLabel('Units shown').selectOption('imperial')
  await expect(page.getByLabel('Units shown')).toHaveValue('imperial')
  await eachView(page, 'Boat knives, spring', async name => {
    const text = await written(page)
    // A temperature that gets keyed in stands in both, the shown one first; the map has the other scale under its own.
    const alone = text.split('\n').filter(line => /\d °C/.test(line) && !/\d °F/.test(line) && !/^\d+ °C$/.test(line))
    expect.soft(alone, name).toEqual([])
    const metric = text.split('\n').filter(line => /\d mm\b/.test(line))
    expect.soft(metric, name).toEqual([])
  })
  await page.getByRole('link', { name: 'Run', exact: true }).click()
  await page
    .getByRole('button', { name: /^Run in the shop|^Run the whole batch again/ })
    .first()
    .click()
  const detail = await page.locator('main, body').first().innerText()
  expect(detail).not.toMatch(/\d mm\b/)
})
