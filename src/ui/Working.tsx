import { lazy, Suspense, useState } from 'react'
import { WORKING_CLASS, type WorkingProps } from './working-trigger'

const load = () => import('./WorkingPopover')
const WorkingPopover = lazy(load)

/** Opens a figure to its inputs, equations and sources. The popover is fetched once somebody means to press. */
export function Working(props: WorkingProps) {
  const [wanted, setWanted] = useState(false)
  const trigger = (
    <button
      type="button"
      className={WORKING_CLASS}
      aria-label={`Working of ${props.of}`}
      aria-haspopup="dialog"
      aria-expanded={false}
      onPointerEnter={() => void load()}
      onClick={() => setWanted(true)}
    >
      working
    </button>
  )
  return wanted ? (
    <Suspense fallback={trigger}>
      <WorkingPopover {...props} />
    </Suspense>
  ) : (
    trigger
  )
}
