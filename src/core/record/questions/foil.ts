import type { z } from 'zod'
import { planCuts } from '../../foil/cut-plan'
import { spineFoldSheet } from '../../foil/envelope'
import { ok } from '../../result'
import { foilRequest, foilResponse } from '../api'
import { question } from '../question'

type EnvelopeRequest = Extract<z.infer<typeof foilRequest>, { blades: unknown }>

/** One piece of foil for each line of blades. */
function envelopePieces({ blades, envelope }: EnvelopeRequest) {
  const pieces: { lengthMm: number; widthMm: number; count: number }[] = []
  for (const blade of blades) {
    const sheet = spineFoldSheet(blade, envelope)
    if (!sheet.ok) return sheet
    pieces.push({ ...sheet.value, count: blade.count })
  }
  return ok(pieces)
}

export const foil = question({
  summary: 'Envelope sizes and a cut plan on the roll',
  request: foilRequest,
  response: foilResponse,
  answer: request => {
    const pieces = 'pieces' in request ? ok(request.pieces) : envelopePieces(request)
    if (!pieces.ok) return pieces
    const { rollWidthMm, rotate, longestSectionMm } = request
    const plan = planCuts({ rollWidthMm, rotate, longestSectionMm: longestSectionMm ?? null, pieces: pieces.value })
    if (!plan.ok) return plan
    const { usedLengthMm, lowerBoundMm, layout, sections } = plan.value
    return ok({ pieces: pieces.value, usedLengthMm, lowerBoundMm, layout, cuts: sections })
  },
})
