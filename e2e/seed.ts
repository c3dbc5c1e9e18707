import { writeFile } from 'node:fs/promises'
import { chromium, type FullConfig } from '@playwright/test'
import { keepDemo } from './demo-data'
import { DEMO_BATCHES } from './shop'

/** Lays the demo workshop down once and keeps what the browser holds, for every test to begin with. */
export default async function seed(config: FullConfig) {
  const { baseURL, launchOptions } = config.projects[0]?.use ?? {}
  const browser = await chromium.launch(launchOptions)
  const page = await browser.newPage({ ...(baseURL ? { baseURL } : {}) })
  await page.goto('/batches')
  await page.getByRole('link', { name: /^Cheese knives/ }).waitFor()
  await keepDemo(page)
  const batches = await page
    .locator('main a[href^="/batch/"]')
    .evaluateAll(links => links.map(link => [link.textContent ?? '', link.getAttribute('href') ?? '']))
  await writeFile(DEMO_BATCHES, JSON.stringify(batches))
  await browser.close()
}
