import type { Page } from '@playwright/test'
import { expect, openDemoBatch } from './shop'

export const title = (page: Page) => page.locator('header strong')
export const action = (page: Page) => page.locator('.run-action').first()

/** Presses that follow closer are one press of a bouncing pedal: a person is slower, ms. */
const NO_BOUNCE_MS = 450

/** One press of the one key. */
export async function press(page: Page) {
  await page.locator('body').press('Space')
  await page.waitForTimeout(NO_BOUNCE_MS)
}

/** Goes on to the next step: where it is too early, with the second press that says that it is meant. */
export async function goOn(page: Page) {
  const before = await title(page).innerText()
  await press(page)
  if (await page.getByText('Press again').isVisible()) await press(page)
  const over = page.getByRole('heading', { name: /the run is finished/ })
  await expect(over.or(title(page).filter({ hasNotText: new RegExp(`^${before}$`) }))).toBeVisible()
}

/** Begins a run of the demo's planned batch, in the shop or in practice. */
export async function begin(page: Page, mode: 'shop' | 'practice') {
  await openDemoBatch(page, 'Skerry fillets', 'Heat')
  await page.getByRole('link', { name: 'Run', exact: true }).click()
  if (mode === 'practice') await page.getByRole('link', { name: /Practice first/ }).click()
  await page.getByRole('button', { name: mode === 'shop' ? /Run in the shop/ : /^Practice/ }).click()
  await expect(title(page)).toHaveText('Shop ready')
}

/** Confirms each step as it comes due on the practice oven, until one is reached. */
export async function practiseUntil(page: Page, reached: RegExp) {
  await page.getByRole('button', { name: '600×' }).click()
  while (!reached.test(await title(page).innerText())) {
    await expect(action(page)).toHaveAttribute('data-ready', 'true', { timeout: 60_000 })
    await goOn(page)
  }
}

/** Holds the one key: something happened. */
export async function holdKey(page: Page) {
  await page.keyboard.down('Space')
  await page.waitForTimeout(850)
  await page.keyboard.up('Space')
}
