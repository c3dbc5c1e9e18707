import * as z from 'zod/mini'
import { MUCH_AUSTENITE } from '../../../data/steel-model'
import { fail, ok } from '../../codes/result'
import { between, bounded, wholeBetween } from '../../shop/fields'
import { contoursAt, hardnessLevels } from '../../steel/contours'
import { recipeMap as mapOf } from '../../steel/recipe-map'
import { question, steelOf } from '../question'
import { list, predictRequest } from '../shapes'
import { learntSchema } from '../shapes/learnt'

const range = (min: number, max: number) => z.object({ min: between(min, max), max: between(min, max) })
const numbers = list(z.number())
const contour = z.object({
  level: z.number(),
  rings: list(list(z.readonly(z.tuple([z.number(), z.number()])))),
})

export const recipeMap = question({
  summary: 'Finished hardness over austenitize and temper temperature',
  request: z.extend(predictRequest, {
    austenitizeC: range(700, 1300),
    temperC: range(50, 750),
    size: wholeBetween(2, 200),
    learnt: learntSchema,
    /** Lines of equal hardness beside those of the whole map, such as the ends of a target, HRC. */
    lines: z.readonly(z.array(bounded('hrc')).check(z.maxLength(8))),
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
    /** By hardness, and where retained austenite gets too much. */
    contours: list(contour),
    austenite: contour,
  }),
  answer: ({ steel, learnt, lines, ...rest }, memory) => {
    if (rest.austenitizeC.min >= rest.austenitizeC.max || rest.temperC.min >= rest.temperC.max)
      return fail('most-below-least', {}, 'austenitizeC')
    const map = mapOf({ ...rest, steel: steelOf(steel), shop: memory.experience(learnt) })
    const levels = [...new Set([...hardnessLevels(map.hrc), ...lines])].sort((a, b) => a - b)
    const [austenite = { level: MUCH_AUSTENITE, rings: [] }] = contoursAt(map.retained, rest.size, [MUCH_AUSTENITE])
    return ok({ ...map, contours: contoursAt(map.hrc, rest.size, levels), austenite })
  },
})
