// @vitest-environment jsdom
import 'fake-indexeddb/auto'
import { act, cleanup, fireEvent, render, screen, waitFor, within } from '@testing-library/react'
import { afterEach, beforeAll, beforeEach, describe, expect, it, vi } from 'vitest'
import { layBlades } from '../core/batch/tray-edit'
import { batchFiguresOf } from '../core/bench/batch-figures'
import { newBatch } from '../core/new-batch/new-batch'
import type { Batch } from '../core/shop/batch'
import { DEFAULT_WORKSHOP } from '../core/shop/defaults'
import type { Workshop } from '../core/shop/workshop'
import type { StationName } from '../data/stations'
import { addBatch } from '../store/batches'
import { db } from '../store/database'
import { readBatch } from '../store/read-batch'
import { keepLog } from '../testing/door'
import { preparePage } from '../testing/page'
import { setShop } from '../testing/shop-place'
import { gradeOf, NOW } from '../testing/tray'
import { hoursText } from '../words/clock-text'
import { hrcText } from '../words/speaker'
import BatchPlace from './batch/BatchPlace'
import PrintPlace from './print/PrintPlace'
import SteelsPlace from './steels/SteelsPlace'
import TodayPlace from './today/TodayPlace'
import WorkshopPlace from './workshop/WorkshopPlace'

vi.mock('../workers/client', async () => (await import('../testing/door')).doorInThread())
vi.mock('./Place', () => import('../testing/shop-place'))
vi.mock('../ui/charts/chart-look', async original => (await import('../testing/still-charts')).stillCharts(original))

let n = 0
const newId = () => `plan-${n++}`

beforeAll(() => {
  preparePage()
  Element.prototype.scrollIntoView = () => {}
  keepLog({ batches: [], readings: [], tester: DEFAULT_WORKSHOP.tester })
})
beforeEach(async () => {
  await Promise.all(db.tables.map(table => table.clear()))
  await use(DEFAULT_WORKSHOP)
})
afterEach(cleanup)

/** The settings, shown and stored. */
async function use(shop: Workshop) {
  setShop(shop)
  await db.shop.put(structuredClone(shop) as Workshop)
}

async function begin(steel: string, count: number, thicknessMm: number): Promise<Batch> {
  const id = newId()
  const plain = newBatch({ batch: id, group: newId() }, steel, gradeOf(steel), DEFAULT_WORKSHOP, NOW, { thicknessMm })
  await addBatch(layBlades(plain, plain.groups[0]?.id ?? '', { count, thicknessMm }, newId, NOW))
  return stored(id)
}
async function stored(id: string): Promise<Batch> {
  const batch = await readBatch(id)
  if (!batch) throw new Error('no batch')
  return batch
}
async function open(batch: Batch, station: StationName) {
  const view = render(<BatchPlace id={batch.id} station={station} />)
  await screen.findByRole('heading', { level: 2 })
  return view
}
const type = (label: string, value: string) => {
  const field = screen.getByLabelText<HTMLInputElement>(label)
  fireEvent.change(field, { target: { value } })
  fireEvent.blur(field)
  return field
}
const figure = (label: string | RegExp) =>
  screen.getByText(label).closest('[data-figure]')?.querySelector('.figure')?.textContent ?? null

