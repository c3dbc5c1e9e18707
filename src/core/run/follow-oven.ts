import { DOOR_S } from '../../data/doors'
import { BEGINS_ANEW_BELOW_K } from '../../data/soak'
import { ARRIVED_WITHIN_K } from '../oven/lag'
import { type DetailedOven, OvenModel } from '../oven/oven-model'
import { clippedPi, type PiControl } from '../oven/programme-control'
import type { OvenEvent } from './oven-events'

/** An oven that is followed: its walls, and how its display differs from what the blades see. */
export interface FollowedOven {
  readonly oven: DetailedOven
  /** Returns the difference between display and true temperature, K. */
  readonly correctionAt: (trueC: number) => number
  /** Chamber as the run began, °C. */
  readonly startC: number
}

/** A blade as an oven takes it. Sizes in mm; `heatC`: what it must come to, °C. */
export interface FollowedBlade {
  readonly bladeId: string
  readonly thicknessMm: number
  readonly widthMm: number
  readonly lengthMm: number
  readonly view: number
  readonly heatC: number
}

/** Thermal record of a blade: when it was at heat, how long since, less the time out of the oven, and its temperature. */
export interface BladeHeat {
  readonly bladeId: string
  /** Temper it went in for, from 1; 0: to be hardened. */
  readonly round: number
  /** When it came to heat, moved on by what it was out of it later; null where it has not. s on the run's clock. */
  readonly arrivedS: number | null
  /** When it left the oven; null while it is in. */
  readonly leftS: number | null
  readonly peakC: number
}

export interface OvenTrack {
  /** [s, °C as shown], in order; past `knownS` it is what comes if nothing is done. */
  readonly shown: readonly (readonly [atS: number, c: number])[]
  readonly knownS: number
  readonly untilS: number
  readonly blades: readonly BladeHeat[]
}

const SLOW_STEP_S = 10
const FAST_STEP_S = 1
const FAST_FOR_S = 120
/** How long what comes is followed on at most, s, and at least. */
const LONGEST_AHEAD_S = 8 * 3600
const LEAST_AHEAD_S = 1800
/** A blade that falls further below its heat than this is not soaking, K: an open door for one pull is no interruption. */
const SOAKS_WITHIN_K = 25
/** The display is written down no closer than this, s. */
const SAMPLE_S = 10
/** Near its set point it holds, K. */
const HOLDS_WITHIN_K = 1.5
/** Below this above the room a display's correction fades: it was found at heat. */
const CORRECTED_FROM_K = 100
const ROOM_C = 20
/** Range of an oven's power relative to its nameplate; and the smallest climb that shows it. */
const POWER_SHARE = { least: 0.5, most: 1.4 } as const
const TELLING_CLIMB_K = 40

/** Returns the display at a true temperature, and the inverse, °C. */
export function displayOf({ correctionAt }: Pick<FollowedOven, 'correctionAt'>) {
  const shown = (trueC: number) =>
    trueC + correctionAt(trueC) * Math.min(1, Math.max(0, (trueC - ROOM_C) / CORRECTED_FROM_K))
  const actual = (shownC: number) => {
    let trueC = shownC
    // The correction changes so slowly with temperature that three rounds are exact to a hundredth.
    for (let i = 0; i < 3; i++) trueC = shownC - (shown(trueC) - trueC)
    return trueC
  }
  return { shown, actual }
}

interface Inside {
  readonly blade: FollowedBlade
  readonly handle: number
  readonly round: number
  readonly heatC: number
  arrivedS: number | null
  leftS: number | null
  peakC: number
}

/**
 * An oven followed by its wall model through what happened to it, and on from there as it will go if nothing else does. What the
 * display was read at corrects it: on a climb at full power by the power that explains the reading, elsewhere by the reading itself.
 */
