import { AMBIENT_C, type ChamberModel } from './chamber'
import { type DetailedOven, OvenModel } from './oven-model'
import { followProgramme } from './programme-control'

type OneNode = Pick<ChamberModel, 'heating' | 'cooling'>

const STEP_S = 10
const MIDDLE_C = 790
const TOP_C = 1065
const COOLED_C = 200
const LONGEST_S = 8 * 3600

const known = new Map<string, OneNode>()

/**
 * One node (T∞, τ) that takes the wall model's own minutes under its controller from cold to 790 °C and on to 1065 °C, and its
 * hours from there to 200 °C with the door shut. Kept by the oven's figures: it is asked for at every drawing.
 */
export function chamberModelOf(oven: DetailedOven): OneNode {
  const key = JSON.stringify(oven)
  const found = known.get(key)
  if (found) return found
  const model = new OvenModel(oven)
  let middleS: number | null = null
  let s = 0
  const controller = followProgramme(
    [MIDDLE_C, TOP_C].map(targetC => ({ rateCPerH: null, targetC, holdMin: 0 })),
    AMBIENT_C,
  )
  while (!controller.done() && s < LONGEST_S) {
    model.step(controller.share(model.indicatedC, STEP_S), false, STEP_S)
    s += STEP_S
    controller.advance(model.indicatedC, s)
    if (middleS === null && controller.state().step > 0) middleS = s
  }
  const reachedC = model.indicatedC
  const heating = heatingOf(middleS, s, controller.done() ? TOP_C : reachedC)
  let coolS = 0
  while (model.indicatedC > COOLED_C && coolS < 2 * LONGEST_S) {
    model.step(0, false, STEP_S)
    coolS += STEP_S
  }
  const tauMin = coolS / 60 / Math.log((reachedC - AMBIENT_C) / (COOLED_C - AMBIENT_C))
  const fitted = { heating, cooling: { tauMin: Number.isFinite(tauMin) && tauMin > 1 ? tauMin : 120 } }
  known.set(key, fitted)
  return fitted
}

/** T∞ so that both times of the climb come out, found by halving; τ follows. */
function heatingOf(middleS: number | null, endS: number, reachedC: number): OneNode['heating'] {
  if (middleS === null || reachedC < TOP_C)
    // It settles below full heat: what it reached is where it settles.
    return { settlesAtC: Math.max(60, reachedC + 5), tauMin: endS / 60 / 4 }
  const ratio = (endS - middleS) / middleS
  const ratioAt = (settles: number) =>
    Math.log((settles - MIDDLE_C) / (settles - TOP_C)) / Math.log((settles - AMBIENT_C) / (settles - MIDDLE_C))
  let [low, high] = [TOP_C + 1, 6000]
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2
    // The hotter it would settle, the less the top of the climb takes.
    if (ratioAt(middle) > ratio) low = middle
    else high = middle
  }
  const settlesAtC = (low + high) / 2
  return { settlesAtC, tauMin: middleS / 60 / Math.log((settlesAtC - AMBIENT_C) / (settlesAtC - MIDDLE_C)) }
}
