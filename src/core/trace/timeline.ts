import type { Equalise } from '../../data/grades'
import { PACE } from '../../data/pace'
import type { StationName } from '../../data/stations'
import { coldWay } from '../cold/way'
import type { HeatPath } from '../load/load-heat'
import { interpolateLinear } from '../numeric/interpolate'
import { type ChamberModel, climbedC, heatUpMin } from '../oven/chamber'
import { FULL_VIEW } from '../oven/lag'
import { soakLag } from '../oven/soak-lag'
import type { Route } from '../steel/route'

/** Phase of a stretch; it decides the colour, never the temperature alone. */
export type Phase =
  | 'room'
  | 'ramp'
  | 'equalise'
  | 'soak'
  | 'quench'
  | 'chill'
  | 'cold'
  | 'warm'
  | 'temper-ramp'
  | 'temper'
  | 'cool'

/** Name of a stretch on the line, with its figures. */
export type StretchNote =
  | { readonly code: 'load'; readonly atC: number }
  | { readonly code: 'soak' | 'temper'; readonly minutes: number }
  | { readonly code: 'freezer' | 'dry-ice' | 'liquid-nitrogen' }

export interface Stretch {
  readonly phase: Phase
  readonly station: StationName
  readonly startMin: number
  readonly endMin: number
  /** [min, °C] from start to end, at least two. */
  readonly points: readonly (readonly [min: number, c: number])[]
  /** Text at the stretch; null for none. */
  readonly note: StretchNote | null
}

export interface TimelineRequest {
  readonly route: Route
  readonly equalise: readonly Equalise[]
  /** Oven temperature when the packets go in, °C. */
  readonly entryC: number
  readonly oven: ChamberModel
  readonly steelKg: number
  readonly thicknessMm: number
  /** How its oven will bring the load to its soak; absent: by the oven's tables. */
  readonly path?: HeatPath | null
  /** From the quench until it was looked over and goes on, min; absent: what is usual. */
  readonly inspectMin?: number
}

const ROOM_C = 20

/**
 * The planned temperature of a group's blades through its whole route, as stretches in time order. Before the oven is
 * on and after the last temper there are stretches of room temperature without length, one for each station.
 */
export function planTimeline(request: TimelineRequest): Stretch[] {
  const { route, equalise, entryC: entry, oven, steelKg, inspectMin = PACE.inspectMin } = request
  const out: Stretch[] = []
  let now = 0
  const push = (
    phase: Phase,
    station: StationName,
    minutes: number,
    shape: (part: number) => number,
    note: StretchNote | null = null,
    steps = 1,
  ) => {
    const points = Array.from({ length: steps + 1 }, (_, i) => [now + (minutes * i) / steps, shape(i / steps)] as const)
    out.push({ phase, station, startMin: now, endMin: now + minutes, points, note })
    now += minutes
  }
  const flat = (station: StationName) => push('room', station, 0, () => ROOM_C)
  const rise = (station: StationName, from: number, to: number, kg: number, note: StretchNote | null = null) =>
    push('ramp', station, finite(heatUpMin(oven, from, to, kg)), part => climbedC(oven, from, to, part), note, 10)

  for (const station of ['choose', 'prepare', 'wrap'] as const) flat(station)

  const { lagS } = soakLag({
    oven,
    steelKg,
    equalise,
    entryC: entry,
    austenitizeC: route.austenitizeC,
    thicknessMm: request.thicknessMm,
    view: FULL_VIEW,
  })
  const soak = () =>
    push('soak', 'heat', lagS / 60 + route.soakMin, () => route.austenitizeC, { code: 'soak', minutes: route.soakMin })
  /** As the oven will go, from the wall model's own curve. */
  const followed = ({ loadedMin, holds, reachedMin, curve }: HeatPath) => {
    const shown = (phase: Phase, endMin: number, note: StretchNote | null = null) => {
      const startMin = now
      const inner = curve.filter(([min]) => min > startMin && min < endMin)
      const ends = (min: number) => [min, interpolateLinear(curve, min)] as const
      out.push({ phase, station: 'heat', startMin, endMin, points: [ends(startMin), ...inner, ends(endMin)], note })
      now = endMin
    }
    shown('ramp', loadedMin)
    shown('ramp', Math.min(loadedMin + PACE.loadMin, holds[0]?.fromMin ?? reachedMin), { code: 'load', atC: entry })
    for (const { fromMin, toMin } of holds) {
      if (fromMin > now) shown('ramp', fromMin)
      if (toMin > now) shown('equalise', toMin)
    }
    shown('ramp', reachedMin)
    soak()
  }
  /** As an oven goes by its tables, where no load is known yet. */
  const usual = () => {
    rise('heat', ROOM_C, entry, 0)
    const dip = Math.min(PACE.loadDropK, entry - ROOM_C)
    push(
      'ramp',
      'heat',
      PACE.loadMin,
      part => entry - dip * Math.sin(part * (Math.PI / 2)),
      { code: 'load', atC: entry },
      5,
    )
    push(
      'ramp',
      'heat',
      finite(heatUpMin(oven, entry - dip, entry, steelKg)),
      part => entry - dip * (1 - part),
      null,
      3,
    )
    let at = entry
    for (const step of equalise) {
      if (step.atC > at && step.atC < route.austenitizeC) rise('heat', at, step.atC, steelKg)
      at = Math.max(at, Math.min(step.atC, route.austenitizeC))
      push('equalise', 'heat', step.holdMin, () => at)
    }
    rise('heat', at, route.austenitizeC, steelKg)
    soak()
  }
  if (request.path) followed(request.path)
  else usual()

  const quenchEnd = ROOM_C
  push(
    'quench',
    'plates',
    PACE.quenchMin,
    part => quenchEnd + (route.austenitizeC - quenchEnd) * decay(6, part),
    null,
    16,
  )
  push('room', 'inspect', inspectMin, () => ROOM_C)

  if (route.cold) {
    const { toC, holdMin } = route.cold
    push('chill', 'cold', 12, part => ROOM_C + (toC - ROOM_C) * (1 - decay(5, part)), null, 8)
    push('cold', 'cold', holdMin, () => toC, { code: coldWay(toC) })
    push('warm', 'cold', PACE.warmMin, part => toC + (ROOM_C - toC) * part, null, 4)
  } else flat('cold')

  if (route.tempers.length === 0) flat('temper')

  for (const temper of route.tempers) {
    push(
      'temper-ramp',
      'temper',
      PACE.temperLagMin,
      part => ROOM_C + (temper.atC - ROOM_C) * (1 - decay(5, part)),
      null,
      8,
    )
    push('temper', 'temper', temper.holdMin, () => temper.atC, { code: 'temper', minutes: temper.holdMin })
    push('cool', 'temper', PACE.coolMin, part => ROOM_C + (temper.atC - ROOM_C) * decay(4, part), null, 8)
  }

  for (const station of ['measure', 'verdict', 'finish', 'prove'] as const) flat(station)
  return out
}

/** An exponential fall that ends where it should: 1 at the start, 0 at the end. */
const decay = (constants: number, part: number) =>
  (Math.exp(-constants * part) - Math.exp(-constants)) / (1 - Math.exp(-constants))

const finite = (minutes: number) => (Number.isFinite(minutes) ? minutes : 24 * 60)

/** Minutes from oven on to the end of the last temper. */
export const timelineMin = (stretches: readonly Stretch[]): number => stretches[stretches.length - 1]?.endMin ?? 0
