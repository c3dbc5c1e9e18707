import { OVEN_BUILDS, OVEN_PRESETS } from '../../../data/ovens'
import { ovenPreset } from '../../oven/presets'
import { simulateOven } from '../../oven/simulate'
import { fail, ok } from '../../result'
import { ovenRequest, ovenResponse } from '../api'
import { question } from '../question'

/** Steel a bench oven may hold, kg: more is a slip of the keys. */
const MOST_KG = 40

export const oven = question({
  summary: 'A programme run on an oven with its load: what the blades see',
  request: ovenRequest,
  response: ovenResponse,
  answer: request => {
    const preset = 'preset' in request.oven ? ovenPreset(request.oven.preset) : null
    const detailed = preset
      ? { powerW: preset.powerW, chamberMm: preset.chamberMm, build: OVEN_BUILDS[preset.name] }
      : 'preset' in request.oven
        ? null
        : request.oven
    if (!detailed)
      return fail(
        'oven',
        `The oven must be one of ${OVEN_PRESETS.map(p => p.name).join(', ')}, or its parameters.`,
        'oven',
      )
    const kg = request.load.reduce((sum, l) => sum + l.thicknessMm * l.widthMm * l.lengthMm * l.count * 7.7e-6, 0)
    if (kg > MOST_KG)
      return fail(
        'too-heavy',
        `${kg.toFixed(0)} kg of steel do not go into a bench oven: check the sizes and counts.`,
        'load',
      )
    const result = simulateOven({
      oven: detailed,
      startC: request.startC,
      segments: request.segments,
      doorOpen: [...request.doorOpen].sort((a, b) => a.atMin - b.atMin),
      load: request.load.map(({ atMin, whenOvenC, ...size }) => ({
        ...size,
        when: whenOvenC !== undefined ? { ovenC: whenOvenC } : { atMin: atMin ?? 0 },
      })),
    })
    return ok(result)
  },
})
