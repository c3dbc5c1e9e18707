import { ok, type Result } from '../codes/result'
import { remembered } from '../numeric/remembered'
import type { System } from '../units/quantity'
import { type Cut, checkLayout } from './check-layout'
import type { CutPiece, CutPlan, Placement } from './cut-plan'
import { type BladeSize, type EnvelopeRules, envelopeOf } from './envelope'
import { onRule, planOnRule } from './grid'
import type { Offcut } from './stock'

interface RollRequest {
  readonly rollWidthMm: number
  readonly rotate: boolean
  readonly longestSectionMm?: number | null | undefined
  readonly system: System
  readonly offcuts?: readonly Offcut[] | undefined
}

export interface EnvelopesRequest extends RollRequest {
  readonly envelope: EnvelopeRules
  readonly blades: readonly (BladeSize & { readonly count: number })[]
}

export interface PiecesRequest extends RollRequest {
  readonly pieces: readonly CutPiece[]
}

/** A cut plan with the sheets it lays, in the order they were asked for. */
export interface RollPlan extends Pick<CutPlan, 'usedLengthMm' | 'lowerBoundMm' | 'proven' | 'layout' | 'leftovers'> {
  readonly pieces: readonly CutPiece[]
  readonly cuts: CutPlan['sections']
  /** Every cut in the order it is made. */
  readonly shearing: readonly Cut[]
  /** Sheets cut from offcuts, by the offcut. */
  readonly offcuts: readonly { readonly id: string; readonly layout: readonly Placement[] }[]
}

/** Returns one kind of sheet for each line of blades, mm. Errors: as envelopeOf. */
function envelopePieces({ blades, envelope }: EnvelopesRequest): Result<readonly CutPiece[]> {
  const pieces: CutPiece[] = []
  for (const blade of blades) {
    const sheet = envelopeOf(blade, envelope)
    if (!sheet.ok) return sheet
    const { lengthMm, widthMm, sheets, holds } = sheet.value
    pieces.push({ lengthMm, widthMm, count: sheets * Math.ceil(blade.count / holds) })
  }
  return ok(pieces)
}

/** Returns the plan by which a roll is cut into envelopes or given pieces, on the marks of the shop's rule. Errors: as envelopeOf and planCuts. */
export const planRoll = remembered((request: EnvelopesRequest | PiecesRequest): Result<RollPlan> => {
  const sized = 'pieces' in request ? ok(request.pieces) : envelopePieces(request)
  if (!sized.ok) return sized
  const { rollWidthMm, rotate, longestSectionMm = null, offcuts = [], system } = request
  const pieces = system === 'metric' ? sized.value : sized.value.map(piece => onRule(piece, system))
  const plan = planOnRule({ rollWidthMm, rotate, longestSectionMm, pieces }, offcuts, system)
  if (!plan.ok) return plan
  const { usedLengthMm, lowerBoundMm, proven, layout, sections, leftovers, offcuts: used } = plan.value
  return ok({
    pieces,
    usedLengthMm,
    lowerBoundMm,
    proven,
    layout,
    cuts: sections,
    shearing: checkLayout(layout, rollWidthMm).cuts ?? [],
    leftovers,
    offcuts: used.map(({ offcut, layout: places }) => ({ id: offcut.id, layout: places })),
  })
}, 60)