describe('whose a value is', () => {
  it('is said at its field: suggested, set, and taken back to the suggestion with one press', async () => {
    const batch = await begin('X153CrMoV12', 2, 5)
    await open(batch, 'choose')
    await waitFor(() => expect(screen.getAllByText('suggested')).toHaveLength(4))
    type('Soak time', '28')
    expect(await screen.findByText('set by you')).toBeTruthy()
    expect((await stored(batch.id)).groups[0]).toMatchObject({ fixed: ['soakMin'], route: { soakMin: 28 } })
    fireEvent.click(await screen.findByRole('button', { name: 'Use the suggested 35 min' }))
    await waitFor(async () => expect((await stored(batch.id)).groups[0]?.fixed).toEqual([]))
    expect((await stored(batch.id)).groups[0]?.route.soakMin).toBe(35)
    await waitFor(() => expect(screen.queryByText('set by you')).toBeNull())
  })

  it('of a temper is said beside the tempers; all of it is left to the suggestion at once', async () => {
    const batch = await begin('X65Cr13', 2, 2.5)
    await open(batch, 'choose')
    await waitFor(() => expect(screen.getAllByText('suggested')).toHaveLength(4))
    type('Temper 1 at', '300')
    await waitFor(async () => expect((await stored(batch.id)).groups[0]?.fixed).toEqual(['tempers']))
    expect(await screen.findByRole('button', { name: /^Use the suggested 2 tempers at/ })).toBeTruthy()
    fireEvent.click(screen.getByRole('button', { name: /^Suggest a route for/ }))
    await waitFor(async () => expect((await stored(batch.id)).groups[0]?.fixed).toEqual([]))
  })

  it('is no longer a matter once the blades were read', async () => {
    const batch = await begin('X65Cr13', 1, 2.5)
    await db.readings.add({
      id: 'r',
      batchId: batch.id,
      bladeId: batch.blades[0]?.id ?? '',
      stage: 'as-quenched',
      hrc: 62,
      at: NOW,
      deletedAt: null,
    })
    await open(batch, 'choose')
    await waitFor(() => expect(figure('Finished hardness')).toMatch(/\d/))
    expect(screen.queryByText('suggested')).toBeNull()
  })
})

describe('a steel in a batch', () => {
  it('is added by any of its names, and gone to', async () => {
    const batch = await begin('X65Cr13', 1, 2.5)
    await open(batch, 'choose')
    fireEvent.click(await screen.findByRole('button', { name: 'Add a steel' }))
    const dialog = await screen.findByRole('dialog')
    fireEvent.change(within(dialog).getByRole('combobox'), { target: { value: '440C' } })
    await waitFor(() => expect(within(dialog).getAllByRole('option')[0]?.textContent).toContain('X105CrMo17'))
    fireEvent.click(within(dialog).getAllByRole('option')[0] as HTMLElement)
    // The cursor stands where the next thing is typed.
    const blades = await within(dialog).findByLabelText<HTMLInputElement>('Blades')
    expect(document.activeElement).toBe(blades)
    fireEvent.change(blades, { target: { value: '4' } })
    fireEvent.submit(blades.form as HTMLFormElement)
    const button = await screen.findByRole('button', { name: '4 × X105CrMo17' })
    await waitFor(() => expect(button.getAttribute('aria-pressed')).toBe('true'))
    expect((await stored(batch.id)).groups.map(g => [g.gradeName, g.fixed])).toEqual([
      ['X65Cr13', []],
      ['X105CrMo17', []],
    ])
  })

  it('that no one knows says how to have it', async () => {
    const batch = await begin('X65Cr13', 1, 2.5)
    await open(batch, 'choose')
    fireEvent.click(await screen.findByRole('button', { name: 'Add a steel' }))
    const dialog = await screen.findByRole('dialog')
    fireEvent.change(within(dialog).getByRole('combobox'), { target: { value: 'qqzz' } })
    expect(await within(dialog).findByText(/No steel by that name\. Add it under Steels/)).toBeTruthy()
  })
})

