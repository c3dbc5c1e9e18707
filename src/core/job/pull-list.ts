import { PACE } from '../../data/pace'
import { CONTACT } from '../../data/thermal'
import { ok, type Result } from '../codes/result'
import { doorRecoveryS } from '../oven/door-recovery'
import type { Pace, PaceRequest } from '../quench/pace'
import { PLATE_AIR } from '../quench/quench'
import type { Batch } from '../shop/batch'
import type { Workshop } from '../shop/workshop'
import { gradeOf } from '../steel/grades'
import { predict } from '../steel/predict'
import type { Load } from './loads'
import { detailedOven, ovenOf } from './ovens'

const USUAL_START_C = 180

export const contactOf = ({ plates }: Pick<Workshop, 'plates'>): number =>
  plates.fit?.contactWPerM2K ?? CONTACT.clampedFoil

/** Plates to air: the maker's own, where it was read with what cools them. */
export const airOf = ({ plates }: Pick<Workshop, 'plates'>): number => plates.fit?.airWPerM2K ?? PLATE_AIR[plates.air]

export const plateSize = ({ plates }: Pick<Workshop, 'plates'>) => ({
  thicknessMm: plates.thicknessMm,
  widthMm: plates.widthMm,
  lengthMm: plates.lengthMm,
  ...(plates.metal ? { metal: plates.metal } : {}),
})

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
