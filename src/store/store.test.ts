import type { Batch } from '../core/shop/batch'
import type { GradeSheet } from '../core/shop/grade-sheet'
import 'fake-indexeddb/auto'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { addLine, setCount } from '../core/batch/tray-edit'
import { continuing } from '../core/continuing'
import { fillSheet } from '../core/files/own-grade/fill-sheet'
import { joinLogs } from '../core/joining/join-logs'
import { NOTHING_FOUND } from '../core/load/inspect'
import { buildRunSteps } from '../core/run-plan/run-steps'
import { DEFAULT_WORKSHOP } from '../core/shop/defaults'
import { type Run, runSchema } from '../core/shop/run'
import { newLog } from '../core/trace/oven-log'
import { PROTECTION } from '../data/protection'
import { makeDemoWorkshop } from '../simulators/demo/make-demo'
import { expectOk, gradeOf, NOW, readingOf, trayOf } from '../testing/tray'
import { addAll, clearAll, readAll, replaceAll } from './backup'
import { addBatch, editBatch, setDeleted } from './batches'
import { db } from './database'
import { asOne, forgetHistory, newestStep, redoLast, undoStep } from './history'
import { readBatch } from './read-batch'
import {
  addReadings,
  bringBackLog,
  changeLog,
  putGrade,
  putLog,
  removeGrade,
  removeLog,
  removeReading,
  saveShop,
} from './records'
import { addRemark, addRun, changeRun, finishRun, logEvents } from './runs'
import { refusalOf, saveTrouble, unfitChange } from './save-state'
import { seedOnce } from './seed'
import { unsavedNow, withUnsaved } from './unsaved'
import { unsavedBatches } from './unsaved-batches'
import { RUN_PREFIX, unsavedRuns } from './unsaved-runs'

const fresh = (id: string): Batch => ({ ...trayOf(gradeOf('X65Cr13'), []), id })
const stored = async (id: string) => (await readBatch(id)) as Batch

/** A run of a batch that has begun. */
const run = (id: string, batchId: string, mode: Run['mode'] = 'practice') =>
  runSchema.parse({
    id,
    batchIds: [batchId],
    people: 1,
    startedAt: '2026-03-02T08:00:00.000Z',
    endedAt: null,
    mode,
    clock: [{ realMs: 0, runS: 0, speed: 60 }],
    ...expectOk(buildRunSteps(trayOf(gradeOf('X65Cr13'), [{ mark: 'A' }]), DEFAULT_WORKSHOP)),
    events: [],
  })

beforeEach(async () => {
  await Promise.all(db.tables.map(table => table.clear()))
  forgetHistory()
  vi.restoreAllMocks()
})

const NOTHING_SEEN = {
  bowMm: 0,
  bentAt: null,
  cracked: false,
  colour: null,
  skates: null,
  bites: null,
  hrc: null,
}

describe('what was suggested', () => {
  const thick = (batch: Batch): Batch => ({ ...batch, lines: batch.lines.map(line => ({ ...line, thicknessMm: 6 })) })
  const soakOf = async (id: string) => (await stored(id)).groups[0]?.route.soakMin
  const begin = async (id: string) => {
    await addBatch({ ...trayOf(gradeOf('X65Cr13'), [{ mark: 'A' }], { id }), blades: [] })
    await editBatch(await stored(id), 'Count', b => setCount(b, 'line-A', 2, () => crypto.randomUUID(), NOW))
  }

  it('follows the blades with every edit, and goes back with it', async () => {
    await begin('s1')
    expect(await soakOf('s1')).toBe(12)
    await editBatch(await stored('s1'), 'Thickness', thick)
    expect(await soakOf('s1')).toBe(25)
    await undoStep()
    expect(await soakOf('s1')).toBe(12)
  })

  it('follows the workshop, in every batch that is not hardened', async () => {
    await begin('s2')
    await begin('s3')
    await addReadings([readingOf((await stored('s3')).blades[0]?.id ?? '', 60, 'as-quenched', { batchId: 's3' })])
    const before = await stored('s3')
    await saveShop(s => ({ ...s, cold: { ...s.cold, medium: 'liquid-nitrogen' } }))
    expect((await stored('s2')).groups[0]?.route.cold?.toC).toBe(-196)
    expect(await stored('s3')).toEqual(before)
    await saveShop(s => ({ ...s, units: 'imperial' }))
    const { austenitizeC } = (await stored('s2')).groups[0]?.route ?? { austenitizeC: 0 }
    expect(Math.round((austenitizeC * 1.8 + 32) * 1e6) % 5e6).toBe(0)
  })

  it('is left alone in a batch that does not fit: neither it nor the workshop is stopped by that', async () => {
    await begin('s8')
    await begin('s9')
    const { blades, ...record } = await stored('s8')
    const broken = { ...record, groups: record.groups.map(group => ({ ...group, route: undefined })) }
    await db.batches.put(broken as unknown as Parameters<typeof db.batches.put>[0])
    expect((await saveShop(s => ({ ...s, cold: { ...s.cold, medium: 'none' } }))).saved).toBe(true)
    expect((await stored('s9')).groups[0]?.route.cold).toBeNull()
    expect((await editBatch(await stored('s8'), 'Name', b => ({ ...b, name: 'Still mine' }))).saved).toBe(true)
    expect((await stored('s8')).name).toBe('Still mine')
    expect(blades).toHaveLength(2)
  })

  it('stays as it was once blades were read, inspected, logged or run; a practice run leaves it open', async () => {
    for (const [id, begun] of [
      ['s4', { readings: true }],
      ['s5', { run: 'shop' as const }],
      ['s6', { run: 'practice' as const }],
      ['s7', { inspected: true }],
    ] as const) {
      await begin(id)
      const batch = await stored(id)
      if ('readings' in begun)
        await addReadings([readingOf(batch.blades[0]?.id ?? '', 60, 'as-quenched', { batchId: id })])
      if ('run' in begun) await addRun(run(`run-${id}`, id, begun.run))
      if ('inspected' in begun)
        await editBatch(batch, 'Inspect', b => ({
          ...b,
          blades: b.blades.map((blade, i) =>
            i === 0 ? { ...blade, inspection: NOTHING_SEEN } : blade,
          ) as Batch['blades'],
        }))
      await editBatch(await stored(id), 'Thickness', thick)
      expect(await soakOf(id), id).toBe(id === 's6' ? 25 : 12)
    }
  })
})

