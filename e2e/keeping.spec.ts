import { expect, figure, fill, openDemoBatch, startEmpty, test } from './shop'

test('fourteen blades are read by keyboard alone, and one reading is taken out and put back', async ({ page }) => {
  await openDemoBatch(page, 'Boat knives', 'Prepare')
  await fill(page, 'Count of A', '14')
  await page.getByRole('link', { name: 'Measure', exact: true }).click()
  await page.getByLabel('Blade', { exact: true }).selectOption('A7')
  const field = page.getByLabel(/^Readings of A/)
  await field.focus()
  for (let blade = 7; blade <= 14; blade++) {
    await expect(page.getByLabel(`Readings of A${blade}, HRC`)).toBeFocused()
    await page.keyboard.type('59 59,5 59')
    await page.keyboard.press('Enter')
  }
  await expect(page.getByText(/HRC, from 42; predicted/)).toBeVisible()
  await page.getByRole('button', { name: 'Take out 59.5 of A9' }).click()
  await expect(page.getByText(/HRC, from 41; predicted/)).toBeVisible()
  await page.getByRole('listitem').filter({ hasText: 'taken out' }).getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByText(/HRC, from 42; predicted/)).toBeVisible()
})

test('one odd blade does not decide for the rest', async ({ page }) => {
  await openDemoBatch(page, 'Net knives', 'Verdict')
  await expect(page.getByText(/A3 reads 55\.\d, apart from the rest/)).toBeVisible()
  await expect(page.getByRole('region', { name: 'Verdict' }).getByRole('listitem').first()).toContainText('Accept')
})

test('an edge that chips moves the aim', async ({ page }) => {
  await openDemoBatch(page, 'Boat knives', 'Prove')
  await page.getByLabel(/^The edge of the/).selectOption('chips')
  await page.getByRole('button', { name: 'To the verdict' }).click()
  await expect(page.getByText('The edge chips: the aim is moved by 1 HRC.')).toBeVisible()
  await expect(page.getByRole('region', { name: 'Verdict' }).getByRole('listitem').first()).toContainText(
    'toward 57.0 to 59.0',
  )
})

test('a recipe is saved from a batch, planned from, and retired', async ({ page }) => {
  await startEmpty(page)
  await page.goto('/batches')
  await page.getByRole('button', { name: 'New batch' }).click()
  await page.getByLabel('First steel').selectOption('X153CrMoV12')
  await page.getByRole('button', { name: 'Begin' }).click()
  await page.getByRole('button', { name: 'Save as recipe' }).click()
  await expect(page.getByText(/Saved in recipes/)).toBeVisible()
  await page.goto('/recipes')
  await expect(page.getByRole('heading', { name: 'X153CrMoV12, 59.5 to 61.5 HRC' })).toBeVisible()
  await page.getByRole('button', { name: 'Retire' }).click()
  await expect(page.getByText(/, retired;/)).toBeVisible()
  await page.getByRole('button', { name: 'Plan a batch' }).click()
  await expect(page.getByRole('heading', { name: 'Prepare' })).toBeVisible()
})

test('the working of a figure opens with equation and source, and closes by keyboard', async ({ page }) => {
  await openDemoBatch(page, 'Boat knives', 'Choose')
  const trigger = page.getByRole('button', { name: 'Working of Finished hardness' })
  await trigger.focus()
  await page.keyboard.press('Enter')
  const working = page.getByRole('dialog', { name: 'Working of Finished hardness' })
  await expect(working).toContainText('exp(−0.011(Ms − T))')
  await expect(working).toContainText('Koistinen and Marburger (1959)')
  await page.keyboard.press('Escape')
  await expect(working).toHaveCount(0)
  await expect(trigger).toBeFocused()
})

test('the temper is moved on its curve by keyboard', async ({ page }) => {
  await openDemoBatch(page, 'Boat knives', 'Choose')
  await page.getByRole('button', { name: 'Curve', exact: true }).click()
  const slider = page.getByRole('slider', { name: /Temper temperature/ })
  const before = Number(await slider.getAttribute('aria-valuenow'))
  await slider.focus()
  await page.keyboard.press('ArrowRight')
  await expect.poll(async () => Number(await slider.getAttribute('aria-valuenow'))).toBe(before + 5)
  await expect(page.getByLabel('Temper 1 at', { exact: true })).toHaveValue(String(before + 5))
})

test('the tester’s block corrects readings, and a bad one is said', async ({ page }) => {
  await openDemoBatch(page, 'Boat knives', 'Measure')
  await expect(figure(page, 'A1 after temper 2')).toHaveText(/\d/)
  const before = Number(await figure(page, 'A1 after temper 2').innerText())
  await page.goto('/workshop')
  await fill(page, 'Today’s readings on it', '61.3 61.4 61.2')
  await expect(page.getByText(/off by \+1\.00/)).toBeVisible()
  await page.goBack()
  await expect
    .poll(async () => Number(await figure(page, 'A1 after temper 2').innerText()))
    .toBeCloseTo(before - 0.8, 1)
  await page.goto('/workshop')
  await fill(page, 'Today’s readings on it', '58 58.2 58.1')
  await expect(page.getByText('Out of limits', { exact: false }).first()).toBeVisible()
})

test('the logbook is sorted, filtered and saved as CSV', async ({ page }) => {
  await page.goto('/logbook')
  const cells = page.getByRole('region', { name: 'Readings' }).locator('tbody tr td:nth-child(6)')
  await page.getByRole('button', { name: 'HRC' }).click()
  const means = (await cells.allInnerTexts()).map(text => Number.parseFloat(text))
  expect(means.length).toBeGreaterThan(50)
  expect(means).toEqual([...means].sort((a, b) => b - a))
  await page.getByLabel('Steel', { exact: true }).selectOption('X100CrMoV5')
  for (const steel of await page
    .getByRole('region', { name: 'Readings' })
    .locator('tbody tr td:nth-child(4)')
    .allInnerTexts())
    expect(steel).toBe('X100CrMoV5')
  const download = page.waitForEvent('download')
  await page.getByRole('button', { name: 'CSV' }).click()
  expect((await download).suggestedFilename()).toBe('readings.csv')
})

test('a theme that was chosen is there at the first paint', async ({ page }) => {
  await page.goto('/workshop')
  await page.getByLabel('Theme').selectOption('dark')
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'dark')
  await page.goto('/batches', { waitUntil: 'commit' })
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'dark')
})

test('foil that cannot stand the heat, and blades that do not fit the roll, are said where they stand', async ({
  page,
}) => {
  await openDemoBatch(page, 'Boat knives', 'Choose')
  await fill(page, 'Austenitize at', '1110')
  await page.getByRole('link', { name: 'Wrap', exact: true }).click()
  await expect(page.getByText('309', { exact: true })).toBeVisible()
  await fill(page, 'Roll width', '110')
  await expect(page.getByText(/does not fit a roll 110 mm wide/)).toBeVisible()
})
