import { type ReactNode, useRef } from 'react'
import { useWidth } from './use-width'

/** A drawing that stays readable on a phone: never narrower than this, and moved sideways there. */
export function Wide({ leastPx, label, children }: { leastPx: number; label: string; children: ReactNode }) {
  const frame = useRef<HTMLDivElement>(null)
  const narrow = useWidth(frame) < leastPx
  return (
    <div
      ref={frame}
      className="overflow-x-auto"
      {...(narrow ? { tabIndex: 0, role: 'region', 'aria-label': `${label}, moves sideways` } : {})}
    >
      <div style={{ minWidth: leastPx }}>{children}</div>
    </div>
  )
}
