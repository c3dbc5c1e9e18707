import { PACE } from '../../data/pace'
import type { Caution } from '../codes/caution'
import type { Result } from '../codes/result'
import { foilFor } from '../foil/foil-type'
import { AMBIENT_C } from '../oven/chamber'
import { keyedC } from '../oven/correction'
import type { OvenSurvey } from '../oven/evidence'
import type { DetailedOven } from '../oven/oven-model'
import { buildProgramme, type Segment } from '../oven/programme'
import { placesFor, type RackPacket, type RackPlace, viewOf } from '../oven/rack'
import type { Simulation } from '../oven/simulate'
import { zoneAt } from '../oven/survey'
import type { Oven } from '../shop/oven'
import { type Load, steelKgOf } from './loads'
import { detailedOven } from './ovens'

export const rackPacketsOf = (load: Load): RackPacket[] =>
  load.blades.map(({ id, line }) => ({
    id,
    lengthMm: line.lengthMm,
    widthMm: line.widthMm,
    thicknessMm: line.thicknessMm,
  }))

export const loadKg = (load: Load): number => steelKgOf(load.blades)

/** Steps to key in: preheats, then a hold long enough for every soak and pull. */
export function programmeOf(load: Load, oven: Oven): Result<Segment[]> {
  const foil = foilFor(load.austenitizeC)
  const longestSoak = Math.max(...load.groups.map(g => g.route.soakMin))
  return buildProgramme({
    equalise: load.equalise,
    austenitizeC: load.austenitizeC,
    holdMin: longestSoak + load.blades.length * PACE.pullEveryMin + 10,
    keyedC: c => keyedC(oven, c),
    ovenMaxC: oven.maxC,
    foilMaxC: foil.ok ? foil.value.maxC : null,
  })
}

/** Kinds of blades the wall model follows at once; the blades of others are named as left out. */
const MOST_KINDS = 16

/** Equal blades of a load with the mean of how they see the chamber where they stand. */
export interface LoadKind {
  readonly lineId: string
  readonly bladeIds: readonly string[]
  readonly thicknessMm: number
  readonly widthMm: number
  readonly lengthMm: number
  readonly count: number
  readonly view: number
}

export function kindsOf(load: Load, places: readonly RackPlace[]): LoadKind[] {
  const packets = rackPacketsOf(load)
  const kinds = new Map<string, LoadKind>()
  for (const { id, line } of load.blades) {
    const known = kinds.get(line.id)
    const view = viewOf(id, packets, places)
    const count = (known?.count ?? 0) + 1
    kinds.set(line.id, {
      lineId: line.id,
      bladeIds: [...(known?.bladeIds ?? []), id],
      thicknessMm: line.thicknessMm,
      widthMm: line.widthMm,
      lengthMm: line.lengthMm,
      count,
      view: ((known?.view ?? 0) * (count - 1) + view) / count,
    })
  }
  return [...kinds.values()]
}

export const placesOf = (load: Load, oven: Oven): RackPlace[] =>
  placesFor(
    oven,
    rackPacketsOf(load),
    load.blades.flatMap(({ id, record }) => (record.rack ? [{ id, ...record.rack }] : [])),
  )

/** The kinds of a load that the wall model follows, where they stand. */
export const heatKindsOf = (load: Load, oven: Oven): LoadKind[] =>
  kindsOf(load, placesOf(load, oven)).slice(0, MOST_KINDS)

/** A load that only warms the walls for the next, as equal blades of the same weight, near enough. */
function asOneKind(kinds: readonly LoadKind[]): Omit<LoadKind, 'lineId' | 'bladeIds'> {
  const count = kinds.reduce((sum, kind) => sum + kind.count, 0)
  const mean = (of: (kind: LoadKind) => number) => kinds.reduce((sum, kind) => sum + of(kind) * kind.count, 0) / count
  return {
    thicknessMm: mean(k => k.thicknessMm),
    widthMm: mean(k => k.widthMm),
    lengthMm: mean(k => k.lengthMm),
    view: mean(k => k.view),
    count,
  }
}

/** A soak is held so much longer than the longest of the load, for blades that lag and for the pulls, min. */
const SPARE_MIN = 25

