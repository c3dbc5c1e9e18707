import { PACE } from '../../data/pace'
import type { Workshop } from '../shop/workshop'

/** From a load's last pull until it was looked over and goes on, min: the shop's own time, or what is usual. */
export const inspectMinOf = ({ inspectMin }: Pick<Workshop, 'inspectMin'>): number => inspectMin ?? PACE.inspectMin
