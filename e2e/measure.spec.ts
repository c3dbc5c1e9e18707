import { readFile } from 'node:fs/promises'
import { choose, expect, expectAccessible, fill, openDemoBatch, test } from './shop'

test('nine blades with three readings each go in by keyboard alone, a line and Enter a blade', async ({ page }) => {
  await openDemoBatch(page, 'Skerry fillets', 'Measure')
  await page.getByLabel('Readings of A1, HRC').focus()
  for (const mark of ['A1', 'A2', 'A3', 'A4', 'A5', 'B1', 'B2', 'B3', 'B4']) {
    await expect(page.getByLabel(`Readings of ${mark}, HRC`)).toBeVisible()
    // The demo's tester shows 0.17 too much: the mean of 60.17 is 60.0.
    await page.keyboard.type('60 60,5 60')
    await page.keyboard.press('Enter')
    if (mark !== 'B4') await expect(page.getByLabel(`Readings of ${mark}, HRC`)).toBeHidden()
  }
  // After the last blade of a steel the next steel comes.
  await page.getByRole('button', { name: /9 × X65Cr13/ }).click()
  await expect(page.getByRole('row', { name: /^B4 60\.0/ })).toBeVisible()
  await expect(page.getByText(/Taken without a test block check/)).toBeVisible()
  await page.getByRole('button', { name: 'Remove 60.5 of A1' }).click()
  await expect(page.getByRole('row', { name: /^A1 59\.8/ })).toBeVisible()
  await page
    .getByRole('listitem')
    .filter({ hasText: '60.5 of A1 removed' })
    .getByRole('button', { name: 'Undo' })
    .click()
  await expect(page.getByRole('row', { name: /^A1 60\.0/ })).toBeVisible()
})

test('a place is chosen on the blade: the rules are said while pointing, the bevel is refused', async ({ page }) => {
  await openDemoBatch(page, 'Net knives', 'Measure')
  const board = page.getByRole('img', { name: /^Blade A1 with readings/ })
  const box = await board.boundingBox()
  if (!box) throw new Error('no drawing')
  await board.hover({ position: { x: box.width * 0.5, y: box.height * 0.9 } })
  await expect(page.getByText(/beside the blade|On the bevel|from the edge/)).toBeVisible()
  await page.getByRole('button', { name: 'Use a place the handle hides' }).click()
  await expectAccessible(page)
})

test('wrong readings are said by their place, and nothing typed is lost', async ({ page }) => {
  await openDemoBatch(page, 'Net knives', 'Measure')
  const field = page.getByLabel(/^Readings of A1/)
  await field.fill('61 6O.5 605')
  await field.press('Enter')
  await expect(page.getByRole('alert').filter({ hasText: '6O.5' })).toContainText('type 60.5?')
  await expect(field).toHaveValue('61 6O.5 605')
  await field.fill('72 -3')
  await field.press('Enter')
  await expect(page.getByRole('alert').filter({ hasText: '72 HRC cannot be' })).toBeVisible()
})

test('a round face is counted, one that is too round is refused beside the field, and what was shown stays', async ({
  page,
}) => {
  await openDemoBatch(page, 'Skerry fillets', 'Measure')
  await page.getByLabel('on a round face').check()
  await fill(page, 'Its diameter', '6.4 mm')
  const field = page.getByLabel('Readings of A1, HRC')
  await field.fill('59 24')
  await field.press('Enter')
  await expect(page.getByRole('alert').filter({ hasText: 'find a flat' })).toBeVisible()
  await expect(field).toHaveValue('59 24')
  await fill(page, 'Its diameter', '1/2 in')
  await field.fill('59')
  await field.press('Enter')
  await expect(page.getByRole('row', { name: /^A1 59\.8/ })).toContainText('(59.0 on a round face)')
})

test('a shop without a tester: files give a range, with what was predicted', async ({ page }) => {
  await openDemoBatch(page, 'Skerry fillets', 'Measure')
  await page.getByRole('button', { name: 'By files' }).click()
  await page.getByLabel('Hardest file that slides off').selectOption('60')
  await page.getByLabel('Softest file that cuts').selectOption('65')
  await expect(page.getByText(/With what was predicted/)).toBeVisible()
  await expect(page.getByText(/\d\d\.\d to \d\d\.\d HRC/).first()).toBeVisible()
  await expectAccessible(page)
  await page.getByRole('link', { name: 'Verdict', exact: true }).click()
  await expect(page.getByText(/^From file tests/)).toBeVisible()
  await expect(page.getByRole('row', { name: /^A1 \d\d\.\d ± / })).toBeVisible()
})

