import * as z from 'zod/mini'
import { ok } from '../../codes/result'
import { between, bounded } from '../../shop/fields'
import { temperFor as solve } from '../../steel/suggest'
import { SYSTEMS } from '../../units/quantity'
import { question, steelOf } from '../question'
import { predictRequest } from '../shapes'

export const temperFor = question({
  summary: 'The temper that comes nearest to a wanted hardness, all else as it is',
  request: z.extend(predictRequest, {
    wantedHrc: bounded('hrc'),
    range: z.object({ minC: between(50, 750), maxC: between(50, 750) }),
    system: z.enum(SYSTEMS),
  }),
  response: z.object({ atC: z.number(), hrc: z.number(), met: z.boolean() }),
  answer: ({ steel, route, wantedHrc, range, system }) => ok(solve(steelOf(steel), route, wantedHrc, range, system)),
})
