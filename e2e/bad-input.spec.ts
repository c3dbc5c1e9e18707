import { readFile } from 'node:fs/promises'
import { begin, goOn, title } from './hot-run'
import { beginBatch, expect, figure, fill, findSteel, openDemoBatch, test } from './shop'

test('a word where blades are counted begins no batch', async ({ page }) => {
  await page.goto('/batches?new')
  const dialog = page.getByRole('dialog', { name: 'New batch' })
  await findSteel(page, '440C')
  await dialog.getByLabel('Blades', { exact: true }).fill('Autumn')
  await dialog.getByRole('button', { name: 'Begin the batch' }).click()
  await expect(dialog.getByText(/“Autumn” is not a number/)).toBeVisible()
  await expect(dialog.getByLabel('Blades', { exact: true })).toBeFocused()
  await expect(dialog.getByLabel('Blades', { exact: true })).toHaveValue('Autumn')
})

test('1950 where °C is shown is questioned, kept, and put right with one press', async ({ page }) => {
  await openDemoBatch(page, 'Skerry fillets', 'Choose')
  await fill(page, 'Austenitize temperature', '1950')
  await expect(page.getByRole('alert')).toContainText('1950 °C is outside 700 °C to 1200 °C')
  await expect(page.getByLabel('Austenitize temperature', { exact: true })).toHaveValue('1950')
  await page.getByRole('button', { name: 'Use it: 1950 °F is 1066 °C' }).click()
  await expect(page.getByLabel('Austenitize temperature', { exact: true })).toHaveValue('1066')
})

test('a blade 3 m long is refused in plain words, and nothing is lost', async ({ page }) => {
  await openDemoBatch(page, 'Skerry fillets', 'Prepare')
  await fill(page, 'Length of A', '3 m')
  await expect(page.getByRole('alert')).toContainText('3000 mm is outside 30 mm to 900 mm')
  await expect(page.getByLabel('Length of A', { exact: true })).toHaveValue('3 m')
  await page.reload()
  await expect(page.getByLabel('Length of A', { exact: true })).toHaveValue('285')
})

test('units are one setting; what is keyed in shows both', async ({ page }) => {
  await page.goto('/workshop')
  const units = page.getByLabel('Units shown (every field reads both)')
  await units.selectOption('imperial')
  // Shown as stored: it may be left now.
  await expect(units).toHaveValue('imperial')
  await openDemoBatch(page, 'Skerry fillets', 'Choose')
  await expect(page.getByLabel('Austenitize temperature', { exact: true })).toHaveValue('1950')
  await page.getByRole('link', { name: 'Heat', exact: true }).click()
  await page.getByRole('button', { name: 'Programme' }).click()
  await expect(page.getByRole('row', { name: /Soak/ })).toContainText('1950 °F (1066 °C)')
})

test('two tabs on one batch: both edits stand, and each sees the other', async ({ page, context }) => {
  await openDemoBatch(page, 'Skerry fillets', 'Prepare')
  const other = await context.newPage()
  await other.goto(page.url())
  await fill(page, 'Length of A', '290')
  await expect(other.getByLabel('Length of A', { exact: true })).toHaveValue('290')
  await fill(other, 'Length of B', '260')
  await expect(page.getByLabel('Length of B', { exact: true })).toHaveValue('260')
  await expect(page.getByLabel('Length of A', { exact: true })).toHaveValue('290')
})

test('a deleted batch is brought back with Undo', async ({ page }) => {
  await page.goto('/batches')
  await page.getByRole('button', { name: 'Delete Net knives' }).click()
  await expect(page.getByRole('link', { name: /^Net knives/ })).toHaveCount(0)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByRole('link', { name: /^Net knives/ })).toBeVisible()
})

test('storage that refuses is said, keeps the change on the page, and saves it later', async ({ page }) => {
  await openDemoBatch(page, 'Skerry fillets', 'Prepare')
  await page.evaluate(() => {
    const put = IDBObjectStore.prototype.put
    Object.assign(window, {
      allowStorage: () => {
        IDBObjectStore.prototype.put = put
      },
    })
    IDBObjectStore.prototype.put = () => {
      throw new DOMException('full', 'QuotaExceededError')
    }
  })
  await fill(page, 'Count of A', '6')
  await expect(page.getByRole('alert')).toContainText('storage is full')
  await expect(page.getByLabel('Count of A', { exact: true })).toHaveValue('6')
  await expect(figure(page, 'Blades counted in')).toHaveText('12')
  await page.evaluate(() => (window as unknown as { allowStorage: () => void }).allowStorage())
  await page.getByRole('button', { name: 'Try again' }).click()
  await expect(page.getByRole('alert')).toHaveCount(0)
  await page.reload()
  await expect(page.getByLabel('Count of A', { exact: true })).toHaveValue('6')
})

