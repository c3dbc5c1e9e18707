import { CholeskyDecomposition, Matrix } from 'ml-matrix'
import { FIT_FACTORS, FIT_PRIOR_SD, type FitFactor, OVEN_FIT } from '../../../data/oven-fit'
import { type Caution, caution } from '../../codes/caution'
import { fail, ok, type Result } from '../../codes/result'
import { type LogPoint, logAt } from '../log-points'
import type { DetailedOven } from '../oven-model'
import { type Factors, withFactors } from './factors'
import { type Leg, legsOf } from './legs'
import { replay } from './replay'

export interface FactorEstimate {
  readonly factor: FitFactor
  readonly value: number
  /** One sigma of its logarithm, after the log. */
  readonly sd: number
  readonly identified: boolean
}

export interface OvenFitResult {
  readonly factors: readonly FactorEstimate[]
  readonly legs: readonly Leg[]
  /** Root mean square of what is left, K, and before the fit. */
  readonly residualK: number
  readonly residualBeforeK: number
  /** [min, logged °C, fitted °C], for drawing. */
  readonly curve: readonly (readonly [min: number, loggedC: number, fittedC: number])[]
  readonly notes: readonly Caution[]
}

type Progress = (share: number) => void

const N = FIT_FACTORS.length
const asFactors = (logs: readonly number[]): Factors =>
  Object.fromEntries(FIT_FACTORS.map((name, i) => [name, Math.exp(logs[i] as number)])) as Factors
const PRIOR = FIT_FACTORS.map(name => FIT_PRIOR_SD[name])
/**
 * Told apart without a cooling leg by the very top of the climb alone, where the model is least sure: not called identified,
 * whatever the arithmetic says.
 */
const NEEDS_COOLING: ReadonlySet<FitFactor> = new Set(['wallK', 'leak'])
/** More than this left, K, and it was not the run of an empty, shut oven at full power. */
const POOR_FIT_K = 10
/** Steps of the differences, in logarithms. */
const DIFFERENCE = 0.02
const BOUND = Math.log(3)

/**
 * Fits an oven to a log: factors on wall conduction, wall heat, furniture, leak and power that bring the model's display
 * onto the log. Least squares on logarithms with normal priors, robust by pseudo-Huber weights, Levenberg's damping, a few starts.
 * Errors: 'too-short', 'no-leg'. Source: Nocedal and Wright (2006), ch. 10; priors and robust scale in data/oven-fit.
 */
export function fitOven(
  oven: DetailedOven,
  given: readonly LogPoint[],
  progress: Progress = () => {},
): Result<OvenFitResult> {
  const whole = legsOf(given)
  const offMin = whole.legs.find(leg => leg.kind === 'off')?.fromMin ?? Number.POSITIVE_INFINITY
  const endMin = Math.min((given[0]?.[0] ?? 0) + 60 * OVEN_FIT.longestH, offMin + 60 * OVEN_FIT.coolingH)
  const points = given.filter(([min]) => min <= endMin)
  const { legs, limited } = legsOf(points)
  const lengthMin = (points.at(-1)?.[0] ?? 0) - (points[0]?.[0] ?? 0)
  if (lengthMin < 15) return fail('log-too-short', {})
  if (!legs.some(leg => leg.kind !== 'held')) return fail('log-without-legs', {})
  if (limited && !legs.some(leg => leg.kind === 'off')) return fail('log-held-to-a-rate', {})
  // A climb held to a rate is followed, not learnt from.
  const used = limited ? legs.map(leg => (leg.kind === 'full' ? { ...leg, kind: 'held' as const } : leg)) : legs
  const startMin = points[0]?.[0] ?? 0
  const atMin = Array.from(
    { length: Math.floor(lengthMin / OVEN_FIT.everyMin) },
    (_, i) => startMin + i * OVEN_FIT.everyMin,
  )
  const logged = atMin.map(min => logAt(points, min))
  const run = (logs: readonly number[]) => replay(withFactors(oven, asFactors(logs)), used, points, atMin)
  let best: Found | null = null
  for (const [i, start] of OVEN_FIT.starts.entries()) {
    const from = FIT_FACTORS.map(name => (name === 'wallK' || name === 'mass' ? Math.log(start) : 0))
    const found = search(from, run, logged, share => progress((i + share) / OVEN_FIT.starts.length))
    if (!best || found.cost < best.cost) best = found
    if (rms(logged, run(best.logs)) <= OVEN_FIT.goodK) break
  }
  if (!best) throw new RangeError('a fit has at least one start')
  progress(1)
  const fitted = run(best.logs)
  const cools = used.some(leg => leg.kind === 'off')
  const before = run(FIT_FACTORS.map(() => 0))
  const factors = FIT_FACTORS.map((factor, i): FactorEstimate => {
    const sd = Math.sqrt(best.covariance.get(i, i))
    return {
      factor,
      value: Math.exp(best.logs[i] as number),
      sd,
      identified: sd < OVEN_FIT.identifiedBelow * (PRIOR[i] as number) && (cools || !NEEDS_COOLING.has(factor)),
    }
  })
  return ok({
    factors,
    legs: used,
    residualK: rms(logged, fitted),
    residualBeforeK: rms(logged, before),
    curve: atMin.map((min, i) => [min, logged[i] as number, fitted[i] as number] as const),
    notes: [...(rms(logged, fitted) > POOR_FIT_K ? [caution('log-not-followed', {})] : []), ...notesOf(used, limited)],
  })
}

