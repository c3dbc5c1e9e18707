import { expect, test } from '@playwright/test'
import { action, practiseUntil, title } from './hot-run'
import { expectAccessible, openDemoBatch } from './shop'

test('the one at the plates has a board of their own: what to do now and next, and nothing else', async ({ page }) => {
  await openDemoBatch(page, 'Skerry fillets', 'Heat')
  await page.getByRole('link', { name: 'Run', exact: true }).click()
  await page.getByRole('link', { name: /Practice first/ }).click()
  await page.getByRole('button', { name: /^two: one at the oven/ }).click()
  await page.getByRole('button', { name: /^Practice/ }).click()
  await expect(title(page)).toHaveText('Shop ready')
  await expect(page.getByText('Plates:', { exact: true })).toBeVisible()

  const helper = await page.context().newPage()
  await helper.goto(`${page.url()}?helper`)
  const now = helper.getByRole('status').first()
  await expect(now).toHaveText('Nothing now')
  await expect(helper.getByText(/^Next for you: Pull/)).toBeVisible()
  await expect(helper.getByRole('button'), 'the step is another’s').toHaveCount(0)
  await expectAccessible(helper)

  await practiseUntil(page, /^Pull /)
  await expect(now).toHaveText(/^(Wait, then: )?Clamp \S+, air on$/)
  const size = await now.evaluate(node => Number.parseFloat(getComputedStyle(node).fontSize))
  expect(size, 'read at two metres').toBeGreaterThanOrEqual(64)
  await expect(helper.getByRole('button'), 'who is at the oven says when').toHaveCount(0)

  await practiseUntil(page, /^Count and look/)
  const theirs = await title(page).innerText()
  await expect(helper.getByRole('button')).toHaveCount(1)
  await expectAccessible(helper)
  await action(helper).click()
  if ((await title(page).innerText()) === theirs) await action(helper).click()
  await expect(title(page), 'pressed at the plates, done at the oven').not.toHaveText(theirs)
  await page.getByRole('link', { name: 'Only the plates on this screen' }).click()
  await page.getByRole('link', { name: 'The whole run' }).click()
  await expect(title(page)).toBeVisible()
})

test('the board of a run in the shop becomes the plates’ without a question, and back', async ({ page }) => {
  const questions: string[] = []
  page.on('dialog', dialog => {
    questions.push(dialog.type())
    void dialog.accept()
  })
  await openDemoBatch(page, 'Skerry fillets', 'Heat')
  await page.getByRole('link', { name: 'Run', exact: true }).click()
  await page.getByRole('button', { name: /^two: one at the oven/ }).click()
  await page.getByRole('button', { name: /Run in the shop/ }).click()
  await expect(title(page)).toHaveText('Shop ready')
  await page.getByRole('link', { name: 'Only the plates on this screen' }).click()
  await expect(page.getByRole('status').first()).toHaveText('Nothing now')
  await page.getByRole('link', { name: 'The whole run' }).click()
  await expect(title(page)).toHaveText('Shop ready')
  await expect(page.getByRole('dialog')).toHaveCount(0)
  expect(questions).toEqual([])
})
