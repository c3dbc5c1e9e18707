import { temperOf } from '../core/batch/hardness-stages'
import type { Stage } from '../core/shop/route'

/** Where in the route something was measured: 'after temper 2'. */
export function stageName(stage: Stage): string {
  const temper = temperOf(stage)
  if (temper !== null) return `after temper ${temper}`
  return stage === 'as-quenched' ? 'as quenched' : 'after cold'
}
