import { quantileSorted } from 'simple-statistics'
import type { Composition } from '../../data/grades'
import { STEEL_MODEL } from '../../data/steel-model'
import { createRandom } from '../numeric/random'
import { metallurgy, retainedFinal } from './metallurgy'
import { modelSd } from './model-error'
import { predict, type ShopExperience } from './predict'
import type { Route } from './route'
import { chartShiftOf, compositionOf, lastHrc, modelSteelOf, onChart, type Steel } from './steel'
import { elementSpreads, shiftRoute, spreadAt } from './variation'

/** Quantiles of a drawn figure: 2.5, 16, 50, 84 and 97.5 %. */
export interface Quantiles {
  readonly low95: number
  readonly low68: number
  readonly median: number
  readonly high68: number
  readonly high95: number
}

export interface Band {
  readonly draws: number
  readonly hrc: Quantiles
  readonly retained: Quantiles
  readonly chromium: Quantiles
  /** Share of draws in a target, 0..1; null without one. */
  readonly inTarget: number | null
  /** Draws by half HRC, for a histogram: [lower edge, share]. */
  readonly histogram: readonly (readonly [hrc: number, share: number])[]
}

interface BandRequest {
  readonly steel: Steel
  readonly route: Route
  readonly draws: number
  readonly seed: number
  readonly target: { readonly min: number; readonly max: number } | null
  readonly shop: ShopExperience | null
}

const quantilesOf = (values: Float64Array): Quantiles => {
  const sorted = [...values.slice().sort()]
  const [low95, low68, median, high68, high95] = [0.025, 0.16, 0.5, 0.84, 0.975].map(p =>
    quantileSorted(sorted, p),
  ) as [number, number, number, number, number]
  return { low95, low68, median, high68, high95 }
}

/**
 * Band of a finished blade by drawing: composition from triangles over the mill's range, oven temperatures and time as
 * a small shop holds them, the model's own error. Where the shop's readings help, they move the mean, and what they leave
 * open is drawn in place of the mill's range and the model's error. The same seed gives the same band.
 */
export function bandOf({ steel, route, draws, seed, target, shop }: BandRequest): Band {
  const random = createRandom(seed)
  const model = modelSteelOf(steel)
  const chart = chartShiftOf(steel)
  const nominal = compositionOf(steel)
  const learnt = learntOf(steel, route, shop)
  const spreads = learnt ? [] : elementSpreads(steel)
  const own = learnt ? learnt : { mean: 0, sd: modelSd(steel, route) }
  const { austenitizeSdC, temperSdC, soakSdMin } = STEEL_MODEL.shopTemperature
  const hrc = new Float64Array(draws)
  const retained = new Float64Array(draws)
  const chromium = new Float64Array(draws)
  // One composition for all draws, its elements drawn anew each time.
  const composition: { -readonly [E in keyof Composition]: Composition[E] } = { ...nominal }
  for (let i = 0; i < draws; i++) {
    for (const spread of spreads) composition[spread.element] = spreadAt(spread, random.uniform())
    const drawn = shiftRoute(
      route,
      random.normal(0, austenitizeSdC),
      random.normal(0, temperSdC),
      random.normal(0, soakSdMin),
    )
    const m = metallurgy(composition, model, drawn)
    hrc[i] = Math.max(0, lastHrc(onChart(chart, m)) + random.normal(own.mean, own.sd))
    retained[i] = retainedFinal(m)
    chromium[i] = m.austenite.Cr
  }
  const bins = new Map<number, number>()
  for (const value of hrc) {
    const edge = Math.floor(value * 2) / 2
    bins.set(edge, (bins.get(edge) ?? 0) + 1 / draws)
  }
  return {
    draws,
    hrc: quantilesOf(hrc),
    retained: quantilesOf(retained),
    chromium: quantilesOf(chromium),
    inTarget: target && hrc.reduce((n, value) => n + (value >= target.min && value <= target.max ? 1 : 0), 0) / draws,
    histogram: [...bins].sort((a, b) => a[0] - b[0]),
  }
}

/** Returns the shift by the shop's readings and what they leave open, HRC; null where they do not help. */
function learntOf(steel: Steel, route: Route, shop: ShopExperience | null) {
  if (!shop) return null
  const prediction = predict(steel, route, shop)
  if (!prediction.shop) return null
  const ofShop = prediction.band.filter(({ part }) => part === 'readings' || part === 'batch')
  return { mean: prediction.shop.shiftHrc, sd: Math.hypot(...ofShop.map(({ sd }) => sd)) }
}