describe('editing a batch', () => {
  it('saves at once and counts the saves', async () => {
    await addBatch(fresh('b1'))
    await editBatch(await stored('b1'), 'Name', b => ({ ...b, name: 'Fillets' }))
    expect(await stored('b1')).toMatchObject({ name: 'Fillets', rev: 1 })
  })

  it('keeps what another tab wrote meanwhile', async () => {
    await addBatch(fresh('b2'))
    const shownHere = await stored('b2')
    await db.batches.update('b2', { note: 'from the other tab', rev: 5 })
    await editBatch(shownHere, 'Name', b => ({ ...b, name: 'Fillets' }))
    expect(await stored('b2')).toMatchObject({ name: 'Fillets', note: 'from the other tab', rev: 6 })
  })

  it('says that there is nothing to take back before anything was done', async () => {
    expect(await undoStep()).toEqual({ done: false, way: 'undo', why: 'none' })
    expect(await redoLast()).toEqual({ done: false, way: 'redo', why: 'none' })
  })

  it('takes back its own last edit and leaves the rest', async () => {
    await addBatch(fresh('b3'))
    await editBatch(await stored('b3'), 'Name', b => ({ ...b, name: 'Fillets' }))
    await db.batches.update('b3', { note: 'from the other tab' })
    expect(await undoStep()).toEqual({ done: true, way: 'undo', label: 'Name' })
    expect(await stored('b3')).toMatchObject({ name: 'Tray', note: 'from the other tab' })
    expect(await undoStep()).toEqual({ done: false, way: 'undo', why: 'none' })
  })

  it('does not take back over another tab’s work on the same thing', async () => {
    await addBatch(fresh('b4'))
    await editBatch(await stored('b4'), 'Name', b => ({ ...b, name: 'Fillets' }))
    await db.batches.update('b4', { name: 'Theirs' })
    expect(await undoStep()).toMatchObject({ done: false, why: 'changed-elsewhere' })
    expect((await stored('b4')).name).toBe('Theirs')
  })

  it('deletes so that it can be brought back', async () => {
    await addBatch(fresh('b5'))
    await setDeleted(await stored('b5'), true)
    expect((await stored('b5')).deletedAt).not.toBeNull()
    await undoStep()
    expect((await stored('b5')).deletedAt).toBeNull()
  })
})

