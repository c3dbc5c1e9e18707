import { type ReactNode, useState } from 'react'

const keyOf = (place: string) => `tawny-ember-more ${place}`

const wasOpen = (place: string): boolean => {
  try {
    return localStorage.getItem(keyOf(place)) === 'open'
  } catch {
    return false
  }
}

const keepOpen = (place: string, isOpen: boolean): void => {
  try {
    if (isOpen) localStorage.setItem(keyOf(place), 'open')
    else localStorage.removeItem(keyOf(place))
  } catch {
    // Storage may be blocked: it is then closed again on the next page.
  }
}

interface Props {
  /** Name under which it is remembered whether it was open; one for each place it stands at. */
  readonly place: string
  readonly title: string
  /** Names of the fields in it, so that nobody has to open it to look. */
  readonly says: string
  readonly children: ReactNode
}

/** Fields that a beginner can do without: closed until it is opened, and from then on as it was left. */
export function More({ place, title, says, children }: Props) {
  const [isOpen, setOpen] = useState(() => wasOpen(place))
  return (
    <details
      open={isOpen}
      onToggle={event => {
        setOpen(event.currentTarget.open)
        keepOpen(place, event.currentTarget.open)
      }}
    >
      <summary className="min-h-touch cursor-pointer py-2.5">
        {title} {!isOpen && <span className="text-small text-ink-2">{says}</span>}
      </summary>
      <div className="space-y-3 pb-2">{children}</div>
    </details>
  )
}
