import type { Cut } from '../core/foil/check-layout'
import type { Speaker } from './speaker'

/** One cut as it is made: 'Across the whole roll, 336 mm from the free end'. */
export function cutWords(cut: Cut, rollWidthMm: number, say: Speaker): string {
  if (cut.kind === 'along')
    return `Along the roll, ${say.length(cut.atMm)} from its left edge, between ${say.length(cut.fromMm)} and ${say.length(cut.toMm)} from the free end`
  const whole = cut.toMm - cut.fromMm >= rollWidthMm - 1
  return whole
    ? `Across the whole roll, ${say.length(cut.atMm)} from the free end`
    : `Across, ${say.length(cut.atMm)} from the free end, between ${say.length(cut.fromMm)} and ${say.length(cut.toMm)} from the left edge`
}

/** Says the length left on the roll against the plan's need; null if it is enough, or not counted. */
export function shortRollWords(neededMm: number, leftMm: number | undefined, say: Speaker): string | null {
  if (leftMm === undefined || leftMm >= neededMm) return null
  const m = (mm: number) => say.metres(mm / 1000)
  return `${m(neededMm)} needed, ${m(leftMm)} left on the roll: short by ${m(neededMm - leftMm)}. Get a new roll before you cut.`
}
