import { LATE_COLD_MIN } from '../../data/delays'
import { ELEMENTS, type Element } from '../../data/grades'
import { MUCH_AUSTENITE, STEEL_MODEL } from '../../data/steel-model'
import { type Caution, caution } from '../codes/caution'
import { reachedC } from './martensite'
import { type Metallurgy, retainedFinal } from './metallurgy'
import type { Route } from './route'
import { compositionOf, isGrade, type Steel } from './steel'
import { longestSoakMin } from './usual'

/** Least carbon and nitrogen in solution that hardens usefully, wt%. Common practice, no published source. */
const LEAN_MATRIX = 0.3
/** A blade that ends further than this from its cold has not been there, K. */
const SHORT_COLD_K = 3
/** From here on fresh martensite forms on cooling from a temper, and chromium is lost before it, °C. */
const SECOND_TEMPER_C = 450
const ROBBED_C = 400

/** Returns the cautions about a route for a steel. */
export function routeCautions(steel: Steel, route: Route, m: Metallurgy, pinning: number): Caution[] {
  const { austenitizeC, cold, tempers } = route
  const share = retainedFinal(m)
  const hottestTemper = tempers.reduce((most, t) => Math.max(most, t.atC), Number.NEGATIVE_INFINITY)
  const found: (Caution | false)[] = [
    ...(isGrade(steel) ? windowCautions(steel, route, pinning) : []),
    pinning < 1 && caution('coarse-grain', { atC: austenitizeC }),
    m.austenite.C + m.austenite.N < LEAN_MATRIX && caution('lean-matrix', {}),
    share > MUCH_AUSTENITE && caution('much-austenite', { share }),
    m.msC < 60 && caution('low-ms', {}),
    m.softShare > 0.05 && caution('slow-quench', { seconds: route.seconds800to500 ?? 0, softShare: m.softShare }),
    ...shortCold(route),
    cold !== null && cold.delayMin > LATE_COLD_MIN && caution('late-cold', { delayMin: cold.delayMin }),
    // A steel that is not stainless has nothing to lose by it.
    hottestTemper > ROBBED_C && m.austenite.Cr >= STEEL_MODEL.corrosion.passiveCr && caution('robbed-chromium', {}),
    hottestTemper > SECOND_TEMPER_C && tempers.length < 2 && caution('second-temper', {}),
    hottestTemper >= austenitizeC && caution('temper-above-soak', {}),
    tempers.length === 0 && caution('untempered', {}),
    ...validityCautions(steel),
  ]
  return found.filter((one): one is Caution => one !== false)
}

/** A cold that is over before the blade is as cold. */
function shortCold({ cold, quenchedToC, chillTauMin }: Route): Caution[] {
  if (!cold || chillTauMin === undefined) return []
  const atC = reachedC(quenchedToC, cold, chillTauMin)
  return atC - cold.toC > SHORT_COLD_K
    ? [caution('short-cold', { holdMin: cold.holdMin, toC: cold.toC, reachedC: atC })]
    : []
}

function windowCautions(
  steel: Extract<Steel, { nominal: unknown }>,
  route: Route,
  pinning: number,
): (Caution | false)[] {
  const { minC, maxC } = steel.austenitize
  const { austenitizeC: atC, soakMin } = route
  return [
    atC > maxC && caution('above-window', { atC, minC, maxC }),
    atC < minC && caution('below-window', { atC, minC, maxC }),
    soakMin > longestSoakMin(steel, pinning) && caution('long-soak', { soakMin, usualMin: steel.soak.maxMin }),
  ]
}

/** Elements of a composition outside what the model was tried on. */
export function outsideModel(steel: Steel): { element: Element; value: number; least: number; most: number }[] {
  const composition = compositionOf(steel)
  const { hotWork } = STEEL_MODEL
  const valid: Readonly<Partial<Record<Element, readonly [number, number]>>> = STEEL_MODEL.valid
  const chromium = composition.Cr ?? 0
  const leastC = chromium >= hotWork.fromCr && chromium < hotWork.belowCr ? hotWork.belowC : valid.C?.[0]
  return ELEMENTS.flatMap(element => {
    const value = composition[element] ?? 0
    const [usualLeast, most] = valid[element] ?? [0, 0.5]
    const least = element === 'C' && leastC !== undefined ? leastC : usualLeast
    return value < least || value > most ? [{ element, value, least, most }] : []
  })
}

const UNMODELLED: readonly Element[] = ['Co', 'Cu']

function validityCautions(steel: Steel): Caution[] {
  const elements = outsideModel(steel).filter(({ element }) => !UNMODELLED.includes(element))
  return elements.length === 0 ? [] : [caution('outside-model', { elements })]
}
