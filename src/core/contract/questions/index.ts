import type * as z from 'zod/mini'
import type { Result } from '../../codes/result'
import type { ReadOnly } from '../../shop/read-only'
import type { AnyQuestion } from '../question'

/**
 * Every question the core answers, by name. Worker and HTTP both go through this table and nothing else. Each is fetched when it is
 * first asked, so that a page which asks little loads little.
 */
export const QUESTIONS = {
  advise: async () => (await import('./advise')).advise,
  batch: async () => (await import('./batch')).batch,
  'batch-line': async () => (await import('./heat-line')).batchLine,
  causes: async () => (await import('./causes')).causes,
  certificates: async () => (await import('./certificates')).certificates,
  chamber: async () => (await import('./chamber')).chamber,
  cold: async () => (await import('./cold')).cold,
  day: async () => (await import('./day')).day,
  'day-added': async () => (await import('./day')).dayAdded,
  'day-helps': async () => (await import('./day')).dayHelps,
  days: async () => (await import('./days')).days,
  'each-blade': async () => (await import('./each-blade')).eachBlade,
  entries: async () => (await import('./entries')).entries,
  find: async () => (await import('./find')).findAnything,
  foil: async () => (await import('./foil')).foil,
  'grade-curves': async () => (await import('./grade-curves')).gradeCurves,
  lately: async () => (await import('./lately')).lately,
  learn: async () => (await import('./learn')).learn,
  'load-heat': async () => (await import('./load-heat')).loadHeat,
  logbook: async () => (await import('./logbook')).logbook,
  'logbook-newest': async () => (await import('./logbook')).logbookNewest,
  'logged-route': async () => (await import('./logged-route')).loggedRoute,
  measured: async () => (await import('./measured')).measured,
  misfit: async () => (await import('./misfit')).misfit,
  oven: async () => (await import('./oven')).oven,
  'oven-offset': async () => (await import('./oven-offset')).ovenOffset,
  plan: async () => (await import('./plan')).plan,
  'plate-fit': async () => (await import('./plate-fit')).plateFit,
  predict: async () => (await import('./predict')).predict,
  predictions: async () => (await import('./predictions')).predictions,
  'pull-list': async () => (await import('./pull-list')).pullList,
  quench: async () => (await import('./quench')).quench,
  'rank-steels': async () => (await import('./rank-steels')).rankSteels,
  reach: async () => (await import('./reach')).reach,
  'recipe-line': async () => (await import('./heat-line')).recipeLine,
  'recipe-map': async () => (await import('./recipe-map')).recipeMap,
  rockwell: async () => (await import('./rockwell')).rockwell,
  'run-oven': async () => (await import('./run-oven')).runOven,
  'run-steps': async () => (await import('./run-steps')).runSteps,
  'batch-cost': async () => (await import('./batch-cost')).batchCosts,
  'recipe-versions': async () => (await import('./recipe-versions')).recipeVersions,
  'year-cost': async () => (await import('./year-cost')).yearCosts,
  'edge-belief': async () => (await import('./edge-belief')).edgeBeliefs,
  'shared-tempers': async () => (await import('./shared-tempers')).sharedTempers,
  'soak-effect': async () => (await import('./soak-effect')).soakEffects,
  'suggested-route': async () => (await import('./suggested-route')).suggestedRoute,
  tale: async () => (await import('./tale')).tale,
  'temper-curve': async () => (await import('./temper-curve')).temperCurve,
  'temper-for': async () => (await import('./temper-for')).temperFor,
  trends: async () => (await import('./trends')).trends,
} as const satisfies Readonly<Record<string, () => Promise<AnyQuestion>>>

type Table = typeof QUESTIONS
type Asked<N extends QuestionName> = Awaited<ReturnType<Table[N]>>

export type QuestionName = keyof Table
export type Request<N extends QuestionName> = ReadOnly<z.input<Asked<N>['request']>>
export type Answer<N extends QuestionName> = Extract<ReturnType<Asked<N>['answer']>, { ok: true }>['value']
export type Answered<N extends QuestionName> = Result<Answer<N>>

/** Those that are served to programs outside; their shapes are a promise. */
export const SERVED = ['predict', 'quench', 'foil', 'oven', 'cold', 'rockwell', 'advise', 'plan'] as const
export type ServedName = (typeof SERVED)[number]

/** Whether a question is answered over HTTP. */
export const isServed = (name: string | undefined): name is ServedName => SERVED.some(served => served === name)
