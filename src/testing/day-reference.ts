import type { Window } from '../core/day/problem'
import type { RuleGroup, RuleOven, RuleShop } from '../core/day/rule-problem'

/** Ovens, plates and hours of the reference figures: an oven of five packets, a tempering oven and a freezer of eight. */
export const REFERENCE_OVEN: RuleOven = { packets: 5, tInfC: 1400, tauHeatMin: 45, tauCoolMin: 150 }
export const REFERENCE_TEMPER_OVEN: RuleOven = { packets: 8, tInfC: 700, tauHeatMin: 60, tauCoolMin: 60 }

export const daysOf = (fromMin: number, toMin: number, days = 5): Window[] =>
  Array.from({ length: days }, (_, day) => [fromMin + day * 1440, toMin + day * 1440])

export const REFERENCE_SHOP: RuleShop = {
  oven: REFERENCE_OVEN,
  temperOven: REFERENCE_TEMPER_OVEN,
  plates: { sets: 1, pressMin: 3, handleMin: 1, maxRun: 4, restMin: 10 },
  coldBoxPackets: 8,
  coolBetweenMin: 20,
  overrunMin: 960,
  work: daysOf(480, 1020),
}

type Kind = Omit<RuleGroup, 'id' | 'count' | 'rounds' | 'maxToTemperMin' | 'deadlineMin'>

const COMMON = { entryC: null, equaliseMin: 0, cold: null } as const

export const REFERENCE_KINDS = {
  A: {
    austenitizeC: [1060, 1080],
    soakMin: [20, 35],
    entryC: 800,
    equaliseMin: 10,
    cold: { delayMin: 60, holdMin: [60, 960] },
    temper: { atC: 200, holdMin: 125 },
  },
  C: {
    ...COMMON,
    austenitizeC: [1030, 1065],
    soakMin: [25, 45],
    entryC: 800,
    equaliseMin: 10,
    temper: { atC: 200, holdMin: 125 },
  },
  D: { ...COMMON, austenitizeC: [800, 825], soakMin: [10, 25], temper: { atC: 205, holdMin: 125 } },
  E: { ...COMMON, austenitizeC: [840, 870], soakMin: [15, 30], temper: { atC: 175, holdMin: 65 } },
  F: {
    austenitizeC: [950, 1010],
    soakMin: [20, 40],
    entryC: 700,
    equaliseMin: 10,
    cold: { delayMin: 120, holdMin: [60, 960] },
    temper: { atC: 200, holdMin: 125 },
  },
} as const satisfies Record<string, Kind>

export type KindName = keyof typeof REFERENCE_KINDS

/** Blades of one of the kinds, twice tempered. */
export const kind = (name: KindName, count: number, maxToTemperMin: number, id: string = name): RuleGroup => ({
  id,
  count,
  rounds: 2,
  deadlineMin: null,
  maxToTemperMin,
  ...REFERENCE_KINDS[name],
})

/** A workshop of plain figures as it is asked about over HTTP. */
export const servedShop = ({ coldBoxPackets, ...shop }: RuleShop) => ({ ...shop, coldBox: { packets: coldBoxPackets } })

/** Four blades of the first kind, as they are asked about over HTTP. */
export const SERVED_GROUP = { id: 'A', count: 4, ...REFERENCE_KINDS.A, maxToTemperMin: 120 } as const
