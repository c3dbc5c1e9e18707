import AxeBuilder from '@axe-core/playwright'
import type { Page } from '@playwright/test'
import { action, begin, goOn, holdKey, practiseUntil, press, title } from './hot-run'
import { beginBatch, expect, expectAccessible, fill, openDemoBatch, startEmpty, test } from './shop'

const board = (page: Page) => page.getByRole('table', { name: 'Each blade’s clock' })
/** Read at three metres, through a shield: contrast of WCAG 2.2 AAA. */
async function expectReadableFarOff(page: Page) {
  // The flash that says it is time is over.
  await page.waitForTimeout(5000)
  const { violations } = await new AxeBuilder({ page })
    .include('main')
    .exclude('.no-print')
    .withRules(['color-contrast-enhanced'])
    .analyze()
  expect(violations.flatMap(v => v.nodes.map(node => node.html))).toEqual([])
}

const rowOf = (page: Page, mark: string) => board(page).getByRole('row', { name: new RegExp(`^${mark} `) })

// Each begins its own run in its own browser. The first goes by the clock on the wall: what else there is to try goes on beside it.
test.describe.configure({ mode: 'parallel' })

test('cues are spoken at 60, 30 and 10 s and at the act, within half a second of their moments', async ({ page }) => {
  test.setTimeout(150_000)
  await page.addInitScript(() => {
    const said: { text: string; at: number }[] = []
    Object.assign(window, { said })
    const voice = { name: 'Near', lang: 'en-GB', localService: true, voiceURI: 'near', default: true }
    Object.defineProperty(window, 'SpeechSynthesisUtterance', {
      value: class {
        constructor(readonly text: string) {}
      },
    })
    Object.defineProperty(window, 'speechSynthesis', {
      value: {
        getVoices: () => [voice],
        cancel: () => undefined,
        speak: (one: { text: string }) => said.push({ text: one.text, at: Date.now() }),
        addEventListener: () => undefined,
        removeEventListener: () => undefined,
      },
    })
    localStorage.setItem(
      'tawny-ember-run-sound',
      JSON.stringify({ sound: false, voice: true, voiceName: null, notify: false, boundKey: null }),
    )
  })
  await begin(page, 'shop')
  for (let i = 0; i < 3; i++) await goOn(page)
  // A hold of ten minutes, cut to a little over one by taking minutes off the log's own way: the run's clock is set on.
  await expect(title(page)).toHaveText('Equalise at 790')
  await page.evaluate(
    () =>
      new Promise<void>((resolve, reject) => {
        const open = indexedDB.open('tawny-ember')
        open.onerror = () => reject(open.error)
        open.onsuccess = () => {
          const runs = open.result.transaction('runs', 'readwrite').objectStore('runs')
          const all = runs.getAll()
          all.onsuccess = () => {
            const run = all.result.find(one => one.endedAt === null)
            const last = run.clock.at(-1)
            const now = Date.now()
            const since = run.events.at(-1).atS
            run.clock.push({ realMs: now, runS: since + 600 - 63, speed: last.speed })
            runs.put(run).onsuccess = () => resolve()
          }
        }
      }),
  )
  await page.reload()
  await expect(title(page)).toHaveText('Equalise at 790')
  const due = await page.evaluate(() => Date.now())
  const said = () => page.evaluate(() => (window as unknown as { said: { text: string; at: number }[] }).said)
  await expect
    .poll(async () => (await said()).map(one => one.text), { timeout: 80_000 })
    .toEqual([
      'Equalise at 790 in one minute.',
      'Equalise at 790 in 30 seconds.',
      'Equalise at 790 in 10 seconds.',
      expect.stringMatching(/^Now\. Set /),
    ])
  const at = (await said()).map(one => one.at)
  const actAt = at[3] ?? 0
  expect(actAt - due).toBeLessThan(70_000)
  for (const [i, s] of [60, 30, 10].entries()) expect(Math.abs(actAt - (at[i] ?? 0) - s * 1000)).toBeLessThan(500)
})

