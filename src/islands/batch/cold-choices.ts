import { type ColdWay, coldWay } from '../../core/cold/way'
import type { PlannedRoute } from '../../core/shop/route'

export type ColdChoice = ColdWay | 'none'

/** The kinds of cold a route can be given. */
export const COLD_CHOICES: readonly (readonly [ColdChoice, string])[] = [
  ['none', 'none'],
  ['freezer', 'freezer'],
  ['dry-ice', 'dry ice'],
  ['liquid-nitrogen', 'liquid nitrogen'],
]

export const choiceOf = ({ cold }: Pick<PlannedRoute, 'cold'>): ColdChoice => (cold ? coldWay(cold.toC) : 'none')
