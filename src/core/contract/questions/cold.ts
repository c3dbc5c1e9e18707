import type * as z from 'zod/mini'
import { ok, type Result } from '../../codes/result'
import { chillMin } from '../../cold/chill'
import { dryIceFor } from '../../cold/dry-ice'
import { liquidNitrogenFor } from '../../cold/liquid-nitrogen'
import { COLD_C } from '../../cold/way'
import { question } from '../question'
import { coldRequest, coldResponse } from '../shapes'

type Answer = z.infer<typeof coldResponse>

export const cold = question({
  summary: 'Coolant for a batch, the gas it gives off, and what that does to the air of the room',
  request: coldRequest,
  response: coldResponse,
  answer: (request): Result<Answer> => {
    if (request.medium === 'freezer')
      return ok({
        coolantKg: 0,
        coolantL: 0,
        gasM3: 0,
        reachMin: chillMin({ ...request, toC: COLD_C.freezer, bath: false }),
        peak: {},
        limits: [],
        neededAirChangesPerH: 0,
        refused: null,
        cautions: [],
        working: [],
      })
    if (request.medium === 'liquid-nitrogen') {
      const n = liquidNitrogenFor({ ...request, standingL: request.bath.litres })
      const { air } = n
      return ok({
        coolantKg: n.coolantL * n.kgPerL,
        coolantL: n.coolantL,
        gasM3: n.gasM3,
        reachMin: null,
        peak: { oxygenPercent: n.oxygenPercent, spillOxygenPercent: n.spillOxygenPercent },
        limits: air.limits,
        neededAirChangesPerH: finite(air.neededAirChangesPerH),
        refused: air.refused,
        cautions: n.cautions,
        working: n.working,
      })
    }
    const ice = dryIceFor(request)
    return ok({
      coolantKg: ice.coolantKg,
      coolantL: ice.coolantL,
      gasM3: ice.gasM3,
      reachMin: null,
      peak: { co2Ppm: ice.peakCo2Ppm },
      limits: ice.air.limits,
      neededAirChangesPerH: finite(ice.air.neededAirChangesPerH),
      refused: ice.air.refused,
      cautions: ice.cautions,
      working: ice.working,
    })
  },
})

/** JSON knows no infinity: null where no ventilation would do. */
const finite = (n: number) => (Number.isFinite(n) ? n : null)
