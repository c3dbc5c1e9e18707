import type { Phase, Stretch } from '../../core/trace/timeline'
import { STATIONS, type StationName } from '../../data/stations'

/** Room each kind of stretch takes at least; what is eventful is wide, what only waits is narrow. */
const BREADTH: Readonly<Record<Phase, number>> = {
  room: 0.6,
  ramp: 0.3,
  equalise: 0.35,
  soak: 0.8,
  quench: 0.78,
  chill: 0.4,
  cold: 0.7,
  warm: 0.35,
  'temper-ramp': 0.3,
  temper: 0.85,
  cool: 0.4,
}
/** Room for the name of a station where nothing is timed. */
const STATION_BREADTH: Partial<Record<StationName, number>> = {
  choose: 0.95,
  prepare: 1,
  wrap: 0.75,
  cold: 0.6,
  temper: 0.8,
  measure: 1.05,
  verdict: 0.9,
  finish: 0.8,
  prove: 0.75,
}
/** How much a tenfold duration widens a stretch. */
const PER_DECADE = 0.22

const breadthOf = (s: Stretch): number => {
  const minutes = s.endMin - s.startMin
  return minutes === 0
    ? (STATION_BREADTH[s.station] ?? BREADTH.room)
    : BREADTH[s.phase] + PER_DECADE * Math.log10(1 + minutes)
}

/** Temperature axis: signed power of the distance from room temperature, so that 200 °C and 1066 °C both show. */
const ROOM_C = 20
const POWER = 0.55
const lift = (c: number) => Math.sign(c - ROOM_C) * Math.abs(c - ROOM_C) ** POWER

export interface Box {
  readonly left: number
  readonly right: number
  readonly top: number
  readonly bottom: number
}

export interface PlacedStretch {
  readonly stretch: Stretch
  readonly x0: number
  readonly x1: number
}

export interface HeatScale {
  readonly placed: readonly PlacedStretch[]
  readonly y: (c: number) => number
  /** x of a moment inside a stretch, min from oven on. */
  readonly x: (index: number, minute: number) => number
  readonly stations: readonly {
    readonly name: StationName
    readonly x: number
    readonly x0: number
    readonly x1: number
  }[]
}

/** Lays stretches along the box, time compressed where nothing happens; °C upward between the plan's extremes. */
export function heatScale(stretches: readonly Stretch[], box: Box): HeatScale {
  const breadths = stretches.map(breadthOf)
  const unit = (box.right - box.left) / breadths.reduce((sum, b) => sum + b, 0)
  let at = box.left
  const placed = stretches.map((stretch, i) => {
    const x0 = at
    at += (breadths[i] ?? 0) * unit
    return { stretch, x0, x1: at }
  })
  const temperatures = stretches.flatMap(s => s.points.map(([, c]) => c))
  const high = lift(Math.max(1000, ...temperatures))
  const low = lift(Math.min(-80, ...temperatures))
  const y = (c: number) => box.bottom - ((lift(c) - low) / (high - low)) * (box.bottom - box.top)
  const x = (index: number, minute: number) => {
    const p = placed[index]
    if (!p) return box.right
    const { startMin, endMin } = p.stretch
    const part = endMin > startMin ? (minute - startMin) / (endMin - startMin) : 0.5
    return p.x0 + Math.min(1, Math.max(0, part)) * (p.x1 - p.x0)
  }
  const stations = STATIONS.flatMap(name => {
    const own = placed.filter(p => p.stretch.station === name)
    const first = own[0]
    const last = own[own.length - 1]
    return first && last ? [{ name, x: (first.x0 + last.x1) / 2, x0: first.x0, x1: last.x1 }] : []
  })
  return { placed, y, x, stations }
}

export interface CurveSegment {
  readonly x1: number
  readonly x2: number
  readonly y1: number
  readonly y2: number
  /** Temperature of its middle, °C, and what the metal goes through: together they give the colour. */
  readonly c: number
  readonly phase: Phase
}

/** The plan as short straight pieces, each of one temperature; a station without length is a piece at room temperature. */
export function curveSegments({ placed, x, y }: HeatScale): CurveSegment[] {
  return placed.flatMap(({ stretch, x0, x1 }, index): CurveSegment[] => {
    const { phase, points } = stretch
    if (stretch.endMin === stretch.startMin) return [{ x1: x0, x2: x1, y1: y(ROOM_C), y2: y(ROOM_C), c: ROOM_C, phase }]
    return points.slice(1).map(([min, c], i) => {
      const [min0, c0] = points[i] as readonly [number, number]
      return {
        x1: x(index, min0),
        x2: x(index, min),
        y1: y(c0),
        y2: y(c),
        c: (c0 + c) / 2,
        phase,
      }
    })
  })
}
