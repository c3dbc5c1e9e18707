import { useMemo } from 'react'
import type { Answer } from '../../core/contract/questions'
import { foilFor } from '../../core/foil/foil-type'
import { envelopesRequestOf, foilLengthOf, type LaidFoil, laidFoil } from '../../core/load/laid-foil'
import { foiled, packetsOf } from '../../core/load/packets'
import type { Batch } from '../../core/shop/batch'
import { marksOf } from '../../words/lists'
import { useAnswer } from '../../workers/use-answer'
import { useShopNow } from '../shop-context'

type FoilAnswer = Answer<'foil'>

/** Sheets on the roll with the mark of the packet each is for. */
export interface Laid extends LaidFoil {
  readonly marks: readonly string[]
}

/** Envelopes and cut plan of a batch on the shop's foil, with the mark each sheet is for; pieces are in the order of `lines`. */
export function useWrap(whole: Batch) {
  const shop = useShopNow()
  const batch = useMemo(() => foiled(whole, shop), [whole, shop])
  const request = useMemo(() => envelopesRequestOf(batch, shop), [batch, shop])
  const answer = useAnswer('foil', request)
  const laid = useMemo((): Laid | null => {
    if (!answer?.ok) return null
    const foil = laidFoil(batch, answer.value, shop.foil.rollWidthMm)
    return { ...foil, marks: sheetMarks(batch, answer.value, foil.layout) }
  }, [batch, answer, shop])
  const wrapped = batch.groups.filter(g => batch.lines.length === 0 || batch.lines.some(line => line.groupId === g.id))
  const hottestC = Math.max(...wrapped.map(g => g.route.austenitizeC))
  return {
    lines: batch.lines,
    answer,
    laid,
    length: laid && foilLengthOf(batch, laid),
    foil: foilFor(hottestC),
    hottestC,
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
