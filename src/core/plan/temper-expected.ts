import type { Grade } from '../../data/grades'
import type { Batch } from '../record/schemas'
import { predict, type ShopExperience } from '../steel/predict'
import { routeOfPiece, type TemperLoad } from './tray'

/** What the blades of one grade, on one route, should read after a temper load. */
export interface Expectation {
  readonly gradeName: string
  readonly hrc: number
}

/** A grade in a batch with what the shop's readings add to it. */
interface Known {
  readonly group: { readonly id: string }
  readonly grade: Grade
  readonly experience: ShopExperience | null
}

/** What a temper load should read afterwards, HRC, once for each route in it: a blade may have had tempers of its own. */
export function expectedAfter(
  load: TemperLoad,
  batch: Pick<Batch, 'pieceTempers'>,
  known: readonly Known[],
): Expectation[] {
  const found = new Map<string, Expectation>()
  for (const piece of load.pieces) {
    const own = known.find(k => k.group.id === piece.group.id)
    if (!own) continue
    const route = routeOfPiece(batch, piece)
    const key = `${piece.group.id} ${JSON.stringify(route.tempers.slice(0, load.round))}`
    const after = found.has(key) ? null : predict(own.grade, route, own.experience).hrc.afterTempers[load.round - 1]
    if (after) found.set(key, { gradeName: own.grade.name, hrc: after.mean })
  }
  return [...found.values()]
}
