import { chromium, type FullConfig } from '@playwright/test'

/** Lays the demo workshop down once and keeps what the browser holds, for every test to begin with. */
export default async function seed(config: FullConfig) {
  const { baseURL, storageState, launchOptions } = config.projects[0]?.use ?? {}
  if (typeof storageState !== 'string') throw new Error('The tests begin with a stored workshop: give its file.')
  const browser = await chromium.launch(launchOptions)
  const page = await browser.newPage({ ...(baseURL ? { baseURL } : {}) })
  await page.goto('/batches')
  await page.getByRole('link', { name: /^Cheese knives/ }).waitFor()
  await page.context().storageState({ path: storageState, indexedDB: true })
  await browser.close()
}