test('the keys: confirm, take back, a minute more, a remark, leave and come back', async ({ page }) => {
  await begin(page, 'shop')
  await goOn(page)
  await expect(title(page)).toHaveText('Oven on')
  await page.keyboard.press('z')
  await expect(title(page)).toHaveText('Shop ready')
  for (const next of ['Oven on', 'Load 2 packets', 'Equalise at 790']) {
    await goOn(page)
    await expect(title(page)).toHaveText(next)
  }
  await expect(page.getByText('2 in, 0 out')).toBeVisible()
  await expect(page.getByText(/^(9:5\d|10:00)$/)).toBeVisible()
  await page.keyboard.press('+')
  await expect(page.getByText(/^(10:5\d|11:00)$/)).toBeVisible()
  await page.keyboard.press('l')
  await page.getByRole('textbox', { name: 'Remark' }).fill('C2 has a hole in its foil')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('dialog')).toHaveCount(0)
  await expect(page.getByText(/Noted at .*: C2 has a hole in its foil/)).toBeVisible()
  await page.keyboard.press('l')
  await page.getByRole('button', { name: 'The plates feel warm' }).click()
  await expect(page.getByText(/Noted at .*: The plates feel warm/)).toBeVisible()
  await page.keyboard.press('Escape')
  await page.keyboard.press('Escape')
  await expect(page.getByRole('link', { name: 'Back to the run' })).toBeVisible()
  await page.goto('/')
  await expect(page.getByText(/Equalise at 790, 2 in the oven/)).toBeVisible()
  await page.getByRole('link', { name: /Back to the run/ }).click()
  await expect(title(page)).toHaveText('Equalise at 790')
})

test('a controller that is still off is said until it heats again', async ({ page }) => {
  await begin(page, 'shop')
  await goOn(page)
  await page.keyboard.press('x')
  const asked = page.getByRole('dialog')
  await asked.getByRole('option', { name: 'Controller error' }).click()
  await asked.getByRole('option', { name: 'It is still off' }).click()
  const off = page.getByRole('alert').filter({ hasText: 'The oven has not heated for' })
  await expect(off).toBeVisible()
  await page.reload()
  await expect(off).toBeVisible()
  await expectAccessible(page)
  await off.getByRole('button', { name: 'It heats again' }).click()
  await expect(off).toHaveCount(0)
})

test('a pedal that bounces is one press, and a press before its time asks for a second one', async ({ page }) => {
  await begin(page, 'shop')
  for (let i = 0; i < 3; i++) await page.keyboard.press('Space', { delay: 20 })
  await page.waitForTimeout(600)
  await expect(title(page)).toHaveText('Oven on')
  await goOn(page)
  await press(page)
  await expect(action(page)).toContainText('It should show 20 °C now. Does yours show 790 °C? Press again')
  await expect(title(page)).toHaveText('Load 2 packets')
  await press(page)
  await expect(title(page)).toHaveText('Equalise at 790')
  // Who presses all the same has read the display: the model goes by it.
  await expect.poll(async () => Number(await page.locator('[data-figure="oven"]').innerText())).toBeGreaterThan(600)
})

test('what the display shows can be typed in °F, and the oven’s time goes by it', async ({ page }) => {
  await begin(page, 'shop')
  await goOn(page)
  await goOn(page)
  const shows = page.getByLabel('Yours shows')
  await expect(page.getByText(/at 790 °C in 3\d:/)).toBeVisible()
  await shows.fill('1400F')
  await shows.press('Enter')
  await expect(page.getByText(/at 790 °C in 1?\d:/)).toBeVisible()
  await shows.fill('hot')
  await shows.press('Enter')
  await expect(page.getByRole('alert').filter({ hasText: 'hot' })).toBeVisible()
})

