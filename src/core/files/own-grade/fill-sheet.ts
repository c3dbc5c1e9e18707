import type { Composition, Grade } from '../../../data/grades'
import { SUGGESTED, SUPPLIER } from '../../../data/grades/sources'
import { roundTo } from '../../numeric/round'
import { finalHrc } from '../../steel/hrc-path'
import { modelFamilyOf } from '../../steel/model-error'
import { predict } from '../../steel/predict'
import type { Route } from '../../steel/route'

/** Where austenite begins to form on heating, °C. Source: Andrews (1965), Ac1, wt%. */
export const andrewsAc1 = (c: Composition): number =>
  723 - 10.7 * (c.Mn ?? 0) - 16.9 * (c.Ni ?? 0) + 29.1 * (c.Si ?? 0) + 16.9 * (c.Cr ?? 0) + 6.38 * (c.W ?? 0)

/** Andrews' line was fitted on low-alloy steels and runs away for stainless ones. */
const MOST_A1_C = 860

/** Pinning kept in hand: an oven overshoots. */
const GRAIN_SPARE = 1.2

const soaked = (austenitizeC: number, soakMin: number, tempers: Route['tempers'] = []): Route => ({
  austenitizeC,
  soakMin,
  quenchedToC: 25,
  cold: null,
  tempers,
})

const twice = (atC: number): Route['tempers'] => [
  { atC, holdMin: 120 },
  { atC, holdMin: 120 },
]

/** High-speed and vanadium-rich steel is hardened for the peak of its tempers, not for the quench. Common practice, no published source. */
const SECONDARY_TEMPER = { minC: 540, usualC: 560, maxC: 600 }

const SOAKS_C = Array.from({ length: 89 }, (_, i) => 780 + 5 * i)

/**
 * The coolest austenitize temperature, to 5 °C, at which a composition ends within `shortHrc` of its hardest without cold: quenched, or
 * after tempers.
 */
export function hardestSoakC(
  composition: Composition,
  soakMin: number,
  { tempers = [], shortHrc = 0 }: { tempers?: Route['tempers']; shortHrc?: number } = {},
): number {
  const hrc = SOAKS_C.map(atC => finalHrc({ composition }, soaked(atC, soakMin, tempers)))
  const enough = Math.max(...hrc) - shortHrc
  return SOAKS_C[hrc.findIndex(reached => reached >= enough)] as number
}

/** The hottest soak, to 5 °C and from a start, that still holds the grain with something to spare. */
function grainLimitC(composition: Composition, fromC: number, soakMin: number): number {
  const held = (atC: number) => predict({ composition }, soaked(atC, soakMin)).grainPinning > GRAIN_SPARE
  for (let atC = fromC; atC > 760; atC -= 5) if (held(atC)) return atC
  return 760
}

/**
 * A whole sheet from a name and a composition: every window has a suggested value that the maker changes where the
 * supplier says better. The austenitize window lies about where the composition quenches hardest, and ends where its
 * grain would run.
 */
export function fillSheet(id: string, name: string, nominal: Composition): Grade {
  const chromium = nominal.Cr ?? 0
  const stainless = chromium >= 12
  const lean = chromium < 3
  const soakMin = lean ? 8 : 20
  const secondary = ['high-speed', 'vanadium-rich'].includes(modelFamilyOf(nominal, 'ingot'))
  const hardest = hardestSoakC(nominal, soakMin, {
    tempers: secondary ? twice(SECONDARY_TEMPER.usualC) : [],
    // The last of hardness is dear: low-alloy steel coarsens for it, and secondary hardening costs toughness.
    shortHrc: lean ? 0.5 : secondary ? 1.5 : 0,
  })
  const maxC = grainLimitC(nominal, hardest + 10, soakMin)
  const window = { minC: Math.max(700, maxC - (lean ? 40 : 70)), maxC, defaultC: maxC - (lean ? 15 : 25) }
  const finished = finalHrc(
    { composition: nominal },
    soaked(window.defaultC, soakMin, twice(secondary ? SECONDARY_TEMPER.usualC : 200)),
  )
  const a1 = Math.min(MOST_A1_C, Math.round(andrewsAc1(nominal)))
  const middle = Math.min(68, Math.max(22, roundTo(finished, 0.5)))
  return {
    id,
    name,
    alsoNamed: [],
    family: stainless ? 'stainless' : chromium >= 4 ? 'high-alloy' : 'low-alloy',
    made: 'ingot',
    nominal,
    range: {},
    compositionSource: SUPPLIER,
    austenitize: { ...window, source: SUGGESTED },
    soak: lean ? { minMin: 5, maxMin: 12, source: SUGGESTED } : { minMin: 15, maxMin: 30, source: SUGGESTED },
    equalise: lean ? [] : [{ atC: roundTo(a1 - 40, 10), holdMin: 10 }],
    temper: {
      ...(secondary
        ? { minC: SECONDARY_TEMPER.minC, maxC: SECONDARY_TEMPER.maxC }
        : { minC: 150, maxC: stainless ? 260 : 300 }),
      source: SUGGESTED,
    },
    quench: {
      slowest800to500S: lean ? 4 : stainless ? 70 : 120,
      needs: lean ? 'medium-oil' : 'plates',
      source: SUGGESTED,
    },
    cold: { advice: 'optional', why: '' },
    chart: null,
    a1: { c: a1, source: 'Andrews (1965), Ac1' },
    anneal: lean
      ? { atC: roundTo(a1 + 30, 10), holdMin: 60, coolCPerH: 20, downToC: 600, source: SUGGESTED }
      : { atC: 900, holdMin: 120, coolCPerH: 15, downToC: 650, source: SUGGESTED },
    stressRelief: { atC: 650, holdMin: 60, source: SUGGESTED },
    corrosionClass: stainless ? 'kitchen' : chromium >= 10 ? 'careful' : 'rusts',
    usualTarget: { minHrc: middle - 1, maxHrc: middle + 1 },
    note: '',
  }
}
