import type { Result } from '../core/codes/result'
import { newBatch } from '../core/new-batch/new-batch'
import type { Batch, BatchGroup } from '../core/shop/batch'
import type { Blade, Line } from '../core/shop/blade'
import { DEFAULT_WORKSHOP } from '../core/shop/defaults'
import type { Reading } from '../core/shop/reading'
import { findGrade } from '../core/steel/grades'
import type { Grade } from '../data/grades'
import { problemWords } from '../words/problems'
import { speakerOf } from '../words/speaker'

/** Date of tests; nothing depends on the day. */
export const NOW = '2026-03-02T08:00:00.000Z'

/** A shipped grade, by its designation. */
export function gradeOf(name: string): Grade {
  const grade = findGrade(name)
  if (!grade) throw new Error(`no grade ${name}`)
  return grade
}

/** A line of a tray to be laid: its mark, and what of it matters to the test. */
export type LineToLay = Partial<Line> & { readonly mark: string; readonly count?: number }

const SIZE = { lengthMm: 250, widthMm: 40, thicknessMm: 2.5, bevels: 'pre-ground' } as const

/** The batch with these lines for its tray. A blade's id is what is scribed on it, so that tests can name it. */
export function withTray(batch: Batch, lines: readonly LineToLay[]): Batch {
  const laid = lines.map(({ count = 1, ...line }) => ({
    count,
    line: { ...SIZE, id: `line-${line.mark}`, groupId: batch.groups[0]?.id ?? '', ...line },
  }))
  const blades = laid.flatMap(({ count, line }): Blade[] =>
    Array.from({ length: count }, (_, i) => ({
      id: count === 1 ? line.mark : `${line.mark}${i + 1}`,
      batchId: batch.id,
      lineId: line.id,
      number: i + 1,
      serial: '',
      removedAt: null,
    })),
  )
  return { ...batch, lines: laid.map(({ line }) => line), blades }
}

/** A batch `b` of one steel, its group `g`, with these lines on its tray. */
export const trayOf = (grade: Grade, lines: readonly LineToLay[], more: Partial<Batch> = {}): Batch => ({
  ...withTray(newBatch({ batch: more.id ?? 'b', group: 'g' }, 'Tray', grade, DEFAULT_WORKSHOP, NOW), lines),
  ...more,
})

/** A group of a batch, its first unless named. */
export function groupOf(batch: Batch, groupId?: string): BatchGroup {
  const group = batch.groups.find(g => groupId === undefined || g.id === groupId)
  if (!group) throw new Error(`no group ${groupId ?? ''}`)
  return group
}

/** The batch with something changed in one of its blades, by its mark as laid. */
export const withBlade = (batch: Batch, bladeId: string, change: Partial<Blade>): Batch => ({
  ...batch,
  blades: batch.blades.map(blade => (blade.id === bladeId ? { ...blade, ...change } : blade)),
})

let read = 0

/** One reading of a blade of batch `b`. */
export const readingOf = (
  bladeId: string,
  hrc: number,
  stage: Reading['stage'],
  more: Partial<Reading> = {},
): Reading => ({
  id: `reading-${read++}`,
  batchId: 'b',
  bladeId,
  stage,
  hrc,
  at: '2026-03-04T08:00:00.000Z',
  deletedAt: null,
  ...more,
})

/** Returns the value of a result, for tests about something else than its failure. */
export function expectOk<T>(result: Result<T>): T {
  if (!result.ok)
    throw new Error(result.problems.map(found => `${found.code} ${JSON.stringify(found.params)}`).join('; '))
  return result.value
}

const SAY = speakerOf('metric')

/** Returns the code of a refusal, or '' if it was none. */
export const refusalOf = (result: Result<unknown>): string =>
  result.ok ? '' : result.problems.map(found => problemWords(found, SAY)).join(' ')
