import { ELEMENTS, type Element } from '../../data/grades'
import { STEEL_MODEL } from '../../data/steel-model'
import type { Caution } from '../result'
import { type Metallurgy, retainedFinal } from './metallurgy'
import type { Route } from './route'
import { compositionOf, isGrade, type Steel } from './steel'

const whole = (c: number) => `${Math.round(c)} °C`

/** What is doubtful or dangerous about a route for a steel, in plain words. */
export function routeCautions(steel: Steel, route: Route, m: Metallurgy, pinning: number): Caution[] {
  const retained = retainedFinal(m)
  const hottestTemper = route.tempers.reduce((most, t) => Math.max(most, t.atC), Number.NEGATIVE_INFINITY)
  const lastTemper = route.tempers.at(-1)
  const found: (Caution | false)[] = [
    ...(isGrade(steel) ? windowCautions(steel, route) : []),
    pinning < 1 && {
      code: 'coarse-grain',
      message: `At ${whole(route.austenitizeC)} too little carbide is left to hold the grain: it coarsens, and the edge turns brittle whatever its hardness.`,
    },
    m.austenite.C + m.austenite.N < 0.3 && {
      code: 'lean-matrix',
      message: 'Less than 0.3 % carbon is in solution: it will not harden usefully. Soak hotter or longer.',
    },
    retained > 0.2 && {
      code: 'much-austenite',
      message: `About ${Math.round(retained * 100)} % soft austenite stays. Lower the soak temperature or add cold.`,
    },
    m.msC < 60 && {
      code: 'low-ms',
      message: 'Martensite starts only just above room temperature: expect a soft blade without cold.',
    },
    m.softShare > 0.05 && {
      code: 'slow-quench',
      message: `${Math.round(route.seconds800to500 ?? 0)} s from 800 to 500 °C is too slow for this grade: about ${Math.round(m.softShare * 100)} % turns soft, whatever follows.`,
    },
    route.cold !== null &&
      route.cold.delayMin > 240 && {
        code: 'late-cold',
        message: `Cold ${Math.round(route.cold.delayMin / 60)} h after the quench does much less: austenite that rests at room temperature stabilises.`,
      },
    hottestTemper > 400 && {
      code: 'robbed-chromium',
      message:
        'Tempers above about 400 °C take chromium out of the steel around each new carbide: the edge rusts sooner.',
    },
    hottestTemper > 450 &&
      (lastTemper === undefined || route.tempers.length < 2) && {
        code: 'second-temper',
        message: 'Above 450 °C the austenite turns to fresh, brittle martensite on cooling. Temper a second time.',
      },
    hottestTemper >= route.austenitizeC && {
      code: 'temper-above-soak',
      message: 'A temper is as hot as the soak: check the figures.',
    },
    route.tempers.length === 0 && {
      code: 'untempered',
      message: 'Untempered martensite is brittle. Temper the same day.',
    },
    ...validityCautions(steel),
  ]
  return found.filter((caution): caution is Caution => caution !== false)
}

function windowCautions(steel: Extract<Steel, { nominal: unknown }>, route: Route): (Caution | false)[] {
  const { minC, maxC } = steel.austenitize
  const window = `this grade’s ${Math.round(minC)} to ${Math.round(maxC)} °C`
  return [
    route.austenitizeC > maxC && {
      code: 'above-window',
      message: `${whole(route.austenitizeC)} is above ${window}: grain coarsens and austenite stays soft.`,
    },
    route.austenitizeC < minC && {
      code: 'below-window',
      message: `${whole(route.austenitizeC)} is below ${window}: too little carbon dissolves.`,
    },
    route.soakMin > steel.soak.maxMin * 1.5 && {
      code: 'long-soak',
      message: `A soak of ${Math.round(route.soakMin)} min is well past this grade’s ${steel.soak.maxMin} min.`,
    },
  ]
}

/** Elements of a composition outside what the model was tried on. */
export function outsideModel(steel: Steel): { element: Element; value: number; least: number; most: number }[] {
  const composition = compositionOf(steel)
  const valid = STEEL_MODEL.valid as Readonly<Partial<Record<Element, readonly [number, number]>>>
  return ELEMENTS.flatMap(element => {
    const value = composition[element] ?? 0
    const [least, most] = valid[element] ?? [0, 0.5]
    return value < least || value > most ? [{ element, value, least, most }] : []
  })
}

const UNMODELLED: readonly Element[] = ['Co', 'Cu']

function validityCautions(steel: Steel): Caution[] {
  const outside = outsideModel(steel).filter(({ element }) => !UNMODELLED.includes(element))
  if (outside.length === 0) return []
  const which = outside.map(o => `${o.value} % ${o.element} (tried on ${o.least} to ${o.most} %)`).join(', ')
  return [
    {
      code: 'outside-model',
      message: `This composition is outside what the model was tried on: ${which}. Trust its chart and your own readings, not the model.`,
    },
  ]
}