/** A load on its oven, after the loads before it, as the wall model is asked about it; and where it stands in the answer. */
export interface HeatAsked {
  readonly request: {
    readonly oven: DetailedOven
    readonly startC: number
    readonly segments: { rateCPerH: null; targetC: number; holdMin: number }[]
    readonly doorOpen: never[]
    readonly load: (Omit<LoadKind, 'lineId' | 'bladeIds'> & {
      atMin?: number
      whenOvenC?: number
      whenSegment?: number
      outAtSegment?: number
    })[]
  }
  readonly kinds: readonly LoadKind[]
  /** Blades that are not followed: there are too many kinds. */
  readonly leftOut: readonly string[]
  /** The segment the load goes in with, and the one it soaks in, from 0. */
  readonly firstSegment: number
}

/**
 * A load of a batch from cold: the oven's programme up to and with it, the loads before it soaked and pulled, so that it finds
 * the walls as hot as they will be.
 */
export function heatOf(loads: readonly Load[], index: number, oven: Oven): HeatAsked {
  const segments: HeatAsked['request']['segments'] = []
  const blades: HeatAsked['request']['load'] = []
  let firstSegment = 0
  let kinds: readonly LoadKind[] = []
  let leftOut: readonly string[] = []
  loads.slice(0, index + 1).forEach((each, i) => {
    firstSegment = segments.length
    for (const step of each.equalise.filter(step => step.atC < each.austenitizeC))
      segments.push({ rateCPerH: null, targetC: step.atC, holdMin: step.holdMin })
    const soakMin = Math.max(...each.groups.map(g => g.route.soakMin))
    segments.push({ rateCPerH: null, targetC: each.austenitizeC, holdMin: soakMin + SPARE_MIN })
    const all = kindsOf(each, placesOf(each, oven))
    kinds = all.slice(0, MOST_KINDS)
    leftOut = all.slice(MOST_KINDS).flatMap(kind => kind.bladeIds)
    const goesIn =
      i > 0
        ? { whenSegment: firstSegment }
        : each.entryC <= AMBIENT_C
          ? { atMin: 0 }
          : { whenOvenC: Math.min(each.entryC, each.austenitizeC) - 3 }
    if (i < index) blades.push({ ...asOneKind(all), ...goesIn, outAtSegment: segments.length })
    else for (const { lineId: _, bladeIds: __, ...size } of kinds) blades.push({ ...size, ...goesIn })
  })
  return {
    request: { oven: detailedOven(oven), startC: AMBIENT_C, segments, doorOpen: [], load: blades },
    kinds,
    leftOut,
    firstSegment,
  }
}

/** What the wall model says of one load. */
export interface HeatAnswer {
  readonly kinds: readonly (LoadKind & { readonly withinFiveCMin: number | null })[]
  /** Minutes from oven on until this load goes in, where one is before it, and until the oven is at its soak; null: never. */
  readonly fromMin: number
  readonly reachedMin: number | null
  /** What this load takes from the mains, from the end of the one before. */
  readonly energyKWh: number
  readonly leftOut: readonly string[]
  readonly cautions: readonly Caution[]
}

/** The part of an answer that is about the load that was asked for. */
export function heatAnswerOf(
  asked: HeatAsked,
  answer: Pick<Simulation, 'segments' | 'load' | 'energyKWh' | 'cautions'>,
): HeatAnswer {
  const before = answer.segments[asked.firstSegment - 1]
  const own = answer.load.slice(answer.load.length - asked.kinds.length)
  return {
    kinds: asked.kinds.map((kind, i) => ({ ...kind, withinFiveCMin: own[i]?.withinFiveCMin ?? null })),
    fromMin: before?.endedMin ?? 0,
    reachedMin: answer.segments.at(-1)?.reachedMin ?? null,
    energyKWh: answer.energyKWh - (before?.endedKWh ?? 0),
    leftOut: asked.leftOut,
    cautions: answer.cautions,
  }
}

/** How much hotter than the display blades of a kind stand by a survey, on the mean of their middles, K. */
export function zoneOf(kind: LoadKind, survey: OvenSurvey, oven: Oven, places: readonly RackPlace[]): number {
  const own = places.filter(p => kind.bladeIds.includes(p.id))
  const zones = own.map(p =>
    zoneAt(survey, { acrossMm: p.acrossMm, inMm: p.inMm + kind.lengthMm / 2, upMm: oven.chamberMm.height / 2 }),
  )
  return zones.reduce((a, b) => a + b, 0) / Math.max(1, zones.length)
}
