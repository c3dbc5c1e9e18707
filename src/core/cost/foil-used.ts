import { ROLL_USE } from '../../data/foil'
import { envelopeOf } from '../foil/envelope'
import { foiled, packetsOf } from '../load/packets'
import type { Batch } from '../shop/batch'
import type { Workshop } from '../shop/workshop'

/** Where a length of foil is known from. */
export type FoilSource = 'cut' | 'area'

export interface FoilUsed {
  readonly metres: number
  readonly from: FoilSource
  /** Foil of the packet each blade lies in, m², shared by those in it; a blade without foil is not there. */
  readonly areaM2: ReadonlyMap<string, number>
}

/** Metres off a roll for so much foil, m², by the share of a roll that a usual plan uses. */
export const rollMetres = (areaM2: number, { rollWidthMm }: Workshop['foil']): number =>
  areaM2 / (rollWidthMm / 1000) / ROLL_USE

/** Foil of a batch off the roll: as it was cut, else by the area of its packets and the share of a roll that a usual plan uses. */
export function foilUsed(batch: Batch, shop: Pick<Workshop, 'oil' | 'foil'>): FoilUsed {
  const inFoil = foiled(batch, shop)
  const areaM2 = new Map<string, number>()
  for (const { blades } of packetsOf(inFoil)) {
    const [first] = blades
    const sheet = first && envelopeOf(first.line, batch.envelope)
    if (!sheet?.ok) continue
    const { lengthMm, widthMm, sheets } = sheet.value
    for (const { id } of blades) areaM2.set(id, (lengthMm * widthMm * sheets) / 1e6 / blades.length)
  }
  if (batch.foilCutM !== undefined) return { metres: batch.foilCutM, from: 'cut', areaM2 }
  const all = [...areaM2.values()].reduce((sum, area) => sum + area, 0)
  return { metres: rollMetres(all, shop.foil), from: 'area', areaM2 }
}