test('readings come from the simulated tester into the line, to be recorded', async ({ page }) => {
  await openDemoBatch(page, 'Net knives', 'Measure')
  await page.getByRole('button', { name: 'Simulated tester' }).click()
  await page.getByRole('button', { name: 'Take a reading (simulated)' }).click()
  await page.getByRole('button', { name: 'Take a reading (simulated)' }).click()
  await expect(page.getByLabel(/^Readings of A1/)).toHaveValue(/^\d\d(\.\d)? \d\d(\.\d)?$/)
})

test('a tester’s file is matched to blades and stages; a wrong one is refused by its columns', async ({ page }) => {
  await openDemoBatch(page, 'Skerry fillets', 'Measure')
  const file = (text: string) => ({ name: 'tester.csv', mimeType: 'text/csv', buffer: Buffer.from(text) })
  const input = page.getByLabel('A tester’s file …')
  await input.setInputFiles(file('time,temp\n1,20\n'))
  await expect(page.getByRole('alert').filter({ hasText: 'no column blade and none HRC' })).toBeVisible()
  await input.setInputFiles(file('Blade;Stage;HRC\nA1;AQ;62,5\nA2;AQ;62\nZ9;AQ;62\n'))
  await expect(page.getByText('2 readings of 2 blades, as quenched.')).toBeVisible()
  await expect(page.getByText('Line 4: there is no blade “Z9”')).toBeVisible()
  await page.getByRole('button', { name: 'Record them' }).click()
  await page.getByLabel('Stage', { exact: true }).selectOption('as quenched')
  await expect(page.getByRole('row', { name: /^A1 62\.3/ })).toBeVisible()
  await expectAccessible(page)
})

test('blades that differ are parted, and those that need it make the next temper load', async ({ page }) => {
  await openDemoBatch(page, 'Skerry fillets', 'Measure')
  const stage = page.getByLabel('Stage', { exact: true })
  await stage.selectOption({ label: 'after temper 2' })
  for (const [mark, values] of [
    ['A1', '60.5 60.5 61'],
    ['A2', '62 62.5 62.5'],
  ]) {
    await page.getByLabel('Blade', { exact: true }).selectOption(mark as string)
    await page.getByLabel(`Readings of ${mark}, HRC`).fill(values as string)
    await page.keyboard.press('Enter')
    await expect(page.getByRole('row', { name: new RegExp(`^${mark} 6`) })).toBeVisible()
  }
  await page.getByRole('link', { name: 'Verdict', exact: true }).click()
  await page.getByRole('button', { name: 'Each blade', exact: true }).click()
  await expect(page.getByText(/^A2: temper again/)).toBeVisible()
  await expect(page.getByText('Not measured yet: A3', { exact: false })).toBeVisible()
  await expectAccessible(page)
  await page.getByRole('button', { name: 'Add this temper' }).first().click()
  await page.getByRole('link', { name: 'Temper', exact: true }).click()
  await expect(page.getByRole('row', { name: /^Temper 3 .* A2 / })).toBeVisible()
  // The blade with a temper of its own is read after it, the others where they were.
  await page.getByRole('link', { name: 'Measure', exact: true }).click()
  await page.getByLabel('Blade', { exact: true }).selectOption('A2')
  await expect(stage.locator('option:checked')).toHaveText('after temper 3')
  await page.getByLabel('Blade', { exact: true }).selectOption('A1')
  await expect(stage.locator('option:checked')).toHaveText('after temper 2')
})

test('under a finger the buttons of a table are 44 px', async ({ browser, baseURL }) => {
  const context = await browser.newContext({
    baseURL: baseURL ?? '',
    hasTouch: true,
    isMobile: true,
    viewport: { width: 820, height: 1180 },
  })
  const page = await context.newPage()
  await openDemoBatch(page, 'Boat knives', 'Inspect')
  const box = await page.getByRole('button', { name: 'A2', exact: true }).first().boundingBox()
  expect(Math.min(box?.width ?? 0, box?.height ?? 0)).toBeGreaterThanOrEqual(44)
  await context.close()
})

