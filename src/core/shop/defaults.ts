import { OVEN_PRESETS, type OvenPreset } from '../../data/ovens'
import type { Oven } from './oven'
import { USUAL_SERIALS } from './serial'
import type { Workshop } from './workshop'

/** The controller most small ovens come with. */
const USUAL_CONTROLLER: Oven['controller'] = {
  steps: 8,
  ramp: 'per-hour',
  degrees: 'C',
  longestHoldMin: 999,
  fullPower: '',
}

/** A new oven of one of the usual sizes. */
export function newOven(id: string, name: string, preset: OvenPreset['name'], use: Oven['use'] = 'hardening'): Oven {
  const { chamberMm, powerW, maxC } = OVEN_PRESETS.find(p => p.name === preset) as OvenPreset
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

/**
 * An oven said to be of another size: its walls are taken to be built so. Chamber, power and limit follow where they were still those
 * of the size before; what the maker entered stays. What was fitted to a log of other walls is forgotten, the log is not.
 */
export function ofSize(oven: Oven, name: OvenPreset['name']): Oven {
  if (name === oven.preset) return oven
  const presetOf = (of: OvenPreset['name']) => OVEN_PRESETS.find(p => p.name === of) as OvenPreset
  const [before, now] = [presetOf(oven.preset), presetOf(name)]
  const side = (of: 'width' | 'height' | 'depth') =>
    oven.chamberMm[of] === before.chamberMm[of] ? now.chamberMm[of] : oven.chamberMm[of]
  return {
    ...oven,
    preset: name,
    chamberMm: { width: side('width'), height: side('height'), depth: side('depth') },
    powerW: oven.powerW === before.powerW ? now.powerW : oven.powerW,
    maxC: oven.maxC === before.maxC ? now.maxC : oven.maxC,
    fit: null,
  }
}

/** A shop as most are: a medium oven, 25 mm plates, dry ice in alcohol. */
export const DEFAULT_WORKSHOP: Workshop = {
  id: 'shop',
  origin: 'unnamed',
  name: 'My workshop',
  isDemo: false,
  said: [],
  units: 'metric',
  theme: 'system',
  serialPattern: USUAL_SERIALS,
  ovens: [newOven('oven-1', 'Hardening oven', 'medium'), newOven('oven-2', 'Tempering oven', 'small', 'tempering')],
  hardeningOvenId: 'oven-1',
  temperingOvenId: 'oven-2',
  plates: { thicknessMm: 25, widthMm: 100, lengthMm: 450, startC: 20, air: 'air-blast' },
  // A section longer than half a metre is hard to cut along by hand.
  foil: { rollWidthMm: 610, rotate: true, longestSectionMm: 500, pricePerM: 30 },
  cold: {
    medium: 'dry-ice',
    bath: { fluid: 'isopropanol', litres: 4 },
    vesselKg: 1,
    lossWPerK: 0.35,
    room: { m3: 40, airChangesPerH: 2 },
  },
  tester: { dial: true, blocks: [], checks: [] },
}
