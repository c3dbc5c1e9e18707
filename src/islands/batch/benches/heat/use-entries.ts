import { useMemo } from 'react'
import { detailedOven } from '../../../../core/equipment/ovens'
import { heatKindsOf } from '../../../../core/load/heat-load'
import { type Load, preheatsOf } from '../../../../core/load/loads'
import type { Oven } from '../../../../core/shop/oven'
import { useAnswer } from '../../../../workers/use-answer'

/** A load on its oven by every way to load it, from cold, by the wall model; undefined while it is worked out. */
export function useEntries(load: Load, oven: Oven) {
  const request = useMemo(
    () => ({
      oven: detailedOven(oven),
      austenitizeC: load.austenitizeC,
      soakMin: Math.max(...load.groups.map(g => g.route.soakMin)),
      equalise: [...preheatsOf(load.groups)],
      load: heatKindsOf(load, oven).map(({ thicknessMm, widthMm, lengthMm, count, view }) => ({
        thicknessMm,
        widthMm,
        lengthMm,
        count,
        view,
      })),
    }),
    [load, oven],
  )
  return useAnswer('entries', request)
}
