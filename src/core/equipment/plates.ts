import { CONTACT, PLATE_AIR } from '../../data/thermal'
import type { Workshop } from '../shop/workshop'

/** Plate to packet, W/m²K: the maker's own, where it was read off the plates. */
export const contactOf = ({ plates }: Pick<Workshop, 'plates'>): number =>
  plates.fit?.contactWPerM2K ?? CONTACT.clampedFoil

/** Plates to air, W/m²K: the maker's own, where it was read with what cools them. */
export const airOf = ({ plates }: Pick<Workshop, 'plates'>): number => plates.fit?.airWPerM2K ?? PLATE_AIR[plates.air]

/** Size of one quench plate, mm. */
export const plateSize = ({ plates }: Pick<Workshop, 'plates'>) => ({
  thicknessMm: plates.thicknessMm,
  widthMm: plates.widthMm,
  lengthMm: plates.lengthMm,
  ...(plates.metal ? { metal: plates.metal } : {}),
})
