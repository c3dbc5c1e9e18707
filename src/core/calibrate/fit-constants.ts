import { levenbergMarquardt } from 'ml-levenberg-marquardt'
import { CONSTANT_PRIORS, type ConstantName } from '../../data/steel-constants'
import type { SteelFact } from '../../data/steel-facts'
import { STEEL_MODEL } from '../../data/steel-model'
import { modelFigure } from './model-figure'

export type Constants = Readonly<Record<ConstantName, number>>

const NAMES = Object.keys(CONSTANT_PRIORS) as ConstantName[]

/** The table that holds a constant, and its own name in it: 'temper.hump.at' is 'at' of temper.hump. */
function placeOf(name: ConstantName): { table: object; key: string } {
  const path = name.split('.')
  const key = path.pop() as string
  let table: object = STEEL_MODEL
  for (const step of path) table = Reflect.get(table, step)
  return { table, key }
}

/** The constants the model works with now. */
export const constantsNow = (): Constants =>
  Object.fromEntries(
    NAMES.map(name => {
      const { table, key } = placeOf(name)
      return [name, Reflect.get(table, key)]
    }),
  ) as Constants

/** Makes the model of this process work with other constants: for the calibration alone, which puts back what was there. */
function setConstants(values: readonly number[]): void {
  NAMES.forEach((name, i) => {
    const { table, key } = placeOf(name)
    Reflect.set(table, key, values[i])
  })
}

/** Runs something with other constants in the model, and puts back what was there. */
export function withConstants<T>(constants: Constants, run: () => T): T {
  const before = NAMES.map(name => constantsNow()[name])
  setConstants(NAMES.map(name => constants[name]))
  try {
    return run()
  } finally {
    setConstants(before)
  }
}

/**
 * The constants by least squares over facts and priors, each residual in its own standard deviations, from `start` on (the priors' own
 * values where it is not given).
 * Source: Levenberg and Marquardt through ml-levenberg-marquardt; priors are normal, as rows of their own.
 */
export function fitConstants(facts: readonly SteelFact[], iterations: number, start?: Constants): Constants {
  const before = constantsNow()
  const priors = NAMES.map(name => CONSTANT_PRIORS[name])
  const rows = facts.length + priors.length
  // Constants are fitted in units of their priors, so that one step fits all.
  const inUnits = (units: readonly number[]) => units.map((u, i) => (priors[i]?.[0] ?? 0) + u * (priors[i]?.[1] ?? 0))
  const { parameterValues } = levenbergMarquardt(
    { x: Array.from({ length: rows }, (_, i) => i), y: new Array(rows).fill(0) },
    units => {
      setConstants(inUnits(units))
      const residuals = [...facts.map(fact => (modelFigure(fact) - fact.stated) / fact.sd), ...units]
      return row => residuals[row] as number
    },
    {
      initialValues: NAMES.map((name, i) =>
        start ? (start[name] - (priors[i]?.[0] ?? 0)) / (priors[i]?.[1] ?? 1) : 0,
      ),
      gradientDifference: 0.01,
      centralDifference: true,
      damping: 0.1,
      maxIterations: iterations,
      errorTolerance: 1e-6,
    },
  )
  setConstants(NAMES.map(name => before[name]))
  const values = inUnits(parameterValues)
  return Object.fromEntries(NAMES.map((name, i) => [name, Number((values[i] as number).toPrecision(4))])) as Constants
}