describe('a change that does not fit', () => {
  const addOne = (b: Batch) => addLine(b, 'g', () => crypto.randomUUID())

  it('is told with its path, stores nothing, and stands in the way of no other change', async () => {
    await addBatch(fresh('w1'))
    const refused = await editBatch(await stored('w1'), 'Name', b => ({ ...b, name: 'x'.repeat(81) }))
    expect(refused).toMatchObject({ saved: false, problems: [{ code: 'too-big', path: 'name', params: { most: 80 } }] })
    expect(saveTrouble.get()).toBeNull()
    expect(unsavedBatches.get().size).toBe(0)
    expect(await editBatch(await stored('w1'), 'Note', b => ({ ...b, note: 'goes on' }))).toMatchObject({ saved: true })
    expect(await stored('w1')).toMatchObject({ name: 'Tray', note: 'goes on' })
  })

  it('is the 61st line of blades, and the 60 before go on being edited', async () => {
    await addBatch(fresh('w2'))
    for (let n = 0; n < 60; n++) await editBatch(await stored('w2'), 'Line', addOne)
    expect((await stored('w2')).lines).toHaveLength(60)
    expect((await editBatch(await stored('w2'), 'Line', addOne)).problems.map(p => p.code)).toEqual(['too-many-lines'])
    expect((await editBatch(await stored('w2'), 'Name', b => ({ ...b, name: 'Full' }))).saved).toBe(true)
    expect((await stored('w2')).lines).toHaveLength(60)
  })

  it('is a mark that another blade bears', async () => {
    await addBatch(trayOf(gradeOf('X65Cr13'), [{ mark: 'A', count: 2 }, { mark: 'B' }], { id: 'w3' }))
    const rename = (mark: string) => async () =>
      editBatch(await stored('w3'), 'Mark', b => ({
        ...b,
        lines: b.lines.map((l, i) => (i === 1 ? { ...l, mark } : l)),
      }))
    expect((await rename('A1')()).problems).toContainEqual({
      code: 'mark-taken',
      params: { mark: 'A1' },
      path: 'lines.1.mark',
    })
    expect((await rename('C')()).saved).toBe(true)
  })

  it('is not made worse by what was wrong in an older record', async () => {
    await addBatch(fresh('w4'))
    await db.batches.update('w4', { name: 'y'.repeat(200) })
    expect((await editBatch(await stored('w4'), 'Note', b => ({ ...b, note: 'still mine' }))).saved).toBe(true)
    expect(await stored('w4')).toMatchObject({ name: 'y'.repeat(200), note: 'still mine' })
  })

  it('shows itself beside its field, or is said by the page', async () => {
    await addBatch(fresh('w5'))
    const tooLong = async () => editBatch(await stored('w5'), 'Name', b => ({ ...b, name: 'x'.repeat(81) }))
    const told = vi.fn()
    const stop = unfitChange.subscribe(told)
    ;(await tooLong()).shownBeside?.()
    await new Promise(done => setTimeout(done, 5))
    expect(told).not.toHaveBeenCalled()
    await tooLong()
    await new Promise(done => setTimeout(done, 5))
    expect(told).toHaveBeenCalledOnce()
    stop()
  })

  it('of a fault of ours is not blamed on the browser', async () => {
    await addBatch(fresh('w6'))
    const { problems } = await editBatch(await stored('w6'), 'Name', () => {
      throw new TypeError('a fault')
    })
    expect(problems).toEqual([{ code: 'save-failed', params: { what: 'TypeError' }, path: '' }])
    expect(refusalOf(new DOMException('no', 'SecurityError')).code).toBe('storage-refused')
    expect(refusalOf({ name: 'AbortError', inner: { name: 'QuotaExceededError' } }).code).toBe('storage-full')
  })
})

describe('serials', () => {
  it('are given when a blade is stored first, go on from the highest, and are never given twice', async () => {
    const newId = () => crypto.randomUUID()
    await addBatch(trayOf(gradeOf('X65Cr13'), [{ mark: 'A', count: 2 }], { id: 's1' }))
    const two = trayOf(gradeOf('X65Cr13'), [{ mark: 'A' }], { id: 's2' })
    await addBatch({ ...two, blades: two.blades.map(b => ({ ...b, id: 'other', batchId: 's2' })) })
    const serials = async (id: string) => (await stored(id)).blades.map(b => b.serial)
    expect([await serials('s1'), await serials('s2')]).toEqual([['26-001', '26-002'], ['26-003']])
    await editBatch(await stored('s1'), 'Count', b => setCount(b, 'line-A', 4, newId, '2026-03-03T08:00:00.000Z'))
    expect((await serials('s1')).sort()).toEqual(['26-001', '26-002', '26-004', '26-005'])
    await saveShop(shop => ({ ...shop, serialPattern: 'KNNNN' }))
    await editBatch(await stored('s2'), 'Count', b => setCount(b, 'line-A', 2, newId, '2026-03-03T08:00:00.000Z'))
    expect((await serials('s2')).sort()).toEqual(['26-003', 'K0001'])
  })
})

describe('two tabs at once', () => {
  it('begin one run of a batch, and say which one goes on', async () => {
    const [first, second] = await Promise.all([addRun(run('r1', 'b')), addRun(run('r2', 'b'))])
    expect([first, second].filter(r => r.saved)).toHaveLength(1)
    expect([first, second].find(r => !r.saved)?.problems.map(p => p.code)).toEqual(['run-goes-on'])
    expect(await db.runs.count()).toBe(1)
    expect((await addRun(run('r3', 'another'))).saved).toBe(true)
  })

  it('practise beside a run in the shop, and begin none of a batch that goes on in another’s run', async () => {
    await addRun(run('r1', 'b', 'shop'))
    expect((await addRun(run('p1', 'b', 'practice'))).saved).toBe(true)
    const both = { ...run('r2', 'c', 'shop'), batchIds: ['c', 'b'] }
    expect((await addRun(both)).problems.map(p => p.code)).toEqual(['run-goes-on'])
  })

  it('seed one demo workshop', async () => {
    const demo = makeDemoWorkshop(7, new Date('2026-06-15T12:00:00.000Z'))
    await Promise.all([seedOnce(async () => demo), seedOnce(async () => demo)])
    expect(await db.batches.count()).toBe(demo.batches.length)
  })
})

