// @vitest-environment jsdom
import 'fake-indexeddb/auto'
import { act, cleanup, fireEvent, render, screen, waitFor, within } from '@testing-library/react'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { emptyData } from '../core/files/pieces'
import { withBlades } from '../core/shop/batch-records'
import { DEFAULT_WORKSHOP } from '../core/shop/defaults'
import { SETUP_STEPS } from '../data/setup'
import type { StationName } from '../data/stations'
import { makeDemoWorkshop } from '../simulators/demo/make-demo'
import { replaceAll } from '../store/backup'
import { db } from '../store/database'
import { newestStep } from '../store/history'
import { saveShop } from '../store/records'
import { keepLog } from '../testing/door'
import { preparePage } from '../testing/page'
import { setShop, Place as TestPlace } from '../testing/shop-place'
import Tour from './batch/Tour'
import { useTour } from './batch/use-tour'
import { DemoNote } from './DemoNote'
import Finder from './find/Finder'
import KeysDialog from './find/KeysDialog'
import WallSheet from './print/WallSheet'
import StartPlace from './start/StartPlace'
import { redo, undo } from './undo'

vi.mock('../workers/client', async () => (await import('../testing/door')).doorInThread())
vi.mock('./Place', () => import('../testing/shop-place'))

const demo = makeDemoWorkshop(20260, new Date('2026-03-02T08:00:00Z'))
const own = { ...DEFAULT_WORKSHOP, currency: 'EUR' }
const stored = async () => (await db.shop.get('shop')) ?? DEFAULT_WORKSHOP

beforeEach(async () => {
  preparePage()
  Element.prototype.scrollIntoView = () => {}
  sessionStorage.clear()
  await replaceAll(emptyData(own))
  setShop(own)
})
afterEach(cleanup)

describe('setting a shop up', () => {
  it('goes through the steps; going on says the step, skipping does not', async () => {
    render(<StartPlace />)
    expect(screen.getByRole('heading', { level: 2 }).textContent).toBe('Units and currency')
    fireEvent.click(screen.getByRole('button', { name: 'Save and continue' }))
    await screen.findByRole('heading', { level: 2, name: 'Oven and controller' })
    expect((await stored()).said).toEqual(['units'])
    for (const next of [
      'Quench plates',
      'Cold treatment',
      'Hardness tester or files',
      'Foil and prices',
      'The first batch',
    ]) {
      fireEvent.click(screen.getByRole('button', { name: 'Skip for now' }))
      await screen.findByRole('heading', { level: 2, name: next })
    }
    expect((await stored()).said).toEqual(['units'])
    expect(screen.getByRole('button', { name: /New batch/ })).toBeTruthy()
  })

  it('says what stands in until a step is said, and draws every step', () => {
    render(<StartPlace />)
    const steps = within(screen.getByRole('list', { name: 'Steps' })).getAllByRole('button')
    const drawings = new Set<string | null>()
    for (const step of steps.slice(0, SETUP_STEPS.length)) {
      fireEvent.click(step)
      expect(screen.getByText('Usual values, not yours yet.')).toBeTruthy()
      drawings.add(screen.getByRole('img').getAttribute('aria-label'))
    }
    expect(drawings.size).toBe(SETUP_STEPS.length)
  })

  it('guesses units and currency from the browser’s language once, and not over what was said', async () => {
    await replaceAll(emptyData(DEFAULT_WORKSHOP))
    setShop(DEFAULT_WORKSHOP)
    vi.spyOn(navigator, 'language', 'get').mockReturnValue('de-CH')
    render(<StartPlace />)
    await waitFor(async () => expect(await stored()).toMatchObject({ units: 'metric', currency: 'CHF' }))
    cleanup()
    vi.spyOn(navigator, 'language', 'get').mockReturnValue('en-US')
    setShop({ ...DEFAULT_WORKSHOP, said: ['units'] })
    render(<StartPlace />)
    await act(async () => {})
    expect((await stored()).currency).toBe('CHF')
  })

  it('asks before the made-up workshop goes, and leaves nothing of it', async () => {
    await replaceAll(demo)
    setShop(demo.shop)
    render(<StartPlace />)
    expect(screen.queryByRole('list', { name: 'Steps' })).toBeNull()
    fireEvent.click(screen.getByRole('button', { name: 'Start my own workshop' }))
    expect(await db.batches.count()).toBeGreaterThan(0)
    fireEvent.click(await screen.findByRole('button', { name: 'Delete it and start my own' }))
    await waitFor(async () => expect(await db.batches.count()).toBe(0))
    const shop = await stored()
    expect([shop.isDemo, shop.name, shop.said, shop.tester.checks]).toEqual([false, DEFAULT_WORKSHOP.name, [], []])
  })
})

