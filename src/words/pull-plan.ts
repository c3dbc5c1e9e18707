import { overSoakMin } from '../core/equipment/soak-over'
import type { MendOutcome, PlannedPull, PullPlan } from '../core/load/pull-plan'
import type { SoakHold } from '../core/oven/programme'
import type { Waited } from '../core/quench/pace'
import { counted, listOf, marksOf } from './lists'

/** Says what a pull waited for last. */
export const WAITED_FOR: Readonly<Record<Waited, string>> = {
  soak: 'the soak',
  door: 'the oven to be back at heat',
  hands: 'you',
  'plates-full': 'the plates to be empty',
  'plates-hot': 'the plates to cool',
}

const min = (value: number) => `${Math.round(value)} min`

/** '15 to 38 min', or '15 min' where every blade of some soaks the same. */
export function soaksText(pulls: readonly Pick<PlannedPull, 'soakMin'>[]): string {
  const soaks = pulls.map(pull => Math.round(pull.soakMin))
  const [least, most] = [Math.min(...soaks), Math.max(...soaks)]
  return soaks.length === 0 ? '' : least === most ? min(least) : `${least} to ${min(most)}`
}

/** Why the oven holds its austenitize temperature longer than the soak. */
export function holdWords({ holdMin, lagMin, soakMin, pullsMin, spareMin }: SoakHold): string {
  const parts = [
    ...(Math.round(lagMin) > 0 ? [`${min(lagMin)} until the first blade is as hot as the oven`] : []),
    `${min(soakMin)} of soak for ${Math.round(lagMin) > 0 ? 'it' : 'the first blade'}`,
    ...(Math.round(pullsMin) > 0 ? [`${min(pullsMin)} until the last blade is pulled`] : []),
    `${min(spareMin)} to spare`,
  ]
  return `Held ${min(holdMin)}: ${listOf(parts)}.`
}

/** Blades that would soak too long where they are pulled, and by how much; null where none would. */
export function tooLongWords({ pulls }: Pick<PullPlan, 'pulls'>, markOf: (bladeId: string) => string): string | null {
  const late = pulls.filter(pull => overSoakMin(pull) > 0)
  const worst = late.reduce<PlannedPull | null>((a, b) => (a && overSoakMin(a) >= overSoakMin(b) ? a : b), null)
  if (!worst) return null
  const which = marksOf(late.map(pull => markOf(pull.bladeId)))
  return late.length === 1
    ? `${which} soaks ${min(worst.soakMin)}. Its steel should soak at most ${min(worst.longestMin)}.`
    : `${which} soak too long: the longest soak is ${min(worst.soakMin)}, and ${min(worst.longestMin)} is the most for that steel.`
}

const MEND: Readonly<Record<MendOutcome['mend'], (count: number) => string>> = {
  helper: () => 'a helper at the quench',
  'second-set': () => 'a second set of plates',
  order: () => 'pulling first what must be out first',
  fewer: count => `no more than ${counted(count, 'blade')} in one load`,
}

/** Says which changes would help, each with the excess that remains. */
export function mendWords(mends: readonly MendOutcome[]): string | null {
  const enough = mends.filter(mend => mend.overMin === 0)
  const shorter = mends.filter(mend => mend.overMin > 0)
  const sentences = [
    ...(enough.length > 0
      ? [
          `${enough.length > 1 ? 'Each of these is enough' : 'Enough'}: ${enough.map(m => MEND[m.mend](m.count)).join('; ')}.`,
        ]
      : []),
    ...shorter.map(m => `With ${MEND[m.mend](m.count)} the longest is still ${min(Math.max(1, m.overMin))} over.`),
  ]
  return sentences.length > 0 ? sentences.join(' ') : null
}
