import { OVEN_PRESETS, type OvenPreset } from '../../data/ovens'
import type { ChamberModel } from '../oven/chamber'
import { chamberModelOf } from '../oven/chamber-model'
import type { Oven } from '../shop/oven'
import { detailedOven } from './ovens'

/** An oven of the shop with what its wall model does by itself. */
export interface Chamber extends OvenPreset, ChamberModel {}

const chambers = new WeakMap<Oven, Chamber>()

/** An oven for the planned Heat Line and the day, by its wall model and what its log taught. Kept per oven: it runs the model. */
export function chamberOf(oven: Oven): Chamber {
  const known = chambers.get(oven)
  if (known) return known
  const preset = OVEN_PRESETS.find(p => p.name === oven.preset) as OvenPreset
  const { name, chamberMm, powerW, maxC } = oven
  const made = { ...preset, chamberMm, powerW, maxC, label: name, ...chamberModelOf(detailedOven(oven)) }
  chambers.set(oven, made)
  return made
}
