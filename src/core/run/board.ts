import type { Run, RunBlade, RunStep } from '../shop/run'
import { arrivalOf, type OvenKnown, type RunState } from './run-state'

/** Where a blade is. 'bench': before anything; 'rack': out of whatever it was in last. */
export type BladePlace = 'bench' | 'oven' | 'soaking' | 'due' | 'plates' | 'oil' | 'rack' | 'cold' | 'temper' | 'gone'

/** A blade's own clock. */
export interface BoardRow {
  readonly blade: RunBlade
  readonly place: BladePlace
  /** Soak so far, or in the end, s; null before it was at heat. */
  readonly soakedS: number | null
  /** Excess over the longest soak its steel allows, s; 0 if there is none. */
  readonly overS: number
  /** Its next step, and in how many seconds; null while that has no time. */
  readonly next: { readonly kind: RunStep['kind']; readonly inS: number | null } | null
  /** It is the one the present step is about. */
  readonly isPresent: boolean
}

/** Every blade of a run with its own clock, in pull order. */
export function boardOf(
  run: Pick<Run, 'blades' | 'steps'>,
  state: RunState,
  nowS: number,
  arrivedS: OvenKnown['arrivedS'],
): BoardRow[] {
  const pulls = pullTimes(run, state, nowS, arrivedS)
  return run.blades.map((blade): BoardRow => {
    const id = blade.bladeId
    const soak = soakOf(blade, state, nowS, arrivedS)
    const place = placeOf(blade, run, state, soak)
    const step = state.steps
      .slice(state.stepIndex)
      .find(one => one.bladeIds.includes(id) || one.names.afterBladeId === id)
    // The step that takes it out of the plates is another blade's, or nobody's.
    const kind = step?.names.afterBladeId === id ? 'unclamp' : step?.kind
    // When it is cool enough is felt, not counted.
    const inS =
      kind === 'unclamp' && step?.kind !== 'unclamp'
        ? null
        : kind === 'pull'
          ? (pulls.get(id) ?? null)
          : step === state.step
            ? state.remainingS
            : null
    return {
      blade,
      place,
      soakedS: soak,
      overS: blade.longestMin === null || soak === null ? 0 : Math.max(0, soak - blade.longestMin * 60),
      next: kind && place !== 'gone' ? { kind, inS } : null,
      isPresent: state.step?.bladeIds.length === 1 && state.step.bladeIds[0] === id,
    }
  })
}

/** Returns the soak of a blade, s: until now, or until it was pulled; null before it was at heat. */
function soakOf(
  blade: RunBlade,
  { confirmed }: RunState,
  nowS: number,
  arrivedS: OvenKnown['arrivedS'],
): number | null {
  const pull = confirmed.find(one => one.step.kind === 'pull' && one.step.bladeIds.includes(blade.bladeId))
  if (pull?.event.soakedS !== undefined) return pull.event.soakedS
  const arrived = arrivalOf(blade, confirmed, arrivedS)
  const untilS = pull?.atS ?? nowS
  return arrived === null || arrived > untilS ? null : untilS - arrived
}

const AFTER: Partial<Record<RunStep['kind'], BladePlace>> = {
  load: 'oven',
  'cold-in': 'cold',
  'cold-out': 'rack',
  'temper-in': 'temper',
  'temper-out': 'rack',
}

function placeOf(blade: RunBlade, run: Pick<Run, 'steps'>, state: RunState, soakedS: number | null): BladePlace {
  const id = blade.bladeId
  if (state.gone.has(id)) return 'gone'
  let place: BladePlace = run.steps.some(step => step.kind === 'load' && step.bladeIds.includes(id)) ? 'bench' : 'rack'
  for (const { step } of state.confirmed) {
    if (step.names.afterBladeId === id) place = 'rack'
    if (!step.bladeIds.includes(id)) continue
    place = step.kind === 'pull' ? (step.names.oil ? 'oil' : 'plates') : (AFTER[step.kind] ?? place)
  }
  if (place !== 'oven' || soakedS === null) return place
  return soakedS >= blade.soakMin * 60 ? 'due' : 'soaking'
}

/** In how many seconds each blade that is still in will be pulled, one after another from the present step on. */
export function pullTimes(
  run: Pick<Run, 'blades'>,
  state: RunState,
  nowS: number,
  arrivedS: OvenKnown['arrivedS'],
): ReadonlyMap<string, number> {
  const times = new Map<string, number>()
  let beforeS: number | null = state.confirmed.findLast(one => one.step.kind === 'pull')?.atS ?? null
  for (const step of state.steps.slice(state.stepIndex)) {
    const { wait } = step
    if (step.kind === 'load' || step.kind === 'oven-off') break
    if (step.kind !== 'pull' || wait?.kind !== 'soak') continue
    const blade = run.blades.find(one => one.bladeId === wait.bladeId)
    const arrived = blade && arrivalOf(blade, state.confirmed, arrivedS)
    if (!blade || arrived === null || arrived === undefined) break
    const apartS = state.people === 2 ? wait.apartS : wait.apartAloneS
    const soonestS = beforeS === null ? nowS : beforeS + apartS
    const atS: number =
      step.id === state.step?.id && state.dueS !== null ? state.dueS : Math.max(soonestS, arrived + blade.soakMin * 60)
    times.set(wait.bladeId, atS - nowS)
    beforeS = Math.max(atS, nowS)
  }
  return times
}

/** Returns the soak a blade should have at least and at most, s. */
export const soakWindowS = ({ soakMin, longestMin }: Pick<RunBlade, 'soakMin' | 'longestMin'>): [number, number] => [
  soakMin * 60,
  (longestMin ?? soakMin) * 60,
]

/** Returns the length of the scale that holds the soaks of all rows and their windows, with room, s. */
export const soakScaleS = (rows: readonly BoardRow[]): number =>
  1.2 * Math.max(...rows.map(({ soakedS, blade }) => Math.max(soakedS ?? 0, soakWindowS(blade)[1])))
