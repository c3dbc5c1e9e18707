import type { z } from 'zod'
import type { ReadOnly } from '../../shop/read-only'
import type { Question } from '../question'
import type { advise } from './advise'
import type { band } from './band'
import type { causes } from './causes'
import type { eachBladeQuestion } from './each-blade'
import type { entries } from './entries'
import type { foil } from './foil'
import type { gradeCurves } from './grade-curves'
import type { learn } from './learn'
import type { oven } from './oven'
import type { ovenOffsetQuestion } from './oven-offset'
import type { pace } from './pace'
import type { plateFit } from './plate-fit'
import type { predict } from './predict'
import type { quench } from './quench'
import type { recipeMap } from './recipe-map'
import type { rockwell } from './rockwell'
import type { temperCurve } from './temper-curve'

interface Local {
  advise: typeof advise
  band: typeof band
  causes: typeof causes
  'each-blade': typeof eachBladeQuestion
  entries: typeof entries
  foil: typeof foil
  'grade-curves': typeof gradeCurves
  learn: typeof learn
  oven: typeof oven
  'oven-offset': typeof ovenOffsetQuestion
  pace: typeof pace
  'plate-fit': typeof plateFit
  predict: typeof predict
  quench: typeof quench
  'recipe-map': typeof recipeMap
  rockwell: typeof rockwell
  'temper-curve': typeof temperCurve
}

export type LocalQuestionName = keyof Local
export type LocalRequest<N extends LocalQuestionName> = ReadOnly<z.input<Local[N]['request']>>
export type LocalAnswer<N extends LocalQuestionName> = Extract<ReturnType<Local[N]['answer']>, { ok: true }>['value']

const anyOf = (q: unknown) => q as Question

/** What the worker answers: all that HTTP does and what only the interface asks. Each is fetched when first asked. */
export const LOCAL_QUESTIONS: Readonly<Record<LocalQuestionName, () => Promise<Question>>> = {
  advise: async () => anyOf((await import('./advise')).advise),
  band: async () => anyOf((await import('./band')).band),
  causes: async () => anyOf((await import('./causes')).causes),
  'each-blade': async () => anyOf((await import('./each-blade')).eachBladeQuestion),
  entries: async () => anyOf((await import('./entries')).entries),
  'grade-curves': async () => anyOf((await import('./grade-curves')).gradeCurves),
  learn: async () => anyOf((await import('./learn')).learn),
  quench: async () => anyOf((await import('./quench')).quench),
  'recipe-map': async () => anyOf((await import('./recipe-map')).recipeMap),
  foil: async () => anyOf((await import('./foil')).foil),
  oven: async () => anyOf((await import('./oven')).oven),
  'oven-offset': async () => anyOf((await import('./oven-offset')).ovenOffsetQuestion),
  pace: async () => anyOf((await import('./pace')).pace),
  'plate-fit': async () => anyOf((await import('./plate-fit')).plateFit),
  predict: async () => anyOf((await import('./predict')).predict),
  rockwell: async () => anyOf((await import('./rockwell')).rockwell),
  'temper-curve': async () => anyOf((await import('./temper-curve')).temperCurve),
}
