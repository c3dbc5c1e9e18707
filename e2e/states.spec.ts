import { expect, expectAccessible, figure, openDemoBatch, test } from './shop'

test('a blade that is lost is marked with its reason, and no load, temper or certificate has it; it can be taken back', async ({
  page,
}) => {
  await openDemoBatch(page, 'Boat knives, spring refit', 'Inspect')
  const header = page.getByRole('button', { name: /^\d × X105CrMo17/ })
  await expect(header).toHaveText('6 × X105CrMo17')
  await page.getByRole('button', { name: 'A2', exact: true }).click()
  await page.getByLabel('State of A2').selectOption('lost')
  await page.getByLabel('Why', { exact: true }).fill('fell behind the oven')
  await page.getByRole('button', { name: 'Mark A2 as lost' }).click()
  await expect(page.getByRole('cell', { name: 'lost: fell behind the oven' })).toBeVisible()
  await expect(header).toHaveText('5 × X105CrMo17 (1 lost)')
  await expectAccessible(page)
  await page.getByRole('link', { name: 'Temper', exact: true }).click()
  await expect(page.getByRole('cell', { name: 'A1 and A3 to A6' }).first()).toBeVisible()
  const batch = page.url().split('/')[4]
  await page.goto(`/certificate/${batch}`)
  await page.getByRole('button', { name: 'Show every blade' }).click()
  await expect(page.getByRole('heading', { name: /A3/ }).first()).toBeVisible()
  await expect(page.getByLabel('Blade', { exact: true }).locator('option')).toHaveCount(7)
  await page.goto(`/batch/${batch}/inspect`)
  await page.getByRole('button', { name: 'A2', exact: true }).click()
  await page.getByLabel('State of A2').selectOption('whole')
  await page.getByLabel('Why', { exact: true }).fill('found under the bench, straight')
  await page.getByRole('button', { name: 'Mark A2 as whole' }).click()
  await expect(header).toHaveText('6 × X105CrMo17')
})

test('a blade’s own page tells what it soaked and what it came to: sold, to whom', async ({ page }) => {
  await page.goto('/')
  await openDemoBatch(page, 'Galley knives for the ferry', 'Prepare')
  await expect(figure(page, 'Blades counted in')).toHaveText('9')
  await page.keyboard.press('/')
  await page.getByRole('combobox', { name: 'Find' }).fill('ferry B1')
  await page.getByRole('option', { name: /B1.*Galley knives for the ferry/ }).click()
  await expect(page.getByRole('row', { name: /State sold to the ferry’s cook/ })).toBeVisible()
  await expect(page.getByRole('row', { name: /Soak .* planned, \d+\.\d min as run/ })).toBeVisible()
  await page.getByLabel('State of B1').selectOption('sent-back')
  await page.getByLabel('Why', { exact: true }).fill('chipped on a bone')
  await page.getByRole('button', { name: 'Mark B1 as sent back to be re-hardened' }).click()
  await expect(page.getByRole('row', { name: /State sent back to be re-hardened: chipped on a bone/ })).toBeVisible()
})
