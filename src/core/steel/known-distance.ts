import type { Composition } from '../../data/grades'
import { STEEL_MODEL } from '../../data/steel-model'

/** A steel on a route as far as distances go: C, Cr, Mo + W/2, V, N in wt%, austenitize °C, combined tempering parameter. */
export type Place = readonly [C: number, Cr: number, Mo: number, V: number, N: number, atC: number, parameter: number]

/** Returns the place of a composition (wt%) on a route; `parameter` is null where it is not tempered. */
export const placeOf = (composition: Composition, austenitizeC: number, parameter: number | null): Place => [
  composition.C,
  composition.Cr ?? 0,
  (composition.Mo ?? 0) + (composition.W ?? 0) / 2,
  composition.V ?? 0,
  composition.N ?? 0,
  austenitizeC,
  Math.max(parameter ?? 0, STEEL_MODEL.temper.from),
]

const COMPOSITION_TERMS = 5

/** Squared distance of two compositions, each element in its own step of STEEL_MODEL.distance. */
const composedApart = (a: Place, b: Place): number => {
  let sum = 0
  for (let i = 0; i < COMPOSITION_TERMS; i++) {
    sum += (((a[i] as number) - (b[i] as number)) / (STEEL_MODEL.distance.steps[i] as number)) ** 2
  }
  return sum
}

/** Distance of two compositions alone. */
export const compositionDistance = (a: Place, b: Place): number => Math.sqrt(composedApart(a, b))

/**
 * Returns the distance from a steel to the nearest stated figure, by its route: 1 is about one step of STEEL_MODEL.distance. What the
 * compositions are apart is worked out once.
 */
export function distanceFrom(
  composition: Composition,
  known: readonly Place[],
): (austenitizeC: number, parameter: number | null) => number {
  const here = placeOf(composition, 0, null)
  const [, , , , , stepC, stepP] = STEEL_MODEL.distance.steps
  const apart = known.map(place => ({ squared: composedApart(here, place), atC: place[5], parameter: place[6] }))
  return (austenitizeC, parameter) => {
    const p = Math.max(parameter ?? 0, STEEL_MODEL.temper.from)
    let least = Number.POSITIVE_INFINITY
    for (const fact of apart) {
      const squared = fact.squared + ((austenitizeC - fact.atC) / stepC) ** 2 + ((p - fact.parameter) / stepP) ** 2
      if (squared < least) least = squared
    }
    return Math.sqrt(least)
  }
}
