import type { Result } from '../core/codes/result'
import { routeWish } from '../core/job/new-batch'
import type { PlannedRoute } from '../core/shop/route'
import type { Workshop } from '../core/shop/workshop'
import type { Grade } from '../data/grades'
import { askOnce } from '../workers/client'

/** The route this shop is suggested for a steel at its usual target, or as it is wished. */
export const suggestedRoute = (
  grade: Grade,
  shop: Workshop,
  wish: Parameters<typeof routeWish>[2] = {},
): Promise<Result<PlannedRoute>> => askOnce('suggested-route', routeWish(grade, shop, wish))
