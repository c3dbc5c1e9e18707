import { useEffect, useState } from 'react'
import { type PullGap, paceRequestOf, pullGapsOf } from '../../core/plan/pull-list'
import { loadsOf } from '../../core/plan/tray'
import type { Batch, Workshop } from '../../core/record/schemas'
import { ask } from '../../workers/client'

export interface PullGaps {
  readonly gaps: ReadonlyMap<string, PullGap>
  /** Some load's plates could not be worked out: its pulls wait the usual clamp. */
  readonly unknown: boolean
}

/** What each pull of a batch must wait for, by the plates of this shop; undefined while it is worked out. */
export function usePullGaps(batch: Batch | null | undefined, shop: Workshop): PullGaps | undefined {
  const [gaps, setGaps] = useState<PullGaps>()
  useEffect(() => {
    if (!batch) return
    let current = true
    const requests = loadsOf(batch).flatMap(load => paceRequestOf(load, shop, batch) ?? [])
    Promise.all(requests.map(request => ask('pace', request)))
      .then(
        (answers): PullGaps => ({
          gaps: new Map(answers.flatMap(answer => (answer.ok ? [...pullGapsOf(answer.value)] : []))),
          unknown: answers.some(answer => !answer.ok),
        }),
      )
      // A run is not held up by a calculation that did not start: it is said, and the usual clamp stands.
      .catch((): PullGaps => ({ gaps: new Map(), unknown: true }))
      .then(found => {
        if (current) setGaps(found)
      })
    return () => {
      current = false
    }
  }, [batch, shop])
  return gaps
}
