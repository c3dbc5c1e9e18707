import type { WorkingLine } from '../core/codes/working'

export interface WorkingProps {
  /** What figure it is the working of. */
  readonly of: string
  readonly lines: readonly WorkingLine[]
  readonly note?: string
}

/** How what opens a working looks, before and after it was fetched. */
export const WORKING_CLASS = 'link -my-3 min-h-touch shrink-0 px-1 text-note text-ink-2 hover:text-ink'
