import { type ComponentType, lazy } from 'react'
import type { StationName } from '../../../data/cautions'

/** The bench of each station, fetched when it is first stood at. */
export const BENCHES: Readonly<Record<StationName, ComponentType>> = {
  choose: lazy(async () => ({ default: (await import('./ChooseBench')).ChooseBench })),
  prepare: lazy(async () => ({ default: (await import('./PrepareBench')).PrepareBench })),
  wrap: lazy(async () => ({ default: (await import('./WrapBench')).WrapBench })),
  heat: lazy(async () => ({ default: (await import('./HeatBench')).HeatBench })),
  plates: lazy(async () => ({ default: (await import('./QuenchBench')).QuenchBench })),
  inspect: lazy(async () => ({ default: (await import('./InspectBench')).InspectBench })),
  cold: lazy(async () => ({ default: (await import('./ColdBench')).ColdBench })),
  temper: lazy(async () => ({ default: (await import('./TemperBench')).TemperBench })),
  measure: lazy(async () => ({ default: (await import('./MeasureBench')).MeasureBench })),
  verdict: lazy(async () => ({ default: (await import('./VerdictBench')).VerdictBench })),
  finish: lazy(async () => ({ default: (await import('./FinishBench')).FinishBench })),
  prove: lazy(async () => ({ default: (await import('./ProveBench')).ProveBench })),
}
