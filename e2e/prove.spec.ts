import { readFileSync } from 'node:fs'
import { expect, expectAccessible, figure, openDemoBatch, test } from './shop'

test('edges are proved beside a control, a wrong angle is said at its field, and the next batch is planned from them', async ({
  page,
}) => {
  await openDemoBatch(page, 'Paring set for the inn', 'Prove')
  await expect(page.getByText(/No edge of this steel was tested yet/).first()).toBeVisible()
  for (const wrong of ['0', '90']) {
    await page.getByLabel('Edge angle a side').fill(wrong)
    await page.getByLabel('Edge angle a side').press('Tab')
    await expect(page.getByText('It must be from 8 to 35.')).toBeVisible()
  }
  await page.getByLabel('Edge angle a side').fill('16')
  await page.getByLabel('Edge angle a side').press('Tab')
  await page.getByLabel('A control beside it').selectOption('holds')
  for (const result of ['chips', 'holds', 'chips', 'holds']) {
    await page.getByLabel('The edge', { exact: true }).selectOption(result)
    // Where it chipped is of that edge alone: the next one that holds has none.
    if (result === 'chips') await page.getByLabel('Where', { exact: true }).selectOption('tip')
    const blade = await page.getByLabel('Blade', { exact: true }).locator('option:checked').textContent()
    await page.getByRole('button', { name: 'Note the result' }).click()
    await expect(
      page.getByRole('row', {
        name: new RegExp(
          `^${blade} .*at 16° a side: ${result === 'chips' ? 'chips at the tip' : 'holds (?!at the tip)'}`,
        ),
      }),
    ).toBeVisible()
  }
  await expect(page.getByText(/^Of 4 edges: 50 % held/)).toBeVisible()
  await expect(page.getByText(/From 8 results: at 16° a side/)).toBeVisible()
  await expectAccessible(page)
  await page.getByRole('button', { name: 'Where it holds' }).click()
  await expect(page.getByRole('img', { name: /P1, .* HRC at 16°: chips/ })).toBeVisible()
  await page.getByRole('button', { name: 'Random order' }).click()
  await page.getByRole('button', { name: 'Draw the order and hide the marks' }).click()
  await expect(page.getByLabel('Blade', { exact: true }).locator('option').first()).toHaveText('Number 1')
  await expectAccessible(page)
  await page.getByRole('button', { name: /^Plan a batch at/ }).click()
  await expect(page.getByRole('heading', { level: 1, name: /Paring set for the inn, aimed at/ })).toBeVisible()
  const from = Number(await page.getByLabel('Target from').inputValue())
  expect(Number(await page.getByLabel('Target to').inputValue()) - from).toBeCloseTo(1, 6)
})

test('blades are sent back: annealed first in a batch of their own, which knows what each was; a third time is warned of', async ({
  page,
}) => {
  await openDemoBatch(page, 'Boat knives, spring refit', 'Verdict')
  await page
    .getByRole('listitem')
    .filter({ hasText: /^Anneal and re-harden/ })
    .getByRole('button')
    .click()
  // Ticked are those that miss the target by their own readings, which stand beside their marks.
  await expect(page.getByRole('checkbox', { name: /^A\d \d\d\.\d HRC$/ }).first()).toBeVisible()
  await page.getByRole('checkbox', { name: 'A1' }).uncheck()
  for (const mark of ['A2', 'A3', 'A4', 'A5', 'A6']) await page.getByRole('checkbox', { name: mark }).check()
  await page.getByLabel('Why', { exact: true }).fill('the edges chip')
  await expectAccessible(page)
  await page.getByRole('button', { name: 'Begin their batch' }).click()
  await expect(page.getByRole('heading', { level: 1, name: /hardened again/ })).toBeVisible()
  await expect(page.getByRole('button', { name: /^5 × X105CrMo17/ })).toBeVisible()
  await expect(page.getByRole('heading', { name: 'Anneal first' })).toBeVisible()
  await page.getByRole('link', { name: 'A2 as it was then' }).click()
  await expect(page.getByRole('row', { name: /State sent back to be re-hardened.*hardened again/ })).toBeVisible()
  await expect(page.getByText('sent back to be re-hardened: the edges chip').last()).toBeVisible()
  await page.getByRole('link', { name: 'hardened again' }).click()
  await expect(page.getByRole('row', { name: /Hardened before 1 time/ })).toBeVisible()
})

