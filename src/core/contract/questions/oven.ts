import type * as z from 'zod/mini'
import { OVEN_BUILDS } from '../../../data/ovens'
import type { DetailedOven } from '../../oven/oven-model'
import { ovenPreset } from '../../oven/presets'
import { simulateLoaded } from '../../oven/simulate'
import { question } from '../question'
import { ovenRequest, ovenResponse } from '../shapes'

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
  answer: request =>
    simulateLoaded({
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
    }),
})
