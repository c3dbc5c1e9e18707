import { useMemo } from 'react'
import { countOfLine } from '../../core/batch/tray'
import type { Answer } from '../../core/contract/questions'
import { checkLayout, type LayoutCheck } from '../../core/foil/check-layout'
import type { Placement } from '../../core/foil/cut-plan'
import { foilFor } from '../../core/foil/foil-type'
import { foiled, packetsOf } from '../../core/load/packets'
import type { Batch } from '../../core/shop/batch'
import { marksOf } from '../../words/lists'
import { useAnswer } from '../../workers/use-answer'
import { useShopNow } from '../shop-context'

type FoilAnswer = Answer<'foil'>

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

/** Envelopes and cut plan of a batch on the shop's foil, with the mark each sheet is for; pieces are in the order of `lines`. */
export function useWrap(whole: Batch) {
  const shop = useShopNow()
  const batch = useMemo(() => foiled(whole, shop), [whole, shop])
  const request = useMemo(() => {
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
  }, [batch, shop.foil, shop.units])
  const answer = useAnswer('foil', request)
  const laid = useMemo(
    () => (answer?.ok ? layOut(batch, answer.value, shop.foil.rollWidthMm) : null),
    [batch, answer, shop],
  )
  const wrapped = batch.groups.filter(g => batch.lines.length === 0 || batch.lines.some(line => line.groupId === g.id))
  const hottestC = Math.max(...wrapped.map(g => g.route.austenitizeC))
  return { lines: batch.lines, answer, laid, foil: foilFor(hottestC), hottestC }
}

function layOut(batch: Batch, answer: FoilAnswer, rollWidthMm: number): Laid {
  const sheets = sheetsKey(answer)
  const own = batch.foilLayout?.sheets === sheets ? batch.foilLayout.places : null
  const layout = own
    ? own.flatMap((place): Placement[] => {
        const piece = answer.pieces[place.piece]
        if (!piece) return []
        const [acrossMm, alongMm] = place.rotated ? [piece.lengthMm, piece.widthMm] : [piece.widthMm, piece.lengthMm]
        return [{ ...place, acrossMm, alongMm }]
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
  const packets = packetsOf(batch)
  const queues = batch.lines.map(line =>
    packets
      .filter(packet => packet.blades[0]?.line.id === line.id)
      .flatMap(packet => Array.from({ length: perPacket }, () => marksOf(packet.blades.map(b => b.mark)))),
  )
  for (const use of answer.offcuts) for (const place of use.layout) queues[place.piece]?.shift()
  return layout.map(place => queues[place.piece]?.shift() ?? '')
}
