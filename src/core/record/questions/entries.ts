import { z } from 'zod'
import { OVEN_BUILDS } from '../../../data/ovens'
import { compareEntries, type EntryOutcome } from '../../oven/entry-schools'
import { ovenPreset } from '../../oven/presets'
import { ok } from '../../result'
import { ovenRequest } from '../api'
import { between, bounded } from '../bounds'
import { question } from '../question'

const loads = ovenRequest.shape.load.element.omit({ atMin: true, whenOvenC: true })

export const entries = question({
  summary: 'From cold, on the way up, equalised or straight in: how gentle, how long, how dear',
  request: z.object({
    preset: z.enum(['small', 'medium', 'large']),
    austenitizeC: bounded('austenitizeC'),
    soakMin: bounded('soakMin'),
    equalise: z.array(z.object({ atC: between(100, 1300), holdMin: between(0, 600) })).max(4),
    load: z.array(loads).min(1).max(8),
  }),
  response: z.custom<EntryOutcome[]>(),
  answer: ({ preset: name, ...rest }) => {
    const preset = ovenPreset(name)
    return ok(
      compareEntries({
        ...rest,
        oven: { powerW: preset.powerW, chamberMm: preset.chamberMm, build: OVEN_BUILDS[preset.name] },
      }),
    )
  },
})
