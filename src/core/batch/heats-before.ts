import { PACE } from '../../data/pace'
import { type ChamberModel, coolDownMin } from '../oven/chamber'
import type { Batch } from '../shop/batch'
import { gradeOf } from '../steel/grades'
import { standing } from './blade-state'
import { type HeatBeforeKind, heatBeforeOf, isOfHeat } from './heat-marks'
import { stressReliefOf } from './prepare'
import { type BatchBlade, bladesOf } from './tray'

/** A heat some blades of a batch go through before they are hardened, as the oven goes. */
export interface HeatBefore {
  readonly kind: HeatBeforeKind
  readonly blades: readonly BatchBlade[]
  /** Hottest of it, °C. */
  readonly atC: number
  /** The oven from the packets going in until they come out, [min, °C]. */
  readonly path: readonly (readonly [min: number, c: number])[]
  /** How long they may stay in past its end, min. */
  readonly overrunMin: number
}

/** Cool enough to put blades in that are to heat up slowly, and to open an oven that was left to fall, °C. Common practice, no published source. */
const IN_C = 200
/** Relieved blades come out hot: longer in costs scale. Annealed ones lie in a cold oven as long as one likes. */
const OVERRUN_MIN: Readonly<Record<HeatBeforeKind, number>> = { relieve: 30, anneal: 960 }

/**
 * Returns the heats still to be done before hardening: an anneal of blades hardened before, a stress relief of the others where
 * the batch asks for it; one for each steel that asks for other figures. Nothing that is out already.
 */
export function heatsBefore(batch: Batch, chamber: ChamberModel): HeatBefore[] {
  const found = new Map<string, HeatBefore>()
  for (const blade of standing(bladesOf(batch))) {
    const heat = heatOf(blade, batch, chamber)
    if (!heat || heatBeforeOf(batch, heat.kind, blade.id)?.outAt) continue
    const key = JSON.stringify([heat.kind, heat.path])
    found.set(key, { ...heat, blades: [...(found.get(key)?.blades ?? []), blade] })
  }
  return [...found.values()]
}

function heatOf(blade: BatchBlade, { stressRelief }: Batch, chamber: ChamberModel): Omit<HeatBefore, 'blades'> | null {
  const grade = gradeOf(blade.group)
  if (!grade) return null
  const { rateKPerH, ...relief } = stressReliefOf(grade)
  const climbMin = (toC: number) => ((toC - IN_C) / rateKPerH) * 60
  if (isOfHeat(blade, 'anneal')) {
    const { atC, holdMin, coolCPerH, downToC } = grade.anneal
    const fallMin = ((atC - downToC) / coolCPerH) * 60
    return heat('anneal', atC, [
      [climbMin(atC), atC],
      [holdMin, atC],
      [fallMin, downToC],
      [coolDownMin(chamber, downToC, IN_C), IN_C],
    ])
  }
  if (!stressRelief) return null
  const { atC, holdMin } = relief
  return heat('relieve', atC, [
    [climbMin(atC), atC],
    [holdMin + PACE.temperLagMin, atC],
  ])
}

/** From its parts, each [how long, °C at its end]. */
function heat(
  kind: HeatBeforeKind,
  atC: number,
  parts: readonly (readonly [min: number, toC: number])[],
): Omit<HeatBefore, 'blades'> {
  let at = 0
  const path: [number, number][] = [[0, IN_C]]
  for (const [min, toC] of parts) {
    at += min
    path.push([at, toC])
  }
  return { kind, atC, path, overrunMin: OVERRUN_MIN[kind] }
}
