import { type ButtonHTMLAttributes, type ReactNode, Suspense, useState } from 'react'

interface Props {
  /** How the button looks and is called; what was fetched has the same as its trigger. */
  readonly button: Pick<ButtonHTMLAttributes<HTMLButtonElement>, 'className' | 'children' | 'aria-label'>
  /** Fetches what is opened. */
  readonly onMeant: () => void
  /** Fetched content, open from the start, with the button as its trigger. */
  readonly children: ReactNode
}

/** A button that opens something which is fetched once somebody means to press it. */
export function Wished({ button, onMeant, children }: Props) {
  const [wanted, setWanted] = useState(false)
  const trigger = (
    <button
      type="button"
      {...button}
      aria-haspopup="dialog"
      aria-expanded={false}
      onPointerEnter={onMeant}
      onClick={() => setWanted(true)}
    />
  )
  return wanted ? <Suspense fallback={trigger}>{children}</Suspense> : trigger
}
