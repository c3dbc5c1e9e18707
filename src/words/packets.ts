import type { Leak } from '../core/load/packets'

/** How a leak is known. */
export const leakWords = (leak: Leak): string => (leak.by === 'hand' ? leak.text : 'called in the hot run')