describe('edits of a value that is still being typed', () => {
  it('of one field are taken back as one; of two, one by one', async () => {
    await addBatch(fresh('m1'))
    const shown = await stored('m1')
    const note = (label: string, text: string) => editBatch(shown, label, b => ({ ...b, note: text }))
    await note('Note', 'a')
    await continuing(() => note('Note', 'ab'))
    await editBatch(await stored('m1'), 'Name', b => ({ ...b, name: 'Fillets' }))
    expect(await undoStep()).toEqual({ done: true, way: 'undo', label: 'Name' })
    expect(await stored('m1')).toMatchObject({ name: 'Tray', note: 'ab' })
    expect(await undoStep()).toEqual({ done: true, way: 'undo', label: 'Note' })
    expect((await stored('m1')).note).toBe('')
  })

  it('is taken back even while it is still being written: never the one before it in its place', async () => {
    await addBatch(fresh('m3'))
    await editBatch(await stored('m3'), 'Note', b => ({ ...b, note: 'a' }))
    const going = editBatch(await stored('m3'), 'Note', b => ({ ...b, note: 'ab' }))
    const undone = undoStep()
    await going
    expect(await undone).toEqual({ done: true, way: 'undo', label: 'Note' })
    expect((await stored('m3')).note).toBe('a')
  })

  it('by hand are taken back one by one, however fast the hand', async () => {
    await addBatch(fresh('m2'))
    for (const text of ['a', 'ab']) await editBatch(await stored('m2'), 'Note', b => ({ ...b, note: text }))
    await undoStep()
    expect((await stored('m2')).note).toBe('a')
  })
})

describe('storage that refuses', () => {
  const full = () =>
    vi
      .spyOn(db.batches, 'put')
      .mockImplementation(() => Promise.reject(new DOMException('full', 'QuotaExceededError')) as never)

  it('keeps the change on the page, says why, and saves it once when tried again', async () => {
    await addBatch(fresh('b6'))
    const refusing = full()
    await editBatch(await stored('b6'), 'Name', b => ({ ...b, name: `${b.name}!` }))
    expect(saveTrouble.get()?.problem.code).toBe('storage-full')
    expect(unsavedBatches.get().get('b6')?.name).toBe('Tray!')
    expect(withUnsaved(await readAll(), unsavedNow()).batches.map(b => b.name)).toEqual(['Tray!'])
    expect((await stored('b6')).name).toBe('Tray')
    const rescued = withUnsaved(await readAll(), unsavedNow())
    refusing.mockRestore()
    // Read again where the older state is still stored, the file brings what could not be: it is the later one.
    expect(joinLogs(await readAll(), rescued).rows.batches.map(b => b.name)).toEqual(['Tray!'])
    expect(await saveTrouble.get()?.retry()).toMatchObject({ saved: true })
    expect((await stored('b6')).name).toBe('Tray!')
    expect(unsavedBatches.get().get('b6')).toBeUndefined()
    expect(saveTrouble.get()).toBeNull()
  })

  it('keeps every refused write, not the last alone, for the file and for the next try', async () => {
    const refusing = vi
      .spyOn(db.readings, 'bulkAdd')
      .mockImplementation(() => Promise.reject(new DOMException('full', 'QuotaExceededError')) as never)
    const [one, two] = ['u1', 'u2'].map(id => readingOf(`of-${id}`, 60, 'as-quenched', { id, batchId: 'unsaved' }))
    for (const read of [one, two]) if (read) await addReadings([read])
    expect(withUnsaved(await readAll(), unsavedNow()).readings.filter(r => r.batchId === 'unsaved')).toHaveLength(2)
    refusing.mockRestore()
    // Any write that succeeds brings the others with it.
    await saveShop(shop => ({ ...shop, name: 'Again' }))
    await vi.waitFor(() => expect(saveTrouble.get()).toBeNull(), { timeout: 45_000 })
    expect((await db.readings.bulkGet(['u1', 'u2'])).map(r => r?.id)).toEqual(['u1', 'u2'])
    expect(unsavedNow().rows).toEqual({})
  })
})

