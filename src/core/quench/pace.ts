import { PACE } from '../../data/pace'
import { MEDIA } from './air-loss'
import { halfBlade, meanOf, PlateStack, type Plates, type Size, type StackConditions } from './plate-stack'
import { tooHotC } from './quench'

/** A blade to be pulled, in the order it may come. */
export interface PaceBlade extends Size {
  readonly id: string
  readonly fromC: number
  readonly martensiteStartC: number
  /** Its own soak is over so long after that of the first, s; absent: with it. */
  readonly dueS?: number
  /** It goes into oil, hands on it for so long, s; absent: between the plates. */
  readonly oilS?: number
}

export interface PaceRequest {
  readonly blades: readonly PaceBlade[]
  readonly plates: Plates
  readonly plateStartC: number
  readonly sets: 1 | 2
  readonly people: 1 | 2
  readonly contactWPerM2K: number
  /** Plates to air while a blade is in, and while they rest: a fan, or ice, may come only then. */
  readonly airWPerM2K: number
  readonly restWPerM2K: number
  readonly ambientC: number
  /** So much longer than usual hands take between a blade out and the next pull, s; absent: as usual. */
  readonly handsMoreS?: number
  /** From one opening until the oven is back at its set point, s. */
  readonly doorRecoveryS: number
}

export type Waited = 'soak' | 'door' | 'hands' | 'plates-full' | 'plates-hot'

/** One line of the pull list; seconds from the first pull. */
export interface Pull {
  readonly id: string
  /** The set of plates, from 1; 0: into oil. */
  readonly set: number
  readonly pullAtS: number
  readonly outAtS: number
  readonly plateStartC: number
  readonly leavesC: number
  /** How long after the pull before door, hands and plates are ready for it, whatever its soak, s; 0 for the first. */
  readonly apartS: number
  /** Last thing the pull waited for; null for the first. */
  readonly waitedFor: Waited | null
  /** How long the plates rested for it, s. */
  readonly restedS: number
}

export interface Pace {
  readonly pulls: readonly Pull[]
  readonly totalS: number
  readonly restS: number
}

/** Oven to clamp with the door shut behind, and out of the clamp onto the rack, s. Common practice, no published source. */
const PULL_S = 12
const UNCLAMP_S = 8
/** Cool enough to hold, °C: out as soon as it is. */
const HAND_C = 60
/** Longest clamp: what is not cool enough to hold by then goes on to cool on the rack, if it may leave at all, s. */
const LONGEST_CLAMP_S = PACE.clampedS
const REST_STEP_S = 30
const LONGEST_REST_S = 3600
const IDLE_STEP_S = 5
const clampStep = (s: number) => (s < 2 ? 0.05 : s < 20 ? 0.25 : 1)

interface PlateSet {
  readonly stack: PlateStack
  /** Up to when it was followed, and when it is empty. */
  atS: number
  freeS: number
}

/**
 * A second-by-second pull list: each blade as soon as its soak, door, hands and plates allow. Plates are followed by conduction; a set that
 * would not bring the blade down in a long clamp rests first, and how long is found by trying.
 */
