import { readFile } from 'node:fs/promises'
import type { Page } from '@playwright/test'
import { begin, goOn, title } from './hot-run'
import { expect, expectAccessible, test } from './shop'

// The demo is laid down around the day it is first seen, which these tests set.
test.use({ begins: 'first visit' })

const acts = (page: Page) => page.getByRole('region', { name: 'Step by step' })
const answers = (page: Page) => page.getByRole('region', { name: 'The day', exact: true })

/** Today on a Tuesday morning, before anyone is in the shop. */
async function openTuesday(page: Page) {
  await page.clock.install({ time: new Date('2026-03-03T07:00:00') })
  await page.goto('/')
  await expect(answers(page).getByText('fastest order, proven')).toBeVisible()
}

test('the day says when all is done, what hands do when, and what would help', async ({ page }) => {
  await openTuesday(page)
  await expect(acts(page).getByText(/Load Skerry C1 and C2/)).toBeVisible()
  await expect(acts(page).getByRole('listitem').first()).toContainText('08:40 to 08:45')
  await expect(page.getByRole('region', { name: 'What would help' }).getByText(/Work until/)).toBeVisible()
  await expect(page.getByText('Nothing: no blade stands hard and untempered.')).toBeVisible()
  await expectAccessible(page)
  await page.getByRole('button', { name: 'Tomorrow' }).click()
  await expect(
    acts(page)
      .getByText(/out of the tempering oven/)
      .first(),
  ).toBeVisible()
})

test('a load is moved by keys and planned anew; it can be left for later, and comes back', async ({ page }) => {
  await openTuesday(page)
  const load = page.getByRole('button', { name: /^Skerry C1 and C2, 1050 °C/ })
  await load.focus()
  for (const start of ['08:45 to', '08:50 to', '08:55 to']) {
    await page.keyboard.press('ArrowRight')
    await expect(acts(page).getByRole('listitem').first()).toContainText(start)
  }
  await acts(page).getByRole('button', { name: 'When?' }).first().click()
  const dialog = page.getByRole('dialog', { name: /When is Skerry fillets/ })
  await expect(dialog.getByLabel('Load at')).toBeChecked()
  await expect(dialog.getByLabel('Start, time')).toHaveValue('08:55')
  await expectAccessible(page)
  await dialog.getByLabel('Start, day').fill('2026-03-05')
  await dialog.getByRole('button', { name: 'Apply' }).click()
  await expect(answers(page).getByText(/later than the day’s first plan/)).toBeVisible()
  await page.getByRole('button', { name: 'Thursday' }).click()
  await acts(page).getByRole('button', { name: 'When?' }).first().click()
  await dialog.getByLabel('Not these days').check()
  await dialog.getByRole('button', { name: 'Apply' }).click()
  await expect(acts(page).getByText(/Load Skerry/)).toHaveCount(0)
  await page.getByRole('button', { name: 'Skerry fillets and galley knives' }).click()
  await dialog.getByLabel('When it fits best').check()
  await dialog.getByRole('button', { name: 'Apply' }).click()
  await expect(acts(page).getByText(/Load Skerry C1 and C2/)).toBeVisible()
})

/** Puts the first batch of the day off, by its dialog. */
async function leaveForLater(page: Page) {
  await acts(page).getByRole('button', { name: 'When?' }).first().click()
  const dialog = page.getByRole('dialog', { name: /When is Skerry fillets/ })
  await dialog.getByLabel('Not these days').check()
  await dialog.getByRole('button', { name: 'Apply' }).click()
  await expect(acts(page).getByText(/Load Skerry/)).toHaveCount(0)
}

