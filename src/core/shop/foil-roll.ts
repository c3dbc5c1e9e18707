import { MOST } from './bounds'
import type { Workshop } from './workshop'

type Foil = Workshop['foil']

/** Returns the length left on the roll, mm: what was counted less what was cut since; undefined where it was never counted. */
export const leftOnRollMm = ({ leftMm, cuts = [] }: Pick<Foil, 'leftMm' | 'cuts'>): number | undefined =>
  leftMm === undefined
    ? undefined
    : Math.max(
        0,
        cuts.reduce((left, cut) => left - cut.mm, leftMm),
      )

/** Returns foil whose roll was counted anew, mm: what had been cut before is in the count. */
export const countedRoll = (foil: Foil, leftMm: number): Foil => ({ ...foil, leftMm, cuts: [] })

/**
 * Returns foil with a cut taken from the roll, mm. It is noted beside the count and not subtracted from it: of two screens that cut
 * without knowing of each other, both cuts are then missing from the roll. A roll that was never counted notes none. More cuts
 * than a roll has are counted in, so that what is stored stays small.
 */
export function cutFromRoll(foil: Foil, cut: { readonly id: string; readonly mm: number }): Foil {
  const { leftMm, cuts = [] } = foil
  if (leftMm === undefined) return foil
  return cuts.length < MOST.foilCuts
    ? { ...foil, cuts: [...cuts, cut] }
    : { ...countedRoll(foil, leftOnRollMm(foil) ?? leftMm), cuts: [cut] }
}