export function paceOf(request: PaceRequest): Pace {
  const conditions: StackConditions & { airWPerM2K: number } = { ...request, martensiteStartC: 0 }
  const sets = Array.from(
    { length: request.sets },
    (): PlateSet => ({ stack: new PlateStack(request.plates, request.plateStartC), atS: 0, freeS: 0 }),
  )
  const pulls: Pull[] = []
  let doorS = 0
  /** When the pair of hands that pulls, and the one that empties plates, are next free. */
  let handsS = 0
  let restS = 0
  const unclampS = UNCLAMP_S + (request.handsMoreS ?? 0)
  for (const blade of request.blades) {
    if (blade.oilS !== undefined) {
      const [why, pullAtS] = latest([
        ['soak', blade.dueS ?? 0],
        ['door', doorS],
        ['hands', handsS],
      ])
      const outAtS = pullAtS + PULL_S + blade.oilS
      const oilC = MEDIA.oil.keptC
      const waitedFor = pulls.length === 0 ? null : why
      const apartS = apartFrom(pulls, Math.max(doorS, handsS))
      const oil = { set: 0, plateStartC: oilC, leavesC: oilC, restedS: 0 }
      pulls.push({ id: blade.id, pullAtS, outAtS, apartS, waitedFor, ...oil })
      doorS = pullAtS + request.doorRecoveryS
      handsS = outAtS + unclampS
      continue
    }
    // Of two sets the one that is free first; of equals the cooler.
    const set = sets.reduce((a, b) =>
      b.freeS < a.freeS || (b.freeS === a.freeS && b.stack.meanC(blade) < a.stack.meanC(blade)) ? b : a,
    )
    const [why, atS] = latest([
      ['soak', blade.dueS ?? 0],
      ['door', doorS],
      ['hands', handsS],
      ['plates-full', set.freeS],
    ])
    const readyS = Math.max(doorS, handsS, set.freeS)
    idle(set, atS, blade, request, conditions)
    const { restedS, clamp } = restAndClamp(set, blade, request, conditions)
    const pullAtS = atS + restedS
    set.atS = pullAtS + PULL_S + clamp.seconds
    set.freeS = set.atS + unclampS
    pulls.push({
      id: blade.id,
      set: sets.indexOf(set) + 1,
      pullAtS,
      outAtS: set.atS,
      apartS: apartFrom(pulls, readyS) + (pulls.length === 0 ? 0 : restedS),
      plateStartC: clamp.plateStartC,
      leavesC: clamp.leavesC,
      waitedFor: pulls.length === 0 ? null : restedS > 0 ? 'plates-hot' : why,
      restedS,
    })
    restS += restedS
    doorS = pullAtS + request.doorRecoveryS
    // Alone, one pair of hands pulls and empties; with a helper the puller is free as soon as the vice is shut.
    handsS = pullAtS + PULL_S + (request.people === 1 && request.sets === 1 ? clamp.seconds + unclampS : 0)
  }
  return { pulls, totalS: Math.max(0, ...pulls.map(p => p.outAtS)), restS }
}

/** How long after the last pull a moment is, s. */
const apartFrom = (pulls: readonly Pull[], readyS: number): number =>
  pulls.length === 0 ? 0 : Math.max(0, readyS - (pulls.at(-1)?.pullAtS ?? 0))

/** Returns the last of several waits, and its end. */
const latest = (ready: readonly [Waited, number][]): [Waited, number] => ready.reduce((a, b) => (b[1] > a[1] ? b : a))

function idle(set: PlateSet, untilS: number, blade: Size, request: PaceRequest, conditions: StackConditions) {
  const resting = { ...conditions, airWPerM2K: request.restWPerM2K }
  while (set.atS < untilS - 1e-9) {
    const dt = Math.min(IDLE_STEP_S, untilS - set.atS)
    set.stack.step(null, blade, resting, dt)
    set.atS += dt
  }
}

/** Tries the blade on a copy; while it would come out too hot the plates rest a little more. */
function restAndClamp(set: PlateSet, blade: PaceBlade, request: PaceRequest, conditions: StackConditions) {
  const limitC = tooHotC(blade.martensiteStartC)
  let restedS = 0
  for (;;) {
    const copy = set.stack.clone()
    const clamp = clampOn(copy, blade, { ...conditions, martensiteStartC: blade.martensiteStartC })
    if (clamp.leavesC <= limitC || restedS >= LONGEST_REST_S) {
      set.stack.copyFrom(copy)
      return { restedS, clamp }
    }
    idle(set, set.atS + REST_STEP_S, blade, request, conditions)
    restedS += REST_STEP_S
  }
}

function clampOn(stack: PlateStack, blade: PaceBlade, conditions: StackConditions) {
  const steel = halfBlade(blade.fromC)
  const plateStartC = stack.meanC(blade)
  let s = 0
  while (s < LONGEST_CLAMP_S && meanOf(steel) > HAND_C) {
    const dt = clampStep(s)
    stack.step(steel, blade, conditions, dt)
    s += dt
  }
  return { seconds: s, plateStartC, leavesC: meanOf(steel) }
}