const rms = (a: readonly number[], b: Float64Array) =>
  Math.sqrt(a.reduce((sum, c, i) => sum + (c - (b[i] as number)) ** 2, 0) / Math.max(1, a.length))

function notesOf(legs: readonly Leg[], limited: boolean): Caution[] {
  const has = (kind: Leg['kind']) => legs.some(leg => leg.kind === kind)
  return [
    ...(limited ? [caution('rate-limited', {})] : []),
    ...(has('off') ? [] : [caution('no-cooling-leg', {})]),
    ...(has('full') ? [] : [caution('no-climb', {})]),
  ]
}

interface Found {
  readonly logs: number[]
  readonly cost: number
  readonly covariance: Matrix
}

/** Damped Gauss-Newton from one start. */
function search(
  from: readonly number[],
  run: (logs: readonly number[]) => Float64Array,
  logged: readonly number[],
  progress: Progress,
): Found {
  const { robustK, alike, iterations } = OVEN_FIT
  // Pseudo-Huber: square for small errors, straight for large.
  const costOf = (model: Float64Array, logs: readonly number[]) => {
    let sum = 0
    for (let i = 0; i < logged.length; i++) {
      const r = ((model[i] as number) - (logged[i] as number)) / robustK
      sum += 2 * (Math.sqrt(1 + r * r) - 1)
    }
    return sum / alike + logs.reduce((s, x, i) => s + (x / (PRIOR[i] as number)) ** 2, 0)
  }
  let logs = [...from]
  let model = run(logs)
  let cost = costOf(model, logs)
  let damping = 0.01
  let normal = Matrix.eye(N)
  for (let iteration = 0; iteration < iterations; iteration++) {
    progress(iteration / iterations)
    const moved = logs.map((_, j) => run(logs.map((x, k) => (k === j ? x + DIFFERENCE : x))))
    const weights = logged.map((c, i) => {
      const error = (model[i] as number) - c
      return 1 / (alike * robustK ** 2 * Math.sqrt(1 + (error / robustK) ** 2))
    })
    const slope = (i: number, a: number) =>
      (((moved[a] as Float64Array)[i] as number) - (model[i] as number)) / DIFFERENCE
    const inverseVariance = PRIOR.map(sd => 1 / sd ** 2)
    const half = Matrix.zeros(logged.length, N)
    for (let i = 0; i < logged.length; i++)
      for (let a = 0; a < N; a++) half.set(i, a, Math.sqrt(weights[i] as number) * slope(i, a))
    normal = half.transpose().mmul(half).add(Matrix.diag(inverseVariance))
    const gradient = logs.map((x, a) =>
      logged.reduce(
        (sum, c, i) => sum + (weights[i] as number) * ((model[i] as number) - c) * slope(i, a),
        x * (inverseVariance[a] as number),
      ),
    )
    let better = false
    for (let tries = 0; tries < 6 && !better; tries++) {
      const damped = normal.clone()
      for (let a = 0; a < N; a++) damped.set(a, a, damped.get(a, a) * (1 + damping))
      const step = new CholeskyDecomposition(damped).solve(Matrix.columnVector(gradient))
      const next = logs.map((x, a) => Math.max(-BOUND, Math.min(BOUND, x - step.get(a, 0))))
      const nextModel = run(next)
      const nextCost = costOf(nextModel, next)
      if (nextCost < cost) {
        const gain = cost - nextCost
        ;[logs, model, cost] = [next, nextModel, nextCost]
        damping = Math.max(1e-4, damping / 4)
        better = true
        if (gain < 1e-4 * (1 + cost)) iteration = iterations
      } else damping *= 6
    }
    if (!better) break
  }
  progress(1)
  return { logs, cost, covariance: new CholeskyDecomposition(normal).solve(Matrix.eye(N)) }
}
