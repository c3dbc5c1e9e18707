import * as z from 'zod/mini'
import { CORROSION_CLASSES, ELEMENTS, type Element, GRADE_FAMILIES, QUENCH_NEEDS } from '../../data/grades'
import { BOUNDS } from './bounds'
import { between, bounded, id, textUpTo, wholeBetween } from './fields'
import { rule } from './problems'
import type { ReadOnly } from './read-only'

const percent = between(0, 40)

/** More alloy than this is no martensitic steel, wt%. */
const MOST_ALLOY = 60

const alloyParts = Object.fromEntries(
  ELEMENTS.filter(element => element !== 'C').map(element => [element, z.optional(percent)]),
) as Record<Exclude<Element, 'C'>, z.ZodMiniOptional<typeof percent>>

export const compositionSchema = z
  .object({ C: between(0.05, 3.5), ...alloyParts })
  .check(
    z.refine(
      parts => Object.values(parts).reduce((sum: number, part) => sum + (part ?? 0), 0) <= MOST_ALLOY,
      rule('more-than-the-whole'),
    ),
  )

const rangeSchema = z
  .partialRecord(z.enum(ELEMENTS), z.tuple([percent, percent]))
  .check(
    z.refine(
      ranges => Object.values(ranges).every(range => range === undefined || range[0] <= range[1]),
      rule('least-above-most'),
    ),
  )

export const chartSchema = z
  .object({
    reference: z.object({
      austenitizeC: bounded('austenitizeC'),
      soakMin: bounded('soakMin'),
      quenchedToC: between(-30, 200),
      coldToC: z.nullable(bounded('coldC')),
      temperHoldMin: bounded('holdMin'),
      temperCount: wholeBetween(1, 4),
    }),
    points: z.array(z.tuple([bounded('temperC'), bounded('hrc')])).check(z.maxLength(60)),
    source: textUpTo('source'),
  })
  .check(
    z.refine(
      chart => chart.points.every(([c], i) => i === 0 || c > (chart.points[i - 1]?.[0] ?? 0)),
      rule('chart-not-rising', ['points']),
    ),
  )

const sourced = <T extends z.core.$ZodShape>(shape: T) => z.object({ ...shape, source: textUpTo('source') })

/** A grade of the maker's own, from a supplier's sheet: the same shape as a shipped one. */
export const gradeSheetSchema = z.object({
  /** Identity that everything planned for it refers to; its name may change. */
  id,
  name: textUpTo('gradeName').check(z.minLength(1)),
  alsoNamed: z.array(textUpTo('gradeName')).check(z.maxLength(8)),
  family: z.enum(GRADE_FAMILIES),
  made: z.enum(['ingot', 'powder']),
  nominal: compositionSchema,
  range: rangeSchema,
  compositionSource: textUpTo('source'),
  austenitize: sourced({
    minC: bounded('austenitizeC'),
    maxC: bounded('austenitizeC'),
    defaultC: bounded('austenitizeC'),
  }).check(
    z.refine(
      window => window.minC <= window.defaultC && window.defaultC <= window.maxC,
      rule('usual-outside-window', ['defaultC']),
    ),
  ),
  soak: sourced({ minMin: bounded('soakMin'), maxMin: bounded('soakMin') }).check(
    z.refine(soak => soak.minMin <= soak.maxMin, rule('most-below-least', ['minMin'])),
  ),
  equalise: z
    .array(z.object({ atC: between(200, BOUNDS.austenitizeC.max), holdMin: bounded('holdMin') }))
    .check(z.maxLength(4)),
  temper: sourced({ minC: bounded('temperC'), maxC: bounded('temperC') }).check(
    z.refine(range => range.minC < range.maxC, rule('most-below-least', ['minC'])),
  ),
  quench: sourced({ slowest800to500S: between(0.1, 10_000), needs: z.enum(QUENCH_NEEDS) }),
  cold: z.object({ advice: z.enum(['worth it', 'optional', 'no use']), why: textUpTo('source') }),
  chart: z.nullable(chartSchema),
  a1: sourced({ c: between(600, 1000) }),
  anneal: sourced({
    atC: bounded('austenitizeC'),
    holdMin: bounded('holdMin'),
    coolCPerH: between(1, 200),
    downToC: between(300, 800),
  }),
  stressRelief: sourced({ atC: between(300, 750), holdMin: bounded('holdMin') }),
  corrosionClass: z.enum(CORROSION_CLASSES),
  usualTarget: z
    .object({ minHrc: bounded('hrc'), maxHrc: bounded('hrc') })
    .check(z.refine(t => t.minHrc < t.maxHrc, rule('target-upside-down', ['minHrc']))),
  note: textUpTo('why'),
})

export type GradeSheet = ReadOnly<z.infer<typeof gradeSheetSchema>>
