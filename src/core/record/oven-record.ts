import { OVEN_BUILDS, OVEN_PRESETS, type OvenPreset } from '../../data/ovens'
import { chamberModelOf } from '../oven/chamber-model'
import { withFactors } from '../oven/fit/factors'
import type { DetailedOven } from '../oven/oven-model'
import { ovenPreset } from '../oven/presets'
import type { Oven } from './oven-schema'
import type { Batch, Workshop } from './schemas'

/** The controller most small ovens come with. */
const USUAL_CONTROLLER: Oven['controller'] = {
  steps: 8,
  ramp: 'per-hour',
  degrees: 'C',
  longestHoldMin: 999,
  fullPower: '9999',
}

/** A new oven of one of the usual sizes. */
export function newOven(id: string, name: string, preset: OvenPreset['name'], use: Oven['use'] = 'hardening'): Oven {
  const { chamberMm, powerW, maxC } = ovenPreset(preset)
  return {
    id,
    name,
    use,
    preset,
    chamberMm,
    powerW,
    volts: 230,
    elements: 'sides',
    thermocouple: 'K',
    maxC,
    controller: USUAL_CONTROLLER,
    correctionFrom: 'hand',
    correctionC: 0,
    evidence: [],
    fit: null,
  }
}

/** The oven a batch is hardened in: by its name, or the shop's first choice. */
export function ovenOf(shop: Pick<Workshop, 'ovens' | 'hardeningOven'>, batch?: Pick<Batch, 'oven'> | null): Oven {
  const named = batch?.oven ? shop.ovens.find(oven => oven.name === batch.oven && oven.use === 'hardening') : undefined
  const chosen = named ?? shop.ovens.find(oven => oven.id === shop.hardeningOven) ?? shop.ovens[0]
  if (!chosen) throw new RangeError('a workshop has at least one oven')
  return chosen
}

/** The oven that tempers: the shop's tempering oven, or the hardening one where it has none. */
export function temperingOvenOf(
  shop: Pick<Workshop, 'ovens' | 'hardeningOven' | 'temperingOven'>,
  batch?: Pick<Batch, 'oven'> | null,
): Oven {
  const own = shop.temperingOven === 'own' ? shop.ovens.find(oven => oven.use === 'tempering') : undefined
  return own ?? ovenOf(shop, batch)
}

/** An oven as the wall model takes it, with what its log taught. */
export function detailedOven(oven: Pick<Oven, 'preset' | 'powerW' | 'chamberMm' | 'fit'>): DetailedOven {
  const own = { powerW: oven.powerW, chamberMm: oven.chamberMm, build: OVEN_BUILDS[oven.preset] }
  return oven.fit ? withFactors(own, oven.fit) : own
}

/** An oven as one node, for the Heat Line and the practice run: the size's own figures, or fitted to its wall model. */
export function chamberOf(oven: Oven): OvenPreset {
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
