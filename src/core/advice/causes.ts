import { CAUSES, type CauseName } from '../../data/causes'
import { GRADES } from '../../data/grades'
import { predictedAt } from '../batch/hardness-stages'
import type { Stage } from '../shop/route'
import { predict } from '../steel/predict'
import type { Route } from '../steel/route'
import { isGrade, type Steel } from '../steel/steel'

export interface CauseRequest {
  readonly steel: Steel
  readonly route: Route
  readonly stage: Stage
  readonly measured: { readonly mean: number; readonly sd: number }
  /** Expected hardness, where the shop's experience or a chart differs from the model alone. */
  readonly dueHrc?: number | undefined
  /** A block check of the day stands behind the reading. */
  readonly checked: boolean
  /** A packet was seen to leak, a blade stands apart, a file bites: what was noticed. */
  readonly leakSeen: boolean
  /** Ratio of the soak achieved, by a log, to the soak asked for; absent: not logged. */
  readonly loggedSoakShare?: number | undefined
}

export interface Cause {
  readonly cause: CauseName
  readonly probability: number
  /** Hardness it would give at its likeliest, HRC. */
  readonly givesHrc: number
}

/** Hardness that a cause would produce, over the spread of its severity. */
interface Hypothesis {
  readonly cause: CauseName
  readonly prior: number
  readonly gives: readonly { readonly hrc: number; readonly weight: number }[]
}

/**
 * Why a reading is off its prediction, by likelihood: each cause is run through the model over the spread of how bad it is, and
 * weighed by how well that meets the reading and how often it happens (data/causes). Likeliest first; they sum to 1.
 */
export function causesOf(request: CauseRequest): Cause[] {
  const { measured, stage } = request
  const at = (route: Route, steel: Steel = request.steel): number | null => predictedAt(predict(steel, route), stage)
  const plain = at(request.route)
  if (plain === null) return []
  const shift = (request.dueHrc ?? plain) - plain
  const hypotheses = hypothesesOf(request, plain, at).map(h => ({
    ...h,
    gives: h.gives.map(g => ({ ...g, hrc: g.hrc + shift })),
  }))
  const likelihoods = hypotheses.map(h => {
    const total = h.gives.reduce((sum, g) => sum + g.weight, 0)
    return h.gives.reduce(
      (sum, g) => sum + (g.weight / total) * density(measured.mean, g.hrc, Math.hypot(measured.sd, CAUSES.modelSdHrc)),
      0,
    )
  })
  const evidence = hypotheses.reduce((sum, h, i) => sum + h.prior * (likelihoods[i] as number), 0)
  return hypotheses
    .map((h, i): Cause => {
      const nearest = h.gives.reduce((a, b) =>
        Math.abs(b.hrc - measured.mean) < Math.abs(a.hrc - measured.mean) ? b : a,
      )
      return {
        cause: h.cause,
        probability: evidence > 0 ? (h.prior * (likelihoods[i] as number)) / evidence : 1 / hypotheses.length,
        givesHrc: nearest.hrc,
      }
    })
    .sort((a, b) => b.probability - a.probability)
}

const density = (x: number, mean: number, sd: number) => Math.exp(-0.5 * ((x - mean) / sd) ** 2) / sd

/** A log that shows the soak speaks louder than how often it is short. */
function underSoakedPrior(loggedShare: number | undefined): number {
  const { priors, soakedEnoughShare } = CAUSES
  if (loggedShare === undefined) return priors['under-soaked']
  return loggedShare < soakedEnoughShare ? priors.underSoakedLogged : priors.soakedLogged
}

function hypothesesOf(
  request: CauseRequest,
  plain: number,
  at: (route: Route, steel?: Steel) => number | null,
): Hypothesis[] {
  const { route } = request
  const over = (values: readonly number[], hrc: (value: number) => number | null) =>
    values.flatMap(value => {
      const got = hrc(value)
      return got === null ? [] : [{ hrc: got, weight: 1 }]
    })
  const { spreads, priors } = CAUSES
  const normal = (sd: number) =>
    [-2, -1.5, -1, -0.5, 0, 0.5, 1, 1.5, 2].map(z => ({ value: z * sd, weight: Math.exp((-z * z) / 2) }))
  const own = isGrade(request.steel) ? request.steel.name : null
  const others = GRADES.filter(g => g.name !== own)
  const all: Hypothesis[] = [
    { cause: 'scatter', prior: priors.scatter, gives: [{ hrc: plain, weight: 1 }] },
    {
      cause: 'under-soaked',
      prior: underSoakedPrior(request.loggedSoakShare),
      gives: over(request.loggedSoakShare === undefined ? spreads.soakShare : [request.loggedSoakShare], share =>
        at({ ...route, soakMin: Math.max(0.5, route.soakMin * share) }),
      ),
    },
    {
      cause: 'oven-cold',
      prior: priors['oven-cold'],
      gives: over(spreads.ovenK, k => at({ ...route, austenitizeC: route.austenitizeC - k })),
    },
    {
      cause: 'oven-hot',
      prior: priors['oven-hot'],
      gives: over(spreads.ovenK, k => at({ ...route, austenitizeC: route.austenitizeC + k })),
    },
    {
      cause: 'leak',
      // A skin that lost carbon reads soft: a hard blade does not have one.
      prior: request.measured.mean > (request.dueHrc ?? plain) ? 0 : request.leakSeen ? priors.leakSeen : priors.leak,
      gives: spreads.skinHrc.map(lost => ({ hrc: plain - lost, weight: 1 })),
    },
    {
      cause: 'slow-quench',
      prior: priors['slow-quench'],
      gives: over(spreads.slowS, s => at({ ...route, seconds800to500: s })),
    },
    {
      cause: 'under-tempered',
      prior: route.tempers.length === 0 ? 0 : priors['under-tempered'],
      gives: over(spreads.temperK, k => at({ ...route, tempers: route.tempers.map(t => ({ ...t, atC: t.atC - k })) })),
    },
    {
      cause: 'wrong-steel',
      prior: priors['wrong-steel'],
      gives: others.flatMap(grade => over([0], () => at(route, grade))),
    },
    {
      cause: 'tester',
      prior: request.checked ? priors.testerChecked : priors.tester,
      gives: normal(request.checked ? spreads.testerCheckedSd : spreads.testerSd).map(({ value, weight }) => ({
        hrc: plain + value,
        weight,
      })),
    },
  ]
  return all.filter(h => h.gives.length > 0)
}
