import type { Page } from '@playwright/test'
import { expect, expectAccessible, openDemoBatch, test } from './shop'

const title = (page: Page) => page.locator('header strong')
const action = (page: Page) => page.locator('.run-action')

async function begin(page: Page, mode: RegExp) {
  await openDemoBatch(page, 'Skerry fillets', 'Heat')
  await page.getByRole('link', { name: 'Run', exact: true }).click()
  await page.getByRole('button', { name: mode }).click()
  await expect(title(page)).toHaveText('Shop ready')
}

test('the keys: confirm, take back, a minute more, a remark, leave and come back', async ({ page }) => {
  await begin(page, /Run in the shop/)
  await page.keyboard.press('Space')
  await expect(title(page)).toHaveText('Oven on')
  await page.keyboard.press('z')
  await expect(title(page)).toHaveText('Shop ready')
  for (const next of ['Oven on', 'Load 2 packets', 'Equalise at 790']) {
    await page.keyboard.press('Space')
    await expect(title(page)).toHaveText(next)
  }
  await expect(page.getByText('2 in, 0 out')).toBeVisible()
  await expect(page.getByText(/^(9:5\d|10:00)$/)).toBeVisible()
  await page.keyboard.press('+')
  await expect(page.getByText(/^(10:5\d|11:00)$/)).toBeVisible()
  await page.keyboard.press('l')
  await page.getByRole('textbox', { name: 'Remark' }).fill('C2 has a hole in its foil')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('dialog')).toHaveCount(0)
  await page.keyboard.press('Escape')
  await expect(page.getByRole('link', { name: 'Back to the run' })).toBeVisible()
  await page.goto('/')
  await expect(page.getByText(/Equalise at 790, 2 in the oven/)).toBeVisible()
  await page.getByRole('link', { name: /Back to the run/ }).click()
  await expect(title(page)).toHaveText('Equalise at 790')
})

test('a press before its time asks for a second one', async ({ page }) => {
  await begin(page, /Run in the shop/)
  for (let i = 0; i < 3; i++) await page.keyboard.press('Space', { delay: 150 })
  await expect(title(page)).toHaveText('Equalise at 790')
  await page.keyboard.press('Space')
  await expect(action(page)).toContainText('Not yet. Press again')
  await expect(title(page)).toHaveText('Equalise at 790')
  await page.keyboard.press('Space')
  await expect(title(page)).toHaveText('Wait for full heat')
})

test('the clock is kept by stored instants: a night away is a night on the run', async ({ page }) => {
  await page.clock.install({ time: new Date('2026-03-02T09:00:00') })
  await begin(page, /Run in the shop/)
  for (let i = 0; i < 3; i++) await page.keyboard.press('Space', { delay: 150 })
  await expect(title(page)).toHaveText('Equalise at 790')
  const address = page.url()
  await page.goto('about:blank')
  await page.clock.setSystemTime(new Date('2026-03-02T17:30:00'))
  await page.goto(address)
  await expect(page.getByText('Overdue by')).toBeVisible()
  await expect(page.getByText(/^8:(19|20):\d\d$/)).toBeVisible()
  await expect(action(page)).toHaveAttribute('data-ready', 'true')
})

test('two open tabs keep one log', async ({ page, context }) => {
  await begin(page, /Run in the shop/)
  const other = await context.newPage()
  await other.goto(page.url())
  await expect(title(other)).toHaveText('Shop ready')
  await other.keyboard.press('Space')
  await expect(title(page)).toHaveText('Oven on')
})

test('on a phone the one action is in sight, and large enough for a glove', async ({ page }) => {
  await begin(page, /Practice/)
  await page.setViewportSize({ width: 390, height: 844 })
  await expect(action(page)).toBeInViewport({ ratio: 0.9 })
  await expectAccessible(page)
  for (const button of await page.locator('footer button, .run-action').all()) {
    const box = await button.boundingBox()
    expect(Math.min(box?.width ?? 0, box?.height ?? 0)).toBeGreaterThanOrEqual(60)
    expect(box?.height).toBeGreaterThanOrEqual(72)
  }
})
