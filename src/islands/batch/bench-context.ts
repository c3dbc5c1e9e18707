import { createContext, useContext } from 'react'
import type { BatchModel, GroupModel, ProgrammedLoad } from '../../core/bench/batch-model'
import type { Learnt } from '../../core/learn/shop-memory'
import type { PlannedRoute } from '../../core/shop/route'
import type { StationName } from '../../data/stations'

/** Context of every bench of a batch: the computed batch, the steel that is shown, and navigation. */
export interface Bench extends BatchModel {
  /** The steel shown. */
  readonly shown: GroupModel
  /** The load the shown steel is in; undefined while it has no blade. */
  readonly load: ProgrammedLoad | undefined
  /** Whether its blades are hardened, or on the way: routes stay as they were then. */
  readonly begun: boolean
  /** Which of the shop's readings predictions of it lean on; null: none. */
  readonly learnt: Learnt | null
  readonly go: (station: StationName) => void
  /** Shows another steel of the batch. */
  readonly show: (groupId: string) => void
  /** Shows a route while it is dragged, before it is saved; null puts the saved one back. */
  readonly preview: (groupId: string, route: PlannedRoute | null) => void
}

const BenchContext = createContext<Bench | null>(null)
export const BenchProvider = BenchContext.Provider

/** The batch a bench is of. */
export function useBench(): Bench {
  const bench = useContext(BenchContext)
  if (!bench) throw new Error('a bench stands inside a batch')
  return bench
}