test('the clock is kept by stored instants: a night away is a night on the run', async ({ page }) => {
  await page.clock.install({ time: new Date('2026-03-02T09:00:00') })
  await begin(page, 'shop')
  for (let i = 0; i < 3; i++) await goOn(page)
  await expect(title(page)).toHaveText('Equalise at 790')
  const address = page.url()
  await page.goto('about:blank')
  await page.clock.setSystemTime(new Date('2026-03-02T17:30:00'))
  await page.goto(address)
  await expect(page.getByText('Late by')).toBeVisible()
  await expect(page.getByText(/^8:(19|20):\d\d$/)).toBeVisible()
  await expect(action(page)).toHaveAttribute('data-ready', 'true')
})

test('two open tabs keep one log, and a press in both counts once', async ({ page, context }) => {
  await begin(page, 'shop')
  const other = await context.newPage()
  await other.goto(page.url())
  await expect(title(other)).toHaveText('Shop ready')
  // Both tabs hear the key at one instant of the clock, however busy the machine.
  const atMs = (await page.evaluate(() => Date.now())) + 1500
  for (const tab of [page, other])
    await tab.evaluate(at => {
      const send = (type: string) => document.body.dispatchEvent(new KeyboardEvent(type, { key: ' ', bubbles: true }))
      setTimeout(() => {
        send('keydown')
        send('keyup')
      }, at - Date.now())
    }, atMs)
  await page.waitForTimeout(2500)
  for (const tab of [page, other]) await expect(title(tab)).toHaveText('Oven on')
})

test('on a phone the one action is in sight, and large enough for a glove', async ({ page }) => {
  await begin(page, 'practice')
  await page.setViewportSize({ width: 390, height: 844 })
  await action(page).scrollIntoViewIfNeeded()
  await expectAccessible(page)
  for (const button of await page.locator('footer button, .run-action').all()) {
    const box = await button.boundingBox()
    expect(Math.min(box?.width ?? 0, box?.height ?? 0)).toBeGreaterThanOrEqual(60)
    expect(box?.height).toBeGreaterThanOrEqual(72)
  }
})

test('a blade that cracks is set aside by the one key alone, and takes no part in what follows', async ({ page }) => {
  test.setTimeout(180_000)
  await begin(page, 'practice')
  await practiseUntil(page, /^Pull A2$/)
  await page.getByRole('button', { name: '1×', exact: true }).click()
  await holdKey(page)
  const dialog = page.getByRole('dialog', { name: 'What happened?' })
  await expect(dialog).toBeVisible()
  await expectAccessible(page)
  // Esc closes the question and nothing else; leaving takes it twice, with a word between.
  const address = page.url()
  await page.keyboard.press('Escape')
  await expect(dialog).toBeHidden()
  await expect(page.getByText('press Esc again to leave')).toBeHidden()
  await page.keyboard.press('Escape')
  await expect(page.getByText('press Esc again to leave')).toBeVisible()
  expect(page.url()).toBe(address)
  await holdKey(page)
  // The second question has its keys as the first: Bent is 5, and Esc goes back to the run.
  await page.keyboard.press('5')
  await expect(page.getByRole('dialog', { name: 'Bent: which blade?' })).toBeVisible()
  await expect(page.getByRole('listbox')).toBeFocused()
  await page.keyboard.press('Escape')
  await holdKey(page)
  // Packet leaked is first: five short presses come to Cracked, a long one takes it, and another the blade in hand.
  for (let i = 0; i < 5; i++) await page.keyboard.press('Space', { delay: 40 })
  await expect(page.getByRole('option', { selected: true })).toContainText('Cracked')
  await holdKey(page)
  await expect(page.getByRole('option', { selected: true })).toContainText('A1')
  await holdKey(page)
  await expect(page.getByText('Cracked: A1. It is set aside and left out of every later step.')).toBeVisible()
  await expect(page.getByText('8 in, 2 out, 1 set aside')).toBeVisible()
  await expect(rowOf(page, 'A1')).toContainText('out of the run')
  await page.reload()
  await expect(rowOf(page, 'A1')).toContainText('out of the run')
  await page.keyboard.press('z')
  await expect(page.getByText('8 in, 3 out')).toBeVisible()
})

