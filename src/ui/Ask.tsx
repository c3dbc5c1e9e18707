import { lazy } from 'react'
import type { AskProps } from './AskDialog'
import { Wished } from './Wished'

const load = () => import('./AskDialog')
const AskDialog = lazy(load)

/** A button for what cannot be taken back: it asks first, in words. */
export const Ask = (props: AskProps) => (
  <Wished button={{ className: 'btn', children: props.children }} onMeant={() => void load()}>
    <AskDialog {...props} />
  </Wished>
)
