import { useMemo } from 'react'
import type { Chamber } from '../core/equipment/chambers'
import type { Oven } from '../core/shop/oven'
import { useAnswer } from '../workers/use-answer'

/** What an oven does by its wall model and what its log taught; null while it is worked out, and for no oven. */
export function useChamber(oven: Oven | null): Chamber | null {
  const answer = useAnswer(
    'chamber',
    useMemo(() => oven && { oven }, [oven]),
  )
  return oven && answer?.ok ? answer.value : null
}