describe('the whole workshop', () => {
  const demo = makeDemoWorkshop(7, new Date('2026-06-15T12:00:00.000Z'))

  it('is written and read back whole', async () => {
    await replaceAll(demo)
    const back = await readAll()
    expect(back.readings).toHaveLength(demo.readings.length)
    expect(back.shop).toEqual(demo.shop)
    const byId = (a: { id: string }, b: { id: string }) => a.id.localeCompare(b.id)
    for (const table of ['batches', 'blades', 'readings', 'runs', 'recipes', 'logs'] as const)
      expect([...back[table]].sort(byId)).toEqual([...demo[table]].sort(byId))
  })

  it('tells how much of it is stored and read, to the end', async () => {
    const heard: Record<'stored' | 'read' | 'added', number[]> = { stored: [], read: [], added: [] }
    await replaceAll(demo, share => heard.stored.push(share))
    await readAll(share => heard.read.push(share))
    await addAll(
      { ...demo, batches: demo.batches.map(b => ({ ...b, note: 'later', updatedAt: '2027-01-01T08:00:00.000Z' })) },
      s => heard.added.push(s),
    )
    for (const shares of Object.values(heard)) {
      expect(shares.length).toBeGreaterThan(1)
      expect(shares).toEqual([...shares].sort((a, b) => a - b))
      expect(shares.at(-1)).toBe(1)
    }
  })

  it('adds without losing what is there', async () => {
    await addBatch(fresh('mine'))
    await addAll(demo)
    expect(await db.batches.count()).toBe(demo.batches.length + 1)
  })

  it('lets an old file take no newer work back, and takes what has gone further', async () => {
    const [older, newer] = ['2026-05-02T08:00:00.000Z', '2026-05-03T08:00:00.000Z']
    await addBatch({ ...fresh('mine'), updatedAt: newer, name: 'Here, newer' })
    await addBatch({ ...fresh('theirs'), updatedAt: older, name: 'Here, older' })
    const file = {
      ...(await readAll()),
      batches: [
        { ...fresh('mine'), updatedAt: older, name: 'File' },
        { ...fresh('theirs'), updatedAt: newer, name: 'File' },
      ],
    }
    await addAll(file)
    expect((await stored('mine')).name).toBe('Here, newer')
    expect((await stored('theirs')).name).toBe('File')
  })

  it('keeps what was said of a log here, and takes one that was listened to further', async () => {
    const [first, second] = demo.logs
    if (!first || !second) throw new Error('the demo has logs')
    await replaceAll(demo)
    await db.logs.put({ ...first, name: 'Named here' })
    await db.logs.put({ ...second, points: second.points.slice(0, 2) })
    await addAll(demo)
    expect((await db.logs.get(first.id))?.name).toBe('Named here')
    expect((await db.logs.get(second.id))?.points).toEqual(second.points)
  })

  it('is written in one piece or not at all', async () => {
    await addBatch(fresh('mine'))
    vi.spyOn(db.runs, 'bulkPut').mockImplementation(
      () => Promise.reject(new DOMException('full', 'QuotaExceededError')) as never,
    )
    expect((await replaceAll(demo)).saved).toBe(false)
    expect((await db.batches.toArray()).map(b => b.id)).toEqual(['mine'])
  })

  it('is seeded once, and stays empty when it was emptied', async () => {
    await seedOnce(async () => demo)
    expect(await db.batches.count()).toBe(demo.batches.length)
    await saveShop(s => ({ ...s, name: 'Ours' }))
    await clearAll()
    await seedOnce(async () => demo)
    expect(await db.batches.count()).toBe(0)
    expect((await readAll()).shop.name).toBe(DEFAULT_WORKSHOP.name)
  })
})

describe('a log that grows', () => {
  it('keeps a moment that was put right meanwhile, and nothing comes back of one taken off', async () => {
    const log = newLog({ id: 'l', ovenId: 'o', name: 'log', addedAt: '2026-06-15T12:00:00.000Z' }, [
      [0, 20],
      [1, 30],
    ])
    await putLog(log)
    await changeLog('l', { loadedMin: 0.5 })
    await changeLog('l', { points: [...log.points, [2, 40]] })
    expect(await db.logs.get('l')).toMatchObject({ loadedMin: 0.5, pulledMin: null, points: { length: 3 } })
    await removeLog(log)
    await changeLog('l', { loadedMin: 1 })
    // It rests as it was when it was taken off: with what had grown on it, and nothing that came after.
    expect(await db.logs.get('l')).toMatchObject({
      loadedMin: 0.5,
      points: { length: 3 },
      deletedAt: expect.any(String),
    })
    await bringBackLog(log)
    expect(await db.logs.get('l')).toMatchObject({ loadedMin: 0.5, points: { length: 3 }, deletedAt: null })
  })
})

describe('a grade of one’s own', () => {
  it('is stored, exported with the rest, and not overwritten by another workshop’s file', async () => {
    const sheet = fillSheet('own:14', 'Harbour 14', { C: 1.05, Cr: 14, Mo: 4 }) as GradeSheet
    expect((await putGrade(sheet)).saved).toBe(true)
    expect((await readAll()).grades).toEqual([sheet])
    await addAll({
      ...(await readAll()),
      shop: { ...(await readAll()).shop, origin: 'another', name: 'Inlet' },
      grades: [{ ...sheet, note: 'from a file' }],
    })
    expect((await db.ownGrades.toArray()).map(grade => [grade.name, grade.note])).toEqual([
      ['Harbour 14', ''],
      ['Harbour 14 (Inlet)', 'from a file'],
    ])
    await db.ownGrades.delete('own:14~another')
    await removeGrade(sheet)
    expect(await db.ownGrades.count()).toBe(0)
  })
})

describe('an empty workshop', () => {
  it('keeps nothing of the made-up one but how things are shown', async () => {
    const demo = makeDemoWorkshop(7, new Date('2026-06-15T12:00:00.000Z'))
    await replaceAll({ ...demo, shop: { ...demo.shop, units: 'imperial', theme: 'dark' } })
    await clearAll()
    const { shop, seen: _, ...rest } = await readAll()
    const { origin, ...settings } = shop
    expect(settings).toEqual({ ...withoutOrigin(DEFAULT_WORKSHOP), units: 'imperial', theme: 'dark' })
    expect(origin).not.toMatch(/^demo/)
    expect(Object.values(rest).flat()).toEqual([])
    expect(JSON.stringify(shop)).not.toContain(demo.shop.name)
  })
})

