import { expect, expectAccessible, fill, openDemoBatch, test } from './shop'

const log = (n: number, line: (i: number) => string, head: string) =>
  Buffer.from(`${head}\n${Array.from({ length: n }, (_, i) => line(i)).join('\n')}\n`)

test('a logger’s file in °F with decimal commas is recognised, shown with what is left out, and laid over the plan', async ({
  page,
}) => {
  await openDemoBatch(page, 'Net knives', 'Heat')
  await page.getByRole('button', { name: 'Logged heat' }).click()
  // In at 800 °C, a door’s dip, on to 1066 °C and held twenty minutes; one row with a broken thermocouple.
  const celsius = (i: number) =>
    i < 40
      ? 20 + i * 19.5
      : i < 44
        ? 730 + (i - 40) * 17
        : i < 70
          ? 800 + (i - 44) * 10.3
          : i < 92
            ? 1066
            : 1066 - (i - 91) * 30
  const file = log(
    100,
    i =>
      `25.11.2026 0${8 + Math.floor(i / 60)}:${String(i % 60).padStart(2, '0')}:00;${i === 20 ? '9999' : (celsius(i) * 1.8 + 32).toFixed(1).replace('.', ',')}`,
    'Zeit;Ofen °F',
  )
  // In the alphabet of older programs, where ° is a byte that UTF-8 has not.
  const older = Buffer.from(file.toString(), 'latin1')
  await page.getByLabel('Read a log …').setInputFiles({ name: 'heat.csv', mimeType: 'text/csv', buffer: older })
  await expect(page.getByText(/heat\.csv: 100 rows.*decimal comma/)).toBeVisible()
  await expect(page.getByText(/1 row left out with a broken thermocouple.*line 22/)).toBeVisible()
  await expect(page.getByText('hottest 1066 °C')).toBeVisible()
  await page.getByRole('button', { name: 'Show this log over the plan' }).click()
  await expect(page.getByText(/Expected finished hardness by the log:/)).toBeVisible()
  await expect(page.getByLabel('Blades put in at')).toHaveValue(/^(38|39|40)/)
  await expectAccessible(page)
})

test('the wrong file is refused in plain words', async ({ page }) => {
  await page.goto('/oven/oven-1')
  await page.getByRole('button', { name: 'Logs and fit' }).click()
  await page.getByLabel('Read a log …').setInputFiles({
    name: 'letter.txt',
    mimeType: 'text/plain',
    buffer: Buffer.from('dear all\nsee you\nat the\nfair\non\nmonday\n'),
  })
  await expect(
    page.getByRole('alert').filter({ hasText: 'letter.txt: No rows with a time and a temperature' }),
  ).toBeVisible()
})

test('a log of 100,000 lines is read, drawn and fitted, and the page stays awake', async ({ page }) => {
  await page.goto('/oven/oven-1')
  await page.getByRole('button', { name: 'Logs and fit' }).click()
  // Two seconds a line: a curved climb to 1060 °C, held, cooled.
  const c = (i: number) => {
    const min = i / 30
    const climb = 1165 - 1145 * Math.exp(-min / 34)
    if (min < 90) return Math.min(1060, climb)
    return 20 + 1040 * Math.exp(-(min - 90) / 200)
  }
  const file = log(100_000, i => `${i * 2},${c(i).toFixed(1)}`, 'time s,temp °C')
  await page.getByLabel('Read a log …').setInputFiles({ name: 'long.csv', mimeType: 'text/csv', buffer: file })
  await expect(page.getByText('100,000 rows, 100,000 taken')).toBeVisible({ timeout: 30_000 })
  await page.getByRole('button', { name: 'Keep this log' }).click()
  // A page that is blocked counts no beats between the press and the result.
  await page.evaluate(() => {
    const w = window as unknown as { beats: number }
    w.beats = 0
    setInterval(() => {
      if (document.querySelector('progress')) w.beats++
    }, 20)
  })
  await page.getByRole('button', { name: 'Fit the oven to this log' }).click()
  await expect(page.getByText('Difference left after the fit:')).toBeVisible({ timeout: 60_000 })
  expect(await page.evaluate(() => (window as unknown as { beats: number }).beats)).toBeGreaterThan(5)
  await expect(page.getByRole('cell', { name: 'heat stored in the wall' })).toBeVisible()
})

test('sensor checks become a correction that the programme is keyed with', async ({ page }) => {
  await page.goto('/oven/oven-1')
  await page.getByRole('button', { name: 'Correction' }).click()
  await fill(page, 'Oven’s display shows', '1060')
  await fill(page, 'Second thermometer shows', '1982F')
  await page.getByRole('button', { name: 'Add the check' }).click()
  await expect(page.getByLabel('Correction used for what is keyed')).toHaveValue('evidence')
  await expect(page.getByRole('row', { name: /sensor check 1060 °C \+23/ })).toBeVisible()
  await fill(page, 'Readings near the door', '1040 12O0')
  await page.getByRole('button', { name: 'Add the survey' }).click()
  await expect(page.getByRole('alert').filter({ hasText: '“12O0” in row 1' })).toBeVisible()
  await expect(page.getByLabel('Readings near the door')).toHaveValue('1040 12O0')
  await expectAccessible(page)
  await openDemoBatch(page, 'Net knives', 'Heat')
  await page.getByRole('button', { name: 'Programme' }).click()
  // The blades see more than is keyed, since the oven runs hot.
  const row = page.getByRole('row', { name: /Soak/ })
  const keyed = Number(await row.locator('.figure').nth(1).textContent())
  const nominal = Number(/(\d+) °C/.exec((await row.getByRole('cell').last().textContent()) ?? '')?.[1])
  expect(nominal - keyed).toBeGreaterThan(3)
})

