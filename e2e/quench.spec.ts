import { expect, expectAccessible, fill, openDemoBatch, test } from './shop'

test('the pull list comes to the second, and a second set shortens it', async ({ page }) => {
  await openDemoBatch(page, 'Skerry fillets', 'Plates')
  await page.getByRole('button', { name: 'Pull list' }).click()
  const first = page.getByRole('row', { name: /^0:00 A1/ })
  await expect(first).toBeVisible()
  await expect(page.getByText(/All 9 in \d+:\d\d min/)).toBeVisible()
  const before = await page.getByText(/All 9 in/).textContent()
  await page.getByLabel('Sets of plates').selectOption('two')
  await expect(page.getByText(/All 9 in/)).not.toHaveText(before ?? '')
  await expect(page.getByText(/set 2, /).first()).toBeVisible()
  await expectAccessible(page)
})

test('ways are compared: still air is too slow for the steel', async ({
  page,
}) => {
  await openDemoBatch(page, 'Skerry fillets', 'Plates')
  await page.getByRole('button', { name: 'Ways compared' }).click()
  await expect(page.getByRole('row', { name: /still air, in foil .*too slow/ })).toBeVisible()
  await expect(page.getByRole('row', { name: /plates, as they are/ })).not.toContainText('too slow')
  await expect(page.getByText(/bows 0\.\d\d mm/)).toBeVisible()
  await expectAccessible(page)
})

test('two thermometer readings fit the plates; one that cannot be is refused in words', async ({ page }) => {
  await openDemoBatch(page, 'Skerry fillets', 'Plates')
  await page.getByRole('button', { name: 'Your plates' }).click()
  await fill(page, 'The plates were then', '400')
  await expect(page.getByRole('alert').filter({ hasText: 'hotter than this blade can have made them' })).toBeVisible()
  await fill(page, 'First reading after', '8')
  await fill(page, 'The plates were then', '38')
  await expect(page.getByText(/Contact \d+ W\/m²K/)).toBeVisible()
  await page.getByRole('button', { name: 'Reckon with these plates' }).click()
  await expect(page.getByText(/Reckoned with your own/)).toBeVisible()
  await expectAccessible(page)
})

test('a bent blade, a soft one and a cracked one each get their word, with the reason', async ({ page }) => {
  await openDemoBatch(page, 'Skerry fillets', 'Inspect')
  await fill(page, 'Counted out, of 11 in', '10')
  await expect(page.getByText('1 blade is missing')).toBeVisible()
  await fill(page, 'Gauge that goes under it', '0,9')
  await page.getByLabel('Bent at').selectOption('middle')
  await expect(page.getByRole('row', { name: /A1 .*straighten/ })).toBeVisible()
  await page.getByRole('button', { name: 'A2', exact: true }).click()
  await page.getByLabel('Softest file that bites').selectOption('50')
  await expect(page.getByText(/A 50 HRC file bites/)).toBeVisible()
  await expect(page.getByRole('row', { name: /A2 .*find out first/ })).toBeVisible()
  await page.getByRole('button', { name: 'A3', exact: true }).click()
  await page.getByLabel('Cracks').selectOption('a crack')
  await expect(page.getByRole('row', { name: /A3 .*stop/ })).toBeVisible()
  await expectAccessible(page)
})

test('a chill that would fill a small room is refused, at the bench and before a run; ventilation lifts it', async ({
  page,
}) => {
  await openDemoBatch(page, 'Skerry fillets', 'Cold')
  await fill(page, 'Room', '6')
  await fill(page, 'Air changes', '0')
  await expect(page.getByText('This chill is refused.')).toBeVisible()
  await expect(page.getByText(/\d+ air changes an hour keep to it|No ventilation of this room/)).toBeVisible()
  await expectAccessible(page)
  await page.getByRole('link', { name: 'Run', exact: true }).click()
  await expect(page.getByText(/The cold is refused/)).toBeVisible()
  await expect(page.getByRole('button', { name: /Run in the shop/ })).toBeDisabled()
  await page.getByRole('link', { name: 'Change it at the Cold bench' }).click()
  await fill(page, 'Room', '200')
  await fill(page, 'Air changes', '10')
  await expect(page.getByText('This chill is refused.')).toBeHidden()
})

test('the cold’s ways are compared and one is taken', async ({ page }) => {
  await openDemoBatch(page, 'Skerry fillets', 'Cold')
  await page.getByRole('button', { name: 'Ways compared' }).click()
  await page.getByRole('button', { name: 'Take freezer at once' }).click()
  await expect(page.getByText('To −18 °C')).toBeVisible()
  await expect(page.getByRole('row', { name: /freezer at once .*this batch/ })).toBeVisible()
  await expectAccessible(page)
})
