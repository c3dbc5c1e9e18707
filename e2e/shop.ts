import { readFile } from 'node:fs/promises'
import AxeBuilder from '@axe-core/playwright'
import { test as base, expect, type Page } from '@playwright/test'
import { layDownDemo } from './demo-data'

/** State a test begins in: the demo workshop, or a browser on its first visit, whose first page stores the demo. */
type Begins = 'demo' | 'first visit'

interface Options {
  quiet: undefined
  begins: Begins
  asks: 'looked at' | 'free'
  laid: undefined
  /** Whether what a beginner can do without was opened before, as an expert leaves it. */
  more: 'open' | 'closed'
  opened: undefined
}

/** Places whose further fields are remembered as they were left. */
const MORE_PLACES = ['shop', 'prices', 'cold', 'data', 'measure', 'finish', 'route']

/**
 * A test that fails when the page throws or writes an error to the console. No name of another machine can be found
 * (`playwright.config.ts`), which a browser writes there; where `asks: 'looked at'`, each request is looked at by itself too.
 */
export const test = base.extend<Options>({
  begins: ['demo', { option: true }],
  more: ['open', { option: true }],
  opened: [
    async ({ context, more }, use) => {
      if (more === 'open')
        await context.addInitScript(places => {
          // An empty page has no storage.
          if (location.protocol === 'about:') return
          for (const place of places) localStorage.setItem(`tawny-ember-more ${place}`, 'open')
        }, MORE_PLACES)
      await use(undefined)
    },
    { auto: true },
  ],
  asks: ['free', { option: true }],
  laid: [
    async ({ page, begins }, use) => {
      if (begins === 'demo') await layDownDemo(page)
      await use(undefined)
    },
    { auto: true },
  ],
  quiet: [
    async ({ page, asks }, use) => {
      const troubles: string[] = []
      page.on('pageerror', error => troubles.push(`threw: ${error.message}`))
      page.on(
        'console',
        message => message.type() === 'error' && troubles.push(`console: ${message.text()} ${message.location().url}`),
      )
      // Told of each of some hundred requests a page, the test would be busier than the page.
      if (asks === 'looked at')
        page.on('request', request => {
          const { protocol, hostname } = new URL(request.url())
          if (!['blob:', 'data:'].includes(protocol) && hostname !== '127.0.0.1')
            troubles.push(`asked ${request.url()}`)
        })
      await use(undefined)
      expect(troubles).toEqual([])
    },
    { auto: true },
  ],
})

/** The benches of a batch, in order. */
export const STATIONS = [
  'Choose',
  'Prepare',
  'Wrap',
  'Heat',
  'Plates',
  'Inspect',
  'Cold',
  'Temper',
  'Measure',
  'Verdict',
  'Finish',
  'Prove',
] as const

/** Names of the demo's batches and where each opens; the same in every browser, as the demo is drawn from one seed. */
export const DEMO_BATCHES = 'test-results/demo-batches.json'

/** Opens a batch of the demo workshop by how its name begins, at a station. */
export async function openDemoBatch(page: Page, name: string, station: string) {
  const batches: [text: string, href: string][] = JSON.parse(await readFile(DEMO_BATCHES, 'utf8'))
  const [, href] = batches.find(([text]) => text.startsWith(name)) ?? []
  const id = href?.split('/')[2]
  if (!id) throw new Error(`No batch of the demo begins with ${name}.`)
  await page.goto(`/batch/${id}/${station.toLowerCase()}`)
  await expect(page.getByRole('heading', { level: 2, name: station })).toBeVisible()
}

/** Opens the question whether to start empty. What comes late above its button would move it away from under the pointer. */
export async function askToStartEmpty(page: Page) {
  await page.goto('/workshop')
  await expect(page.getByLabel('Certified hardness', { exact: true })).toBeVisible()
  await expect(page.getByText('Reading the log …')).toHaveCount(0)
  const start = page.getByRole('button', { name: 'Start empty …' })
  if (!(await start.isVisible())) await page.locator('#data summary').filter({ hasText: 'More' }).first().click()
  await start.click()
}

/** A workshop with nothing in it, as for someone who does not want the demo. */
export async function startEmpty(page: Page) {
  await askToStartEmpty(page)
  await page.getByRole('button', { name: 'Delete and start empty' }).click()
  await expect(page.getByText('The workshop is empty.')).toBeVisible()
}

export async function fill(page: Page, label: string, value: string) {
  const field = page.getByLabel(label, { exact: true })
  await field.fill(value)
  await field.press('Enter')
}

/** Begins a batch of some equal blades of a steel, found by any of its names; it opens at Prepare. */
export async function beginBatch(
  page: Page,
  steel: string,
  { name, blades = 1, thickness }: { name?: string; blades?: number; thickness?: string } = {},
) {
  await page.getByRole('button', { name: 'New batch', exact: true }).first().click()
  await findSteel(page, steel)
  // Enter in a field would begin the batch at once.
  await page.getByLabel('Blades', { exact: true }).fill(String(blades))
  if (thickness) await page.getByLabel('Spine thickness', { exact: true }).fill(thickness)
  if (name) await page.getByLabel('Name of the batch', { exact: true }).fill(name)
  await page.getByRole('button', { name: 'Begin the batch' }).click()
}

/** Takes the first steel that is found by a name, in the dialog that is open. */
export async function findSteel(page: Page, name: string) {
  const dialog = page.getByRole('dialog')
  await dialog.getByRole('combobox').fill(name)
  await dialog.getByRole('option').first().click()
}

/** Chooses in a select by the beginning of what an option says. */
export async function choose(page: Page, label: string, begins: string) {
  const select = page.getByLabel(label, { exact: true })
  const option = select.locator('option').filter({ hasText: new RegExp(`^${begins}`) })
  await select.selectOption((await option.first().getAttribute('value')) ?? begins)
}

/** Nothing axe finds in the whole page, WCAG 2.2 A and AA; in another colour scheme only what colours can change. */
export async function expectAccessible(page: Page, { onlyColours = false } = {}) {
  const runOnly = onlyColours
    ? { type: 'rule' as const, values: ['color-contrast', 'link-in-text-block'] }
    : { type: 'tag' as const, values: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'] }
  // What passed is not listed, and no second page is opened to put frames together: no page has any.
  const axe = new AxeBuilder({ page }).options({ runOnly, resultTypes: ['violations'] }).setLegacyMode(true)
  const { violations } = await axe.analyze()
  expect(
    violations.map(v => `${v.id}: ${v.nodes.map(n => `${n.target.join(' ')} ${n.failureSummary ?? ''}`).join(' | ')}`),
  ).toEqual([])
}

/** The big figure under a label of a bench. */
export const figure = (page: Page, label: string) =>
  page
    .locator('[data-figure]')
    .filter({ has: page.getByText(label, { exact: true }) })
    .locator('.figure')

export { expect }
