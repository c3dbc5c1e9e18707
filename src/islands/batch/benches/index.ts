import { type ComponentType, lazy } from 'react'
import type { StationName } from '../../../data/stations'

const FETCH: Readonly<Record<StationName, () => Promise<{ default: ComponentType }>>> = {
  choose: async () => ({ default: (await import('./ChooseBench')).ChooseBench }),
  prepare: async () => ({ default: (await import('./PrepareBench')).PrepareBench }),
  wrap: async () => ({ default: (await import('./WrapBench')).WrapBench }),
  heat: async () => ({ default: (await import('./HeatBench')).HeatBench }),
  plates: async () => ({ default: (await import('./QuenchBench')).QuenchBench }),
  inspect: async () => ({ default: (await import('./InspectBench')).InspectBench }),
  cold: async () => ({ default: (await import('./ColdBench')).ColdBench }),
  temper: async () => ({ default: (await import('./TemperBench')).TemperBench }),
  measure: async () => ({ default: (await import('./MeasureBench')).MeasureBench }),
  verdict: async () => ({ default: (await import('./VerdictBench')).VerdictBench }),
  finish: async () => ({ default: (await import('./FinishBench')).FinishBench }),
  prove: async () => ({ default: (await import('./ProveBench')).ProveBench }),
}

/** The bench of each station, fetched when it is first stood at. */
export const BENCHES: Readonly<Record<StationName, ComponentType>> = {
  choose: lazy(FETCH.choose),
  prepare: lazy(FETCH.prepare),
  wrap: lazy(FETCH.wrap),
  heat: lazy(FETCH.heat),
  plates: lazy(FETCH.plates),
  inspect: lazy(FETCH.inspect),
  cold: lazy(FETCH.cold),
  temper: lazy(FETCH.temper),
  measure: lazy(FETCH.measure),
  verdict: lazy(FETCH.verdict),
  finish: lazy(FETCH.finish),
  prove: lazy(FETCH.prove),
}

/** Fetches a bench before it is drawn; one that cannot be fetched is said where it is. */
export const fetchBench = (station: StationName): void => void FETCH[station]().catch(() => undefined)