export function followOven(
  { oven, startC, ...display }: FollowedOven,
  events: readonly OvenEvent[],
  blades: readonly FollowedBlade[],
): OvenTrack {
  const { shown, actual } = displayOf(display)
  const byId = new Map(blades.map(blade => [blade.bladeId, blade]))
  let model = new OvenModel(oven, startC)
  let pi = clippedPi()
  let power = 1
  const state = { setC: 0, doorUntilS: -1, deadUntilS: -1, fastUntilS: -1 }
  let atS = events[0]?.atS ?? 0
  const inside: Inside[] = []
  const samples: [number, number][] = [[atS, shown(model.indicatedC)]]
  /** The last moment that is sure, from which a climb at full power is judged. */
  let anchor: Anchor | null = null

  const stepTo = (endS: number) => {
    while (atS < endS - 1e-9) {
      const dtS = Math.min(atS < state.fastUntilS ? FAST_STEP_S : SLOW_STEP_S, endS - atS)
      const share = shareNow(dtS)
      if (share < 1) anchor = null
      model.step(Math.min(share, 1) * power, atS < state.doorUntilS, dtS)
      atS += dtS
      watch(dtS)
    }
  }
  const shareNow = (dtS: number): number => {
    if (state.setC <= 0 || atS < state.deadUntilS) return 0
    return pi.share(actual(state.setC), model.indicatedC, dtS)
  }
  const watch = (dtS: number) => {
    for (const one of inside) {
      if (one.leftS !== null) continue
      const c = model.bladeC(one.handle)
      one.peakC = Math.max(one.peakC, c)
      if (one.arrivedS === null && c >= one.heatC - ARRIVED_WITHIN_K) one.arrivedS = atS
      else if (one.arrivedS !== null && c < one.heatC - BEGINS_ANEW_BELOW_K) one.arrivedS = null
      else if (one.arrivedS !== null && c < one.heatC - SOAKS_WITHIN_K) one.arrivedS += dtS
    }
    if (atS >= (samples.at(-1)?.[0] ?? 0) + SAMPLE_S) samples.push([atS, shown(model.indicatedC)])
  }
  const take = (event: OvenEvent) => {
    switch (event.kind) {
      case 'set':
        state.setC = event.setC
        anchor = anchored()
        return
      case 'shows':
        return read(event.c)
      case 'door':
        state.doorUntilS = Math.max(state.doorUntilS, event.untilS)
        state.fastUntilS = Math.max(state.fastUntilS, event.untilS + FAST_FOR_S)
        anchor = null
        return
      case 'anew':
        for (const one of inside) if (one.leftS === null) one.arrivedS = null
        return
      case 'no-power':
        state.deadUntilS = Math.max(state.deadUntilS, event.untilS)
        anchor = null
        return
      default:
        for (const id of event.bladeIds) {
          if (event.kind === 'out') takeOut(id)
          else putIn(id, event.round, event.round === 0 ? null : actual(state.setC))
        }
        // The press comes when the door is shut again.
        state.doorUntilS = Math.max(state.doorUntilS, atS + (event.kind === 'in' ? DOOR_S.load : DOOR_S.pull))
        state.fastUntilS = state.doorUntilS + FAST_FOR_S
        anchor = null
    }
  }
  const putIn = (id: string, round: number, temperC: number | null) => {
    const blade = byId.get(id)
    if (!blade || inside.some(one => one.blade.bladeId === id && one.leftS === null)) return
    const handle = model.insert({ ...blade, count: 1 })
    inside.push({
      blade,
      handle,
      round,
      heatC: temperC ?? blade.heatC,
      arrivedS: null,
      leftS: null,
      peakC: ROOM_C,
    })
  }
  const takeOut = (id: string) => {
    const one = inside.findLast(other => other.blade.bladeId === id)
    if (!one || one.leftS !== null) return
    one.leftS = atS
    model.remove(one.handle)
  }
  const read = (shownC: number) => {
    const trueC = actual(shownC)
    const from = anchor
    if (from && model.indicatedC - from.model.indicatedC > TELLING_CLIMB_K) {
      const fitted = climbed(from, atS, trueC)
      model = fitted.model
      pi = fitted.pi
      power = fitted.power
    }
    model.settleAt(trueC)
    samples.push([atS, shownC])
    anchor = anchored()
  }
  /** From here a climb can be judged, if there is one to come. */
  const anchored = (): Anchor | null =>
    state.setC > 0 && actual(state.setC) > model.indicatedC + TELLING_CLIMB_K
      ? { atS, model: model.clone(), pi: pi.clone() }
      : null

  for (const event of events) {
    stepTo(event.atS)
    take(event)
  }
  const knownS = atS
  const isSettled = () =>
    inside.every(one => one.leftS !== null || one.arrivedS !== null) &&
    (state.setC > 0 ? Math.abs(model.indicatedC - actual(state.setC)) < HOLDS_WITHIN_K : model.indicatedC < 60)
  while (atS < knownS + LEAST_AHEAD_S || (!isSettled() && atS < knownS + LONGEST_AHEAD_S)) stepTo(atS + SLOW_STEP_S)
  return {
    shown: samples,
    knownS,
    untilS: atS,
    blades: inside.map(({ blade, round, arrivedS, leftS, peakC }) => ({
      bladeId: blade.bladeId,
      round,
      arrivedS,
      leftS,
      peakC,
    })),
  }
}

