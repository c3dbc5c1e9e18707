import type { Equalise } from '../../data/grades'
import { ENTRY_SCHOOLS, type EntrySchool, STAND_IN_PREHEATS, WAY_UP_C } from '../../data/ovens'
import type { DetailedOven } from './oven-model'
import type { ProgrammeSegment } from './programme-control'
import { type SimulatedLoad, simulateOven } from './simulate'

export interface EntryRequest {
  readonly oven: DetailedOven
  readonly austenitizeC: number
  readonly soakMin: number
  /** Preheats of the grade, or those that stand in where it asks for none. */
  readonly equalise: readonly Equalise[]
  readonly load: readonly Omit<SimulatedLoad, 'when'>[]
}

export interface EntryOutcome {
  readonly school: EntrySchool
  /** Minutes from oven on until the soak is over; null where the oven does not get there. */
  readonly totalMin: number | null
  /** Minutes from going in until the blade is there. */
  readonly inOvenMin: number | null
  readonly steepestKPerMin: number
  /** The most the skin of a blade was ahead of its core, K. */
  readonly skinAheadK: number
  /** Minutes the blade is within 5 °C of the soak when it has been held so long. */
  readonly soakMin: number
  readonly energyKWh: number
  readonly curve: readonly (readonly [min: number, ovenC: number, bladeC: number | null])[]
}

/** Held past the soak for the blade's own lag; the outcome is cut where the soak is over. */
const SPARE_MIN = 25

/** The four schools of entry on one oven, with one load: how gentle, how long, how dear. */
export function compareEntries(request: EntryRequest): EntryOutcome[] {
  const { austenitizeC, soakMin } = request
  const soak: ProgrammeSegment = { rateCPerH: null, targetC: austenitizeC, holdMin: soakMin + SPARE_MIN }
  const steps = (request.equalise.length > 0 ? request.equalise : STAND_IN_PREHEATS).filter(
    step => step.atC < austenitizeC,
  )
  const preheats = steps.map(step => ({ rateCPerH: null, targetC: step.atC, holdMin: step.holdMin }))
  const plans: Readonly<Record<EntrySchool, { segments: ProgrammeSegment[]; when: SimulatedLoad['when'] }>> = {
    'from-cold': { segments: [soak], when: { atMin: 0 } },
    'on-the-way-up': { segments: [soak], when: { ovenC: Math.min(WAY_UP_C, austenitizeC - 20) } },
    equalised: { segments: [...preheats, soak], when: { ovenC: (steps[0]?.atC ?? WAY_UP_C) - 3 } },
    'straight-in': { segments: [soak], when: { ovenC: austenitizeC - 3 } },
  }
  return ENTRY_SCHOOLS.map(school => {
    const { segments, when } = plans[school]
    const ran = simulateOven({
      oven: request.oven,
      startC: 20,
      segments,
      load: request.load.map(load => ({ ...load, when })),
      doorOpen: [],
    })
    // The slowest blade decides.
    const there = ran.load.map(load => load.withinFiveCMin)
    const arrived = there.some(min => min === null) ? null : Math.max(...(there as number[]))
    const total = arrived === null ? null : arrived + soakMin
    const inserted = ran.load[0]?.insertedMin ?? null
    return {
      school,
      totalMin: total,
      inOvenMin: arrived === null || inserted === null ? null : arrived - inserted,
      steepestKPerMin: Math.max(...ran.load.map(load => load.steepestKPerMin)),
      skinAheadK: Math.max(...ran.load.map(load => load.skinAheadK)),
      soakMin,
      energyKWh: ran.energyKWh,
      curve: total === null ? ran.curve : ran.curve.filter(([min]) => min <= total),
    }
  })
}

/** The part of a curve from when its blades go in, on a clock that starts a little before. */
export function fromEntry(outcome: EntryOutcome): EntryOutcome {
  const first = outcome.curve.findIndex(([, , bladeC]) => bladeC !== null)
  const startMin = Math.max(0, (outcome.curve[Math.max(0, first)]?.[0] ?? 0) - BEFORE_ENTRY_MIN)
  return {
    ...outcome,
    curve: outcome.curve.flatMap(([min, ...at]) => (min >= startMin ? [[min - startMin, ...at] as const] : [])),
  }
}

/** So much of the oven is shown before its blades go in, min. */
const BEFORE_ENTRY_MIN = 5
