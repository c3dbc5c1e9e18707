import type { Result } from '../codes/result'
import { quenchable } from '../equipment/quench-way'
import { foilFor } from '../foil/foil-type'
import { keyedC } from '../oven/correction'
import type { OvenSurvey } from '../oven/evidence'
import { buildProgramme, type Segment, type SoakHold } from '../oven/programme'
import { placesFor, type RackPacket, type RackPlace, viewOf } from '../oven/rack'
import { zoneAt } from '../oven/survey'
import type { Oven } from '../shop/oven'
import type { Workshop } from '../shop/workshop'
import { type Load, steelKgOf, steelsKnown } from './loads'

/** The packets of a load as they stand on the rack, mm. */
export const rackPacketsOf = (load: Load): RackPacket[] =>
  load.blades.map(({ id, line }) => ({
    id,
    lengthMm: line.lengthMm,
    widthMm: line.widthMm,
    thicknessMm: line.thicknessMm,
  }))

/** Steel in a load, kg. */
export const loadKg = (load: Load): number => steelKgOf(load.blades)

/**
 * Steps to key in: preheats, then the hold that every soak and pull of the load needs.
 * Errors: 'grade-gone', since nothing is keyed for a steel nobody knows; 'needs-oil', for one that would not harden; 'above-oven', 'above-foil'.
 */
export function programmeOf(
  load: Load,
  oven: Oven,
  { hold, shop }: { readonly hold: SoakHold; readonly shop: Pick<Workshop, 'oil'> },
): Result<Segment[]> {
  for (const found of [steelsKnown(load.blades), quenchable(load.blades, shop)]) if (!found.ok) return found
  const foil = foilFor(load.austenitizeC)
  return buildProgramme({
    equalise: load.equalise,
    austenitizeC: load.austenitizeC,
    hold,
    keyedC: c => keyedC(oven, c),
    ovenMaxC: oven.maxC,
    foilMaxC: foil.ok ? foil.value.maxC : null,
  })
}

/** Kinds of blades the wall model follows at once; the blades of others are named as left out. */
export const MOST_KINDS = 16

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

/** A load’s blades by kind: equal blades that see equally much of the chamber are followed as one. */
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

/** Where each packet of a load stands, mm: as set by hand, else as arranged for the chamber. */
export const placesOf = (load: Load, oven: Oven): RackPlace[] =>
  placesFor(
    oven,
    rackPacketsOf(load),
    load.blades.flatMap(({ id, record }) => (record.rack ? [{ id, ...record.rack }] : [])),
  )

/** The kinds of a load that the wall model follows, where they stand. */
export const heatKindsOf = (load: Load, oven: Oven): LoadKind[] =>
  kindsOf(load, placesOf(load, oven)).slice(0, MOST_KINDS)

/** How much hotter than the display blades of a kind stand by a survey, on the mean of their middles, K. */
export function zoneOf(kind: LoadKind, survey: OvenSurvey, oven: Oven, places: readonly RackPlace[]): number {
  const own = places.filter(p => kind.bladeIds.includes(p.id))
  const zones = own.map(p =>
    zoneAt(survey, { acrossMm: p.acrossMm, inMm: p.inMm + kind.lengthMm / 2, upMm: oven.chamberMm.height / 2 }),
  )
  return zones.reduce((a, b) => a + b, 0) / Math.max(1, zones.length)
}
