import * as z from 'zod/mini'
import { firstStretchesOf, recipeStretchesOf } from '../../bench/batch-figures'
import { ok } from '../../codes/result'
import { batchSchema } from '../../shop/batch'
import { gradeSheetSchema } from '../../shop/grade-sheet'
import { ovenSchema } from '../../shop/oven'
import { routeSchema } from '../../shop/route'
import { workshopSchema } from '../../shop/workshop'
import { SYSTEMS } from '../../units/quantity'
import { question } from '../question'
import { list } from '../shapes'
import { stretchSchema } from '../shapes/figures'

export const batchLine = question({
  summary: 'The planned temperature of a batch’s first steel; empty where its oven or grade is gone',
  request: z.object({ batch: batchSchema, shop: z.pick(workshopSchema, { ovens: true, units: true }) }),
  response: list(stretchSchema),
  answer: ({ batch, shop }) => ok(firstStretchesOf(batch, shop)),
})

export const recipeLine = question({
  summary: 'The planned temperature of a route by itself, for a few blades of a middling size',
  request: z.object({ route: routeSchema, grade: gradeSheetSchema, oven: ovenSchema, system: z.enum(SYSTEMS) }),
  response: list(stretchSchema),
  answer: ({ route, grade, oven, system }) => ok(recipeStretchesOf(route, grade, oven, system)),
})
