import { DOOR_S } from '../../data/doors'
import { STEEL_THERMAL } from '../../data/thermal'
import { type Caution, caution } from '../codes/caution'
import { fail, ok, type Result } from '../codes/result'
import { bladeKg } from './chamber'
import { ARRIVED_WITHIN_K, heatingCp, heatingK } from './lag'
import { type DetailedOven, OvenModel } from './oven-model'
import { followProgramme, type ProgrammeSegment } from './programme-control'

/** Blades put in at a minute, when the oven first reaches a temperature, or as a segment begins. */
export interface SimulatedLoad {
  readonly thicknessMm: number
  readonly widthMm: number
  readonly lengthMm: number
  readonly count: number
  /** How freely each sees the chamber, 0..1; absent: by how many stand side by side. */
  readonly view?: number
  readonly when: { readonly atMin: number } | { readonly ovenC: number } | { readonly segment: number }
  /** Taken out as this segment begins; absent: they stay to the end. */
  readonly outAtSegment?: number | undefined
}

export interface DoorOpening {
  readonly atMin: number
  readonly seconds: number
}

export interface SimulationRequest {
  readonly oven: DetailedOven
  readonly startC: number
  readonly segments: readonly ProgrammeSegment[]
  readonly load: readonly SimulatedLoad[]
  readonly doorOpen: readonly DoorOpening[]
}

export interface Simulation {
  /** For each segment, when the oven got there and when its hold ended, and what had been taken by then; null where it never did. */
  readonly segments: readonly {
    readonly reachedMin: number | null
    readonly endedMin: number | null
    readonly endedKWh: number | null
  }[]
  readonly load: readonly {
    readonly insertedMin: number | null
    /** When the blade came within 5 °C of the hottest hold it is there for; null where it did not. */
    readonly withinFiveCMin: number | null
    /** Minutes within 5 °C of that hold, until it is taken out or the programme ends. */
    readonly soakMin: number
    /** Steepest rise of the blade, K a minute: gentler heating bends less. */
    readonly steepestKPerMin: number
    /** The most its skin was ahead of its core, K. */
    readonly skinAheadK: number
    readonly peakC: number
  }[]
  readonly energyKWh: number
  /** [min, oven °C as shown, blade °C of the first load or null]. */
  readonly curve: readonly (readonly [min: number, ovenC: number, bladeC: number | null])[]
  readonly cautions: readonly Caution[]
}

/** The door is open this long when blades go in, s. */
const LOADING_S = DOOR_S.load
const SLOW_STEP_S = 10
const FAST_STEP_S = 0.5
/** After the door or a load the small step is kept this long, s. */
const FAST_FOR_S = 120
const LONGEST_MIN = 24 * 60
const CURVE_POINTS = 480

/** Steel a bench oven may hold, kg: more is a slip of the keys. */
const MOST_KG = 40

/** A programme run on an oven, where its load is one that a bench oven may hold. Errors: 'too-heavy'. */
export function simulateLoaded(request: SimulationRequest): Result<Simulation> {
  const kg = request.load.reduce((sum, blades) => sum + bladeKg(blades) * blades.count, 0)
  return kg > MOST_KG ? fail('too-heavy', { kg }, 'load') : ok(simulateOven(request))
}

/** View of the chamber for strips on edge: 1 alone, less the closer they stand. */
export function rackView(count: number, chamberWidthMm: number, bladeWidthMm: number): number {
  if (count <= 1) return 1
  const ratio = chamberWidthMm / count / bladeWidthMm
  return Math.max(0.2, 1 + ratio - Math.sqrt(1 + ratio ** 2))
}

/** Blades of one entry of the load as they go through the programme. */
interface Loaded {
  readonly load: SimulatedLoad
  /** Of the hottest hold it is there for, °C. */
  readonly hottestC: number
  handle: number | null
  out: boolean
  insertedMin: number | null
  withinFiveCMin: number | null
  soakMin: number
  steepestKPerMin: number
  skinAheadK: number
  peakC: number
  lastC: number
}

const isInside = (entry: Loaded): entry is Loaded & { handle: number } => entry.handle !== null && !entry.out

/** Puts in and takes out what is due; says whether the door was opened for it. */
function moveDue(entry: Loaded, model: OvenModel, min: number, step: number): boolean {
  if (isInside(entry) && step >= (entry.load.outAtSegment ?? Number.POSITIVE_INFINITY)) {
    model.remove(entry.handle)
    entry.out = true
    return true
  }
  if (entry.handle !== null || !dueNow(entry.load.when, min, model.indicatedC, step)) return false
  entry.handle = model.insert({ ...entry.load, view: 1 })
  entry.insertedMin = min
  return true
}

/** Only what is in the oven stands in the way of what is in it. */
function crowd(loads: readonly Loaded[], model: OvenModel, chamberWidthMm: number) {
  const inside = loads.filter(isInside)
  const count = inside.reduce((sum, entry) => sum + entry.load.count, 0)
  for (const { load, handle } of inside)
    model.setView(handle, load.view ?? rackView(count, chamberWidthMm, load.widthMm))
}

