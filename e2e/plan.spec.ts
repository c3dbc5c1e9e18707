import { beginBatch, expect, expectAccessible, figure, fill, openDemoBatch, startEmpty, test } from './shop'

const to = async (page: import('@playwright/test').Page, station: string) => {
  await page.getByRole('link', { name: station, exact: true }).click()
  await expect(page.getByRole('heading', { level: 2, name: station, exact: true })).toBeVisible()
}

test('what is suggested follows the blades, what is set stays and offers the suggestion again', async ({ page }) => {
  await startEmpty(page)
  await page.goto('/batches')
  await beginBatch(page, '1.2379')
  await to(page, 'Choose')
  const soak = page.getByLabel('Soak time', { exact: true })
  await expect(soak).toHaveValue('23')
  await expect(page.getByText('suggested', { exact: true }).first()).toBeVisible()
  await to(page, 'Prepare')
  await fill(page, 'Spine thickness of A', '5')
  await to(page, 'Choose')
  // 20 min for a thin blade of this steel, 40 for a thick one: handbook.
  await expect(soak).toHaveValue('35')
  await fill(page, 'Soak time', '30')
  await expect(page.getByText('set by you', { exact: true })).toBeVisible()
  await to(page, 'Prepare')
  await fill(page, 'Spine thickness of A', '6')
  await to(page, 'Choose')
  await expect(soak).toHaveValue('30')
  await expectAccessible(page)
  await page.getByRole('button', { name: 'Use the suggested 40 min' }).click()
  await expect(soak).toHaveValue('40')
  await expect(page.getByText('set by you', { exact: true })).toHaveCount(0)
  await to(page, 'Heat')
  await expect(figure(page, 'Soak of X153CrMoV12, first to last blade pulled')).toHaveText('40')
})

test('in °F what is suggested can be keyed: fives of the scale', async ({ page }) => {
  await startEmpty(page)
  await page.goto('/workshop')
  await page.getByLabel('Units').selectOption('imperial')
  await page.goto('/batches')
  await beginBatch(page, 'X105CrMo17', { thickness: '1/8in' })
  await to(page, 'Choose')
  for (const label of ['Austenitize temperature', 'Temper 1 at', 'Temper 2 at']) {
    await expect.poll(async () => Number(await page.getByLabel(label, { exact: true }).inputValue()) % 5).toBe(0)
  }
})

test('a steel that plates cannot harden is refused everywhere, with one figure; with oil it has its own bench and no foil', async ({
  page,
}) => {
  await startEmpty(page)
  await page.goto('/batches')
  await beginBatch(page, 'C75S', { thickness: '6.4', blades: 2 })
  const refusal = /C75S does not harden between plates: it needs a fast quench oil/
  await to(page, 'Choose')
  await expect(page.getByText(refusal)).toBeVisible()
  const finished = await figure(page, 'Finished hardness').innerText()
  const quenched = await page
    .getByRole('row', { name: /^as quenched/ })
    .getByRole('cell')
    .nth(1)
    .innerText()
  await to(page, 'Temper')
  await expect(figure(page, 'Finished hardness')).toHaveText(finished)
  await to(page, 'Plates')
  await expect(figure(page, 'Hardness as quenched, C75S')).toHaveText(quenched)
  await expect(page.getByText(refusal)).toBeVisible()
  await to(page, 'Heat')
  await expect(page.getByText(refusal)).toBeVisible()
  const batch = page.url().split('/')[4]
  await page.goto(`/print/${batch}`)
  await expect(page.getByText(refusal).first()).toBeVisible()
  await page.goto(`/run/${batch}`)
  await expect(page.getByText(refusal)).toBeVisible()
  await expect(page.getByRole('button', { name: /Run in the shop/ })).toHaveCount(0)

  await page.goto('/workshop')
  await page.getByLabel('Quench oil', { exact: true }).selectOption('fast-oil')
  await page.goto(`/batch/${batch}/plates`)
  await expect(page.getByRole('heading', { level: 2, name: 'Oil' })).toBeVisible()
  await expect(page.getByText(/flash point .* extinguisher for burning oil/)).toBeVisible()
  // 6.4 mm, a half of it, 7700 kg/m³, 620 J/kgK, 1900 W/m²K, from 740 to 440 K above the oil: about 4 s, by hand.
  const seconds = figure(page, 'Time from 800 to 500 °C')
  await expect.poll(async () => Number(await seconds.innerText())).toBeGreaterThan(3)
  expect(Number(await seconds.innerText())).toBeLessThan(5.5)
  await expect
    .poll(async () => Number(await figure(page, 'Hardness as quenched, C75S').innerText()))
    .toBeGreaterThan(Number(quenched) + 8)
  await expectAccessible(page)
  await to(page, 'Wrap')
  await expect(page.getByText(/C75S goes into the oil without foil/)).toBeVisible()
  await page.goto(`/run/${batch}`)
  await expect(page.getByRole('button', { name: /Run in the shop/ })).toBeVisible()
})