test('one change is tried beside a control: two at once are refused, the blades are drawn by lot', async ({ page }) => {
  await openDemoBatch(page, 'Skerry fillets', 'Choose')
  await page.getByRole('button', { name: 'Try a change …' }).click()
  const dialog = page.getByRole('dialog')
  const change = async (label: string, value: string) => {
    await dialog.getByLabel(label, { exact: true }).fill(value)
    await dialog.getByLabel(label, { exact: true }).press('Tab')
  }
  await change('Soak temperature', '1080')
  await change('Soak', '30')
  await expect(dialog.getByText(/This changes more than one thing/)).toBeVisible()
  await expect(dialog.getByRole('button', { name: 'Split the batch' })).toBeDisabled()
  await change('Soak', '12')
  await expect(dialog.getByText(/4 blades in each half show a difference of/)).toBeVisible()
  await expectAccessible(page)
  await dialog.getByRole('button', { name: 'Split the batch' }).click()
  await expect(page.getByRole('button', { name: /^5 × X65Cr13/ })).toBeVisible()
  await expect(page.getByRole('button', { name: /^4 × X65Cr13/ })).toBeVisible()
  await page.getByRole('button', { name: 'Undo', exact: true }).first().click()
  await expect(page.getByRole('button', { name: /^9 × X65Cr13/ })).toBeVisible()
})

test('a finished trial says what its change made, with how sure that is', async ({ page }) => {
  await openDemoBatch(page, 'Soak trial, 15 °C hotter', 'Verdict')
  await page.getByRole('button', { name: 'The trial' }).click()
  await expect(page.getByText('Tried beside the usual X65Cr13: soak 1065 °C to 1080 °C.')).toBeVisible()
  await expect(page.getByText(/The change makes \+0\.\d HRC|Not shown yet: [+−]0\.\d HRC/)).toBeVisible()
  await expectAccessible(page)
})

test('what a good blade costs, and what an order would', async ({ page }) => {
  await openDemoBatch(page, 'Galley knives for the ferry', 'Finish')
  await page.getByRole('button', { name: 'What it costs' }).click()
  await expect(figure(page, 'A good blade of this batch')).toHaveText(/^€\d+\.\d\d$/)
  await expect(page.getByText(/8 of 9 came out good; €\d/)).toBeVisible()
  await page.getByLabel('An order of').fill('20')
  await page.getByLabel('An order of').press('Tab')
  await expect(page.getByText(/^20 blades like these: €/)).toBeVisible()
  await expectAccessible(page)
})

/** A red square of four pixels. */
const PNG = 'iVBORw0KGgoAAAANSUhEUgAAAAIAAAACCAIAAAD91JpzAAAAEElEQVR4nGM44KAARAwQCgAiDgSBEZgp1QAAAABJRU5ErkJggg=='