const withoutOrigin = ({ origin: _, ...settings }: typeof DEFAULT_WORKSHOP) => settings

describe('undo of everything a page does', () => {
  it('takes readings out and puts them in again, a removed one likewise', async () => {
    await addReadings([
      readingOf('x', 60, 'as-quenched', { id: 'h-1' }),
      readingOf('x', 61, 'as-quenched', { id: 'h-2' }),
    ])
    const there = async () => (await db.readings.bulkGet(['h-1', 'h-2'])).map(r => r?.deletedAt === null)
    expect(await undoStep()).toMatchObject({ done: true, label: '2 readings recorded' })
    expect(await there()).toEqual([false, false])
    expect(await redoLast()).toMatchObject({ done: true, way: 'redo' })
    expect(await there()).toEqual([true, true])
    expect(await removeReading('h-2', 'Reading 61.0 of A1 removed')).toMatchObject({ saved: true })
    expect(await there()).toEqual([true, false])
    await undoStep()
    expect(await there()).toEqual([true, true])
  })

  it('takes the workshop’s settings back, but not what another tab changed since', async () => {
    await saveShop(s => ({ ...s, name: 'Before' }))
    await saveShop(s => ({ ...s, name: 'After' }), 'Name of the shop')
    expect(await undoStep()).toMatchObject({ done: true, label: 'Name of the shop' })
    expect((await db.shop.get('shop'))?.name).toBe('Before')
    expect(await redoLast()).toMatchObject({ done: true })
    expect((await db.shop.get('shop'))?.name).toBe('After')
    await db.shop.update('shop', { name: 'From the other tab' })
    expect(await undoStep()).toMatchObject({ done: false, why: 'changed-elsewhere' })
    expect((await db.shop.get('shop'))?.name).toBe('From the other tab')
  })

  it('brings a deleted steel back, and takes a new one away', async () => {
    forgetHistory()
    const sheet = fillSheet('own:h', 'Undo steel', { C: 1, Cr: 14 }) as GradeSheet
    await db.ownGrades.put(sheet)
    await removeGrade(sheet)
    expect(await db.ownGrades.get('own:h')).toBeUndefined()
    await undoStep()
    expect((await db.ownGrades.get('own:h'))?.name).toBe('Undo steel')
  })

  it('does several writes as one step', async () => {
    await saveShop(s => ({ ...s, name: 'One' }))
    await asOne('Two things', async () => {
      await saveShop(s => ({ ...s, name: 'Two' }))
      await saveShop(s => ({ ...s, prices: { ...PROTECTION.prices, coatPerM2: 12 } }))
    })
    expect(newestStep()?.label).toBe('Two things')
    await undoStep()
    expect(await db.shop.get('shop')).toMatchObject({ name: 'One' })
    expect((await db.shop.get('shop'))?.prices?.coatPerM2).not.toBe(12)
  })

  it('forgets what was undone once something new is done', async () => {
    await saveShop(s => ({ ...s, name: 'A' }))
    await saveShop(s => ({ ...s, name: 'B' }))
    await undoStep()
    await saveShop(s => ({ ...s, name: 'C' }))
    expect(await redoLast()).toEqual({ done: false, way: 'redo', why: 'none' })
  })

  it('takes a remark of a run out and in again', async () => {
    await db.runs.put(run('h-run', 'h-batch'))
    await addRemark('h-run', { id: 'r', atS: 5, kind: 'remark', text: 'door stuck' })
    const remarks = async () => (await db.runs.get('h-run'))?.events.filter(e => e.kind === 'remark').length
    expect(await remarks()).toBe(1)
    await undoStep()
    expect(await remarks()).toBe(0)
    await redoLast()
    expect(await remarks()).toBe(1)
  })
})

describe('a file that is added', () => {
  it('brings the remarks and presses of a run that both sides went on with, and keeps its own', async () => {
    const remark = (id: string) => ({ id, atS: Number(id.slice(1)), kind: 'remark' as const, text: id })
    const own = {
      ...run('j1', 'jb', 'shop'),
      startedAt: '2026-01-05T08:00:00.000Z',
      events: [remark('r1'), remark('r4')],
    }
    await db.runs.put(own)
    const file = { ...(await readAll()), runs: [{ ...own, events: [remark('r2'), remark('r3'), remark('r5')] }] }
    await addAll(file)
    await addAll(file)
    expect((await db.runs.get('j1'))?.events.map(event => event.id)).toEqual(['r1', 'r2', 'r3', 'r4', 'r5'])
    await db.runs.delete('j1')
  })
})

