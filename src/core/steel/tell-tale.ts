import type { Grade } from '../../data/grades'
import { COLD_STEPS_C, knobOf, type TaleAnswer, type TaleFigure, type TaleFigureName, type TaleName } from './folklore'
import { predict } from './predict'
import { type Route, usualCold } from './route'

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
        cold: toC === null ? null : usualCold(toC),
      }
    }
    if (tale === 'hotter-softer') return { ...route, austenitizeC: value, tempers: [] }
    return { ...route, tempers: TWICE(value) }
  }
  const count = tale === 'cold' ? 3 : STEPS
  const xs = Array.from({ length: count + 1 }, (_, i) => knob.min + ((knob.max - knob.min) * i) / count)
  const seen = xs.map(x => [x, predict(grade, routeAt(x))] as const)
  const now = predict(grade, routeAt(at))
  const figure = (name: TaleFigureName, of: (p: typeof now) => number): TaleFigure => ({
    name,
    along: seen.map(([x, p]) => [x, of(p)] as const),
    now: of(now),
  })
  const freshOf = (p: typeof now) => p.retainedAustenite.asQuenched - (p.retainedAustenite.afterTempers[0] ?? 0)
  const hardness = figure('hardness', p => p.finalHrc.mean)
  const chromium = figure('chromium', p => p.austenite.Cr * (1 - p.corrosion.temperPenalty))
  const notStainless = { code: 'not-stainless', chromium: now.corrosion.chromiumInSolution } as const
  const retained = figure('retained', p => p.retainedAustenite.final)
  if (tale === 'hardness-rust') {
    const all = hardness.along.map(([, value]) => value)
    return {
      figures: [hardness, chromium],
      seen: now.corrosion.stainless
        ? { code: 'rust-not-hardness', movesHrc: Math.max(...all) - Math.min(...all) }
        : notStainless,
    }
  }
  if (tale === 'cold') {
    const none = predict(grade, routeAt(0))
    return {
      figures: [hardness, retained, chromium],
      seen: {
        code: 'cold-turns',
        share: none.retainedAustenite.final - now.retainedAustenite.final,
        gainHrc: now.finalHrc.mean - none.finalHrc.mean,
      },
    }
  }
  if (tale === 'twice') {
    const once = predict(grade, { ...routeAt(at), tempers: [{ atC: at, holdMin: 120 }] })
    return {
      figures: [figure('fresh', freshOf), hardness],
      seen: { code: 'fresh-martensite', share: freshOf(once) },
    }
  }
  if (tale === 'not-450') {
    const share = now.corrosion.temperPenalty
    return {
      figures: [hardness, chromium],
      seen: !now.corrosion.stainless
        ? notStainless
        : share > 0
          ? { code: 'chromium-lost', share }
          : { code: 'chromium-stays' },
    }
  }
  const [hardestC] = hardness.along.reduce((a, b) => (b[1] > a[1] ? b : a))
  return {
    figures: [hardness, retained, figure('grain', p => Math.min(MOST_SHOWN_PINNING, p.grainPinning))],
    seen:
      at > hardestC + 10
        ? { code: 'hotter-softer', hardestC, coarse: now.grainPinning < 1 }
        : { code: 'hardest-near', hardestC },
  }
}

/** A grain held more firmly than this is held. */
const MOST_SHOWN_PINNING = 9.9
