import { countOfLine } from '../batch/tray'
import type { FoilSource } from '../codes/working'
import { checkLayout, type LayoutCheck } from '../foil/check-layout'
import type { Placement } from '../foil/cut-plan'
import type { EnvelopesRequest, RollPlan } from '../foil/envelope-plan'
import type { Batch } from '../shop/batch'
import type { Workshop } from '../shop/workshop'

/** Sheets on the roll, as computed or as they were laid by hand. */
export interface LaidFoil {
  readonly layout: readonly Placement[]
  readonly byHand: boolean
  /** Sizes and counts of the sheets: a layout made by hand holds for these alone. */
  readonly sheets: string
  readonly check: LayoutCheck
  /** Share of the used length that is in no sheet, and excess over the lower bound, 0..1. */
  readonly wasteShare: number
  readonly overBoundShare: number
}

export interface FoilLength {
  readonly metres: number
  readonly from: FoilSource
}

type Foiled = Pick<Batch, 'lines' | 'blades' | 'envelope' | 'foilCutAt'>

/** Returns the request for the cut plan of a batch's envelopes on the shop's roll, or null without blades. */
export const envelopesRequestOf = (batch: Foiled, shop: Pick<Workshop, 'foil' | 'units'>): EnvelopesRequest | null => {
  const { rollWidthMm, rotate, longestSectionMm, offcuts } = shop.foil
  return batch.lines.length === 0
    ? null
    : {
        rollWidthMm,
        rotate,
        longestSectionMm,
        system: shop.units,
        // Once it is cut, what was kept from it is for other batches.
        offcuts: batch.foilCutAt ? [] : (offcuts ?? []),
        envelope: batch.envelope,
        blades: batch.lines.map(({ id, lengthMm, widthMm, thicknessMm }) => ({
          lengthMm,
          widthMm,
          thicknessMm,
          count: Math.max(1, countOfLine(batch, id)),
        })),
      }
}

const sheetsKey = ({ pieces, offcuts }: Pick<RollPlan, 'pieces' | 'offcuts'>) =>
  pieces.map(p => `${p.lengthMm}x${p.widthMm}x${p.count}`).join(' ') + offcuts.map(o => `/${o.id}`).join('')

/** Returns the layout that is cut: the maker's own while the sheets are those it was made for, else the computed one. */
export function laidFoil(
  batch: Pick<Batch, 'foilLayout'>,
  plan: Pick<RollPlan, 'pieces' | 'offcuts' | 'layout' | 'lowerBoundMm'>,
  rollWidthMm: number,
): LaidFoil {
  const sheets = sheetsKey(plan)
  const own = batch.foilLayout?.sheets === sheets ? batch.foilLayout.places : null
  const layout = own
    ? own.flatMap((place): Placement[] => {
        const piece = plan.pieces[place.piece]
        if (!piece) return []
        const [acrossMm, alongMm] = place.rotated ? [piece.lengthMm, piece.widthMm] : [piece.widthMm, piece.lengthMm]
        return [{ ...place, acrossMm, alongMm }]
      })
    : plan.layout
  const check = checkLayout(layout, rollWidthMm)
  const sheetsMm2 = layout.reduce((sum, place) => sum + place.acrossMm * place.alongMm, 0)
  return {
    layout,
    byHand: own !== null,
    sheets,
    check,
    wasteShare: check.usedLengthMm > 0 ? 1 - sheetsMm2 / (check.usedLengthMm * rollWidthMm) : 0,
    overBoundShare: plan.lowerBoundMm > 0 ? check.usedLengthMm / plan.lowerBoundMm - 1 : 0,
  }
}

/** Returns the length of foil a batch takes off the roll: as noted when it was cut, else as it is laid. */
export const foilLengthOf = (
  { foilCutM }: Pick<Batch, 'foilCutM'>,
  { check, byHand }: Pick<LaidFoil, 'check' | 'byHand'>,
): FoilLength =>
  foilCutM !== undefined
    ? { metres: foilCutM, from: 'cut' }
    : { metres: check.usedLengthMm / 1000, from: byHand ? 'by-hand' : 'plan' }