describe('each blade’s own soak', () => {
  it('is in the pull list with its prediction; blades over their longest are named, and what would mend it', async () => {
    const batch = await begin('X65Cr13', 14, 6)
    const model = batchFiguresOf({ batch, shop: DEFAULT_WORKSHOP, readings: [], experienceOf: () => null })
    const [plan] = Object.values(model.pulls)
    await open(batch, 'plates')
    fireEvent.click(screen.getByRole('button', { name: 'Pull list' }))
    const last = plan?.pulls.at(-1)
    const row = await screen.findByRole('row', { name: /A14/ })
    expect(row.textContent).toContain(`${Math.round(last?.soakMin ?? 0)}, most ${Math.round(last?.longestMin ?? 0)}`)
    expect(row.textContent).toContain(hrcText(last?.hrc ?? 0))
    const status = await screen.findByText(/soak too long: the longest soak is/)
    await waitFor(() => expect(status.parentElement?.textContent).toMatch(/no more than \d+ blades in one load/))
  })

  it('is on the paper with the time of each pull and why the oven holds', async () => {
    const batch = await begin('X65Cr13', 3, 3)
    render(<PrintPlace batchId={batch.id} />)
    expect(await screen.findByText(/^Held \d+ min: .* to spare\.$/)).toBeTruthy()
    const rows = screen.getAllByRole('row', { name: /\d+:\d\d A\d/ })
    expect(rows.map(row => within(row).getAllByRole('cell')[2]?.textContent)).toEqual(['A1', 'A2', 'A3'])
    // Started later, it ends later: the times are of the wall's clock.
    const end = () => screen.getByText(/last temper out at/).textContent
    const before = end()
    fireEvent.change(screen.getByLabelText('Oven on at'), { target: { value: '05:10' } })
    expect(end()).not.toBe(before)
    expect(end()).toContain('On at')
  })
})

describe('a steel that needs oil', () => {
  it('is refused at Choose, Heat and Plates, with what to do', async () => {
    const batch = await begin('95MnWCr5', 1, 4)
    for (const station of ['choose', 'heat', 'plates'] as const) {
      await open(batch, station)
      expect((await screen.findAllByText(/95MnWCr5 does not harden between plates/))[0]?.textContent).toContain(
        'Enter the oil in the Workshop',
      )
      cleanup()
    }
  })

  it('has an oil bench with its cautions where the shop has oil, and needs no foil', async () => {
    await use({ ...DEFAULT_WORKSHOP, oil: 'medium-oil' })
    const batch = await begin('95MnWCr5', 1, 4)
    await open(batch, 'plates')
    expect(screen.getByRole('heading', { level: 2 }).textContent).toBe('Oil')
    expect(screen.getByText(/flash point/).textContent).toMatch(/lid.*extinguisher for burning oil.*never water/)
    await waitFor(() => expect(figure(/^Time from/)).toMatch(/^\d/))
    cleanup()
    await open(batch, 'wrap')
    expect(screen.getByText(/goes into the oil without foil/)).toBeTruthy()
  })
})

describe('the day of a batch', () => {
  it('is said at Temper, and on Today beside the batch that is next', async () => {
    const batch = await begin('X100CrMoV5', 2, 3)
    const { day } = batchFiguresOf({ batch, shop: DEFAULT_WORKSHOP, readings: [], experienceOf: () => null })
    await open(batch, 'temper')
    await waitFor(() =>
      expect(figure('Time for the whole batch, from oven on to the last temper out')).toBe(
        hoursText(day?.totalMin ?? 0),
      ),
    )
    expect(screen.getByText(/stands .* between the quench and its first temper; 2 h is the most/)).toBeTruthy()
    cleanup()
    render(<TodayPlace />)
    expect(await screen.findByText(/from oven on to the last temper/)).toBeTruthy()
  })

  it('says on Today that the roll is nearly used up, and nothing of a roll that is not counted', async () => {
    await use({ ...DEFAULT_WORKSHOP, foil: { ...DEFAULT_WORKSHOP.foil, leftMm: 600 } })
    render(<TodayPlace />)
    expect((await screen.findByText(/Foil is low/)).textContent).toContain('0.6 m left on the roll')
    cleanup()
    await use(DEFAULT_WORKSHOP)
    render(<TodayPlace />)
    await screen.findByText('Hot now')
    expect(screen.queryByText(/Foil is low/)).toBeNull()
  })
})

