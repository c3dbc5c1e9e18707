import type { StretchNote } from '../core/job/timeline'
import { formatQuantity } from '../core/units/quantity'

/** What is written at a stretch of the Heat Line, beside its temperature. */
export function stretchWords(note: StretchNote | null): string {
  if (note === null) return ''
  if (note.code === 'load') return 'load'
  if (note.code === 'soak') return `soak ${Math.round(note.minutes)} min`
  if (note.code === 'temper') return formatQuantity(note.minutes, 'duration', 'metric')
  return { freezer: 'freezer', 'dry-ice': 'dry ice', 'liquid-nitrogen': 'liquid nitrogen' }[note.code]
}
