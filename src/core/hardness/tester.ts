import { mean as meanOf } from 'simple-statistics'
import { compareInstants } from '../numeric/instants'
import { type BlockCheck, type Verification, verifyTester } from '../rockwell/verification'
import type { Tester } from '../shop/workshop'

/** One day's check, with what it came to. */
export interface TesterCheck extends Verification {
  readonly id: string
  /** Null: kept by an earlier version, which did not note the day. */
  readonly at: string | null
  readonly block: string
  readonly readings: readonly number[]
  /** The same as readings are corrected by it. */
  readonly check: BlockCheck
}

const DAY_MS = 86_400_000

const made = new WeakMap<Tester, readonly TesterCheck[]>()

/** Every check against its block, oldest first, those of an unknown day before all; checks of a block that is gone are left out. */
export function checksOf(tester: Tester): readonly TesterCheck[] {
  // Asked for with each blade that was measured.
  const checks = made.get(tester) ?? verified(tester)
  made.set(tester, checks)
  return checks
}

function verified(tester: Tester): TesterCheck[] {
  const blocks = new Map(tester.blocks.map(block => [block.id, block]))
  return [...tester.checks]
    .sort((a, b) => compareInstants(a.at ?? '', b.at ?? ''))
    .flatMap((check): TesterCheck[] => {
      const block = blocks.get(check.blockId)
      if (!block) return []
      const made = {
        certifiedHrc: block.certifiedHrc,
        certifiedSd: block.certifiedSd,
        readings: check.readings,
      }
      return [
        { id: check.id, at: check.at, block: block.name, readings: check.readings, check: made, ...verifyTester(made) },
      ]
    })
}

/** The check readings taken at an instant are corrected by: the newest that was made by then; null where none was. */
export const checkBefore = (checks: readonly TesterCheck[], at: string): TesterCheck | null =>
  checks.findLast(check => check.at === null || check.at <= at) ?? null

/** Whether a check of the same day stands before an instant: within 24 hours. */
export const isChecked = (tester: Tester, at: string): boolean =>
  tester.checks.some(check => {
    const age = check.at === null ? Number.NaN : Date.parse(at) - Date.parse(check.at)
    return age >= 0 && age <= DAY_MS
  })

/** Indents in a block's face so far, and whether there is room for another check of three. */
export function blockUse(tester: Tester, blockId: string): { readonly indents: number; readonly full: boolean } {
  const block = tester.blocks.find(b => b.id === blockId)
  const indents = tester.checks.filter(c => c.blockId === blockId).reduce((sum, c) => sum + c.readings.length, 0)
  return { indents, full: indents + 3 > (block?.holdsIndents ?? 0) }
}

/**
 * How a tester drifts: the slope of its bias over the checks, HRC a year, by least squares; null with fewer than three dated
 * checks or all on one day.
 */
export function testerDrift(checks: readonly Pick<TesterCheck, 'at' | 'bias'>[]): number | null {
  const dated = checks.flatMap(c =>
    c.at === null ? [] : [{ years: Date.parse(c.at) / (365.25 * DAY_MS), bias: c.bias }],
  )
  if (dated.length < 3) return null
  const [mx, my] = [meanOf(dated.map(c => c.years)), meanOf(dated.map(c => c.bias))]
  const sxx = dated.reduce((sum, { years }) => sum + (years - mx) ** 2, 0)
  if (sxx < 1e-6) return null
  return dated.reduce((sum, { years, bias }) => sum + (years - mx) * (bias - my), 0) / sxx
}
