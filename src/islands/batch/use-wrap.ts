import { useMemo } from 'react'
import { checkLayout, type LayoutCheck } from '../../core/foil/check-layout'
import type { Placement } from '../../core/foil/cut-plan'
import { foilFor } from '../../core/foil/foil-type'
import { packetsOf } from '../../core/plan/packets'
import type { LocalAnswer } from '../../core/record/questions/local'
import type { Batch, Workshop } from '../../core/record/schemas'
import { useAnswer } from '../../workers/use-answer'

type FoilAnswer = LocalAnswer<'foil'>

/** Sheets by size and count: a layout made by hand holds for these alone. */
const sheetsKey = (answer: FoilAnswer) =>
  answer.pieces.map(p => `${p.lengthMm}x${p.widthMm}x${p.count}`).join(' ') +
  answer.offcuts.map(o => `/${o.id}`).join('')

/** The sheets on the roll, as computed or as they were laid by hand. */
export interface Laid {
  readonly layout: readonly Placement[]
  readonly byHand: boolean
  readonly sheets: string
  readonly check: LayoutCheck
  /** Mark of the packet each sheet is for. */
  readonly marks: readonly string[]
}

/** Envelopes and cut plan of a batch on the shop's foil, with the mark each sheet is for. */
export function useWrap(batch: Batch, shop: Workshop) {
  const request = useMemo(() => {
    const { rollWidthMm, rotate, longestSectionMm, offcuts } = shop.foil
    return batch.blades.length === 0
      ? null
      : {
          rollWidthMm,
          rotate,
          longestSectionMm,
          // Once it is cut, what was kept from it is for other batches.
          offcuts: batch.foilCutAt ? [] : (offcuts ?? []),
          envelope: batch.envelope,
          blades: batch.blades.map(({ lengthMm, widthMm, thicknessMm, count }) => ({
            lengthMm,
            widthMm,
            thicknessMm,
            count,
          })),
        }
  }, [batch.blades, batch.envelope, batch.foilCutAt, shop.foil])
  const answer = useAnswer('foil', request)
  const laid = useMemo(
    () => (answer?.ok ? layOut(batch, answer.value, shop.foil.rollWidthMm) : null),
    [batch, answer, shop],
  )
  const hottestC = Math.max(...batch.groups.map(g => g.route.austenitizeC))
  return { answer, laid, foil: foilFor(hottestC), hottestC }
}

function layOut(batch: Batch, answer: FoilAnswer, rollWidthMm: number): Laid {
  const sheets = sheetsKey(answer)
  const own = batch.foilLayout?.sheets === sheets ? batch.foilLayout.places : null
  const layout = own
    ? own.flatMap((place): Placement[] => {
        const piece = answer.pieces[place.piece]
        if (!piece) return []
        const [acrossMm, alongMm] = place.rotated ? [piece.lengthMm, piece.widthMm] : [piece.widthMm, piece.lengthMm]
        return [{ ...place, acrossMm: Math.ceil(acrossMm), alongMm: Math.ceil(alongMm) }]
      })
    : answer.layout
  return {
    layout,
    byHand: own !== null,
    sheets,
    check: checkLayout(layout, rollWidthMm),
    marks: sheetMarks(batch, answer, layout),
  }
}

/** Sheets of one line of blades are alike: they take its packets in order, those from offcuts first. */
function sheetMarks(batch: Batch, answer: FoilAnswer, layout: readonly { readonly piece: number }[]): string[] {
  const perPacket = batch.envelope.way === 'two-sheets' ? 2 : 1
  const queues = batch.blades.map(blade =>
    packetsOf({ ...batch, blades: [blade] }).flatMap(packet => Array.from({ length: perPacket }, () => packet.mark)),
  )
  for (const use of answer.offcuts) for (const place of use.layout) queues[place.piece]?.shift()
  return layout.map(place => queues[place.piece]?.shift() ?? '')
}
