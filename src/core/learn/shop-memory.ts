import { LEARNING } from '../../data/learning'
import { groupBy } from '../numeric/group-by'
import type { Batch } from '../shop/batch'
import { DEFAULT_WORKSHOP } from '../shop/defaults'
import type { Reading } from '../shop/reading'
import type { Tester } from '../shop/workshop'
import type { ShopExperience } from '../steel/predict'
import { fitShop, type Observation, type ShopFit } from './fit-shop'
import { observationsOf } from './observations'

/** The shop's whole log: what learning, logbook and trends are worked out from. */
export interface ShopLog {
  readonly batches: readonly Batch[]
  readonly readings: readonly Reading[]
  readonly tester: Tester
}

/** Which of the shop's readings a prediction may lean on: those of blades like these, without the batch they would foretell. */
export interface Learnt {
  readonly lot: string
  readonly ovenId: string
  readonly exceptBatchId: string | null
}

/** The shop's log as the place that answers questions keeps it, with what was learnt from it. */
export interface ShopMemory {
  readonly log: ShopLog
  /** Its newest batches, where they were looked at. */
  readonly newest: ShopLog
  /** Takes the whole log as it is now, to be asked about. */
  readonly hold: (log: ShopLog) => void
  /** Takes its newest batches, to be told of while the rest is read. */
  readonly holdNewest: (log: ShopLog) => void
  /**
   * Learns from the log as it is now, or from its newest batches where they are enough. Only batches that changed are looked at anew.
   * Says whether it teaches anything else than before.
   */
  readonly teach: (log: ShopLog) => boolean
  /** Whether batches older than these could teach nothing more, whichever one is left out: learning looks back only so far. */
  readonly isEnough: (log: ShopLog) => boolean
  /** Both: holds it and learns from it. */
  readonly keep: (log: ShopLog) => boolean
  /** Returns the fit to the log without one batch, or null if there is nothing to learn from. */
  readonly fitExcept: (batchId: string | null) => ShopFit | null
  /** Returns the correction of a prediction by the log, or null if nothing was asked or the charts predict as well. */
  readonly experience: (learnt: Learnt | null) => ShopExperience | null
}

interface Known {
  /** Inputs of the observations, as text. */
  readonly from: string
  readonly observations: readonly Observation[]
}

const EMPTY: ShopLog = { batches: [], readings: [], tester: DEFAULT_WORKSHOP.tester }

/** A memory with nothing in it yet. */
export function createShopMemory(): ShopMemory {
  let log = EMPTY
  let newest = EMPTY
  let known: ReadonlyMap<string, Known> = new Map()
  // What was looked at to see whether it is enough need not be looked at again to learn from it.
  let seen = known
  const fits = new Map<string | null, ShopFit | null>()

  const fitExcept = (batchId: string | null): ShopFit | null => {
    // A batch that taught nothing leaves the fit as it is.
    const except = batchId !== null && (known.get(batchId)?.observations.length ?? 0) > 0 ? batchId : null
    const made = fits.get(except)
    if (made !== undefined) return made
    const fit = fitShop([...known].flatMap(([id, { observations }]) => (id === except ? [] : observations)))
    fits.set(except, fit)
    return fit
  }

  const hold = (whole: ShopLog) => {
    log = whole
  }
  const teach = (taught: ShopLog) => {
    const now = knownOf(taught, new Map([...known, ...seen]))
    const changed = !sameObservations(now, known)
    known = now
    seen = now
    if (changed) fits.clear()
    return changed
  }

  return {
    get log() {
      return log
    },
    get newest() {
      return newest
    },
    hold,
    holdNewest: some => {
      newest = some
    },
    teach,
    isEnough: looked => {
      seen = knownOf(looked, new Map([...known, ...seen]))
      const counts = [...seen.values()].map(({ observations }) => observations.length)
      return counts.reduce((sum, n) => sum + n, 0) - Math.max(0, ...counts) >= LEARNING.most
    },
    keep: whole => {
      hold(whole)
      return teach(whole)
    },
    fitExcept,
    experience: learnt => {
      const model = learnt && fitExcept(learnt.exceptBatchId)?.model
      return model && model.strength > 0 ? { model, lot: learnt.lot, ovenId: learnt.ovenId } : null
    },
  }
}

/** Returns the observations of each batch; an unchanged batch keeps its object. */
function knownOf({ batches, readings, tester }: ShopLog, before: ReadonlyMap<string, Known>): Map<string, Known> {
  const byBatch = groupBy(readings, reading => reading.batchId)
  return new Map(
    batches.map(batch => {
      const own = byBatch.get(batch.id) ?? []
      const from = JSON.stringify([
        batch.groups.map(({ id, gradeId, sheet, route, lot }) => [id, gradeId, sheet, route, lot]),
        batch.lines,
        batch.blades,
        batch.ovenId,
        batch.createdAt,
        batch.deletedAt,
        own,
        tester,
      ])
      const was = before.get(batch.id)
      return [batch.id, was?.from === from ? was : { from, observations: observationsOf(batch, own, tester) }]
    }),
  )
}

function sameObservations(a: ReadonlyMap<string, Known>, b: ReadonlyMap<string, Known>): boolean {
  const ids = new Set([...a.keys(), ...b.keys()])
  return [...ids].every(id => {
    const [one, other] = [a.get(id)?.observations ?? [], b.get(id)?.observations ?? []]
    return one === other || JSON.stringify(one) === JSON.stringify(other)
  })
}
