import { useEffect, useState } from 'react'
import { loadsOf } from '../../core/job/loads'
import { type PullGap, paceRequestOf, pullGapsOf } from '../../core/job/pull-list'
import type { Batch } from '../../core/shop/batch'
import { ask } from '../../workers/client'
import { useShopNow } from '../shop-context'

export interface PullGaps {
  readonly gaps: ReadonlyMap<string, PullGap>
  /** Some load's plates could not be worked out: its pulls wait the usual clamp. */
  readonly unknown: boolean
}

/** What each pull of a batch must wait for, by the plates of this shop; undefined while it is worked out. */
export function usePullGaps(batch: Batch | null | undefined): PullGaps | undefined {
  const shop = useShopNow()
  const [gaps, setGaps] = useState<PullGaps>()
  useEffect(() => {
    if (!batch) return
    let current = true
    const requests = loadsOf(batch).flatMap(load => {
      const asked = paceRequestOf(load, shop, batch)
      return asked.ok && asked.value ? [asked.value] : []
    })
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
