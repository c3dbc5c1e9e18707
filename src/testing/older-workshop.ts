import { readFileSync } from 'node:fs'
import { expect } from 'vitest'
import { bladesOf } from '../core/batch/tray'
import type { WorkshopData } from '../core/files/exchange'
import type { Batch } from '../core/shop/batch'
import { withBlades } from '../core/shop/batch-records'

/** Versions of a workshop before its parts were known by ids; a file of each is kept as the application of its time wrote it. */
export const OLDER_VERSIONS = [1, 2, 3, 4] as const
export type OlderVersion = (typeof OLDER_VERSIONS)[number]

// biome-ignore lint/suspicious/noExplicitAny: a file of an older shape has no type any more.
export type OlderWorkshop = Record<string, any>

export const olderText = (version: OlderVersion): string =>
  readFileSync(new URL(`../core/files/fixtures/workshop-v${version}.json`, import.meta.url), 'utf8')

export const olderWorkshop = (version: OlderVersion): OlderWorkshop => JSON.parse(olderText(version))

interface OldNote {
  readonly mark: string
}

/** A mark as older versions made it: the line's own for a single blade, with a number for several. */
const oldMarks = (batch: OlderWorkshop): string[] =>
  batch.blades.flatMap((line: { mark: string; count: number }) =>
    line.count === 1 ? [line.mark] : Array.from({ length: line.count }, (_, i) => `${line.mark}${i + 1}`),
  )

const SAME_OF_READING = ['id', 'batchId', 'stage', 'hrc', 'at', 'deletedAt', 'place', 'roundFace', 'unchecked'] as const
const SAME_OF_BATCH = ['id', 'rev', 'name', 'createdAt', 'updatedAt', 'deletedAt', 'envelope', 'note', 'foilCutAt']

/** That nothing of an older workshop is lost or guessed in what became of it: looked up by what the maker knew it by. */
export function expectWhole(old: OlderWorkshop, now: WorkshopData): void {
  const batches = withBlades(now.batches, now.blades)
  expect(batches.map(b => b.id).sort()).toEqual(old.batches.map((b: Batch) => b.id).sort())
  for (const was of old.batches) expectBatchWhole(was, batches.find(b => b.id === was.id) as Batch)
  const serials = now.blades.map(blade => blade.serial)
  expect(new Set(serials).size).toBe(serials.length)
  expect(serials.every(serial => /^\d\d-\d{3}$/.test(serial))).toBe(true)
  expectReadingsWhole(old, now, batches)
  expect(now.runs.map(run => [run.id, run.steps.length, run.events.length, run.startedAt])).toEqual(
    expect.arrayContaining(
      old.runs.map((run: OlderWorkshop) => [run.id, run.steps.length, run.events.length, run.startedAt]),
    ),
  )
  for (const run of now.runs) {
    const was = old.runs.find((r: OlderWorkshop) => r.id === run.id)
    const marks = new Map(
      bladesOf(batches.find(b => b.id === run.batchIds[0]) ?? { lines: [], blades: [], groups: [] }).map(b => [
        b.id,
        b.mark,
      ]),
    )
    run.steps.forEach((step, i) => {
      expect(step.bladeIds.map(id => marks.get(id))).toEqual(was.steps[i].pieces)
      expect(step.told?.title).toBe(was.steps[i].title)
      expect(step.wait).toEqual(was.steps[i].wait)
    })
  }
  expect(now.recipes.map(r => [r.id, r.gradeName, r.versions])).toEqual(
    expect.arrayContaining(old.recipes.map((r: OlderWorkshop) => [r.id, r.gradeName, r.versions])),
  )
  expect(now.grades.map(g => [g.name, g.nominal])).toEqual(
    (old.grades ?? []).map((g: OlderWorkshop) => [g.name, g.nominal]),
  )
  expect(now.logs.map(log => [log.id, log.ovenId, log.points])).toEqual(
    expect.arrayContaining((old.logs ?? []).map((l: OlderWorkshop) => [l.id, l.ovenId, l.points])),
  )
}

function expectBatchWhole(was: OlderWorkshop, batch: Batch): void {
  expect(batch).toMatchObject(
    Object.fromEntries(SAME_OF_BATCH.filter(key => was[key] !== undefined).map(key => [key, was[key]])),
  )
  const blades = bladesOf(batch)
  const marks = oldMarks(was)
  expect(blades.map(b => b.mark)).toEqual(marks)
  expect(batch.groups.map(g => g.gradeName)).toEqual(was.groups.map((g: OlderWorkshop) => g.gradeName))
  expect(batch.groups.map(g => g.route)).toEqual(was.groups.map((g: OlderWorkshop) => g.route))
  expect(batch.ovenName === '' ? undefined : batch.ovenName).toBe(was.oven ?? batch.ovenName)
  // Whatever was noted of a mark hangs on the one blade that has it, or is kept under the mark.
  const single = (mark: string) => marks.filter(other => other === mark).length === 1
  const noteOf = <T>(mark: string, ofBlade: (b: Batch['blades'][number]) => T, unplaced: (u: Unplaced) => T) => {
    const blade = blades.find(b => b.mark === mark)
    const kept = batch.unplaced?.find(u => u.mark === mark)
    return single(mark) && blade ? ofBlade(blade.record) : kept && unplaced(kept)
  }
  for (const { mark, ...note } of (was.inspections ?? []) as OldNote[])
    expect(
      noteOf(
        mark,
        b => b.inspection,
        u => u.inspection,
      ),
    ).toEqual(note)
  for (const { mark, tempers } of (was.pieceTempers ?? []) as (OldNote & { tempers: unknown })[])
    expect(
      noteOf<unknown>(
        mark,
        b => b.tempers,
        u => u.tempers,
      ),
    ).toEqual(tempers)
  for (const { mark, ...file } of (was.files ?? []) as OldNote[])
    expect(
      noteOf<unknown>(
        mark,
        b => b.files,
        u => u.files,
      ),
    ).toContainEqual(file)
  for (const { mark, ...place } of (was.rack ?? []) as OldNote[])
    if (single(mark)) expect(blades.find(b => b.mark === mark)?.record.rack).toEqual(place)
}

type Unplaced = NonNullable<Batch['unplaced']>[number]

function expectReadingsWhole(old: OlderWorkshop, now: WorkshopData, batches: readonly Batch[]): void {
  expect(now.readings).toHaveLength(old.readings.length)
  const kept = new Map(now.readings.map(r => [r.id, r]))
  for (const was of old.readings) {
    const reading = kept.get(was.id)
    for (const key of SAME_OF_READING) expect(reading?.[key]).toEqual(was[key])
    const batch = batches.find(b => b.id === was.batchId)
    const blade = batch && bladesOf(batch).find(b => b.id === reading?.bladeId)
    // Either it is of the blade that was called so, or it says what it was called.
    if (blade) expect(blade.mark).toBe(was.piece)
    else expect(reading).toMatchObject({ bladeId: null, unplaced: { mark: was.piece, groupId: was.groupId } })
  }
}
