/**
 * Oven sizes. Heating is a single-node fit (T∞, τ) to the detailed wall model's full-power times from cold:
 * 20 to 790 °C and on to 1065 °C (small 38.7 + 45.6 min, medium 38.3 + 46.1, large 18.7 + 10.4).
 * Cooling with the door shut fits 1065 to 200 °C in 3.35 h and to 60 °C in 7.98 h (medium).
 */
export interface OvenPreset {
  readonly name: 'small' | 'medium' | 'large'
  readonly label: string
  readonly powerW: number
  readonly chamberMm: { readonly width: number; readonly height: number; readonly depth: number }
  readonly maxC: number
  /** Where full power would settle, °C, and the time constant toward it, min. */
  readonly heating: { readonly settlesAtC: number; readonly tauMin: number }
  readonly cooling: { readonly tauMin: number }
  readonly source: string
}

const SOURCE = 'single-node fit to the wall model’s full-power times; see docs/method.md'

export const OVEN_PRESETS: readonly OvenPreset[] = [
  { name: 'small', label: 'Small, 1.8 kW', powerW: 1800, chamberMm: { width: 150, height: 110, depth: 350 }, maxC: 1200, heating: { settlesAtC: 1167, tauMin: 34.7 }, cooling: { tauMin: 125 }, source: SOURCE },
  { name: 'medium', label: 'Medium, 2.2 kW', powerW: 2200, chamberMm: { width: 150, height: 110, depth: 450 }, maxC: 1200, heating: { settlesAtC: 1161, tauMin: 34.1 }, cooling: { tauMin: 130 }, source: SOURCE },
  { name: 'large', label: 'Large, 3.6 kW', powerW: 3600, chamberMm: { width: 200, height: 150, depth: 600 }, maxC: 1280, heating: { settlesAtC: 1825, tauMin: 33.6 }, cooling: { tauMin: 140 }, source: SOURCE },
]
