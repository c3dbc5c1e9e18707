import { STEEL_MODEL } from '../../data/steel-model'
import type { Estimate, WorkingLine } from '../result'
import { solubilityProduct } from './austenite'
import type { Correction } from './learn/shop-model'
import { stevenHaynesMs } from './martensite'
import type { Metallurgy } from './metallurgy'
import type { Route } from './route'
import { chartOf, type Steel } from './steel'

interface LastStage {
  readonly chart: Estimate
  readonly correction: Correction | null
  readonly parts: readonly { readonly name: string; readonly sd: number }[]
}

/** Every step from composition to finished hardness, with its equation and source. */
export function workingOf(steel: Steel, route: Route, m: Metallurgy, last: LastStage): WorkingLine[] {
  const s = STEEL_MODEL
  const a = m.austenite
  const chart = chartOf(steel)
  const parameter = m.parameters.at(-1)
  const line = (name: string, value: number | string, unit: string, equation: string, source: string): WorkingLine => ({
    name,
    value,
    unit,
    equation,
    source,
  })
  const when = (condition: boolean, ...lines: WorkingLine[]) => (condition ? lines : [])
  return [
    line(
      'Solubility product',
      solubilityProduct(route.austenitizeC),
      'wt%²',
      '[C]·[Cr]ⁿ = k·exp(q(1/1353 − 1/T))',
      s.solubility.source,
    ),
    line('Dissolved by the soak', a.dissolved, '', '1 − exp(−(t/τ)^0.8)', s.kinetics.source),
    line('Carbon in austenite', a.C, 'wt%', 'mass balance of the chromium carbide', s.carbide.source),
    line('Chromium in austenite', a.Cr, 'wt%', 'mass balance of the chromium carbide', s.carbide.source),
    line(
      'Martensite start',
      m.msC,
      '°C',
      '539 − 423(C+N) − 30.4Mn − 17.7Ni − 12.1Cr − 7.5Mo + 6',
      s.martensiteStart.source,
    ),
    line(
      'The same by the other formula',
      stevenHaynesMs(a),
      '°C',
      '561 − 474(C+N) − 33Mn − 17Cr − 17Ni − 21Mo, for comparison only',
      'Steven and Haynes (1956), from memory',
    ),
    line('Retained austenite as quenched', m.retainedQuenched, '', 'exp(−0.011(Ms − T))', s.retained.source),
    ...(m.retainedCold === null
      ? []
      : [
          line(
            'Retained austenite after cold',
            m.retainedCold,
            '',
            'stable part + rest·exp(−0.011(Ms − T))',
            s.stabilisation.source,
          ),
        ]),
    ...when(
      m.softShare > 0.001,
      line('Soft products of a slow quench', m.softShare, '', '1 − exp(−a(t/t_limit)²)', s.slowQuench.source),
    ),
    line(
      'Untempered hardness, model',
      m.path.afterCold ?? m.path.asQuenched,
      'HRC',
      'HV of martensite, austenite and carbide, to HRC by ASTM E140',
      s.martensite.source,
    ),
    ...(parameter === undefined
      ? []
      : [line('Tempering parameter', parameter, '', 'P = T(20 + log10 t)/1000', s.temper.source)]),
    ...(chart ? [line('Tempering chart', 'used', '', 'chart(P) + model(route) − model(reference)', chart.source)] : []),
    ...(last.correction
      ? [
          line(
            'Chart and model',
            last.chart.mean,
            `HRC ± ${(1.96 * last.chart.sd).toFixed(1)}`,
            'before your own readings',
            s.error.source,
          ),
          line(
            'Your own readings',
            last.correction.mean,
            'HRC',
            `Gaussian process on measured less predicted; ${last.correction.readings} readings of this grade`,
            'Rasmussen and Williams (2006), algorithm 2.1',
          ),
        ]
      : []),
    line(
      'Band, one sigma',
      Math.hypot(...last.parts.map(part => part.sd)),
      'HRC',
      last.parts
        .filter(part => part.sd >= 0.05)
        .map(part => `${part.name} ${part.sd.toFixed(2)}`)
        .join(', '),
      `${s.error.source}; ${s.shopTemperature.source}`,
    ),
  ]
}
