import { fail, ok, type Result } from '../result'

/** How an envelope is folded. All mm. */
export interface EnvelopeRules {
  /** Turns rolled into each seam. */
  readonly folds: number
  readonly foldMm: number
  /** Free length beyond tip and butt. */
  readonly endMm: number
  /** Free width beside the edge. */
  readonly edgeMm: number
}

export interface BladeSize {
  readonly lengthMm: number
  readonly widthMm: number
  readonly thicknessMm: number
}

export interface SheetSize {
  readonly lengthMm: number
  readonly widthMm: number
}

/**
 * Sheet for an envelope folded over the spine: each leaf starts on the mid-plane at the spine, covers half the
 * thickness and the width, closes to the mid-plane within the edge clearance, and is rolled with the other leaf.
 * Cut width 2(W + t/2 + e + n·f), cut length L + 2(c + n·f); rounded up to whole millimetres.
 * Errors: 'clearance' when a clearance is under half the thickness (the leaves cannot close).
 * @example spineFoldSheet({ lengthMm: 250, widthMm: 40, thicknessMm: 3 }, { folds: 2, foldMm: 9, endMm: 25, edgeMm: 10 }) // 336 x 139
 */
export function spineFoldSheet(blade: BladeSize, rules: EnvelopeRules): Result<SheetSize> {
  const half = blade.thicknessMm / 2
  if (rules.edgeMm < half)
    return fail(
      'clearance',
      `${rules.edgeMm} mm at the edge cannot close over ${blade.thicknessMm} mm of steel: give at least ${half} mm.`,
      'envelope.edgeMm',
    )
  if (rules.endMm < half)
    return fail(
      'clearance',
      `${rules.endMm} mm at the ends cannot close over ${blade.thicknessMm} mm of steel: give at least ${half} mm.`,
      'envelope.endMm',
    )
  const seam = rules.folds * rules.foldMm
  return ok({
    lengthMm: Math.ceil(blade.lengthMm + 2 * (rules.endMm + seam) - 1e-9),
    widthMm: Math.ceil(2 * (blade.widthMm + half + rules.edgeMm + seam) - 1e-9),
  })
}