test('a run the browser will not store: every press and remark is in the file, the page asks before it goes, the next one has it all', async ({
  page,
}) => {
  await begin(page, 'shop')
  await goOn(page)
  await page.evaluate(() => {
    for (const kind of ['put', 'add'] as const)
      IDBObjectStore.prototype[kind] = () => {
        throw new DOMException('full', 'QuotaExceededError')
      }
  })
  await goOn(page)
  await expect(page.getByText(/does not store this run/)).toBeVisible()
  await page.keyboard.press('l')
  await page.getByRole('textbox', { name: 'Remark' }).fill('door stuck at noon')
  await page.keyboard.press('Enter')
  await expect(title(page)).toHaveText('Load 2 packets')
  const download = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Save everything to a file' }).first().click()
  const file = JSON.parse(await readFile(await (await download).path(), 'utf8'))
  expect(JSON.stringify(file)).toContain('door stuck at noon')
  const asked = page.waitForEvent('dialog').then(async dialog => {
    expect(dialog.type()).toBe('beforeunload')
    await dialog.accept()
  })
  await page.reload()
  await asked
  await expect(page.getByText(/does not store this run/)).toHaveCount(0)
  await expect(title(page)).toHaveText('Load 2 packets')
  await expect
    .poll(() => page.evaluate(() => Object.keys(localStorage).filter(key => key.includes('ember-run/'))))
    .toEqual([])
})

test('the workshop goes out as one file and comes back; files that are not ours change nothing', async ({ page }) => {
  await page.goto('/workshop')
  await expect(page.getByText('Never saved to a file from this browser.')).toBeVisible()
  const download = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Save everything to a file' }).click()
  const text = await readFile(await (await download).path(), 'utf8')
  await expect(page.getByText(/Last saved to a file .* ago/)).toBeVisible()
  const read = async (content: string) =>
    page
      .getByLabel('Workshop file')
      .setInputFiles({ name: 'shop.json', mimeType: 'application/json', buffer: Buffer.from(content) })
  for (const [content, words] of [
    ['{"a":1}', 'not a workshop file'],
    [text.slice(0, 900), 'cut off'],
    [text.replace(/"version": \d+/, '"version": 44'), 'newer version'],
    [text.replace('"rev": 1', '"rev": "x"'), 'damaged'],
  ] as const) {
    await read(content)
    await expect(page.getByRole('alert')).toContainText(words)
  }
  await page.getByRole('button', { name: 'Start empty …' }).click()
  await page.getByRole('button', { name: 'Delete and start empty' }).click()
  await read(text)
  await expect(page.getByText('15 batches')).toBeVisible()
  await page.getByRole('button', { name: 'Replace what is here …' }).click()
  await page.getByRole('button', { name: 'Replace with the file' }).click()
  await expect(page.getByText(/readings read in/)).toBeVisible()
  await page.goto('/batches')
  await expect(page.getByRole('link', { name: /^Net knives/ })).toBeVisible()
})

test('a batch or a page that is not there says so', async ({ page }) => {
  await page.goto('/batch/nothing/heat')
  await expect(page.getByRole('heading', { name: 'There is no such batch here' })).toBeVisible()
})

test('a browser that stores nothing at all says so, and does not pretend', async ({ page }) => {
  await page.addInitScript(() => {
    IDBFactory.prototype.open = () => {
      throw new DOMException('blocked', 'SecurityError')
    }
  })
  await page.goto('/batches')
  await expect(page.getByRole('alert')).toContainText('refuses to store data')
  await beginBatch(page, 'X65Cr13')
  await expect(page.getByRole('dialog').getByRole('alert')).toContainText('The batch was not begun')
  await expect(page).toHaveURL(/\/batches$/)
})

test('wrong keys in plain fields stay to be corrected, and Escape takes them back', async ({ page }) => {
  await openDemoBatch(page, 'Skerry fillets', 'Prepare')
  for (const [value, words] of [
    ['many', 'is not a number'],
    ['2.5', 'whole number'],
    ['900', 'from 1 to 60'],
  ] as const) {
    await fill(page, 'Count of A', value)
    await expect(page.getByRole('alert')).toContainText(words)
    await expect(page.getByLabel('Count of A', { exact: true })).toHaveValue(value)
  }
  await page.getByLabel('Count of A', { exact: true }).press('Escape')
  await expect(page.getByRole('alert')).toHaveCount(0)
  await expect(page.getByLabel('Count of A', { exact: true })).toHaveValue('5')
  await fill(page, 'Spine thickness of A', '3 furlongs')
  await expect(page.getByRole('alert')).toContainText('It reads mm, in, cm, m')
})
