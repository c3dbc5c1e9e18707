import type * as z from 'zod/mini'
import { ok } from '../../codes/result'
import { checkLayout } from '../../foil/check-layout'
import { envelopeOf } from '../../foil/envelope'
import { onRule, planOnRule } from '../../foil/grid'
import { question } from '../question'
import { foilRequest, foilResponse } from '../shapes'

type EnvelopeRequest = Extract<z.infer<typeof foilRequest>, { blades: unknown }>

/** One piece of foil for each line of blades. */
function envelopePieces({ blades, envelope }: EnvelopeRequest) {
  const pieces: { lengthMm: number; widthMm: number; count: number }[] = []
  for (const blade of blades) {
    const sheet = envelopeOf(blade, envelope)
    if (!sheet.ok) return sheet
    const { lengthMm, widthMm, sheets, holds } = sheet.value
    pieces.push({ lengthMm, widthMm, count: sheets * Math.ceil(blade.count / holds) })
  }
  return ok(pieces)
}

export const foil = question({
  summary: 'Envelope sizes and a cut plan on the roll',
  request: foilRequest,
  response: foilResponse,
  answer: request => {
    const sized = 'pieces' in request ? ok(request.pieces) : envelopePieces(request)
    if (!sized.ok) return sized
    const { rollWidthMm, rotate, longestSectionMm, offcuts, system } = request
    const pieces = system === 'metric' ? sized.value : sized.value.map(piece => onRule(piece, system))
    const plan = planOnRule(
      { rollWidthMm, rotate, longestSectionMm: longestSectionMm ?? null, pieces },
      offcuts ?? [],
      system,
    )
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
  },
})
