import { ROLL_USE } from '../../data/foil'
import { envelopeOf } from '../foil/envelope'
import { planRoll } from '../foil/envelope-plan'
import { envelopesRequestOf, type FoilLength, foilLengthOf, laidFoil } from '../load/laid-foil'
import { foiled, packetsOf } from '../load/packets'
import type { Batch } from '../shop/batch'
import type { Workshop } from '../shop/workshop'

export interface FoilNeeded extends FoilLength {
  /** Area of the envelope each blade lies in, m², shared by the blades in it; a blade without foil is absent. */
  readonly areaM2: ReadonlyMap<string, number>
}

/**
 * Returns the foil a batch takes off the roll, by the same plan that Wrap shows. Where no plan can lay its sheets the length is
 * estimated from the envelopes' area and a usual roll's use, and says so.
 */
export function foilNeeded(batch: Batch, shop: Pick<Workshop, 'oil' | 'foil' | 'units'>): FoilNeeded {
  const inFoil = foiled(batch, shop)
  const areaM2 = new Map<string, number>()
  for (const { blades } of packetsOf(inFoil)) {
    const [first] = blades
    const sheet = first && envelopeOf(first.line, batch.envelope)
    if (!sheet?.ok) continue
    const { lengthMm, widthMm, sheets } = sheet.value
    for (const { id } of blades) areaM2.set(id, (lengthMm * widthMm * sheets) / 1e6 / blades.length)
  }
  return { areaM2, ...lengthOf(inFoil, shop, areaM2) }
}

function lengthOf(
  batch: Batch,
  shop: Pick<Workshop, 'foil' | 'units'>,
  areaM2: ReadonlyMap<string, number>,
): FoilLength {
  if (batch.foilCutM !== undefined) return { metres: batch.foilCutM, from: 'cut' }
  const request = envelopesRequestOf(batch, shop)
  if (!request) return { metres: 0, from: 'plan' }
  const plan = planRoll(request)
  if (plan.ok) return foilLengthOf(batch, laidFoil(batch, plan.value, shop.foil.rollWidthMm))
  const allM2 = [...areaM2.values()].reduce((sum, area) => sum + area, 0)
  return { metres: allM2 / (shop.foil.rollWidthMm / 1000) / ROLL_USE, from: 'area' }
}
