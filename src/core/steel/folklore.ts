import type { Grade } from '../../data/grades'
import { predict } from './predict'
import type { Route } from './route'

export const TALES = ['hardness-rust', 'cold', 'twice', 'not-450', 'hotter-softer'] as const
export type TaleName = (typeof TALES)[number]

/** What is moved in a tale: its range and step. */
export interface Knob {
  readonly label: string
  readonly min: number
  readonly max: number
  readonly step: number
  readonly first: number
  readonly kind: 'temperature' | 'cold'
}

export interface TaleFigure {
  readonly label: string
  readonly unit: string
  /** Value along the knob, and at it. */
  readonly along: readonly (readonly [at: number, value: number])[]
  readonly now: number
  readonly digits: number
}

export interface TaleAnswer {
  readonly figures: readonly TaleFigure[]
  /** What is seen here, in a sentence that follows the knob. */
  readonly seen: string
}

const TWICE = (atC: number) => [
  { atC, holdMin: 120 },
  { atC, holdMin: 120 },
]
const base = (grade: Grade): Route => ({
  austenitizeC: grade.austenitize.defaultC,
  soakMin: grade.soak.minMin,
  quenchedToC: 25,
  cold: null,
  tempers: TWICE(200),
})
/** Cold ways along the knob: none, freezer, dry ice, liquid nitrogen. */
export const COLD_STEPS_C: readonly (number | null)[] = [null, -18, -75, -196]

/** The knob of a tale for a grade. */
export function knobOf(tale: TaleName, grade: Grade): Knob {
  const { minC, maxC, defaultC } = grade.austenitize
  if (tale === 'hardness-rust')
    return { label: 'Temper, twice', min: 150, max: 390, step: 5, first: 200, kind: 'temperature' }
  if (tale === 'cold') return { label: 'Cold', min: 0, max: 3, step: 1, first: 2, kind: 'cold' }
  if (tale === 'twice') return { label: 'Temper', min: 400, max: 560, step: 5, first: 510, kind: 'temperature' }
  if (tale === 'not-450')
    return { label: 'Temper, twice', min: 180, max: 560, step: 5, first: 460, kind: 'temperature' }
  return {
    label: 'Soak',
    min: minC - 40,
    max: maxC + 60,
    step: 5,
    first: Math.round(defaultC / 5) * 5,
    kind: 'temperature',
  }
}

const STEPS = 40

/** The live model's answer at a knob's setting. */
export function tellTale(tale: TaleName, grade: Grade, at: number): TaleAnswer {
  const knob = knobOf(tale, grade)
  const routeAt = (value: number): Route => {
    const route = base(grade)
    if (tale === 'cold') {
      const toC = COLD_STEPS_C[Math.round(value)] ?? null
      return {
        ...route,
        austenitizeC: grade.austenitize.maxC,
        cold: toC === null ? null : { toC, holdMin: 60, delayMin: 30 },
      }
    }
    if (tale === 'hotter-softer') return { ...route, austenitizeC: value, tempers: [] }
    return { ...route, tempers: TWICE(value) }
  }
  const count = tale === 'cold' ? 3 : STEPS
  const xs = Array.from({ length: count + 1 }, (_, i) => knob.min + ((knob.max - knob.min) * i) / count)
  const seen = xs.map(x => [x, predict(grade, routeAt(x))] as const)
  const now = predict(grade, routeAt(at))
  const figure = (label: string, unit: string, digits: number, of: (p: typeof now) => number): TaleFigure => ({
    label,
    unit,
    digits,
    along: seen.map(([x, p]) => [x, of(p)] as const),
    now: of(now),
  })
  const hardness = figure('Hardness', 'HRC', 1, p => p.finalHrc.mean)
  const chromium = figure(
    'Chromium at work against rust',
    '%',
    1,
    p => p.austenite.Cr * (1 - p.corrosion.temperPenalty),
  )
  const retained = figure('Soft austenite left', '%', 0, p => 100 * p.retainedAustenite.final)
  if (tale === 'hardness-rust') {
    const [least, most] = [Math.min(...hardness.along.map(r => r[1])), Math.max(...hardness.along.map(r => r[1]))]
    return {
      figures: [hardness, chromium],
      seen: `The temper moves hardness by ${(most - least).toFixed(1)} HRC and the chromium not at all: hardness is not what keeps a blade bright.`,
    }
  }
  if (tale === 'cold') {
    const none = predict(grade, routeAt(0))
    return {
      figures: [hardness, retained, chromium],
      seen: `Here it turns ${Math.round(100 * (none.retainedAustenite.final - now.retainedAustenite.final))} % of the steel from soft austenite to martensite: ${(now.finalHrc.mean - none.finalHrc.mean).toFixed(1)} HRC. Chromium stays as it was, and so does rust.`,
    }
  }
  if (tale === 'twice') {
    const once = predict(grade, { ...routeAt(at), tempers: [{ atC: at, holdMin: 120 }] })
    const fresh = 100 * (once.retainedAustenite.asQuenched - (once.retainedAustenite.afterTempers[0] ?? 0))
    return {
      figures: [
        figure(
          'Austenite turned by the first temper',
          '%',
          0,
          p => 100 * (p.retainedAustenite.asQuenched - (p.retainedAustenite.afterTempers[0] ?? 0)),
        ),
        hardness,
      ],
      seen: `On cooling from the first temper ${Math.round(fresh)} % of the steel turns to fresh, brittle martensite that was never tempered. The second temper is for that.`,
    }
  }
  if (tale === 'not-450')
    return {
      figures: [hardness, chromium],
      seen:
        now.corrosion.temperPenalty > 0
          ? `${Math.round(100 * now.corrosion.temperPenalty)} % of the chromium’s work is lost here: new carbides took it. The same hardness is to be had by a low temper, without that.`
          : 'Below about 400 °C chromium stays in solution: the blade keeps its resistance.',
    }
  const best = hardness.along.reduce((a, b) => (b[1] > a[1] ? b : a))
  return {
    figures: [hardness, retained, figure('Grain held by carbide', '×', 1, p => Math.min(9.9, p.grainPinning))],
    seen:
      at > best[0] + 10
        ? `Past ${Math.round(best[0])} °C more carbon dissolves, martensite starts lower, and soft austenite stays: hotter is softer${now.grainPinning < 1 ? ', and the grain runs away' : ''}.`
        : `It quenches hardest near ${Math.round(best[0])} °C. Up to there more heat dissolves more carbon, and that hardens.`,
  }
}
