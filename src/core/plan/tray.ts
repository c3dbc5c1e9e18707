import { bladeKg } from '../oven/chamber'
import type { Batch, BatchGroup, Blade } from '../record/schemas'

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
}

/**
 * Loads of a batch. Groups share a load only at the same soak temperature; the cooler load goes first, since an oven
 * rises faster than it falls. Within a load: shortest soak first, then the thinnest blade.
 */
export function loadsOf(batch: Pick<Batch, 'blades' | 'groups'>): Load[] {
  const pieces = piecesOf(batch)
  const temperatures = [...new Set(batch.groups.map(g => g.route.austenitizeC))].sort((a, b) => a - b)
  return temperatures
    .map(austenitizeC => ({
      austenitizeC,
      groups: batch.groups.filter(g => g.route.austenitizeC === austenitizeC),
      pieces: pieces
        .filter(p => p.group.route.austenitizeC === austenitizeC)
        .sort((a, b) => a.group.route.soakMin - b.group.route.soakMin || a.blade.thicknessMm - b.blade.thicknessMm),
    }))
    .filter(load => load.pieces.length > 0)
}

/** Blades that go into the tempering oven together. */
export interface TemperLoad {
  readonly round: number
  readonly atC: number
  readonly holdMin: number
  readonly pieces: readonly Piece[]
}

/** Temper loads, round by round; groups share one at the same temperature and hold, the cooler first. */
export function temperLoadsOf(batch: Pick<Batch, 'blades' | 'groups'>): TemperLoad[] {
  const pieces = piecesOf(batch)
  const rounds = Math.max(0, ...batch.groups.map(g => g.route.tempers.length))
  return Array.from({ length: rounds }, (_, round) => {
    const loads = new Map<string, TemperLoad & { pieces: Piece[] }>()
    for (const piece of pieces) {
      const temper = piece.group.route.tempers[round]
      if (!temper) continue
      const key = `${temper.atC}/${temper.holdMin}`
      const load = loads.get(key) ?? { round: round + 1, atC: temper.atC, holdMin: temper.holdMin, pieces: [] }
      load.pieces.push(piece)
      loads.set(key, load)
    }
    return [...loads.values()].sort((a, b) => a.atC - b.atC)
  }).flat()
}
