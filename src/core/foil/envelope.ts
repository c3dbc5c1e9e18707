import type { FoldWay } from '../../data/foil'
import { FOIL } from '../../data/foil'
import { type Caution, caution } from '../codes/caution'
import { fail, ok, type Result } from '../codes/result'

/** How an envelope is folded, and how many blades share one. All mm. */
export interface EnvelopeRules {
  /** Turns rolled into each seam. */
  readonly folds: number
  readonly foldMm: number
  /** Free length beyond tip and butt. */
  readonly endMm: number
  /** Free width beside the edge. */
  readonly edgeMm: number
  /** Absent: over the spine. */
  readonly way?: FoldWay | undefined
  /** Blades side by side in one envelope, and end to end (a tube for a long run); absent: one. */
  readonly beside?: number | undefined
  readonly endToEnd?: number | undefined
  /** Between blades of one envelope. */
  readonly gapMm?: number | undefined
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

/** Sheets of one envelope and how many blades it holds. */
export interface Envelope extends SheetSize {
  readonly sheets: 1 | 2
  readonly holds: number
}

const up = (mm: number) => Math.ceil(mm - 1e-9)
/** Width of a rolled seam, mm. */
export const seamMm = (rules: Pick<EnvelopeRules, 'folds' | 'foldMm'>): number => rules.folds * rules.foldMm

/** Length and width of what lies in one envelope: blades side by side and end to end, with their gaps. */
export function contentsOf(blade: BladeSize, rules: EnvelopeRules): BladeSize {
  const { beside = 1, endToEnd = 1, gapMm = 3 } = rules
  return {
    lengthMm: endToEnd * blade.lengthMm + (endToEnd - 1) * gapMm,
    widthMm: beside * blade.widthMm + (beside - 1) * gapMm,
    thicknessMm: blade.thicknessMm,
  }
}

/**
 * Sheet for an envelope; whole millimetres, rounded up. n folds of f, end and edge clearance c and e, contents L x W x t:
 * over the spine, each leaf starts on the mid-plane at the spine, covers half the thickness and the width, closes to the
 * mid-plane within the edge clearance, and is rolled with the other leaf: [L + 2(c + nf)] x [2(W + t/2 + e + nf)];
 * two sheets: 2 of [L + 2(c + nf)] x [W + t + 2(e + nf)]; over the tip: [2(L + t/2 + c + nf)] x [W + t + 2(e + nf)].
 * Errors: 'clearance' when a clearance is under half the thickness (the leaves cannot close).
 * @example envelopeOf({ lengthMm: 250, widthMm: 40, thicknessMm: 3 }, { folds: 2, foldMm: 9, endMm: 25, edgeMm: 10 }) // 336 x 139
 */
export function envelopeOf(blade: BladeSize, rules: EnvelopeRules): Result<Envelope> {
  const { lengthMm: L, widthMm: W, thicknessMm: t } = contentsOf(blade, rules)
  const half = t / 2
  for (const [path, given, where] of [
    ['edgeMm', rules.edgeMm, 'edge'],
    ['endMm', rules.endMm, 'ends'],
  ] as const)
    if (given < half) return fail('clearance', { where, givenMm: given, steelMm: t, leastMm: half }, `envelope.${path}`)
  const seam = seamMm(rules)
  const c = rules.endMm + seam
  const e = rules.edgeMm + seam
  const holds = (rules.beside ?? 1) * (rules.endToEnd ?? 1)
  const way = rules.way ?? 'spine'
  if (way === 'two-sheets') return ok({ lengthMm: up(L + 2 * c), widthMm: up(W + t + 2 * e), sheets: 2, holds })
  if (way === 'tip') return ok({ lengthMm: up(2 * (L + half + c)), widthMm: up(W + t + 2 * e), sheets: 1, holds })
  return ok({ lengthMm: up(L + 2 * c), widthMm: up(2 * (W + half + e)), sheets: 1, holds })
}

/** Layers of foil in a seam of n folds, and where an end fold crosses it: 6 and 18 at two folds. */
export const seamLayers = (folds: number) => ({ seam: 2 * (folds + 1), crossing: 2 * (folds + 1) ** 2 })

/** Free length that still lets a packet be sheared open beyond its folds and the blade drawn out, mm. Common practice. */
const PULL_OUT_MM = 15

/** Free length at the ends that is usual, mm. Common practice, no published source. */
const USUAL_END_MM = 25
/** A seam thicker than this stands up, mm. Common practice, no published source. */
const THICK_SEAM_MM = 0.6

/** Returns the cautions about an envelope. */
export function envelopeCautions(blade: BladeSize, rules: EnvelopeRules, foilMm: number): Caution[] {
  const { seam, crossing } = seamLayers(rules.folds)
  const { endMm, folds, beside = 1, endToEnd = 1 } = rules
  return [
    ...(endMm < PULL_OUT_MM ? [caution('tight-end', { endMm, usualMm: USUAL_END_MM })] : []),
    ...(crossing * foilMm > blade.thicknessMm
      ? [caution('thick-corner', { layers: crossing, mm: crossing * foilMm })]
      : []),
    ...(folds < 2 ? [caution('one-fold', {})] : []),
    ...(beside * endToEnd > 1 ? [caution('shared', {})] : []),
    ...(seam * foilMm > THICK_SEAM_MM ? [caution('thick-seam', { layers: seam })] : []),
  ]
}

/** Returns the thickness of so many layers of foil, mm. */
export const seamThicknessMm = (layers: number): number => layers * FOIL.thicknessMm
