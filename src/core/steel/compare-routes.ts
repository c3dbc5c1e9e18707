import type { Prediction } from './predict'
import type { Route } from './route'
import { toughnessTendency } from './toughness'

export interface ComparedRoute {
  readonly name: string
  readonly route: Route
  readonly prediction: Prediction
}

/** Two hardnesses nearer than this are the same on a bench tester, HRC. */
const SAME_HRC = 0.6

type Which = 'first' | 'second'

/** One thing that sets two routes apart, and on which side it lies. */
export type Difference =
  | { readonly code: 'same-hardness' | 'same-rust' | 'not-stainless' }
  | { readonly code: 'hardness'; readonly harderByHrc: number }
  | { readonly code: 'robbed'; readonly worse: Which }
  | { readonly code: 'chromium' | 'tougher' | 'forgives-grinding'; readonly better: Which }
  | { readonly code: 'austenite'; readonly more: Which; readonly share: number }

/**
 * Returns the differences between two routes: one entry for each that matters. The cause is named from the
 * model, not from the hardness.
 */
export function whyDifferent(a: ComparedRoute, b: ComparedRoute): Difference[] {
  const of = (pick: (route: ComparedRoute) => number) => pick(b) - pick(a)
  const which = (secondIs: boolean): Which => (secondIs ? 'second' : 'first')
  const gap = of(r => r.prediction.finalHrc.mean)
  const robbed = of(r => r.prediction.corrosion.temperPenalty)
  const chromium = of(r => r.prediction.corrosion.chromiumInSolution)
  const retained = of(r => r.prediction.retainedAustenite.final)
  const tough = of(r => toughnessTendency(r.prediction))
  const forgives = of(r => hottest(r.route) ?? 0)
  return [
    Math.abs(gap) < SAME_HRC ? { code: 'same-hardness' } : { code: 'hardness', harderByHrc: gap },
    !a.prediction.corrosion.stainless && !b.prediction.corrosion.stainless
      ? { code: 'not-stainless' }
      : Math.abs(robbed) > 0.05
        ? { code: 'robbed', worse: which(robbed > 0) }
        : Math.abs(chromium) > 0.3
          ? { code: 'chromium', better: which(chromium > 0) }
          : { code: 'same-rust' },
    ...(Math.abs(retained) > 0.03
      ? [{ code: 'austenite', more: which(retained > 0), share: Math.abs(retained) } as const]
      : []),
    ...(Math.abs(tough) > 0.08 ? [{ code: 'tougher', better: which(tough > 0) } as const] : []),
    ...(Math.abs(forgives) > 60 ? [{ code: 'forgives-grinding', better: which(forgives > 0) } as const] : []),
  ]
}

const hottest = (route: Route): number | null =>
  route.tempers.length === 0 ? null : Math.max(...route.tempers.map(temper => temper.atC))

/** One part of a route that changed. */
export type RouteChange =
  | { readonly what: 'soak-temperature'; readonly from: number; readonly to: number }
  | { readonly what: 'soak-time' | 'cold-hold' | 'temper-count'; readonly from: number; readonly to: number }
  | { readonly what: 'cold'; readonly from: number | null; readonly to: number | null }
  | {
      readonly what: 'temper-temperature' | 'temper-hold'
      readonly round: number
      readonly from: number
      readonly to: number
    }

/** Returns the changes from one route to another, °C and minutes; none if they are equal. */
export function routeChanges(from: Route, to: Route): RouteChange[] {
  const apart = (a: number, b: number, least: number) => Math.abs(a - b) >= least
  const changes: (RouteChange | false)[] = [
    apart(from.austenitizeC, to.austenitizeC, 0.5) && {
      what: 'soak-temperature',
      from: from.austenitizeC,
      to: to.austenitizeC,
    },
    apart(from.soakMin, to.soakMin, 0.5) && { what: 'soak-time', from: from.soakMin, to: to.soakMin },
    from.cold?.toC !== to.cold?.toC && { what: 'cold', from: from.cold?.toC ?? null, to: to.cold?.toC ?? null },
    from.cold !== null &&
      to.cold !== null &&
      from.cold.holdMin !== to.cold.holdMin && { what: 'cold-hold', from: from.cold.holdMin, to: to.cold.holdMin },
    from.tempers.length !== to.tempers.length && {
      what: 'temper-count',
      from: from.tempers.length,
      to: to.tempers.length,
    },
    ...to.tempers.flatMap((temper, i): (RouteChange | false)[] => {
      const before = from.tempers[i]
      if (!before) return []
      const round = i + 1
      return [
        apart(before.atC, temper.atC, 0.5) && { what: 'temper-temperature', round, from: before.atC, to: temper.atC },
        before.holdMin !== temper.holdMin && { what: 'temper-hold', round, from: before.holdMin, to: temper.holdMin },
      ]
    }),
  ]
  return changes.filter((change): change is RouteChange => change !== false)
}
