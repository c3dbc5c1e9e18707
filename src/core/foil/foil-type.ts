import { FOIL_MARGIN_C, FOIL_TYPES, type FoilType } from '../../data/foil'
import { fail, ok, type Result } from '../codes/result'

/**
 * The coolest-rated foil that stands the hottest step with margin.
 * Errors: 'too-hot-for-foil' above every foil's limit less the margin.
 */
export function foilFor(hottestC: number): Result<FoilType> {
  const foil = FOIL_TYPES.find(type => hottestC + FOIL_MARGIN_C <= type.maxC)
  const last = FOIL_TYPES[FOIL_TYPES.length - 1] as FoilType
  return foil
    ? ok(foil)
    : fail('too-hot-for-foil', {
        atC: hottestC,
        foil: last.name,
        foilMaxC: last.maxC,
        marginC: FOIL_MARGIN_C,
      })
}