interface Anchor {
  readonly atS: number
  readonly model: OvenModel
  readonly pi: PiControl
}

/** A climb at full power since a moment that ended at a reading: the power that explains it, as a share of what the plate says. */
function climbed(from: Anchor, atS: number, endC: number): { model: OvenModel; pi: PiControl; power: number } {
  const climb = (power: number) => {
    const model = from.model.clone()
    for (let s = from.atS; s < atS - 1e-9; s += SLOW_STEP_S) model.step(power, false, Math.min(SLOW_STEP_S, atS - s))
    return model
  }
  let [low, high] = [POWER_SHARE.least as number, POWER_SHARE.most as number]
  for (let i = 0; i < 12; i++) {
    const middle = (low + high) / 2
    if (climb(middle).indicatedC < endC) low = middle
    else high = middle
  }
  const power = (low + high) / 2
  return { model: climb(power), pi: from.pi.clone(), power }
}

/** Returns the display temperature of a track at a second, °C; null before it begins. Past its end it is constant. */
export function shownAt(track: Pick<OvenTrack, 'shown'>, atS: number): number | null {
  const { shown } = track
  const upper = shown.findIndex(([s]) => s > atS)
  const before = shown[upper < 0 ? shown.length - 1 : upper - 1]
  if (!before) return null
  const after = upper < 0 ? undefined : shown[upper]
  return after ? before[1] + ((atS - before[0]) / (after[0] - before[0])) * (after[1] - before[1]) : before[1]
}

/** When a track is first within limits from a second on, s; null where it never is as far as it goes. */
export function withinFrom(
  track: Pick<OvenTrack, 'shown'>,
  fromS: number,
  { leastC, mostC }: { readonly leastC: number; readonly mostC: number },
): number | null {
  const now = shownAt(track, fromS)
  if (now !== null && now >= leastC && now <= mostC) return fromS
  return track.shown.find(([s, c]) => s > fromS && c >= leastC && c <= mostC)?.[0] ?? null
}

/** When the blades of a run were at their heat to be hardened, by what its oven was followed to, s. */
export const arrivalsOf = (track: Pick<OvenTrack, 'blades'> | null): ReadonlyMap<string, number | null> =>
  new Map((track?.blades ?? []).filter(one => one.round === 0).map(one => [one.bladeId, one.arrivedS]))

/** Returns the display where the blades were, up to a second: from the first temper on, of the tempering oven. */
export function shownWhere(
  {
    hardening,
    tempering,
  }: { readonly hardening: Pick<OvenTrack, 'shown'>; readonly tempering: Pick<OvenTrack, 'shown'> | null },
  endS: number,
): (readonly [atS: number, c: number])[] {
  // An oven that nothing was done to yet stands at room temperature from the start.
  const beganS = tempering?.shown[0]?.[0] ?? 0
  const otherS = beganS > 0 ? beganS : Number.POSITIVE_INFINITY
  const after = tempering?.shown.filter(([s]) => s >= otherS) ?? []
  return [...hardening.shown.filter(([s]) => s < otherS), ...after].filter(([s]) => s <= endS)
}