test('a batch left for later is dragged onto the day, and is loaded where it was dropped', async ({ page }) => {
  await openTuesday(page)
  await leaveForLater(page)
  const drawing = page.getByRole('group', { name: /^The day’s plan: a lane/ })
  const chip = page.getByRole('button', { name: 'Skerry fillets and galley knives' })
  await page.getByRole('heading', { level: 1 }).scrollIntoViewIfNeeded()
  const [from, onto] = await Promise.all([chip.boundingBox(), drawing.boundingBox()])
  if (!from || !onto) throw new Error('nothing to drag, or nowhere to drop it')
  await page.mouse.move(from.x + 20, from.y + 10)
  await page.mouse.down()
  await page.mouse.move(onto.x + onto.width * 0.5, onto.y + 60, { steps: 4 })
  const said = await page.getByText(/, loaded at /).textContent()
  await page.mouse.up()
  const at = said?.match(/\d\d:\d\d$/)?.[0] ?? 'no time'
  await expect(
    acts(page)
      .getByRole('listitem')
      .filter({ hasText: /Load Skerry C1 and C2/ }),
  ).toContainText(`${at} to`)
  await expect(page.getByRole('dialog')).toHaveCount(0)
})

test('a stress relief is planned before the load, ticked in and out, and then the load comes', async ({ page }) => {
  await openTuesday(page)
  await page.goto('/batches')
  await page
    .getByRole('link', { name: /Skerry fillets/ })
    .first()
    .click()
  await page.getByRole('link', { name: /Prepare/ }).click()
  await page.getByRole('button', { name: 'Before heat' }).click()
  await page.getByLabel(/Stress relief first/).click()
  await expect(page.getByText('Still to be done: Today plans it before the load.')).toBeVisible()
  await page.goto('/')
  const act = (text: RegExp) => acts(page).getByRole('listitem').filter({ hasText: text })
  await expect(act(/to be stress relieved/)).toHaveCount(1)
  await act(/to be stress relieved/)
    .getByRole('button')
    .click()
  await expect(act(/to be stress relieved/)).toHaveCount(0)
  // Up from 200 °C no faster than 300 K an hour, an hour there: it comes out hours later.
  await expect(act(/out of the stress relief/)).toContainText(/^(09:5|10:)/)
  await act(/out of the stress relief/)
    .getByRole('button')
    .click()
  await expect(act(/out of the stress relief/)).toHaveCount(0)
  await expect(act(/Load Skerry/).first()).toBeVisible()
  await expectAccessible(page)
})

test('cheap hours: what electricity the day takes and how much of it then, at once for the Workshop’s figures', async ({
  page,
}) => {
  await openTuesday(page)
  await expect(answers(page).getByText(/^about [\d.]+ kWh$/)).toBeVisible()
  await page.goto('/workshop')
  await page.getByLabel('Electricity costs less at some hours').click()
  await page.getByLabel('Cheap from').fill('09:00')
  await page.getByLabel('Cheap until').fill('17:00')
  await page.goto('/')
  await expect(answers(page).getByText(/^about [\d.]+ kWh, [1-9][\d.]+ of them in the cheap hours$/)).toBeVisible()
})

test('a helper has a lane and acts of his own, in his hours', async ({ page }) => {
  await openTuesday(page)
  await expect(acts(page).getByText('Helper:')).toHaveCount(0)
  await page.getByRole('button', { name: 'Working hours' }).click()
  const dialog = page.getByRole('dialog', { name: 'When are you in the shop?' })
  await dialog.getByText('A helper’s hours').click()
  await dialog.getByRole('checkbox', { name: 'Only today, helper' }).click()
  await expect(dialog.getByLabel('Only today, helper, from')).toHaveValue('08:00')
  await expectAccessible(page)
  await page.keyboard.press('Escape')
  await expect(acts(page).getByText('Helper:').first()).toBeVisible()
  await expect(answers(page).getByText(/and \d+ min a helper’s/)).toBeVisible()
})

test('more blades: how much later the day ends, and what they cost', async ({ page }) => {
  await openTuesday(page)
  const help = page.getByRole('region', { name: 'What would help' })
  await help.getByLabel('Like those of').selectOption({ index: 1 })
  await expect(help.getByRole('status')).toHaveText(/All is done .* they cost .*\d\.\d\d\./)
  await help.getByLabel('How many').fill('40')
  await help.getByLabel('How many').press('Enter')
  await expect(help.getByRole('status')).toHaveText(/^Skerry A1 to A5 .* mend(s)? it\.$/)
})

