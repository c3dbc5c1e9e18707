import { type Caution, caution } from '../codes/caution'
import type { RackOven } from './evidence'

export interface RackPacket {
  readonly id: string
  readonly lengthMm: number
  readonly widthMm: number
  readonly thicknessMm: number
}

/** Where a packet stands on edge: its near end from the door, its middle from the left wall, mm. */
export interface RackPlace {
  readonly id: string
  readonly inMm: number
  readonly acrossMm: number
}

export interface RackWarning {
  readonly caution: Caution
  /** The packets it is about. */
  readonly ids: readonly string[]
}

type Chamber = RackOven['chamberMm']

/** Foil seam and air beside a packet, mm. Common practice, no published source. */
const PITCH_MM = 14
/** Foil at each end of a blade, mm. */
const FOIL_END_MM = 20
const DOOR_MM = 14
/** Faces nearer than this shade one another so much that soak times part, mm. Common practice, no published source. */
const CLOSE_MM = 8
/** A tip or a seam this near a glowing element runs hotter than the rest, mm. Common practice, no published source. */
const ELEMENT_MM = 20
/** Seams that touch the side of the chamber, mm. */
const WALL_MM = 4

/** Width for the middles of packets, clear of what glows at the sides. */
const clearOf = ({ chamberMm, elements }: RackOven): number =>
  chamberMm.width - 2 * (/sides/.test(elements) ? ELEMENT_MM + 1 : WALL_MM)

/** Returns the room a row needs with this much air beside each packet, from the middle of its first to that of its last, mm. */
const spanOf = (row: readonly RackPacket[], airMm: number): number =>
  row.reduce((sum, p) => sum + p.thicknessMm + airMm, 0) -
  ((row[0]?.thicknessMm ?? 0) + (row.at(-1)?.thicknessMm ?? 0)) / 2 -
  airMm

/**
 * Packets in pull order set side by side from the middle, clear of the elements where they go in without shading one another; a
 * full row goes to the back, the last to be pulled first.
 */
export function arrangeRack(oven: RackOven, packets: readonly RackPacket[]): RackPlace[] {
  const { chamberMm } = oven
  const clear = clearOf(oven)
  const rows: RackPacket[][] = []
  let row: RackPacket[] = []
  // From the last pulled to the first: the back fills first, the front row keeps what comes out first.
  for (const packet of [...packets].reverse()) {
    const full = spanOf([...row, packet], CLOSE_MM + 1) > clear
    if (row.length > 0 && full && fitsDeep(chamberMm, [...rows, row], packet)) {
      rows.push(row)
      row = []
    }
    row.push(packet)
  }
  if (row.length > 0) rows.push(row)
  const places: RackPlace[] = []
  let inMm = DOOR_MM
  for (const packetsOf of rows.reverse()) {
    // As much air as there is, up to the usual; where even the least does not go in, up to the walls.
    const room = spanOf(packetsOf, CLOSE_MM + 1) <= clear ? clear : chamberMm.width - 2 * WALL_MM
    const gaps = Math.max(1, packetsOf.length - 1)
    const airMm = Math.min(PITCH_MM, (room - spanOf(packetsOf, 0)) / gaps)
    let across = (chamberMm.width - spanOf(packetsOf, airMm)) / 2
    const inOrder = [...packetsOf].reverse()
    inOrder.forEach((packet, i) => {
      const next = inOrder[i + 1]
      places.push({ id: packet.id, inMm, acrossMm: across })
      across += airMm + (packet.thicknessMm + (next?.thicknessMm ?? 0)) / 2
    })
    inMm += Math.max(...packetsOf.map(p => p.lengthMm)) + FOIL_END_MM
  }
  return places
}

const fitsDeep = (chamber: Chamber, rows: readonly RackPacket[][], next: RackPacket) =>
  rows.reduce((sum, row) => sum + Math.max(...row.map(p => p.lengthMm)) + FOIL_END_MM, DOOR_MM) + next.lengthMm <=
  chamber.depth

/** Hand-set places for the packets that have one, the arrangement for the others. */
export function placesFor(
  oven: RackOven,
  packets: readonly RackPacket[],
  byHand: readonly RackPlace[] | undefined,
): RackPlace[] {
  const own = new Map((byHand ?? []).map(place => [place.id, place]))
  return arrangeRack(oven, packets).map(place => own.get(place.id) ?? place)
}

const overlapDeep = (a: RackPacket, pa: RackPlace, b: RackPacket, pb: RackPlace) =>
  Math.min(pa.inMm + a.lengthMm, pb.inMm + b.lengthMm) - Math.max(pa.inMm, pb.inMm)

