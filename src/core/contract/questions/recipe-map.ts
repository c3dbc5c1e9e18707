import { z } from 'zod'
import { fail, ok } from '../../codes/result'
import { between } from '../../shop/bounds'
import { recipeMap as mapOf } from '../../steel/recipe-map'
import { question, steelOf } from '../question'
import { list, predictRequest } from '../shapes'
import { learntSchema } from '../shapes/learnt'

const range = (min: number, max: number) => z.object({ min: between(min, max), max: between(min, max) })
const numbers = list(z.number())

export const recipeMap = question({
  summary: 'Finished hardness over austenitize and temper temperature',
  request: predictRequest.extend({
    austenitizeC: range(700, 1300),
    temperC: range(50, 750),
    size: z.int().min(2).max(200),
    learnt: learntSchema,
  }),
  response: z.object({
    austenitizeC: numbers,
    temperC: numbers,
    hrc: numbers,
    sd: numbers,
    retained: numbers,
    corrosion: numbers,
    chromium: numbers,
    pinning: numbers,
  }),
  answer: ({ steel, learnt, ...rest }, memory) =>
    rest.austenitizeC.min >= rest.austenitizeC.max || rest.temperC.min >= rest.temperC.max
      ? fail('most-below-least', {}, 'austenitizeC')
      : ok(mapOf({ ...rest, steel: steelOf(steel), shop: memory.experience(learnt) })),
})
