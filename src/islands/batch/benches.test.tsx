// @vitest-environment jsdom
import 'fake-indexeddb/auto'
import { act, cleanup, fireEvent, render, screen, waitFor, within } from '@testing-library/react'
import { afterEach, beforeAll, describe, expect, it, vi } from 'vitest'
import { batchFiguresOf } from '../../core/bench/batch-figures'
import type { Batch } from '../../core/shop/batch'
import { withBlades } from '../../core/shop/batch-records'
import type { Workshop } from '../../core/shop/workshop'
import { STATIONS, type StationName } from '../../data/stations'
import { makeDemoWorkshop } from '../../simulators/demo/make-demo'
import { replaceAll } from '../../store/backup'
import { db } from '../../store/database'
import { readBatch } from '../../store/read-batch'
import { keepLog } from '../../testing/door'
import { preparePage } from '../../testing/page'
import { setShop } from '../../testing/shop-place'
import { hrcText } from '../../words/speaker'
import BatchPlace from './BatchPlace'

vi.mock('../../workers/client', async () => (await import('../../testing/door')).doorInThread())
vi.mock('../Place', () => import('../../testing/shop-place'))
vi.mock('../../ui/charts/chart-look', async original =>
  (await import('../../testing/still-charts')).stillCharts(original),
)

const demo = makeDemoWorkshop(20260, new Date('2026-03-02T08:00:00Z'))
const batches = withBlades(demo.batches, demo.blades)

const named = (name: string): Batch => {
  const found = batches.find(batch => batch.name.startsWith(name))
  if (!found) throw new Error(`no batch ${name}`)
  return found
}
const stored = async (id: string) => {
  const batch = await readBatch(id)
  if (!batch) throw new Error('no batch')
  return batch
}

beforeAll(async () => {
  preparePage()
  await replaceAll(demo)
  setShop(demo.shop)
  keepLog({ batches, readings: demo.readings, tester: demo.shop.tester })
})
afterEach(cleanup)

async function open(batch: Batch, station: StationName, units: Workshop['units'] = 'metric') {
  setShop({ ...demo.shop, units })
  const view = render(<BatchPlace id={batch.id} station={station} />)
  await screen.findByRole('heading', { level: 2 })
  return view
}
/** The big figure under a label. */
const figure = (label: string | RegExp) =>
  screen.getByText(label).closest('[data-figure]')?.querySelector('.figure')?.textContent ?? null
const figures = batchFiguresOf({
  batch: named('Skerry fillets'),
  shop: demo.shop,
  readings: [],
  experienceOf: () => null,
})

