import type { Workshop } from '../record/schemas'
import { meanOf } from './mean'
import { type Verification, verifyTester } from './verification'

export type Tester = NonNullable<Workshop['tester']>

/** One day's check, with what it came to. */
export interface TesterCheck extends Verification {
  readonly id: string
  readonly at: string
  readonly block: string
  readonly readings: readonly number[]
}

const DAY_MS = 86_400_000

/** Every check against its block, oldest first; checks of a block that is gone are left out. */
export function checksOf(tester: Tester): TesterCheck[] {
  const blocks = new Map(tester.blocks.map(block => [block.id, block]))
  return [...tester.checks]
    .sort((a, b) => a.at.localeCompare(b.at))
    .flatMap((check): TesterCheck[] => {
      const block = blocks.get(check.blockId)
      if (!block) return []
      const { certifiedHrc, certifiedSd } = block
      return [
        {
          id: check.id,
          at: check.at,
          block: block.name,
          readings: check.readings,
          ...verifyTester({ certifiedHrc, certifiedSd, readings: check.readings }),
        },
      ]
    })
}

/** The newest check as readings are corrected by it; null without one. */
export function latestBlock(tester: Tester): Workshop['block'] {
  const newest = [...tester.checks].sort((a, b) => b.at.localeCompare(a.at))[0]
  const block = tester.blocks.find(b => b.id === newest?.blockId)
  return newest && block
    ? { certifiedHrc: block.certifiedHrc, certifiedSd: block.certifiedSd, readings: newest.readings }
    : null
}

/** Whether a check of the same day stands before an instant: within 24 hours. */
export const isChecked = (tester: Tester | undefined, at: string): boolean =>
  (tester?.checks ?? []).some(check => {
    const age = Date.parse(at) - Date.parse(check.at)
    return age >= 0 && age <= DAY_MS
  })

/** Indents in a block's face so far, and whether there is room for another check of three. */
export function blockUse(tester: Tester, blockId: string): { readonly indents: number; readonly full: boolean } {
  const block = tester.blocks.find(b => b.id === blockId)
  const indents = tester.checks.filter(c => c.blockId === blockId).reduce((sum, c) => sum + c.readings.length, 0)
  return { indents, full: indents + 3 > (block?.holdsIndents ?? 0) }
}

/**
 * How a tester drifts: the slope of its bias over the checks, HRC a year, by least squares; null with fewer than three checks or all
 * on one day.
 */
export function testerDrift(checks: readonly Pick<TesterCheck, 'at' | 'bias'>[]): number | null {
  if (checks.length < 3) return null
  const years = checks.map(c => Date.parse(c.at) / (365.25 * DAY_MS))
  const [mx, my] = [meanOf(years), meanOf(checks.map(c => c.bias))]
  const sxx = years.reduce((sum, x) => sum + (x - mx) ** 2, 0)
  if (sxx < 1e-6) return null
  return years.reduce((sum, x, i) => sum + (x - mx) * ((checks[i]?.bias ?? 0) - my), 0) / sxx
}
