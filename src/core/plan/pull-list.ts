import { PACE } from '../../data/pace'
import { CONTACT } from '../../data/thermal'
import { doorRecoveryS } from '../oven/door-recovery'
import type { Pace, PaceRequest } from '../quench/pace'
import { PLATE_AIR } from '../quench/quench'
import { detailedOven, ovenOf } from '../record/oven-record'
import type { Batch, Workshop } from '../record/schemas'
import { gradeOf } from '../steel/grades'
import { predict } from '../steel/predict'
import type { Load } from './tray'

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

/** A load in pull order between this shop's plates, as the pull list is asked for; null for an empty one. */
export function paceRequestOf(
  load: Load,
  shop: Pick<Workshop, 'plates' | 'ovens' | 'hardeningOven'>,
  batch: Pick<Batch, 'oven'>,
): PaceRequest | null {
  if (load.pieces.length === 0) return null
  const starts = new Map(
    load.groups.map(group => {
      const grade = gradeOf(group)
      return [group.id, grade ? predict(grade, group.route).martensiteStartC : USUAL_START_C]
    }),
  )
  return {
    blades: load.pieces.map(({ mark, blade, group }) => ({
      mark,
      thicknessMm: blade.thicknessMm,
      widthMm: blade.widthMm,
      lengthMm: blade.lengthMm,
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
    doorRecoveryS: doorRecoveryS(detailedOven(ovenOf(shop, batch)), load.austenitizeC),
  }
}

/** What a pull waits for in a run: seconds since the pull before, and how much of that the plates rest. */
export interface PullGap {
  readonly seconds: number
  readonly restedS: number
}

export const pullGapsOf = (pace: Pace): Map<string, PullGap> =>
  new Map(
    pace.pulls.map((pull, i) => [
      pull.mark,
      { seconds: pull.pullAtS - (pace.pulls[i - 1]?.pullAtS ?? pull.pullAtS), restedS: pull.restedS },
    ]),
  )