describe('a made-up workshop', () => {
  it('says so with the way to one’s own: in the rail, and above the page where there is none', () => {
    const rail = document.createElement('div')
    rail.id = 'rail-foot'
    document.body.append(rail)
    render(<DemoNote />)
    expect(rail.textContent).toContain('Made-up workshop.')
    expect(within(rail).getByRole('link', { name: 'Start your own' }).getAttribute('href')).toBe('/start')
    rail.remove()
  })

  it('is shown in seven stops that can be left, and stay left', () => {
    history.replaceState(null, '', '/batch/x/choose?tour')
    const go = vi.fn()
    const Round = ({ station }: { station: StationName }) => {
      const [isOn, leave] = useTour()
      return isOn && <Tour station={station} go={go} leave={leave} />
    }
    const { rerender } = render(<Round station="choose" />)
    expect(screen.getByText(/1 of 7/)).toBeTruthy()
    fireEvent.click(screen.getByRole('button', { name: 'Next: Prepare' }))
    expect(go).toHaveBeenCalledWith('prepare')
    rerender(<Round station="inspect" />)
    expect(screen.getByText(/not one of the seven stops/)).toBeTruthy()
    rerender(<Round station="verdict" />)
    fireEvent.click(screen.getByRole('button', { name: 'Done' }))
    expect(screen.queryByRole('complementary')).toBeNull()
    cleanup()
    history.replaceState(null, '', '/batch/x/choose')
    render(<Round station="choose" />)
    expect(screen.queryByRole('complementary')).toBeNull()
  })
})

describe('the finder', () => {
  const open = (path = '/') => {
    history.replaceState(null, '', path)
    const keys = vi.fn()
    render(
      <TestPlace>
        <Finder open onOpen={() => {}} onKeys={keys} />
      </TestPlace>,
    )
    return {
      keys,
      field: screen.getByRole('combobox'),
      type: (value: string) => fireEvent.change(screen.getByRole('combobox'), { target: { value } }),
    }
  }

  it('finds what is stored, by kinds, and says so where there is nothing', async () => {
    await replaceAll(demo)
    keepLog({ batches: withBlades(demo.batches, demo.blades), readings: demo.readings, tester: demo.shop.tester })
    setShop(demo.shop)
    const { type } = open()
    type('net knives')
    await waitFor(() => expect(screen.getAllByRole('option')[0]?.textContent).toContain('Net knives'))
    type('d2')
    await waitFor(() => expect(screen.getAllByRole('option')[0]?.textContent).toContain('X153CrMoV12'))
    type('gannet')
    await waitFor(() => expect(screen.getAllByRole('option')[0]?.textContent).toContain('Old Gannet'))
    type('zzz no such')
    await screen.findByText(/Nothing is called that/)
  })

  it('offers the stations of the batch that is open, and none elsewhere', () => {
    const { type } = open('/batch/b7/heat')
    type('temper')
    expect(screen.getByText('Temper, in this batch')).toBeTruthy()
    cleanup()
    open('/steels').type('temper')
    expect(screen.queryByText('Temper, in this batch')).toBeNull()
  })

  it('does what it is asked, after it has gone itself', async () => {
    const { keys, type } = open()
    type('keys of this view')
    fireEvent.click(screen.getByText('Show the keys of this view'))
    await waitFor(() => expect(keys).toHaveBeenCalled())
  })
})

describe('help', () => {
  it('lists the keys and the terms, and leads to the sheet for the wall', () => {
    history.replaceState(null, '', '/batch/x/measure')
    render(
      <TestPlace>
        <KeysDialog open onOpen={() => {}} />
      </TestPlace>,
    )
    expect(screen.getByRole('row', { name: /N Show the next blade/ })).toBeTruthy()
    expect(screen.getByText('Decarburised skin')).toBeTruthy()
    expect(screen.getByRole('link', { name: 'The whole job on a sheet' }).getAttribute('href')).toBe('/wall')
  })

  it('the sheet has the twelve stations with their cautions, in the units of the shop', () => {
    setShop({ ...own, units: 'imperial' })
    const { container } = render(<WallSheet />)
    expect(screen.getAllByRole('heading', { level: 2 })).toHaveLength(12)
    expect(container.textContent).toContain('Local codes')
    expect(container.textContent).not.toContain('°C')
  })
})

describe('undo from anywhere on a page', () => {
  it('takes the newest back and does it again', async () => {
    await saveShop(shop => ({ ...shop, name: 'Ours' }), 'Name of the shop')
    expect(newestStep()?.label).toBe('Name of the shop')
    await undo()
    expect((await stored()).name).toBe(own.name)
    await redo()
    expect((await stored()).name).toBe('Ours')
  })
})
