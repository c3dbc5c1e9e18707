import { halfWidth95 } from '../core/numeric/coverage'
import { once } from '../core/numeric/once'
import {
  bothScales,
  formatDifference,
  formatFine,
  formatNumber,
  formatQuantity,
  type System,
} from '../core/units/quantity'
import { SCALED } from '../core/units/scaled'

/** W/m²K in BTU/(h·ft²·°F), W/K in BTU/(h·°F), inch-pound units by their definitions. */
const BTU_HFT2F_PER_WM2K = 0.17611
const BTU_PER_KJ = 0.947817
const BTU_LB_PER_KJ_KG = 0.429923
const LB_FT3_PER_KG_M3 = 0.062428

/** Says quantities in the shop's units. Everything that people read is said through one of these. */
export interface Speaker {
  readonly system: System
  /** A temperature: '1066 °C'. */
  readonly t: (c: number) => string
  /** A temperature where an oven is keyed or a printed sheet is read, in both scales: '1066 °C (1950 °F)'. */
  readonly keyed: (c: number) => string
  /** The number of a temperature without its unit. */
  readonly bare: (c: number) => string
  /** A difference of temperatures, without and with its sign: '11 °C', '+11 °C'. */
  readonly d: (k: number) => string
  readonly signed: (k: number) => string
  /** Rates: '300 °C an hour', '30 °C a minute', '66 °C a second'. */
  readonly perHour: (k: number) => string
  readonly perMinute: (k: number) => string
  readonly perSecond: (k: number) => string
  readonly length: (mm: number) => string
  /** A length so small that hundredths tell: '0.05 mm'. */
  readonly thin: (mm: number) => string
  readonly metres: (m: number) => string
  /** A price by length: '30.00 a metre'. */
  readonly perLength: (pricePerM: number) => string
  readonly area: (m2: number) => string
  readonly room: (m3: number) => string
  readonly litres: (l: number) => string
  readonly mass: (kg: number) => string
  readonly minutes: (min: number) => string
  readonly transfer: (wPerM2K: number) => string
  readonly leak: (wPerK: number) => string
  readonly density: (kgPerM3: number) => string
  readonly heat: (kJ: number) => string
  readonly heatPerMass: (kJPerKg: number) => string
  readonly percent: (fraction: number) => string
  readonly hrc: (hrc: number) => string
  /** Half width of the 95 % band of one standard deviation: '± 1.2'. */
  readonly band: (sd: number) => string
  /** An amount with the shop's currency, where it is said; in whole units of it. */
  readonly money: (amount: number) => string
  readonly roundMoney: (amount: number) => string
  readonly seconds: (s: number) => string
}

const decimals = (value: number, places: number) => Number(value.toFixed(places)).toString().replace('-', '−')
const rate = (k: number, system: System, per: string) =>
  `${decimals(system === 'metric' ? k : k * 1.8, Math.abs(k) < 10 ? 1 : 0)} ${system === 'metric' ? '°C' : '°F'} ${per}`

/** Hardness as it is shown everywhere: one decimal, HRC left to the sentence. */
export const hrcText = (hrc: number): string => hrc.toFixed(1)
/** The same, or a dash where it is not known. */
export const hrcOrDash = (hrc: number | null | undefined): string => (typeof hrc === 'number' ? hrcText(hrc) : '—')
/** A difference with its sign, such as +0.3 or −1.2; what rounds to nothing has none. */
export const signedText = (x: number, decimals = 1): string => {
  const size = Math.abs(x).toFixed(decimals)
  return Number(size) === 0 ? size : `${x >= 0 ? '+' : '−'}${size}`
}
/** Half width of the 95 % band from one standard deviation. */
export const bandText = (sd: number): string => `± ${(halfWidth95(sd)).toFixed(1)}`
export const percentText = (fraction: number, decimals = 0): string => `${(fraction * 100).toFixed(decimals)} %`
/** Power of an oven: '2.2 kW'. */
export const powerText = (watts: number): string => `${(watts / 1000).toFixed(1)} kW`
/** A hold that is told in hours: '2 h', '1.5 h'. */
export const holdText = (minutes: number): string => `${decimals(minutes / 60, 2)} h`
/** Seconds so that what matters shows: '5.7', '42'. */
export const secondsText = (s: number): string => (s < 10 ? s.toFixed(1) : String(Math.round(s)))

