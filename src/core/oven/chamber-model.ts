import type { Table } from '../numeric/interpolate'
import { AMBIENT_C, bladeKg, type ChamberModel } from './chamber'
import { type DetailedOven, OvenModel } from './oven-model'
import { clippedPi, type PiControl, REACHED_WITHIN_K } from './programme-control'

const STEP_S = 20
/** Points of a table are no closer than this, K. */
const EVERY_K = 20
/** A climb is followed for so long, and so hot, at most; no programme goes hotter. */
const LONGEST_CLIMB_S = 6 * 3600
const HOTTEST_C = 1350
/** A set point that is never reached keeps a climb at full power, °C. */
const FAR_C = 10 * HOTTEST_C
const SETTLING_STEP_S = 5
const LONGEST_SETTLING_S = 3600
const LONGEST_FALL_S = 24 * 3600
/** A fall is swift at first; later the walls have hours, and the step has more time. */
const SWIFT_FALL_S = 3600
const LATE_STEP_S = 120
/** A usual load, of which each kilogram's delay is taken: common blades, crowded half way. */
const LOAD = { lengthMm: 250, widthMm: 40, thicknessMm: 3, count: 8, view: 0.6 } as const
/** Temperatures a fall is followed from, °C, and how long the walls soaked there: a soak is short, a temper long. */
const FALLS = [
  { fromC: 150, soakMin: 120 },
  { fromC: 250, soakMin: 120 },
  { fromC: 400, soakMin: 120 },
  { fromC: 550, soakMin: 120 },
  { fromC: 800, soakMin: 30 },
  { fromC: 1065, soakMin: 30 },
] as const
const FALLEN_C = 25

const known = new Map<string, ChamberModel>()

/**
 * Returns an oven's behaviour by its wall model, as tables: its climb under a controller, empty and per kilogram in it,
 * and its falls with the door shut. Kept by the oven's figures: it is asked for at every drawing.
 */
export function chamberModelOf(oven: DetailedOven): ChamberModel {
  const key = JSON.stringify(oven)
  const found = known.get(key)
  if (found) return found
  const climb = climbOf(new OvenModel(oven))
  const hottestC = climb.at(-1)?.[0] ?? AMBIENT_C
  const made: ChamberModel = {
    climb,
    climbPerKg: perKgOf(oven, climb),
    falls: FALLS.filter(({ fromC }, i) => i === 0 || fromC < hottestC).map(({ fromC, soakMin }) => ({
      fromC,
      table: fallOf(soaked(oven, Math.min(fromC, hottestC), soakMin)),
    })),
  }
  known.set(key, made)
  return made
}

/** Minutes until the controller calls a temperature reached, from where an oven stands: [°C, min]. */
function climbOf(model: OvenModel): Table {
  const table: [number, number][] = [[model.indicatedC, 0]]
  const pi = clippedPi()
  let before = { model: model.clone(), pi: pi.clone(), s: 0 }
  for (let s = STEP_S; s <= LONGEST_CLIMB_S && model.indicatedC < HOTTEST_C; s += STEP_S) {
    model.step(pi.share(FAR_C, model.indicatedC, STEP_S), false, STEP_S)
    if (model.indicatedC < before.model.indicatedC + EVERY_K) continue
    const settledS = settlingS(before, model.indicatedC)
    if (settledS === null) break
    table.push([model.indicatedC, (before.s + settledS) / 60])
    before = { model: model.clone(), pi: pi.clone(), s }
  }
  return table
}

/** Seconds an oven at full power takes to its set point once the controller eases off; null where it does not get there. */
function settlingS(from: { readonly model: OvenModel; readonly pi: PiControl }, setC: number): number | null {
  const [model, pi] = [from.model.clone(), from.pi.clone()]
  const reachedC = setC - REACHED_WITHIN_K
  let [s, beforeC] = [0, model.indicatedC]
  while (model.indicatedC < reachedC) {
    if (s > LONGEST_SETTLING_S) return null
    beforeC = model.indicatedC
    model.step(pi.share(setC, beforeC, SETTLING_STEP_S), false, SETTLING_STEP_S)
    s += SETTLING_STEP_S
  }
  // It was reached within the last step, not at its end.
  const past = model.indicatedC - reachedC
  return s - (past > 0 ? (SETTLING_STEP_S * past) / (model.indicatedC - beforeC) : 0)
}

function perKgOf(oven: DetailedOven, empty: Table): Table {
  const model = new OvenModel(oven)
  model.insert(LOAD)
  const kg = LOAD.count * bladeKg(LOAD)
  const loaded = climbOf(model)
  const at = (c: number) => {
    const i = loaded.findIndex(([other]) => other >= c)
    const [a, b] = [loaded[i - 1], loaded[i]]
    return a && b ? a[1] + ((c - a[0]) / (b[0] - a[0])) * (b[1] - a[1]) : null
  }
  return empty.flatMap(([c, min]) => {
    const later = at(c)
    return c <= AMBIENT_C ? [[c, 0] as const] : later === null ? [] : [[c, Math.max(0, later - min) / kg] as const]
  })
}

/** An oven held at a temperature it was driven to as fast as it goes. */
function soaked(oven: DetailedOven, atC: number, soakMin: number): OvenModel {
  const model = new OvenModel(oven)
  for (let s = 0; model.indicatedC < atC && s < LONGEST_CLIMB_S; s += STEP_S) model.step(1, false, STEP_S)
  for (let s = 0; s < soakMin * 60; s += STEP_S) model.step(model.indicatedC < atC ? 1 : 0, false, STEP_S)
  return model
}

/** Minutes with the door shut and power off, [°C, min], coolest first. */
function fallOf(model: OvenModel): Table {
  const table: [number, number][] = [[model.indicatedC, 0]]
  let s = 0
  while (s < LONGEST_FALL_S && model.indicatedC > FALLEN_C) {
    const stepS = s < SWIFT_FALL_S ? STEP_S : LATE_STEP_S
    model.step(0, false, stepS)
    s += stepS
    const lastC = table.at(-1)?.[0] ?? 0
    if (model.indicatedC <= lastC - Math.min(EVERY_K, (lastC - AMBIENT_C) / 8)) table.push([model.indicatedC, s / 60])
  }
  return table.reverse()
}
