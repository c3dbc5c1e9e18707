// Takes the pictures in docs/screenshots from the demo workshop: node scripts/screenshots.mjs [address]
// The application must be running there (npm start).

import { join } from 'node:path'
import { chromium } from '@playwright/test'
import { ROOT } from './bootstrap.mjs'
import { testBrowser } from './browser.mjs'

const address = process.argv[2] ?? 'http://127.0.0.1:4330'
const browser = await chromium.launch({ executablePath: testBrowser(), args: ['--no-sandbox', '--disable-gpu'] })
const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, reducedMotion: 'reduce', locale: 'en-GB' })
const shoot = async name => {
  await page.waitForLoadState('networkidle')
  await page.waitForTimeout(600)
  await page.screenshot({ path: join(ROOT, 'docs', 'screenshots', `${name}.png`) })
}
const openBatch = async name => {
  await page.goto(`${address}/batches`)
  await page.getByRole('link', { name: new RegExp(`^${name}`) }).click()
}

// A morning before work, so that the whole day is still to come.
const morning = await browser.newPage({
  viewport: { width: 1280, height: 800 },
  reducedMotion: 'reduce',
  locale: 'en-GB',
})
await morning.clock.install({ time: new Date('2026-03-03T07:40:00') })
await morning.goto(address)
await morning.getByText('fastest order, proven').waitFor()
await morning.waitForTimeout(1500)
await morning.screenshot({ path: join(ROOT, 'docs', 'screenshots', 'today.png') })
await morning.context().close()

for (const [name, path] of [
  ['batches', '/batches'],
  ['steels', '/steels'],
  ['workshop', '/workshop'],
  ['logbook', '/logbook'],
]) {
  await page.goto(address + path)
  await page.getByRole('heading', { level: 1 }).waitFor()
  await shoot(name)
}
await page.goto(`${address}/recipes`)
await page.getByRole('link', { name: 'X65Cr13, everyday' }).click()
await page.getByRole('button', { name: 'a high temper' }).click()
await page.getByRole('application').first().waitFor()
await shoot('recipe-map')
await page.goto(`${address}/oven/oven-1`)
await page.getByRole('button', { name: 'Correction' }).click()
await page.getByText(/readings of \d+ batches/).waitFor()
await shoot('oven')
await openBatch('Skerry fillets')
for (const station of ['Choose', 'Prepare', 'Wrap', 'Heat', 'Plates', 'Inspect', 'Cold', 'Temper']) {
  await page.getByRole('link', { name: station, exact: true }).click()
  await page.getByRole('heading', { level: 2, name: station }).waitFor()
  await shoot(station.toLowerCase())
}
await openBatch('Boat knives')
await page.getByRole('link', { name: 'Prove', exact: true }).click()
await page.getByText(/holds best near/).waitFor()
await shoot('prove')
await openBatch('Net knives')
for (const station of ['Measure', 'Verdict']) {
  await page.getByRole('link', { name: station, exact: true }).click()
  await page.getByRole('heading', { level: 2, name: station }).waitFor()
  await shoot(station.toLowerCase())
}

// A practice run, as far as the second pull of its second load.
await openBatch('Skerry fillets')
await page.getByRole('link', { name: 'Run', exact: true }).click()
await page.getByRole('link', { name: /Practice first/ }).click()
await page.getByRole('button', { name: /^Practice/ }).click()
await page.getByRole('button', { name: '600×' }).click()
const action = page.locator('.run-action').first()
while (!/^Pull A2/.test(await page.locator('header strong').innerText())) {
  await page.locator('.run-action[data-ready=true]').waitFor({ timeout: 60_000 })
  const before = await page.locator('header strong').innerText()
  await page.keyboard.press('Space')
  await page.waitForFunction(text => document.querySelector('header strong')?.textContent !== text, before)
  // A press that follows closer counts as a bounce.
  await page.waitForTimeout(450)
}
await page.getByRole('button', { name: '1×', exact: true }).click()
await action.waitFor()
await shoot('run')
await browser.close()
