import type { Estimate } from '../codes/result'
import { type BandPart, type WorkingLine, worked } from '../codes/working'
import { halfWidth95 } from '../numeric/coverage'
import { solubilityProduct } from './austenite'
import { stevenHaynesMs } from './martensite'
import type { Metallurgy } from './metallurgy'
import type { Narrowing } from './narrowing'
import type { Route } from './route'
import type { Correction } from './shop-model'
import { chartOf, type Steel } from './steel'

interface LastStage {
  readonly chart: Estimate
  readonly correction: Correction | null
  readonly parts: readonly BandPart[]
}

/** Every step from composition to finished hardness. */
export function workingOf(
  steel: Steel,
  route: Route,
  m: Metallurgy,
  last: LastStage,
  narrowings: readonly Narrowing[],
): WorkingLine[] {
  const a = m.austenite
  const chart = chartOf(steel)
  const parameter = m.parameters.at(-1)
  const { correction } = last
  return [
    worked('solubility-product', solubilityProduct(route.austenitizeC), 'wt%²', {}),
    worked('dissolved-by-soak', a.dissolved, '', {}),
    worked('carbon-in-austenite', a.C, 'wt%', {}),
    worked('chromium-in-austenite', a.Cr, 'wt%', {}),
    worked('martensite-start', m.msC, 'C', {}),
    worked('martensite-start-other', stevenHaynesMs(a), 'C', {}),
    worked('retained-quenched', m.retainedQuenched, 'share', {}),
    ...(m.retainedCold === null ? [] : [worked('retained-cold', m.retainedCold, 'share', {})]),
    ...(m.softShare > 0.001 ? [worked('soft-products', m.softShare, 'share', {})] : []),
    worked('untempered-model', m.path.afterCold ?? m.path.asQuenched, 'HRC', {}),
    ...(parameter === undefined ? [] : [worked('tempering-parameter', parameter, '', {})]),
    ...(chart ? [worked('tempering-chart', null, '', { source: chart.source })] : []),
    ...(correction
      ? [
          worked('chart-and-model', last.chart.mean, 'HRC', { sdHrc: last.chart.sd }),
          worked('own-readings', correction.mean, 'HRC', { readings: correction.readings }),
        ]
      : []),
    worked('band-one-sigma', Math.hypot(...last.parts.map(part => part.sd)), 'HRC', {
      parts: [...last.parts].sort((a, b) => b.sd - a.sd),
    }),
    ...narrowings.map(({ by, sd }) => worked('band-narrowed', halfWidth95(sd), 'HRC', { by })),
  ]
}
