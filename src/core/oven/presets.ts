import { OVEN_PRESETS, type OvenPreset } from '../../data/ovens'

/** The oven size of a name; the medium one for a name that is not known. */
export const ovenPreset = (name: string): OvenPreset =>
  OVEN_PRESETS.find(p => p.name === name) ?? (OVEN_PRESETS[1] as OvenPreset)
