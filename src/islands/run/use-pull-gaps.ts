import { useEffect, useState } from 'react'
import { type PullGap, paceRequestOf, pullGapsOf } from '../../core/plan/pull-list'
import { loadsOf } from '../../core/plan/tray'
import type { Batch, Workshop } from '../../core/record/schemas'
import { ask } from '../../workers/client'

/** What each pull of a batch must wait for, by the plates of this shop; undefined while it is worked out. */
export function usePullGaps(batch: Batch | null | undefined, shop: Workshop): ReadonlyMap<string, PullGap> | undefined {
  const [gaps, setGaps] = useState<ReadonlyMap<string, PullGap>>()
  useEffect(() => {
    if (!batch) return
    let current = true
    const requests = loadsOf(batch).flatMap(load => paceRequestOf(load, shop, batch) ?? [])
    Promise.all(requests.map(request => ask('pace', request)))
      .then(answers => new Map(answers.flatMap(answer => (answer.ok ? [...pullGapsOf(answer.value)] : []))))
      // Without a worker the usual clamp stands: a run is not held up by a calculation.
      .catch(() => new Map<string, PullGap>())
      .then(found => {
        if (current) setGaps(found)
      })
    return () => {
      current = false
    }
  }, [batch, shop])
  return gaps
}
