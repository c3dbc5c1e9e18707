import { PACE } from '../../data/pace'
import { foilFor } from '../foil/foil-type'
import { bladeKg } from '../oven/chamber'
import { keyedC } from '../oven/correction'
import { buildProgramme, type Segment } from '../oven/programme'
import { placesFor, type RackPacket, type RackPlace, viewOf } from '../oven/rack'
import { detailedOven } from '../record/oven-record'
import type { Oven } from '../record/oven-schema'
import type { Batch } from '../record/schemas'
import type { Result } from '../result'
import type { Load } from './tray'

export const packetsOf = (load: Load): RackPacket[] =>
  load.pieces.map(({ mark, blade }) => ({
    mark,
    lengthMm: blade.lengthMm,
    widthMm: blade.widthMm,
    thicknessMm: blade.thicknessMm,
  }))

export const loadKg = (load: Load): number => load.pieces.reduce((sum, p) => sum + bladeKg(p.blade), 0)

/** Steps to key in: preheats, then a hold long enough for every soak and pull. */
export function programmeOf(load: Load, oven: Oven): Result<Segment[]> {
  const foil = foilFor(load.austenitizeC)
  const longestSoak = Math.max(...load.groups.map(g => g.route.soakMin))
  return buildProgramme({
    equalise: load.equalise,
    austenitizeC: load.austenitizeC,
    holdMin: longestSoak + load.pieces.length * PACE.pullEveryMin + 10,
    keyedC: c => keyedC(oven, c),
    ovenMaxC: oven.maxC,
    foilMaxC: foil.ok ? foil.value.maxC : null,
  })
}

/** Kinds of blades simulated: more would only repeat them. */
const MOST_KINDS = 8

/** Equal blades of a load with the mean of how they see the chamber where they stand. */
export interface LoadKind {
  readonly bladeId: string
  readonly marks: readonly string[]
  readonly thicknessMm: number
  readonly widthMm: number
  readonly lengthMm: number
  readonly count: number
  readonly view: number
}

export function kindsOf(load: Load, places: readonly RackPlace[]): LoadKind[] {
  const packets = packetsOf(load)
  const kinds = new Map<string, LoadKind>()
  for (const { mark, blade } of load.pieces) {
    const known = kinds.get(blade.id)
    const view = viewOf(mark, packets, places)
    const count = (known?.count ?? 0) + 1
    kinds.set(blade.id, {
      bladeId: blade.id,
      marks: [...(known?.marks ?? []), mark],
      thicknessMm: blade.thicknessMm,
      widthMm: blade.widthMm,
      lengthMm: blade.lengthMm,
      count,
      view: ((known?.view ?? 0) * (count - 1) + view) / count,
    })
  }
  return [...kinds.values()].slice(0, MOST_KINDS)
}

export const placesOf = (load: Load, oven: Oven, batch: Pick<Batch, 'rack'>): RackPlace[] =>
  placesFor(oven.chamberMm, packetsOf(load), batch.rack)

/** The load on this oven as the wall model is asked about it: from cold, by the programme, packets in at their entry. */
export function simulationOf(load: Load, oven: Oven, places: readonly RackPlace[]) {
  const soak = Math.max(...load.groups.map(g => g.route.soakMin))
  return {
    oven: detailedOven(oven),
    startC: 20,
    segments: [
      ...load.equalise
        .filter(step => step.atC < load.austenitizeC)
        .map(step => ({ rateCPerH: null, targetC: step.atC, holdMin: step.holdMin })),
      { rateCPerH: null, targetC: load.austenitizeC, holdMin: soak + 25 },
    ],
    doorOpen: [],
    load: kindsOf(load, places).map(({ thicknessMm, widthMm, lengthMm, count, view }) => ({
      thicknessMm,
      widthMm,
      lengthMm,
      count,
      view,
      ...(load.entryC <= 20 ? { atMin: 0 } : { whenOvenC: Math.min(load.entryC, load.austenitizeC) - 3 }),
    })),
  }
}
