import { expect, expectAccessible, fill, openDemoBatch, test } from './shop'

test('evidence against a correction by hand is said and taken; a check taken out comes back; an oven goes only when asked twice', async ({
  page,
}) => {
  await page.goto('/oven/oven-1')
  await page.getByRole('button', { name: 'Correction' }).click()
  await expect(
    page.getByText(/With the correction set by hand the blades are 4 °C hotter than asked for/),
  ).toBeVisible()
  await page.getByRole('button', { name: 'Use the measured correction' }).click()
  await expect(page.getByLabel('Correction used for what is keyed')).toHaveValue('evidence')
  await expect(page.getByRole('img', { name: /^Drift: / })).toBeVisible()
  const checks = page.getByRole('button', { name: /^Remove the/ })
  const before = await checks.count()
  await checks.first().click()
  await expect(checks).toHaveCount(before - 1)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(checks).toHaveCount(before)
  await page.goto('/oven/oven-2')
  await page.getByRole('button', { name: /Remove this oven/ }).click()
  await expect(page.getByRole('alertdialog')).toContainText('0 checks and surveys')
  await page.getByRole('button', { name: 'Cancel' }).click()
  await expect(page.getByRole('heading', { level: 1, name: 'Tempering oven' })).toBeVisible()
})

test('what was not looked at is empty, and can be emptied again', async ({ page }) => {
  await openDemoBatch(page, 'Skerry fillets', 'Inspect')
  const reading = page.getByLabel('A first reading')
  await expect(reading).toHaveValue('')
  await fill(page, 'A first reading', '61.5')
  await expect(page.getByText(/61\.5 HRC is what was expected/)).toBeVisible()
  await fill(page, 'A first reading', '3')
  await expect(page.getByRole('alert').filter({ hasText: 'from 5 to 70' })).toBeVisible()
  await expect(reading).toHaveValue('3')
  await fill(page, 'A first reading', '')
  await expect(page.getByText(/HRC is what was expected/)).toBeHidden()
  await expect(reading).toHaveValue('')
})

test('a blade of a leaking packet is told why it waits, in sight', async ({ page }) => {
  await openDemoBatch(page, 'Net knives', 'Inspect')
  await page.getByRole('button', { name: 'A3', exact: true }).click()
  await expect(page.getByText(/its packet leaked, and the skin has lost carbon/)).toBeVisible()
  await expect(page.getByText(/A 55 HRC file cuts it/)).toBeVisible()
  await expect(page.getByText(/of bow is within/)).toBeHidden()
  expect(await page.evaluate(() => document.documentElement.scrollHeight)).toBeLessThanOrEqual(800)
})

test('a bath that leaves blades bare says how much would cover them; a box too short names whom', async ({ page }) => {
  await openDemoBatch(page, 'Skerry fillets', 'Cold')
  await fill(page, 'Bath volume', '1.5')
  await expect(page.getByText(/The bath covers \d+ % of them: \d\.\d L would cover all\./)).toBeVisible()
  await fill(page, 'Bath volume', '9')
  await expect(page.getByText(/The bath covers/)).toBeHidden()
  await expectAccessible(page)
  await page.goto('/workshop')
  await fill(page, 'Box length', '250')
  await expect(page.getByLabel('Box length')).toHaveValue('250')
  await openDemoBatch(page, 'Skerry fillets', 'Cold')
  await expect(page.getByText(/: longer than the box\./)).toBeVisible()
})

test('readings as wide as the target ask to be read on; the certificate gives what the logs saw', async ({ page }) => {
  await openDemoBatch(page, 'Skerry fillets', 'Measure')
  const field = page.getByLabel('Readings of A1, HRC')
  await field.fill('60.5 59 61.5')
  await field.press('Enter')
  await page.getByRole('link', { name: 'Verdict', exact: true }).click()
  await expect(page.getByText(/The uncertainty is as wide as the target/)).toBeVisible()
  await page.getByRole('button', { name: 'Each blade' }).click()
  await expect(page.getByRole('row', { name: /^A1 .*take more readings first/ })).toBeVisible()
  await openDemoBatch(page, 'Boat knives, spring', 'Verdict')
  await page.getByRole('link', { name: 'Certificates' }).click()
  await page.getByRole('button', { name: 'Show every blade' }).click()
  await expect(
    page
      .getByText(/min at heat by the run’s clock, \d+ min planned, in .*; by the log \d+ min at it, \d+ °C on the mean/)
      .first(),
  ).toBeVisible()
  await expectAccessible(page)
})

test('a logged soak speaks in the search for causes', async ({ page }) => {
  await openDemoBatch(page, 'Boat knives, spring', 'Verdict')
  await page.getByRole('button', { name: 'Likely causes' }).click()
  await expect(page.getByText(/by its log the soak did \d+ % of what was planned/)).toBeVisible()
  await expect(page.getByText(/Less likely:.*soaked too short [01] %/)).toBeVisible()
})
