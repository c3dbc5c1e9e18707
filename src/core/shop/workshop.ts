import { z } from 'zod'
import { BATHS } from '../../data/cold'
import { SETUP_STEPS } from '../../data/setup'
import { PLATE_METALS, type PlateMetal } from '../../data/thermal'
import { SYSTEMS } from '../units/quantity'
import { bounded, id, instant, textUpTo, wholeBounded } from './bounds'
import { hoursSchema } from './hours'
import { ovenSchema } from './oven'
import { rule } from './problems'
import type { ReadOnly } from './read-only'
import { isSerialPattern } from './serial'

const bathNames = Object.keys(BATHS) as (keyof typeof BATHS)[]

/** Test blocks and the checks on them, oldest first. */
export const testerSchema = z.object({
  /** Shows half points; else tenths. */
  dial: z.boolean(),
  blocks: z
    .array(
      z.object({
        id,
        name: textUpTo('blockName'),
        certifiedHrc: bounded('hrc'),
        certifiedSd: bounded('certifiedSdHrc'),
        holdsIndents: wholeBounded('blockIndents'),
      }),
    )
    .max(20),
  checks: z
    .array(
      z.object({
        id,
        blockId: id,
        /** Null: kept by an earlier version, which did not note the day. */
        at: instant.nullable(),
        readings: z.array(bounded('readingHrc')).min(1).max(10),
      }),
    )
    .max(2000),
})

export const workshopSchema = z.object({
  id: z.literal('shop'),
  /** Tells this workshop's files from another's: ids mean the same within one origin alone. */
  origin: id,
  name: textUpTo('shopName'),
  /** A made-up workshop to look round in, not the maker's own. */
  isDemo: z.boolean(),
  /** What the maker has said of the shop; the rest stands at a usual value. */
  said: z.array(z.enum(SETUP_STEPS)).max(SETUP_STEPS.length),
  units: z.enum(SYSTEMS),
  theme: z.enum(['system', 'light', 'dark']),
  /** How blades are numbered through the whole log: YY or YYYY for the year, N for each digit at the least. */
  serialPattern: textUpTo('serialPattern').refine(isSerialPattern, rule('not-a-serial-pattern')),
  ovens: z.array(ovenSchema).min(1).max(24),
  /** The oven a new batch is hardened in. */
  hardeningOvenId: id,
  /** The oven that tempers; null: the one that hardens, once it has cooled. */
  temperingOvenId: id.nullable(),
  /** Whether the shop's own readings correct its predictions; absent: they do. */
  learning: z.boolean().optional(),
  /** What other ways to keep air out cost here; absent: the usual figures. */
  prices: z
    .object({
      coatPerM2: bounded('coatPricePerM2'),
      argonPerPacket: bounded('argonPricePerPacket'),
      argonPerM3: bounded('argonPricePerM3'),
      vacuumPerBlade: bounded('vacuumPricePerBlade'),
      abrasivesPerBareBlade: bounded('abrasivesPricePerBlade'),
      hour: bounded('hourPrice'),
      kWh: bounded('kWhPrice').optional(),
      /** Hours of each day in which a kWh costs less, min from midnight; an end before its start is on the next day. */
      cheap: z
        .object({ fromMin: z.int().min(0).max(1440), toMin: z.int().min(0).max(1440), kWh: bounded('kWhPrice') })
        .optional(),
      steelPerKg: bounded('steelPricePerKg').optional(),
      beltsPerBlade: bounded('beltsPricePerBlade').optional(),
      /** Minutes of hands a blade, before and after the heat. */
      prepareMin: bounded('taskMin').optional(),
      finishMin: bounded('taskMin').optional(),
    })
    .optional(),
  plates: z.object({
    thicknessMm: bounded('plateThicknessMm'),
    widthMm: bounded('plateWidthMm'),
    lengthMm: bounded('plateLengthMm'),
    startC: bounded('plateStartC'),
    air: z.enum(['still', 'fan', 'air-blast']),
    metal: z.enum(Object.keys(PLATE_METALS) as [PlateMetal, ...PlateMetal[]]).optional(),
    /** Sets of plates, and people at the quench; absent: one of each. */
    sets: z.union([z.literal(1), z.literal(2)]).optional(),
    people: z.union([z.literal(1), z.literal(2)]).optional(),
    /** So much longer than usual hands take between a blade out of the plates and the next pull, s; and since when that is reckoned with. */
    handsMore: z.object({ s: bounded('handsMoreS'), since: instant }).optional(),
    /** What the maker's own thermometer taught: contact, and plates to air; absent: the usual. */
    fit: z
      .object({
        at: instant,
        contactWPerM2K: bounded('contactWPerM2K'),
        airWPerM2K: bounded('plateAirWPerM2K').nullable(),
      })
      .nullable()
      .optional(),
  }),
  /** What prices are in, a code of ISO 4217; absent: not said yet. */
  currency: z
    .string()
    .regex(/^[A-Z]{3}$/)
    .optional(),
  /** Looking a load over and carrying it on, from the last pull, min; absent: what is usual. */
  inspectMin: bounded('inspectMin').optional(),
  /** What the room is at, °C; absent: as workshops usually are. */
  roomC: bounded('roomC').optional(),
  /** The quench oil the shop has; absent: none. */
  oil: z.enum(['medium-oil', 'fast-oil']).optional(),
  foil: z.object({
    rollWidthMm: bounded('rollWidthMm'),
    rotate: z.boolean(),
    longestSectionMm: bounded('longestSectionMm').nullable(),
    pricePerM: bounded('foilPricePerM'),
    /** What is left on the roll, mm; absent: not counted. */
    leftMm: bounded('foilLeftMm').optional(),
    offcuts: z
      .array(z.object({ id, widthMm: bounded('offcutWidthMm'), lengthMm: bounded('offcutLengthMm') }))
      .max(60)
      .optional(),
  }),
  cold: z.object({
    medium: z.enum(['none', 'freezer', 'dry-ice', 'liquid-nitrogen']),
    bath: z.object({ fluid: z.enum(bathNames), litres: bounded('bathLitres') }),
    vesselKg: bounded('vesselKg'),
    lossWPerK: bounded('lossWPerK'),
    room: z.object({ m3: bounded('roomM3'), airChangesPerH: bounded('airChangesPerH') }),
    /** Inside of the box or vessel, mm; absent: not measured. */
    boxMm: z
      .object({ length: bounded('boxLengthMm'), width: bounded('boxWidthMm'), depth: bounded('boxDepthMm') })
      .optional(),
    /** Price of a kg of dry ice or a litre of nitrogen. */
    price: bounded('coolantPrice').optional(),
  }),
  tester: testerSchema,
  /** When hands are at work; absent: as usual. */
  hours: hoursSchema.optional(),
})

export type Workshop = ReadOnly<z.infer<typeof workshopSchema>>
export type Tester = ReadOnly<z.infer<typeof testerSchema>>
