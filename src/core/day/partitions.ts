import type { Random } from '../numeric/random'
import type { DayProblem, HotRun, RunRefusal } from './problem'

/** Atoms by their index, in sets that go into the oven together. */
export type Partition = readonly (readonly number[])[]

/** Up to so many atoms every way to join them is looked at. */
export const MOST_JOINED_ALL_WAYS = 7
/** Beyond, so many ways drawn at random: fewer where each costs more. */
const drawnWays = (count: number): number => (count <= 12 ? 24 : count <= 20 ? 8 : 3)

/** Computes each set of atoms as one hot run, once. */
export function createRuns(problem: DayProblem) {
  const known = new Map<string, HotRun | RunRefusal>()
  return (atoms: readonly number[]): HotRun | RunRefusal => {
    const key = atoms.join()
    const before = known.get(key)
    if (before) return before
    const answer = problem.runOf(atoms.flatMap(atom => problem.atoms[atom] ?? []))
    const run = answer.ok ? answer.run : answer.refusal
    known.set(key, run)
    return run
  }
}

/** Whether a set of groups can go into the oven together. */
export const isRun = (answer: HotRun | RunRefusal): answer is HotRun => 'tasks' in answer

/** Every way to join atoms in which each set can go into the oven together; for many atoms none joined, all that can be, and some drawn. */
export function partitionsOf(count: number, runOf: ReturnType<typeof createRuns>, random: Random): Partition[] {
  const fits = (set: readonly number[]) => isRun(runOf(set))
  const all = Array.from({ length: count }, (_, i) => i)
  if (count <= MOST_JOINED_ALL_WAYS) return allWays(all, fits)
  const drawn = Array.from({ length: drawnWays(count) }, (_, i) =>
    joined(i === 0 ? all : shuffled(all, random), fits, i < 2 ? () => true : () => random.uniform() < 0.7),
  )
  const ways = [...drawn, all.map(atom => [atom])]
  return [...new Map(ways.map(way => [keyOf(way), way])).values()]
}

const keyOf = (way: Partition): string =>
  way
    .map(set => set.join())
    .sort()
    .join(' ')

function allWays(atoms: readonly number[], fits: (set: readonly number[]) => boolean): Partition[] {
  const [first, ...rest] = atoms
  if (first === undefined) return [[]]
  return allWays(rest, fits).flatMap(way => [
    [[first], ...way],
    ...way.flatMap((set, i) => {
      const more = [first, ...set]
      return fits(more) ? [way.map((other, j) => (j === i ? more : other))] : []
    }),
  ])
}

/** Each atom into the first set that takes it, or into one of its own. */
function joined(order: readonly number[], fits: (set: readonly number[]) => boolean, wants: () => boolean): number[][] {
  const sets: number[][] = []
  for (const atom of order) {
    const home = wants() ? sets.find(set => fits([...set, atom].sort((a, b) => a - b))) : undefined
    if (home) {
      home.push(atom)
      home.sort((a, b) => a - b)
    } else sets.push([atom])
  }
  return sets
}

/** The same items in a drawn order, every order as likely (Fisher and Yates); the given list is left as it is. */
export function shuffled<T>(items: readonly T[], random: Random): T[] {
  const drawn = [...items]
  for (let i = drawn.length - 1; i > 0; i--) {
    const j = Math.floor(random.uniform() * (i + 1))
    ;[drawn[i], drawn[j]] = [drawn[j] as T, drawn[i] as T]
  }
  return drawn
}
