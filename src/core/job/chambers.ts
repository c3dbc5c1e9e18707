import { OVEN_PRESETS, type OvenPreset } from '../../data/ovens'
import { chamberModelOf } from '../oven/chamber-model'
import type { Oven } from '../shop/oven'
import { detailedOven } from './ovens'

const chambers = new WeakMap<Oven, OvenPreset>()

/**
 * An oven as one node, for the planned Heat Line and the day: the size's own figures, or fitted to its wall model. Kept per oven:
 * the fit runs the wall model.
 */
export function chamberOf(oven: Oven): OvenPreset {
  const known = chambers.get(oven)
  if (known) return known
  const made = makeChamber(oven)
  chambers.set(oven, made)
  return made
}

function makeChamber(oven: Oven): OvenPreset {
  const preset = OVEN_PRESETS.find(p => p.name === oven.preset) as OvenPreset
  const { chamberMm: a } = preset
  const { chamberMm: b } = oven
  const asShipped =
    !oven.fit && preset.powerW === oven.powerW && a.width === b.width && a.height === b.height && a.depth === b.depth
  if (asShipped) return { ...preset, maxC: oven.maxC }
  return {
    ...preset,
    chamberMm: oven.chamberMm,
    powerW: oven.powerW,
    maxC: oven.maxC,
    label: oven.name,
    ...chamberModelOf(detailedOven(oven)),
  }
}