test('a picture is kept with its blade; what is none is said, and nothing is lost', async ({ page }) => {
  await openDemoBatch(page, 'Galley knives for the ferry', 'Prepare')
  await expect(figure(page, 'Blades counted in')).toHaveText('9')
  await page.keyboard.press('/')
  await page.getByRole('combobox', { name: 'Find' }).fill('ferry B1')
  await page.getByRole('option', { name: /B1.*Galley knives for the ferry/ }).click()
  await page.getByLabel('What it shows').fill('first strop')
  const picture = page.getByLabel('Add a picture')
  await picture.setInputFiles({ name: 'edge.jpg', mimeType: 'image/jpeg', buffer: Buffer.from('no picture at all') })
  await expect(page.getByText(/“edge.jpg” cannot be read as a picture/)).toBeVisible()
  await page.getByLabel('What it shows').fill('first strop')
  await picture.setInputFiles({ name: 'edge.png', mimeType: 'image/png', buffer: Buffer.from(PNG, 'base64') })
  await expect(page.getByRole('img', { name: 'Edge of B1: first strop' })).toBeVisible()
  await page.reload()
  await expect(page.getByRole('img', { name: 'Edge of B1: first strop' })).toBeVisible()
  await expect(page.getByRole('heading', { name: 'History' })).toBeVisible()
  await expectAccessible(page)
  await page.getByRole('button', { name: 'Take it out' }).click()
  await expect(page.getByRole('img', { name: 'Edge of B1: first strop' })).toHaveCount(0)
})

test('a certificate is of finished blades; its file and its paper are told to be the same, or not', async ({
  page,
}) => {
  await openDemoBatch(page, 'Galley knives for the ferry', 'Verdict')
  await page.goto(`/certificate/${page.url().split('/')[4]}`)
  await expect(page.getByRole('heading', { level: 2 })).toHaveCount(1)
  await expect(page.getByRole('heading', { name: /Hardness certificate, B1/ })).toBeVisible()
  const shown = (await page.getByText(/^Digest [0-9a-f ]+\./).textContent()) ?? ''
  const digest = /Digest ([0-9a-f ]+)\./.exec(shown)?.[1] ?? ''
  const saving = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Machine-readable' }).click()
  const file = readFileSync((await (await saving).path()) ?? '', 'utf8')
  await expectAccessible(page)
  await page.getByRole('link', { name: 'Check a certificate' }).click()
  const open = (text: string) =>
    page
      .getByLabel('Open the certificate’s file …')
      .setInputFiles({ name: 'certificates.json', mimeType: 'application/json', buffer: Buffer.from(text) })
  await open(file)
  await page.getByLabel('The digest on the paper').fill(digest)
  await expect(page.getByText(/^Paper and file are the same: the certificate of B1/)).toBeVisible()
  await open(file.replace(/"hrc": \d/, '"hrc": 4'))
  await expect(page.getByText(/The file is not the one this paper was drawn up from/)).toBeVisible()
  await open(file.replace('"version": 5', '"version": 3'))
  await expect(page.getByText(/is a certificate of an earlier version/)).toBeVisible()
  await open('a letter')
  await expect(page.getByText(/is not a certificate’s file/)).toBeVisible()
  await expectAccessible(page)
})

test('the log is found in by bar, buyer, hardness and date; two batches are laid side by side', async ({ page }) => {
  await page.goto('/logbook')
  const rows = page.getByRole('region', { name: 'Readings' }).getByRole('row')
  await page.getByLabel('Find in the log').fill('cook')
  await expect(rows.nth(1)).toContainText('Galley knives for the ferry')
  await page.getByLabel('Find in the log').fill('eider 58..59')
  await expect(rows.nth(1)).toContainText('58.')
  await page.getByLabel('Find in the log').fill('nothing of the kind')
  await expect(page.getByText(/Nothing in the log has all of “nothing of the kind”/)).toBeVisible()
  await page.getByRole('button', { name: 'Two batches' }).click()
  const choose = async (label: string, name: RegExp) => {
    const option = page.getByLabel(label).locator('option').filter({ hasText: name })
    await page.getByLabel(label).selectOption((await option.getAttribute('value')) ?? '')
  }
  await choose('One batch', /^Boat knives/)
  await choose('Beside it', /^Galley knives/)
  await expect(page.getByRole('row', { name: /^Edges \d held, .* at 18° a side .* at 16° a side/ })).toBeVisible()
  await expect(page.getByRole('row', { name: /^Soak as run [\d.]+ to [\d.]+ min/ }).first()).toBeVisible()
  await expectAccessible(page)
})
