import { z } from 'zod'
import { BATHS } from '../../data/cold'
import { PLATE_METALS, type PlateMetal } from '../../data/thermal'
import { between, bounded, id, text } from './bounds'
import { ovenSchema } from './oven-schema'

const bathNames = Object.keys(BATHS) as (keyof typeof BATHS)[]

export const workshopSchema = z.object({
  id: z.literal('shop'),
  name: text(80),
  units: z.enum(['metric', 'imperial']),
  theme: z.enum(['system', 'light', 'dark']),
  ovens: z.array(ovenSchema).min(1).max(12),
  /** The oven a new batch is hardened in. */
  hardeningOven: id,
  /** Whether the shop's own readings correct its predictions; absent: they do. */
  learning: z.boolean().optional(),
  /** What other ways to keep air out cost here; absent: the usual figures. */
  prices: z
    .object({
      coatPerM2: between(0, 1000),
      argonPerPacket: between(0, 100),
      argonPerM3: between(0, 1000),
      vacuumPerBlade: between(0, 1000),
      abrasivesPerBareBlade: between(0, 100),
      hour: between(0, 500),
      kWh: between(0, 10).optional(),
    })
    .optional(),
  temperingOven: z.enum(['own', 'same']),
  plates: z.object({
    thicknessMm: between(5, 80),
    widthMm: between(40, 300),
    lengthMm: between(100, 1200),
    startC: between(-20, 150),
    air: z.enum(['still', 'fan', 'air-blast']),
    metal: z.enum(Object.keys(PLATE_METALS) as [PlateMetal, ...PlateMetal[]]).optional(),
    /** Sets of plates, and people at the quench; absent: one of each. */
    sets: z.union([z.literal(1), z.literal(2)]).optional(),
    people: z.union([z.literal(1), z.literal(2)]).optional(),
    /** What the maker's own thermometer taught: contact, and plates to air; absent: the usual. */
    fit: z
      .object({ at: z.iso.datetime(), contactWPerM2K: between(10, 10_000), airWPerM2K: between(1, 1000).nullable() })
      .nullable()
      .optional(),
  }),
  foil: z.object({
    rollWidthMm: between(100, 1300),
    rotate: z.boolean(),
    longestSectionMm: between(50, 2000).nullable(),
    pricePerM: between(0, 1000),
    /** What is left on the roll, mm; absent: not counted. */
    leftMm: between(0, 200_000).optional(),
    offcuts: z
      .array(z.object({ id, widthMm: between(20, 2000), lengthMm: between(20, 20_000) }))
      .max(60)
      .optional(),
  }),
  cold: z.object({
    medium: z.enum(['none', 'freezer', 'dry-ice', 'liquid-nitrogen']),
    bath: z.object({ fluid: z.enum(bathNames), litres: between(0, 60) }),
    vesselKg: between(0, 40),
    lossWPerK: between(0.05, 5),
    room: z.object({ m3: between(4, 5000), airChangesPerH: between(0, 60) }),
    /** Inside of the box or vessel, mm; absent: not measured. */
    boxMm: z.object({ length: between(50, 3000), width: between(50, 2000), depth: between(50, 2000) }).optional(),
    /** Price of a kg of dry ice or a litre of nitrogen. */
    price: between(0, 1000).optional(),
  }),
  /** Blocks and the checks on them, oldest first; absent: only the latest check, in `block`, is known. */
  tester: z
    .object({
      dial: z.boolean(),
      blocks: z
        .array(
          z.object({
            id,
            name: text(40),
            certifiedHrc: bounded('hrc'),
            certifiedSd: between(0, 3),
            holdsIndents: z.int().min(1).max(5000),
          }),
        )
        .max(20),
      checks: z
        .array(z.object({ id, blockId: id, at: z.iso.datetime(), readings: z.array(between(5, 70)).min(1).max(10) }))
        .max(2000),
    })
    .optional(),
  block: z
    .object({
      certifiedHrc: bounded('hrc'),
      certifiedSd: between(0, 3),
      readings: z.array(between(5, 70)).min(1).max(10),
    })
    .nullable(),
})

export type Workshop = z.infer<typeof workshopSchema>
