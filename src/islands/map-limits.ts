import { usualOvenOf } from '../core/equipment/ovens'
import { reachC } from '../core/oven/correction'
import type { Workshop } from '../core/shop/workshop'
import { FOIL_MARGIN_C, FOIL_TYPES } from '../data/foil'
import type { Grade } from '../data/grades'
import { STEEL_MODEL } from '../data/steel-model'
import type { MapLimits } from '../ui/recipe-map/axes'

/** Returns the bounds of a recipe map for a grade in this shop. */
export const mapLimits = (grade: Grade, shop: Workshop): MapLimits => ({
  ovenMaxC: reachC(usualOvenOf(shop)),
  foils: FOIL_TYPES.map(({ name, maxC }) => ({ name, maxC: maxC - FOIL_MARGIN_C })),
  robsAboveC: grade.family === 'stainless' ? STEEL_MODEL.corrosion.penaltyFromC : null,
})