test('plates that are too hot put the next pull off, and a run is called off with a reason and what is safe', async ({
  page,
}) => {
  test.setTimeout(180_000)
  await begin(page, 'practice')
  await practiseUntil(page, /^Pull C2$/)
  await expectReadableFarOff(page)
  await page.getByRole('button', { name: '1×', exact: true }).click()
  await page.keyboard.press('x')
  await page.getByRole('option', { name: /Plates too hot/ }).click()
  await page.getByRole('option', { name: /^\S 5 min$/ }).click()
  await expect(page.getByText(/^(4:5\d|5:00)$/)).toBeVisible()
  await page.keyboard.press('x')
  await page.getByRole('option', { name: /Call it off/ }).click()
  await page.getByRole('option', { name: /oven or its controller/ }).click()
  await page.getByRole('option', { name: /Oven off/ }).click()
  await page.getByRole('option', { name: /End the run/ }).click()
  await expect(page.getByRole('heading', { name: /the run was called off/ })).toBeVisible()
  await expect(page.getByText('The oven or its controller failed. Made safe: Oven off, at its switch.')).toBeVisible()
  await expectAccessible(page)
})

test('practice counts for nothing: not on Today, nor for the blades; it stands in a place of its own', async ({
  page,
}) => {
  await begin(page, 'practice')
  await goOn(page)
  await page.keyboard.press('x')
  await page.getByRole('option', { name: /Call it off/ }).click()
  await page.getByRole('option', { name: /Another reason/ }).click()
  await page.getByRole('option', { name: /End the run/ }).click()
  await expect(page.getByText('Nothing of a practice counts for the blades.')).toBeVisible()
  await page.goto('/')
  const next = page.getByRole('region', { name: 'Next' }).or(page.locator('section').filter({ hasText: /^Next/ }))
  await expect(next.getByRole('link', { name: /Skerry fillets/ })).toBeVisible()
  await openDemoBatch(page, 'Skerry fillets', 'Heat')
  await page.getByRole('link', { name: 'Run', exact: true }).click()
  await expect(page.getByRole('button', { name: /Run in the shop/ })).toBeVisible()
})

test('after the run a press at the wrong time is corrected, between the presses around it', async ({ page }) => {
  test.setTimeout(180_000)
  await startEmpty(page)
  await page.goto('/')
  await beginBatch(page, 'X65Cr13', { name: 'One for the cook', blades: 1 })
  await page.getByRole('link', { name: 'Run', exact: true }).click()
  await page.getByRole('button', { name: /Run in the shop/ }).click()
  const over = page.getByRole('heading', { name: /the run is finished/ })
  while (!(await over.isVisible())) await goOn(page)
  const load = page.getByRole('listitem').filter({ hasText: 'Load 1, shut the door' })
  await load.getByRole('button', { name: 'Correct' }).click()
  await fill(page, 'It was at', '9:00:00')
  const alert = page.getByRole('alert')
  await expect(alert).toContainText('It lies between the steps around it')
  const [, least] = /from ([\d:]+)/.exec(await alert.innerText()) ?? []
  await fill(page, 'It was at', least ?? '')
  await expect(load).toContainText('corrected; pressed at')
})

test('several batches are run in one go, and each blade goes back to its own', async ({ page }) => {
  await startEmpty(page)
  for (const name of ['Harbour pair', 'Inn pair']) {
    await page.goto('/')
    await beginBatch(page, 'X65Cr13', { name, blades: 2 })
    await expect(page.getByRole('heading', { level: 2, name: 'Prepare' })).toBeVisible()
  }
  await page.getByRole('link', { name: 'Run', exact: true }).click()
  await page.getByRole('checkbox', { name: /Harbour pair/ }).check()
  await expect(page.getByText(/^4 blades/)).toBeVisible()
  await page.getByRole('button', { name: /Run in the shop/ }).click()
  await expect(page.getByText(/Inn pair and 1 more/)).toBeVisible()
  await expect(rowOf(page, 'Inn A1')).toBeVisible()
  await expect(rowOf(page, 'Harbour A2')).toBeVisible()
  await page.goto('/')
  await expect(page.getByRole('link', { name: /Inn pair and 1 more/ })).toBeVisible()
})