test('blades that would soak too long are named with what would mend it, and the programme says why it holds', async ({
  page,
}) => {
  await startEmpty(page)
  await page.goto('/batches')
  await beginBatch(page, 'X65Cr13', { thickness: '6', blades: 14 })
  await to(page, 'Heat')
  await expect(page.getByText(/soak too long: the longest soak is \d+ min, and 38 min is the most/)).toBeVisible()
  await expect(page.getByText(/no more than \d+ blades in one load/)).toBeVisible()
  await page.getByRole('button', { name: 'Programme' }).click()
  const why = await page.getByText(/^Held \d+ min:/).innerText()
  const held = /Held (\d+) min/.exec(why)?.[1] ?? ''
  expect(why).toMatch(/25 min of soak for it|25 min of soak for the first blade/)
  await expect(page.getByRole('row', { name: /Soak/ }).locator('.figure').last()).toHaveText(held)
  await page.goto(`/print/${page.url().split('/')[4]}`)
  await expect(page.getByText(why)).toBeVisible()
  // On the wall's clock from when the oven is switched on, with what each should read in the end.
  await page.getByLabel('Oven on at').fill('06:00')
  await expect(page.getByText(/On at 06:00, last temper out at \d\d:\d\d/)).toBeVisible()
  await expect(page.getByRole('row', { name: /^0[78]:\d\d \d+:\d\d A1 \d+ \d\d\.\d/ })).toBeVisible()
  await expect(page.getByRole('row', { name: /A14 / }).first()).toBeVisible()
  await expect(page.getByRole('img', { name: /^Rack from above/ })).toBeVisible()
  await page.getByLabel('Oven sheet').uncheck()
  await expect(page.getByRole('heading', { name: /oven sheet/ })).toHaveCount(0)
})

test('one oven for both says how long all of it takes, and how long the blades stand', async ({ page }) => {
  await startEmpty(page)
  await page.goto('/workshop')
  await page.getByLabel('Tempering', { exact: true }).selectOption('same')
  await page.goto('/batches')
  await beginBatch(page, 'A2', { thickness: '3', blades: 2 })
  // In the cold the oven would have the time to fall.
  await to(page, 'Choose')
  await page.getByLabel('Cold', { exact: true }).selectOption('none')
  await to(page, 'Temper')
  await expect(figure(page, 'Time for the whole batch, from oven on to the last temper out')).toHaveText(/^\d+:\d\d$/)
  // A brick oven takes hours from 950 °C to below 250 °C: longer than a high-alloy steel should stand.
  await expect(
    page.getByText(/stands \d h \d\d between the quench and its first temper; 2 h is the most/),
  ).toBeVisible()
  await expect(page.getByText(/after .*: the oven cools down/).first()).toBeVisible()
  await page.goto('/')
  await expect(page.getByText(/from oven on to the last temper/)).toBeVisible()
})

test('a batch like another has its steels and blades, and nothing of what became of them', async ({ page }) => {
  await page.goto('/batches')
  await page.getByRole('link', { name: /^Net knives/ }).click()
  await page.getByRole('button', { name: 'New batch like this one' }).click()
  await expect(page.getByRole('heading', { level: 2, name: 'Prepare' })).toBeVisible()
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Net knives, again')
  await expect(page.getByRole('button', { name: '6 × X65Cr13' })).toBeVisible()
  await to(page, 'Measure')
  await expect(page.getByText(/not measured|No reading/i).first()).toBeVisible()
})

test('temper loads at close temperatures share one at a press, said with its cost, and Undo parts them', async ({
  page,
}) => {
  await openDemoBatch(page, 'Skerry fillets', 'Temper')
  const loads = page.getByRole('row', { name: /^Temper \d/ })
  await expect(loads).toHaveCount(4)
  await page.getByRole('button', { name: /h sooner in 2 loads.*chance in target/ }).click()
  const plan = page.getByRole('row', { name: /^Changed by up to 25 °C 2 / })
  await expect(plan).toContainText(/X65Cr13: 170 to \d+ °C, .* HRC, chance in target/)
  await expectAccessible(page)
  await plan.getByRole('button', { name: 'Take it' }).click()
  await expect(page.getByText('No plan is shorter')).toBeVisible()
  await page.getByRole('button', { name: 'Loads', exact: true }).click()
  await expect(loads).toHaveCount(2)
  await page.getByRole('button', { name: 'Undo', exact: true }).first().click()
  await expect(loads).toHaveCount(4)
})
