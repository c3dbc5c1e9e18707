import { FOIL } from '../../data/foil'
import type { Grade } from '../../data/grades'
import { planFor } from '../steel/grades'
import { DRY_ICE_C, FREEZER_C, LIQUID_NITROGEN_C, suggestRoute, usualTargetOf } from '../steel/suggest'
import { newOven, ovenOf } from './oven-record'
import type { Batch, BatchGroup, Blade, Workshop } from './schemas'

/** A shop as most are: a medium oven, 25 mm plates, dry ice in alcohol. */
export const DEFAULT_WORKSHOP: Workshop = {
  id: 'shop',
  name: 'My workshop',
  units: 'metric',
  theme: 'system',
  ovens: [newOven('oven-1', 'Hardening oven', 'medium'), newOven('oven-2', 'Tempering oven', 'small', 'tempering')],
  hardeningOven: 'oven-1',
  temperingOven: 'own',
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
  block: null,
}

/** How cold the shop goes, °C; null without cold. */
export const coldToC = (shop: Pick<Workshop, 'cold'>): number | null =>
  ({ none: null, freezer: FREEZER_C, 'dry-ice': DRY_ICE_C, 'liquid-nitrogen': LIQUID_NITROGEN_C })[shop.cold.medium]

export const newGroup = (id: string, grade: Grade, shop: Workshop, thicknessMm: number): BatchGroup => {
  const target = usualTargetOf(grade)
  const route = suggestRoute(grade, target, { coldToC: coldToC(shop), ovenMaxC: ovenOf(shop).maxC, thicknessMm })
  return {
    id,
    ...(planFor(grade) as Pick<BatchGroup, 'gradeName' | 'sheet'>),
    target,
    route: { ...route, tempers: [...route.tempers] },
    recipeId: null,
    symptom: null,
    decisions: [],
  }
}

/** Marks run A, B, C …; after Z they are doubled. */
export function nextMark(blades: readonly Blade[]): string {
  const used = new Set(blades.map(blade => blade.mark.toUpperCase()))
  for (let i = 0; ; i++) {
    const letter = String.fromCharCode(65 + (i % 26))
    const mark = letter.repeat(1 + Math.floor(i / 26))
    if (!used.has(mark)) return mark
  }
}

export const newBlade = (id: string, groupId: string, blades: readonly Blade[]): Blade => {
  const like = blades[blades.length - 1]
  const size = like ?? { lengthMm: 250, widthMm: 40, thicknessMm: 2.5, bevels: 'pre-ground' as const }
  return {
    id,
    groupId,
    mark: nextMark(blades),
    lengthMm: size.lengthMm,
    widthMm: size.widthMm,
    thicknessMm: size.thicknessMm,
    count: 1,
    bevels: size.bevels,
  }
}

export const newBatch = (
  ids: { batch: string; group: string },
  name: string,
  grade: Grade,
  shop: Workshop,
  nowIso: string,
): Batch => ({
  id: ids.batch,
  rev: 0,
  name,
  createdAt: nowIso,
  updatedAt: nowIso,
  deletedAt: null,
  groups: [newGroup(ids.group, grade, shop, 2.5)],
  blades: [],
  oven: ovenOf(shop).name,
  envelope: { ...FOIL.envelope },
  countedOut: null,
  note: '',
})
