import { expect, fill, openDemoBatch, test } from './shop'

const NAMES = [
  ['long', 'Very long name '.repeat(14).slice(0, 80)],
  ['many-scripted', '🔪 <b>Größe</b> & "№5" סכין'],
] as const

for (const [kind, name] of NAMES)
  test(`a ${kind} name of a batch is shown as typed, and breaks no page`, async ({ page }) => {
    await openDemoBatch(page, 'Skerry fillets', 'Choose')
    await fill(page, 'Name of the batch', name)
    const shown = name.trim()
    const fits = async (where: string) => {
      const [wide, window_] = await page.evaluate(() => [document.documentElement.scrollWidth, innerWidth])
      expect(wide, where).toBeLessThanOrEqual(window_ as number)
    }
    for (const width of [1280, 390]) {
      await page.setViewportSize({ width, height: 800 })
      await fits(`bench at ${width}`)
      await page.goto('/')
      await expect(page.getByText(shown, { exact: true }).first()).toBeVisible()
      await fits(`Today at ${width}`)
      await page.goto('/batches')
      await expect(page.getByText(shown, { exact: true }).first()).toBeVisible()
      await fits(`Batches at ${width}`)
      await page.getByText(shown, { exact: true }).first().click()
      await expect(page.getByLabel('Name of the batch', { exact: true })).toHaveValue(shown)
    }
    await page.keyboard.press('Escape')
    await page.keyboard.press('Control+k')
    await page.getByRole('combobox', { name: 'Find' }).fill(shown.slice(0, 12))
    await expect(page.getByRole('option').filter({ hasText: shown }).first()).toBeVisible()
  })

test('a blank name is refused beside the field', async ({ page }) => {
  await openDemoBatch(page, 'Skerry fillets', 'Choose')
  const field = page.getByLabel('Name of the batch', { exact: true })
  await field.fill('   ')
  await field.press('Enter')
  await page.reload()
  await expect(field).not.toHaveValue(/^\s*$/)
})