describe('a run the browser will not store', () => {
  it('goes on on the page, keeps what is pressed meanwhile in order, and is stored as soon as it can be', async () => {
    vi.useFakeTimers({ toFake: ['setInterval', 'clearInterval'] })
    await addRun(run('f1', 'b', 'shop'))
    const full = vi.spyOn(db.runs, 'put').mockRejectedValue(new DOMException('full', 'QuotaExceededError'))
    const remark = (id: string) => ({ id, atS: 1, kind: 'remark' as const, text: id })
    expect((await logEvents('f1', [remark('one')])).problems.map(p => p.code)).toEqual(['storage-full'])
    await logEvents('f1', [remark('two')])
    expect(unsavedRuns.get().get('f1')?.changes).toHaveLength(2)
    expect((await db.runs.get('f1'))?.events).toEqual([])
    full.mockRestore()
    await vi.advanceTimersByTimeAsync(6000)
    await vi.waitFor(() => expect(unsavedRuns.get().size).toBe(0), { timeout: 45_000 })
    expect((await db.runs.get('f1'))?.events.map(event => event.id)).toEqual(['one', 'two'])
    vi.useRealTimers()
  })

  it('rests beside the database at once, and the next page joins it to what is stored, once', async () => {
    const rested = new Map<string, string>()
    vi.stubGlobal('localStorage', {
      setItem: (key: string, text: string) => rested.set(key, text),
      removeItem: (key: string) => rested.delete(key),
    })
    await addRun(run('f3', 'b', 'shop'))
    const full = vi.spyOn(db.runs, 'put').mockRejectedValue(new DOMException('full', 'QuotaExceededError'))
    const remark = (id: string) => ({ id, atS: 1, kind: 'remark' as const, text: id })
    await logEvents('f3', [remark('one')])
    await logEvents('f3', [remark('two')])
    expect(unsavedNow().runs.map(one => one.events.map(event => event.id))).toEqual([['one', 'two']])
    const copy = runSchema.parse(JSON.parse(rested.get(`${RUN_PREFIX}f3`) ?? 'null')) as Run
    // The page is killed; storage answers the next one, and another page had noted the first press meanwhile.
    unsavedRuns.set(new Map())
    full.mockRestore()
    await logEvents('f3', [remark('one'), remark('other')])
    await finishRun(copy)
    await finishRun(copy)
    expect((await db.runs.get('f3'))?.events.map(event => event.id).sort()).toEqual(['one', 'other', 'two'])
    expect([...rested.keys()]).toEqual([])
    vi.unstubAllGlobals()
  })

  it('is laid down whole where the database came back without it', async () => {
    const copy = { ...run('f4', 'b', 'shop'), events: [{ id: 'x', atS: 2, kind: 'take-back' as const }] }
    await finishRun(copy)
    expect((await db.runs.get('f4'))?.events.map(event => event.id)).toEqual(['x'])
  })

  it('is not held up by a change that does not fit', async () => {
    await addRun(run('f2', 'b', 'shop'))
    expect((await changeRun('f2', one => ({ ...one, steps: [] }))).saved).toBe(false)
    expect(unsavedRuns.get().size).toBe(0)
    expect((await logEvents('f2', [{ id: 'x', atS: 2, kind: 'take-back' }])).saved).toBe(true)
  })
})

describe('a hot run that is going on', () => {
  const begin = async (id: string) => {
    await addBatch({ ...fresh(`${id}-batch`), name: 'Hot one', ovenId: DEFAULT_WORKSHOP.hardeningOvenId })
    await addRun({ ...run(id, `${id}-batch`, 'shop'), startedAt: new Date().toISOString() })
  }
  const codes = (outcome: { problems: readonly { code: string }[] }) => outcome.problems.map(one => one.code)

  it('is not taken away by deleting its batch, emptying or replacing the workshop, or removing its oven; ended, all of it goes', async () => {
    await begin('hot')
    const batch = await stored('hot-batch')
    expect(codes(await setDeleted(batch, true))).toEqual(['hot-run-on'])
    expect(codes(await clearAll())).toEqual(['hot-run-on'])
    expect(codes(await replaceAll(await readAll()))).toEqual(['hot-run-on'])
    const without = (ovens: typeof DEFAULT_WORKSHOP.ovens) => ovens.filter(oven => oven.id !== batch.ovenId)
    expect(codes(await saveShop(shop => ({ ...shop, ovens: without(shop.ovens) })))).toEqual(['hot-run-on'])
    expect((await db.runs.get('hot'))?.endedAt).toBeNull()
    // Another batch may go, and a name may change.
    await addBatch(fresh('cold-batch'))
    expect((await setDeleted(await stored('cold-batch'), true)).saved).toBe(true)
    await changeRun('hot', one => ({ ...one, endedAt: NOW }))
    expect((await setDeleted(await stored('hot-batch'), true)).saved).toBe(true)
    await db.runs.delete('hot')
  })

  it('is forgotten after two days', async () => {
    await addBatch(fresh('old-batch'))
    await addRun({ ...run('old', 'old-batch', 'shop'), startedAt: new Date(Date.now() - 3 * 86_400_000).toISOString() })
    expect((await setDeleted(await stored('old-batch'), true)).saved).toBe(true)
    await db.runs.delete('old')
  })
})

