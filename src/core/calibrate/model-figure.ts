import { GRADES } from '../../data/grades'
import { chartedGradeOf, type SteelFact } from '../../data/steel-facts'
import { finalHrc } from '../steel/hrc-path'
import { metallurgy, retainedFinal } from '../steel/metallurgy'
import { type Route, referenceCold } from '../steel/route'
import { lastHrc } from '../steel/steel'

/** The route a fact was stated for. */
export const routeOfFact = ({ austenitizeC, soakMin, coldToC, tempersC }: SteelFact): Route => ({
  austenitizeC,
  soakMin,
  quenchedToC: 25,
  cold: coldToC === null ? null : referenceCold(coldToC),
  tempers: tempersC.map(atC => ({ atC, holdMin: 120 })),
})

/** Returns the model's value of a stated figure, from the composition alone and in the figure's unit. */
export function modelFigure(fact: SteelFact): number {
  const m = metallurgy(fact.composition, { made: fact.made, slowest800to500S: null }, routeOfFact(fact))
  switch (fact.figure) {
    case 'hrc':
      return lastHrc(m.path)
    case 'retained':
      return retainedFinal(m)
    case 'carbon':
      return m.austenite.C
    case 'chromium':
      return m.austenite.Cr
    case 'carbide':
      return m.austenite.carbideFraction + m.austenite.mcFraction + m.austenite.m6cFraction
  }
}

/** The same on the chart of the shipped grade, HRC; null where it has none, or the fact is a point of that very chart. */
export function chartedHrc(fact: SteelFact): number | null {
  const grade = GRADES.find(known => known.id === chartedGradeOf(fact.steel))
  if (!grade?.chart || fact.figure !== 'hrc' || fact.onChart) return null
  // A chart of its own: what was worked out for the shipped one was worked out with other constants.
  return finalHrc({ ...grade, chart: { ...grade.chart } }, routeOfFact(fact))
}
