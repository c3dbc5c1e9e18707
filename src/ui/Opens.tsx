import { lazy, Suspense, useState } from 'react'
import { OPENS_CLASS } from './opens-class'
import type { SidePopoverProps } from './SidePopover'

const load = () => import('./SidePopover')
const SidePopover = lazy(load)

/** A word beside a figure or a title that opens to more. What it opens is fetched once somebody means to press. */
export function Opens({ onMeant, ...props }: SidePopoverProps & { readonly onMeant?: () => void }) {
  const [wanted, setWanted] = useState(false)
  const trigger = (
    <button
      type="button"
      className={OPENS_CLASS}
      aria-label={props.label}
      aria-haspopup="dialog"
      aria-expanded={false}
      onPointerEnter={() => {
        void load()
        onMeant?.()
      }}
      onClick={() => setWanted(true)}
    >
      {props.word}
    </button>
  )
  return wanted ? (
    <Suspense fallback={trigger}>
      <SidePopover {...props} />
    </Suspense>
  ) : (
    trigger
  )
}
