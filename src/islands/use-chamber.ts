import { useMemo } from 'react'
import type { Chamber } from '../core/equipment/chambers'
import type { Oven } from '../core/shop/oven'
import { useAnswer } from '../workers/use-answer'

/** Returns an oven's behaviour by its wall model and its fit; null while it is computed, and for no oven. */
export function useChamber(oven: Oven | null): Chamber | null {
  const answer = useAnswer(
    'chamber',
    useMemo(() => oven && { oven }, [oven]),
  )
  return oven && answer?.ok ? answer.value : null
}
