import { expect, test } from '@playwright/test'
import { openDemoBatch } from './shop'

test('shortcuts of the installed application lead to what waits, or say where to choose', async ({ page }) => {
  await page.goto('/')
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
  const { shortcuts } = await (await page.request.get('/app.webmanifest')).json()
  const urls: string[] = shortcuts.map((one: { url: string }) => one.url)
  const [run = '', readings = ''] = urls
  await page.goto(run)
  await expect(page.getByText('Nothing is hot, and several batches could be next: take one below.')).toBeVisible()
  await expect(page).toHaveURL(/\/$/)
  await page.goto(readings)
  await expect(page.getByText('No batch waits for readings.')).toBeVisible()

  await openDemoBatch(page, 'Skerry fillets', 'Heat')
  await page.getByRole('link', { name: 'Run', exact: true }).click()
  await page.getByRole('button', { name: /Run in the shop/ }).click()
  await expect(page.locator('header strong')).toHaveText('Shop ready')
  await page.goto(run)
  await expect(page, 'the run that goes on').toHaveURL(/\/run\/[^/]+$/)
  await expect(page.locator('header strong')).toHaveText('Shop ready')
})

test('nothing that is pressed lies under a phone’s notch or bar', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 })
  const cdp = await page.context().newCDPSession(page)
  await cdp.send('Emulation.setSafeAreaInsetsOverride', { insets: { top: 47, bottom: 34, left: 0, right: 0 } })
  await page.goto('/')
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
  const bottomOf = async (name: string) => {
    const box = await page.getByRole('link', { name, exact: true }).first().boundingBox()
    return box ? box.y + box.height : null
  }
  expect(await bottomOf('Today')).toBeLessThanOrEqual(844 - 34)
  const heading = await page.locator('main p').first().boundingBox()
  expect(heading?.y).toBeGreaterThanOrEqual(47)
})
