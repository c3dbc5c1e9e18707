import type { Prediction } from './predict'
import { toughnessTendency } from './rank'
import type { Route } from './route'

export interface ComparedRoute {
  readonly name: string
  readonly route: Route
  readonly prediction: Prediction
}

/** Two hardnesses nearer than this are the same on a bench tester, HRC. */
const SAME_HRC = 0.6

/** Oven time of a route, h: soaks and tempers with their heating and cooling as a small shop has them. */
export const ovenHours = (route: Route): number =>
  1.6 + route.soakMin / 60 + route.tempers.reduce((sum, temper) => sum + temper.holdMin / 60 + 0.6, 0)

/**
 * What sets a second route apart from a first, and why: one sentence for each thing that differs enough to matter.
 * The cause is named from the model, not from the hardness.
 */
export function whyDifferent(a: ComparedRoute, b: ComparedRoute): string[] {
  const gap = b.prediction.finalHrc.mean - a.prediction.finalHrc.mean
  const same = Math.abs(gap) < SAME_HRC
  const said: string[] = [
    same
      ? `${a.name} and ${b.name} read the same on the tester, and are different knives.`
      : `${b.name} is ${Math.abs(gap).toFixed(1)} HRC ${gap > 0 ? 'harder' : 'softer'} than ${a.name}.`,
  ]
  const robbed = b.prediction.corrosion.temperPenalty - a.prediction.corrosion.temperPenalty
  const chromium = b.prediction.corrosion.chromiumInSolution - a.prediction.corrosion.chromiumInSolution
  if (Math.abs(robbed) > 0.05) {
    const worse = robbed > 0 ? b.name : a.name
    said.push(
      `${worse} rusts sooner: its temper above 400 °C grew carbides that took chromium out of the steel around them.`,
    )
  } else if (Math.abs(chromium) > 0.3)
    said.push(
      `${chromium > 0 ? b.name : a.name} keeps more chromium in solution, since its soak dissolved more carbide: it resists rust better.`,
    )
  else said.push('Both keep the same chromium in solution, so they rust alike.')
  const retained = b.prediction.retainedAustenite.final - a.prediction.retainedAustenite.final
  if (Math.abs(retained) > 0.03)
    said.push(
      `${retained > 0 ? b.name : a.name} holds ${Math.round(Math.abs(retained) * 100)} % more soft austenite, which gives way at a thin edge.`,
    )
  const tough = toughnessTendency(b.prediction) - toughnessTendency(a.prediction)
  if (Math.abs(tough) > 0.08)
    said.push(`${tough > 0 ? b.name : a.name} should take knocks better (less carbide, less hard, or finer grain).`)
  const forgives = (hottest(b.route) ?? 0) - (hottest(a.route) ?? 0)
  if (Math.abs(forgives) > 60)
    said.push(`${forgives > 0 ? b.name : a.name} forgives hotter grinding, up to its own temper.`)
  return said
}

const hottest = (route: Route): number | null =>
  route.tempers.length === 0 ? null : Math.max(...route.tempers.map(temper => temper.atC))

const whole = (c: number) => `${Math.round(c)} °C`
const coldText = (route: Route) => (route.cold ? whole(route.cold.toC) : 'none')

/** What changed from one route to another, in a few words for a recipe's version; '' when nothing did. */
export function routeChanges(from: Route, to: Route): string {
  const changes: string[] = []
  if (Math.abs(from.austenitizeC - to.austenitizeC) >= 0.5)
    changes.push(`soak ${whole(from.austenitizeC)} to ${whole(to.austenitizeC)}`)
  if (Math.abs(from.soakMin - to.soakMin) >= 0.5)
    changes.push(`soak ${Math.round(from.soakMin)} to ${Math.round(to.soakMin)} min`)
  if (coldText(from) !== coldText(to)) changes.push(`cold ${coldText(from)} to ${coldText(to)}`)
  if (from.cold && to.cold && from.cold.holdMin !== to.cold.holdMin)
    changes.push(`cold hold ${from.cold.holdMin} to ${to.cold.holdMin} min`)
  if (from.tempers.length !== to.tempers.length) changes.push(`${from.tempers.length} to ${to.tempers.length} tempers`)
  to.tempers.forEach((temper, i) => {
    const before = from.tempers[i]
    if (!before) return
    if (Math.abs(before.atC - temper.atC) >= 0.5)
      changes.push(`temper ${i + 1} ${whole(before.atC)} to ${whole(temper.atC)}`)
    if (before.holdMin !== temper.holdMin) changes.push(`temper ${i + 1} ${before.holdMin} to ${temper.holdMin} min`)
  })
  return changes.join(', ')
}
