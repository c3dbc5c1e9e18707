import type { Equalise } from '../../data/grades'
import { type EntrySchool, STAND_IN_PREHEATS, WAY_UP_C } from '../../data/ovens'
import { standing } from '../batch/blade-state'
import { type BatchBlade, bladesOf, tempersOf } from '../batch/tray'
import { fail, ok, type Result } from '../codes/result'
import { AMBIENT_C, bladeKg } from '../oven/chamber'
import type { Batch, BatchGroup } from '../shop/batch'
import { gradeOf } from '../steel/grades'
import type { System } from '../units/quantity'
import { settingC } from '../units/setting'

/** One closing of the oven door: groups soaked at the same temperature, in rising order of temperature. */
export interface Load {
  readonly austenitizeC: number
  readonly groups: readonly BatchGroup[]
  /** In pull order. */
  readonly blades: readonly BatchBlade[]
  /** Preheats to hold on the way up; none for a later load. */
  readonly equalise: readonly Equalise[]
  /** Oven temperature when the packets go in, °C. */
  readonly entryC: number
}

type LoadedBatch = Pick<Batch, 'lines' | 'blades' | 'groups' | 'entry'>

/**
 * Loads of a batch. Groups share a load only at the same austenitize temperature; the cooler load goes first, since an oven
 * rises faster than it falls; later loads go straight into the hot oven, without a preheat. Within a load: shortest
 * soak first, then the thinnest blade. Temperatures on the way up are settings of the scale the shop reads.
 */
export function loadsOf(batch: LoadedBatch, system: System): Load[] {
  const blades = standing(bladesOf(batch))
  const hot = new Set(blades.map(b => b.group.route.austenitizeC))
  return [...hot]
    .sort((a, b) => a - b)
    .map((austenitizeC, i, all) => {
      const groups = batch.groups.filter(g => g.route.austenitizeC === austenitizeC)
      const before = all[i - 1]
      const entry = entryOf(batch.entry, preheatsOf(groups), austenitizeC, system)
      return {
        austenitizeC,
        groups,
        blades: blades
          .filter(b => b.group.route.austenitizeC === austenitizeC)
          .sort((a, b) => a.group.route.soakMin - b.group.route.soakMin || a.line.thicknessMm - b.line.thicknessMm),
        equalise: before === undefined ? entry.equalise : [],
        entryC: before ?? entry.entryC,
      }
    })
}

/** The load a group is in; undefined while it has no blade. */
export const loadOfGroup = <L extends Load>(loads: readonly L[], groupId: string): L | undefined =>
  loads.find(load => load.blades.length > 0 && load.groups.some(group => group.id === groupId))

/** Returns a load's key: its soak and its blades. */
export const loadKeyOf = ({ austenitizeC, blades }: Pick<Load, 'austenitizeC' | 'blades'>): string =>
  `${austenitizeC} ${blades.map(blade => blade.id).join(' ')}`

/** Returns a temper load's key: its round, temperature, hold and blades. */
export const temperKeyOf = ({ round, atC, holdMin, blades }: TemperLoad): string =>
  `${round} ${atC} ${holdMin} ${blades.map(blade => blade.id).join(' ')}`

/** Weight of blades as plain bars, kg: the heavier side of the truth. */
export const steelKgOf = (blades: readonly BatchBlade[]): number =>
  blades.reduce((sum, { line }) => sum + bladeKg(line), 0)

/**
 * Whether the steel of every blade is known. Errors: 'grade-gone' with the names of those that are not, since nothing may be keyed
 * for them.
 */
export function steelsKnown(blades: readonly BatchBlade[]): Result<true> {
  const unknown = blades.filter(({ group }) => !gradeOf(group)).map(({ group }) => group.gradeName)
  return unknown.length === 0 ? ok(true) : fail('grade-gone', { gradeNames: [...new Set(unknown)] }, 'groups')
}

/** Preheats of the first grade in a group of them that asks for any. */
export const preheatsOf = (groups: readonly BatchGroup[]): readonly Equalise[] =>
  groups.map(g => gradeOf(g)?.equalise ?? []).find(steps => steps.length > 0) ?? []

/** The school a load comes to heat by when none is chosen: equalised where a grade's sheet asks for it, else on the way up. */
export const usualEntry = (preheats: readonly Equalise[]): EntrySchool =>
  preheats.length > 0 ? 'equalised' : 'on-the-way-up'

/** Preheats held and what the oven stands at when packets go in, by school. */
export function entryOf(
  chosen: EntrySchool | undefined,
  preheats: readonly Equalise[],
  austenitizeC: number,
  system: System,
): Pick<Load, 'equalise' | 'entryC'> {
  const school = chosen ?? usualEntry(preheats)
  if (school === 'from-cold') return { equalise: [], entryC: AMBIENT_C }
  if (school === 'straight-in') return { equalise: [], entryC: austenitizeC }
  if (school === 'on-the-way-up') return { equalise: [], entryC: Math.min(settingC(WAY_UP_C, system), austenitizeC) }
  const equalise = (preheats.length > 0 ? preheats : STAND_IN_PREHEATS)
    .map(step => ({ ...step, atC: settingC(step.atC, system) }))
    .filter(step => step.atC < austenitizeC)
  return { equalise, entryC: Math.min(equalise[0]?.atC ?? settingC(WAY_UP_C, system), austenitizeC) }
}

/** Blades that go into the tempering oven together. */
export interface TemperLoad {
  readonly round: number
  readonly atC: number
  readonly holdMin: number
  readonly blades: readonly BatchBlade[]
}

/**
 * Temper loads, round by round; groups share one at the same temperature and hold, the cooler first. Rounds a blade
 * has already had, by its id, are left out.
 */
export function temperLoadsOf(
  batch: Pick<Batch, 'lines' | 'blades' | 'groups'>,
  done: ReadonlyMap<string, number> = new Map(),
): TemperLoad[] {
  const blades = standing(bladesOf(batch))
  const rounds = Math.max(0, ...blades.map(blade => tempersOf(blade).length))
  return Array.from({ length: rounds }, (_, round) => {
    const loads = new Map<string, TemperLoad & { blades: BatchBlade[] }>()
    for (const blade of blades) {
      const temper = tempersOf(blade)[round]
      if (!temper || round < (done.get(blade.id) ?? 0)) continue
      const key = `${temper.atC}/${temper.holdMin}`
      const load = loads.get(key) ?? { round: round + 1, atC: temper.atC, holdMin: temper.holdMin, blades: [] }
      load.blades.push(blade)
      loads.set(key, load)
    }
    return [...loads.values()].sort((a, b) => a.atC - b.atC)
  }).flat()
}
