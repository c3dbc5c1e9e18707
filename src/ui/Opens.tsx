import { lazy } from 'react'
import { OPENS_CLASS } from './opens-class'
import type { SidePopoverProps } from './SidePopover'
import { Wished } from './Wished'

const load = () => import('./SidePopover')
const SidePopover = lazy(load)

/** A word beside a figure or a title that opens to more. */
export const Opens = ({ onMeant, ...props }: SidePopoverProps & { readonly onMeant?: () => void }) => (
  <Wished
    button={{ className: OPENS_CLASS, 'aria-label': props.label, children: props.word }}
    onMeant={() => {
      void load()
      onMeant?.()
    }}
  >
    <SidePopover {...props} />
  </Wished>
)