const gapOf = (a: RackPacket, pa: RackPlace, b: RackPacket, pb: RackPlace) =>
  Math.abs(pa.acrossMm - pb.acrossMm) - (a.thicknessMm + b.thicknessMm) / 2

/** Returns the problems of a rack layout; packets are in pull order. */
export function checkRack(oven: RackOven, packets: readonly RackPacket[], places: readonly RackPlace[]): RackWarning[] {
  const { width, depth } = oven.chamberMm
  const at = new Map(places.map(place => [place.id, place]))
  const standing = packets.flatMap(packet => {
    const place = at.get(packet.id)
    return place ? [{ packet, place }] : []
  })
  const warnings: RackWarning[] = []
  const warn = (ids: readonly string[], found: Caution) => {
    if (ids.length > 0) warnings.push({ caution: found, ids })
  }
  const outside = standing.filter(
    ({ packet, place }) =>
      place.inMm < 0 ||
      place.inMm + packet.lengthMm > depth ||
      place.acrossMm - packet.thicknessMm / 2 < 0 ||
      place.acrossMm + packet.thicknessMm / 2 > width,
  )
  warn(idsOf(outside), caution('outside', { widthMm: width, depthMm: depth }))
  const [sides, back] = [/sides/.test(oven.elements), /back/.test(oven.elements)]
  const near = standing.filter(
    ({ packet, place }) =>
      (back && place.inMm + packet.lengthMm > depth - ELEMENT_MM) ||
      (sides && (place.acrossMm < ELEMENT_MM || place.acrossMm > width - ELEMENT_MM)),
  )
  warn(idsOf(near), caution('element', { withinMm: ELEMENT_MM }))
  const pairs = standing.flatMap((a, i) => standing.slice(i + 1).map(b => [a, b] as const))
  const beside = pairs.filter(([a, b]) => overlapDeep(a.packet, a.place, b.packet, b.place) > 0)
  const gap = ([a, b]: (typeof pairs)[number]) => gapOf(a.packet, a.place, b.packet, b.place)
  const both = (list: typeof beside) => [...new Set(list.flatMap(([a, b]) => [a.packet.id, b.packet.id]))]
  warn(both(beside.filter(pair => gap(pair) < 0)), caution('overlap', {}))
  warn(both(beside.filter(pair => gap(pair) >= 0 && gap(pair) < CLOSE_MM)), caution('close', { withinMm: CLOSE_MM }))
  // In pull order a comes out before b: b must not stand in its way.
  const blocked = pairs.filter(
    ([a, b]) =>
      b.place.inMm + b.packet.lengthMm <= a.place.inMm && gapOf(a.packet, a.place, b.packet, b.place) < CLOSE_MM,
  )
  warn([...new Set(blocked.map(([a]) => a.packet.id))], caution('blocked', {}))
  return warnings
}

const idsOf = (standing: readonly { readonly packet: RackPacket }[]) => standing.map(s => s.packet.id)

/**
 * How freely a packet sees the chamber, 0..1: strips on edge, each face by its gap to the next, F = 1 + s/w − √(1 + (s/w)²);
 * a free face sees it whole. Source: view factor of parallel strips to the opening between them, Howell C-11 family, from memory.
 */
export function viewOf(id: string, packets: readonly RackPacket[], places: readonly RackPlace[]): number {
  const sizes = new Map(packets.map(p => [p.id, p]))
  const own = sizes.get(id)
  const place = places.find(p => p.id === id)
  if (!own || !place) return 1
  const faces = [-1, 1].map(side => {
    const gaps = places.flatMap(other => {
      const size = sizes.get(other.id)
      if (!size || other.id === id || Math.sign(other.acrossMm - place.acrossMm) !== side) return []
      return overlapDeep(own, place, size, other) > 0 ? [Math.max(1, gapOf(own, place, size, other))] : []
    })
    if (gaps.length === 0) return 1
    const ratio = Math.min(...gaps) / own.widthMm
    return 1 + ratio - Math.sqrt(1 + ratio ** 2)
  })
  return Math.max(0.2, ((faces[0] ?? 1) + (faces[1] ?? 1)) / 2)
}

/** Returns the distance from the door to the middle of a blade in its place, mm. */
export const middleOfBladeMm = (
  { inMm }: { readonly inMm: number },
  { lengthMm }: { readonly lengthMm: number },
): number => inMm + lengthMm / 2
