import type { AskProps } from './AskDialog'
import { fetchedAhead } from './fetched-ahead'
import { Wished } from './Wished'

const [AskDialog, fetchDialog] = fetchedAhead(() => import('./AskDialog'))

/** A button for what cannot be taken back: it asks first, in words. */
export const Ask = (props: AskProps) => (
  <Wished button={{ className: 'btn', children: props.children }} onMeant={fetchDialog}>
    <AskDialog {...props} />
  </Wished>
)