describe('foil against the roll', () => {
  it('is short in plain words, and may not be counted as cut', async () => {
    await use({ ...DEFAULT_WORKSHOP, foil: { ...DEFAULT_WORKSHOP.foil, leftMm: 100 } })
    const batch = await begin('X65Cr13', 2, 2.5)
    await open(batch, 'wrap')
    expect(await screen.findByText(/needed, 0\.1 m left on the roll: short by/)).toBeTruthy()
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Cut: subtract from the roll' }).disabled).toBe(true)
    // The currency is asked for once, where the first price stands.
    const currency = screen.getByLabelText<HTMLSelectElement>('Currency of all prices')
    await act(async () => fireEvent.change(currency, { target: { value: 'SEK' } }))
    await waitFor(async () => expect((await db.shop.get('shop'))?.currency).toBe('SEK'))
  })
})

describe('settings that follow each other closely', () => {
  it('do not take each other back: two sides of the box, two prices, oil and room', async () => {
    render(<WorkshopPlace />)
    await screen.findByRole('heading', { level: 1 })
    await act(async () => {
      type('Box length', '411')
      type('Box width', '222')
      type('Electricity', '0,4')
      type('An hour of your work', '30')
      type('Room temperature', '12')
      fireEvent.change(screen.getByLabelText('Quench oil'), { target: { value: 'fast-oil' } })
    })
    await waitFor(async () => {
      const shop = await db.shop.get('shop')
      expect(shop?.cold.boxMm).toMatchObject({ length: 411, width: 222 })
      expect(shop?.prices).toMatchObject({ kWh: 0.4, hour: 30 })
      expect(shop).toMatchObject({ roomC: 12, oil: 'fast-oil' })
    })
  })

  it('a check on a block goes by what the block was just said to be', async () => {
    await use({ ...DEFAULT_WORKSHOP, tester: { ...DEFAULT_WORKSHOP.tester, blocks: [], checks: [] } })
    render(<WorkshopPlace />)
    await screen.findByRole('heading', { level: 1 })
    await screen.findByLabelText('Certified hardness')
    await act(async () => {
      type('Certified hardness', '62')
      fireEvent.change(screen.getByLabelText('Today’s readings on it'), { target: { value: '62.5 62.6 62.7' } })
    })
    // The place shows the old settings still: the record is a change of what is stored.
    await act(async () => fireEvent.click(screen.getByRole('button', { name: 'Record' })))
    await waitFor(async () => {
      const tester = (await db.shop.get('shop'))?.tester
      expect(tester?.checks).toHaveLength(1)
      expect(tester?.blocks[0]?.certifiedHrc).toBe(62)
    })
  })
})

describe('which steel', () => {
  it('shows its parts, and is put in another order as they are weighed', async () => {
    render(<SteelsPlace grade="" view="suggest" />)
    const first = async () => (await screen.findAllByRole('listitem'))[0]?.textContent ?? ''
    await waitFor(async () => expect(await first()).toContain('Corrosion resistance'))
    const before = await first()
    const wear = screen.getByRole('slider', { name: /Wear resistance/ })
    await act(async () => {
      fireEvent.change(wear, { target: { value: '1' } })
    })
    for (const name of [/Holds a fine edge/, /Corrosion resistance/, /Toughness/])
      await act(async () => {
        fireEvent.change(screen.getByRole('slider', { name }), { target: { value: '0' } })
      })
    await waitFor(async () => expect(await first()).not.toBe(before))
    fireEvent.click(screen.getByRole('button', { name: 'Weigh them as the use asks' }))
    await waitFor(async () => expect(await first()).toBe(before))
  })

  it('of one’s own takes a composition as it stands in the sheet', async () => {
    render(<SteelsPlace grade="" view="own" />)
    const field = await screen.findByLabelText(/^Paste the sheet/)
    await act(async () => fireEvent.change(field, { target: { value: '1.05C-14Cr-4Mo, Si max 0.5, Xy 3' } }))
    expect(screen.getByLabelText<HTMLInputElement>('Nominal Cr').value).toBe('14')
    expect(screen.getByLabelText<HTMLInputElement>('Nominal C').value).toBe('1.05')
    expect(screen.getByText(/^Read: C, .*Cr and Mo/)).toBeTruthy()
  })
})
