import type { System } from './quantity'

interface ScaledUnit {
  readonly metric: string
  readonly imperial: string
  /** So many of the imperial unit for one metric; of a price, so much for the imperial unit at 1 for the metric. */
  readonly perMetric: number
}

// Exact by the foot of 304.8 mm and the pound of 0.45359237 kg (1959), the US quart of 57.75 in³ and the BTU of 1055.056 J.
const FOOT_M = 0.3048
const POUND_KG = 0.45359237
const QUART_L = 0.946352946
const BTU_J = 1055.05585262

/** Quantities that are stored in a metric unit and typed as a plain number, with what an inch shop reads instead. */
export const SCALED = {
  volume: { metric: 'm³', imperial: 'ft³', perMetric: 1 / FOOT_M ** 3 },
  bath: { metric: 'L', imperial: 'qt', perMetric: 1 / QUART_L },
  leak: { metric: 'W/K', imperial: 'BTU/h·°F', perMetric: 3600 / BTU_J / 1.8 },
  pricePerM: { metric: 'per metre', imperial: 'per foot', perMetric: FOOT_M },
  pricePerM2: { metric: 'per m²', imperial: 'per ft²', perMetric: FOOT_M ** 2 },
  pricePerM3: { metric: 'per m³', imperial: 'per ft³', perMetric: FOOT_M ** 3 },
  pricePerKg: { metric: 'per kg', imperial: 'per lb', perMetric: POUND_KG },
  pricePerLitre: { metric: 'per litre', imperial: 'per quart', perMetric: QUART_L },
} as const satisfies Readonly<Record<string, ScaledUnit>>
export type ScaledKind = keyof typeof SCALED

/** So many of what a shop reads for one of what is stored. */
export const perMetric = (kind: ScaledKind, system: System): number =>
  system === 'metric' ? 1 : SCALED[kind].perMetric