test('what is accepted is finished in one press, and its certificates are one press further', async ({ page }) => {
  await openDemoBatch(page, 'Boat knives', 'Verdict')
  await page.getByRole('button', { name: 'Accept these blades' }).click()
  const kept = page.getByRole('region', { name: 'Kept as it is' })
  await expect(page.getByRole('button', { name: 'Accepted', exact: true })).toBeDisabled()
  await kept.getByRole('button', { name: /^Finish these \d+/ }).click()
  await expect(kept.getByRole('button', { name: 'Finished' })).toBeDisabled()
  await expectAccessible(page)
  await kept.getByRole('link', { name: 'Print their certificates' }).click()
  await expect(page).toHaveURL(/\/certificate\//)
  await expect(page.getByRole('heading', { name: /^Hardness certificate/ }).first()).toBeVisible()
})

test('causes are listed by likelihood with the test that tells each', async ({ page }) => {
  await openDemoBatch(page, 'Net knives', 'Verdict')
  await page.getByRole('button', { name: 'Likely causes' }).click()
  await expect(page.getByRole('row', { name: /the usual scatter \d+ %/ })).toBeVisible()
  await expect(page.getByText(/Check the tester now/)).toBeVisible()
  await expectAccessible(page)
})

test('a certificate is a PDF with its machine-readable copy inside', async ({ page }) => {
  await openDemoBatch(page, 'Net knives', 'Verdict')
  await page.getByRole('link', { name: 'Certificates' }).click()
  await page.getByRole('button', { name: 'Show every blade' }).click()
  await expect(page.getByRole('heading', { name: 'Hardness certificate, A1' })).toBeVisible()
  await choose(page, 'Blade', 'A1')
  const waiting = page.waitForEvent('download')
  await page.getByRole('button', { name: 'PDF' }).click()
  const path = await (await waiting).path()
  const bytes = await readFile(path)
  expect(bytes.subarray(0, 5).toString()).toBe('%PDF-')
  expect(bytes.toString('latin1')).toContain('A1.json')
  await expectAccessible(page)
})

test('trends: batches on a control chart, by oven and by steel', async ({ page }) => {
  await page.goto('/logbook')
  await page.getByRole('button', { name: 'Trends' }).click()
  await expect(page.getByRole('img', { name: /^Control chart of \d+ batches/ })).toBeVisible()
  await page.getByLabel('Group by').selectOption('steel')
  await page.getByLabel('Chart of', { exact: true }).selectOption('finished hardness')
  await expect(page.getByText(/Usual scatter from batch to batch/)).toBeVisible()
  await expectAccessible(page)
})

test('the day’s check on a block is kept, and its drift is said', async ({ page }) => {
  await page.goto('/workshop')
  await fill(page, 'Today’s readings on it', '62.5 62.5 63')
  await page.getByRole('button', { name: 'Record', exact: true }).click()
  await expect(page.getByText(/Out of limits/)).toBeVisible()
  await expect(page.getByText(/It drifts by \+\d/)).toBeVisible()
  await page
    .getByRole('button', { name: /^Remove the check of/ })
    .first()
    .click()
  await expect(page.getByText(/Fit to use/)).toBeVisible()
  await expectAccessible(page)
})

test('the field of readings is one Tab from the link over the page, and R goes there', async ({ page }) => {
  await openDemoBatch(page, 'Skerry fillets', 'Measure')
  const field = page.getByLabel(/^Readings of A1, HRC/)
  await expect(field).toBeVisible()
  await page.getByRole('link', { name: 'Go to the work' }).focus()
  await page.keyboard.press('Enter')
  await page.keyboard.press('Tab')
  await expect(field).toBeFocused()
  await page.getByRole('heading', { level: 2 }).click()
  await page.keyboard.press('r')
  await expect(field).toBeFocused()
})

test('readings are typed without spaces, and asked about where there are two ways to read them', async ({ page }) => {
  await openDemoBatch(page, 'Boat knives', 'Measure')
  await page.getByLabel('Blade', { exact: true }).selectOption('A1')
  const field = page.getByLabel('Readings of A1, HRC')
  await field.fill('5855957')
  await field.press('Enter')
  await expect(page.getByText('A1 after temper 2: 58.5, 59.0, 57.0')).toBeVisible()
  const next = page.getByLabel('Readings of A2, HRC')
  await next.fill('585555')
  await next.press('Enter')
  await expect(page.getByRole('alert').filter({ hasText: 'Put a space between readings' })).toBeVisible()
  await expect(next).toHaveValue('585555')
})
