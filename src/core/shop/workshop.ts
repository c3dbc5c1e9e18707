import * as z from 'zod/mini'
import { BATHS } from '../../data/cold'
import { SETUP_STEPS } from '../../data/setup'
import { PLATE_METALS, type PlateMetal } from '../../data/thermal'
import { SYSTEMS } from '../units/quantity'
import { MOST } from './bounds'
import { bounded, id, instant, textUpTo, wholeBetween, wholeBounded } from './fields'
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
    .check(z.maxLength(20)),
  checks: z
    .array(
      z.object({
        id,
        blockId: id,
        /** Null: kept by an earlier version, which did not note the day. */
        at: z.nullable(instant),
        readings: z.array(bounded('readingHrc')).check(z.minLength(1), z.maxLength(10)),
      }),
    )
    .check(z.maxLength(2000)),
})

export const workshopSchema = z.object({
  id: z.literal('shop'),
  /** Tells this workshop's files from another's: ids mean the same within one origin alone. */
  origin: id,
  name: textUpTo('shopName'),
  /** A made-up workshop to look round in, not the maker's own. */
  isDemo: z.boolean(),
  /** Set-up steps the maker has answered; the others use typical values. */
  said: z.array(z.enum(SETUP_STEPS)).check(z.maxLength(SETUP_STEPS.length)),
  units: z.enum(SYSTEMS),
  theme: z.enum(['system', 'light', 'dark']),
  /** Hours a clock is read by; absent: as the browser's language has them. */
  clock: z.optional(z.enum(['12', '24'])),
  /** How blades are numbered through the whole log: YY or YYYY for the year, N for each digit at the least. */
  serialPattern: textUpTo('serialPattern').check(z.refine(isSerialPattern, rule('not-a-serial-pattern'))),
  ovens: z.array(ovenSchema).check(z.minLength(1), z.maxLength(24)),
  /** The oven a new batch is hardened in. */
  hardeningOvenId: id,
  /** The oven that tempers; null: the one that hardens, once it has cooled. */
  temperingOvenId: z.nullable(id),
  /** Whether the shop's own readings correct its predictions; absent: they do. */
  learning: z.optional(z.boolean()),
  /** Prices of the other ways to keep air out; absent: typical figures. */
  prices: z.optional(
    z.object({
      coatPerM2: bounded('coatPricePerM2'),
      argonPerPacket: bounded('argonPricePerPacket'),
      argonPerM3: bounded('argonPricePerM3'),
      vacuumPerBlade: bounded('vacuumPricePerBlade'),
      abrasivesPerBareBlade: bounded('abrasivesPricePerBlade'),
      hour: bounded('hourPrice'),
      kWh: z.optional(bounded('kWhPrice')),
      /** Hours of each day in which a kWh costs less, min from midnight; an end before its start is on the next day. */
      cheap: z.optional(
        z.object({ fromMin: wholeBetween(0, 1440), toMin: wholeBetween(0, 1440), kWh: bounded('kWhPrice') }),
      ),
      steelPerKg: z.optional(bounded('steelPricePerKg')),
      beltsPerBlade: z.optional(bounded('beltsPricePerBlade')),
      /** Minutes of hands a blade, before and after the heat. */
      prepareMin: z.optional(bounded('taskMin')),
      finishMin: z.optional(bounded('taskMin')),
    }),
  ),
  plates: z.object({
    thicknessMm: bounded('plateThicknessMm'),
    widthMm: bounded('plateWidthMm'),
    lengthMm: bounded('plateLengthMm'),
    startC: bounded('plateStartC'),
    air: z.enum(['still', 'fan', 'air-blast']),
    metal: z.optional(z.enum(Object.keys(PLATE_METALS) as [PlateMetal, ...PlateMetal[]])),
    /** Sets of plates, and people at the quench; absent: one of each. */
    sets: z.optional(z.union([z.literal(1), z.literal(2)])),
    people: z.optional(z.union([z.literal(1), z.literal(2)])),
    /** So much longer than usual hands take between a blade out of the plates and the next pull, s; and since when that is reckoned with. */
    handsMore: z.optional(z.object({ s: bounded('handsMoreS'), since: instant })),
    /** Fit by the maker's own thermometer: contact, and plates to air; absent: typical. */
    fit: z.optional(
      z.nullable(
        z.object({
          at: instant,
          contactWPerM2K: bounded('contactWPerM2K'),
          airWPerM2K: z.nullable(bounded('plateAirWPerM2K')),
        }),
      ),
    ),
  }),
  /** Currency of prices, a code of ISO 4217; absent: not confirmed yet. */
  currency: z.optional(z.string().check(z.regex(/^[A-Z]{3}$/))),
  /** Looking a load over and carrying it on, from the last pull, min; absent: what is usual. */
  inspectMin: z.optional(bounded('inspectMin')),
  /** Room temperature, °C; absent: typical of workshops. */
  roomC: z.optional(bounded('roomC')),
  /** The quench oil the shop has; absent: none. */
  oil: z.optional(z.enum(['medium-oil', 'fast-oil'])),
  foil: z.object({
    rollWidthMm: bounded('rollWidthMm'),
    rotate: z.boolean(),
    longestSectionMm: z.nullable(bounded('longestSectionMm')),
    pricePerM: bounded('foilPricePerM'),
    /** Length on the roll when it was counted last, mm; absent: never. What is left of it: `leftOnRollMm`. */
    leftMm: z.optional(bounded('foilLeftMm')),
    /** Cut from the roll since, each by itself. */
    cuts: z.optional(z.array(z.object({ id, mm: bounded('foilLeftMm') })).check(z.maxLength(MOST.foilCuts))),
    offcuts: z.optional(
      z
        .array(z.object({ id, widthMm: bounded('offcutWidthMm'), lengthMm: bounded('offcutLengthMm') }))
        .check(z.maxLength(60)),
    ),
  }),
  cold: z.object({
    medium: z.enum(['none', 'freezer', 'dry-ice', 'liquid-nitrogen']),
    bath: z.object({ fluid: z.enum(bathNames), litres: bounded('bathLitres') }),
    vesselKg: bounded('vesselKg'),
    lossWPerK: bounded('lossWPerK'),
    room: z.object({ m3: bounded('roomM3'), airChangesPerH: bounded('airChangesPerH') }),
    /** Inside of the box or vessel, mm; absent: not measured. */
    boxMm: z.optional(
      z.object({ length: bounded('boxLengthMm'), width: bounded('boxWidthMm'), depth: bounded('boxDepthMm') }),
    ),
    /** Price per kg of dry ice or per litre of nitrogen. */
    price: z.optional(bounded('coolantPrice')),
  }),
  tester: testerSchema,
  /** When hands are at work; absent: as usual. */
  hours: z.optional(hoursSchema),
})

export type Workshop = ReadOnly<z.infer<typeof workshopSchema>>
export type Tester = ReadOnly<z.infer<typeof testerSchema>>
