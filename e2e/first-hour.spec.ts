import { beginBatch, expect, expectAccessible, fill, startEmpty, test } from './shop'

test.use({ asks: 'looked at', locale: 'en-US' })

test('from the made-up workshop to a first batch of one’s own: six steps, each said or skipped', async ({ page }) => {
  await page.goto('/')
  await expect(page.getByText('Everything here is made up.')).toBeVisible()
  await page.getByRole('link', { name: 'start your own workshop' }).click()
  await page.getByRole('button', { name: 'Start my own workshop' }).click()
  await page.getByRole('button', { name: 'Delete it and start my own' }).click()
  await expect(page.getByRole('heading', { name: 'Units and currency' })).toBeVisible()
  // The browser of these tests speaks American English.
  await expect(page.getByLabel('Units shown (every field reads both)')).toHaveValue('imperial')
  await expect(page.getByLabel('Currency of all prices')).toHaveValue('USD')
  await expect(page.getByText('Usual values, not yours yet.')).toBeVisible()
  await expectAccessible(page)
  await page.getByLabel('Units shown (every field reads both)').selectOption('metric')
  await page.getByRole('button', { name: 'Save and continue' }).click()
  await expect(page.getByRole('heading', { name: 'Oven and controller' })).toBeVisible()
  await fill(page, 'Power', '3.6 kW')
  await page.getByRole('button', { name: 'Save and continue' }).click()
  await page.getByRole('button', { name: 'Skip for now' }).click()
  await page.getByLabel('Coldest the shop has').selectOption('none')
  await page.getByRole('button', { name: 'Save and continue' }).click()
  await page.getByRole('button', { name: 'Skip for now' }).click()
  // Prices come in the units that were chosen.
  await expect(page.getByLabel('Price of foil')).toBeVisible()
  await expect(page.getByText('per metre', { exact: true })).toBeVisible()
  await page.getByRole('button', { name: 'Skip for now' }).click()
  await beginBatch(page, 'D2', { blades: 3 })
  await expect(page.getByRole('heading', { level: 2, name: 'Prepare' })).toBeVisible()
  await page.getByRole('link', { name: 'Choose', exact: true }).click()
  // No cold was said, so no route asks for it.
  await expect(page.getByLabel('Cold', { exact: true })).toHaveValue('none')
  await page.goto('/')
  const unsaid = page.getByRole('region', { name: 'Not set' })
  await expect(unsaid.getByRole('listitem')).toHaveText([
    /^Quench plates\./,
    /^Hardness tester or files\./,
    /^Foil and prices\./,
  ])
  await expect(page.getByText('Everything here is made up.')).toHaveCount(0)
  // The way from there to the oven: practice and paper at one press each.
  await page.goto('/start')
  await page.getByRole('button', { name: 'Then: the first batch' }).click()
  await expect(page.getByRole('link', { name: 'Practise its run' })).toHaveAttribute('href', /^\/practice\//)
  await page.getByRole('link', { name: 'Print its oven sheet' }).click()
  await expect(page.getByRole('heading', { name: /oven sheet/ })).toBeVisible()
})

test('an empty workshop keeps nothing of the made-up one', async ({ page }) => {
  await startEmpty(page)
  await page.reload()
  await expect(page.getByLabel('Name of the shop')).toHaveValue('My workshop')
  for (const name of ['Old Gannet', 'Tide House'])
    await expect(page.getByText(name, { exact: false }), name).toHaveCount(0)
  await page.goto('/')
  await expect(page.getByText(/is for makers who harden/)).toBeVisible()
  await expectAccessible(page)
})

test('a look round in seven stops, left at any time', async ({ page }) => {
  await page.goto('/')
  await page.getByRole('link', { name: 'Look round in seven stops' }).click()
  const tour = page.getByRole('complementary', { name: 'A look round' })
  for (const [i, next] of ['Prepare', 'Wrap', 'Heat', 'Plates', 'Temper', 'Verdict'].entries()) {
    await expect(tour).toContainText(`${i + 1} of 7`)
    await tour.getByRole('button', { name: `Next: ${next}` }).click()
    await expect(page.getByRole('heading', { level: 2, name: next })).toBeVisible()
  }
  await tour.getByRole('button', { name: 'Done' }).click()
  await expect(tour).toHaveCount(0)
  await page.reload()
  await expect(page.getByRole('heading', { level: 2, name: 'Verdict' })).toBeVisible()
  await expect(tour).toHaveCount(0)
})
