import { fetchedAhead } from './fetched-ahead'
import { OPENS_CLASS } from './opens-class'
import type { SidePopoverProps } from './SidePopover'
import { Wished } from './Wished'

const [SidePopover, fetchPopover] = fetchedAhead(() => import('./SidePopover'))

/** A word beside a figure or a title that opens to more. */
export const Opens = ({ onMeant, ...props }: SidePopoverProps & { readonly onMeant?: () => void }) => (
  <Wished
    button={{ className: OPENS_CLASS, 'aria-label': props.label, children: props.word }}
    onMeant={() => {
      fetchPopover()
      onMeant?.()
    }}
  >
    <SidePopover {...props} />
  </Wished>
)