/** Advances the blades in the oven by one step of time. */
function follow(entry: Loaded, c: number, timeS: number, dtS: number) {
  const kPerS = (c - entry.lastC) / dtS
  entry.steepestKPerMin = Math.max(entry.steepestKPerMin, kPerS * 60)
  entry.skinAheadK = Math.max(entry.skinAheadK, skinAhead(entry.load.thicknessMm, c, kPerS))
  entry.lastC = c
  entry.peakC = Math.max(entry.peakC, c)
  if (c < entry.hottestC - ARRIVED_WITHIN_K) return
  entry.withinFiveCMin ??= timeS / 60
  entry.soakMin += dtS / 60
}

/**
 * A programme run on an oven with its load: what the display shows, what the blades see, and what it takes. The controller
 * is clipped PI with its integral held while clipped. Source: docs/method.md, 'Oven'.
 */
export function simulateOven(request: SimulationRequest): Simulation {
  const model = new OvenModel(request.oven, request.startC)
  const controller = followProgramme(request.segments, request.startC)
  const ended = request.segments.map(() => null as number | null)
  const loads = request.load.map(
    (load): Loaded => ({
      load,
      hottestC: Math.max(...request.segments.slice(0, load.outAtSegment).map(s => s.targetC)),
      out: false,
      handle: null,
      insertedMin: null,
      withinFiveCMin: null,
      soakMin: 0,
      steepestKPerMin: 0,
      skinAheadK: 0,
      peakC: Number.NEGATIVE_INFINITY,
      lastC: 20,
    }),
  )
  const doors = [...request.doorOpen]
  const samples: [number, number, number | null][] = []
  let timeS = 0
  let openUntilS = -1
  let fastUntilS = 0
  while (!controller.done() && timeS < LONGEST_MIN * 60) {
    const min = timeS / 60
    for (const entry of loads)
      if (moveDue(entry, model, min, controller.state().step)) {
        crowd(loads, model, request.oven.chamberMm.width)
        openUntilS = Math.max(openUntilS, timeS + LOADING_S)
      }
    while (doors[0] && min >= doors[0].atMin)
      openUntilS = Math.max(openUntilS, timeS + (doors.shift() as DoorOpening).seconds)
    const open = timeS < openUntilS
    if (open) fastUntilS = timeS + FAST_FOR_S
    const dtS = timeS < fastUntilS ? FAST_STEP_S : SLOW_STEP_S
    model.step(controller.share(model.indicatedC, dtS), open, dtS)
    timeS += dtS
    const before = controller.state().step
    controller.advance(model.indicatedC, timeS)
    if (controller.state().step > before) ended[before] = model.energyJ / 3.6e6
    for (const entry of loads) if (isInside(entry)) follow(entry, model.bladeC(entry.handle), timeS, dtS)
    const first = loads[0]?.handle
    samples.push([timeS / 60, model.indicatedC, first === null || first === undefined ? null : model.bladeC(first)])
  }
  return {
    segments: controller.log.map((entry, i) => ({ ...entry, endedKWh: ended[i] ?? null })),
    load: loads.map(({ insertedMin, withinFiveCMin, soakMin, steepestKPerMin, skinAheadK, peakC }) => ({
      insertedMin,
      withinFiveCMin,
      soakMin,
      steepestKPerMin,
      skinAheadK,
      peakC: Number.isFinite(peakC) ? peakC : request.startC,
    })),
    energyKWh: model.energyJ / 3.6e6,
    curve: thinned(samples),
    cautions: cautionsOf(controller.log, loads),
  }
}

/**
 * How far the skin of a plate is ahead of its core while it heats steadily, K: ρc(t/2)²·(dT/dt)/2k.
 * Source: Carslaw and Jaeger (1959), slab with a linear surface temperature, from memory.
 * @example skinAhead(6, 400, 4) // about 2.9
 */
export const skinAhead = (thicknessMm: number, atC: number, kPerS: number): number =>
  (STEEL_THERMAL.densityKgPerM3 * heatingCp(atC) * (thicknessMm / 2000) ** 2 * kPerS) / (2 * heatingK(atC))

const dueNow = (when: SimulatedLoad['when'], min: number, ovenC: number, segment: number): boolean =>
  'atMin' in when ? min >= when.atMin : 'ovenC' in when ? ovenC >= when.ovenC : segment >= when.segment

function thinned(samples: readonly [number, number, number | null][]) {
  const end = samples.at(-1)?.[0] ?? 0
  const step = end / CURVE_POINTS
  const kept: [number, number, number | null][] = []
  for (const sample of samples) if (kept.length === 0 || sample[0] >= (kept.at(-1)?.[0] ?? 0) + step) kept.push(sample)
  return kept
}

function cautionsOf(
  log: readonly { readonly reachedMin: number | null }[],
  loads: readonly { readonly insertedMin: number | null; readonly withinFiveCMin: number | null }[],
): Caution[] {
  const short = log.findIndex(entry => entry.reachedMin === null)
  return [
    ...(short >= 0 ? [caution('not-reached', { step: short + 1, longestMin: LONGEST_MIN })] : []),
    ...(loads.some(load => load.insertedMin === null) ? [caution('not-loaded', {})] : []),
    ...(short < 0 && loads.some(load => load.insertedMin !== null && load.withinFiveCMin === null)
      ? [caution('not-soaked', { withinK: 5 })]
      : []),
  ]
}
