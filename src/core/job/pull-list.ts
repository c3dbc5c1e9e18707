import { PACE } from '../../data/pace'
import { ok, type Result } from '../codes/result'
import { doorRecoveryS } from '../oven/door-recovery'
import { type Pace, type PaceRequest, paceOf } from '../quench/pace'
import type { Batch } from '../shop/batch'
import type { Workshop } from '../shop/workshop'
import { gradeOf } from '../steel/grades'
import { predict } from '../steel/predict'
import { type Load, loadsOf } from './loads'
import { detailedOven, ovenOf } from './ovens'
import { airOf, contactOf, plateSize } from './plates'

const USUAL_START_C = 180

/**
 * A load in pull order between this shop's plates, as its pull list is worked out; null for an empty one.
 * Errors: as ovenOf, since the door's recovery is that of one oven.
 */
export function paceRequestOf(
  load: Load,
  shop: Pick<Workshop, 'plates' | 'ovens'>,
  batch: Pick<Batch, 'ovenId' | 'ovenName'>,
): Result<PaceRequest | null> {
  if (load.blades.length === 0) return ok(null)
  const oven = ovenOf(shop, batch)
  if (!oven.ok) return oven
  const starts = new Map(
    load.groups.map(group => {
      const grade = gradeOf(group)
      return [group.id, grade ? predict(grade, group.route).martensiteStartC : USUAL_START_C]
    }),
  )
  return ok({
    blades: load.blades.map(({ id, line, group }) => ({
      id,
      thicknessMm: line.thicknessMm,
      widthMm: line.widthMm,
      lengthMm: line.lengthMm,
      fromC: group.route.austenitizeC,
      martensiteStartC: starts.get(group.id) ?? USUAL_START_C,
    })),
    plates: plateSize(shop),
    plateStartC: shop.plates.startC,
    sets: shop.plates.sets ?? 1,
    people: shop.plates.people ?? 1,
    contactWPerM2K: contactOf(shop),
    airWPerM2K: airOf(shop),
    restWPerM2K: airOf(shop),
    ambientC: PACE.roomC,
    doorRecoveryS: doorRecoveryS(detailedOven(oven.value), load.austenitizeC),
  })
}

/** What a pull waits for in a run: seconds since the pull before, and how much of that the plates rest. */
export interface PullGap {
  readonly seconds: number
  readonly restedS: number
}

/** Gaps of a pull list by blade. */
export const pullGapsOf = (pace: Pace): Map<string, PullGap> =>
  new Map(
    pace.pulls.map((pull, i) => [
      pull.id,
      { seconds: pull.pullAtS - (pace.pulls[i - 1]?.pullAtS ?? pull.pullAtS), restedS: pull.restedS },
    ]),
  )

/** The same for every load of a batch. Errors: as ovenOf. */
export function pullGapsOfBatch(
  batch: Pick<Batch, 'lines' | 'blades' | 'groups' | 'entry' | 'ovenId' | 'ovenName'>,
  shop: Pick<Workshop, 'plates' | 'ovens'>,
): Result<Map<string, PullGap>> {
  const gaps = new Map<string, PullGap>()
  for (const load of loadsOf(batch)) {
    const asked = paceRequestOf(load, shop, batch)
    if (!asked.ok) return asked
    if (asked.value) for (const [id, gap] of pullGapsOf(paceOf(asked.value))) gaps.set(id, gap)
  }
  return ok(gaps)
}
