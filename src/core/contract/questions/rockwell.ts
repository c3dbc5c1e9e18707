import { ok } from '../../codes/result'
import { sdOfHalfWidth95 } from '../../numeric/coverage'
import { combineHardness } from '../../rockwell/files'
import { summariseReadings } from '../../rockwell/readings'
import { question } from '../question'
import { rockwellRequest, rockwellResponse } from '../shapes'

export const rockwell = question({
  summary: 'What a set of Rockwell C readings says',
  request: rockwellRequest,
  response: rockwellResponse,
  answer: ({ readings, block, thicknessMm, target, files }) => {
    const { rules, ...summary } = summariseReadings(readings, block ?? null, target ?? null)
    const { mean, corrected, correctedBy, u95, n, outliers, inTargetProbability, verification, working } = summary
    const { minimumThicknessMm, minimumSpacingMm, minimumEdgeMm } = rules
    const thickEnough = thicknessMm === undefined ? null : thicknessMm >= minimumThicknessMm
    return ok({
      mean,
      corrected,
      u95,
      n,
      outliers,
      inTargetProbability,
      minimumThicknessMm,
      minimumSpacingMm,
      minimumEdgeMm,
      thickEnough,
      correctedBy,
      verification,
      combined: files
        ? combineHardness(
            { readings: { mean: corrected, sd: sdOfHalfWidth95(u95) }, files, predicted: null },
            target ?? null,
          )
        : null,
      working,
    })
  },
})
