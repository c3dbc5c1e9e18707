import { ASSUMED_THICKNESS_MM } from '../batch/tray'
import { middleOf, type TargetHrc } from '../rockwell/target'
import type { Route } from '../steel/route'
import { isGrade, type Steel } from '../steel/steel'
import { type ShopCan, suggestRoute, temperFor } from '../steel/suggest'
import { withTemperC } from '../steel/usual'
import { settingC } from '../units/setting'

/** Low tempers, of a steel that no sheet gives a range for, °C, and how long each is held, min. */
const LOW_TEMPERS_C = { minC: 150, maxC: 300 } as const
const BEGINS_AT_C = 200
const HOLD_MIN = 120

/** Abilities of a shop; oven and blade may be unknown. */
type Can = Pick<ShopCan, 'coldToC' | 'system'> & { readonly [K in 'ovenMaxC' | 'thicknessMm']?: number | undefined }

/**
 * The route nearest to what is wanted that a steel and a shop can do once it is annealed, quenched as fast as it was before. Of a
 * steel without a sheet the hardening stays as it was, and two low tempers are solved.
 */
export function reachableRoute(steel: Steel, before: Route, can: Can, wanted: TargetHrc): Route {
  const { seconds800to500 } = before
  if (isGrade(steel))
    return suggestRoute(
      steel,
      wanted,
      {
        coldToC: can.coldToC,
        ovenMaxC: can.ovenMaxC ?? steel.austenitize.maxC,
        thicknessMm: can.thicknessMm ?? ASSUMED_THICKNESS_MM,
        system: can.system,
      },
      seconds800to500 === undefined ? {} : { seconds800to500 },
    )
  const temper = { atC: settingC(BEGINS_AT_C, can.system), holdMin: HOLD_MIN }
  const plain: Route = { ...before, start: undefined, tempers: [temper, temper] }
  const middle = middleOf(wanted)
  return withTemperC(plain, temperFor(steel, plain, middle, LOW_TEMPERS_C, can.system).atC)
}
