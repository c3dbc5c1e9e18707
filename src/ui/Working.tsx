import { fetchedAhead } from './fetched-ahead'
import { Opens } from './Opens'
import type { WorkingProps } from './WorkingLines'

const [WorkingLines, fetchLines] = fetchedAhead(() => import('./WorkingLines'))

/** Opens a figure to its inputs, equations and sources. */
export const Working = (props: WorkingProps & { readonly of: string }) => (
  <Opens word="working" label={`Working of ${props.of}`} title={props.of} width="wide" onMeant={fetchLines}>
    <WorkingLines lines={props.lines} note={props.note} />
  </Opens>
)