test('the day says how it went against its first plan', async ({ page }) => {
  await openTuesday(page)
  await begin(page, 'shop')
  for (let i = 0; i < 3; i++) await goOn(page)
  await page.goto('/')
  const went = page.getByRole('region', { name: 'How today went' })
  await expect(went.getByText(/^1 of \d+ planned acts was done, the last .* sooner than planned\.$/)).toBeVisible()
  await expect(went.getByRole('listitem')).toContainText('Load C1 and C2')
  await expectAccessible(page)
})

test('a time that cannot be kept is said, with the nearest plan; without hours too', async ({ page }) => {
  await openTuesday(page)
  await acts(page).getByRole('button', { name: 'When?' }).first().click()
  await page.getByLabel('Done by, day').fill('2026-03-03')
  await page.getByLabel('Done by, time').fill('12:00')
  await page.getByRole('button', { name: 'Apply' }).click()
  await expect(page.getByText(/cannot be done by the time set.*nearest plan/)).toBeVisible()
  await page.getByRole('button', { name: 'Working hours' }).click()
  const dialog = page.getByRole('dialog', { name: 'When are you in the shop?' })
  await expectAccessible(page)
  const days = ['Only today', 'Only tomorrow', 'Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday']
  for (const name of days) {
    await dialog.getByRole('checkbox', { name }).click()
    await expect(dialog.getByRole('checkbox', { name })).not.toBeChecked()
  }
  await page.keyboard.press('Escape')
  await expect(page.getByText('There are no working hours. Set when you work.')).toBeVisible()
})

test('the day goes out as a calendar and as data', async ({ page }) => {
  await openTuesday(page)
  const fileOf = async (name: string) => {
    const [file] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name, exact: true }).click(),
    ])
    return { name: file.suggestedFilename(), text: await readFile(await file.path(), 'utf8') }
  }
  const calendar = await fileOf('Into a calendar')
  expect(calendar.name).toBe('day-2026-03-03.ics')
  expect(calendar.text).toContain('BEGIN:VALARM')
  expect(calendar.text).toContain('SUMMARY:Load Skerry C1 and C2')
  const data = JSON.parse((await fileOf('As data')).text)
  expect(data.plan.tasks.length).toBeGreaterThan(8)
})

test('the day prints on one page', async ({ page }) => {
  await openTuesday(page)
  await page.emulateMedia({ media: 'print' })
  await expect(page.getByRole('button', { name: 'Working hours' })).toBeHidden()
  await expect(acts(page)).toBeVisible()
  const pdf = (await page.pdf({ format: 'A4' })).toString('latin1')
  expect(pdf.match(/\/Type \/Page\b/g)).toHaveLength(1)
})

test('a run moves the plan: what is in the oven must not wait, and is not loaded a second time', async ({ page }) => {
  // Late in the evening: what follows after midnight is on the day that it began on.
  await page.clock.install({ time: new Date('2026-03-03T22:50:00') })
  await begin(page, 'shop')
  for (let i = 0; i < 3; i++) await goOn(page)
  await expect(title(page)).toHaveText('Equalise at 790')
  await page.goto('/')
  const urgent = page.getByRole('region', { name: 'What must not wait' })
  await expect(urgent.getByText(/in the hot oven, to be pulled at/)).toBeVisible()
  await expect(urgent.getByRole('link', { name: /Open the run/ })).toBeVisible()
  await expect(
    acts(page)
      .getByText(/Pull and quench/)
      .first(),
  ).toBeVisible()
  await expect(acts(page).getByText(/^Load Skerry C1 and C2/)).toHaveCount(0)
})

test('on a phone the day stays within it, its drawing scrolls by itself', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 })
  await openTuesday(page)
  const wide = await page.evaluate(() => document.documentElement.scrollWidth)
  expect(wide).toBeLessThanOrEqual(390)
  await expect(page.getByRole('region', { name: 'The day’s drawing' })).toBeVisible()
})
