import type { Equalise } from '../../data/grades'
import { type EntrySchool, STAND_IN_PREHEATS, WAY_UP_C } from '../../data/ovens'
import { AMBIENT_C, bladeKg } from '../oven/chamber'
import type { Batch, BatchGroup, Blade } from '../record/schemas'
import { gradeOf } from '../steel/grades'
import type { Temper } from '../steel/tempering'

/** One blade as it is scribed and moved: A3 of the line A x 6. */
export interface Piece {
  readonly mark: string
  readonly blade: Blade
  readonly group: BatchGroup
}

/** Every single blade of a batch, in the order of the tray. A line of one keeps its plain mark. */
export function piecesOf(batch: Pick<Batch, 'blades' | 'groups'>): Piece[] {
  return batch.blades.flatMap(blade => {
    const group = batch.groups.find(g => g.id === blade.groupId)
    if (!group) return []
    return Array.from({ length: blade.count }, (_, i) => ({
      mark: blade.count === 1 ? blade.mark : `${blade.mark}${i + 1}`,
      blade,
      group,
    }))
  })
}

export const countOf = (blades: readonly Blade[]): number => blades.reduce((sum, blade) => sum + blade.count, 0)

/** Weight of a batch's steel as plain bars, kg: the heavier side of the truth. */
export const steelKgOf = (blades: readonly Blade[]): number =>
  blades.reduce((sum, blade) => sum + blade.count * bladeKg(blade), 0)

export const thickestMm = (blades: readonly Blade[]): number => Math.max(0, ...blades.map(blade => blade.thicknessMm))

export const bladesOf = (batch: Pick<Batch, 'blades'>, groupId: string): Blade[] =>
  batch.blades.filter(blade => blade.groupId === groupId)

/** One closing of the oven door: groups soaked at the same temperature, in rising order of temperature. */
export interface Load {
  readonly austenitizeC: number
  readonly groups: readonly BatchGroup[]
  readonly pieces: readonly Piece[]
  /** Preheats to hold on the way up; none for a later load. */
  readonly equalise: readonly Equalise[]
  /** What the oven stands at when the packets go in, °C. */
  readonly entryC: number
}

/**
 * Loads of a batch. Groups share a load only at the same soak temperature; the cooler load goes first, since an oven
 * rises faster than it falls; later loads go straight into the hot oven, without a preheat. Within a load: shortest
 * soak first, then the thinnest blade.
 */
export function loadsOf(batch: Pick<Batch, 'blades' | 'groups' | 'entry'>): Load[] {
  const pieces = piecesOf(batch)
  const hot = new Set(pieces.map(p => p.group.route.austenitizeC))
  return [...hot]
    .sort((a, b) => a - b)
    .map((austenitizeC, i, all) => {
      const groups = batch.groups.filter(g => g.route.austenitizeC === austenitizeC)
      const own = pieces.filter(p => p.group.route.austenitizeC === austenitizeC)
      const before = all[i - 1]
      const entry = entryOf(batch.entry, preheatsOf(groups), austenitizeC)
      const equalise = before === undefined ? entry.equalise : []
      return {
        austenitizeC,
        groups,
        pieces: own.sort(
          (a, b) => a.group.route.soakMin - b.group.route.soakMin || a.blade.thicknessMm - b.blade.thicknessMm,
        ),
        equalise,
        entryC: before ?? entry.entryC,
      }
    })
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
): Pick<Load, 'equalise' | 'entryC'> {
  const school = chosen ?? usualEntry(preheats)
  if (school === 'from-cold') return { equalise: [], entryC: AMBIENT_C }
  if (school === 'straight-in') return { equalise: [], entryC: austenitizeC }
  if (school === 'on-the-way-up') return { equalise: [], entryC: Math.min(WAY_UP_C, austenitizeC) }
  const equalise = (preheats.length > 0 ? preheats : STAND_IN_PREHEATS).filter(step => step.atC < austenitizeC)
  return { equalise, entryC: Math.min(equalise[0]?.atC ?? WAY_UP_C, austenitizeC) }
}

/** Tempers of one blade: its group's, and those that were written for it alone. */
export function tempersOf(batch: Pick<Batch, 'pieceTempers'>, piece: Piece): readonly Temper[] {
  const own = batch.pieceTempers?.find(entry => entry.mark === piece.mark)?.tempers ?? []
  return [...piece.group.route.tempers, ...own]
}

/** A blade's whole route, with what was written for it alone. */
export const routeOfPiece = (batch: Pick<Batch, 'pieceTempers'>, piece: Piece): BatchGroup['route'] => ({
  ...piece.group.route,
  tempers: [...tempersOf(batch, piece)],
})

/** Blades that go into the tempering oven together. */
export interface TemperLoad {
  readonly round: number
  readonly atC: number
  readonly holdMin: number
  readonly pieces: readonly Piece[]
}

/**
 * Temper loads, round by round; groups share one at the same temperature and hold, the cooler first. Rounds a blade
 * has already had, by its mark, are left out.
 */
export function temperLoadsOf(
  batch: Pick<Batch, 'blades' | 'groups' | 'pieceTempers'>,
  done: ReadonlyMap<string, number> = new Map(),
): TemperLoad[] {
  const pieces = piecesOf(batch)
  const rounds = Math.max(0, ...pieces.map(piece => tempersOf(batch, piece).length))
  return Array.from({ length: rounds }, (_, round) => {
    const loads = new Map<string, TemperLoad & { pieces: Piece[] }>()
    for (const piece of pieces) {
      const temper = tempersOf(batch, piece)[round]
      if (!temper || round < (done.get(piece.mark) ?? 0)) continue
      const key = `${temper.atC}/${temper.holdMin}`
      const load = loads.get(key) ?? { round: round + 1, atC: temper.atC, holdMin: temper.holdMin, pieces: [] }
      load.pieces.push(piece)
      loads.set(key, load)
    }
    return [...loads.values()].sort((a, b) => a.atC - b.atC)
  }).flat()
}
