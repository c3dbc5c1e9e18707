import { useMemo } from 'react'
import type { Batch, Reading, Workshop } from '../../core/record/schemas'
import { partApart } from '../../core/rockwell/apart'
import { stagesOf } from '../../core/rockwell/stages'
import { hardnessTrace, type StageHardness } from '../../core/rockwell/trace'
import { verifyTester } from '../../core/rockwell/verification'
import { useReadings } from '../../store/hooks'
import type { GroupPlan } from './use-plan'

/** Hardness of a group along its route: measured where it was, and what follows from there. Blades that stand apart are left out. */
export function useHardness(batch: Batch, shop: Workshop, plan: GroupPlan | undefined): readonly StageHardness[] {
  const readings = useReadings(batch.id)
  return useMemo(() => {
    if (!plan) return []
    const stages = stagesOf(plan.group.route)
    // The tester's bias alone is needed here: the statistics, with their tables, come with the benches that show them.
    const bias = shop.block ? verifyTester(shop.block).bias : 0
    const measured = new Map<Reading['stage'], number>()
    for (const stage of stages) {
      const own = (readings ?? []).filter(r => r.groupId === plan.group.id && r.stage === stage)
      const { together } = partApart(own)
      if (together.length > 0) measured.set(stage, together.reduce((sum, r) => sum + r.hrc, 0) / together.length - bias)
    }
    return hardnessTrace(plan.prediction, stages, measured)
  }, [readings, plan, shop])
}