test('a controller in °F and minutes is keyed in its own way', async ({ page }) => {
  await page.goto('/oven/oven-1')
  await page.getByLabel('Degrees it shows').selectOption('F')
  await page.getByLabel('A ramp is entered as').selectOption('minutes-to-target')
  await fill(page, 'What it shows for full power', '0')
  // Shown as stored: the page may be left now.
  await expect(page.getByLabel('What it shows for full power')).toHaveValue('0')
  await expect(page.getByLabel('Degrees it shows')).toHaveValue('F')
  await openDemoBatch(page, 'Skerry fillets', 'Heat')
  await page.getByRole('button', { name: 'Programme' }).click()
  await expect(page.getByRole('columnheader', { name: 'Minutes to get there' })).toBeVisible()
  await expect(page.getByRole('row', { name: /Soak 0 19(49|50)/ })).toBeVisible()
})

test('a programme runs on the simulated controller, a broken thermocouple shows, and the log is kept', async ({
  page,
}) => {
  await openDemoBatch(page, 'Net knives', 'Heat')
  await page.getByRole('button', { name: 'Programme' }).click()
  await page.getByRole('button', { name: 'Send to a controller …' }).click()
  await page.getByRole('button', { name: 'Connect the simulated controller' }).click()
  await page.getByRole('button', { name: 'Send and run' }).click()
  await page.getByRole('combobox', { name: /^Speed/ }).selectOption('600')
  await expect(page.getByText(/set \d+ °C, step 1, power 100 %/)).toBeVisible()
  await expect(page.getByText(/[3-9]\d\d °C/).first()).toBeVisible({ timeout: 15_000 })
  await page.getByLabel('Fault').selectOption('thermocouple')
  await expect(page.getByText('thermocouple broken: the controller has shut the power off')).toBeVisible()
  await page.getByLabel('Fault').selectOption('none')
  expect(await page.evaluate(() => document.documentElement.scrollHeight)).toBeLessThanOrEqual(800)
  await expectAccessible(page)
  await page.getByRole('button', { name: 'Keep the log' }).click()
  await expect(page.getByRole('button', { name: 'Log kept' })).toBeDisabled()
  // It is listened to on every bench, and leads back.
  await page.getByRole('link', { name: 'Cold', exact: true }).click()
  await page.getByRole('button', { name: /^Oven \d+ °C/ }).click()
  await expect(page.getByLabel('What the controller showed')).toBeVisible()
  await page.getByRole('button', { name: 'Disconnect' }).click()
  await expect(page.getByRole('button', { name: /^Oven / })).toBeHidden()
  await page.getByRole('button', { name: 'Logged heat' }).click()
  await expect(page.getByLabel('Blades put in at')).toBeVisible()
})

test('a temper’s log is laid over the plan by its round, taken off, and brought back', async ({ page }) => {
  await openDemoBatch(page, 'Net knives', 'Temper')
  await page.getByRole('button', { name: 'Logged temper' }).click()
  await page.getByLabel('Which temper').selectOption('2')
  // Twenty degrees too hot, an hour and a half of it.
  const file = log(120, i => `${i};${i < 15 ? 20 + i * 15 : i < 105 ? 235 : 235 - (i - 104) * 9}`, 'min;°C')
  await page.getByLabel('Read a log …').setInputFiles({ name: 'second.csv', mimeType: 'text/csv', buffer: file })
  await page.getByRole('button', { name: 'Show this log over the plan' }).click()
  await expect(page.getByText(/Expected finished hardness by the log:/)).toBeVisible()
  await expect(page.getByLabel('Blades taken out at')).toHaveValue(/^10[4-6]/)
  await expectAccessible(page)
  await page.getByRole('button', { name: 'Remove this log' }).click()
  await expect(page.getByLabel('Read a log …')).toBeAttached()
  await page.getByRole('button', { name: 'Undo' }).last().click()
  await expect(page.getByLabel('Blades taken out at')).toBeVisible()
  await page.getByLabel('Which temper').selectOption('1')
  await expect(page.getByLabel('Read a log …')).toBeAttached()
})

test('a packet is moved on the rack by keys, warned of beside an element, and put back', async ({ page }) => {
  await openDemoBatch(page, 'Net knives', 'Heat')
  const packet = page.getByRole('button', { name: /^Packet A1,/ })
  await packet.focus()
  for (let i = 0; i < 20; i++) await page.keyboard.press('ArrowUp')
  await expect(page.getByText(/within 20 mm of an element|does not stand inside/).first()).toBeVisible()
  await expect(packet).toHaveAccessibleName(/stands badly/)
  await expectAccessible(page)
  await page.getByRole('button', { name: 'Arrange the packets again' }).click()
  await expect(packet).not.toHaveAccessibleName(/stands badly/)
})

test('two loads whose windows meet are offered as one closing, and become one', async ({ page }) => {
  await openDemoBatch(page, 'Skerry fillets', 'Heat')
  await expect(page.getByText(/Load \d of 2/)).toBeVisible()
  await page.getByRole('button', { name: 'Use one shared soak' }).click()
  await expect(page.getByText(/Load \d of 2/)).toBeHidden()
  await expect(page.getByRole('button', { name: /^Packet C/ }).first()).toBeVisible()
})
