import type * as z from 'zod/mini'
import { ok } from '../../codes/result'
import { addedToDay } from '../../day/added'
import type { ShopDay } from '../../day/day-batch'
import { planShopDay } from '../../day/shop-day'
import { helpsOf, latestStart } from '../../day/what-if'
import { question } from '../question'
import { addedRequest, addedResponse, helpsRequest, helpsResponse, shopDayRequest, shopDayResponse } from '../shapes'

const dayOf = ({
  batches,
  shop,
  work,
  helper,
  cheap,
  nowMin,
  heatsAlone,
}: z.infer<typeof shopDayRequest>): ShopDay => ({
  batches: batches.map(({ batch, progress, running, notBeforeMin, notAfterMin, deadlineMin, heatedInMin }) => ({
    batch,
    running,
    progress: new Map(Object.entries(progress)),
    notBeforeMin: notBeforeMin ?? 0,
    notAfterMin: notAfterMin ?? Number.POSITIVE_INFINITY,
    deadlineMin,
    heatedInMin: new Map(Object.entries(heatedInMin)),
  })),
  shop,
  work,
  helper,
  cheap,
  nowMin,
  heatsAlone,
})

export const day = question({
  summary: 'The day of a workshop: when its batches go in, are pulled, chilled and tempered, and when all is done',
  request: shopDayRequest,
  response: shopDayResponse,
  answer: request => ok(planShopDay(dayOf(request), request.visits)),
})

export const dayHelps = question({
  summary: 'What would bring the end of a workshop’s day nearer, each planned',
  request: helpsRequest,
  response: helpsResponse,
  answer: request => {
    const of = dayOf(request)
    return ok({ helps: helpsOf(of, request.visits, request.plannedMin), latestStart: latestStart(of, request.visits) })
  },
})

export const dayAdded = question({
  summary: 'What it costs a workshop’s day, in time and money, to put some blades beside those of a line',
  request: addedRequest,
  response: addedResponse,
  answer: request => ok(addedToDay(dayOf(request), request.added, request.visits)),
})
