import { lazy } from 'react'
import { Opens } from './Opens'
import type { WorkingProps } from './WorkingLines'

const load = () => import('./WorkingLines')
const WorkingLines = lazy(load)

/** Opens a figure to its inputs, equations and sources. */
export const Working = (props: WorkingProps & { readonly of: string }) => (
  <Opens word="working" label={`Working of ${props.of}`} title={props.of} width="wide" onMeant={() => void load()}>
    <WorkingLines lines={props.lines} note={props.note} />
  </Opens>
)
