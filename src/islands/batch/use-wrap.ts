import { foilFor } from '../../core/foil/foil-type'
import { piecesOf } from '../../core/plan/tray'
import type { Batch, Workshop } from '../../core/record/schemas'
import { useAnswer } from '../../workers/use-answer'

/** Envelopes and cut plan of a batch on the shop's roll, with the mark each sheet is for. */
export function useWrap(batch: Batch, shop: Workshop) {
  const { rollWidthMm, rotate, longestSectionMm } = shop.foil
  const answer = useAnswer(
    'foil',
    batch.blades.length === 0
      ? null
      : {
          rollWidthMm,
          rotate,
          longestSectionMm,
          envelope: batch.envelope,
          blades: batch.blades.map(({ lengthMm, widthMm, thicknessMm, count }) => ({
            lengthMm,
            widthMm,
            thicknessMm,
            count,
          })),
        },
  )
  const hottestC = Math.max(...batch.groups.map(g => g.route.austenitizeC))
  return {
    answer,
    foil: foilFor(hottestC + shop.oven.correctionC),
    hottestC,
    marks: answer?.ok ? sheetMarks(batch, answer.value.layout) : [],
  }
}

/** Sheets of one line of blades are alike: they take its marks in order. */
function sheetMarks(batch: Batch, layout: readonly { readonly piece: number }[]): string[] {
  const queues = batch.blades.map(blade =>
    piecesOf(batch)
      .filter(p => p.blade.id === blade.id)
      .map(p => p.mark),
  )
  return layout.map(place => queues[place.piece]?.shift() ?? '')
}
