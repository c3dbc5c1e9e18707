import { useEffect } from 'react'
import { useBatchInRun } from '../../store/run-going-on'
import { addressPart } from '../address'

/** Takes a screen that only shows from Today to the run that begins, and back when it is over. */
export function FollowRun(): null {
  const batchId = useBatchInRun()
  useEffect(() => {
    if (batchId && location.pathname === '/') location.assign(`/run/${batchId}`)
    else if (batchId === null && addressPart(1) === 'run') location.assign('/')
  }, [batchId])
  return null
}