describe.each(['metric', 'imperial'] as const)('every bench in %s', units => {
  it.each(STATIONS)('%s: says something, and nothing a computer would', async station => {
    for (const name of ['Skerry fillets', 'Net knives']) {
      const { container, unmount } = await open(named(name), station, units)
      await waitFor(() => expect(container.textContent).not.toMatch(/Drawing the map|Running the oven|Judging/))
      expect(container.textContent).not.toMatch(/NaN|undefined|Infinity|\[object|null /)
      const bench = screen.getByRole('heading', { level: 2 }).closest('section') ?? container
      if (units === 'imperial') expect(bench.textContent).not.toMatch(/\d mm\b|\d kg\b/)
      unmount()
    }
  })
})

describe('what the benches show is what the batch model says', () => {
  const skerry = named('Skerry fillets')

  it('Choose: the finished hardness of the steel shown, and of the other one at a press', async () => {
    await open(skerry, 'choose')
    const shown = () => figure('Finished hardness')
    await waitFor(() => expect(shown()).toMatch(/^\d\d\.\d$/))
    const first = shown()
    fireEvent.click(screen.getByRole('button', { name: /X105CrMo17/ }))
    await waitFor(() => expect(shown()).not.toBe(first))
  })

  it('Temper: what each load should read afterwards', async () => {
    setShop({ ...demo.shop, learning: false })
    render(<BatchPlace id={skerry.id} station="temper" />)
    const rows = await screen.findAllByRole('row', { name: /^Temper \d/ })
    expect(rows).toHaveLength(Object.keys(figures.expected).length)
  })

  it('Measure and Verdict: one hardness, with the blade that stands apart named', async () => {
    const net = named('Net knives')
    const readings = demo.readings.filter(r => r.batchId === net.id)
    const [model] = batchFiguresOf({ batch: net, shop: demo.shop, readings, experienceOf: () => null }).groups
    const latest = model?.measured.at(-1)
    if (!latest) throw new Error('the demo has readings')
    await open(net, 'measure')
    expect(figure(/^All blades after/)).toBe(hrcText(latest.hrc))
    expect(screen.getByText(/judged alone/).textContent).toContain('A3')
    cleanup()
    await open(net, 'verdict')
    expect(figure(/^Measured after/)).toBe(hrcText(latest.hrc))
  })
})

describe('entering things', () => {
  it('the room and its air changes, left closely one after the other, are both kept', async () => {
    await open(named('Skerry fillets'), 'cold')
    for (const [label, value] of [
      ['Room', '6'],
      ['Air changes', '0'],
    ] as const) {
      const field = screen.getByLabelText(label)
      fireEvent.change(field, { target: { value } })
      fireEvent.blur(field)
    }
    await waitFor(async () => expect((await db.shop.get('shop'))?.cold.room).toEqual({ m3: 6, airChangesPerH: 0 }))
    await replaceAll(demo)
  })

  it('a count makes blades with marks and serials of their own, and Undo takes them back', async () => {
    const skerry = named('Skerry fillets')
    await open(skerry, 'prepare')
    const before = (await stored(skerry.id)).blades.filter(b => b.removedAt === null).length
    const count = screen.getByLabelText<HTMLInputElement>('Count of A')
    const was = Number(count.value)
    fireEvent.change(count, { target: { value: String(was + 2) } })
    fireEvent.blur(count)
    await waitFor(async () =>
      expect((await stored(skerry.id)).blades.filter(b => b.removedAt === null)).toHaveLength(before + 2),
    )
    const serials = (await db.blades.toArray()).map(blade => blade.serial)
    expect(new Set(serials).size).toBe(serials.length)
    fireEvent.click(screen.getByRole('button', { name: /Undo/ }))
    await waitFor(async () =>
      expect((await stored(skerry.id)).blades.filter(b => b.removedAt === null)).toHaveLength(before),
    )
  })

  it('a mark that is taken is said beside its field, and nothing is stored', async () => {
    const skerry = named('Skerry fillets')
    await open(skerry, 'prepare')
    const mark = screen.getByLabelText<HTMLInputElement>('Mark of B')
    fireEvent.change(mark, { target: { value: 'A' } })
    fireEvent.blur(mark)
    expect((await screen.findByRole('alert')).textContent).toContain('marked A')
    expect((await stored(skerry.id)).lines.map(line => line.mark)).toContain('B')
  })

  it('readings are taken blade by blade, and a slip of the keys is offered and keeps what was typed', async () => {
    const skerry = named('Skerry fillets')
    await open(skerry, 'measure')
    const field = () => screen.getByLabelText<HTMLInputElement>(/^Readings of A\d, HRC$/)
    expect(field()).toBe(screen.getByLabelText('Readings of A1, HRC'))
    fireEvent.change(field(), { target: { value: '61.5 6O.5' } })
    fireEvent.keyDown(field(), { key: 'Enter' })
    fireEvent.submit(field().form ?? field())
    expect(await screen.findByText(/60\.5\?/)).toBeTruthy()
    expect(field().value).toBe('61.5 6O.5')
    fireEvent.change(field(), { target: { value: '61.5 60.5' } })
    fireEvent.submit(field().form ?? field())
    await screen.findByLabelText('Readings of A2, HRC')
    await waitFor(async () => {
      const own = await db.readings.where('batchId').equals(skerry.id).toArray()
      expect(own.map(r => r.hrc).sort()).toEqual([60.5, 61.5])
    })
    await waitFor(() => expect(figure(/^All blades after/)).not.toBe('—'))
  })

  it('the oven is chosen for the batch, and where the packets stood in another is forgotten', async () => {
    const skerry = named('Skerry fillets')
    await open(skerry, 'heat')
    const select = screen.getByLabelText<HTMLSelectElement>('Hardening oven')
    expect(select.selectedOptions[0]?.textContent).toBe(demo.shop.ovens.find(o => o.id === skerry.ovenId)?.name)
  })
})

describe('what is missing', () => {
  const change = async (name: string, part: Partial<Batch>) => {
    const { blades: _, ...record } = { ...named(name), ...part }
    await db.batches.put(record)
    return named(name)
  }

  it('an oven that is gone is named, and Heat offers the others alone', async () => {
    const batch = await change('Paring set', { ovenId: 'melted', ovenName: 'Old Faithful' })
    await open(batch, 'heat')
    expect(screen.getAllByText(/Old Faithful/).length).toBeGreaterThan(0)
    expect(screen.queryByText(/Oven from cold/)).toBeNull()
    const select = screen.getByLabelText<HTMLSelectElement>('Hardening oven')
    expect(
      within(select)
        .getAllByRole('option')
        .map(o => o.textContent),
    ).toContain('Old Faithful, not in the workshop')
  })

  it('a steel that is not known is named with a choice, and chosen it has a route again', async () => {
    const [group] = named('Boat knives').groups
    if (!group) throw new Error('group')
    const batch = await change('Boat knives', { groups: [{ ...group, gradeId: 'lost', gradeName: 'Harbour 14' }] })
    render(<BatchPlace id={batch.id} station="heat" />)
    const alert = await screen.findByRole('alert')
    expect(alert.textContent).toContain('Harbour 14 is not known here.')
    const select = screen.getByLabelText<HTMLSelectElement>('Instead of Harbour 14')
    const option = within(select).getByText<HTMLOptionElement>('X105CrMo17')
    await act(async () => fireEvent.change(select, { target: { value: option.value } }))
    await waitFor(async () => expect((await stored(batch.id)).groups[0]?.gradeName).toBe('X105CrMo17'))
    expect((await stored(batch.id)).groups[0]).toMatchObject({ id: group.id, lot: group.lot })
    await screen.findByRole('heading', { level: 2, name: 'Heat' })
  })

  it('a batch that is not here says so', async () => {
    render(<BatchPlace id="nowhere" station="heat" />)
    expect(await screen.findByText('There is no such batch here')).toBeTruthy()
  })
})
