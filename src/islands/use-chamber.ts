import { useMemo } from 'react'
import type { Oven } from '../core/shop/oven'
import type { OvenPreset } from '../data/ovens'
import { useAnswer } from '../workers/use-answer'

/** An oven as one node, by its wall model and what its log taught; null while it is worked out, and for no oven. */
export function useChamber(oven: Oven | null): OvenPreset | null {
  const answer = useAnswer(
    'chamber',
    useMemo(() => oven && { oven }, [oven]),
  )
  return oven && answer?.ok ? answer.value : null
}
