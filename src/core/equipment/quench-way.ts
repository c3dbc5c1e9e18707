import type { Grade } from '../../data/grades'
import type { BatchBlade } from '../batch/tray'
import { fail, ok, type Result } from '../codes/result'
import type { BatchGroup } from '../shop/batch'
import type { Workshop } from '../shop/workshop'
import { gradeOf } from '../steel/grades'

/** Quench medium of a steel. */
export type QuenchWay = 'plates' | 'medium-oil' | 'fast-oil'

/** The quench a steel has in this shop; null where the shop has none that hardens it. */
export function quenchWayOf(
  { quench: { needs } }: Pick<Grade, 'quench'>,
  shop: Pick<Workshop, 'oil'>,
): QuenchWay | null {
  if (needs === 'plates') return 'plates'
  if (shop.oil === undefined) return null
  return needs === 'fast-oil' && shop.oil !== 'fast-oil' ? null : shop.oil
}

/** Whether a steel of a batch is quenched in oil here: bare, since foil would keep the oil off it. */
export function goesIntoOil(group: BatchGroup, shop: Pick<Workshop, 'oil'>): boolean {
  const grade = gradeOf(group)
  const way = grade && quenchWayOf(grade, shop)
  return way === 'medium-oil' || way === 'fast-oil'
}

/**
 * Whether this shop can quench the steel of every blade. Errors: 'needs-oil' with the names of those it cannot, since nothing may be
 * keyed for blades that would not harden.
 */
export function quenchable(blades: readonly BatchBlade[], shop: Pick<Workshop, 'oil'>): Result<true> {
  const soft = [...new Set(blades.map(blade => blade.group))].flatMap(group => {
    const grade = gradeOf(group)
    return grade && !quenchWayOf(grade, shop) ? [grade] : []
  })
  if (soft.length === 0) return ok(true)
  const fast = soft.some(({ quench }) => quench.needs === 'fast-oil')
  return fail(
    'needs-oil',
    { gradeNames: soft.map(grade => grade.name), fast, hasOil: shop.oil !== undefined },
    'groups',
  )
}

/** Name of each medium in the quench model. */
export const MEDIUM = { plates: 'plates', 'medium-oil': 'oil', 'fast-oil': 'fast-oil' } as const
