import type { z } from 'zod'
import { OVEN_BUILDS } from '../../../data/ovens'
import { fail, ok } from '../../codes/result'
import type { DetailedOven } from '../../oven/oven-model'
import { ovenPreset } from '../../oven/presets'
import { simulateOven } from '../../oven/simulate'
import { ovenRequest, ovenResponse } from '../api'
import { question } from '../question'

/** Steel a bench oven may hold, kg: more is a slip of the keys. */
const MOST_KG = 40

/** An oven as it is given at a door: one of the usual sizes, or its parameters. */
export function detailedFrom(given: z.infer<typeof ovenRequest>['oven']): DetailedOven {
  if (!('preset' in given)) return given
  const { powerW, chamberMm } = ovenPreset(given.preset)
  return { powerW, chamberMm, build: OVEN_BUILDS[given.preset] }
}

export const oven = question({
  summary: 'A programme run on an oven with its load: what the blades see',
  request: ovenRequest,
  response: ovenResponse,
  answer: request => {
    const kg = request.load.reduce((sum, l) => sum + l.thicknessMm * l.widthMm * l.lengthMm * l.count * 7.7e-6, 0)
    if (kg > MOST_KG) return fail('too-heavy', { kg }, 'load')
    const result = simulateOven({
      oven: detailedFrom(request.oven),
      startC: request.startC,
      segments: request.segments,
      doorOpen: [...request.doorOpen].sort((a, b) => a.atMin - b.atMin),
      load: request.load.map(({ atMin, whenOvenC, whenSegment, ...size }) => ({
        ...size,
        when:
          whenSegment !== undefined
            ? { segment: whenSegment }
            : whenOvenC !== undefined
              ? { ovenC: whenOvenC }
              : { atMin: atMin ?? 0 },
      })),
    })
    return ok(result)
  },
})
