import { PACE } from '../../data/pace'

/** Hands at work, from and to, min from midnight of the first day. */
export type Window = readonly [fromMin: number, toMin: number]

/** Every time of a plan is a multiple of this, min; what is measured finer is rounded to the safe side. */
export const GRID_MIN = 5

/** Hands take so long for one thing: a door opened, packets put in or taken out, min. Rule of the day plan. */
export const ACT_MIN = PACE.doorMin

/** An oven as the day knows it. */
export interface DayOven {
  readonly packets: number
  /** Minutes from one temperature to another; infinite where it never gets there. */
  readonly transMin: (fromC: number, toC: number) => number
}

/** How far blades are on a day that has begun; since when, min. */
export type Progress =
  | { readonly kind: 'quenched' | 'in-cold' | 'thawed'; readonly atMin: number }
  | { readonly kind: 'in-temper' | 'tempered'; readonly round: number; readonly atMin: number }

/** Blades that are one in all that follows the quench. */
export interface DayGroup {
  readonly id: string
  /** Packets in an oven, and in the cold box. */
  readonly count: number
  readonly cold: { readonly delayMin: number; readonly holdMin: Window } | null
  /** All tempers of it; what is done of them is in its progress. */
  readonly tempers: readonly { readonly atC: number; readonly holdMin: number }[]
  /** How long it may stand before its first temper, after the quench or the cold, min. */
  readonly maxToTemperMin: number
  /** When it must be out of its last temper; null: at any time. */
  readonly deadlineMin: number | null
  /** So long hands straighten it, warm from its first temper, min; absent: it is straight. */
  readonly straightenMin?: number
  /** Absent: it is still to be hardened. */
  readonly progress?: Progress
}

/** A heat some blades of an atom go through before they are hardened. */
export interface BeforeHeat {
  readonly kind: 'anneal' | 'relieve'
  readonly groups: readonly number[]
  /** Which oven of the problem. */
  readonly oven: number
  /** Oven temperature as they go in, and when they come out, °C. */
  readonly inC: number
  readonly outC: number
  /** From in to out, at the least and at the most, min. */
  readonly stayMin: Window
  /** From out of it until they can be loaded, min. */
  readonly thenMin: number
  /** Heats of one key may share a closing. */
  readonly key: string
  /** Packets. */
  readonly count: number
  /** Since when they are in, min; null: they are still to go in. */
  readonly inSinceMin: number | null
}

/** Hands on a hot run, min from the load's own start. */
export interface HotTask {
  readonly kind: 'load' | 'pull' | 'inspect'
  readonly load: number
  readonly offsetMin: number
  readonly durationMin: number
  /** It takes all hands there are: nothing else is done beside it. */
  readonly allHands?: boolean
}

/** One or more loads that follow one another through the oven at fixed times: from the door's first opening to the last press. */
export interface HotRun {
  /** Which oven of the problem. */
  readonly oven: number
  /** Oven temperature when the packets go in, and when the last is out, °C. */
  readonly firstC: number
  readonly lastC: number
  readonly tasks: readonly HotTask[]
  /** Index of the pull task of each group, by the group's index in the problem. */
  readonly pullOf: ReadonlyMap<number, number>
  /** The task after which blades can go on, where that is another than their pull. */
  readonly readyAfter?: number
  /** Groups that are past the oven: such a run has no task in it. */
  readonly going?: readonly number[]
  /** When it was begun, min, where it was: it stands; and how many of its tasks are done. */
  readonly begunMin?: number
  readonly done?: number
  readonly loads: readonly {
    readonly groups: readonly number[]
    readonly austenitizeC: number
    readonly entryC: number
  }[]
}

/** Why some groups cannot go through the oven together. */
export interface RunRefusal {
  readonly code: 'windows-apart' | 'oven-too-small' | 'soak-too-long' | 'too-hot' | 'no-plan-for-load'
  /** The most an oven holds, or minutes past the soak's end. */
  readonly amount: number
}

/** The day plan's whole question. Times in minutes from midnight of the first day. */
export interface DayProblem {
  readonly ovens: readonly DayOven[]
  /** Which of them tempers; it may be one that hardens, once it has cooled. */
  readonly temperOven: number
  readonly coldBoxPackets: number
  readonly coolBetweenMin: number
  /** How much longer than asked a temper may stay in. */
  readonly overrunMin: number
  readonly work: readonly Window[]
  /** When a second pair of hands is there beside the first; absent: never. */
  readonly helper?: readonly Window[]
  readonly groups: readonly DayGroup[]
  /** Indices of groups that always go into the oven together. */
  readonly atoms: readonly (readonly number[])[]
  /** How some groups go through the oven together. */
  readonly runOf: (groups: readonly number[]) => RunAnswer
  /** When each atom may be loaded at the earliest, by the atom's index; absent: at once. */
  readonly notBeforeMin?: readonly number[]
  /** The same, at the latest: where the maker set its start; absent: at any time. */
  readonly notAfterMin?: readonly number[]
  /** Heats each atom goes through before its load, by the atom's index; absent: none. */
  readonly before?: readonly (readonly BeforeHeat[])[]
  /** Earliest start of tasks that are not done yet, min; absent: none. */
  readonly nowMin?: number
  /** An oven may heat up before hands are there; absent: it may. */
  readonly heatsAlone?: boolean
}

export type RunAnswer =
  | { readonly ok: true; readonly run: HotRun }
  | { readonly ok: false; readonly refusal: RunRefusal }

/** Minutes rounded up to the plan's grid; what is on it but for rounding stays. @example upToGrid(7) // 10 */
export const upToGrid = (min: number): number => Math.ceil(min / GRID_MIN - 1e-9) * GRID_MIN
/** Minutes rounded down to the plan's grid; what is on it but for rounding stays. @example downToGrid(7) // 5 */
export const downToGrid = (min: number): number => Math.floor(min / GRID_MIN + 1e-9) * GRID_MIN

/** Resources that cannot be used twice at once. */
export interface Capacity {
  /** Packets each oven holds, and the cold box. */
  readonly ovens: readonly number[]
  readonly box: number
  /** When there are two pairs of hands and not one; apart and in order. */
  readonly helper: readonly Window[]
}

/** How much each oven and the cold box hold, packets, and when two pairs of hands are there. */
export const capacityOf = ({ ovens, coldBoxPackets, helper }: DayProblem): Capacity => ({
  ovens: ovens.map(({ packets }) => packets),
  box: coldBoxPackets,
  helper: joinedWindows(helper ?? []),
})

/** Windows in order; those that overlap or touch are one, those that are empty are none. */
export function joinedWindows(windows: readonly Window[]): Window[] {
  const all: [number, number][] = []
  for (const [from, to] of [...windows].sort((a, b) => a[0] - b[0])) {
    const last = all.at(-1)
    if (to <= from) continue
    if (last && from <= last[1]) last[1] = Math.max(last[1], to)
    else all.push([from, to])
  }
  return all
}

/** The oven that tempers: one of its own, or the one that hardens. */
export const temperOvenOf = ({ ovens, temperOven }: DayProblem): DayOven => ovens[temperOven] as DayOven
