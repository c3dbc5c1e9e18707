import { serialGiver } from '../shop/serial'
import type { WorkshopData } from './exchange'

/** Names changed so that records of two workshops are not confused. */
export interface Adoption {
  readonly data: WorkshopData
  /** Ovens that came along, by the name they have here now. */
  readonly ovens: readonly string[]
  /** Serials that were in use here, and what they became. */
  readonly serials: readonly { readonly from: string; readonly to: string }[]
}

/**
 * A file of another workshop, or of an age that did not say whose it is, as it can be laid beside what is here. Its ovens come along
 * under ids of their own, unless an oven here has both its id and its name; and a serial that another blade here has is given anew,
 * since serials are unique in a log.
 */
export function adopt(here: WorkshopData, file: WorkshopData, newId: () => string): Adoption {
  const isHere = (oven: { id: string; name: string }) =>
    here.shop.ovens.some(o => o.id === oven.id && o.name === oven.name)
  const foreign = file.shop.ovens.filter(oven => !isHere(oven) && isUsed(file, oven.id))
  const ids = new Map(foreign.map(oven => [oven.id, newId()]))
  const idOf = (id: string) => ids.get(id) ?? id
  const serials = freshSerials(here, file)
  return {
    data: {
      ...file,
      shop: { ...here.shop, ovens: [...here.shop.ovens, ...foreign.map(oven => ({ ...oven, id: idOf(oven.id) }))] },
      batches: file.batches.map(batch => ({ ...batch, ovenId: batch.ovenId && idOf(batch.ovenId) })),
      logs: file.logs.map(log => ({ ...log, ovenId: idOf(log.ovenId) })),
      blades: file.blades.map(blade => ({ ...blade, serial: serials.get(blade.id)?.to ?? blade.serial })),
    },
    ovens: foreign.map(oven => oven.name),
    serials: [...serials.values()],
  }
}

const isUsed = (file: WorkshopData, ovenId: string) =>
  file.batches.some(batch => batch.ovenId === ovenId) || file.logs.some(log => log.ovenId === ovenId)

/** New serials for blades of a file whose serial another blade here has, by blade. */
function freshSerials(here: WorkshopData, file: WorkshopData): Map<string, { from: string; to: string }> {
  const taken = new Map(here.blades.map(blade => [blade.serial, blade.id]))
  const created = new Map(file.batches.map(batch => [batch.id, batch.createdAt]))
  const next = serialGiver(
    here.shop.serialPattern,
    [...here.blades, ...file.blades].map(blade => blade.serial),
  )
  const fresh = new Map<string, { from: string; to: string }>()
  for (const blade of file.blades) {
    const other = taken.get(blade.serial)
    if (blade.serial === '' || other === undefined || other === blade.id) continue
    const year = Number((created.get(blade.batchId) ?? '').slice(0, 4)) || 2000
    fresh.set(blade.id, { from: blade.serial, to: next(year) })
  }
  return fresh
}
