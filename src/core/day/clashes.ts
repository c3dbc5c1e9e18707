import type { Network } from './day-network'
import type { Capacity } from './problem'

/**
 * Decision of the search: `to` starts at least `lagMin` after `from`, two stays share one closing, or a task starts
 * no sooner than a given minute.
 */
export interface Decision {
  readonly arcs: readonly (readonly [from: number, to: number, lagMin: number])[]
  readonly merge: readonly [stay: number, other: number] | null
  readonly notBefore?: readonly [task: number, min: number]
}

/** Two stays go in and out as one. */
export function sharing(stays: Network['stays'], a: number, b: number): Decision {
  const [one, other] = [stays[a], stays[b]]
  if (!one || !other) throw new RangeError('no such stay')
  return {
    arcs: [
      [one.first, other.first, 0],
      [other.first, one.first, 0],
      [one.last, other.last, 0],
      [other.last, one.last, 0],
    ],
    merge: [a, b],
  }
}

/** The ways out of a clash: each is a decision, and one of them is true of every plan. */
export type Clash = readonly Decision[]

/**
 * Finds resource conflicts in a network's starts: two tasks at once for one operator or three for two, two stays in one oven without the
 * time it needs from one to the other, more in the cold box than it holds.
 */
export function createClashes(network: Network, capacity: Capacity) {
  const { tasks, stays, box, setups, stood } = network
  const lengths = Float64Array.from(tasks, task => task.durationMin)
  /** The stay a task opens or empties, so that tempers in one closing are one task. */
  const stayOf = new Int16Array(tasks.length).fill(-1)
  stays.forEach((stay, i) => {
    if (stay.key === null) return
    stayOf[stay.first] = i
    stayOf[stay.last] = i
  })
  let ownTasks: number[] = []
  let ownStays: number[] = []
  let ownBox: number[] = []

  const before = (from: number, to: number, lag: number): Decision => ({ arcs: [[from, to, lag]], merge: null })
  const stayBefore = (a: number, b: number): Decision => {
    const [first, next] = [stays[a], stays[b]]
    if (!first || !next) throw new RangeError('no such stay')
    return before(first.last, next.first, (lengths[first.last] as number) + (setups[a]?.[b] ?? 0))
  }
  /** How far a stay that comes after another would be put off. */
  const putOff = (starts: Float64Array, a: number, b: number): number => {
    const [first, next] = [stays[a], stays[b]]
    if (!first || !next) return 0
    const from = (starts[first.last] as number) + (lengths[first.last] as number) + (setups[a]?.[b] ?? 0)
    return from - (starts[next.first] as number)
  }
  const countOf = (closings: Int16Array, closing: number): number =>
    ownStays.reduce((sum, i) => (closings[i] === closing ? sum + (stays[i]?.count ?? 0) : sum), 0)
  const mergeOf = (closings: Int16Array, a: number, b: number): Decision | null => {
    const [one, other] = [stays[a], stays[b]]
    if (!one || !other || one.key === null || one.key !== other.key || one.unit === other.unit) return null
    const [ca, cb] = [closings[a] as number, closings[b] as number]
    // Two rounds of the same blades are never in one closing.
    const units = ownStays.filter(i => closings[i] === ca || closings[i] === cb).map(i => stays[i]?.unit)
    if (new Set(units).size < units.length) return null
    if (countOf(closings, ca) + countOf(closings, cb) > (capacity.ovens[one.oven] ?? 0)) return null
    return sharing(stays, a, b)
  }

  function stayClash(starts: Float64Array, closings: Int16Array): Clash | null {
    let [worst, best]: [readonly [number, number] | null, number] = [null, 0]
    for (let i = 0; i < ownStays.length; i++)
      for (let j = i + 1; j < ownStays.length; j++) {
        const [a, b] = [ownStays[i] as number, ownStays[j] as number]
        if (stays[a]?.oven !== stays[b]?.oven || closings[a] === closings[b]) continue
        if (stays[a]?.begun && stays[b]?.begun) continue
        const least = Math.min(putOff(starts, a, b), putOff(starts, b, a))
        if (least > best) [worst, best] = [[a, b], least]
      }
    if (!worst) return null
    const [a, b] = worst
    const merge = mergeOf(closings, a, b)
    return [stayBefore(a, b), stayBefore(b, a), ...(merge ? [merge] : [])]
  }

  const isOne = (closings: Int16Array, a: number, b: number): boolean => {
    const [sa, sb] = [stayOf[a] as number, stayOf[b] as number]
    return sa >= 0 && sb >= 0 && closings[sa] === closings[sb] && tasks[a]?.kind === tasks[b]?.kind
  }

  /** The orders in which two tasks are one after the other. */
  const eitherOrder = (a: number, b: number): Decision[] => [
    before(a, b, lengths[a] as number),
    before(b, a, lengths[b] as number),
  ]

  /**
   * Two tasks at once where there are not two pairs of hands for the whole of that time. Starts only ever move on: if the two are to be
   * done side by side after all, the later of them begins no sooner than the helper comes next.
   */
  function aloneClash(a: number, b: number, fromMin: number, toMin: number): Clash | null {
    if (tasks[a]?.allHands || tasks[b]?.allHands) return eitherOrder(a, b)
    if (capacity.helper.some(([from, to]) => from <= fromMin && to >= toMin)) return null
    const next = capacity.helper.find(([from]) => from > fromMin)?.[0]
    if (next === undefined) return eitherOrder(a, b)
    const wait = (task: number): Decision => ({ arcs: [], merge: null, notBefore: [task, next] })
    return [...eitherOrder(a, b), wait(a), wait(b)]
  }

  function handsClash(starts: Float64Array, closings: Int16Array): Clash | null {
    ownTasks.sort((a, b) => (starts[a] as number) - (starts[b] as number))
    const endOf = (task: number) => (starts[task] as number) + (lengths[task] as number)
    for (let i = 0; i < ownTasks.length; i++) {
      const a = ownTasks[i] as number
      /** Tasks done at the same time by the second operator. */
      const beside: number[] = []
      for (let j = i + 1; j < ownTasks.length; j++) {
        const b = ownTasks[j] as number
        const startMin = starts[b] as number
        if (startMin >= endOf(a)) break
        if (isOne(closings, a, b) || (stood[a] && stood[b])) continue
        const clash = aloneClash(a, b, startMin, Math.min(endOf(a), endOf(b)))
        if (clash) return clash
        const third = beside.find(c => endOf(c) > startMin && !isOne(closings, b, c))
        if (third !== undefined) return [...eitherOrder(a, b), ...eitherOrder(a, third), ...eitherOrder(b, third)]
        beside.push(b)
      }
    }
    return null
  }

  function boxClash(starts: Float64Array): Clash | null {
    const emptied = (i: number) => (starts[box[i]?.out ?? 0] as number) + (lengths[box[i]?.out ?? 0] as number)
    for (const i of ownBox) {
      const atMin = starts[box[i]?.in ?? 0] as number
      const within = ownBox.filter(j => (starts[box[j]?.in ?? 0] as number) <= atMin && emptied(j) > atMin)
      if (within.reduce((sum, j) => sum + (box[j]?.count ?? 0), 0) <= capacity.box) continue
      return within.flatMap(a =>
        within
          .filter(b => b !== a)
          .map(b => before(box[a]?.out ?? 0, box[b]?.in ?? 0, lengths[box[a]?.out ?? 0] as number)),
      )
    }
    return null
  }

  return {
    /** From now on only these tasks are there. */
    among(active: Uint8Array) {
      ownTasks = tasks.flatMap((_, i) => (active[i] ? [i] : []))
      ownStays = stays.flatMap(({ first }, i) => (active[first] ? [i] : []))
      ownBox = box.flatMap((stay, i) => (active[stay.in] ? [i] : []))
    },
    /** The clash that puts off the most; null where there is none. */
    worst: (starts: Float64Array, closings: Int16Array): Clash | null =>
      stayClash(starts, closings) ?? handsClash(starts, closings) ?? boxClash(starts),
  }
}
