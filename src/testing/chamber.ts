import { type Chamber, chamberOf } from '../core/equipment/chambers'
import { newOven } from '../core/shop/defaults'
import type { OvenPreset } from '../data/ovens'

/** An oven of a size as its wall model has it. */
export const chamberOfSize = (name: OvenPreset['name']): Chamber => chamberOf(newOven(name, name, name))
