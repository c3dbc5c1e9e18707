import { FOIL } from '../../data/foil'
import type { Grade } from '../../data/grades'
import { PACE } from '../../data/pace'
import { ASSUMED_THICKNESS_MM, thickestLineOf } from '../batch/tray'
import { airOf, contactOf, plateSize } from '../equipment/plates'
import { MEDIUM, quenchWayOf } from '../equipment/quench-way'
import { remembered } from '../numeric/remembered'
import { FOLLOWED_S, seconds800to500Of } from '../quench/cooling-time'
import type { Size } from '../quench/plate-stack'
import { onceQuenched } from '../quench/quench'
import type { Batch, BatchGroup } from '../shop/batch'
import type { Workshop } from '../shop/workshop'

type QuenchShop = Pick<Workshop, 'plates' | 'oil' | 'roomC'>

/** A usual blade, while a steel has none on its tray, mm. */
const USUAL_SIZE: Size = { thicknessMm: ASSUMED_THICKNESS_MM, widthMm: 40, lengthMm: 250 }

/** A cooling of less than this share of the slowest that hardens a steel moves its hardness by less than a tenth. */
const COUNTS_FROM = 0.25

/** Seconds to 500 °C to try first: a blade that is not there by then is followed to the end. */
const USUALLY_THERE_S = 60

/**
 * Seconds from 800 to 500 °C of the thickest blade of a steel in the quench this shop has for it, between plates where it has none;
 * undefined where that is as fast as the steel needs.
 */
export function quenchSecondsOf(
  batch: Pick<Batch, 'lines'>,
  group: Pick<BatchGroup, 'id'>,
  { grade, shop, fromC }: { readonly grade: Grade; readonly shop: QuenchShop; readonly fromC: number },
): number | undefined {
  const blade = thickestLineOf(batch, group.id) ?? USUAL_SIZE
  const way = quenchWayOf(grade, shop) ?? 'plates'
  const request = {
    blade: { thicknessMm: blade.thicknessMm, widthMm: blade.widthMm, lengthMm: blade.lengthMm },
    fromC,
    medium: MEDIUM[way],
    // Into oil a blade goes bare.
    foilMm: way === 'plates' ? FOIL.thicknessMm : 0,
    plates: plateSize(shop),
    plateStartC: shop.plates.startC,
    contactWPerM2K: contactOf(shop),
    airWPerM2K: airOf(shop),
    ambientC: shop.roomC ?? PACE.roomC,
  } as const
  return countedSeconds(knownSeconds(request), grade)
}

/** A cooling time as predictions count it: undefined where it is as fast as the steel needs. */
export const countedSeconds = (seconds: number, { quench }: Pick<Grade, 'quench'>): number | undefined =>
  seconds < COUNTS_FROM * quench.slowest800to500S ? undefined : Math.max(0.1, seconds)

/** The same cooling is asked for with every edit. */
const knownSeconds = remembered(secondsOf, 200)

function secondsOf(request: Parameters<typeof onceQuenched>[0]): number {
  const soon = onceQuenched(request, USUALLY_THERE_S)
  return seconds800to500Of(soon.secondsTo['500'] === null ? onceQuenched(request, FOLLOWED_S) : soon)
}