describe('a run in the shop that is over', () => {
  const tray = trayOf(gradeOf('X65Cr13'), [{ mark: 'A', count: 2 }], { id: 'g1' })
  const whole = { ...tray, blades: tray.blades.map(blade => ({ ...blade, batchId: 'g1' })) }
  const plan = expectOk(buildRunSteps(whole, DEFAULT_WORKSHOP))
  const events: Run['events'] = [
    { id: 'x', atS: 5, kind: 'incident', incident: 'cracked', bladeIds: ['A2'], seconds: 0, text: '' },
    ...plan.steps.map((step, i) => ({ id: `e${i}`, atS: 1000 * (i + 1), kind: 'confirm' as const, stepId: step.id })),
  ]
  const over = (mode: Run['mode']) => ({ ...run(`g-${mode}`, 'g1', mode), ...plan, events: [] })
  const blade = async (id: string) => db.blades.get(id)

  it('leaves what blades soaked and came to with them, anew when it is corrected, and practice leaves nothing', async () => {
    await addBatch(whole)
    await addRun(over('practice'))
    await changeRun('g-practice', one => ({ ...one, endedAt: NOW, events: [...events] }))
    expect(await blade('A1')).not.toHaveProperty('soakedMin')
    await addRun(over('shop'))
    await changeRun('g-shop', one => ({ ...one, events: [...events] }))
    expect(await blade('A1')).not.toHaveProperty('soakedMin')
    await changeRun('g-shop', one => ({ ...one, endedAt: NOW }))
    const soaked = (await blade('A1'))?.soakedMin ?? 0
    expect(soaked).toBeGreaterThan(0)
    expect((await blade('A2'))?.states).toMatchObject([{ is: 'cracked', runId: 'g-shop' }])
    const pull = events.find(e => e.kind === 'confirm' && plan.steps.find(s => s.id === e.stepId)?.kind === 'pull')
    await changeRun('g-shop', one => ({
      ...one,
      events: one.events.filter(e => e.id !== 'x').map(e => (e.id === pull?.id ? { ...e, atS: e.atS + 300 } : e)),
    }))
    expect((await blade('A1'))?.soakedMin).toBeCloseTo(soaked + 5, 6)
    expect((await blade('A2'))?.states).toEqual([])
  })

  it('leaves at Inspect what was counted and looked at in it, at once; taken back, what was entered by hand stays', async () => {
    const batch = {
      ...whole,
      id: 'i1',
      blades: whole.blades.map(one => ({ ...one, id: `i-${one.id}`, batchId: 'i1' })),
    }
    await addBatch(batch)
    const run = {
      ...over('shop'),
      id: 'i-run',
      batchIds: ['i1'],
      steps: plan.steps.map(step => ({ ...step, bladeIds: step.bladeIds.map(id => `i-${id}`) })),
    }
    await addRun(run)
    const upTo = plan.steps.findIndex(step => step.kind === 'inspect')
    const presses = events.filter(event => event.kind === 'confirm').slice(0, upTo + 1)
    await logEvents('i-run', presses)
    expect((await stored('i1')).countedOut).toBe(2)
    expect((await blade('i-A1'))?.inspection).toMatchObject({ cracked: false, bowMm: null })
    const found = await stored('i1')
    await editBatch(found, 'Looked', b => ({
      ...b,
      blades: b.blades.map(one => (one.id === 'i-A2' ? { ...one, inspection: { ...NOTHING_FOUND, bowMm: 1.2 } } : one)),
    }))
    await logEvents('i-run', [{ id: 'back', atS: 1e6, kind: 'take-back' }])
    expect((await stored('i1')).countedOut).toBeNull()
    expect(await blade('i-A1')).not.toHaveProperty('inspection')
    expect((await blade('i-A2'))?.inspection?.bowMm).toBe(1.2)
    await changeRun('i-run', one => ({ ...one, endedAt: NOW }))
  })

  it('leaves a leak with every blade of the packet, and takes it off when the call was wrong; what the hand found stays', async () => {
    const shared = { ...whole, id: 'g2', envelope: { ...whole.envelope, beside: 2 } }
    const two = { ...shared, blades: whole.blades.map(one => ({ ...one, id: `${one.id}-2`, batchId: 'g2' })) }
    await addBatch(two)
    const ids = { ...plan, blades: plan.blades.map(one => ({ ...one, bladeId: `${one.bladeId}-2`, batchId: 'g2' })) }
    await addRun({ ...run('g2-shop', 'g2', 'shop'), ...ids, events: [] })
    const leak: Run['events'][number] = {
      id: 'l',
      atS: 5,
      kind: 'incident',
      incident: 'leaked',
      bladeIds: ['A1-2'],
      seconds: 0,
      text: '',
    }
    await changeRun('g2-shop', one => ({ ...one, endedAt: NOW, events: [leak] }))
    expect([(await blade('A1-2'))?.packet, (await blade('A2-2'))?.packet]).toEqual([
      { sealed: false, leak: null, leakRunId: 'g2-shop' },
      { sealed: false, leak: null, leakRunId: 'g2-shop' },
    ])
    await db.blades.update('A2-2', { packet: { sealed: true, leak: 'pinhole', leakRunId: 'g2-shop' } })
    await changeRun('g2-shop', one => ({ ...one, events: [] }))
    expect((await blade('A1-2'))?.packet).toEqual({ sealed: false, leak: null })
    expect((await blade('A2-2'))?.packet).toEqual({ sealed: true, leak: 'pinhole' })
  })
})
