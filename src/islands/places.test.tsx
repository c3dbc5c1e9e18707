// @vitest-environment jsdom
import 'fake-indexeddb/auto'
import { act, cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react'
import type { ReactElement } from 'react'
import { afterEach, beforeAll, describe, expect, it, vi } from 'vitest'
import { bladesOf } from '../core/batch/tray'
import { certificatesOf } from '../core/certificate/certificate'
import { logRows } from '../core/logbook/logbook'
import type { Batch } from '../core/shop/batch'
import { withBlades } from '../core/shop/batch-records'
import { makeDemoWorkshop } from '../simulators/demo/make-demo'
import { replaceAll } from '../store/backup'
import { db } from '../store/database'
import { keepLog } from '../testing/door'
import { preparePage } from '../testing/page'
import { setShop } from '../testing/shop-place'
import { hrcText } from '../words/speaker'
import BatchesPlace from './batch/BatchesPlace'
import BladePlace from './blade/BladePlace'
import CertificatePlace from './certificate/CertificatePlace'
import LogbookPlace from './logbook/LogbookPlace'
import OvenPlace from './oven/OvenPlace'
import PrintPlace from './print/PrintPlace'
import RecipePlace from './recipes/RecipePlace'
import RecipesPlace from './recipes/RecipesPlace'
import RunPlace from './run/RunPlace'
import SteelsPlace from './steels/SteelsPlace'
import TodayPlace from './today/TodayPlace'
import WorkshopPlace from './workshop/WorkshopPlace'

vi.mock('../workers/client', async () => (await import('../testing/door')).doorInThread())
vi.mock('./Place', () => import('../testing/shop-place'))
vi.mock('../ui/charts/chart-look', async original => (await import('../testing/still-charts')).stillCharts(original))

const demo = makeDemoWorkshop(20260, new Date('2026-03-02T08:00:00Z'))
const batches = withBlades(demo.batches, demo.blades)
const named = (name: string): Batch => {
  const found = batches.find(batch => batch.name.startsWith(name))
  if (!found) throw new Error(`no batch ${name}`)
  return found
}
const skerry = named('Skerry fillets')
const net = named('Net knives')
const galley = named('Galley knives')
const recipe = demo.recipes[0]
beforeAll(async () => {
  preparePage()
  await replaceAll(demo)
  setShop(demo.shop)
  keepLog({ batches, readings: demo.readings, tester: demo.shop.tester })
})
afterEach(cleanup)

const PLACES: readonly (readonly [name: string, place: () => ReactElement, shows: RegExp])[] = [
  ['Today', () => <TodayPlace />, /Net knives/],
  ['Batches', () => <BatchesPlace />, /Net knives/],
  ['Recipes', () => <RecipesPlace />, /± \d\.\d HRC/],
  ['a recipe', () => <RecipePlace id={recipe?.id ?? ''} />, /Without your readings/],
  ['Steels', () => <SteelsPlace grade="" view="" />, /Composition, wt%/],
  ['Workshop', () => <WorkshopPlace />, /correct the charts where that helps/],
  ['an oven', () => <OvenPlace id={demo.shop.ovens[0]?.id ?? ''} />, /Current from the mains/],
  ['the logbook', () => <LogbookPlace />, /Measured less predicted/],
  ['a blade', () => <BladePlace id={bladesOf(net)[0]?.id ?? ''} />, /Serial/],
  ['the sheets', () => <PrintPlace batchId={skerry.id} />, /Load 2/],
  ['certificates', () => <CertificatePlace batchId={galley.id} />, /Hardness certificate, B1/],
  ['a run', () => <RunPlace batchId={skerry.id} />, /One action at a time/],
]

describe.each(['metric', 'imperial'] as const)('every place in %s', units => {
  it.each(PLACES)('%s: says something, and nothing a computer would', async (_, place, shows) => {
    setShop({ ...demo.shop, units })
    const { container } = render(place())
    await waitFor(() => expect(container.textContent).toMatch(shows))
    expect(container.textContent).not.toMatch(/NaN|undefined|Infinity|\[object/)
  })
})

describe('one figure in every place', () => {
  const rows = logRows(demo.readings, batches, demo.shop.tester)

  it('the logbook has every blade that was read, as it was worked out', async () => {
    setShop(demo.shop)
    render(<LogbookPlace />)
    const shown = await screen.findAllByRole('row')
    // All are there to be scrolled to; drawn are those in sight.
    expect(screen.getByRole('table').getAttribute('aria-rowcount')).toBe(String(rows.length + 1))
    expect(shown.length).toBeLessThan(rows.length)
    expect(shown[1]?.textContent).toContain(hrcText(rows[0]?.hrc ?? 0))
  })

  it('a blade’s own page and its certificate say what the logbook says', async () => {
    const row = rows.find(r => r.batchId === net.id && r.stage === 'temper-2')
    if (!row) throw new Error('a reading')
    const hrc = hrcText(row.hrc)
    render(<BladePlace id={row.bladeId} />)
    expect((await screen.findByRole('row', { name: /after temper 2/ })).textContent).toContain(`${hrc} HRC`)
    const own = certificatesOf(
      {
        batch: net,
        shop: demo.shop,
        readings: demo.readings,
        runs: demo.runs,
        logs: demo.logs,
        pictures: [],
        experienceOf: () => null,
      },
      '2026-03-02T08:00:00.000Z',
    ).find(c => c.serial === row.serial)
    expect(hrcText(own?.hardness.find(h => h.stage === 'temper-2')?.hrc ?? 0)).toBe(hrc)
  })
})

describe('what can be done', () => {
  it('a run begins once, and its steps are confirmed one at a time', async () => {
    setShop(demo.shop)
    render(<RunPlace batchId={skerry.id} mode="practice" />)
    const practice = await screen.findByRole('button', { name: /^Practice/ })
    await act(async () => {
      fireEvent.click(practice)
      fireEvent.click(practice)
    })
    await screen.findByText('Shop ready', { selector: 'strong' })
    const runs = async () => (await db.runs.where('batchIds').equals(skerry.id).toArray()).filter(r => !r.endedAt)
    expect(await runs()).toHaveLength(1)
    fireEvent.keyDown(window, { key: ' ', code: 'Space' })
    fireEvent.keyUp(window, { key: ' ', code: 'Space' })
    await waitFor(async () => expect((await runs())[0]?.events.filter(e => e.kind === 'confirm')).toHaveLength(1))
    fireEvent.keyDown(window, { key: 'z', code: 'KeyZ' })
    await waitFor(async () => expect((await runs())[0]?.events.at(-1)?.kind).toBe('take-back'))
    // A key that is held down is one press.
    fireEvent.keyDown(window, { key: ' ', code: 'Space', repeat: true })
    fireEvent.keyUp(window, { key: ' ', code: 'Space' })
    await act(() => new Promise(resolve => setTimeout(resolve, 50)))
    expect((await runs())[0]?.events.at(-1)?.kind).toBe('take-back')
  })

  it('steels are ranked for a use, and those this shop cannot harden are named with the reason', async () => {
    setShop(demo.shop)
    render(<SteelsPlace grade="" view="suggest" />)
    expect(await screen.findAllByRole('button', { name: 'Plan a batch' })).not.toHaveLength(0)
    expect(screen.getByText('Not in this shop')).toBeTruthy()
    cleanup()
    setShop({ ...demo.shop, oil: 'fast-oil' })
    render(<SteelsPlace grade="" view="suggest" />)
    await waitFor(() => expect(screen.queryByText(/C75S/)?.closest('ol')).toBeTruthy())
    expect(screen.queryByText('Not in this shop')).toBeNull()
  })

  it('a tale follows its knob', async () => {
    render(<SteelsPlace grade="" view="" />)
    const why = await screen.findByRole('button', { name: /Why is that/ })
    fireEvent.click(why)
    const knob = await screen.findByRole<HTMLInputElement>('slider')
    const figure = () => document.querySelector('section .figure')?.textContent
    await waitFor(() => expect(figure()).toMatch(/\d/))
    const before = figure()
    fireEvent.change(knob, { target: { value: '380' } })
    await waitFor(() => expect(figure()).not.toBe(before))
  })

  it('learning that is switched off says so, and says nothing of a shop on a recipe', async () => {
    setShop({ ...demo.shop, learning: false })
    const { container } = render(<RecipesPlace />)
    await waitFor(() => expect(container.textContent).toMatch(/± \d\.\d HRC/))
    cleanup()
    render(<WorkshopPlace />)
    const select = await screen.findByLabelText<HTMLSelectElement>('Your own readings')
    expect(select.value).toBe('off')
  })
})
