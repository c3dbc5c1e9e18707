import { useMemo } from 'react'
import { type BatchModel, batchModelOf } from '../../core/job/batch-model'
import type { Batch } from '../../core/shop/batch'
import type { Reading } from '../../core/shop/reading'
import { useReadings } from '../../store/hooks'
import { useShopNow } from '../shop-context'
import { experienceOf, useShopFit } from '../use-shop-fit'

const NONE: readonly Reading[] = []

/** A batch in this shop, worked out once; anew when batch, readings, shop or what the shop learnt change. */
export function useBatchModel(batch: Batch): BatchModel {
  const shop = useShopNow()
  const readings = useReadings(batch.id) ?? NONE
  const fit = useShopFit(batch.id)
  return useMemo(
    () =>
      batchModelOf({
        batch,
        shop,
        readings,
        experienceOf: group => experienceOf(fit, shop, group.lot, batch.ovenId),
      }),
    [batch, shop, readings, fit],
  )
}