test('a practice with surprises: what is seen is called, and what to train comes after', async ({ page }) => {
  test.setTimeout(240_000)
  await openDemoBatch(page, 'Skerry fillets', 'Heat')
  await page.getByRole('link', { name: 'Run', exact: true }).click()
  await page.getByRole('link', { name: /Practice first/ }).click()
  await page.getByRole('button', { name: 'Level 1' }).click()
  // The same surprises each time.
  await page.evaluate(() => {
    Math.random = () => 0.123
  })
  await page.getByRole('button', { name: /^Practice/ }).click()
  await expect(title(page)).toHaveText('Shop ready')
  const seen = page.getByRole('alert').filter({ hasText: /hisses|dark scale|under the tip/ })
  const fastest = page.getByRole('button', { name: '600×' })
  await fastest.click()
  while (!(await seen.isVisible())) {
    if ((await action(page).getAttribute('data-ready')) === 'true') await goOn(page)
    else await page.waitForTimeout(100)
  }
  // The clock slows down for it.
  await expect(page.getByRole('button', { name: '1×', exact: true })).toHaveAttribute('aria-pressed', 'true')
  const text = await seen.innerText()
  await page.keyboard.press('x')
  if (/hisses/.test(text)) {
    await page.getByRole('option', { name: /Plates too hot/ }).click()
    await page.getByRole('option').first().click()
  } else {
    await page.getByRole('option', { name: /dark scale/.test(text) ? /Packet leaked/ : /Bent/ }).click()
    const mark = /\b([ABC]\d)\b/.exec(text)?.[1] ?? ''
    await page.getByRole('option', { name: new RegExp(`${mark}$`) }).click()
  }
  await expect(seen).toHaveCount(0)
  await page.keyboard.press('x')
  await page.getByRole('option', { name: /Call it off/ }).click()
  await page.getByRole('option', { name: /Enough for today/ }).click()
  await page.getByRole('option', { name: /End the run/ }).click()
  await expect(page.getByText(/1 of 1 surprise called/)).toBeVisible()
  await expect(page.getByText(/^(Train to|Nothing to train)/)).toBeVisible()
})

test('a run begins on the plan of the last time where it cannot be worked out, and says so', async ({
  page,
  context,
}) => {
  await openDemoBatch(page, 'Skerry fillets', 'Heat')
  const batch = page.url().split('/')[4]
  await page.goto(`/run/${batch}`)
  await expect(page.getByRole('button', { name: /Run in the shop/ })).toBeVisible()
  await context.route(/core\.worker/, route => route.abort())
  // What was answered before is kept apart; a browser may throw it away at any time.
  await page.goto('/theme.js')
  await page.evaluate(() => indexedDB.deleteDatabase('tawny-ember-kept'))
  const other = await context.newPage()
  await other.goto(`/run/${batch}`)
  await expect(other.getByText('The plan cannot be worked out now.')).toBeVisible({ timeout: 30_000 })
  await other.getByRole('button', { name: /Run in the shop/ }).click()
  await expect(title(other)).toHaveText('Shop ready')
  await expect(other.getByText('The oven’s model cannot be worked out on this page.')).toBeVisible()
  await goOn(other)
  await expect(title(other)).toHaveText('Oven on')
})

test('no run is begun where what leads it cannot be fetched; the page loaded again begins it', async ({
  page,
  context,
}) => {
  await openDemoBatch(page, 'Skerry fillets', 'Heat')
  const batch = page.url().split('/')[4]
  await context.route(/\/RunView\./, route => route.abort())
  // Its console tells of the fetch that failed.
  const other = await context.newPage()
  await other.goto(`/run/${batch}`)
  await other.getByRole('button', { name: /Run in the shop/ }).click()
  await expect(
    other.getByText('What leads the run could not be fetched from the server, so it was not begun.'),
  ).toBeVisible()
  await context.unroute(/\/RunView\./)
  await other.reload()
  // A run that had been begun would be led at once.
  await other.getByRole('button', { name: /Run in the shop/ }).click()
  await expect(title(other)).toHaveText('Shop ready')
})