function moneyIn(currency: string | undefined, places: number): (amount: number) => string {
  if (currency === undefined) return amount => amount.toFixed(places)
  // Made with the first sum that is said: making one takes a slow tablet tens of milliseconds.
  const format = once(
    () =>
      new Intl.NumberFormat('en', {
        style: 'currency',
        currency,
        currencyDisplay: 'narrowSymbol',
        minimumFractionDigits: places,
        maximumFractionDigits: places,
      }),
  )
  return amount => format().format(amount)
}

/** Speaks in a system of units, and of money in a currency: a code of ISO 4217, or none that is known. */
export function speakerOf(system: System, currency?: string): Speaker {
  const metric = system === 'metric'
  const money = moneyIn(currency, 2)
  return {
    system,
    t: c => formatQuantity(c, 'temperature', system),
    keyed: c => bothScales(c, system),
    bare: c => formatNumber(c, 'temperature', system),
    d: k => formatDifference(Math.abs(k), system).replace(/^\+/, ''),
    signed: k => formatDifference(k, system),
    perHour: k => rate(k, system, 'per hour'),
    perMinute: k => rate(k, system, 'per minute'),
    perSecond: k => rate(k, system, 'per second'),
    length: mm => formatQuantity(mm, 'length', system),
    thin: mm => `${formatFine(mm, system)} ${metric ? 'mm' : 'in'}`,
    metres: m => (metric ? `${decimals(m, 2)} m` : `${decimals(m / SCALED.pricePerM.perMetric, 1)} ft`),
    perLength: price =>
      metric ? `${money(price)} per metre` : `${money(price * SCALED.pricePerM.perMetric)} per foot`,
    area: m2 => (metric ? `${decimals(m2, 2)} m²` : `${decimals(m2 / SCALED.pricePerM2.perMetric, 1)} ft²`),
    room: m3 =>
      metric ? `${decimals(m3, m3 < 10 ? 2 : 0)} m³` : `${decimals(m3 * SCALED.volume.perMetric, m3 < 1 ? 1 : 0)} ft³`,
    litres: l => (metric ? `${decimals(l, 1)} L` : `${decimals(l * SCALED.bath.perMetric, 1)} qt`),
    mass: kg => formatQuantity(kg, 'mass', system),
    minutes: min => formatQuantity(min, 'duration', system),
    transfer: w =>
      metric ? `${Math.round(w)} W/m²K` : `${decimals(w * BTU_HFT2F_PER_WM2K, w < 60 ? 1 : 0)} BTU/h·ft²·°F`,
    leak: w => (metric ? `${decimals(w, 2)} W/K` : `${decimals(w * SCALED.leak.perMetric, 2)} BTU/h·°F`),
    density: rho => (metric ? `${Math.round(rho)} kg/m³` : `${Math.round(rho * LB_FT3_PER_KG_M3)} lb/ft³`),
    heat: kJ => (metric ? `${decimals(kJ, 0)} kJ` : `${decimals(kJ * BTU_PER_KJ, 0)} BTU`),
    heatPerMass: kJ => (metric ? `${decimals(kJ, 1)} kJ/kg` : `${decimals(kJ * BTU_LB_PER_KJ_KG, 1)} BTU/lb`),
    percent: percentText,
    hrc: hrcText,
    band: bandText,
    money,
    roundMoney: moneyIn(currency, 0),
    seconds: s => `${secondsText(s)} s`,
  }
}
